import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('stepping-stones', {
  ...shared(
    'setUp.highest',
    'younger.rolls',
    'atHome.dice',
    'say.check',
    'caution.small',
    'caution.floor',
    'caution.outside',
  ),
  name: 'Stepping Stones',
  goal: '{back, select, none {Roll, hop and say each number, from the first stone to {length}.} other {Roll, hop and say each number, to {length} and back again.}}',
  'setUp.felt': 'Lay the {length} felt stones in order, numbers up, and tape each one down.',
  'setUp.feltBlank': 'Lay the {length} blank felt stones one after the other and tape each one down.',
  'setUp.chalk': 'Chalk {length} stones in a row or a curve, and number them.',
  'setUp.chalkBlank': 'Chalk {length} stones in a row or a curve, big enough to write in.',
  'setUp.table': 'Lay the path with its {length} stones on the table and take a token each.',
  'setUp.laysNumbers': 'Let the child lay the number cards on the blank stones, in order, and read them.',
  'setUp.laysDots':
    'Let the child lay the dot cards on the blank stones, from the fewest dots to the most, and count them.',
  'setUp.writesNumbers': 'Let the child write the numbers into the blank stones, in order, and read them.',
  'setUp.writesDots':
    'Let the child draw the dots into the blank stones, from one dot to {length}, and count them.',
  'setUp.start': 'Everybody begins beside the path, not on it.',
  'turn.roll':
    '{dice, plural, one {Roll the die and say the number.} other {Roll the # dice and say how many in all.}}',
  'turn.hop': 'Hop that many stones and say the number of each stone aloud.',
  'turn.move': 'Move that many stones and say the number of each stone aloud.',
  'turn.say': 'Say what happened: “From {before}, {rolled} more: {stone}.”',
  'turn.back': 'On the way back: “From {stone}, {rolled} less: {before}.”',
  'turn.difference':
    'On the way back, take the smaller number from the larger: {a} and {b} are {rolled} apart. Go that many stones.',
  'turn.together': 'Two on one stone? There is room for both: say its number together.',
  'turn.further': 'Two on one stone? Whoever comes last goes one stone further, until a stone is free.',
  'turn.write':
    'When hopping is easy, one of you writes it: {before}\u00a0+\u00a0{rolled}\u00a0=\u00a0{stone}.',
  'end.reach': 'Whoever gets to {length} or past it has arrived. Go on until everybody is there.',
  'end.exact': 'To arrive at {length} the roll must be exact: if it would pass, stay where you are.',
  'end.back': 'At the last stone turn round, and come home the same way.',
  'easier.five': 'Play with the first {number} stones only, and hop along together.',
  'harder.before': 'Before you hop, say where you will land.',
  'sideBySide.together':
    'No winner needed: all move together with one roll, and count how many rolls it takes.',
  'atHome.paperStones':
    'Without the stones: sheets of paper with numbers, taped down, or a row of squares on the table.',
  'say.number': '“Which number are you on? Which one comes next?”',
  'play.forward': 'Player {player} stands on {before}, rolls {rolled} and lands on {stone}.',
  'play.back': 'Player {player} comes back from {before}, rolls {rolled} and lands on {stone}.',
  'play.further':
    'Player {player} stands on {before}, rolls {rolled}, finds somebody there and goes on to {stone}.',
  'play.apart': 'Player {player} comes back from {before}, rolls {a} and {b} and goes {rolled} to {stone}.',
  'play.waits': 'Player {player} stands on {before}, rolls {rolled} and stays: it would pass.',
  'play.home': 'Player {player} rolls {rolled} from {before} and has arrived at {stone}.',
  'play.next': '“Where will you be if you roll one more?”',
  'play.need': '“Which number do you need? {need}.”',
  'play.all': '“Let us all go on until everybody is there.”',
});
