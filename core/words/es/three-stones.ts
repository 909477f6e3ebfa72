import type { Messages } from '~/core/words/message';

export const threeStones: Messages = {
  name: 'Tres piedras',
  goal: '{sums, select, yes {Logren primero tres piedras en línea que sumen {target}.} other {Logren primero tres de sus piedras en línea.}}',
  'setUp.table': 'Pongan el tablero de nueve casillas entre ustedes.',
  'setUp.floor': 'Marquen con cinta en el piso un tablero de nueve casillas, cada una de un paso de ancho.',
  'setUp.stones': 'Cada participante toma {stones} piedras con la misma marca.',
  'turn.place': 'Por turnos, pongan una piedra en una casilla libre.',
  'turn.toss': 'Por turnos, lancen una piedra al tablero desde un paso de distancia.',
  'turn.taken': 'Una piedra en una casilla ocupada o fuera del tablero se pierde en este juego.',
  'turn.number': 'Digan el número de la casilla.',
  'turn.sum':
    'Una línea vale solo si sus tres números suman {target}: {a}\u00a0+\u00a0{b}\u00a0+\u00a0{c}, por ejemplo. ¿Suman {target} todas las líneas?',
  'turn.row':
    'Miren en horizontal, en vertical y en diagonal: ¿dónde podrían quedar {stones} de las suyas en línea?',
  'end.row': 'Quien tiene {stones} en línea ha terminado. Túrnense para empezar.',
  'end.sum':
    'Quien tiene una línea que suma {target} dice la operación y ha terminado. Túrnense para empezar.',
  'end.full': '¿Nadie? Entonces ganó el tablero, y juegan otra vez.',
  'easier.open': 'Comenten juntos cada jugada antes de poner la piedra.',
  'harder.say': 'Digan qué casilla necesitan antes de jugar.',
  'sideBySide.pattern':
    'No hace falta que alguien gane: llenen juntos el tablero sin que ninguna línea tenga una sola marca.',
  'younger.stones':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede repartir las piedras y contarlas al guardar.',
  'atHome.paper': 'Dibujen el tablero en papel y usen dos clases de botones o frijoles.',
  'say.two': '«Aquí tienes dos. ¿Qué falta?»',
  'play.stone': 'Participante {player} pone una piedra en la casilla {number}.',
  'play.number': 'Participante {player} toma el {number}.',
  'play.taken': 'Participante {player} cae en {number}, que está ocupada.',
  'play.row': 'Participante {player} tiene tres en línea (casillas {numbers}).',
  'play.sum': 'Participante {player} tiene una línea: {numbers}.',
  'play.look': '«¿Dónde podría crecer una línea?»',
  'play.need': '«¿Qué número necesitas ahora?»',
  'play.again': '«Esa está ocupada. La próxima, más suave».',
  'play.show': '«Muéstranos la línea».',
};
