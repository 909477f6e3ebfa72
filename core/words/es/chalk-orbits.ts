import type { Messages } from '~/core/words/message';

export const chalkOrbits: Messages = {
  name: 'Órbitas de gis',
  goal: '{op, select, alone {Lancen saquitos de dos colores a círculos con números, sumen cada color y comparen las sumas.} add {Lancen saquitos a círculos con números y sumen lo que acertó su equipo.} other {Lancen saquitos a círculos con números y multipliquen lo que acertó su equipo.}}',
  'setUp.circles':
    'Dibujen con gis {circles} círculos de unos {cm} centímetros de ancho y escriban un número en cada uno.',
  'setUp.sizes':
    'Hagan más pequeños los círculos con los números mayores: {small, plural, one {# de ellos} other {# de ellos}}, de {cm} centímetros de ancho.',
  'setUp.fields':
    'Dibujen {fields, plural, =1 {un campo} other {# campos}} lado a lado, cada uno con los números de su plano: cada quien lanza al que le queda bien.',
  'setUp.colors':
    'Tomen {bags, plural, one {# saquito} other {# saquitos}} de cada uno de dos colores y las tres tarjetas de signos, y dibujen una línea para lanzar.',
  'setUp.teams':
    'Formen dos equipos con {bags, plural, one {# saquito} other {# saquitos}} cada uno y dibujen una línea para lanzar.',
  'turn.throw': 'Un equipo lanza {bags, plural, one {su saquito} other {sus # saquitos, uno tras otro}}.',
  'turn.throwColor':
    'Lancen {bags, plural, one {el saquito del primer color y luego el del segundo} other {los # saquitos del primer color y luego los # del segundo}}.',
  'turn.inside': 'Un saquito cuenta cuando está completo dentro del círculo.',
  'turn.touch': 'Un saquito cuenta cuando toca el círculo.',
  'turn.signs':
    'Pongan el signo entre las dos sumas, con el lado ancho hacia la mayor: {a}\u00a0<\u00a0{b}, por ejemplo.',
  'turn.zero': 'Un saquito fuera de los círculos vale {zero}.',
  'turn.again': 'Un saquito fuera de los círculos se lanza otra vez.',
  'turn.add': 'Sumen los números en voz alta: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}, por ejemplo.',
  'turn.multiply':
    'Multipliquen los números en voz alta: {a}\u00a0×\u00a0{b}\u00a0=\u00a0{answer}, por ejemplo.',
  'turn.check': 'El otro equipo lo comprueba con gis en el piso.',
  'end.best':
    'El equipo que tiene más se lleva la ronda. Terminen cuando uno tenga {wins, plural, one {# ronda} other {# rondas}} de {bestOf} como máximo.',
  'end.one': 'El equipo que tiene más ha ganado; si tienen lo mismo, también es un buen final.',
  'end.rounds':
    'Terminen después de {bestOf, plural, one {# ronda} other {# rondas}}, o cuando sea suficiente.',
  'easier.small': 'Escriban solo números pequeños y dibujen esa cantidad de puntos junto a cada uno.',
  'harder.order': 'Elijan el orden de los números que haga más fácil la cuenta.',
  'sideBySide.same': '¿Pueden lanzar de modo que las dos sumas sean iguales?',
  'sideBySide.one':
    'No hace falta que alguien gane: un solo equipo para todos, y vean qué tan cerca llegan de un número que eligieron.',
  'younger.drop':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede ponerse cerca y dejar caer los saquitos.',
  'atHome.paper': 'Adentro: hojas de papel pegadas al piso y calcetines enrollados.',
  'say.sofar': '«¿Cuántos llevas? ¿Y con este?»',
  'play.adds': 'Equipo {player}: {thrown} = {answer}.',
  'play.color': 'Primer color: {thrown} = {answer}.',
  'play.sign': 'Segundo color: {thrown} = {answer}. Entonces {a}\u00a0{sign}\u00a0{b}.',
  'play.multiplies': 'Equipo {player}: {thrown} = {answer}.',
  'play.easy': '«¿Cuáles dos tomarías primero?»',
  'play.more': '«¿Cuántos más que los otros?»',
};
