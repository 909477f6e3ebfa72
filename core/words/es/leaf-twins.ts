import type { Messages } from '~/core/words/message';

export const leafTwins: Messages = {
  name: 'Hojas gemelas',
  goal: 'Encuentren para cada número, hasta el {count}, la figura con esa cantidad de puntos.',
  'setUp.board':
    'Pongan el tablero en la mesa con los puntos hacia arriba: {count} siluetas, cada una con distinta cantidad de puntos.',
  'setUp.spread': 'Extiendan las {count} figuras con los números hacia arriba y revuélvanlas.',
  'turn.take': 'Tomen una figura y digan su número.',
  'turn.count':
    'Busquen la silueta con esa cantidad de puntos. Toquen cada punto una vez y cuenten en voz alta.',
  'turn.lay': 'Pongan la figura sobre su gemela.',
  'end.all': 'Cuando las {count} figuras tengan su gemela, lean los números en orden.',
  'easier.five': 'Empiecen con las figuras hasta el {number}; agreguen una más cada día.',
  'harder.back':
    'Para una niña o un niño mayor, volteen el tablero: pongan un total arriba del triángulo y sus dos partes abajo, por ejemplo {whole} con {a} y {b}.',
  'younger.match':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede buscar la gemela de la figura que ustedes muestran: «¿Hay una que se parezca a esta?»',
  'say.touch': '«Toca cada punto. Di un número por cada toque».',
  'play.lay':
    'Participante {player} toma el {number} y lo pone sobre la silueta con {number, plural, one {# punto} other {# puntos}}.',
  'play.count': '«¿Cuáles cinco ves primero? ¿Cuántos más hay?»',
  'play.see': '«¿Contaste o lo viste de una vez?»',
};
