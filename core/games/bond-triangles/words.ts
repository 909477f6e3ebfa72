import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('bond-triangles', {
  ...shared('sideBySide.team', 'younger.counts', 'atHome.paper', 'say.check', 'caution.small', 'play.how'),
  name: 'Bond Triangles',
  goal: 'Two parts and a whole, up to {whole}: which one is under the thumb?',
  'setUp.pile':
    'Put the {cards, plural, one {# triangle card} other {# triangle cards}} in a pile, face down.',
  'turn.cover': 'Hold up a card with your thumb on one corner.',
  'turn.whole': 'Your thumb is on the whole, at the top. You see {a} and {b}: “How many in all?” ({whole})',
  'turn.part': 'Your thumb is on a part. You see {whole} and {b}: “Which part is hiding?” ({a})',
  'turn.any':
    'Your thumb may be on any corner. You see {a} and {b}: “How many in all?” ({whole}) You see {whole} and {b}: “Which part is hiding?” ({a})',
  'turn.lay': 'Not sure? Build the whole with counters, and turn some over to make the parts.',
  'turn.sentences':
    'Say what the card tells: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{whole} and {whole}\u00a0−\u00a0{a}\u00a0=\u00a0{b}. Can you turn the number sentences round?',
  'end.pile': 'Stop when the pile is empty, or when it is enough for today.',
  'easier.draw': 'Draw a triangle and put dots in its corners.',
  'harder.write': 'Write all the number sentences of one card without help.',
  'say.story': '“There were {whole} birds, {a} flew away. What is left?” A small story helps.',
  'play.whole': 'Player {player} sees {a} and {b}: “{whole} in all.”',
  'play.part': 'Player {player} sees {seen} and the whole, {whole}: “{hidden} is hiding.”',
  'play.lay': '“Lay the whole. Turn over what you see. What is left?”',
});
