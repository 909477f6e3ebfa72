import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('spot-my-shape', {
  ...shared('caution.rest'),
  name: 'Spot My Shape',
  goal: 'Choose one of the things in view, give clues, and let the others find it: about {things} could be meant.',
  'setUp.choose': 'Choose something that everybody can see, and do not look at it.',
  'turn.clue':
    '{shape, select, yes {{colour, select, yes {Give a clue by its shape or its color: “I see something round and red.”} other {Give a clue by its shape: “I see something round.”}}} other {Give a clue: “I see something that is the same color as the grass.”}}',
  'turn.number': 'Or by a number: “It has {corners} corners.”',
  'turn.guess': 'The others guess, one after the other, and say why it fits.',
  'turn.hint': 'Stuck? Give one more hint.',
  'end.found': 'Whoever finds it chooses the next thing. Stop after about {rounds} riddles.',
  'easier.two': 'Point to two things: which of the two is meant?',
  'harder.not': 'Say what it is not: “It has no corners.”',
  'sideBySide.team': 'No winner needed: all others guess together and agree on one answer.',
  'younger.point': 'A younger brother or sister over {years} may point instead of speaking.',
  'atHome.anywhere': 'It needs nothing: at the table, at the bus stop, in a waiting room.',
  'say.why': '“Does it fit every clue? Which one does it not fit?”',
  'play.found':
    'Player {player} gives {told, plural, one {# clue} other {# clues}}, beginning with {clue, select, shape {the shape} number {a number} other {the color}}: it is found.',
  'play.hint':
    'Player {player} gives {told, plural, one {# clue} other {# clues}}, beginning with {clue, select, shape {the shape} number {a number} other {the color}}: {left} things still fit, so one more hint.',
  'play.how': '“Which clue told you?”',
  'play.more': '“What else could you say about it?”',
});
