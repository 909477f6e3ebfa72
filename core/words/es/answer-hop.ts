import type { Messages } from '~/core/words/message';

export const answerHop: Messages = {
  name: 'Salta la respuesta',
  goal: 'Salten una operación cuyo resultado sea uno, luego dos, luego tres y así hasta {to}.',
  'setUp.cells':
    'Dibujen con gis una calculadora: una casilla para cada uno de los {digits} dígitos y una para cada signo: {signs} =',
  'setUp.start': 'Dibujen una línea de salida. La primera meta es uno.',
  'turn.hop': 'Salten una operación cuyo resultado sea la meta: {a}, {sign}, {b}, = para {target}.',
  'turn.say': 'Digan cada casilla al caer y, al final, el resultado en voz alta.',
  'turn.next':
    '¿Está bien? Sigue la siguiente persona con la siguiente meta. ¿Todavía no? Los demás pueden dar una pista.',
  'end.to': 'Terminan cuando hayan saltado {to}.',
  'easier.any': 'Salten cualquier operación; los demás dicen el resultado.',
  'harder.other': 'Ninguna operación se puede saltar dos veces.',
  'sideBySide.relay': 'No hace falta que alguien gane: salten en relevos, todos hacia las mismas metas.',
  'younger.digits':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede saltar al número que ustedes digan.',
  'say.stuck': '«Quieres {target}. ¿Y si empiezas en {a}?»',
  'play.hops': 'Meta {target}: participante {player} salta {a}\u00a0{sign}\u00a0{b}.',
  'play.other': '«Hay {ways} maneras para esta. ¿Qué otra conoces?»',
  'play.few': '«Una difícil: solo hay {ways, plural, one {# manera} other {# maneras}}. Buscaste muy bien».',
};
