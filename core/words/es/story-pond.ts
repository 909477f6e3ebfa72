import type { Messages } from '~/core/words/message';

export const storyPond: Messages = {
  name: 'El estanque de los cuentos',
  goal: 'Dos clases de animales se encuentran en el estanque: ¿cuántos son en total? Hasta {max}.',
  'setUp.pond': 'Pongan el tapete del estanque en la mesa y separen los animales por clase.',
  'setUp.cards': 'Revuelvan las {cards} tarjetas y pónganlas boca abajo.',
  'turn.card': 'Volteen una tarjeta: dice cuántos hay de cada clase, por ejemplo {a} y {b}.',
  'turn.lay': 'Pónganlos en el estanque: {a} de una clase y {b} de la otra.',
  'turn.tell': 'Cuenten un cuento corto: ¿quiénes estaban primero y quiénes llegaron nadando?',
  'turn.all': '¿Cuántos son en total? «{a} y {b} son {answer}».',
  'turn.tile': 'Pongan la tarjeta del número junto al estanque: {answer}.',
  'turn.write': 'Escriban el número en el tapete: {answer}. Bórrenlo con el paño para el siguiente cuento.',
  'end.stories':
    'Terminen después de {stories, plural, one {# cuento} other {# cuentos}}. Todos los animales vuelven a casa.',
  'easier.one': 'Jueguen con una sola clase de animales y cuéntenlos.',
  'harder.leave': 'Dejen que algunos se vayan nadando: ¿cuántos se quedan?',
  'atHome.blue': 'Una toalla azul también es un estanque, con dos clases de botones o frijoles.',
  'say.kinds': '¿Contó una sola clase? «Contaste {a} de estos. ¿Y los otros?»',
  'play.story': 'Participante {player} pone {a} y {b} en el estanque: {answer} en total.',
  'play.tell': '«¿Quién llegó primero? ¿Quién llegó después?»',
  'play.part': '«Ves {a} de estos. ¿Y los otros?»',
};
