import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('three-stones', {
  ...shared('say.how', 'caution.rest', 'caution.throw'),
  name: 'Three Stones',
  goal: '{sums, select, yes {Be the first with three stones in a row that make {target}.} other {Be the first with three of your stones in a row.}}',
  'setUp.table': 'Lay the board with its nine cells between you.',
  'setUp.floor': 'Tape a board with nine cells on the floor, each as wide as a step.',
  'setUp.stones': 'Each player takes {stones} stones with the same mark.',
  'turn.place': 'By turns, place one stone on a free cell.',
  'turn.toss': 'By turns, toss one stone onto the board from one step away.',
  'turn.taken': 'A stone on a taken cell or beside the board is lost for this game.',
  'turn.number': 'Say the number of the cell.',
  'turn.sum':
    'A row counts only if its three numbers make {target}: {a}\u00a0+\u00a0{b}\u00a0+\u00a0{c}, for example. Does every row make {target}?',
  'turn.row': 'Look across, down and diagonally: where could {stones} of yours lie in a row?',
  'end.row': 'Whoever has {stones} in a row has finished. Begin by turns.',
  'end.sum':
    'Whoever has a row that makes {target} says the number sentence and has finished. Begin by turns.',
  'end.full': 'Nobody? Then the board has won, and you play again.',
  'easier.open': 'Talk about every move together before the stone is down.',
  'harder.say': 'Say which cell you need before you play.',
  'sideBySide.pattern': 'No winner needed: fill the board together so that no row is all of one mark.',
  'younger.stones':
    'A younger brother or sister over {years} can hand out the stones and count them back in.',
  'atHome.paper': 'Draw the board on paper, and take two kinds of buttons or beans.',
  'say.two': '“You have two here. What is missing?”',
  'play.stone': 'Player {player} puts a stone on cell {number}.',
  'play.number': 'Player {player} takes {number}.',
  'play.taken': 'Player {player} lands on {number}, which is taken.',
  'play.row': 'Player {player} has three in a row (cells {numbers}).',
  'play.sum': 'Player {player} has a row: {numbers}.',
  'play.look': '“Where could a row grow?”',
  'play.need': '“Which number do you need now?”',
  'play.again': '“That one is taken. Softer next time.”',
  'play.show': '“Show us the row.”',
});
