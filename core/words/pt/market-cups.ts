import type { Messages } from '~/core/words/message';

export const marketCups: Messages = {
  name: 'Copinhos da Feira',
  goal: 'Encham alguns copinhos com a mesma quantidade de peças. Quantas ao todo? Até {cups, plural, one {# copinho} other {# copinhos}} de {pieces}.',
  'setUp.cups':
    '{cups, plural, one {Peguem o # copinho} other {Empilhem os # copinhos}} e ponham as peças ao lado.',
  'setUp.dice': 'O dado com a cor dos copinhos diz quantos copinhos, o outro quantas peças.',
  'setUp.cards':
    'As cartas vermelhas dizem quantos copinhos, as pretas quantas peças. Façam dois montes, virados para baixo.',
  'turn.again':
    'Copinhos de {cupsFrom} a {cupsTo}, peças de {piecesFrom} a {piecesTo}: um dado que mostra outro número é jogado de novo.',
  'turn.cups':
    'Descubram quantos copinhos e ponham na mesa: {cups, plural, one {# copinho} other {# copinhos}}, por exemplo.',
  'turn.pieces':
    'Descubram quantas peças e ponham essa quantidade em cada um: {cups, plural, one {# copinho} other {# copinhos}} com {pieces} em cada.',
  'turn.say':
    'Digam antes de contar: “{cups, plural, one {# grupo de {pieces} são} other {# grupos de {pieces} são}} {answer}.” Depois confiram.',
  'turn.draw': 'Desenhem os copinhos como círculos com pontinhos. Nos primeiros dias, isso basta.',
  'turn.write': 'Escrevam com o sinal: {cups}\u00a0×\u00a0{pieces}\u00a0=\u00a0{answer}.',
  'end.rounds':
    'Devolvam tudo depois de cada vez. Parem depois de {rounds, plural, one {# vez} other {# vezes}} para cada um.',
  'easier.two': 'Joguem com {cups} copinhos: os dois têm sempre a mesma quantidade.',
  'harder.guess': 'Digam a resposta antes que haja peças nos copinhos.',
  'say.each': '“Quantas em cada um? Quantos copinhos? E ao todo?”',
  'play.groups':
    'Participante {player}: {cups, plural, one {# copinho com {pieces} são} other {# copinhos com {pieces} em cada são}} {answer}.',
  'play.times': 'Participante {player}: {cups}\u00a0×\u00a0{pieces}\u00a0=\u00a0{answer}.',
  'play.turned':
    '“E se houvesse {pieces, plural, one {# copinho com {cups}} other {# copinhos com {cups} em cada}}?”',
  'play.how':
    '“Você contou tudo, ou contou de tanto em tanto? {cups, plural, one {Há # copinho} other {Há # copinhos}} de {pieces}.”',
  'sheet.cups': 'copinhos',
  'sheet.each': 'em cada',
  'sheet.all': 'ao todo',
};
