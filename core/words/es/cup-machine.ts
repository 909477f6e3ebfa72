import type { Messages } from '~/core/words/message';

export const cupMachine: Messages = {
  name: 'Máquina de vasitos',
  goal: '{op, select, add {Llenen dos vasitos y viértanlos juntos: ¿cuántas fichas salen de la máquina?} other {Llenen la máquina y saquen algunas: ¿cuántas fichas se quedan adentro?}}',
  'setUp.cups': 'Pongan {cups} vasitos: dos arriba para los números y la máquina abajo.',
  'setUp.cards': 'Revuelvan las tarjetas de número hasta el {max} en dos montones, uno para cada vasito.',
  'setUp.deck':
    'Saquen de la baraja las cartas del as al {max}; el as vale uno. Revuelvan las rojas en un montón y las negras en otro, uno para cada vasito.',
  'turn.lay':
    'Pongan la operación con las tarjetas de signo en medio: {a}\u00a0{sign}\u00a0{b}\u00a0=\u00a0{answer}; el resultado se dice o se muestra con fichas.',
  'turn.cards': 'Volteen una tarjeta de cada montón y lean los dos números.',
  'turn.fill': 'Cuenten esa cantidad de fichas en cada vasito: {a} y {b}, por ejemplo.',
  'turn.load': 'Pongan en la máquina la cantidad mayor: {a} fichas.',
  'turn.pour': 'Viertan los dos vasitos en la máquina.',
  'turn.back': 'Saquen el número menor, contando: {b}.',
  'turn.saySum': 'Digan cuántas hay ahora; luego vuélquenlas y cuenten: «{a} y {b} son {answer}».',
  'turn.sayLeft':
    'Digan cuántas se quedaron adentro; luego vuélquenlas y cuenten: «{a} menos {b} son {answer}».',
  'turn.draw': 'Al día siguiente: dibujen los vasitos con puntos en vez de llenarlos.',
  'turn.head':
    'Cuando ya sea fácil: solo las tarjetas, y el resultado mentalmente. Usen los vasitos para comprobar.',
  'end.problems': 'Terminen después de {problems, plural, one {# problema} other {# problemas}}.',
  'easier.same': 'Volteen una sola tarjeta y pongan el mismo número en los dos vasitos.',
  'harder.missing': 'Al revés: la máquina muestra {answer} y un vasito tenía {a}. ¿Qué falta?',
  'atHome.bowls': 'Tres tazones y frijoles secos o botones sirven igual.',
  'say.on': '«Ya hay {a} adentro. Sigue contando desde ahí».',
  'play.add': 'Participante {player} vierte {a} y {b}: {answer}.',
  'play.subtract': 'Participante {player} saca {b} de {a}: se quedan {answer}.',
  'play.guess': '«¿Qué crees, antes de contar?»',
  'sheet.pour': 'vaciar',
  'sheet.draw': 'dibujar',
  'sheet.head': 'mentalmente',
};
