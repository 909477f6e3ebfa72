import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('leaf-twins', {
  ...shared('sideBySide.calm', 'atHome.paper', 'say.how', 'caution.rest'),
  name: 'Leaf Twins',
  goal: 'Find for each number, up to {count}, the shape with that many dots.',
  'setUp.board':
    'Lay the board on the table, dots up: {count} outlines, each with a different number of dots.',
  'setUp.spread': 'Spread the {count} shapes out, numbers up, and mix them.',
  'turn.take': 'Take a shape and say its number.',
  'turn.count': 'Look for the outline with that many dots. Touch each dot once and count aloud.',
  'turn.lay': 'Lay the shape on its twin.',
  'end.all': 'When all {count} shapes have found their twins, read the numbers in order.',
  'easier.five': 'Begin with the shapes up to {number}; add one more each day.',
  'harder.back':
    'For an older child, turn the board over: lay a whole on top of the triangle and its two parts below, such as {whole} with {a} and {b}.',
  'younger.match':
    'A younger brother or sister over {years} can find the twin of the shape you hold: “Is there one that looks like this?”',
  'say.touch': '“Touch each dot. Say one number for each touch.”',
  'play.lay':
    'Player {player} takes the {number} and lays it on the outline with {number, plural, one {# dot} other {# dots}}.',
  'play.count': '“Which five do you see first? How many more?”',
  'play.see': '“Did you count, or did you see it?”',
});
