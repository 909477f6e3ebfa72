import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('chalk-orbits', {
  ...shared('say.part', 'caution.outside', 'caution.throw'),
  name: 'Chalk Orbits',
  goal: '{op, select, add {Throw bags into numbered circles and add what your team has hit.} other {Throw bags into numbered circles and multiply what your team has hit.}}',
  'setUp.circles': 'Chalk {circles} circles, each about {cm} centimeters wide, and write a number in each.',
  'setUp.teams':
    'Make two teams with {bags, plural, one {# bag} other {# bags}} each, and chalk a line to throw from.',
  'turn.throw': 'One team throws its {bags, plural, one {bag} other {# bags}}, one after the other.',
  'turn.zero': 'A bag that misses scores {zero}.',
  'turn.again': 'A bag that misses is thrown again.',
  'turn.add': 'Add the numbers together, aloud: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}, for example.',
  'turn.multiply': 'Multiply the numbers, aloud: {a}\u00a0×\u00a0{b}\u00a0=\u00a0{answer}, for example.',
  'turn.check': 'The other team checks with chalk on the ground.',
  'end.best':
    'The team with more has the round. Stop when one has {wins, plural, one {# round} other {# rounds}} of at most {bestOf}.',
  'easier.small': 'Write small numbers only, and draw that many dots beside each.',
  'harder.order': 'Choose the order of the numbers that makes adding easiest.',
  'sideBySide.one': 'No winner needed: one team for all, and see how near you come to a number you chose.',
  'younger.drop': 'A younger brother or sister over {years} can stand close and drop the bags in.',
  'atHome.paper': 'Inside: sheets of paper taped to the floor, and rolled-up socks.',
  'say.sofar': '“How many have you so far? And with this one?”',
  'play.adds': 'Team {player}: {thrown} = {answer}.',
  'play.multiplies': 'Team {player}: {thrown} = {answer}.',
  'play.easy': '“Which two would you take first?”',
  'play.more': '“How many more than the others?”',
});
