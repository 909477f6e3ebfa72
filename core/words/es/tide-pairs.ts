import type { Messages } from '~/core/words/message';

export const tidePairs: Messages = {
  name: 'Parejas de la marea',
  goal: '{target, select, same {Encuentren cartas iguales.} other {Encuentren dos cartas que juntas formen {target}.}}',
  'setUp.all': 'Usen las {kept} cartas.',
  'setUp.take':
    'Saquen {faces, select, none {} JQK {las jotas, reinas y reyes} QK {las reinas y los reyes} JK {las jotas y los reyes} JQ {las jotas y reinas} K {los reyes} Q {las reinas} other {las jotas}}{numbers, select, none {} other {{faces, select, none {} other { y }}todas las cartas de {numbers}}}: no tienen pareja. {kept, plural, one {Queda # carta} other {Quedan # cartas}}.',
  'setUp.ace': 'El as vale {one}.',
  'setUp.zero': '{card, select, jack {Las jotas} other {Las reinas}} valen {zero}.',
  'setUp.leftover':
    '{leftover, plural, one {# carta de esta baraja no tiene} other {# cartas de esta baraja no tienen}} pareja: {leftover, plural, one {sáquenla} other {sáquenlas}} antes de empezar.',
  'setUp.deal': 'Repartan {hand} cartas a cada participante. Pongan el resto en medio, boca abajo.',
  'setUp.video':
    'En una videollamada cada quien necesita su propia baraja. Cada quien toma {hand} cartas de su montón.',
  'turn.lay': 'Bajen dos cartas que formen {target} y díganlas: «{a} y {b} son {target}».',
  'turn.laySame': 'Bajen dos cartas iguales y digan su número.',
  'turn.threes': 'También se pueden bajar tres cartas que formen {target}.',
  'turn.ask': 'Elijan una de sus cartas, por ejemplo {own}, y pregunten a los demás: «¿Tienes un {wanted}?»',
  'turn.askOne':
    'Elijan una de sus cartas, por ejemplo {own}, y pregunten a un solo participante: «¿Tienes un {wanted}?»',
  'turn.give': 'Quien tiene la carta la da, y bajan su pareja.',
  'turn.video': 'Si alguien muestra un {wanted}, busquen un {wanted} en su propio montón y bajen su pareja.',
  'turn.drawNow': 'Si nadie la tiene, tomen una carta del montón. La pareja que forme se baja enseguida.',
  'turn.drawLater':
    'Si nadie la tiene, tomen una carta del montón. La pareja que forme espera hasta el próximo turno.',
  'turn.refill': 'Si se quedan sin cartas, tomen {refill} cartas nuevas del montón.',
  'turn.out': 'Si se quedan sin cartas, ya terminaron: ayuden a los demás.',
  'end.all':
    'La marea ha subido cuando no queda ninguna carta que pueda tener pareja. Cuenten juntos las parejas.',
  'easier.open': 'Jueguen con las cartas boca arriba sobre la mesa.',
  'harder.picture': 'Antes de preguntar, digan cómo saben qué carta falta, sin contar de uno en uno.',
  'say.hands': '«Tienes {own}. ¿Cuántos faltan para {target}? Muéstralo con los dedos».',
  'say.same': '«Tienes un {own}. ¿Quién podría tener otro igual?»',
  'play.laysAll': 'Participante {player} baja todo lo que tiene.',
  'play.gets': 'Participante {player} tiene {own}, pide {wanted} y lo recibe.',
  'play.draws': 'Participante {player} tiene {own}, pide {wanted} y tiene que tomar una carta del montón.',
  'play.only': 'Participante {player} no tiene qué pedir y toma una carta, si hay.',
  'play.asks': 'Participante {player} tiene {own} y pide {wanted}; nadie lo tiene y el montón se acabó.',
  'play.sum': '«{own} y {wanted}: ¿van juntos? Muéstrame».',
  'play.missing': '«Tienes {own}. ¿Qué falta?»',
};
