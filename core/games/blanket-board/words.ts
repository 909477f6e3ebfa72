import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('blanket-board', {
  ...shared('atHome.paper', 'caution.small'),
  name: 'Blanket the Board',
  goal: '{win, select, full {Draw slips and cover your numbers, until a whole board is covered.} other {Draw slips and cover your numbers, until a line is covered.}}',
  'setUp.boards':
    'Give each child {boards, plural, one {# board} other {# boards}} and {cells} chips for each board. Read the numbers together.',
  'setUp.blank':
    'Each child writes {cells} different numbers from {from} to {to} into {boards, plural, one {the blank board} other {each of # blank boards}}, and takes {cells} chips for each board.',
  'setUp.slips': 'Fold the {slips} slips or put them face down in a bowl.',
  'turn.draw': 'Draw a slip, say the number and count its dots: “{number}”.',
  'turn.cover': 'Anyone with {number} on a board covers it with a chip.',
  'turn.view': 'Leave the slip in view, so that nobody has to remember.',
  'end.full': 'The first board with all {cells} cells covered is finished.',
  'end.line': 'The first board with a covered line, across, down or diagonal, is finished.',
  'end.on': 'Go on until every board is finished: everybody gets there.',
  'easier.beside': 'Hold the slip beside the board: “Is there one that looks like this?”',
  'harder.dots': 'Show only the dots of the slip, and cover the numeral.',
  'sideBySide.one': 'No winner needed: lay all boards together and cover them as a team.',
  'younger.cover':
    'A younger brother or sister over {years} can draw the slips and put the chips where you point.',
  'say.looks': '“Not sure? Let us hold the slip next to it. Do they look the same?”',
  'say.missing': '“Which numbers are you still waiting for?”',
  'play.slip':
    'The slip says {number}; {covered, plural, =0 {no board has it} one {# board has it} other {# boards have it}}.',
  'play.full': 'The slip says {number}: the board of player {player} is finished, after {calls} slips.',
  'play.look': '“Is there one that looks like this?”',
  'play.keep': '“Nobody needs it. Leave it where we can see it.”',
  'play.read': '“Read your numbers to us.”',
});
