import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('peg-slide', {
  ...shared('sideBySide.calm', 'younger.counts', 'say.part', 'say.check', 'caution.small'),
  name: 'Peg Slide',
  goal: 'Slide pegs along a card and read every way to make {whole}.',
  'setUp.card':
    '{cards, plural, =1 {Take the card with {whole} pegs.} other {Take one of the # cards; begin with the card of {whole} pegs.}}',
  'setUp.count':
    'Count the pegs together and push them all to the right. The whole is {whole}; it never changes.',
  'turn.slide': 'Slide one peg to the left.',
  'turn.say': 'Say both parts and the whole. Later, for example: “{a} and {b} make {whole}.”',
  'turn.write':
    'When saying it is easy, write the pair on the sheet: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{whole}.',
  'turn.ordered': '{a} and {b} is one pair, {b} and {a} another: write both.',
  'turn.unordered': '{a} and {b} is the same pair as {b} and {a}: write it once, and stop in the middle.',
  'end.all':
    'The end comes by itself: after {ways, plural, one {# pair} other {# pairs}} every way has been written.',
  'easier.dots': 'Draw the pegs as dots instead of writing numbers.',
  'harder.cover': 'Cover one side with your hand. How many pegs are hiding?',
  'atHome.clips': 'Without pegs: push paper clips onto the edge of a card.',
  'say.pattern': '“One side grows, the other shrinks. What comes next?”',
  'play.slide': 'Player {player} reads the card: “{a} and {b} make {whole}.”',
  'play.none': '“Nothing on this side. How do we write nothing?”',
  'play.same': '“Both sides are the same. Will that happen again?”',
  'play.next': '“What will the next pair be, before you slide?”',
});
