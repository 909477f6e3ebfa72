import type { Messages } from '~/core/words/message';

export const skylineRolls: Messages = {
  name: 'Torres con dados',
  goal: '{goal, select, rolls {Tiren {rolls, plural, =1 {una vez} other {# veces}} y construyan: ¿qué tan alto crecen sus torres?} other {Tiren y construyan hasta tener {reach} cubos.}}',
  'setUp.blocks': 'Pongan todos los cubos en medio, al alcance de todos.',
  'setUp.dice':
    '{dice, plural, one {Dejen el dado en su bolsita transparente: así no se va rodando.} other {Dejen los dados en su bolsita transparente: así no se van rodando.}}',
  'turn.roll':
    '{dice, plural, one {Tiren el dado y digan el número.} other {Tiren los # dados y digan cuántos puntos hay en total.}}',
  'turn.build':
    'Tomen esa cantidad de cubos y construyan. Cuando una torre tenga {stack} cubos, empiecen otra.',
  'setUp.mat': 'Denle a cada quien un tapete: unidades de un lado, decenas del otro.',
  'setUp.rods': 'Pongan las barras de diez junto a los cubos.',
  'turn.buildRods':
    'Tomen esa cantidad de cubos. Cuando tengan {stack} cubos, cámbienlos por una barra de diez y regresen los cubos.',
  'turn.mat':
    'Las decenas van del lado de las decenas del tapete y los cubos sueltos del lado de las unidades.',
  'end.measure':
    'Pongan todos los cubos de una persona en fila y mídanla con la tira para medir: ¿cuántos centímetros son? Primero adivinen.',
  'turn.draw': 'Dibujen una rayita por cada cubo en la hoja. Los primeros días basta con esto.',
  'turn.say':
    'Digan sus torres en decenas y unidades: {total} son {tens, plural, one {# decena} other {# decenas}} y {ones, plural, one {# unidad} other {# unidades}}.',
  'turn.pass': 'Pasen los dados.',
  'end.rolls': 'Terminen cuando todos hayan tirado {rolls, plural, one {# vez} other {# veces}}.',
  'end.reach': 'Terminen cuando alguien tenga {reach} cubos o más; la última tirada puede pasarse.',
  'end.together': 'Junten todas las torres y cuenten de diez en diez.',
  'easier.count': 'Cuenten un cubo por cada punto: todavía sin sumar.',
  'harder.guess': 'Antes de contar, adivinen el total de todas las torres.',
  'sideBySide.city':
    'No hace falta que alguien gane: construyan juntos una ciudad y vean cuántas torres de diez tiene.',
  'say.tens': '«¿Cuántas torres completas? ¿Cuántos cubos más?»',
  'play.roll':
    'Participante {player} saca {rolled} y tiene {total}: {tens, plural, one {# decena} other {# decenas}} y {ones, plural, one {# unidad} other {# unidades}}.',
  'play.tens': '«¿Cuántos faltan para completar la torre?»',
  'play.full': '«Todas tus torres están completas. ¿Qué número es?»',
  'say.trade': '«¿Tienes diez para cambiar? ¿Cuántos te sobran?»',
  'sheet.stack': 'torre',
  'sheet.together': 'juntas',
  'sheet.tens': 'decenas',
  'sheet.ones': 'unidades',
};
