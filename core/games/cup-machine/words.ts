import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('cup-machine', {
  ...shared(
    'turn.lineHop',
    'turn.lineBack',
    'sideBySide.calm',
    'younger.counts',
    'say.part',
    'say.check',
    'caution.small',
  ),
  name: 'Cup Machine',
  goal: '{op, select, add {Fill two cups, pour them together: how many come out of the machine?} other {Fill the machine, pour some back: how many stay inside?}}',
  'setUp.cups': 'Set up {cups} cups: two small numbers above, the machine below.',
  'setUp.cards': 'Shuffle the number cards up to {max} into two piles, one for each cup.',
  'setUp.deck':
    'Take the cards ace to {max} out of the deck; the ace is one. Shuffle the red ones into one pile and the black ones into another, one for each cup.',
  'turn.lay':
    'Lay the sentence with the operation cards between: {a}\u00a0{sign}\u00a0{b}\u00a0=\u00a0{answer}; the answer is said, or shown with chips.',
  'turn.cards': 'Turn a card from each pile and read both numbers.',
  'turn.fill': 'Count that many chips into each cup: {a} and {b}, for example.',
  'turn.load': 'Count the larger number of chips into the machine: {a}, for example.',
  'turn.pour': 'Pour both cups into the machine.',
  'turn.back': 'Pour the smaller number back out, counting: {b}.',
  'turn.saySum': 'Say how many there are now, then tip them out and count: “{a} and {b} make {answer}.”',
  'turn.sayLeft': 'Say how many stayed inside, then tip them out and count: “{a} take away {b} is {answer}.”',
  'turn.draw': 'Next day: draw the cups with dots instead of filling them.',
  'turn.head': 'When that is easy: only the cards, and the answer in the head. Use the cups to check.',
  'end.problems': 'Stop after {problems, plural, one {# problem} other {# problems}}.',
  'easier.same': 'Turn one card only, and put the same number in both cups.',
  'harder.missing': 'Turn it round: the machine shows {answer}, one cup had {a}. What is missing?',
  'atHome.bowls': 'Three bowls and dry beans or buttons do the same.',
  'say.on': '“{a} are in already. Count on from there.”',
  'play.add': 'Player {player} pours {a} and {b} together: {answer}.',
  'play.subtract': 'Player {player} pours {b} of {a} back: {answer} stay.',
  'play.guess': '“What do you think, before we count?”',
  'sheet.pour': 'pour',
  'sheet.draw': 'draw',
  'sheet.head': 'in the head',
});
