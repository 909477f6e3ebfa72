import type { Messages } from '~/core/words/message';

export const twoToneSpill: Messages = {
  name: 'Vuelca y separa',
  goal: 'Encuentren las maneras de formar {counters} con dos partes.',
  'setUp.cup':
    'Pongan {counters, plural, one {# ficha de dos colores} other {# fichas de dos colores}} en el vaso. Cuéntenlas en voz alta al meterlas.',
  'setUp.sheet':
    '{players, plural, =1 {Tomen una hoja de registro con {spills, plural, one {# renglón} other {# renglones}}.} other {Cada participante toma una hoja de registro con {spills, plural, one {# renglón} other {# renglones}}.}}',
  'turn.spill': 'Agiten el vaso y vuelquen las fichas con cuidado sobre la mesa.',
  'turn.sort': 'Separen las fichas por color en dos grupos, sobre las dos partes del tapete.',
  'turn.say': 'Digan cuántas hay de cada color y cuántas hay en total: «{a} y {b} son {counters}».',
  'turn.draw':
    'Dibujen los puntos de los dos grupos en el siguiente renglón de la hoja. Los primeros días basta con esto.',
  'turn.write':
    'Cuando ya les resulte fácil, escriban también los números: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{counters}.',
  'turn.ordered': '{a} y {b} es una manera; {b} y {a} es otra manera.',
  'turn.unordered': '{a} y {b} es la misma manera que {b} y {a}.',
  'turn.pass': 'Guarden las fichas en el vaso y pásenlo a la siguiente persona.',
  'end.rows':
    '{players, plural, =1 {Terminen después de {spills, plural, one {# tirada} other {# tiradas}}.} other {Terminen cuando cada participante haya hecho {spills, plural, one {# tirada} other {# tiradas}}.}}',
  'end.look':
    'Miren juntos la hoja: ¿qué manera salió más veces? Hay {ways} maneras en total; no hace falta encontrarlas todas.',
  'end.turnOver':
    'Ahora volteen las fichas, una por una, y escriban las maneras que faltan. Hay {ways} maneras en total.',
  'easier.fewer': 'Jueguen con {counters, plural, one {# ficha} other {# fichas}}.',
  'easier.sort': 'Solo separen y cuenten cada color; decir el total puede esperar.',
  'harder.more': 'Jueguen con {counters, plural, one {# ficha} other {# fichas}}.',
  'harder.hide': 'Tapen un color con la mano. ¿Cuántas fichas se esconden?',
  'sideBySide.own':
    'No hace falta que alguien gane: con {counters, plural, one {# ficha} other {# fichas}} para cada quien, jueguen al mismo tiempo y vean entre todos cuántas de las {ways} maneras encuentran.',
  'younger.line':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede volcar el vaso y poner cada color en fila para contarlo.',
  'atHome.instead':
    'Sin las fichas: {counters} cuadritos de papel coloreados por un lado, o tapas de botella, sirven igual.',
  'say.part': '¿Dijo solo un número? «Viste {a} de un color. ¿Cuántas hay del otro?»',
  'say.check': '¿Hay dudas? «Vamos a tocar y contar cada una». Las fichas dan la respuesta.',
  'say.more': '«¿Se puede formar de otra manera?»',
  'caution.small':
    'Piezas pequeñas: manténganlas lejos de menores de {years} años. Al guardar, cuenten las {counters} fichas.',
  'play.spill':
    'Participante {player} vuelca las fichas: {a} de un color y {b} del otro. «{a} y {b} son {counters}».',
  'play.turnOver':
    'Participante {player} voltea fichas para formar una manera que falta: «{a} y {b} son {counters}».',
  'play.new': 'Esa manera es nueva: «Anótala. ¿Cuál podría salir ahora?»',
  'play.again': 'Esa manera ya salió: «¿Dónde está en tu hoja? ¿Por qué sale tantas veces?»',
  'play.allOne': 'Todas de un solo color: «Ninguna del otro. ¿Cómo escribimos ninguna?»',
  'sheet.both': 'En total: {counters}',
};
