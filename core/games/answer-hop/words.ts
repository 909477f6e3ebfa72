import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('answer-hop', {
  ...shared('atHome.paper', 'say.how', 'caution.outside'),
  name: 'Answer Hop',
  goal: 'Hop a number sentence whose answer is one, then two, then three, and so on to {to}.',
  'setUp.cells':
    'Chalk a calculator: a cell for each of the {digits} digits, and one for each sign: {signs} =',
  'setUp.start': 'Write a start line before it. The first target is one.',
  'turn.hop': 'Hop a number sentence whose answer is the target: {a}, {sign}, {b}, = for {target}.',
  'turn.say': 'Say each cell aloud as you land, and call the answer at the end.',
  'turn.next': 'Right? The next player hops the next target. Not yet? The others may call a hint.',
  'end.to': 'You are done when {to} has been hopped.',
  'easier.any': 'Hop any number sentence; the others say the answer.',
  'harder.other': 'No number sentence may be hopped twice.',
  'sideBySide.relay': 'No winner needed: hop as a relay, all for the same targets.',
  'younger.digits': 'A younger brother or sister over {years} can hop to a number that you call.',
  'say.stuck': '“You want {target}. What if you start on {a}?”',
  'play.hops': 'Target {target}: player {player} hops {a}\u00a0{sign}\u00a0{b}.',
  'play.other': '“There are {ways} ways to this one. Which other one do you know?”',
  'play.few': '“A hard one: only {ways, plural, one {# way} other {# ways}}. Well looked for.”',
});
