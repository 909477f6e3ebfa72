import { source } from '~/core/words/reading';

export const words = source('two-tone-spill', {
  name: 'Two-Tone Spill',
  goal: 'Find the ways to make {counters} out of two parts.',
  'setUp.cup':
    'Put {counters, plural, one {# two-color counter} other {# two-color counters}} in the cup. Count them together as they go in.',
  'setUp.sheet':
    '{players, plural, =1 {Take a record sheet with {spills, plural, one {# row} other {# rows}}.} other {Give each player a record sheet with {spills, plural, one {# row} other {# rows}}.}}',
  'turn.spill': 'Shake the cup and tip the counters out gently on the table.',
  'turn.sort': 'Sort the counters by color into two groups, on the two parts of the mat.',
  'turn.say': 'Say how many there are of each color, and how many in all: “{a} and {b} make {counters}.”',
  'turn.draw':
    'Draw the dots of both groups in the next row of the sheet. In the first days, this is enough.',
  'turn.write': 'When that is easy, write the numbers too: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{counters}.',
  'turn.ordered': '{a} and {b} is one way; {b} and {a} is another way.',
  'turn.unordered': '{a} and {b} is the same way as {b} and {a}.',
  'turn.pass': 'Put the counters back and pass the cup to the next player.',
  'end.rows':
    '{players, plural, =1 {Stop after {spills, plural, one {# spill} other {# spills}}.} other {Stop when each player has had {spills, plural, one {# spill} other {# spills}}.}}',
  'end.look':
    'Look at the sheet together: which way came most often? There are {ways} ways in all; you need not find every one.',
  'end.turnOver':
    'Now turn counters over, one at a time, and write the ways still missing. There are {ways} ways in all.',
  'easier.fewer': 'Play with {counters, plural, one {# counter} other {# counters}}.',
  'easier.sort': 'Sort and count each color only; saying the whole can wait.',
  'harder.more': 'Play with {counters, plural, one {# counter} other {# counters}}.',
  'harder.hide': 'Cover one color with a hand. How many are hiding?',
  'sideBySide.own':
    'No winner needed: with {counters, plural, one {# counter} other {# counters}} each, play side by side and see together how many of the {ways} ways you find.',
  'younger.line':
    'A younger brother or sister over {years} can tip the cup and lay each color in a line to count it.',
  'atHome.instead':
    'Without the counters: {counters} paper squares colored on one side, or bottle caps, work as well.',
  'say.part': 'Only one number said? “You saw {a} of one color. How many of the other?”',
  'say.check': 'Not sure? “Let us touch and count each one.” The counters give the answer.',
  'say.more': '“Can you make it another way?”',
  'caution.small':
    'Small parts: keep the counters away from children under {years}. Count all {counters} back into the bag.',
  'play.spill':
    'Player {player} tips the counters out: {a} of one color and {b} of the other. “{a} and {b} make {counters}.”',
  'play.turnOver':
    'Player {player} turns counters over to make a missing way: “{a} and {b} make {counters}.”',
  'play.new': 'That way is new: “Write it down. What could come next?”',
  'play.again': 'That way came before: “Where on your sheet is it? Why does it come so often?”',
  'play.allOne': 'All of one color: “None of the other. How do we write none?”',
  'sheet.both': 'In all: {counters}',
});
