import type { Messages } from '~/core/words/message';

export const fetchThatMany: Messages = {
  name: 'Trae esa cantidad',
  goal: 'Miren un número, recuérdenlo y traigan esa cantidad: hasta {to}.',
  'setUp.slips': 'Doblen los {slips} papelitos y revuélvanlos.',
  'setUp.pile': 'Pongan {to} fichas en una silla al otro lado del cuarto.',
  'setUp.around':
    'Pónganse de acuerdo en qué se puede traer: calcetines, cucharas, bloques, libros; nada que se rompa o lastime.',
  'turn.peek': 'Saquen un papelito, mírenlo sin mostrarlo y déjenlo doblado en la mesa.',
  'turn.fetch': 'Vayan y traigan esa cantidad. En el camino, repitan el número en voz baja.',
  'turn.lay': 'Pongan lo que trajeron en filas de {five}, para que se lea sin contar.',
  'turn.check': 'Los demás dicen cuántas cosas hay. Abran el papelito: ¿es igual? Por ejemplo, {number}.',
  'turn.zero': 'Cero quiere decir: volver sin nada.',
  'end.slips': 'Guarden todo después de cada turno. Terminen cuando se acaben los papelitos.',
  'easier.keep': 'Lleven el papelito abierto y pongan una cosa sobre cada punto.',
  'harder.two': 'Saquen {slips} papelitos y traigan lo que dicen los dos juntos.',
  'younger.dots':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede poner una cosa sobre cada punto del papelito.',
  'atHome.things': 'Cucharas, calcetines, botones o piñas de pino: cualquier cosa que haya de sobra.',
  'say.remember': '«Di tu número con cada paso».',
  'caution.fetch':
    'Nada caliente, filoso, de vidrio ni del botiquín. Dentro de la casa se camina, no se corre.',
  'play.fetch': 'Participante {player} mira, va y trae {number}.',
  'play.zero':
    'Participante {player} mira, va y vuelve con {number, plural, =0 {las manos vacías} other {#}}.',
  'play.fives': '«Primero una fila de {five}. ¿Cuántas más?»',
  'play.touch': '«Toca cada una. ¿Es lo que dice el papelito?»',
};
