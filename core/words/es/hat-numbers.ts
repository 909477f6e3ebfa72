import type { Messages } from '~/core/words/message';

export const hatNumbers: Messages = {
  name: 'Números en el sombrero',
  goal: '{op, select, add {Ven la otra carta y oyen la suma: ¿qué hay en su propio sombrero?} other {Ven la otra carta y oyen el producto: ¿qué hay en su propio sombrero?}}',
  'setUp.remove': 'Saquen las jotas, reinas y reyes. El as vale uno.',
  'setUp.zero': 'Saquen las jotas y reinas. El as vale uno y el rey vale {zero}.',
  'setUp.faces': 'Usen todas las cartas: el as vale uno, la jota {jack}, la reina {queen} y el rey {king}.',
  'setUp.signed': 'Las cartas negras están sobre cero y las rojas, bajo cero.',
  'setUp.roles':
    'Juegan tres: dos se sientan frente a frente y la tercera persona dice el resultado. Repartan las cartas entre los dos.',
  'turn.hats': 'Los dos levantan su carta de arriba a la frente sin mirarla: solo los demás pueden verla.',
  'turn.sum': 'La tercera persona mira las dos y dice la suma, por ejemplo «{said}».',
  'turn.product': 'La tercera persona mira las dos y dice el producto, por ejemplo «{said}».',
  'turn.partSum': 'Averigüen su carta a partir de la otra: «Tienes {b} y la suma es {said}: yo tengo {a}».',
  'turn.partProduct':
    'Averigüen su carta a partir de la otra: «Tienes {b} y el producto es {said}: yo tengo {a}».',
  'turn.winner': 'Quien dice primero su número se lleva las dos cartas.',
  'turn.together':
    'Espérense, cuenten hacia atrás con la tercera persona y digan sus números al mismo tiempo.',
  'end.rotate':
    'Cambien de tercera persona cada dos rondas. Terminen cuando se acaben las cartas o cuando sea suficiente.',
  'easier.ten': 'Usen las cartas hasta el cinco y den fichas a la tercera persona para formar la suma.',
  'harder.explain': 'Digan cómo lo encontraron antes de mirar.',
  'younger.keeps':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede guardar las cartas que ya salieron y contarlas al final.',
  'say.from': '«Oyes {said} y ves {b}. ¿Cuánto hay de {b} a {said}?»',
  'play.call': 'Participante {player} dice {said}. Los sombreros muestran {a} y {b}.',
  'play.unknown':
    'Participante {player} dice {said}. Los sombreros muestran {a} y {b}: no se puede averiguar.',
  'play.from': '«Oyes {said} y ves {b}. ¿Cuál puede ser?»',
  'play.zero': '«¿Podría ser cualquier número? ¿Por qué?»',
};
