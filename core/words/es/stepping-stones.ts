import type { Messages } from '~/core/words/message';

export const steppingStones: Messages = {
  name: 'Piedras del camino',
  goal: '{back, select, none {Tiren, salten y digan cada número, desde la primera piedra hasta {length}.} other {Tiren, salten y digan cada número, hasta {length} y de regreso.}}',
  'setUp.felt':
    'Pongan las {length} piedras de fieltro en orden, con los números hacia arriba, y peguen cada una.',
  'setUp.feltBlank': 'Pongan las {length} piedras de fieltro en blanco una tras otra y peguen cada una.',
  'setUp.chalk': 'Dibujen con gis {length} piedras en fila o en curva y pónganles número.',
  'setUp.chalkBlank': 'Dibujen con gis {length} piedras en fila o en curva, grandes para escribir en ellas.',
  'setUp.table': 'Pongan el camino con sus {length} piedras en la mesa y tomen una ficha cada quien.',
  'setUp.laysNumbers':
    'La niña o el niño pone las tarjetas de número sobre las piedras en blanco, en orden, y las lee.',
  'setUp.laysDots':
    'La niña o el niño pone las tarjetas de puntos sobre las piedras en blanco, de menos a más puntos, y los cuenta.',
  'setUp.writesNumbers':
    'La niña o el niño escribe los números en las piedras en blanco, en orden, y los lee.',
  'setUp.writesDots':
    'La niña o el niño dibuja los puntos en las piedras en blanco, desde un punto hasta {length}, y los cuenta.',
  'setUp.start': 'Todos empiezan junto al camino, no encima.',
  'turn.roll':
    '{dice, plural, one {Tiren el dado y digan el número.} other {Tiren los # dados y digan cuántos son en total.}}',
  'turn.hop': 'Salten esa cantidad de piedras y digan en voz alta el número de cada piedra.',
  'turn.move': 'Avancen esa cantidad de piedras y digan en voz alta el número de cada piedra.',
  'turn.say': 'Digan qué pasó: «De {before}, {rolled} más: {stone}».',
  'turn.back': 'De regreso: «De {stone}, {rolled} menos: {before}».',
  'turn.difference':
    'De regreso, resten el número menor del mayor: de {b} a {a} hay {rolled}. Avancen esa cantidad de piedras.',
  'turn.together': '¿Dos en una piedra? Hay lugar para las dos personas: digan juntas el número.',
  'turn.further':
    '¿Dos en una piedra? Quien llega al último avanza una piedra más, hasta que haya una libre.',
  'turn.write':
    'Cuando saltar ya sea fácil, alguien lo escribe: {before}\u00a0+\u00a0{rolled}\u00a0=\u00a0{stone}.',
  'end.reach': 'Quien llega a {length} o se pasa ha llegado. Sigan hasta que lleguen todos.',
  'end.exact': 'Para llegar a {length} la tirada debe ser exacta: si se pasa, quédense donde están.',
  'end.back': 'En la última piedra den la vuelta y regresen por el mismo camino.',
  'easier.five': 'Jueguen solo con las primeras {number} piedras y salten juntos.',
  'harder.before': 'Antes de saltar, digan dónde van a caer.',
  'sideBySide.together':
    'No hace falta que alguien gane: avancen todos juntos con una sola tirada y cuenten cuántas tiradas hacen falta.',
  'atHome.paperStones':
    'Sin las piedras: hojas de papel con números, pegadas al piso, o una fila de cuadros en la mesa.',
  'say.number': '«¿En qué número estás? ¿Cuál sigue?»',
  'play.forward': 'Participante {player} está en {before}, saca {rolled} y cae en {stone}.',
  'play.back': 'Participante {player} regresa desde {before}, saca {rolled} y cae en {stone}.',
  'play.further':
    'Participante {player} está en {before}, saca {rolled}, encuentra a alguien ahí y sigue hasta {stone}.',
  'play.apart':
    'Participante {player} regresa desde {before}, saca {a} y {b} y avanza {rolled} hasta {stone}.',
  'play.waits': 'Participante {player} está en {before}, saca {rolled} y se queda: se pasaría.',
  'play.home': 'Participante {player} saca {rolled} desde {before} y ha llegado a {stone}.',
  'play.next': '«¿Dónde estarás si sacas uno más?»',
  'play.need': '«¿Qué número necesitas? {need}».',
  'play.all': '«Sigamos hasta que lleguen todos».',
};
