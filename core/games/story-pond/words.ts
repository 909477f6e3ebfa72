import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('story-pond', {
  ...shared('sideBySide.calm', 'younger.counts', 'say.check', 'caution.small'),
  name: 'Story Pond',
  goal: 'Two kinds of animals meet at the pond: how many altogether? Up to {max}.',
  'setUp.pond': 'Lay the mat with the pond on the table and sort the animals by kind.',
  'setUp.cards': 'Shuffle the {cards} cards and put them face down.',
  'turn.card': 'Turn a card: it tells how many of each kind, for example {a} and {b}.',
  'turn.lay': 'Put them in the pond: {a} of one kind, {b} of the other.',
  'turn.tell': 'Tell a small story: who was there first, and who came swimming along?',
  'turn.all': 'How many altogether? “{a} and {b} make {answer}.”',
  'turn.tile': 'Lay the numeral tile beside the pond: {answer}.',
  'turn.write': 'Write the number on the mat: {answer}. Wipe it off with the cloth for the next story.',
  'end.stories': 'Stop after {stories, plural, one {# story} other {# stories}}. All animals go home.',
  'easier.one': 'Play with one kind of animal only, and count them.',
  'harder.leave': 'Let some swim away again: how many stay?',
  'atHome.blue': 'A blue towel is a pond too, with two kinds of buttons or beans.',
  'say.kinds': 'Only one kind counted? “You counted {a} of these. And the others?”',
  'play.story': 'Player {player} puts {a} and {b} in the pond: {answer} altogether.',
  'play.tell': '“Who came first? Who came then?”',
  'play.part': '“You see {a} of these. And the others?”',
});
