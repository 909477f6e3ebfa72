import type { Messages } from '~/core/words/message';

export const stackAndFind: Messages = {
  name: 'Empilhe e Ache',
  goal: 'Vejam um número, montem, achem: números até {to}.',
  'setUp.blocks': 'Ponham {blocks} blocos no meio e contem juntos.',
  'setUp.cards': 'Embaralhem os cartões de número até {to} e ponham virados para baixo.',
  'setUp.spinner':
    'Deitem a roleta na mesa, com números até {to}. Segurem um clipe no centro com a ponta de um lápis.',
  'setUp.frames': 'Espalhem os cartões de quadro até {to}, virados para cima.',
  'setUp.frameCards': 'Embaralhem os cartões de quadro até {to} e ponham virados para baixo.',
  'setUp.frameSpinner':
    'Deitem na mesa a roleta com os quadros até {to}. Segurem um clipe no centro com a ponta de um lápis.',
  'setUp.numerals': 'Espalhem os cartões de número de {none} a {to}, virados para cima.',
  'turn.card': 'Virem um cartão e digam o número, por exemplo “{number}”.',
  'turn.spin': 'Deem um peteleco no clipe e digam o número que ele aponta, por exemplo “{number}”.',
  'turn.frame': 'Virem um cartão de quadro: quantos pontinhos ele mostra?',
  'turn.spinFrame': 'Deem um peteleco no clipe: quantos pontinhos mostra o quadro que ele aponta?',
  'turn.build':
    'Peguem essa quantidade de blocos, um de cada vez, contando em voz alta, e empilhem: {number} blocos para {number}.',
  'turn.find': 'Achem o quadro que mostra essa quantidade.',
  'turn.numeral': 'Empilhem os blocos sobre o número que diz essa quantidade.',
  'turn.stand': 'Deixem a torre de pé. Qual vai ser a vizinha dela?',
  'end.all': 'Parem quando os {numbers} números estiverem montados, ou quando já bastar.',
  'easier.beside': 'Ponham os blocos ao lado dos pontinhos do quadro, um para cada um.',
  'easier.fingers': 'Mostrem primeiro o número com os dedos e ponham um bloco em cada dedo.',
  'harder.strip': 'Terminaram antes? Juntem todos os blocos em uma fila e contem até o fim e de volta.',
  'say.touch': '“Toque cada bloco uma vez. Qual foi o último número que você disse?”',
  'play.find': 'Participante {player} monta {number} e acha o quadro.',
  'play.stack':
    'Participante {player} vê {number, plural, one {# pontinho} other {# pontinhos}} e empilha {number} sobre o número.',
  'play.build': 'Participante {player} monta {number}.',
  'play.tower': 'Participante {player} monta a torre de {number} e deixa de pé.',
  'play.zero': '“Nenhum bloco. Isso também é um número: zero.”',
  'play.again': '“Este você conhece. Dá para ver sem contar?”',
};
