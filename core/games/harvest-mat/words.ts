import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('harvest-mat', {
  ...shared(
    'sideBySide.team',
    'younger.rolls',
    'atHome.dice',
    'atHome.paper',
    'say.how',
    'say.part',
    'caution.small',
    'play.how',
  ),
  name: 'Harvest Mat',
  goal: '{source, select, one {Roll, find the number on the mat and cover it.} two {Roll two dice, add them and cover the answer on the mat.} other {Draw a sum card and cover its answer on the mat.}}',
  'setUp.mat':
    'Lay the mat on the table and read its {cells, plural, one {# number} other {# numbers}} together.',
  'setUp.chips': 'Put {cells, plural, one {# chip} other {# chips}} beside it.',
  'setUp.claim': 'Each player takes one color of the counters.',
  'turn.one': 'Roll the die, count the dots and say the number.',
  'turn.two': 'Roll both dice and say the answer: “{a} and {b} make {answer}.”',
  'turn.card': 'Draw a card and say the answer: “{a} and {b} make {answer}.”',
  'turn.back': 'Put the card back and mix the pile.',
  'setUp.pencils': 'Have two pencils of different colors ready.',
  'turn.circle':
    'Find the answer on the mat and circle one cell. The second time you play, color a circled cell in.',
  'turn.cover': 'Find the answer on the mat and cover one cell.',
  'turn.none': 'No free cell with that number? Say it, and pass on.',
  'end.all':
    'Stop when {cells, plural, one {the # cell is} other {all # cells are}} covered, or when it is enough.',
  'end.claim': 'When everything is covered, guess which color has more cells. Then count.',
  'easier.count': 'Count all dots with a finger, one after the other.',
  'easier.lay': 'Show both numbers of the card with fingers or buttons, and count them together.',
  'harder.wishCard': 'Before you draw: which number do you need, and which cards could bring it?',
  'younger.chips': 'A younger brother or sister over {years} can look for the number on the mat with you.',
  'harder.wish': 'Before you roll: which number do you need, and how could it come?',
  'play.one': 'Player {player} rolls {number} and covers it.',
  'play.oneAgain': 'Player {player} rolls {number}: it is covered already.',
  'play.sum': 'Player {player} has {a} and {b}, and covers {number}.',
  'play.sumAgain': 'Player {player} has {a} and {b}: there is no free {number}.',
  'play.wish': '“Which number do we still need? How could it come?”',
});
