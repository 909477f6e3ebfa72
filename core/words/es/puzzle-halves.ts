import type { Messages } from '~/core/words/message';

export const puzzleHalves: Messages = {
  name: 'Mitades de rompecabezas',
  goal: 'Encuentren los dos dibujos y el número que van juntos: resultados hasta {max}.',
  'setUp.sort':
    'Desarmen los {puzzles} rompecabezas y separen las piezas: dibujos de la izquierda, dibujos de la derecha y números.',
  'setUp.spread': 'Extiendan las piezas boca arriba.',
  'turn.take': 'Tomen un dibujo de la izquierda.',
  'turn.count': 'Busquen un dibujo de la derecha que encaje y cuenten los dos: {a} y {b}, por ejemplo.',
  'turn.answer': 'Busquen el número que va en medio: «{a} y {b} son {answer}».',
  'turn.check': 'Junten las piezas. Si las ondas encajan, está bien: nadie tiene que decirlo.',
  'end.all': 'Terminen cuando los {puzzles} rompecabezas estén armados.',
  'easier.few': 'Empiecen con las piezas de {puzzles} rompecabezas.',
  'harder.cover': 'Con las piezas boca arriba, digan el resultado antes de buscarlo.',
  'younger.picture':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede armar las piezas siguiendo las ondas.',
  'atHome.card': 'Corten tarjetas en tres con sus propias ondas y dibujen puntos a los dos lados.',
  'say.cut': '«Prueba: ¿encajan las ondas? Luego cuenta otra vez».',
  'play.fits': 'Participante {player} encaja {a} y {b} con el {answer}.',
  'play.cut': '«¿Encajan las ondas?»',
  'play.how': '«¿Cómo supiste qué número buscar?»',
};
