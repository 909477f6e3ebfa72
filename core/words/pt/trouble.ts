import type { Messages } from '~/core/words/message';

export const trouble: Messages = {
  'away.title': 'Um momento, por favor',
  'away.text':
    'Agora não é possível acessar os dados da escola. O que já estava guardado está seguro. Se você acabou de enviar algo, veja se chegou antes de enviar de novo. Tente outra vez em um minuto.',
  'empty.title': 'Ainda não está pronto',
  'empty.text':
    'Os dados desta escola não estão preparados para esta versão. Quem cuida do servidor faz isso com um comando: npm run migrate.',
  'tooLarge.title': 'Foi demais de uma só vez',
  'tooLarge.text':
    'O que foi enviado é maior do que cabe aqui; nada foi lido nem mudado. Envie menos de uma vez.',
  'unreadable.title': 'Não foi possível ler isto',
  'unreadable.text':
    'O que foi enviado está danificado ou não tem a forma que esta página conhece; nada foi mudado. Volte, abra a página de novo e tente outra vez.',
  'method.title': 'Nada foi mudado',
  'method.text': 'Esta página não aceita o que foi enviado.',
  'foreign.title': 'Nada foi mudado',
  'foreign.text':
    'Este envio não veio de uma página desta escola; nada foi mudado. Abra a página de novo e tente outra vez.',
  'failed.title': 'Algo deu errado aqui',
  'failed.text':
    'O que já estava guardado está seguro. Volte e tente outra vez; se acontecer de novo, avise a escola.',
  again: 'Tentar outra vez',
};
