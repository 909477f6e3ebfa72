import type { Messages } from '~/core/words/message';

export const chalkOrbits: Messages = {
  name: 'Órbitas de Giz',
  goal: '{op, select, alone {Joguem saquinhos de duas cores em círculos com números, somem cada cor e comparem as somas.} add {Joguem saquinhos em círculos com números e somem o que a sua equipe acertou.} other {Joguem saquinhos em círculos com números e multipliquem o que a sua equipe acertou.}}',
  'setUp.circles':
    'Desenhem com giz {circles} círculos, cada um com uns {cm} centímetros de largura, e escrevam um número em cada um.',
  'setUp.sizes':
    'Façam menores os círculos com os números maiores: {small, plural, one {# deles} other {# deles}}, com {cm} centímetros de largura.',
  'setUp.fields':
    'Desenhem com giz {fields, plural, =1 {um campo} other {# campos}} lado a lado, cada um com os números da sua planta: cada criança joga no que é para ela.',
  'setUp.colors':
    'Peguem {bags, plural, one {# saquinho} other {# saquinhos}} de cada uma de duas cores, os três cartões de sinal, e risquem uma linha de onde jogar.',
  'setUp.teams':
    'Façam duas equipes com {bags, plural, one {# saquinho} other {# saquinhos}} cada uma e risquem uma linha de onde jogar.',
  'turn.throw':
    'Uma equipe joga {bags, plural, one {o seu saquinho} other {os seus # saquinhos}}, um depois do outro.',
  'turn.throwColor':
    'Joguem {bags, plural, one {o saquinho da primeira cor, depois o da segunda} other {os # saquinhos da primeira cor, depois os # da segunda}}.',
  'turn.inside': 'Um saquinho vale quando está todo dentro do círculo.',
  'turn.touch': 'Um saquinho vale quando toca o círculo.',
  'turn.signs':
    'Ponham o sinal entre as duas somas, com o lado aberto para a maior: {a}\u00a0<\u00a0{b}, por exemplo.',
  'turn.zero': 'Um saquinho que erra vale {zero}.',
  'turn.again': 'Um saquinho que erra é jogado de novo.',
  'turn.add': 'Somem os números em voz alta: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}, por exemplo.',
  'turn.multiply':
    'Multipliquem os números em voz alta: {a}\u00a0×\u00a0{b}\u00a0=\u00a0{answer}, por exemplo.',
  'turn.check': 'A outra equipe confere com giz no chão.',
  'end.best':
    'A equipe com mais fica com a rodada. Parem quando uma tiver {wins, plural, one {# rodada} other {# rodadas}} de no máximo {bestOf}.',
  'end.one': 'A equipe com mais venceu; empate também é um bom final.',
  'end.rounds': 'Parem depois de {bestOf, plural, one {# rodada} other {# rodadas}}, ou quando já bastar.',
  'easier.small': 'Escrevam só números pequenos e desenhem ao lado de cada um essa quantidade de pontinhos.',
  'harder.order': 'Escolham a ordem dos números que deixa a soma mais fácil.',
  'sideBySide.same': 'Vocês conseguem jogar de modo que as duas somas sejam iguais?',
  'sideBySide.one':
    'Ninguém precisa ganhar: uma equipe para todos, e vejam até onde chegam perto de um número que escolheram.',
  'younger.drop': 'Quem já passou dos {years} anos pode ficar perto e soltar os saquinhos dentro.',
  'atHome.paper': 'Dentro de casa: folhas de papel coladas no chão e meias enroladas.',
  'say.sofar': '“Quantos você tem até agora? E com este?”',
  'play.adds': 'Equipe {player}: {thrown}\u00a0=\u00a0{answer}.',
  'play.color': 'Primeira cor: {thrown}\u00a0=\u00a0{answer}.',
  'play.sign': 'Segunda cor: {thrown}\u00a0=\u00a0{answer}. Então {a}\u00a0{sign}\u00a0{b}.',
  'play.multiplies': 'Equipe {player}: {thrown}\u00a0=\u00a0{answer}.',
  'play.easy': '“Quais dois você pegaria primeiro?”',
  'play.more': '“Quantos a mais que os outros?”',
};
