import type { Messages } from '~/core/words/message';

export const tidePairs: Messages = {
  name: 'Pares da Maré',
  goal: '{target, select, same {Achem cartas iguais.} other {Achem duas cartas que juntas formam {target}.}}',
  'setUp.all': 'Usem todas as {kept} cartas.',
  'setUp.take':
    'Tirem {faces, select, none {} JQK {os valetes, as damas e os reis} QK {as damas e os reis} JK {os valetes e os reis} JQ {os valetes e as damas} K {os reis} Q {as damas} other {os valetes}}{numbers, select, none {} other {{faces, select, none {} other { e }}todos os {numbers}}}: não têm par. {kept, plural, one {Fica # carta} other {Ficam # cartas}}.',
  'setUp.ace': 'O ás vale {one}.',
  'setUp.zero': '{card, select, jack {Os valetes} other {As damas}} valem {zero}.',
  'setUp.leftover':
    '{leftover, plural, one {# carta deste baralho não tem par} other {# cartas deste baralho não têm par}}: {leftover, plural, one {tirem essa antes} other {tirem essas antes}}.',
  'setUp.deal': 'Deem {hand} cartas a cada participante. Ponham o resto no meio, virado para baixo.',
  'setUp.video':
    'Por chamada de vídeo, cada um precisa do seu próprio baralho. Cada um pega {hand} cartas do seu monte.',
  'turn.lay': 'Baixem duas cartas quaisquer que formem {target} e digam: “{a} e {b} são {target}.”',
  'turn.laySame': 'Baixem duas cartas quaisquer que sejam iguais e digam o número.',
  'turn.threes': 'Três cartas que formam {target} também podem ser baixadas.',
  'turn.ask': 'Escolham uma das suas cartas, como {own}, e perguntem aos outros: “Você tem um {wanted}?”',
  'turn.askOne':
    'Escolham uma das suas cartas, como {own}, e perguntem a uma pessoa à escolha: “Você tem um {wanted}?”',
  'turn.give': 'Quem tem a carta entrega, e vocês baixam o par.',
  'turn.video': 'Se alguém mostrar um {wanted}, procurem um {wanted} no próprio monte e baixem o par.',
  'turn.drawNow': 'Se ninguém tiver, peguem uma carta do monte. Um par que ela formar é baixado na hora.',
  'turn.drawLater':
    'Se ninguém tiver, peguem uma carta do monte. Um par que ela formar espera até a próxima vez.',
  'turn.refill': 'Se a mão estiver vazia, peguem {refill} cartas novas.',
  'turn.out': 'Se a mão estiver vazia, vocês terminaram: ajudem os outros.',
  'end.all': 'A maré encheu quando não sobra carta que forme par. Contem os pares juntos.',
  'easier.open': 'Joguem com as cartas viradas para cima na mesa.',
  'harder.picture': 'Antes de perguntar, digam como sabem que carta falta, sem contar para a frente.',
  'say.hands': '“Você tem {own}. Quanto falta para {target}? Mostre com os dedos.”',
  'say.same': '“Você tem um {own}. Quem será que tem um igual?”',
  'play.laysAll': 'Participante {player} baixa tudo.',
  'play.gets': 'Participante {player} tem {own}, pede {wanted} e recebe.',
  'play.draws': 'Participante {player} tem {own}, pede {wanted} e precisa pegar do monte.',
  'play.only': 'Participante {player} não tem o que pedir e pega uma carta, se houver.',
  'play.asks': 'Participante {player} tem {own} e pede {wanted}; ninguém tem, e o monte acabou.',
  'play.sum': '“{own} e {wanted}: formam um par? Mostre.”',
  'play.missing': '“Você tem {own}. O que falta?”',
};
