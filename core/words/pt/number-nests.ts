import type { Messages } from '~/core/words/message';

export const numberNests: Messages = {
  name: 'Ninhos de Números',
  goal: 'Levem cada cartão de soma para o seu ninho: de {from} a {to}.',
  'setUp.nests': 'Ponham os ninhos em ordem, de {from} a {to}.',
  'setUp.cards':
    '{cards, plural, one {Ponham o # cartão de soma na mesa, virado para baixo.} other {Embaralhem os # cartões de soma e façam um monte, virados para baixo.}}',
  'turn.card': 'Virem o cartão de cima e leiam a soma em voz alta.',
  'turn.lay': 'Se quiserem, ponham {a, plural, one {# ficha} other {# fichas}} de uma cor e {b} da outra.',
  'turn.nest': 'Digam a resposta e ponham o cartão no ninho: {a}\u00a0+\u00a0{b} é do {answer}.',
  'turn.stray':
    '{strays, plural, one {# cartão não é de nenhum ninho} other {# cartões não são de nenhum ninho}}. Deixem os sem ninho ao lado.',
  'end.read': 'Quando o monte acabar, leiam juntos um ninho: todas as somas dele têm a mesma resposta.',
  'easier.two': 'Joguem só com dois ninhos, começando pelo ninho do {from}.',
  'harder.missing': 'Cubram um número de um cartão: {a} e quanto mais é do {answer}?',
  'play.home': 'Participante {player} vira {a}\u00a0+\u00a0{b} e leva ao ninho do {answer}.',
  'play.stray': 'Participante {player} vira {a}\u00a0+\u00a0{b}: {answer} não tem ninho aqui.',
};
