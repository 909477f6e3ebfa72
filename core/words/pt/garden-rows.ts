import type { Messages } from '~/core/words/message';

export const gardenRows: Messages = {
  name: 'Canteiros em Fila',
  goal: '{way, select, count {Montem a fileira que o cartão mostra e achem os dois números dela no tapete. Até {max} cubos.} sum {Montem a fileira que o cartão mostra e achem no tapete quantos cubos ela tem. Até {max}.} other {Montem uma fileira cada um: a mais comprida cobre o seu número no tapete. Até {max} cubos.}}',
  'setUp.mat': 'Ponham o tapete na mesa e leiam juntos os números.',
  'setUp.cubes': 'Ponham os cubos ao lado, separados: {first} de uma cor e {second} de outra.',
  'setUp.cards': 'Embaralhem os {cards} cartões de desenho e ponham virados para baixo.',
  'setUp.chips':
    'Deixem {cells, plural, one {# fichinha pronta} other {# fichinhas prontas}} para cobrir as casas.',
  'setUp.sides': 'Cada participante fica com um lado das fichas como cor.',
  'turn.build':
    'Virem um cartão e montem a fileira: os quadrados escuros com uma cor, os claros com a outra.',
  'turn.both':
    'Cada participante vira um cartão e monta a fileira, os quadrados escuros com uma cor, os claros com a outra.',
  'turn.numbers': 'Contem cada cor: {a} e {b}, por exemplo. Achem a casa com os dois números e cubram.',
  'turn.sum':
    'Contem cada cor e digam quantos há ao todo: “{a} e {b} são {answer}.” Achem a resposta e cubram uma casa.',
  'turn.longer':
    'Cada um diz a sua: “{a} e {b} são {answer}.” A fileira mais comprida cobre uma casa com a resposta. São iguais? As duas cobrem uma.',
  'turn.apart': 'Desmontem a fileira e devolvam os cubos às suas cores.',
  'turn.draw': 'No outro dia: pintem a fileira em papel quadriculado em vez de montar.',
  'turn.write': 'Quando isso ficar fácil, escrevam: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.all':
    'Quando as {cells} casas estiverem cobertas, tirem as fichinhas uma a uma e digam o que havia debaixo de cada uma.',
  'end.rounds':
    'Parem depois de {rounds, plural, one {# rodada} other {# rodadas}}, quando os cartões acabarem. Adivinhem quem cobriu mais casas e depois contem.',
  'easier.beside': 'Ponham o cartão ao lado do tapete e montem bem em cima dele.',
  'harder.hide': 'Olhem o cartão, virem para baixo e montem a fileira de memória.',
  'atHome.paper': 'Dois tipos de feijões ou botões em fila servem igual.',
  'say.turned': '“Se você girar a fileira, ainda é o mesmo número?”',
  'play.count': 'Participante {player} monta {a} e {b}, e cobre a casa com os dois números.',
  'play.sum': 'Participante {player} monta {a} e {b}: {answer}, e cobre.',
  'play.longer':
    'Uma fileira tem {a} e {b}, a outra {c} e {d}: {answer} é mais. Participante {player} cobre.',
  'play.same': 'Uma fileira tem {a} e {b}, a outra {c} e {d}: as duas têm {answer}, e as duas cobrem uma.',
  'play.which': '“Que cor tem mais? Quantos a mais?”',
  'play.see': '“Dá para ver quantos há, sem contar um por um?”',
  'play.measure': '“Ponha as duas fileiras lado a lado. Quanto uma é mais comprida?”',
};
