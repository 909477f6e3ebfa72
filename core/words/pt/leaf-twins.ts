import type { Messages } from '~/core/words/message';

export const leafTwins: Messages = {
  name: 'Folhas Gêmeas',
  goal: '{twins, select, dots {Achem para cada número, até {most}, o contorno com essa quantidade de pontinhos.} numerals {Achem o gêmeo de cada número, até {most}.} other {Achem a letra minúscula de cada uma das {count} letras maiúsculas.}}',
  'setUp.board':
    'Ponham o tabuleiro na mesa, com os pontinhos para cima: {count} contornos, cada um com uma quantidade diferente de pontinhos.',
  'setUp.boardNumbers': 'Ponham o tabuleiro na mesa: {count} contornos, cada um com um número.',
  'setUp.boardLetters': 'Ponham o tabuleiro na mesa: {count} contornos, cada um com uma letra minúscula.',
  'setUp.letters': 'Espalhem as {count} figuras, com as maiúsculas para cima, e misturem.',
  'setUp.spread': 'Espalhem as {count} figuras, com os números para cima, e misturem.',
  'turn.take': 'Peguem uma figura e digam o número dela.',
  'turn.takeLetter': 'Peguem uma figura, digam a letra e passem o dedo por cima.',
  'turn.same': 'Procurem o contorno com o mesmo número e digam de novo.',
  'turn.small': 'Procurem o contorno com a letra minúscula que combina.',
  'turn.count':
    'Procurem o contorno com essa quantidade de pontinhos. Toquem cada pontinho uma vez e contem em voz alta.',
  'turn.lay': 'Ponham a figura sobre o seu gêmeo.',
  'end.all': 'Quando as {count} figuras tiverem achado os seus gêmeos, leiam os números em ordem.',
  'end.letters':
    'Quando as {count} figuras tiverem achado os seus gêmeos, digam as letras uma depois da outra.',
  'easier.few':
    'Comecem com {number, plural, one {# figura} other {# figuras}} e os seus contornos; ponham mais uma a cada dia.',
  'easier.five': 'Comecem com as figuras até {number}; ponham mais uma a cada dia.',
  'harder.back':
    'Para uma criança maior, virem o tabuleiro: ponham um todo no alto do triângulo e as duas partes embaixo, como {whole} com {a} e {b}.',
  'harder.faceDown': 'Ponham as figuras viradas para baixo: virem uma, achem o gêmeo dela e virem a próxima.',
  'younger.match':
    'Quem já passou dos {years} anos pode achar o gêmeo da figura que vocês mostram: “Há uma que se parece com esta?”',
  'say.letter': '“Que palavra começa com esta letra?”',
  'say.look': '“O que você olha primeiro? Qual é quase igual?”',
  'say.touch': '“Toque cada pontinho. Diga um número a cada toque.”',
  'play.lay':
    'Participante {player} pega o {number} e põe no contorno com {number, plural, one {# pontinho} other {# pontinhos}}.',
  'play.same': 'Participante {player} pega o {number} e põe no contorno com o {number}.',
  'play.letter': 'Participante {player} pega o {capital} e põe no contorno com o {small}.',
  'play.begins': '“O nome de quem começa assim?”',
  'play.alike': '“Que outra é um pouco parecida? O que é diferente?”',
  'play.count': '“Que grupo de cinco você vê primeiro? Quantos mais?”',
  'play.see': '“Você contou, ou viu de uma vez?”',
};
