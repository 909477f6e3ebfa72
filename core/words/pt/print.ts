import type { Messages } from '~/core/words/message';

export const print: Messages = {
  spares: 'a mais: {spares}',
  back: 'verso',
  inEnglish: 'em inglês',
  instructions: 'Como se joga',
  page: 'página {page} de {pages}',
  record: 'Folha de registo',
  player: 'Nome:',
  'bag.title': 'Como funciona este saco',
  'bag.read': 'Procurem a folha de um jogo. Leiam um passo, façam um passo.',
  'bag.play': 'Joguem uns minutos e parem enquanto é divertido.',
  'bag.count': 'Ao guardar, contem as peças: estão na outra etiqueta.',
  'bag.tell': 'Contem-nos como foi: com o telefone no quadrado ou no papelinho.',
  'bag.back': 'Tragam o saco de volta à escola no dia:',
  'label.owner': 'Este saco pertence a {school}.',
  'slip.title': 'Como foi?',
  'slip.why':
    'Marquem o que se aplica, deixem em branco o que quiserem e ponham o papelinho no saco. Não é preciso nenhum nome.',
  'slip.yes': 'sim',
  'slip.no': 'não',
  'spinner.how': 'Passem a ponta de um lápis por um clipe até ao centro e deem um toque no clipe para girar.',
};
