import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('skyline-rolls', {
  ...shared('setUp.highest', 'younger.rolls', 'atHome.dice', 'say.part', 'say.check', 'caution.small'),
  name: 'Skyline Rolls',
  goal: '{goal, select, rolls {Roll {rolls, plural, =1 {once} other {# times}} and build: how high does your skyline grow?} other {Roll and build until your skyline has {reach} cubes.}}',
  'setUp.blocks': 'Put all cubes in the middle, where everybody can reach them.',
  'setUp.dice':
    'Leave the {dice, plural, one {die in its clear bag: it does} other {dice in their clear bag: they do}} not roll away.',
  'turn.roll':
    '{dice, plural, one {Roll the die and say the number.} other {Roll the # dice and say how many dots in all.}}',
  'turn.build': 'Take that many cubes and build. When a tower has {stack} cubes, begin a new one.',
  'setUp.mat': 'Give each player a work mat: ones on one side, tens on the other.',
  'setUp.rods': 'Put the ten-rods beside the cubes.',
  'turn.buildRods':
    'Take that many cubes. When you have {stack} cubes, trade them for a ten-rod and lay the cubes back.',
  'turn.mat': 'Tens go on the tens side of the mat, single cubes on the ones side.',
  'end.measure':
    'Lay all cubes of one skyline in a row and measure it with the measuring strip: how many centimeters? Guess first.',
  'turn.draw': 'Draw a line for each cube on the sheet. In the first days, this is enough.',
  'turn.say':
    'Say your skyline in tens and ones: {total} is {tens, plural, one {# ten} other {# tens}} and {ones, plural, one {# one} other {# ones}}.',
  'turn.pass': 'Pass the dice on.',
  'end.rolls': 'Stop when everybody has rolled {rolls, plural, one {# time} other {# times}}.',
  'end.reach': 'Stop when somebody has {reach} cubes or more; the last roll may pass it.',
  'end.together': 'Put all towers together and count by tens.',
  'easier.count': 'Count one cube for each dot: no adding yet.',
  'harder.guess': 'Before you count, guess the total of all skylines.',
  'sideBySide.city': 'No winner needed: build one city together and see how many stacks of ten it has.',
  'say.tens': '“How many full towers? How many cubes besides?”',
  'play.roll':
    'Player {player} rolls {rolled} and has {total}: {tens, plural, one {# ten} other {# tens}} and {ones, plural, one {# one} other {# ones}}.',
  'play.tens': '“How many more to the next full tower?”',
  'play.full': '“All your towers are full. What is that number?”',
  'say.trade': '“Do you have ten to trade? How many are left over?”',
  'sheet.stack': 'stack',
  'sheet.together': 'together',
  'sheet.tens': 'tens',
  'sheet.ones': 'ones',
});
