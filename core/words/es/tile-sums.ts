import type { Messages } from '~/core/words/message';

export const tileSums: Messages = {
  name: 'Sumas en fichas dobles',
  goal: 'Una ficha tiene dos lados: ¿cuántos puntos hay en total? Sumas hasta {limit}.',
  'setUp.tiles': 'Pongan las {tiles} fichas boca abajo y revuélvanlas. Ninguna tiene más de {limit} puntos.',
  'turn.draw': 'Saquen una ficha y pónganla en la hoja.',
  'turn.count': 'Cuenten los puntos de cada lado y luego todos juntos.',
  'turn.say': 'Díganlo: «{a} y {b} son {answer}».',
  'turn.write':
    'Cuando decirlo ya sea fácil, escríbanlo junto a la ficha: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.pile': 'Terminen cuando se acaben las fichas o cuando la hoja esté llena.',
  'easier.touch': 'Toquen cada punto una vez; escribir puede esperar.',
  'harder.turn': 'Den vuelta a la ficha: ¿{b}\u00a0+\u00a0{a} es lo mismo que {a}\u00a0+\u00a0{b}?',
  'atHome.draw': '¿No hay fichas? Dibujen puntos en las dos mitades de una tarjeta doblada.',
  'say.start': '«Aquí ves {a}. Empieza desde {a} y sigue contando».',
  'play.tile': 'Participante {player} saca {a} y {b}: «{answer} en total».',
  'play.double': '«Los dos lados son iguales. Un doble».',
};
