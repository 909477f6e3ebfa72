import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('leaf-twins', {
  ...shared('sideBySide.calm', 'atHome.paper', 'say.how', 'caution.rest'),
  name: 'Leaf Twins',
  goal: '{twins, select, dots {Find for each number, up to {most}, the outline with that many dots.} numerals {Find the twin of each number, up to {most}.} other {Find the small letter for each of {count} capital letters.}}',
  'setUp.board':
    'Lay the board on the table, dots up: {count} outlines, each with a different number of dots.',
  'setUp.boardNumbers': 'Lay the board on the table: {count} outlines, each with a number.',
  'setUp.boardLetters': 'Lay the board on the table: {count} outlines, each with a small letter.',
  'setUp.letters': 'Spread the {count} shapes out, capital letters up, and mix them.',
  'setUp.spread': 'Spread the {count} shapes out, numbers up, and mix them.',
  'turn.take': 'Take a shape and say its number.',
  'turn.takeLetter': 'Take a shape, say its letter and trace it with a finger.',
  'turn.same': 'Look for the outline with the same number, and say it again.',
  'turn.small': 'Look for the outline with the small letter that belongs to it.',
  'turn.count': 'Look for the outline with that many dots. Touch each dot once and count aloud.',
  'turn.lay': 'Lay the shape on its twin.',
  'end.all': 'When all {count} shapes have found their twins, read the numbers in order.',
  'end.letters': 'When all {count} shapes have found their twins, say the letters one after the other.',
  'easier.few':
    'Begin with {number, plural, one {# shape} other {# shapes}} and their outlines; add one more each day.',
  'easier.five': 'Begin with the shapes up to {number}; add one more each day.',
  'harder.back':
    'For an older child, turn the board over: lay a whole on top of the triangle and its two parts below, such as {whole} with {a} and {b}.',
  'harder.faceDown': 'Lay the shapes face down: turn one, find its twin, and turn the next.',
  'younger.match':
    'A younger brother or sister over {years} can find the twin of the shape you hold: “Is there one that looks like this?”',
  'say.letter': '“Which word begins with this letter?”',
  'say.look': '“What do you look at first? Which one looks nearly the same?”',
  'say.touch': '“Touch each dot. Say one number for each touch.”',
  'play.lay':
    'Player {player} takes the {number} and lays it on the outline with {number, plural, one {# dot} other {# dots}}.',
  'play.same': 'Player {player} takes the {number} and lays it on the outline with {number}.',
  'play.letter': 'Player {player} takes the {capital} and lays it on the outline with {small}.',
  'play.begins': '“Whose name begins like that?”',
  'play.alike': '“Which other one looks a little like it? What is different?”',
  'play.count': '“Which five do you see first? How many more?”',
  'play.see': '“Did you count, or did you see it?”',
});
