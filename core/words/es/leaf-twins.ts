import type { Messages } from '~/core/words/message';

export const leafTwins: Messages = {
  name: 'Hojas gemelas',
  goal: '{twins, select, dots {Encuentren para cada número, hasta el {most}, la silueta con esa cantidad de puntos.} numerals {Encuentren la gemela de cada número, hasta el {most}.} other {Encuentren la letra minúscula para cada una de {count} letras mayúsculas.}}',
  'setUp.board':
    'Pongan el tablero en la mesa con los puntos hacia arriba: {count} siluetas, cada una con distinta cantidad de puntos.',
  'setUp.boardNumbers': 'Pongan el tablero en la mesa: {count} siluetas, cada una con un número.',
  'setUp.boardLetters': 'Pongan el tablero en la mesa: {count} siluetas, cada una con una letra minúscula.',
  'setUp.letters': 'Extiendan las {count} figuras con las mayúsculas hacia arriba y revuélvanlas.',
  'setUp.spread': 'Extiendan las {count} figuras con los números hacia arriba y revuélvanlas.',
  'turn.take': 'Tomen una figura y digan su número.',
  'turn.takeLetter': 'Tomen una figura, digan su letra y síganla con un dedo.',
  'turn.same': 'Busquen la silueta con el mismo número y díganlo otra vez.',
  'turn.small': 'Busquen la silueta con la minúscula de esa letra.',
  'turn.count':
    'Busquen la silueta con esa cantidad de puntos. Toquen cada punto una vez y cuenten en voz alta.',
  'turn.lay': 'Pongan la figura sobre su gemela.',
  'end.all': 'Cuando las {count} figuras tengan su gemela, lean los números en orden.',
  'end.letters': 'Cuando las {count} figuras tengan su gemela, digan las letras una tras otra.',
  'easier.few':
    'Empiecen con {number, plural, one {# figura y su silueta} other {# figuras y sus siluetas}}; agreguen una más cada día.',
  'easier.five': 'Empiecen con las figuras hasta el {number}; agreguen una más cada día.',
  'harder.back':
    'Para una niña o un niño mayor, volteen el tablero: pongan un total arriba del triángulo y sus dos partes abajo, por ejemplo {whole} con {a} y {b}.',
  'harder.faceDown': 'Pongan las figuras boca abajo: volteen una, busquen su gemela y volteen la siguiente.',
  'younger.match':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede buscar la gemela de la figura que ustedes muestran: «¿Hay una que se parezca a esta?»',
  'say.letter': '«¿Qué palabra empieza con esta letra?»',
  'say.look': '«¿En qué te fijas primero? ¿Cuál se parece mucho?»',
  'say.touch': '«Toca cada punto. Di un número por cada toque».',
  'play.lay':
    'Participante {player} toma el {number} y lo pone sobre la silueta con {number, plural, one {# punto} other {# puntos}}.',
  'play.same': 'Participante {player} toma el {number} y lo pone sobre la silueta con {number}.',
  'play.letter': 'Participante {player} toma la {capital} y la pone sobre la silueta con {small}.',
  'play.begins': '«¿Qué nombre empieza así?»',
  'play.alike': '«¿Cuál otra se le parece un poco? ¿En qué es diferente?»',
  'play.count': '«¿Cuáles cinco ves primero? ¿Cuántos más hay?»',
  'play.see': '«¿Contaste o lo viste de una vez?»',
};
