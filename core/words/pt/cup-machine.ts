import type { Messages } from '~/core/words/message';

export const cupMachine: Messages = {
  name: 'Máquina de Copos',
  goal: '{op, select, add {Encham dois copinhos e despejem juntos: quantas saem da máquina?} other {Encham a máquina e despejem algumas de volta: quantas ficam dentro?}}',
  'setUp.cups': 'Ponham {cups} copinhos: dois números pequenos em cima, a máquina embaixo.',
  'setUp.cards': 'Embaralhem os cartões de número até {max} em dois montes, um para cada copinho.',
  'setUp.deck':
    'Tirem do baralho as cartas do ás a {max}; o ás vale um. Embaralhem as vermelhas em um monte e as pretas em outro, um para cada copinho.',
  'turn.lay':
    'Montem a conta com os cartões de sinal entre os números: {a}\u00a0{sign}\u00a0{b}\u00a0=\u00a0{answer}; a resposta é dita, ou mostrada com fichinhas.',
  'turn.cards': 'Virem um cartão de cada monte e leiam os dois números.',
  'turn.fill': 'Contem essa quantidade de fichinhas para cada copinho: {a} e {b}, por exemplo.',
  'turn.load': 'Ponham na máquina a quantidade maior: {a} fichinhas, por exemplo.',
  'turn.pour': 'Despejem os dois copinhos na máquina.',
  'turn.back': 'Despejem de volta o número menor, contando: {b}.',
  'turn.saySum': 'Digam quantas há agora, depois virem e contem: “{a} e {b} são {answer}.”',
  'turn.sayLeft': 'Digam quantas ficaram dentro, depois virem e contem: “{a} menos {b} é {answer}.”',
  'turn.draw': 'No outro dia: desenhem os copinhos com pontinhos em vez de encher.',
  'turn.head': 'Quando isso ficar fácil: só os cartões, e a conta de cabeça. Usem os copinhos para conferir.',
  'end.problems': 'Parem depois de {problems, plural, one {# conta} other {# contas}}.',
  'easier.same': 'Virem um cartão só e ponham o mesmo número nos dois copinhos.',
  'harder.missing': 'Ao contrário: a máquina mostra {answer}, um copinho tinha {a}. O que falta?',
  'atHome.bowls': 'Três tigelas e feijões ou botões servem igual.',
  'say.on': '“{a} já estão dentro. Continue contando daí.”',
  'play.add': 'Participante {player} despeja {a} e {b} juntos: {answer}.',
  'play.subtract': 'Participante {player} despeja de volta {b} de {a}: ficam {answer}.',
  'play.guess': '“O que você acha, antes de contar?”',
  'sheet.pour': 'despejar',
  'sheet.draw': 'desenhar',
  'sheet.head': 'de cabeça',
};
