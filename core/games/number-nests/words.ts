import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('number-nests', {
  ...shared(
    'sideBySide.team',
    'younger.helper',
    'atHome.paper',
    'say.how',
    'say.check',
    'caution.small',
    'play.check',
    'play.how',
  ),
  name: 'Number Nests',
  goal: 'Bring each sum card home to its nest: from {from} to {to}.',
  'setUp.nests': 'Lay the nests out in order, from {from} to {to}.',
  'setUp.cards':
    '{cards, plural, one {Put the # sum card on the table, face down.} other {Shuffle the # sum cards and put them in a pile, face down.}}',
  'turn.card': 'Turn the top card and read the sum aloud.',
  'turn.lay':
    'Lay {a, plural, one {# counter} other {# counters}} of one color and {b} of the other, if you like.',
  'turn.nest': 'Say the answer and put the card in its nest: {a}\u00a0+\u00a0{b} belongs to {answer}.',
  'turn.stray':
    '{strays, plural, one {# card belongs} other {# cards belong}} to no nest. Put a stray beside the nests.',
  'end.read': 'When the pile is empty, read one nest together: all its sums have the same answer.',
  'easier.two': 'Play with two nests only, beginning with the nest of {from}.',
  'harder.missing': 'Cover one number of a card: {a} and how many more belong to {answer}?',
  'play.home': 'Player {player} turns {a}\u00a0+\u00a0{b} and brings it home to {answer}.',
  'play.stray': 'Player {player} turns {a}\u00a0+\u00a0{b}: {answer} has no nest here.',
});
