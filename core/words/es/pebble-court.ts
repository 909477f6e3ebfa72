import type { Messages } from '~/core/words/message';

export const pebbleCourt: Messages = {
  name: 'Patio de piedritas',
  goal: 'Lancen una piedra, salten por el patio y digan cada número: del uno al {cells}.',
  'setUp.chalk': 'Dibujen con gis el patio de {cells} casillas y pónganles número.',
  'setUp.tape': 'Marquen con cinta en el piso el patio de {cells} casillas y pónganles número en papel.',
  'setUp.paper': 'Pongan el patio de {cells} casillas en la mesa: dos dedos son las piernas.',
  'setUp.growChalk':
    'Dibujen con gis las primeras {first} casillas del patio en medio de un lugar libre, una tras otra, y pónganles número.',
  'setUp.growTape':
    'Marquen con cinta las primeras {first} casillas del patio en medio del piso, una tras otra, y pónganles número en papel.',
  'setUp.growPaper':
    'Pongan el patio en la mesa: dos dedos son las piernas. Solo las primeras {first} casillas tienen número.',
  'setUp.stones': 'Cada quien busca una piedra plana o toma una de la bolsa.',
  'turn.throw':
    'Lancen su piedra a su siguiente casilla, empezando por la primera. ¿Cayó fuera? Sigue otra persona.',
  'turn.flick':
    'Desde el borde de la hoja, empujen su piedra con un dedo hasta su siguiente casilla, empezando por la primera. ¿Quedó fuera? Sigue otra persona.',
  'turn.hop': 'Salten de casilla en casilla con un pie, por encima de la casilla con su piedra.',
  'turn.branching':
    'Un pie en las casillas solas y los dos pies donde hay dos lado a lado; por encima de la casilla con su piedra.',
  'turn.hopBoth': 'Salten de casilla en casilla con los dos pies, por encima de la casilla con su piedra.',
  'turn.line': '¿Pisaron una raya? Termina su turno; la próxima vez empiezan ahí.',
  'turn.rest':
    'Marquen con una estrella {rest, plural, one {# casilla de descanso} other {# casillas de descanso}}: ahí se puede pisar con los dos pies.',
  'turn.grow': 'Quien cae en el último número pone el siguiente al lado, dando vueltas, hasta {cells}.',
  'turn.write':
    'Quien cae en el último número escribe el siguiente en su casilla con el lápiz, hasta {cells}.',
  'turn.say': 'Digan cada número al caer.',
  'turn.back': 'Al final den la vuelta, regresen contando hacia atrás y recojan su piedra.',
  'end.last':
    'El juego termina cuando alguien ha saltado con la piedra en {cells}. Sigan hasta que todos lleguen.',
  'easier.lay': 'Pongan la piedra en la casilla en vez de lanzarla.',
  'easier.feet': 'Salten con los dos pies y pongan la piedra en vez de lanzarla.',
  'harder.twos': 'Caigan solo en una casilla sí y otra no, y cuenten con saltos de {step}.',
  'sideBySide.relay':
    'No hace falta que alguien gane: una piedra para todos, y cada quien salta la casilla que sigue.',
  'younger.walks':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede caminar por el patio y decir los números con ustedes.',
  'atHome.tape': 'Si llueve: cinta en el piso, o el patio impreso en la mesa con dos dedos.',
  'say.where': '«¿Dónde está tu piedra? ¿Qué número te saltas?»',
  'say.before': '«¿Qué número va justo antes?»',
  'play.hops': 'Participante {player} acierta en {cell} y salta de ida y vuelta.',
  'play.misses': 'Participante {player} lanza fuera del {cell}; sigue otra persona.',
  'play.next': '«¿Qué número sigue?»',
  'play.aim': '«Más bajo y más despacio. La próxima vez sale».',
};
