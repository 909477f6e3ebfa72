import type { Messages } from '~/core/words/message';

export const skylineRolls: Messages = {
  name: 'Torres com Dados',
  goal: '{goal, select, rolls {Joguem {rolls, plural, =1 {uma vez} other {# vezes}} e construam: até onde cresce a sua cidade?} other {Joguem e construam até que a sua cidade tenha {reach} cubos.}}',
  'setUp.blocks': 'Ponham todos os cubos no meio, onde todos alcancem.',
  'setUp.dice':
    'Deixem {dice, plural, one {o dado no saquinho transparente: assim ele não rola} other {os dados no saquinho transparente: assim eles não rolam}} para longe.',
  'turn.roll':
    '{dice, plural, one {Joguem o dado e digam o número.} other {Joguem os # dados e digam quantos pontinhos há ao todo.}}',
  'turn.build':
    'Peguem essa quantidade de cubos e construam. Quando uma torre tiver {stack} cubos, comecem outra.',
  'setUp.mat': 'Deem a cada participante um tapete: unidades de um lado, dezenas do outro.',
  'setUp.rods': 'Ponham as barras de dez ao lado dos cubos.',
  'turn.buildRods':
    'Peguem essa quantidade de cubos. Quando tiverem {stack} cubos, troquem por uma barra de dez e devolvam os cubos.',
  'turn.mat': 'As dezenas vão no lado das dezenas, os cubos soltos no lado das unidades.',
  'end.measure':
    'Ponham todos os cubos de uma cidade em fila e meçam com a tira: quantos centímetros? Primeiro adivinhem.',
  'turn.draw': 'Desenhem na folha um risco para cada cubo. Nos primeiros dias, isso basta.',
  'turn.say':
    'Digam a sua cidade em dezenas e unidades: {total} são {tens, plural, one {# dezena} other {# dezenas}} e {ones, plural, one {# unidade} other {# unidades}}.',
  'turn.pass': 'Passem os dados adiante.',
  'end.rolls': 'Parem quando todos tiverem jogado {rolls, plural, one {# vez} other {# vezes}}.',
  'end.reach': 'Parem quando alguém tiver {reach} cubos ou mais; a última jogada pode passar.',
  'end.together': 'Juntem todas as torres e contem de dez em dez.',
  'easier.count': 'Contem um cubo para cada pontinho: ainda sem somar.',
  'harder.guess': 'Antes de contar, adivinhem o total de todas as cidades.',
  'sideBySide.city':
    'Ninguém precisa ganhar: construam uma cidade juntos e vejam quantas torres de dez ela tem.',
  'say.tens': '“Quantas torres cheias? Quantos cubos além delas?”',
  'play.roll':
    'Participante {player} tira {rolled} e tem {total}: {tens, plural, one {# dezena} other {# dezenas}} e {ones, plural, one {# unidade} other {# unidades}}.',
  'play.tens': '“Quantos faltam para a próxima torre cheia?”',
  'play.full': '“Todas as suas torres estão cheias. Que número é esse?”',
  'say.trade': '“Você tem dez para trocar? Quantos sobram?”',
  'sheet.stack': 'torre',
  'sheet.together': 'juntos',
  'sheet.tens': 'dezenas',
  'sheet.ones': 'unidades',
};
