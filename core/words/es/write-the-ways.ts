import type { Messages } from '~/core/words/message';

export const writeTheWays: Messages = {
  name: 'Escriban las maneras',
  goal: '¿Cuántas operaciones dan {target}? Escriban todas las maneras que encuentren.',
  'setUp.target': 'Escriban {target} arriba en la hoja.',
  'setUp.signs': 'Se pueden usar estos signos: {signs}',
  'turn.lay': 'Pongan {target} fichas y sepárenlas, o usen las cartas de un juego que acaban de jugar.',
  'turn.say': 'Digan una manera: «{a}\u00a0{sign}\u00a0{b} da {target}».',
  'turn.write': 'Cuando decirlo ya sea fácil, escríbanla en el siguiente renglón.',
  'turn.ordered': 'Una operación al revés es otra manera: escriban las dos.',
  'turn.unordered': 'Una operación al revés es la misma manera: escríbanla una vez.',
  'end.compare':
    'Volteen la hoja: en total hay {ways, plural, one {# manera} other {# maneras}}. Marquen las que encontraron y prueben una que falte.',
  'easier.dots': 'Dibujen puntos de dos colores en vez de escribir números.',
  'harder.order': 'Busquen un orden para estar seguros de que no falta ninguna.',
  'atHome.sheet': 'Sirve cualquier hoja de papel, con frijoles o botones para separar.',
  'say.pattern': '«¿Qué manera sigue después de esta?»',
  'play.finds': 'Participante {player} encuentra {a}\u00a0{sign}\u00a0{b}\u00a0=\u00a0{target}.',
  'play.turn': '«¿Puedes darle la vuelta?»',
};
