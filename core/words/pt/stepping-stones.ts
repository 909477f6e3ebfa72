import type { Messages } from '~/core/words/message';

export const steppingStones: Messages = {
  name: 'Pedras do Caminho',
  goal: '{back, select, none {Joguem o dado, pulem e digam cada número, da primeira pedra até {length}.} other {Joguem o dado, pulem e digam cada número, até {length} e de volta.}}',
  'setUp.felt':
    'Ponham as {length} pedras de feltro em ordem, com os números para cima, e colem cada uma no chão.',
  'setUp.feltBlank':
    'Ponham as {length} pedras de feltro em branco uma depois da outra e colem cada uma no chão.',
  'setUp.chalk': 'Desenhem com giz {length} pedras em fila ou em curva e ponham os números.',
  'setUp.chalkBlank':
    'Desenhem com giz {length} pedras em fila ou em curva, grandes o bastante para escrever dentro.',
  'setUp.table': 'Ponham o caminho com as suas {length} pedras na mesa e peguem um marcador cada um.',
  'setUp.laysNumbers': 'Deixem a criança pôr os cartões de número nas pedras em branco, em ordem, e ler.',
  'setUp.laysDots':
    'Deixem a criança pôr os cartões de pontinhos nas pedras em branco, do que tem menos ao que tem mais, e contar.',
  'setUp.writesNumbers': 'Deixem a criança escrever os números nas pedras em branco, em ordem, e ler.',
  'setUp.writesDots':
    'Deixem a criança desenhar os pontinhos nas pedras em branco, de um pontinho até {length}, e contar.',
  'setUp.start': 'Todos começam ao lado do caminho, não em cima dele.',
  'turn.roll':
    '{dice, plural, one {Joguem o dado e digam o número.} other {Joguem os # dados e digam quanto dá ao todo.}}',
  'turn.hop': 'Pulem essa quantidade de pedras e digam em voz alta o número de cada pedra.',
  'turn.move': 'Andem essa quantidade de pedras e digam em voz alta o número de cada pedra.',
  'turn.say': 'Digam o que aconteceu: “De {before}, mais {rolled}: {stone}.”',
  'turn.back': 'Na volta: “De {stone}, menos {rolled}: {before}.”',
  'turn.difference':
    'Na volta, tirem o número menor do maior: de {a} a {b} a diferença é {rolled}. Andem essa quantidade de pedras.',
  'turn.together': 'Dois na mesma pedra? Cabem os dois: digam o número juntos.',
  'turn.further':
    'Dois na mesma pedra? Quem chega por último vai uma pedra adiante, até uma que esteja livre.',
  'turn.write':
    'Quando pular ficar fácil, um de vocês escreve: {before}\u00a0+\u00a0{rolled}\u00a0=\u00a0{stone}.',
  'end.reach': 'Quem chega a {length} ou passa já chegou. Continuem até que todos cheguem.',
  'end.exact': 'Para chegar a {length} o dado precisa dar exato: se passar, fiquem onde estão.',
  'end.back': 'Na última pedra deem meia-volta e voltem pelo mesmo caminho.',
  'easier.five': 'Joguem só com as primeiras {number} pedras e pulem juntos.',
  'harder.before': 'Antes de pular, digam onde vão parar.',
  'sideBySide.together':
    'Ninguém precisa ganhar: todos andam juntos com um só dado, e contem quantas jogadas são precisas.',
  'atHome.paperStones':
    'Sem as pedras: folhas de papel com números, coladas no chão, ou uma fila de quadrados na mesa.',
  'say.number': '“Em que número você está? Qual vem depois?”',
  'play.forward': 'Participante {player} está em {before}, tira {rolled} e para em {stone}.',
  'play.back': 'Participante {player} volta de {before}, tira {rolled} e para em {stone}.',
  'play.further':
    'Participante {player} está em {before}, tira {rolled}, encontra alguém lá e vai até {stone}.',
  'play.apart': 'Participante {player} volta de {before}, tira {a} e {b} e anda {rolled} até {stone}.',
  'play.waits': 'Participante {player} está em {before}, tira {rolled} e fica: passaria do fim.',
  'play.home': 'Participante {player} tira {rolled} a partir de {before} e chegou a {stone}.',
  'play.next': '“Onde você vai estar se tirar um a mais?”',
  'play.need': '“De que número você precisa? {need}.”',
  'play.all': '“Vamos todos continuar até que todos cheguem.”',
};
