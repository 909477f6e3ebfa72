import type { Messages } from '~/core/words/message';

export const pegSlide: Messages = {
  name: 'Prendedores que Andam',
  goal: 'Façam os prendedores andar no cartão e leiam todos os jeitos de formar {whole}.',
  'setUp.card':
    '{cards, plural, =1 {Peguem o cartão com {whole} prendedores.} other {Peguem um dos # cartões; comecem com o de {whole} prendedores.}}',
  'setUp.count':
    'Contem juntos os prendedores e empurrem todos para a direita. O todo é {whole}; ele nunca muda.',
  'turn.slide': 'Empurrem um prendedor para a esquerda.',
  'turn.say': 'Digam as duas partes e o todo. Mais tarde, por exemplo: “{a} e {b} são {whole}.”',
  'turn.write': 'Quando dizer ficar fácil, escrevam o par na folha: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{whole}.',
  'turn.ordered': '{a} e {b} é um par, {b} e {a} é outro: escrevam os dois.',
  'turn.unordered': '{a} e {b} é o mesmo par que {b} e {a}: escrevam uma vez só e parem no meio.',
  'end.all':
    'O fim chega sozinho: depois de {ways, plural, one {# par} other {# pares}}, todos os jeitos estão escritos.',
  'easier.dots': 'Desenhem os prendedores como pontinhos em vez de escrever números.',
  'harder.cover': 'Cubram um lado com a mão. Quantos prendedores estão escondidos?',
  'atHome.clips': 'Sem prendedores: ponham clipes de papel na borda de um cartão.',
  'say.pattern': '“Um lado cresce, o outro diminui. O que vem depois?”',
  'play.slide': 'Participante {player} lê o cartão: “{a} e {b} são {whole}.”',
  'play.none': '“Nada deste lado. Como escrevemos nada?”',
  'play.same': '“Os dois lados são iguais. Isso vai acontecer de novo?”',
  'play.next': '“Qual vai ser o próximo par, antes de empurrar?”',
};
