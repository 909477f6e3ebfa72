import type { Messages } from '~/core/words/message';

export const frameTrail: Messages = {
  name: 'Sendero de cuadros',
  goal: '{op, select, add {Sigan el sendero: llenen cuadros de diez, agreguen más y vean la suma. Números hasta {max}.} both {Sigan el sendero: llenen cuadros de diez, agreguen más y luego quiten las mismas. Números hasta {max}.} other {Sigan el sendero: llenen cuadros de diez, quiten algunas y vean lo que queda. Números hasta {max}.}}',
  'setUp.trail':
    'Pongan las hojas de cuadros una tras otra como un sendero, con una tarjeta de operación en cada una.',
  'setUp.numbers':
    'Pongan las hojas de cuadros una tras otra como un sendero, con una tarjeta de operación en cada una. Las tarjetas de signo están listas.',
  'setUp.counters': 'Pongan {max} fichas junto al sendero.',
  'turn.card': 'Vayan a la siguiente tarjeta y lean la operación.',
  'turn.first': 'Pongan el primer número, empezando por la fila de arriba de {five}: {a}, por ejemplo.',
  'turn.on': 'Sigan llenando con el otro color: {b} más.',
  'turn.off': 'Quiten {b}.',
  'turn.saySum': 'Miren los cuadros y díganlo: «{a} y {b} son {answer}».',
  'turn.sayLeft': 'Miren los cuadros y díganlo: «{a} menos {b} son {answer}».',
  'turn.undo':
    'Quiten las mismas {b} y díganlo: «{answer} menos {b} son {a}». Así lo dice la segunda operación de la tarjeta.',
  'turn.lay':
    'Pongan los signos de la operación con las tarjetas de signo, entre las fichas o los dedos: {signs}',
  'turn.sheet': 'En la hoja de problemas: dibujen los puntos en los cuadros y escriban el resultado.',
  'turn.draw': 'Al día siguiente: dibujen puntos en los cuadros en vez de poner fichas.',
  'end.trail':
    'Quiten las fichas antes de los siguientes cuadros. El sendero tiene {problems, plural, one {# problema} other {# problemas}}.',
  'easier.colours':
    'Sin tarjetas de operación: llenen unos cuadros con dos colores y digan cuántas hay de cada uno.',
  'harder.before': 'Digan el resultado antes de poner ninguna ficha.',
  'atHome.egg': 'Un cartón de huevos cortado en diez huecos también sirve de cuadros de diez.',
  'say.empty': '«¿Cuántos lugares están vacíos? ¿Cuántos faltan para {ten}?»',
  'play.add': 'Participante {player} pone {a} y agrega {b}: {answer}.',
  'play.both': 'Participante {player} pone {a}, agrega {b}: {answer}. Quita {b}: otra vez {a}.',
  'play.back': '«¿Cuántas teníamos antes? ¿Cómo lo sabes?»',
  'play.subtract': 'Participante {player} pone {a} y quita {b}: quedan {answer}.',
  'play.ten': '«¿Cuánto falta para {ten}?»',
  'play.see': '«¿Ves cuántas quedan?»',
};
