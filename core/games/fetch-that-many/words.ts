import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('fetch-that-many', {
  ...shared('sideBySide.calm', 'say.check', 'caution.small'),
  name: 'Fetch That Many',
  goal: 'Peek at a number, remember it, and bring that many: up to {to}.',
  'setUp.slips': 'Fold the {slips} slips and mix them.',
  'setUp.pile': 'Put {to} chips on a chair at the other end of the room.',
  'setUp.around': 'Agree what may be fetched: socks, spoons, toys, books; nothing that can break or hurt.',
  'turn.peek': 'Draw a slip, peek at it without showing, and leave it folded on the table.',
  'turn.fetch': 'Go and bring that many. Say the number to yourself on the way.',
  'turn.lay': 'Lay what you brought in rows of {five}, so that it can be read without counting.',
  'turn.check': 'The others say how many there are. Open the slip: is it the same? For example {number}.',
  'turn.zero': 'Zero means: come back with nothing.',
  'end.slips': 'Put everything back after each turn. Stop when the slips are used up.',
  'easier.keep': 'Take the open slip along and lay one thing on each dot.',
  'harder.two': 'Draw {slips} slips and bring what both say together.',
  'younger.dots': 'A younger brother or sister over {years} can lay one thing on each dot of the slip.',
  'atHome.things': 'Spoons, socks, buttons or pine cones: anything there is enough of.',
  'say.remember': '“Say your number with every step.”',
  'caution.fetch': 'Nothing hot, sharp, made of glass or from the medicine shelf. Walk, do not run, indoors.',
  'play.fetch': 'Player {player} peeks, goes, and brings {number}.',
  'play.zero': 'Player {player} peeks, goes, and comes back with {number, plural, =0 {nothing} other {#}}.',
  'play.fives': '“A row of {five} first. How many more?”',
  'play.touch': '“Touch each one. Is it what the slip says?”',
});
