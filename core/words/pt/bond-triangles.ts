import type { Messages } from '~/core/words/message';

export const bondTriangles: Messages = {
  name: 'Triângulos do Todo',
  goal: 'Duas partes e um todo, até {whole}: qual está debaixo do polegar?',
  'setUp.pile':
    'Façam um monte com {cards, plural, one {o # cartão triangular} other {os # cartões triangulares}}, virados para baixo.',
  'turn.cover': 'Segurem um cartão com o polegar em cima de uma ponta.',
  'turn.whole': 'O polegar está sobre o todo, no alto. Aparecem {a} e {b}: “Quanto é ao todo?” ({whole})',
  'turn.part': 'O polegar está sobre uma parte. Aparecem {whole} e {b}: “Que parte está escondida?” ({a})',
  'turn.any':
    'O polegar pode estar em qualquer ponta. Aparecem {a} e {b}: “Quanto é ao todo?” ({whole}) Aparecem {whole} e {b}: “Que parte está escondida?” ({a})',
  'turn.lay': 'Estão em dúvida? Montem o todo com fichas e virem algumas para formar as partes.',
  'turn.sentences':
    'Digam o que o cartão conta: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{whole} e {whole}\u00a0−\u00a0{a}\u00a0=\u00a0{b}. Dá para inverter as contas?',
  'end.pile': 'Parem quando o monte acabar, ou quando já bastar por hoje.',
  'easier.draw': 'Desenhem um triângulo e ponham pontinhos nas pontas.',
  'harder.write': 'Escrevam todas as contas de um cartão sem ajuda.',
  'say.story': '“Havia {whole} passarinhos, {a} voaram. O que ficou?” Uma historinha ajuda.',
  'play.whole': 'Participante {player} vê {a} e {b}: “{whole} ao todo.”',
  'play.part': 'Participante {player} vê {seen} e o todo, {whole}: “{hidden} está escondido.”',
  'play.lay': '“Monte o todo. Vire o que você vê. O que fica?”',
};
