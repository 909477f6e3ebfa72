import type { Messages } from '~/core/words/message';

export const biggerPile: Messages = {
  name: 'El montón más grande',
  goal: '{op, select, compare {Volteen cartas: ¿qué número es mayor?} add {Cada quien voltea dos cartas y las suma: ¿qué suma es mayor?} subtract {Cada quien voltea dos cartas: ¿qué diferencia es mayor?} other {Cada quien voltea dos cartas y las multiplica: ¿qué producto es mayor?}}',
  'setUp.remove': 'Saquen las jotas, reinas y reyes. El as vale uno.',
  'setUp.faces': 'Usen todas las cartas: el as vale uno, la jota {jack}, la reina {queen} y el rey {king}.',
  'setUp.discard': 'Usen todas las cartas. El as vale uno; las figuras se apartan cuando salen.',
  'setUp.pile': 'Revuelvan y pongan las cartas boca abajo en un montón al alcance de todos.',
  'setUp.deal':
    'Revuelvan y repartan todas las cartas boca abajo: cada quien tiene su montón y voltea de ahí.',
  'turn.turn':
    '{players, plural, =1 {Volteen {cards, plural, =1 {dos cartas, una de cada lado} other {# cartas}}.} other {Cada participante voltea {cards, plural, one {# carta} other {# cartas}}.}}',
  'turn.compare': 'Digan los dos números y cuál es mayor: «{a} es más que {b}».',
  'turn.add': 'Cada quien dice su suma: «{a} y {b} son {answer}». Luego digan cuál es mayor.',
  'turn.subtract': 'Cada quien dice su diferencia: «{a} menos {b} son {answer}». Luego digan cuál es mayor.',
  'turn.multiply': 'Cada quien dice su producto: «{a} por {b} es {answer}». Luego digan cuál es mayor.',
  'turn.signs': 'Pongan el signo entre los resultados, con el lado ancho hacia el mayor.',
  'turn.take': 'Las cartas van al montón del resultado mayor.',
  'turn.again': '¿Son iguales? Volteen otra vez; el siguiente resultado mayor se lleva todas las cartas.',
  'turn.keep': '¿Son iguales? Cada quien se queda con sus cartas.',
  'turn.aside': 'Si sale una figura, apártenla y volteen otra carta en su lugar.',
  'end.rounds':
    'Terminen después de {rounds, plural, one {# ronda} other {# rondas}}, cuando se acaben las cartas. ¿Qué montón es más grande? Primero adivinen y luego cuenten.',
  'turn.under': 'Las cartas van debajo del montón del resultado mayor.',
  'end.all':
    'Quien ya no puede voltear ha terminado. Paren cuando un montón tenga todas las cartas, o cuando sea suficiente: adivinen qué montón es más grande y luego cuenten.',
  'easier.build': 'Formen cada número con fichas, lado a lado, y miren.',
  'harder.more': 'Digan también cuánto más.',
  'sideBySide.together':
    'No hace falta que alguien gane: hagan juntos un solo montón y vean cuántas rondas pasan hasta que dos resultados sean iguales.',
  'say.muchMore': '«{a} o {b}: ¿cuál es más? ¿Cuánto más?»',
  'play.most': 'Salieron: {shown}. Participante {player} tiene el mayor, {answer}.',
  'play.tie': 'Salieron: {shown}. El resultado mayor, {answer}, sale dos veces.',
  'play.howMuch': '«¿Cuánto más es?»',
  'play.howSame': '«El mismo resultado. ¿Con las mismas cartas?»',
};
