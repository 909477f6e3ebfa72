import type { Messages } from '~/core/words/message';

export const gardenRows: Messages = {
  name: 'Surcos de dos colores',
  goal: '{way, select, count {Construyan la fila de la tarjeta y busquen sus dos números en el tapete. Hasta {max} cubos.} sum {Construyan la fila de la tarjeta y busquen en el tapete cuántos cubos tiene. Hasta {max}.} other {Construyan una fila cada quien: la más larga cubre su número en el tapete. Hasta {max} cubos.}}',
  'setUp.mat': 'Pongan el tapete en la mesa y lean juntos sus números.',
  'setUp.cubes': 'Pongan los cubos al lado, separados por color: {first} de un color y {second} de otro.',
  'setUp.cards': 'Revuelvan las {cards} tarjetas con dibujos y pónganlas boca abajo.',
  'setUp.chips': 'Tengan {cells, plural, one {# ficha} other {# fichas}} para cubrir las casillas.',
  'setUp.sides': 'Cada quien toma un lado de las fichas como su color.',
  'turn.build':
    'Volteen una tarjeta y construyan su fila: los cuadros oscuros de un color y los claros del otro.',
  'turn.both':
    'Cada quien voltea una tarjeta y construye su fila: los cuadros oscuros de un color y los claros del otro.',
  'turn.numbers':
    'Cuenten cada color: {a} y {b}, por ejemplo. Busquen la casilla con los dos números y cúbranla.',
  'turn.sum':
    'Cuenten cada color y digan cuántos son en total: «{a} y {b} son {answer}». Busquen el resultado y cubran una casilla.',
  'turn.longer':
    'Cada quien dice lo suyo: «{a} y {b} son {answer}». La fila más larga cubre una casilla con su resultado. ¿Son iguales? Cubren una cada quien.',
  'turn.apart': 'Desarmen la fila y regresen los cubos con los de su color.',
  'turn.draw': 'Al día siguiente: coloreen la fila en papel cuadriculado en vez de construirla.',
  'turn.write': 'Cuando ya sea fácil, escríbanlo: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.all':
    'Cuando las {cells} casillas estén cubiertas, quiten las fichas una por una y digan qué había debajo de cada una.',
  'end.rounds':
    'Terminen después de {rounds, plural, one {# ronda} other {# rondas}}, cuando se acaben las tarjetas. Adivinen quién cubrió más casillas y luego cuenten.',
  'easier.beside': 'Pongan la tarjeta junto al tapete y construyan encima de ella.',
  'harder.hide': 'Miren la tarjeta, pónganla boca abajo y construyan la fila de memoria.',
  'atHome.paper': 'Dos clases de frijoles o botones en fila sirven igual.',
  'say.turned': '«Si volteas la fila, ¿sigue siendo el mismo número?»',
  'play.count': 'Participante {player} construye {a} y {b}, y cubre la casilla con los dos números.',
  'play.sum': 'Participante {player} construye {a} y {b}: {answer}, y lo cubre.',
  'play.longer':
    'Una fila tiene {a} y {b}, la otra {c} y {d}: {answer} es más. Participante {player} lo cubre.',
  'play.same': 'Una fila tiene {a} y {b}, la otra {c} y {d}: las dos tienen {answer}, y las dos cubren una.',
  'play.which': '«¿Qué color tiene más? ¿Cuántos más?»',
  'play.see': '«¿Ves cuántos hay sin contar uno por uno?»',
  'play.measure': '«Pon las dos filas lado a lado. ¿Cuánto más larga es?»',
};
