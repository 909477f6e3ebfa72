import type { Messages } from '~/core/words/message';

export const stackAndFind: Messages = {
  name: 'Apila y encuentra',
  goal: 'Vean un número, constrúyanlo y encuéntrenlo: números hasta el {to}.',
  'setUp.blocks': 'Pongan {blocks} bloques en medio y cuéntenlos juntos.',
  'setUp.cards': 'Revuelvan las tarjetas de número hasta el {to} y pónganlas boca abajo.',
  'setUp.spinner':
    'Pongan la ruleta sobre la mesa, con números hasta el {to}. Sujeten un clip en el centro con la punta de un lápiz.',
  'setUp.frames': 'Extiendan las tarjetas de cuadros hasta el {to}, boca arriba.',
  'setUp.frameCards': 'Revuelvan las tarjetas de cuadros hasta el {to} y pónganlas boca abajo.',
  'setUp.frameSpinner':
    'Pongan sobre la mesa la ruleta con los cuadros hasta el {to}. Sujeten un clip en el centro con la punta de un lápiz.',
  'setUp.numerals': 'Extiendan las tarjetas de número del {none} al {to}, boca arriba.',
  'turn.card': 'Volteen una tarjeta y digan su número, por ejemplo «{number}».',
  'turn.spin': 'Hagan girar el clip y digan el número que señala, por ejemplo «{number}».',
  'turn.frame': 'Volteen una tarjeta de cuadros: ¿cuántos puntos muestra?',
  'turn.spinFrame': 'Hagan girar el clip: ¿cuántos puntos muestran los cuadros que señala?',
  'turn.build':
    'Tomen esa cantidad de bloques, uno por uno, contando en voz alta, y apílenlos: {number} bloques para el {number}.',
  'turn.find': 'Encuentren la tarjeta de cuadros que muestra la misma cantidad.',
  'turn.numeral': 'Apilen los bloques sobre el número que dice esa cantidad.',
  'turn.stand': 'Dejen la torre en pie. ¿Cuál será su vecina?',
  'end.all': 'Terminen cuando hayan construido los {numbers} números, o cuando sea suficiente.',
  'easier.fingers': 'Muestren primero el número con los dedos y pongan un bloque junto a cada dedo.',
  'easier.beside': 'Pongan los bloques junto a los puntos de la tarjeta, uno con uno.',
  'harder.strip':
    '¿Terminaron pronto? Unan todos los bloques en una tira y cuéntenla hasta el final y de regreso.',
  'say.touch': '«Toca cada bloque una vez. ¿Cuál fue el último número que dijiste?»',
  'play.find': 'Participante {player} construye {number} y encuentra su tarjeta de cuadros.',
  'play.stack':
    'Participante {player} ve {number, plural, one {# punto} other {# puntos}} y apila {number} sobre el número.',
  'play.build': 'Participante {player} construye {number}.',
  'play.tower': 'Participante {player} construye la torre de {number} y la deja en pie.',
  'play.zero': '«Ningún bloque. Eso también es un número: cero».',
  'play.again': '«Este ya lo conoces. ¿Lo ves sin contar?»',
};
