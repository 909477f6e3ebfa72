import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('garden-rows', {
  ...shared('sideBySide.calm', 'younger.counts', 'say.part', 'say.check', 'caution.small'),
  name: 'Garden Rows',
  goal: '{way, select, count {Build the row that a card shows, and find its two numbers on the mat. Up to {max} cubes.} sum {Build the row that a card shows, and find on the mat how many cubes it has. Up to {max}.} other {Build a row each: the longer one covers its number on the mat. Up to {max} cubes.}}',
  'setUp.mat': 'Lay the mat on the table and read its numbers together.',
  'setUp.cubes': 'Lay the cubes beside it, sorted: {first} of one color and {second} of another.',
  'setUp.cards': 'Shuffle the {cards} picture cards and put them face down.',
  'setUp.chips': 'Have {cells, plural, one {# chip} other {# chips}} ready to cover cells with.',
  'setUp.sides': 'Each player takes one side of the counters as a color.',
  'turn.build':
    'Turn a card and build its row: the dark squares with one color, the light ones with the other.',
  'turn.both':
    'Each player turns a card and builds its row, the dark squares with one color, the light ones with the other.',
  'turn.numbers': 'Count each color: {a} and {b}, for example. Find the cell with both numbers and cover it.',
  'turn.sum':
    'Count each color and say how many in all: “{a} and {b} make {answer}.” Find the answer and cover one cell.',
  'turn.longer':
    'Each says their own: “{a} and {b} make {answer}.” The longer row covers a cell with its answer. As long as each other? Both cover one.',
  'turn.apart': 'Take the row apart and lay the cubes back to their colors.',
  'turn.draw': 'Next day: color the row on squared paper instead of building it.',
  'turn.write': 'When that is easy, write it: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.all': 'When all {cells} cells are covered, take the chips off one by one and say what was under each.',
  'end.rounds':
    'Stop after {rounds, plural, one {# round} other {# rounds}}, when the cards are used up. Guess who has covered more cells, then count.',
  'easier.beside': 'Lay the card beside the mat and build right on top of it.',
  'harder.hide': 'Look at the card, turn it face down, and build the row from memory.',
  'atHome.paper': 'Two kinds of beans or buttons in a row do the same.',
  'say.turned': '“If you turn the row round, is it still the same number?”',
  'play.count': 'Player {player} builds {a} and {b}, and covers the cell with both numbers.',
  'play.sum': 'Player {player} builds {a} and {b}: {answer}, and covers it.',
  'play.longer':
    'One row has {a} and {b}, the other {c} and {d}: {answer} is more. Player {player} covers it.',
  'play.same': 'One row has {a} and {b}, the other {c} and {d}: both have {answer}, and both cover one.',
  'play.which': '“Which color has more? How many more?”',
  'play.see': '“Can you see how many there are, without counting each?”',
  'play.measure': '“Lay both rows side by side. How much longer is it?”',
});
