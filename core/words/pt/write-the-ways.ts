import type { Messages } from '~/core/words/message';

export const writeTheWays: Messages = {
  name: 'Escreva os Jeitos',
  goal: 'Quantas contas dão {target}? Escrevam todos os jeitos que acharem.',
  'setUp.target': 'Escrevam {target} no alto da folha.',
  'setUp.signs': 'Valem estes sinais: {signs}',
  'turn.lay': 'Ponham {target} fichas e separem, ou peguem as cartas de um jogo que acabaram de jogar.',
  'turn.say': 'Digam um jeito: “{a}\u00a0{sign}\u00a0{b} dá {target}.”',
  'turn.write': 'Quando dizer ficar fácil, escrevam na próxima linha.',
  'turn.ordered': 'Uma conta invertida é outro jeito: escrevam as duas.',
  'turn.unordered': 'Uma conta invertida é o mesmo jeito: escrevam uma vez só.',
  'end.compare':
    'Virem a folha: {ways, plural, one {há # jeito} other {há # jeitos}} ao todo. Marquem os que acharam e tentem um que falta.',
  'easier.dots': 'Desenhem pontinhos de duas cores em vez de escrever números.',
  'harder.order': 'Achem uma ordem, para ter certeza de que não falta nenhum.',
  'atHome.sheet': 'Qualquer folha de papel serve, com feijões ou botões para separar.',
  'say.pattern': '“Que jeito vem logo depois deste?”',
  'play.finds': 'Participante {player} acha {a}\u00a0{sign}\u00a0{b}\u00a0=\u00a0{target}.',
  'play.turn': '“Dá para inverter?”',
};
