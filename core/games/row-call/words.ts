import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('row-call', {
  ...shared('younger.helper', 'atHome.deck', 'caution.rest'),
  name: 'Row Call',
  goal: '{win, select, line {Hear a number, turn it over: who has a line first?} other {Hear a number, turn it over, until every card is turned.}}',
  'setUp.remove': 'Take out the jacks, queens and kings: {cards} cards stay. Aces are one.',
  'setUp.grid': 'Each player lays {cards} cards face up in {rows} rows of {rows}.',
  'setUp.rest': 'The caller takes the cards that are left, face down.',
  'setUp.second': 'The caller takes a second deck, face down, without jacks, queens and kings.',
  'turn.call': 'The caller turns a card and says its number, for example “{number}”.',
  'turn.all': 'Turn over every {number} in your grid.',
  'turn.fullest': 'Turn over one {number} in your grid: the one in the line with most turned cards.',
  'turn.any': 'Turn over one {number} in your grid; choose which.',
  'turn.reading': 'Turn over one {number} in your grid: the first you come to, reading from the top.',
  'turn.caller': 'Pass the pile on after each call: everybody is the caller in turn.',
  'turn.check': 'Look at each other’s grids: has everybody found theirs?',
  'end.line': 'Whoever has {cards} turned cards in a line, across, down or diagonal, has finished.',
  'end.full': 'Whoever has turned all {cards} cards has finished.',
  'end.none': 'If the cards to call run out first, count the turned cards together.',
  'easier.five': 'Use only the cards up to {number} and show the called card.',
  'harder.more': 'The caller says the number that is {more} more; you turn the card that was meant.',
  'sideBySide.one': 'No winner needed: lay one grid for all, and turn the cards together.',
  'say.look': 'Hold the called card beside the grid: “Is there one that looks like this {number}?”',
  'say.almost': '“Which number do you wish for now? Why?”',
  'play.call':
    'The caller says {number}; {matches, plural, =0 {nobody has it} one {# card is turned} other {# cards are turned}}.',
  'play.finishes':
    'The caller says {number}: player {player} has finished, after {calls, plural, one {# call} other {# calls}}.',
  'play.look': '“Did everybody find theirs?”',
  'play.none': '“Nobody has it. Which number do you wish for?”',
  'play.show': '“Show us your line.”',
});
