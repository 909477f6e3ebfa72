import type { Messages } from '~/core/words/message';

export const fiveToMark: Messages = {
  name: 'Rumo ao Alvo',
  goal: 'Cheguem ao número-alvo com duas ou mais das {laid} cartas na mesa.',
  'setUp.numbers': 'Tirem os valetes, as damas e os reis. O ás vale um.',
  'setUp.faces': 'O ás vale um, o valete {jack}, a dama {queen}, o rei {king}.',
  'setUp.jokers': 'Deixem dois curingas; cada um vale {joker}.',
  'setUp.lay': 'Embaralhem e ponham {laid} cartas em fila, viradas para cima.',
  'turn.target': 'Virem mais uma carta: esse é o alvo.',
  'turn.two':
    'Cheguem a ele com duas ou mais das {laid} cartas, cada uma usada uma vez. Valem estes sinais: {signs}',
  'turn.say': 'Digam o jeito e mostrem as cartas, por exemplo: {way}\u00a0=\u00a0{target}.',
  'turn.whole': 'Cada passo continua sendo um número inteiro, e nunca abaixo de {zero}.',
  'turn.none': 'Ninguém acha um jeito? Alguns alvos não têm nenhum: virem um novo.',
  'end.used':
    'Ponham cartas novas só no lugar das que foram usadas e virem um novo alvo. Quando o monte acabar, embaralhem o que está de lado.',
  'end.all': 'Ponham cartas novas para cada alvo.',
  'end.rounds': 'Parem depois de {rounds, plural, one {# alvo} other {# alvos}}.',
  'easier.counters': 'Usem só duas cartas e montem com fichas.',
  'harder.more': 'Procurem um segundo jeito, com mais cartas.',
  'say.start': '“Que carta está perto do alvo? A que distância ela está?”',
  'play.reaches': 'Cartas {laid}, alvo {target}. Participante {player} diz: {way}\u00a0=\u00a0{target}.',
  'play.none': 'Cartas {laid}, alvo {target}. Participante {player} procura, e não há nenhum jeito.',
  'play.how': '“Por onde você começou?”',
  'play.new': '“Você procurou bem. Este não tem nenhum jeito; vamos virar um novo alvo.”',
};
