import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('market-cups', {
  ...shared(
    'setUp.highest',
    'sideBySide.team',
    'younger.counts',
    'atHome.dice',
    'atHome.deck',
    'say.part',
    'say.check',
    'caution.small',
  ),
  name: 'Market Cups',
  goal: 'Fill some cups with the same number of pieces. How many in all? Up to {cups, plural, one {# cup} other {# cups}} of {pieces}.',
  'setUp.cups':
    '{cups, plural, one {Take the # cup} other {Stack the # cups}} and put the pieces beside them.',
  'setUp.dice': 'The die with the color of the cups says how many cups, the other one how many pieces.',
  'setUp.cards': 'Red cards say how many cups, black cards how many pieces. Make two piles, face down.',
  'turn.again':
    'Cups from {cupsFrom} to {cupsTo}, pieces from {piecesFrom} to {piecesTo}: a die that shows another number is rolled again.',
  'turn.cups':
    'Find out how many cups, and set them out: {cups, plural, one {# cup} other {# cups}}, for example.',
  'turn.pieces':
    'Find out how many pieces, and put that many in each: {cups, plural, one {# cup} other {# cups}} with {pieces} in each.',
  'turn.say':
    'Say it before you count: “{cups, plural, one {# group of {pieces} is} other {# groups of {pieces} are}} {answer}.” Then check.',
  'turn.draw': 'Draw the cups as circles with dots. In the first days, this is enough.',
  'turn.write': 'Write it with the sign: {cups}\u00a0×\u00a0{pieces}\u00a0=\u00a0{answer}.',
  'end.rounds':
    'Put everything back after each turn. Stop after {rounds, plural, one {# turn} other {# turns}} each.',
  'easier.two': 'Play with {cups} cups: both always have the same.',
  'harder.guess': 'Say the answer before any piece is in a cup.',
  'say.each': '“How many in each? How many cups? And all together?”',
  'play.groups':
    'Player {player}: {cups, plural, one {# cup with {pieces} in it is} other {# cups with {pieces} in each are}} {answer}.',
  'play.times': 'Player {player}: {cups}\u00a0×\u00a0{pieces}\u00a0=\u00a0{answer}.',
  'play.turned':
    '“What if there {pieces, plural, one {was # cup with {cups} in it} other {were # cups with {cups} in each}}?”',
  'play.how':
    '“Did you count all, or count in steps? {cups, plural, one {There is # cup} other {There are # cups}} of {pieces}.”',
  'sheet.cups': 'cups',
  'sheet.each': 'in each',
  'sheet.all': 'in all',
});
