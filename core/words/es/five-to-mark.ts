import type { Messages } from '~/core/words/message';

export const fiveToMark: Messages = {
  name: 'Cinco a la meta',
  goal: 'Lleguen al número de la meta con dos o más de las {laid} cartas de la mesa.',
  'setUp.numbers': 'Saquen las jotas, reinas y reyes. El as vale uno.',
  'setUp.faces': 'El as vale uno, la jota {jack}, la reina {queen} y el rey {king}.',
  'setUp.jokers': 'Dejen dos comodines; cada uno vale {joker}.',
  'setUp.lay': 'Revuelvan y pongan {laid} cartas boca arriba en una fila.',
  'turn.target': 'Volteen una carta más: esa es la meta.',
  'turn.two':
    'Lleguen a ella con dos o más de las {laid} cartas, cada una una sola vez. Se pueden usar estos signos: {signs}',
  'turn.say': 'Digan la manera y muestren las cartas, por ejemplo: {way}\u00a0=\u00a0{target}.',
  'turn.whole': 'Cada paso da un número entero y no menor que {zero}.',
  'turn.none': '¿Nadie encuentra una manera? Algunas metas no tienen: volteen otra.',
  'end.used':
    'Pongan cartas nuevas solo en lugar de las que usaron y volteen otra meta. Si se acaba el montón, revuelvan las que quedaron a un lado.',
  'end.all': 'Pongan cartas nuevas para cada meta.',
  'end.rounds': 'Terminen después de {rounds, plural, one {# meta} other {# metas}}.',
  'easier.counters': 'Usen solo dos cartas y formen sus números con fichas.',
  'harder.more': 'Busquen una segunda manera, con más cartas.',
  'say.start': '«¿Qué carta está cerca de la meta? ¿Cuánto le falta?»',
  'play.reaches': 'Cartas {laid}, meta {target}. Participante {player} dice: {way}\u00a0=\u00a0{target}.',
  'play.none': 'Cartas {laid}, meta {target}. Participante {player} busca, y no hay manera.',
  'play.how': '«¿Por dónde empezaste?»',
  'play.new': '«Buscaste muy bien. Esta no tiene manera; volteemos otra meta».',
};
