import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('chalk-orbits', {
  ...shared('say.part', 'say.how', 'caution.outside', 'caution.throw'),
  name: 'Chalk Orbits',
  goal: '{op, select, alone {Throw bags of two colors into numbered circles, add each color and compare the sums.} add {Throw bags into numbered circles and add what your team has hit.} other {Throw bags into numbered circles and multiply what your team has hit.}}',
  'setUp.circles': 'Chalk {circles} circles, each about {cm} centimeters wide, and write a number in each.',
  'setUp.sizes':
    'Make the circles with the larger numbers smaller: {small, plural, one {# of them} other {# of them}}, {cm} centimeters wide.',
  'setUp.fields':
    'Chalk {fields, plural, =1 {one field} other {# fields}} side by side, each with the numbers of its plan: each child throws at the one that fits.',
  'setUp.colors':
    'Take {bags, plural, one {# bag} other {# bags}} of each of two colors, the three sign cards, and chalk a line to throw from.',
  'setUp.teams':
    'Make two teams with {bags, plural, one {# bag} other {# bags}} each, and chalk a line to throw from.',
  'turn.throw': 'One team throws its {bags, plural, one {bag} other {# bags}}, one after the other.',
  'turn.throwColor':
    'Throw the {bags, plural, one {bag of the first color, then the one of the second} other {# bags of the first color, then the # of the second}}.',
  'turn.inside': 'A bag counts when all of it lies inside the circle.',
  'turn.touch': 'A bag counts when it touches the circle.',
  'turn.signs':
    'Lay the sign between both sums, its wide side towards the larger one: {a}\u00a0<\u00a0{b}, for example.',
  'turn.zero': 'A bag that misses scores {zero}.',
  'turn.again': 'A bag that misses is thrown again.',
  'turn.add': 'Add the numbers together, aloud: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}, for example.',
  'turn.multiply': 'Multiply the numbers, aloud: {a}\u00a0×\u00a0{b}\u00a0=\u00a0{answer}, for example.',
  'turn.check': 'The other team checks with chalk on the ground.',
  'end.best':
    'The team with more has the round. Stop when one has {wins, plural, one {# round} other {# rounds}} of at most {bestOf}.',
  'end.one': 'The team with more has won; as many each is a fine end, too.',
  'end.rounds': 'Stop after {bestOf, plural, one {# round} other {# rounds}}, or when it is enough.',
  'easier.small': 'Write small numbers only, and draw that many dots beside each.',
  'harder.order': 'Choose the order of the numbers that makes adding easiest.',
  'sideBySide.same': 'Can you throw so that both sums are the same?',
  'sideBySide.one': 'No winner needed: one team for all, and see how near you come to a number you chose.',
  'younger.drop': 'A younger brother or sister over {years} can stand close and drop the bags in.',
  'atHome.paper': 'Inside: sheets of paper taped to the floor, and rolled-up socks.',
  'say.sofar': '“How many have you so far? And with this one?”',
  'play.adds': 'Team {player}: {thrown} = {answer}.',
  'play.color': 'First color: {thrown} = {answer}.',
  'play.sign': 'Second color: {thrown} = {answer}. So {a}\u00a0{sign}\u00a0{b}.',
  'play.multiplies': 'Team {player}: {thrown} = {answer}.',
  'play.easy': '“Which two would you take first?”',
  'play.more': '“How many more than the others?”',
});
