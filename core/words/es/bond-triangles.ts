import type { Messages } from '~/core/words/message';

export const bondTriangles: Messages = {
  name: 'Triángulos de partes',
  goal: 'Dos partes y un total, hasta {whole}: ¿cuál está debajo del pulgar?',
  'setUp.pile':
    'Pongan {cards, plural, one {la # tarjeta triangular} other {las # tarjetas triangulares}} en un montón, boca abajo.',
  'turn.cover': 'Muestren una tarjeta con el pulgar sobre una esquina.',
  'turn.whole': 'El pulgar está sobre el total, arriba. Se ven {a} y {b}: «¿Cuántos son en total?» ({whole})',
  'turn.part': 'El pulgar está sobre una parte. Se ven {whole} y {b}: «¿Qué parte se esconde?» ({a})',
  'turn.any':
    'El pulgar puede estar en cualquier esquina. Se ven {a} y {b}: «¿Cuántos son en total?» ({whole}) Se ven {whole} y {b}: «¿Qué parte se esconde?» ({a})',
  'turn.lay': 'Si hay dudas, formen el total con fichas y volteen algunas para hacer las partes.',
  'turn.sentences':
    'Digan lo que cuenta la tarjeta: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{whole} y {whole}\u00a0−\u00a0{a}\u00a0=\u00a0{b}. ¿Se pueden dar vuelta las operaciones?',
  'end.pile': 'Terminen cuando se acabe el montón, o cuando ya sea suficiente por hoy.',
  'easier.draw': 'Dibujen un triángulo y pongan puntos en sus esquinas.',
  'harder.write': 'Escriban todas las operaciones de una tarjeta sin ayuda.',
  'say.story': '«Había {whole} pájaros y {a} se fueron volando. ¿Cuántos quedan?» Un cuento corto ayuda.',
  'play.whole': 'Participante {player} ve {a} y {b}: «{whole} en total».',
  'play.part': 'Participante {player} ve {seen} y el total, {whole}: «Se esconde el {hidden}».',
  'play.lay': '«Forma el total. Voltea lo que ves. ¿Cuántos quedan?»',
};
