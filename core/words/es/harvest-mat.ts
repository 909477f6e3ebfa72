import type { Messages } from '~/core/words/message';

export const harvestMat: Messages = {
  name: 'Tapete de la cosecha',
  goal: '{source, select, one {Tiren el dado, busquen el número en el tapete y tápenlo.} two {Tiren dos dados, súmenlos y tapen el resultado en el tapete.} other {Saquen una tarjeta de suma y tapen su resultado en el tapete.}}',
  'setUp.mat':
    'Pongan el tapete en la mesa y lean juntos {cells, plural, one {su # número} other {sus # números}}.',
  'setUp.chips': 'Pongan {cells, plural, one {# ficha} other {# fichas}} al lado.',
  'setUp.claim': 'Cada participante toma un color de las fichas.',
  'turn.one': 'Tiren el dado, cuenten los puntos y digan el número.',
  'turn.two': 'Tiren los dos dados y digan el resultado: «{a} y {b} son {answer}».',
  'turn.card': 'Saquen una tarjeta y digan el resultado: «{a} y {b} son {answer}».',
  'turn.back': 'Regresen la tarjeta y revuelvan el montón.',
  'setUp.pencils': 'Tengan listos dos lápices de colores diferentes.',
  'turn.circle':
    'Busquen el resultado en el tapete y encierren una casilla en un círculo. La segunda vez que jueguen, coloreen una casilla encerrada.',
  'turn.cover': 'Busquen el resultado en el tapete y tapen una casilla.',
  'turn.none': '¿No hay casilla libre con ese número? Díganlo y pasen el turno.',
  'end.all':
    'Terminen cuando {cells, plural, one {la # casilla esté tapada} other {las # casillas estén tapadas}}, o cuando sea suficiente.',
  'end.claim': 'Cuando todo esté tapado, adivinen qué color tiene más casillas. Luego cuenten.',
  'easier.count': 'Cuenten todos los puntos con el dedo, uno tras otro.',
  'easier.lay': 'Muestren con dedos o botones los dos números de la tarjeta y cuéntenlos juntos.',
  'harder.wishCard': 'Antes de sacar: ¿qué número necesitan y qué tarjetas podrían traerlo?',
  'younger.chips':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede buscar con ustedes el número en el tapete.',
  'harder.wish': 'Antes de tirar: ¿qué número necesitan y cómo podría salir?',
  'play.one': 'Participante {player} saca {number} y lo tapa.',
  'play.oneAgain': 'Participante {player} saca {number}: ya está tapado.',
  'play.sum': 'Participante {player} tiene {a} y {b}, y tapa el {number}.',
  'play.sumAgain': 'Participante {player} tiene {a} y {b}: no hay {number} libre.',
  'play.wish': '«¿Qué número nos falta? ¿Cómo podría salir?»',
};
