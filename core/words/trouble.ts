/** What the server says when it cannot show a page at all: plain sentences, in every language that families read. */
import { LANGUAGES, type Language } from './message';

export const TROUBLES = ['away', 'empty', 'tooLarge', 'unreadable', 'method', 'foreign', 'failed'] as const;
export type Trouble = (typeof TROUBLES)[number];

type Told = Record<Trouble, { title: string; text: string }>;
const WORDS: Record<Language, Told & { again: string }> = {
  en: {
    away: {
      title: 'One moment, please',
      text: 'The school’s records cannot be reached right now. What was saved before is safe. If you just sent something, look whether it arrived before you send it again. Try again in a minute.',
    },
    empty: {
      title: 'Not set up yet',
      text: 'The records of this school were not prepared for this version. Whoever looks after the server does it with one command: npm run migrate.',
    },
    tooLarge: {
      title: 'That was too much at once',
      text: 'What was sent is larger than anything that belongs here, so nothing of it was read or changed. Send less at once.',
    },
    unreadable: {
      title: 'This could not be read',
      text: 'What was sent is damaged or not in a form that this page knows, so nothing was changed. Go back, load the page anew and try again.',
    },
    method: { title: 'Nothing was changed', text: 'This page does not take what was sent to it.' },
    foreign: {
      title: 'Nothing was changed',
      text: 'This request did not come from a page of this school, so nothing was changed. Open the page anew and try again.',
    },
    failed: {
      title: 'Something went wrong here',
      text: 'What was saved before is safe. Go back and try again; if it happens again, note the time and tell the person who looks after this server.',
    },
    again: 'Try again',
  },
  es: {
    away: {
      title: 'Un momento, por favor',
      text: 'Ahora no se puede llegar a los datos de la escuela. Lo que ya estaba guardado está a salvo. Si acaban de enviar algo, miren si llegó antes de enviarlo otra vez. Prueben de nuevo en un minuto.',
    },
    empty: {
      title: 'Todavía no está listo',
      text: 'Los datos de esta escuela no están preparados para esta versión. Quien cuida el servidor lo hace con una orden: npm run migrate.',
    },
    tooLarge: {
      title: 'Fue demasiado de una vez',
      text: 'Lo que se envió es más grande de lo que cabe aquí; no se leyó ni se cambió nada. Envíen menos de una vez.',
    },
    unreadable: {
      title: 'Esto no se pudo leer',
      text: 'Lo que se envió está dañado o no tiene la forma que esta página conoce; no se cambió nada. Vuelvan atrás, abran la página de nuevo y prueben otra vez.',
    },
    method: { title: 'No se cambió nada', text: 'Esta página no acepta lo que se le envió.' },
    foreign: {
      title: 'No se cambió nada',
      text: 'Este envío no vino de una página de esta escuela; no se cambió nada. Abran la página de nuevo y prueben otra vez.',
    },
    failed: {
      title: 'Algo salió mal aquí',
      text: 'Lo que ya estaba guardado está a salvo. Vuelvan atrás y prueben otra vez; si pasa de nuevo, avisen a la escuela.',
    },
    again: 'Probar otra vez',
  },
  pt: {
    away: {
      title: 'Um momento, por favor',
      text: 'Agora não é possível acessar os dados da escola. O que já estava guardado está seguro. Se você acabou de enviar algo, veja se chegou antes de enviar de novo. Tente outra vez em um minuto.',
    },
    empty: {
      title: 'Ainda não está pronto',
      text: 'Os dados desta escola não estão preparados para esta versão. Quem cuida do servidor faz isso com um comando: npm run migrate.',
    },
    tooLarge: {
      title: 'Foi demais de uma só vez',
      text: 'O que foi enviado é maior do que cabe aqui; nada foi lido nem mudado. Envie menos de uma vez.',
    },
    unreadable: {
      title: 'Não foi possível ler isto',
      text: 'O que foi enviado está danificado ou não tem a forma que esta página conhece; nada foi mudado. Volte, abra a página de novo e tente outra vez.',
    },
    method: { title: 'Nada foi mudado', text: 'Esta página não aceita o que foi enviado.' },
    foreign: {
      title: 'Nada foi mudado',
      text: 'Este envio não veio de uma página desta escola; nada foi mudado. Abra a página de novo e tente outra vez.',
    },
    failed: {
      title: 'Algo deu errado aqui',
      text: 'O que já estava guardado está seguro. Volte e tente outra vez; se acontecer de novo, avise a escola.',
    },
    again: 'Tentar outra vez',
  },
  ar: {
    away: {
      title: 'لحظة من فضلكم',
      text: 'لا يمكن الوصول إلى سجلات المدرسة الآن. ما حُفظ من قبل في أمان. إذا أرسلتم شيئًا الآن فتأكدوا من وصوله قبل إرساله مرة أخرى. حاولوا من جديد بعد دقيقة.',
    },
    empty: {
      title: 'لم يُجهَّز بعد',
      text: 'سجلات هذه المدرسة لم تُجهَّز لهذا الإصدار. يقوم بذلك المسؤول عن الخادم بأمر واحد: npm run migrate.',
    },
    tooLarge: {
      title: 'هذا كثير في مرة واحدة',
      text: 'ما أُرسل أكبر مما يُقبل هنا، فلم يُقرأ شيء ولم يتغير شيء. أرسلوا أقل في كل مرة.',
    },
    unreadable: {
      title: 'تعذّرت قراءة هذا',
      text: 'ما أُرسل تالف أو ليس بالشكل الذي تعرفه هذه الصفحة، فلم يتغير شيء. ارجعوا وافتحوا الصفحة من جديد وحاولوا مرة أخرى.',
    },
    method: { title: 'لم يتغير شيء', text: 'هذه الصفحة لا تقبل ما أُرسل إليها.' },
    foreign: {
      title: 'لم يتغير شيء',
      text: 'لم يأتِ هذا الطلب من صفحة لهذه المدرسة، فلم يتغير شيء. افتحوا الصفحة من جديد وحاولوا مرة أخرى.',
    },
    failed: {
      title: 'حدث خطأ هنا',
      text: 'ما حُفظ من قبل في أمان. ارجعوا وحاولوا مرة أخرى، وإذا تكرر ذلك فأخبروا المدرسة.',
    },
    again: 'حاولوا مرة أخرى',
  },
};

/** What is said about a trouble in a language. */
export const troubleWords = (
  trouble: Trouble,
  language: Language,
): { title: string; text: string; again: string } => ({
  ...WORDS[language][trouble],
  again: WORDS[language].again,
});

/** The home language that a browser asks for, the most wanted first ("pt-BR,pt;q=0.9"); English where none is known. */
export function languageFor(accept: string | null | undefined): Language {
  const wanted = (accept ?? '')
    .slice(0, 500)
    .split(',')
    .map((part) => {
      const [tag = '', ...rest] = part.trim().split(';');
      const quality = rest.map((one) => /^\s*q=([\d.]+)\s*$/.exec(one)?.[1]).find(Boolean);
      return {
        code: tag.trim().slice(0, 2).toLowerCase(),
        quality: quality === undefined ? 1 : Number(quality),
      };
    })
    .sort((a, b) => b.quality - a.quality);
  const known = wanted.find(({ code, quality }) => quality > 0 && Object.hasOwn(LANGUAGES, code));
  return (known?.code as Language | undefined) ?? 'en';
}
