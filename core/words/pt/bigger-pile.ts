import type { Messages } from '~/core/words/message';

export const biggerPile: Messages = {
  name: 'Monte Maior',
  goal: '{op, select, compare {Virem cartas: que número é maior?} add {Virem duas cartas cada um e somem: que soma é maior?} subtract {Virem duas cartas cada um: que diferença é maior?} other {Virem duas cartas cada um e multipliquem: que produto é maior?}}',
  'setUp.remove': 'Tirem os valetes, as damas e os reis. O ás vale um.',
  'setUp.faces': 'Usem todas as cartas: o ás vale um, o valete {jack}, a dama {queen}, o rei {king}.',
  'setUp.discard': 'Usem todas as cartas. O ás vale um; valetes, damas e reis ficam de lado quando saem.',
  'setUp.pile': 'Embaralhem e ponham as cartas viradas para baixo em um monte que todos alcancem.',
  'setUp.deal':
    'Embaralhem e distribuam todas as cartas viradas para baixo: cada participante tem o seu monte e vira dele.',
  'turn.turn':
    '{players, plural, =1 {Virem {cards, plural, =1 {duas cartas, uma de cada lado} other {# cartas}}.} other {Cada participante vira {cards, plural, one {# carta} other {# cartas}}.}}',
  'turn.compare': 'Digam os dois números e qual é maior: “{a} é maior que {b}.”',
  'turn.add': 'Cada um diz a sua soma: “{a} e {b} são {answer}.” Depois digam qual é maior.',
  'turn.subtract': 'Cada um diz a sua diferença: “{a} menos {b} é {answer}.” Depois digam qual é maior.',
  'turn.multiply': 'Cada um diz o seu produto: “{a} vezes {b} é {answer}.” Depois digam qual é maior.',
  'turn.signs': 'Ponham o cartão de sinal entre as respostas, com o lado aberto para a maior.',
  'turn.take': 'As cartas vão para o monte da maior resposta.',
  'turn.again': 'Deu igual? Virem de novo; a próxima resposta maior leva todas as cartas.',
  'turn.keep': 'Deu igual? Cada um fica com as suas cartas.',
  'turn.aside': 'Valete, dama ou rei fica de lado, e vira-se a próxima carta no lugar.',
  'end.rounds':
    'Parem depois de {rounds, plural, one {# rodada} other {# rodadas}}, quando as cartas acabarem. De quem é o monte maior? Primeiro adivinhem, depois contem.',
  'turn.under': 'As cartas vão para baixo do monte da maior resposta.',
  'end.all':
    'Quem não tem mais cartas para virar terminou. Parem quando um monte tiver todas as cartas, ou quando já bastar: adivinhem de quem é o monte maior e depois contem.',
  'easier.build': 'Montem cada número com fichas, lado a lado, e olhem.',
  'harder.more': 'Digam também quanto a mais.',
  'sideBySide.together':
    'Ninguém precisa ganhar: façam um monte juntos e vejam quantas rodadas passam até duas respostas serem iguais.',
  'say.muchMore': '“{a} ou {b}: qual é maior? Quanto a mais?”',
  'play.most': 'Viradas: {shown}. Participante {player} tem o maior, com {answer}.',
  'play.tie': 'Viradas: {shown}. A maior resposta, {answer}, aparece duas vezes.',
  'play.howMuch': '“Quanto a mais é?”',
  'play.howSame': '“A mesma resposta. Com as mesmas cartas?”',
};
