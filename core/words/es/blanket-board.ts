import type { Messages } from '~/core/words/message';

export const blanketBoard: Messages = {
  name: 'Tapen el tablero',
  goal: '{win, select, full {Saquen papelitos y tapen sus números hasta tapar un tablero entero.} other {Saquen papelitos y tapen sus números hasta tapar una línea.}}',
  'setUp.boards':
    'Den a cada niña o niño {boards, plural, one {# tablero} other {# tableros}} y {cells} fichas por tablero. Lean juntos los números.',
  'setUp.blank':
    'Cada niña o niño escribe {cells} números diferentes del {from} al {to} en {boards, plural, one {el tablero en blanco} other {cada uno de # tableros en blanco}} y toma {cells} fichas por tablero.',
  'setUp.slips': 'Doblen los {slips} papelitos o pónganlos boca abajo en un tazón.',
  'turn.draw': 'Saquen un papelito, digan el número y cuenten sus puntos: «{number}».',
  'turn.cover': 'Quien tiene el {number} en un tablero lo tapa con una ficha.',
  'turn.view': 'Dejen el papelito a la vista, para que nadie tenga que recordarlo.',
  'end.full': 'El primer tablero con sus {cells} casillas tapadas está terminado.',
  'end.line': 'El primer tablero con una línea tapada, horizontal, vertical o en diagonal, está terminado.',
  'end.on': 'Sigan hasta terminar todos los tableros: todo el mundo llega.',
  'easier.beside': 'Pongan el papelito junto al tablero: «¿Hay uno que se parezca a este?»',
  'harder.dots': 'Muestren solo los puntos del papelito y tapen el número.',
  'sideBySide.one': 'No hace falta que alguien gane: junten todos los tableros y tápenlos en equipo.',
  'younger.cover':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede sacar los papelitos y poner las fichas donde ustedes señalen.',
  'say.looks': '«¿Hay dudas? Pongamos el papelito al lado. ¿Se ven iguales?»',
  'say.missing': '«¿Qué números esperas todavía?»',
  'play.slip':
    'El papelito dice {number}; {covered, plural, =0 {ningún tablero lo tiene} one {# tablero lo tiene} other {# tableros lo tienen}}.',
  'play.full':
    'El papelito dice {number}: el tablero de participante {player} está terminado, después de {calls} papelitos.',
  'play.look': '«¿Hay uno que se parezca a este?»',
  'play.keep': '«Nadie lo necesita. Déjalo donde lo veamos».',
  'play.read': '«Léenos tus números».',
};
