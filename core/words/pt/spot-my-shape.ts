import type { Messages } from '~/core/words/message';

export const spotMyShape: Messages = {
  name: 'Adivinhe a Minha Figura',
  goal: 'Escolham uma das coisas à vista, deem dicas e deixem os outros achar: umas {things} podem ser.',
  'setUp.choose': 'Escolham algo que todos possam ver, e não olhem para ele.',
  'turn.clue':
    '{shape, select, yes {{colour, select, yes {Deem uma dica pela forma ou pela cor: “Vejo uma coisa redonda e vermelha.”} other {Deem uma dica pela forma: “Vejo uma coisa redonda.”}}} other {Deem uma dica: “Vejo uma coisa da mesma cor da grama.”}}',
  'turn.number': 'Ou por um número: “Tem {corners} pontas.”',
  'turn.guess': 'Os outros adivinham, um depois do outro, e dizem por que combina.',
  'turn.hint': 'Não sai? Deem mais uma dica.',
  'end.found': 'Quem achar escolhe a próxima coisa. Parem depois de umas {rounds} adivinhas.',
  'easier.two': 'Apontem para duas coisas: qual das duas é?',
  'harder.not': 'Digam o que não é: “Não tem pontas.”',
  'sideBySide.team': 'Ninguém precisa ganhar: todos os outros adivinham juntos e combinam uma resposta.',
  'younger.point': 'Quem já passou dos {years} anos pode apontar em vez de falar.',
  'atHome.anywhere': 'Não precisa de nada: à mesa, no ponto de ônibus, na sala de espera.',
  'say.why': '“Combina com todas as dicas? Com qual não combina?”',
  'play.found':
    'Participante {player} dá {told, plural, one {# dica} other {# dicas}}, começando por {clue, select, shape {a forma} number {um número} other {a cor}}: foi achado.',
  'play.hint':
    'Participante {player} dá {told, plural, one {# dica} other {# dicas}}, começando por {clue, select, shape {a forma} number {um número} other {a cor}}: {left} coisas ainda combinam, então mais uma dica.',
  'play.how': '“Que dica mostrou isso a você?”',
  'play.more': '“O que mais você poderia dizer sobre isso?”',
};
