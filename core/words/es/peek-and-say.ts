import type { Messages } from '~/core/words/message';

export const peekAndSay: Messages = {
  name: 'Mira y di',
  goal: 'Una mirada corta y se tapa: ¿cuántos había? Hasta {max}.',
  'setUp.cards': 'Revuelvan las {cards} tarjetas de puntos y pónganlas boca abajo.',
  'setUp.cover': 'Tengan listo el paño, o la mano.',
  'setUp.shield': 'Corten un lado de una caja de cereal: es la pantalla que esconde la tarjeta.',
  'turn.show':
    'Digan «Listos, miren» y muestren una tarjeta durante {seconds, plural, one {# segundo} other {# segundos}}: cuenten despacio en silencio.',
  'turn.cover': 'Tápenla. Nadie habla antes de que esté tapada.',
  'turn.say': 'Pregunten: «¿Cuántos viste?» Por ejemplo: «{number}».',
  'turn.sayTwo':
    'Pregunten: «¿Cuántos en cada grupo y cuántos en total?» Por ejemplo: «{a} y {b}: {answer}».',
  'turn.again': '¿Hay duda? Miren una vez más, el mismo tiempo, y díganlo otra vez.',
  'turn.writeTwo': 'Escriban los dos números y la suma: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'turn.look': 'Miren otra vez juntos. La tarjeta da la respuesta.',
  'turn.write': 'Escriban el número.',
  'end.pile': 'Terminen cuando se acabe el montón o cuando los ojos se cansen.',
  'easier.longer': 'Dejen la tarjeta a la vista hasta que la niña o el niño responda.',
  'harder.draw': 'Dibujen lo que vieron, en la misma posición, antes de volver a mirar.',
  'younger.fingers':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede mostrar esa cantidad de dedos.',
  'atHome.beans': 'Sin tarjetas: pongan frijoles en un plato y tápenlo con un tazón.',
  'say.fingers': '¿Hay duda? «Muestra con los dedos lo que viste». Luego miren otra vez: ¿hay {number}?',
  'say.saw': '¿Dijo un solo grupo? «Viste {a} de un lado. ¿Qué había del otro?»',
  'play.one': 'Participante {player} mira y dice {number}.',
  'play.two': 'Participante {player} mira y dice: {a} y {b}, {answer} en total.',
  'play.how': '«¿Cómo lo viste tan rápido?»',
  'play.part': '«Viste {a}. ¿Y lo demás?»',
};
