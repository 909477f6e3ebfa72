import type { Messages } from '~/core/words/message';

export const numberNests: Messages = {
  name: 'Nidos de números',
  goal: 'Lleven cada tarjeta de suma a su nido: del {from} al {to}.',
  'setUp.nests': 'Pongan los nidos en orden, del {from} al {to}.',
  'setUp.cards':
    '{cards, plural, one {Pongan la # tarjeta de suma en la mesa, boca abajo.} other {Revuelvan las # tarjetas de suma y pónganlas en un montón, boca abajo.}}',
  'turn.card': 'Volteen la tarjeta de arriba y lean la suma en voz alta.',
  'turn.lay': 'Si quieren, pongan {a, plural, one {# ficha} other {# fichas}} de un color y {b} del otro.',
  'turn.nest': 'Digan el resultado y pongan la tarjeta en su nido: {a}\u00a0+\u00a0{b} va con el {answer}.',
  'turn.stray':
    '{strays, plural, one {# tarjeta no es} other {# tarjetas no son}} de ningún nido. Pongan a un lado las que no tienen nido.',
  'end.read': 'Cuando se acabe el montón, lean juntos un nido: todas sus sumas dan lo mismo.',
  'easier.two': 'Jueguen solo con dos nidos, empezando por el {from}.',
  'harder.missing': 'Tapen un número de la tarjeta: ¿{a} y cuántos más van con el {answer}?',
  'play.home': 'Participante {player} voltea {a}\u00a0+\u00a0{b} y lo lleva al nido {answer}.',
  'play.stray': 'Participante {player} voltea {a}\u00a0+\u00a0{b}: el {answer} no tiene nido aquí.',
};
