import type { Messages } from '~/core/words/message';

export const hatNumbers: Messages = {
  name: 'Números no Chapéu',
  goal: '{op, select, add {Vocês veem a outra carta e ouvem a soma: o que está no próprio chapéu?} other {Vocês veem a outra carta e ouvem o produto: o que está no próprio chapéu?}}',
  'setUp.remove': 'Tirem os valetes, as damas e os reis. O ás vale um.',
  'setUp.zero': 'Tirem os valetes e as damas. O ás vale um, o rei vale {zero}.',
  'setUp.faces': 'Usem todas as cartas: o ás vale um, o valete {jack}, a dama {queen}, o rei {king}.',
  'setUp.signed': 'As cartas pretas estão acima de zero, as vermelhas abaixo de zero.',
  'setUp.roles':
    'Três jogam: dois se sentam de frente um para o outro, o terceiro anuncia. Dividam as cartas entre os dois.',
  'turn.hats': 'Os dois levantam a carta de cima até a testa sem olhar: só os outros podem ver.',
  'turn.sum': 'Quem anuncia olha as duas e diz a soma, por exemplo “{said}”.',
  'turn.product': 'Quem anuncia olha as duas e diz o produto, por exemplo “{said}”.',
  'turn.partSum': 'Descubram a própria carta pela outra: “Você tem {b}, a soma é {said}: eu tenho {a}.”',
  'turn.partProduct':
    'Descubram a própria carta pela outra: “Você tem {b}, o produto é {said}: eu tenho {a}.”',
  'turn.winner': 'Quem diz primeiro o próprio número leva as duas cartas.',
  'turn.together': 'Esperem um pelo outro, contem para trás com quem anuncia e digam os números juntos.',
  'end.rotate':
    'Troquem quem anuncia a cada duas rodadas. Parem quando as cartas acabarem, ou quando já bastar.',
  'easier.ten': 'Usem as cartas até cinco e deem fichas a quem anuncia para montar a soma.',
  'harder.explain': 'Digam como descobriram antes de olhar.',
  'younger.keeps': 'Quem já passou dos {years} anos pode guardar as cartas que já saíram e contar no fim.',
  'say.from': '“Você ouve {said} e vê {b}. Quanto falta de {b} até {said}?”',
  'play.call': 'Participante {player} anuncia {said}. Os chapéus mostram {a} e {b}.',
  'play.unknown':
    'Participante {player} anuncia {said}. Os chapéus mostram {a} e {b}: não dá para descobrir.',
  'play.from': '“Você ouve {said} e vê {b}. O que pode ser?”',
  'play.zero': '“Poderia ser qualquer número? Por quê?”',
};
