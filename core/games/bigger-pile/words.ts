import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('bigger-pile', {
  ...shared(
    'turn.lineHop',
    'turn.lineBack',
    'turn.lineCompare',
    'younger.helper',
    'atHome.deck',
    'say.part',
    'caution.rest',
  ),
  name: 'Bigger Pile',
  goal: '{op, select, compare {Turn cards: which number is more?} add {Turn two cards each and add them: which sum is more?} subtract {Turn two cards each: which difference is more?} other {Turn two cards each and multiply: which product is more?}}',
  'setUp.remove': 'Take out the jacks, queens and kings. Aces are one.',
  'setUp.faces': 'Keep all cards: aces are one, jacks {jack}, queens {queen}, kings {king}.',
  'setUp.discard': 'Keep all cards. Aces are one; picture cards are put aside when they come.',
  'setUp.pile': 'Shuffle, and put the cards face down in one pile that everybody can reach.',
  'setUp.deal':
    'Shuffle, and deal all cards face down: each player has a pile of their own and turns from it.',
  'turn.turn':
    '{players, plural, =1 {Turn {cards, plural, =1 {two cards, one on each side} other {# cards}}.} other {Each player turns {cards, plural, one {# card} other {# cards}}.}}',
  'turn.compare': 'Say both numbers and which is more: “{a} is more than {b}.”',
  'turn.add': 'Each says their own sum: “{a} and {b} make {answer}.” Then say which is more.',
  'turn.subtract': 'Each says their own difference: “{a} take away {b} is {answer}.” Then say which is more.',
  'turn.multiply': 'Each says their own product: “{a} times {b} is {answer}.” Then say which is more.',
  'turn.signs': 'Lay the sign card between the answers, its wide side towards the larger one.',
  'turn.take': 'The cards go to the pile of the larger answer.',
  'turn.again': 'Equal? Turn again; the next larger answer takes all cards.',
  'turn.keep': 'Equal? Each keeps their own cards.',
  'turn.aside': 'A picture card is put aside, and the next card is turned in its place.',
  'end.rounds':
    'Stop after {rounds, plural, one {# round} other {# rounds}}, when the cards are used up. Whose pile is bigger? Guess first, then count.',
  'turn.under': 'The cards go under the pile of the larger answer.',
  'end.all':
    'Who cannot turn any more is done. Stop when one pile holds all cards, or when it is enough: guess whose pile is bigger, then count.',
  'easier.build': 'Build each number with counters, side by side, and look.',
  'harder.more': 'Say how much more, too.',
  'sideBySide.together':
    'No winner needed: build one pile together, and see how many rounds pass until two answers are equal.',
  'say.muchMore': '“{a} or {b}: which is more? How much more?”',
  'play.most': 'Turned: {shown}. Player {player} has most with {answer}.',
  'play.tie': 'Turned: {shown}. The largest answer, {answer}, comes twice.',
  'play.howMuch': '“How much more is it?”',
  'play.howSame': '“The same answer. From the same cards?”',
});
