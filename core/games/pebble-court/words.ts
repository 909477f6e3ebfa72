import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('pebble-court', {
  ...shared('caution.outside', 'caution.floor', 'caution.rest'),
  name: 'Pebble Court',
  goal: 'Throw a stone, hop the court, say every number: one to {cells}.',
  'setUp.chalk': 'Chalk the court with {cells} cells and number them.',
  'setUp.tape': 'Tape the court with {cells} cells on the floor and number them on paper.',
  'setUp.paper': 'Lay the court with its {cells} cells on the table: two fingers are your legs.',
  'setUp.growChalk':
    'Chalk the first {first} cells of the court in the middle of a free place, one after the other, and number them.',
  'setUp.growTape':
    'Tape the first {first} cells of the court in the middle of the floor, one after the other, and number them on paper.',
  'setUp.growPaper':
    'Lay the court on the table: two fingers are your legs. Only the first {first} cells have their number.',
  'setUp.stones': 'Everybody finds a flat stone, or takes one from the bag.',
  'turn.throw':
    'Throw your stone to your next cell, beginning with the first. Beside it? The next player goes.',
  'turn.flick':
    'From the edge of the sheet, flick your stone to your next cell with one finger, beginning with the first. Beside it? The next player goes.',
  'turn.hop': 'Hop from cell to cell on one foot, over the cell with your stone.',
  'turn.branching':
    'One foot in single cells, both feet where two lie side by side; over the cell with your stone.',
  'turn.hopBoth': 'Hop from cell to cell with both feet, over the cell with your stone.',
  'turn.line': 'Touched a line? Your turn is over; begin there next time.',
  'turn.rest':
    'Mark {rest, plural, one {# rest cell} other {# rest cells}} with a star: there you may stand on both feet.',
  'turn.grow':
    'Whoever lands on the last number puts the next one beside it, round and round, up to {cells}.',
  'turn.write':
    'Whoever lands on the last number writes the next one into its cell with the pencil, up to {cells}.',
  'turn.say': 'Say each number as you land.',
  'turn.back': 'Turn round at the end, come back counting down, and pick your stone up.',
  'end.last': 'The game is over when somebody has hopped with the stone on {cells}. Go on until all have.',
  'easier.lay': 'Lay the stone in the cell instead of throwing it.',
  'easier.feet': 'Hop with both feet, and lay the stone instead of throwing it.',
  'harder.twos': 'Land on every second cell only, and count in steps of {step}.',
  'sideBySide.relay': 'No winner needed: one stone for all, and everybody hops the next cell.',
  'younger.walks':
    'A younger brother or sister over {years} can walk the court and say the numbers with you.',
  'atHome.tape': 'On a rainy day: tape on the floor, or the printed court on the table with two fingers.',
  'say.where': '“Where is your stone? Which number do you hop over?”',
  'say.before': '“Which number comes just before it?”',
  'play.hops': 'Player {player} lands the stone on {cell} and hops there and back.',
  'play.misses': 'Player {player} throws beside {cell}; the next one goes.',
  'play.next': '“Which number is next?”',
  'play.aim': '“Lower and slower. You have it next time.”',
});
