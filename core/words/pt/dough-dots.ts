import type { Messages } from '~/core/words/message';

export const doughDots: Messages = {
  name: 'Bolinhas de Massinha',
  goal: 'Façam bolinhas de massinha, amassem algumas e vejam quantas sobram: até {max}.',
  'setUp.dough': 'Ponham a massinha em uma bandeja ou em uma folha de papel-manteiga.',
  'setUp.cards': 'Embaralhem os {cards} cartões e ponham virados para baixo.',
  'turn.make': 'Virem um cartão. O primeiro número diz quantas bolinhas: façam {a}, por exemplo.',
  'turn.squash': 'O segundo número diz quantas amassar: {b}.',
  'turn.say': 'Digam: “{a} menos {b} é {answer}.”',
  'turn.draw': 'Desenhem as bolinhas e risquem as amassadas.',
  'turn.write': 'Quando desenhar ficar fácil, escrevam: {a}\u00a0−\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.cards': 'Parem depois de {cards, plural, one {# cartão} other {# cartões}} e fechem bem o pote.',
  'easier.five': 'Usem só cartões cujo primeiro número vai até {number}.',
  'harder.back': 'Façam de novo bolinhas com as amassadas: somem {b} ao que sobrou, e vocês têm {a} de novo.',
  'younger.balls': 'Quem já passou dos {years} anos pode fazer as bolinhas e amassar.',
  'say.left': '“Quantas ainda estão redondas? Quantas estão amassadas? Quantas ao todo?”',
  'caution.dough':
    'Muitas massinhas têm trigo: perguntem na escola se alguém em casa precisa evitar. Lavem as mãos depois; massinha não é comida.',
  'play.squash':
    'Participante {player} faz {a, plural, one {# bolinha} other {# bolinhas}} e amassa {b}: {answer, plural, one {sobra #} other {sobram #}}.',
  'play.none': '“Todas amassadas. Quantas sobraram?”',
  'play.all': '“Nenhuma para amassar. Quantas ficam?”',
  'play.left': '“Dá para ver quantas sobram, sem contar?”',
};
