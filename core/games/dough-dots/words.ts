import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('dough-dots', {
  ...shared('turn.lineBack', 'sideBySide.calm', 'atHome.paper', 'say.part'),
  name: 'Dough Dots',
  goal: 'Roll balls of dough, squash some, and see how many are left: up to {max}.',
  'setUp.dough': 'Put the dough on a tray or a sheet of parchment paper.',
  'setUp.cards': 'Shuffle the {cards} cards and put them face down.',
  'turn.make': 'Turn a card. The first number says how many balls: make {a}, for example.',
  'turn.squash': 'The second number says how many to squash: {b}.',
  'turn.say': 'Say it: “{a} take away {b} is {answer}.”',
  'turn.draw': 'Draw the balls and cross out the squashed ones.',
  'turn.write': 'When drawing is easy, write it: {a}\u00a0−\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.cards': 'Stop after {cards, plural, one {# card} other {# cards}}, and close the box well.',
  'easier.five': 'Take only cards with a first number up to {number}.',
  'harder.back': 'Roll the squashed ones into balls again: add {b} to what is left, and you have {a} again.',
  'younger.balls': 'A younger brother or sister over {years} can roll the balls and squash them.',
  'say.left': '“How many are still round? How many are flat? How many in all?”',
  'caution.dough':
    'Many kinds of dough have wheat in them: ask at school if anybody at home has to avoid it. Wash hands afterwards; dough is not food.',
  'play.squash':
    'Player {player} makes {a, plural, one {# ball} other {# balls}} and squashes {b}: {answer, plural, one {# is} other {# are}} left.',
  'play.none': '“All flat. How many are left?”',
  'play.all': '“None to squash. How many stay?”',
  'play.left': '“Can you see how many are left, without counting?”',
});
