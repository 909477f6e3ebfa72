import type { Messages } from '~/core/words/message';

export const frameTrail: Messages = {
  name: 'Trilha dos Quadros',
  goal: '{op, select, add {Sigam a trilha: encham quadros de dez, ponham mais e vejam a soma. Números até {max}.} both {Sigam a trilha: encham quadros de dez, ponham mais, depois tirem o mesmo. Números até {max}.} other {Sigam a trilha: encham quadros de dez, tirem alguns e vejam o que sobra. Números até {max}.}}',
  'setUp.trail':
    'Ponham as páginas dos quadros uma depois da outra, como uma trilha, com um cartão de conta em cada uma.',
  'setUp.numbers':
    'Ponham as páginas dos quadros uma depois da outra, como uma trilha, com um cartão de conta em cada uma. Os cartões de sinal ficam prontos.',
  'setUp.counters': 'Ponham {max} fichas ao lado da trilha.',
  'turn.card': 'Vão ao próximo cartão e leiam a conta.',
  'turn.first': 'Ponham o primeiro número, primeiro a fileira de cima, de {five}: {a}, por exemplo.',
  'turn.on': 'Ponham mais com a outra cor: {b} a mais.',
  'turn.off': 'Tirem {b}.',
  'turn.saySum': 'Olhem o quadro e digam: “{a} e {b} são {answer}.”',
  'turn.sayLeft': 'Olhem o quadro e digam: “{a} menos {b} é {answer}.”',
  'turn.undo':
    'Tirem os mesmos {b} e digam: “{answer} menos {b} é {a}.” É o que diz a segunda conta do cartão.',
  'turn.lay': 'Ponham os sinais da conta com os cartões de sinal entre as fichas ou os dedos: {signs}',
  'turn.sheet': 'Na folha de contas: desenhem os pontinhos no quadro e escrevam a resposta.',
  'turn.draw': 'No outro dia: desenhem pontinhos no quadro em vez de fichas.',
  'end.trail':
    'Tirem as fichas antes do próximo quadro. A trilha tem {problems, plural, one {# conta} other {# contas}}.',
  'easier.colours': 'Sem cartões de conta: encham um quadro com duas cores e digam quantas de cada.',
  'harder.before': 'Digam a resposta antes de pôr qualquer ficha.',
  'atHome.egg': 'Uma caixa de ovos cortada em dez buracos também é um quadro de dez.',
  'say.empty': '“Quantos lugares estão vazios? Quantos faltam para {ten}?”',
  'play.add': 'Participante {player} põe {a} e mais {b}: {answer}.',
  'play.both': 'Participante {player} põe {a}, mais {b}: {answer}. Tira {b}: {a} de novo.',
  'play.back': '“O que a gente tinha antes? Como você sabe?”',
  'play.subtract': 'Participante {player} põe {a} e tira {b}: sobram {answer}.',
  'play.ten': '“Quanto falta para {ten}?”',
  'play.see': '“Dá para ver quantas sobram?”',
};
