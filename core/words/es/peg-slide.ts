import type { Messages } from '~/core/words/message';

export const pegSlide: Messages = {
  name: 'Pinzas que se deslizan',
  goal: 'Deslicen pinzas por una tarjeta y lean todas las maneras de formar {whole}.',
  'setUp.card':
    '{cards, plural, =1 {Tomen la tarjeta con {whole} pinzas.} other {Tomen una de las # tarjetas; empiecen con la de {whole} pinzas.}}',
  'setUp.count':
    'Cuenten juntos las pinzas y empújenlas todas a la derecha. El total es {whole} y nunca cambia.',
  'turn.slide': 'Deslicen una pinza a la izquierda.',
  'turn.say': 'Digan las dos partes y el total. Más adelante, por ejemplo: «{a} y {b} son {whole}».',
  'turn.write':
    'Cuando decirlo ya sea fácil, escriban el par en la hoja: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{whole}.',
  'turn.ordered': '{a} y {b} es un par; {b} y {a} es otro: escriban los dos.',
  'turn.unordered': '{a} y {b} es el mismo par que {b} y {a}: escríbanlo una vez y paren en la mitad.',
  'end.all':
    'El final llega solo: después de {ways, plural, one {# par} other {# pares}} ya están escritas todas las maneras.',
  'easier.dots': 'Dibujen las pinzas como puntos en vez de escribir números.',
  'harder.cover': 'Tapen un lado con la mano. ¿Cuántas pinzas se esconden?',
  'atHome.clips': 'Sin pinzas: pongan clips en el borde de una tarjeta.',
  'say.pattern': '«Un lado crece y el otro se hace pequeño. ¿Qué sigue?»',
  'play.slide': 'Participante {player} lee la tarjeta: «{a} y {b} son {whole}».',
  'play.none': '«De este lado no hay nada. ¿Cómo escribimos nada?»',
  'play.same': '«Los dos lados son iguales. ¿Volverá a pasar?»',
  'play.next': '«¿Cuál será el siguiente par, antes de deslizar?»',
};
