import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('hat-numbers', {
  ...shared('sideBySide.calm', 'atHome.deck', 'say.part', 'caution.rest'),
  name: 'Hat Numbers',
  goal: '{op, select, add {You see the other card and hear the sum: what is on your own hat?} other {You see the other card and hear the product: what is on your own hat?}}',
  'setUp.remove': 'Take out the jacks, queens and kings. Aces are one.',
  'setUp.zero': 'Take out the jacks and queens. Aces are one, kings are {zero}.',
  'setUp.faces': 'Keep all cards: aces are one, jacks {jack}, queens {queen}, kings {king}.',
  'setUp.signed': 'Black cards are above zero, red cards below zero.',
  'setUp.roles': 'Three play: two sit face to face, the third is the caller. Deal the cards between the two.',
  'turn.hats': 'Both lift their top card to the forehead without looking: only the others may see it.',
  'turn.sum': 'The caller looks at both and says the sum, for example “{said}”.',
  'turn.product': 'The caller looks at both and says the product, for example “{said}”.',
  'turn.partSum': 'Work out your own card from the other one: “You have {b}, the sum is {said}: I have {a}.”',
  'turn.partProduct':
    'Work out your own card from the other one: “You have {b}, the product is {said}: I have {a}.”',
  'turn.winner': 'Whoever says their own number first takes both cards.',
  'turn.together': 'Wait for each other, count down with the caller and say your numbers together.',
  'end.rotate':
    'Change the caller after every two rounds. Stop when the cards are used up, or when it is enough.',
  'easier.ten': 'Use the cards up to five, and give the caller counters to lay the sum.',
  'harder.explain': 'Say how you found it before you look.',
  'younger.keeps':
    'A younger brother or sister over {years} can keep the cards that are done, and count them at the end.',
  'say.from': '“You hear {said} and see {b}. How far is it from {b} to {said}?”',
  'play.call': 'Player {player} calls {said}. The hats show {a} and {b}.',
  'play.unknown': 'Player {player} calls {said}. The hats show {a} and {b}: it cannot be worked out.',
  'play.from': '“You hear {said} and see {b}. What fits?”',
  'play.zero': '“Could it be any number? Why?”',
});
