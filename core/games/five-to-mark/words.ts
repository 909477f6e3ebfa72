import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('five-to-mark', {
  ...shared('sideBySide.team', 'younger.helper', 'atHome.deck', 'say.how', 'caution.rest'),
  name: 'Five to the Mark',
  goal: 'Reach the target number with two or more of the {laid} cards on the table.',
  'setUp.numbers': 'Take out the jacks, queens and kings. Aces are one.',
  'setUp.faces': 'Aces are one, jacks {jack}, queens {queen}, kings {king}.',
  'setUp.jokers': 'Keep two jokers in; each counts {joker}.',
  'setUp.lay': 'Shuffle, and lay {laid} cards face up in a row.',
  'turn.target': 'Turn one more card: that is the target.',
  'turn.two':
    'Reach it with two or more of the {laid} cards, each used once. These signs may be used: {signs}',
  'turn.say': 'Say the way and show the cards, for example: {way}\u00a0=\u00a0{target}.',
  'turn.whole': 'Each step stays a whole number and not below {zero}.',
  'turn.none': 'Nobody finds a way? Some targets have none: turn a new one.',
  'end.used':
    'Lay new cards only where cards were used, and turn a new target. When the pile is used up, mix what lies aside.',
  'end.all': 'Lay new cards for each target.',
  'end.rounds': 'Stop after {rounds, plural, one {# target} other {# targets}}.',
  'easier.counters': 'Use two cards only, and lay them with counters.',
  'harder.more': 'Look for a second way, with more cards.',
  'say.start': '“Which card is close to the target? How far away is it?”',
  'play.reaches': 'Cards {laid}, target {target}. Player {player} says: {way}\u00a0=\u00a0{target}.',
  'play.none': 'Cards {laid}, target {target}. Player {player} looks, and there is no way.',
  'play.how': '“Where did you begin?”',
  'play.new': '“You searched well. This one has no way; let us turn a new target.”',
});
