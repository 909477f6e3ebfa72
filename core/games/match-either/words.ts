import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('match-either', {
  ...shared('sideBySide.team', 'atHome.paper', 'caution.rest'),
  name: 'Match Either',
  goal: 'Lay a card that matches by color or by number, from {from} to {to}.',
  'setUp.deal': 'Shuffle the {cards} cards and give each player {hand}.',
  'setUp.open': 'Lay your cards face up in front of you, so that everybody can help.',
  'setUp.closed': 'Hold your cards so that only you can see them.',
  'setUp.first': 'Put the rest face down in the middle, and turn one card beside it.',
  'turn.lay': 'Lay a card of the same color or of the same number on the turned card.',
  'turn.say': 'Say what matches: “{number} on {number}”, or the name of the color.',
  'turn.draw': 'Nothing matches? Draw one card; if it matches, you may lay it.',
  'end.empty': 'The game is over when a hand is empty. The others show what they could have laid next.',
  'easier.colour': 'Match by color only.',
  'harder.next': 'A number may also be followed by the next one, up or down.',
  'younger.same':
    'A younger brother or sister over {years} can find the card that looks the same as the one you point to.',
  'say.why': '“Why does this card fit? Is there another one that fits too?”',
  'play.colour': 'Player {player} lays a {number} of the same color.',
  'play.number': 'Player {player} lays a {number} on the {number}.',
  'play.draws': 'Player {player} has nothing for the {number} and draws.',
  'play.why': '“Why does it fit?”',
  'play.look': '“Look at the color first, then at the number.”',
});
