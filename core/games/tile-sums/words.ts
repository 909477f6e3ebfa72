import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('tile-sums', {
  ...shared('sideBySide.calm', 'younger.counts', 'say.how', 'caution.small', 'play.how'),
  name: 'Tile Sums',
  goal: 'A domino has two ends: how many dots in all? Sums to {limit}.',
  'setUp.tiles': 'Turn the {tiles} dominoes face down and mix them. No domino has more than {limit} dots.',
  'turn.draw': 'Draw a domino and lay it on the sheet.',
  'turn.count': 'Count the dots on each end, then all of them.',
  'turn.say': 'Say it: “{a} and {b} make {answer}.”',
  'turn.write': 'When saying is easy, write it beside the domino: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.pile': 'Stop when the dominoes are used up, or when the sheet is full.',
  'easier.touch': 'Touch every dot once; writing can wait.',
  'harder.turn': 'Turn the domino round: is {b}\u00a0+\u00a0{a} the same as {a}\u00a0+\u00a0{b}?',
  'atHome.draw': 'No dominoes? Draw dots on both halves of a folded card.',
  'say.start': '“You see {a} here. Start from {a} and count on.”',
  'play.tile': 'Player {player} draws {a} and {b}: “{answer} in all.”',
  'play.double': '“Both ends are the same. A double.”',
});
