import type { Messages } from '~/core/words/message';

export const tileSums: Messages = {
  name: 'Somas no Dominó',
  goal: 'Uma peça de dominó tem duas pontas: quantos pontinhos ao todo? Somas até {limit}.',
  'setUp.tiles':
    'Virem as {tiles} peças de dominó para baixo e misturem. Nenhuma tem mais de {limit} pontinhos.',
  'turn.draw': 'Tirem uma peça e ponham sobre a folha.',
  'turn.count': 'Contem os pontinhos de cada ponta e depois todos.',
  'turn.say': 'Digam: “{a} e {b} são {answer}.”',
  'turn.write':
    'Quando dizer ficar fácil, escrevam ao lado da peça: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.pile': 'Parem quando as peças acabarem, ou quando a folha estiver cheia.',
  'easier.touch': 'Toquem cada pontinho uma vez; escrever pode esperar.',
  'harder.turn': 'Girem a peça: {b}\u00a0+\u00a0{a} é o mesmo que {a}\u00a0+\u00a0{b}?',
  'atHome.draw': 'Não há dominó? Desenhem pontinhos nas duas metades de um cartão dobrado.',
  'say.start': '“Aqui você vê {a}. Comece do {a} e continue contando.”',
  'play.tile': 'Participante {player} tira {a} e {b}: “{answer} ao todo.”',
  'play.double': '“As duas pontas são iguais. Uma dupla.”',
};
