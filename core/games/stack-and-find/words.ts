import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('stack-and-find', {
  ...shared('sideBySide.calm', 'younger.counts', 'atHome.paper', 'say.check', 'caution.small', 'play.check'),
  name: 'Stack and Find',
  goal: 'See a number, build it, find it: numbers to {to}.',
  'setUp.blocks': 'Put {blocks} blocks in the middle and count them together.',
  'setUp.cards': 'Shuffle the numeral cards up to {to} and put them face down.',
  'setUp.spinner':
    'Lay the spinner flat, with numbers up to {to}. Hold a paper clip in its middle with the tip of a pencil.',
  'setUp.frames': 'Spread the frame cards up to {to} out, face up.',
  'setUp.frameCards': 'Shuffle the frame cards up to {to} and put them face down.',
  'setUp.frameSpinner':
    'Lay the spinner with the frames up to {to} flat. Hold a paper clip in its middle with the tip of a pencil.',
  'setUp.numerals': 'Spread the numeral cards from {none} to {to} out, face up.',
  'turn.card': 'Turn a card and say its number, for example “{number}”.',
  'turn.spin': 'Flick the paper clip and say the number it points to, for example “{number}”.',
  'turn.frame': 'Turn a frame card: how many dots does it show?',
  'turn.spinFrame': 'Flick the paper clip: how many dots does the frame show that it points to?',
  'turn.build':
    'Take that many blocks, one at a time, counting aloud, and stack them: {number} blocks for {number}.',
  'turn.find': 'Find the frame that shows that many.',
  'turn.numeral': 'Stack the blocks on the numeral that says that many.',
  'turn.stand': 'Let the tower stand. Which one will be its neighbour?',
  'end.all': 'Stop when all {numbers} numbers have been built, or when it is enough.',
  'easier.beside': 'Lay the blocks beside the dots of the frame, one to one.',
  'easier.fingers': 'Show the number with fingers first, and lay one block at each finger.',
  'harder.strip': 'Finished early? Link all blocks to one strip and count it to the end and back.',
  'say.touch': '“Touch each block once. What was the last number you said?”',
  'play.find': 'Player {player} builds {number} and finds its frame.',
  'play.stack':
    'Player {player} sees {number, plural, one {# dot} other {# dots}} and stacks {number} on the numeral.',
  'play.build': 'Player {player} builds {number}.',
  'play.tower': 'Player {player} builds the tower of {number} and lets it stand.',
  'play.zero': '“No block at all. That is a number too: zero.”',
  'play.again': '“You know this one. Can you see it without counting?”',
});
