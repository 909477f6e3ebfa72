import type { Messages } from '~/core/words/message';

export const harvestMat: Messages = {
  name: 'Tapete da Colheita',
  goal: '{source, select, one {Joguem o dado, achem o número no tapete e cubram.} two {Joguem dois dados, somem e cubram a resposta no tapete.} other {Tirem um cartão de soma e cubram a resposta no tapete.}}',
  'setUp.mat':
    'Ponham o tapete na mesa e leiam juntos {cells, plural, one {o seu # número} other {os seus # números}}.',
  'setUp.chips': 'Ponham {cells, plural, one {# fichinha} other {# fichinhas}} ao lado.',
  'setUp.claim': 'Cada participante fica com uma cor das fichas.',
  'turn.one': 'Joguem o dado, contem os pontinhos e digam o número.',
  'turn.two': 'Joguem os dois dados e digam a resposta: “{a} e {b} são {answer}.”',
  'turn.card': 'Tirem um cartão e digam a resposta: “{a} e {b} são {answer}.”',
  'turn.back': 'Devolvam o cartão e misturem o monte.',
  'setUp.pencils': 'Deixem prontos dois lápis de cores diferentes.',
  'turn.circle':
    'Achem a resposta no tapete e circulem uma casa. Na segunda vez que jogarem, pintem uma casa circulada.',
  'turn.cover': 'Achem a resposta no tapete e cubram uma casa.',
  'turn.none': 'Não há casa livre com esse número? Digam o número e passem a vez.',
  'end.all':
    'Parem quando {cells, plural, one {a # casa estiver coberta} other {as # casas estiverem cobertas}}, ou quando já bastar.',
  'end.claim': 'Quando tudo estiver coberto, adivinhem que cor tem mais casas. Depois contem.',
  'easier.count': 'Contem todos os pontinhos com o dedo, um depois do outro.',
  'easier.lay': 'Mostrem os dois números do cartão com dedos ou botões e contem juntos.',
  'harder.wishCard': 'Antes de tirar: de que número vocês precisam, e que cartões podem trazê-lo?',
  'younger.chips': 'Quem já passou dos {years} anos pode procurar o número no tapete com vocês.',
  'harder.wish': 'Antes de jogar: de que número vocês precisam, e como ele pode sair?',
  'play.one': 'Participante {player} tira {number} e cobre.',
  'play.oneAgain': 'Participante {player} tira {number}: já está coberto.',
  'play.sum': 'Participante {player} tem {a} e {b}, e cobre o {number}.',
  'play.sumAgain': 'Participante {player} tem {a} e {b}: não há {number} livre.',
  'play.wish': '“De que número ainda precisamos? Como ele pode sair?”',
};
