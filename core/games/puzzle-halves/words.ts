import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('puzzle-halves', {
  ...shared('sideBySide.calm', 'say.part', 'caution.rest'),
  name: 'Puzzle Halves',
  goal: 'Find the two pictures and the number that fit together: answers to {max}.',
  'setUp.sort':
    'Take the {puzzles} puzzles apart and sort the pieces: left pictures, right pictures, numbers.',
  'setUp.spread': 'Spread the pieces out, face up.',
  'turn.take': 'Take a left picture.',
  'turn.count': 'Find a right picture that fits, and count both: {a} and {b}, for example.',
  'turn.answer': 'Find the number between them: “{a} and {b} make {answer}.”',
  'turn.check': 'Push the pieces together. If the waves fit, it is right: no one has to say so.',
  'end.all': 'Stop when all {puzzles} puzzles lie together.',
  'easier.few': 'Begin with the pieces of {puzzles} puzzles.',
  'harder.cover': 'Lay the pieces face up, but say the answer before you look for it.',
  'younger.picture': 'A younger brother or sister over {years} can put the pieces together by their waves.',
  'atHome.card': 'Cut cards in three with your own waves, and draw dots on both sides.',
  'say.cut': '“Try it: do the waves fit? Then count again.”',
  'play.fits': 'Player {player} fits {a} and {b} to {answer}.',
  'play.cut': '“Do the waves fit?”',
  'play.how': '“How did you know which number to look for?”',
});
