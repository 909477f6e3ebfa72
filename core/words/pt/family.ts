import type { Messages } from '~/core/words/message';

export const family: Messages = {
  'part.setUp': 'Para começar',
  'part.turn': 'Vamos jogar',
  'part.end': 'Para terminar',
  'part.easier': 'Mais fácil',
  'part.harder': 'Mais difícil',
  'part.sideBySide': 'Todos juntos',
  'part.younger': 'Os menores',
  'part.atHome': 'Com coisas de casa',
  'part.say': 'O que vocês podem dizer',
  'part.hear': 'O que vocês podem ouvir',
  'hear.count': '“Um, dois, quatro”: um número foi pulado. Contem de novo juntos, um toque para cada coisa.',
  'hear.quantity':
    'Conta do um toda vez: o numeral ainda é novo. Digam o nome dele e mostrem a mesma quantidade de dedos.',
  'hear.glance':
    'Conta pontinhos que dariam para ver de uma vez: é assim que começa. Mostrem menos e por menos tempo.',
  'hear.add':
    '“Um, dois, três” desde o início, para {a} e {b}: tudo é contado de novo. “{a} já estão aí. Que número vem depois?”',
  'hear.split':
    '“{a}”, e nada mais: viu uma parte, ainda não as duas. Cubram essa parte: “E quantas há aqui?”',
  'hear.missing': '“{b}”, onde estão {a}: foi dito o total. “Quantas faltam para chegar a {b}?”',
  'hear.subtract':
    '“{wrong}” para {a} menos {b}: contou para trás já a partir do {a}. Tirem as peças uma por uma e depois olhem.',
  'hear.multiply':
    '“{wrong}” para {a} grupos de {b}: os dois números foram somados. Montem os grupos e contem tudo.',
  'hear.divide': '“Não dá”: repartam {a} peças em {b} grupos, uma para cada grupo por vez.',
  'hear.compare':
    'A fileira que parece mais comprida é chamada de maior. Ponham as duas lado a lado, peça com peça: em qual sobra?',
  'hear.tens':
    '“{wrong}” para {a, plural, one {# dezena} other {# dezenas}} e {b, plural, one {# unidade} other {# unidades}}: elas trocaram de lugar. Montem: quantas dezenas, e quantas além delas?',
  'hear.letter': 'Confunde letras que são o espelho uma da outra: passem o dedo nas duas, lado a lado.',
  'hear.listen':
    'Continua depois da palavra de parar: esperar é difícil. Façam mais devagar e sorriam a cada parada.',
  'place.table': 'Na mesa',
  'place.floor': 'No chão',
  'place.outdoors': 'Ao ar livre',
  'place.rainyDay': 'Em dia de chuva',
  'place.car': 'No carro, sem nenhuma peça',
  'place.video': 'Por chamada de vídeo',
  inTheCar: 'No carro: uma pessoa diz os números em voz alta, sem nenhuma peça; outra diz a resposta.',
  'lacks.toldAnew':
    'Faltam algumas peças deste jogo na sacola. Aqui ele é contado de modo que funcione com o que há.',
  'lacks.rests':
    'Faltam algumas peças deste jogo na sacola, então por enquanto ele descansa. Joguem outro, ou usem coisas de casa.',
  edible:
    'Feijão e macarrão: cuidado com alergias, e deixem longe de crianças com menos de {years} anos, a não ser com um adulto ao lado.',
  reachUs: 'Como falar com a gente: {contact}',
  'part.caution': 'Cuidado',
  'show.pieces': 'com peças',
  'show.drawing': 'com desenho',
  'show.symbols': 'com números',
  inBag: 'Na sacola',
  inPlace: '{part} no lugar de {usual}',
  standIn: '{part}: ou {standIn}',
  unchecked: 'Texto ainda não revisado por uma pessoa fluente no idioma.',
  minutes: 'Cerca de {minutes, plural, one {# minuto} other {# minutos}}',
  players: '{players, plural, one {# participante} other {# participantes}}',
  scan: 'Leiam este quadrado com o celular para ver o jogo e contar como foi:',
  smallParts: 'Peças pequenas: não são para crianças com menos de {years} anos.',
  backToSchool:
    'Por favor, contem as peças ao guardar na sacola. Se algo se perder ou quebrar, avisem a gente; acontece.',
  language: 'Idioma',
  tell: 'Como foi?',
  tellWhy:
    'A resposta ajuda a gente a escolher a próxima sacola. Não precisa de nome; deixem em branco o que quiserem.',
  children: 'Quantas crianças jogaram?',
  grownUps: 'Quantos adultos jogaram junto?',
  times: 'Quantas vezes vocês jogaram?',
  minutesEach: 'Mais ou menos quantos minutos cada vez?',
  level: 'Para as crianças foi',
  'level.tooEasy': 'fácil demais',
  'level.justRight': 'na medida certa',
  'level.tooHard': 'difícil demais',
  childDid: 'O que as crianças fizeram ou disseram?',
  missing: 'Faltou alguma coisa, ou algo quebrou?',
  anythingElse: 'Mais alguma coisa?',
  send: 'Enviar a resposta',
  thanks: 'Obrigado',
  thanksWhy: 'A resposta chegou à escola.',
  backToGame: 'Voltar ao jogo',
  listen: 'Ouvir',
  stopListening: 'Parar',
  saidAloud: 'Lido em voz alta por uma pessoa que fala esta língua',
  'refuse.notOut':
    'Esta sacola está na escola agora, então não há o que responder. O jogo ainda pode ser lido aqui.',
  'refuse.others':
    'Esta página foi aberta quando vocês estavam com esta sacola. Agora ela está com outra família, então não há o que responder aqui.',
  haveItNow: 'Esta sacola está com a gente agora',
  'refuse.busy': 'Muitas visitas em pouco tempo. Esperem alguns minutos e tentem de novo.',
  'refuse.unknown':
    'Este endereço não é de nenhuma sacola. Leiam de novo o quadrado da etiqueta, ou perguntem na escola.',
  'error.anew':
    'A resposta ainda não foi enviada. Abram esta página de novo e enviem outra vez; o que vocês escreveram continua aqui.',
  'error.number': 'Escrevam um número de {from} a {to}, ou deixem em branco.',
  'error.long': 'Aqui cabem {limit} caracteres.',
  'error.choice': 'Escolham uma das respostas.',
  'error.empty': 'Respondam pelo menos a uma pergunta.',
  'error.top':
    'A resposta ainda não foi enviada. O que vocês escreveram continua aqui; olhem os lugares marcados.',
  optional: 'podem deixar em branco',
  skip: 'Ir para o jogo',
};
