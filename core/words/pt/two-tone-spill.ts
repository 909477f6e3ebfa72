import type { Messages } from '~/core/words/message';

export const twoToneSpill: Messages = {
  name: 'Vira e Separa',
  goal: 'Descubram os jeitos de formar {counters} com duas partes.',
  'setUp.cup':
    'Ponham {counters, plural, one {# ficha de duas cores} other {# fichas de duas cores}} no copo. Contem juntos enquanto elas entram.',
  'setUp.sheet':
    '{players, plural, =1 {Peguem uma folha de registro com {spills, plural, one {# linha} other {# linhas}}.} other {Cada participante pega uma folha de registro com {spills, plural, one {# linha} other {# linhas}}.}}',
  'turn.spill': 'Sacudam o copo e virem as fichas com cuidado sobre a mesa.',
  'turn.sort': 'Separem as fichas por cor em dois grupos, nas duas partes do tapete.',
  'turn.say': 'Digam quantas há de cada cor e quantas há ao todo: “{a} e {b} são {counters}.”',
  'turn.draw':
    'Desenhem os pontinhos dos dois grupos na próxima linha da folha. Nos primeiros dias, isso basta.',
  'turn.write':
    'Quando isso ficar fácil, escrevam também os números: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{counters}.',
  'turn.ordered': '{a} e {b} é um jeito; {b} e {a} é outro jeito.',
  'turn.unordered': '{a} e {b} é o mesmo jeito que {b} e {a}.',
  'turn.pass': 'Devolvam as fichas e passem o copo para a próxima pessoa.',
  'end.rows':
    '{players, plural, =1 {Parem depois de {spills, plural, one {# jogada} other {# jogadas}}.} other {Parem quando cada participante tiver feito {spills, plural, one {# jogada} other {# jogadas}}.}}',
  'end.look':
    'Olhem a folha juntos: que jeito saiu mais vezes? Há {ways} jeitos ao todo; não é preciso achar todos.',
  'end.turnOver':
    'Agora virem as fichas, uma de cada vez, e escrevam os jeitos que faltam. Há {ways} jeitos ao todo.',
  'easier.fewer': 'Joguem com {counters, plural, one {# ficha} other {# fichas}}.',
  'easier.sort': 'Só separem e contem cada cor; dizer o total pode esperar.',
  'harder.more': 'Joguem com {counters, plural, one {# ficha} other {# fichas}}.',
  'harder.hide': 'Cubram uma cor com a mão. Quantas estão escondidas?',
  'sideBySide.own':
    'Ninguém precisa ganhar: com {counters, plural, one {# ficha} other {# fichas}} para cada um, joguem lado a lado e vejam juntos quantos dos {ways} jeitos vocês acham.',
  'younger.line': 'Quem já passou dos {years} anos pode virar o copo e pôr cada cor em fila para contar.',
  'atHome.instead':
    'Sem as fichas: {counters} quadradinhos de papel pintados de um lado, ou tampinhas de garrafa, também servem.',
  'say.part': 'Veio só um número? “Você viu {a} de uma cor. Quantas da outra?”',
  'say.check': 'Estão em dúvida? “Vamos tocar e contar uma por uma.” As fichas dão a resposta.',
  'say.more': '“Você consegue formar de outro jeito?”',
  'caution.small':
    'Peças pequenas: deixem as fichas longe de crianças com menos de {years} anos. Contem as {counters} ao guardar na sacola.',
  'play.spill':
    'Participante {player} vira as fichas: {a} de uma cor e {b} da outra. “{a} e {b} são {counters}.”',
  'play.turnOver':
    'Participante {player} vira fichas para formar um jeito que falta: “{a} e {b} são {counters}.”',
  'play.new': 'Esse jeito é novo: “Escreva. O que pode vir depois?”',
  'play.again': 'Esse jeito já saiu: “Onde ele está na sua folha? Por que sai tantas vezes?”',
  'play.allOne': 'Todas de uma cor: “Nenhuma da outra. Como escrevemos nenhuma?”',
  'sheet.both': 'Ao todo: {counters}',
};
