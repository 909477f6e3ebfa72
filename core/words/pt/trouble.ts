import type { Messages } from '~/core/words/message';

export const trouble: Messages = {
  'away.title': 'Um momento, por favor',
  'away.text':
    'Agora não dá para chegar aos registros da escola. O que já foi salvo está seguro. Se vocês acabaram de enviar algo, vejam se chegou antes de enviar de novo. Tentem outra vez em um minuto.',
  'busy.title': 'Há muitas pessoas aqui agora',
  'busy.text':
    'Esta página não pôde ser preparada a tempo. O que foi guardado antes está seguro. Esperem alguns segundos e tentem de novo.',
  'twice.title': 'Já foi enviado',
  'twice.text':
    'Isto já tinha sido enviado e ainda não se sabe se foi feito. Não foi feito uma segunda vez. Abra a página de novo e veja antes de enviar outra vez.',
  'empty.title': 'Ainda não está pronto',
  'empty.text':
    'Os registros desta escola não foram preparados para esta versão. Quem cuida do servidor faz isso com um comando: npm run migrate.',
  'tooLarge.title': 'Foi coisa demais de uma vez',
  'tooLarge.text':
    'O que foi enviado é maior do que qualquer coisa que cabe aqui, então nada foi lido nem mudado. Enviem menos de cada vez.',
  'unreadable.title': 'Não foi possível ler',
  'unreadable.text':
    'O que foi enviado está danificado ou em um formato que esta página não conhece, então nada foi mudado. Voltem, carreguem a página de novo e tentem outra vez.',
  'method.title': 'Nada foi mudado',
  'method.text': 'Esta página não recebe o que foi enviado a ela.',
  'foreign.title': 'Nada foi mudado',
  'foreign.text':
    'Este pedido não veio de uma página desta escola, então nada foi mudado. Abram a página de novo e tentem outra vez.',
  'failed.title': 'Algo deu errado aqui',
  'failed.text':
    'O que já foi salvo está seguro. Voltem e tentem de novo; se acontecer outra vez, anotem a hora e avisem quem cuida deste servidor.',
  again: 'Tentar de novo',
};
