import type { Messages } from '~/core/words/message';

export const rowCall: Messages = {
  name: 'Cantar en fila',
  goal: '{win, select, line {Oigan un número y volteen su carta: ¿quién tiene primero una línea?} other {Oigan un número y volteen su carta, hasta voltearlas todas.}}',
  'setUp.remove': 'Saquen las jotas, reinas y reyes: quedan {cards} cartas. El as vale uno.',
  'setUp.grid': 'Cada participante pone {cards} cartas boca arriba en {rows} filas de {rows}.',
  'setUp.rest': 'Quien canta toma las cartas que sobran, boca abajo.',
  'setUp.second': 'Quien canta toma una segunda baraja, boca abajo, sin jotas, reinas ni reyes.',
  'turn.call': 'Quien canta voltea una carta y dice su número, por ejemplo «{number}».',
  'turn.all': 'Volteen todas las cartas con el {number} en su cuadro.',
  'turn.fullest':
    'Volteen una sola carta con el {number} en su cuadro: la de la línea con más cartas volteadas.',
  'turn.any': 'Volteen una sola carta con el {number} en su cuadro; elijan cuál.',
  'turn.reading': 'Volteen una sola carta con el {number} en su cuadro: la primera, leyendo desde arriba.',
  'turn.caller': 'Después de cada carta pasen el montón: todos cantan por turnos.',
  'turn.check': 'Miren los cuadros de los demás: ¿todos encontraron las suyas?',
  'end.line':
    'Quien tiene {cards} cartas volteadas en línea horizontal, vertical o en diagonal, ha terminado.',
  'end.full': 'Quien ha volteado las {cards} cartas ha terminado.',
  'end.none': 'Si antes se acaban las cartas para cantar, cuenten juntos las cartas volteadas.',
  'easier.five': 'Usen solo las cartas hasta el {number} y muestren la carta cantada.',
  'harder.more': 'Quien canta dice el número que es {more} más; volteen la carta que salió de verdad.',
  'sideBySide.one': 'No hace falta que alguien gane: hagan un solo cuadro y volteen las cartas entre todos.',
  'say.look': 'Pongan la carta cantada junto al cuadro: «¿Hay una que se parezca a este {number}?»',
  'say.almost': '«¿Qué número quieres que salga ahora? ¿Por qué?»',
  'play.call':
    'Quien canta dice {number}; {matches, plural, =0 {nadie lo tiene} one {se voltea # carta} other {se voltean # cartas}}.',
  'play.finishes':
    'Quien canta dice {number}: participante {player} terminó, después de {calls, plural, one {# carta} other {# cartas}}.',
  'play.look': '«¿Todos encontraron las suyas?»',
  'play.none': '«Nadie lo tiene. ¿Qué número quieren que salga?»',
  'play.show': '«Muéstranos tu línea».',
};
