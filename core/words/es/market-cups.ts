import type { Messages } from '~/core/words/message';

export const marketCups: Messages = {
  name: 'Vasitos del mercado',
  goal: 'Llenen unos vasitos con la misma cantidad de piezas. ¿Cuántas son en total? Hasta {cups, plural, one {# vasito} other {# vasitos}} de {pieces}.',
  'setUp.cups':
    '{cups, plural, one {Tomen el # vasito} other {Apilen los # vasitos}} y pongan las piezas al lado.',
  'setUp.dice': 'El dado del color de los vasitos dice cuántos vasitos; el otro, cuántas piezas.',
  'setUp.cards':
    'Las cartas rojas dicen cuántos vasitos y las negras, cuántas piezas. Hagan dos montones boca abajo.',
  'turn.again':
    'Vasitos del {cupsFrom} al {cupsTo}, piezas del {piecesFrom} al {piecesTo}: el dado que muestre otro número se tira otra vez.',
  'turn.cups':
    'Averigüen cuántos vasitos y pónganlos en la mesa: {cups, plural, one {# vasito} other {# vasitos}}, por ejemplo.',
  'turn.pieces':
    'Averigüen cuántas piezas y pongan esa cantidad en cada uno: {cups, plural, one {# vasito} other {# vasitos}} con {pieces} en cada uno.',
  'turn.say':
    'Díganlo antes de contar: «{cups, plural, one {# grupo de {pieces} es} other {# grupos de {pieces} son}} {answer}». Luego compruébenlo.',
  'turn.draw': 'Dibujen los vasitos como círculos con puntos. Los primeros días basta con esto.',
  'turn.write': 'Escríbanlo con el signo: {cups}\u00a0×\u00a0{pieces}\u00a0=\u00a0{answer}.',
  'end.rounds':
    'Guarden todo después de cada turno. Terminen después de {rounds, plural, one {# turno} other {# turnos}} por participante.',
  'easier.two': 'Jueguen con {cups} vasitos: los dos tienen siempre lo mismo.',
  'harder.guess': 'Digan el resultado antes de poner piezas en los vasitos.',
  'say.each': '«¿Cuántas hay en cada uno? ¿Cuántos vasitos? ¿Y todas juntas?»',
  'play.groups':
    'Participante {player}: {cups, plural, one {# vasito con {pieces} es} other {# vasitos con {pieces} en cada uno son}} {answer}.',
  'play.times': 'Participante {player}: {cups}\u00a0×\u00a0{pieces}\u00a0=\u00a0{answer}.',
  'play.turned':
    '«¿Y si {pieces, plural, one {fuera # vasito con {cups}} other {fueran # vasitos con {cups} en cada uno}}?»',
  'play.how':
    '«¿Contaste todas o contaste de grupo en grupo? Hay {cups, plural, one {# vasito} other {# vasitos}} de {pieces}».',
  'sheet.cups': 'vasitos',
  'sheet.each': 'en cada uno',
  'sheet.all': 'en total',
};
