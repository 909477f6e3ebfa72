import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('write-the-ways', {
  ...shared('sideBySide.team', 'younger.counts', 'say.check', 'caution.small', 'play.how'),
  name: 'Write the Ways',
  goal: 'How many number sentences make {target}? Write every way you can find.',
  'setUp.target': 'Write {target} at the top of the sheet.',
  'setUp.signs': 'These signs may be used: {signs}',
  'turn.lay': 'Lay {target} counters and part them, or take the cards of a game you just played.',
  'turn.say': 'Say one way: “{a}\u00a0{sign}\u00a0{b} makes {target}.”',
  'turn.write': 'When saying is easy, write it in the next row.',
  'turn.ordered': 'A number sentence turned round is another way: write both.',
  'turn.unordered': 'A number sentence turned round is the same way: write it once.',
  'end.compare':
    'Turn the sheet over: there {ways, plural, one {is # way} other {are # ways}} in all. Tick those you found, and try one that is missing.',
  'easier.dots': 'Draw dots in two colors instead of writing numbers.',
  'harder.order': 'Find an order, so that you can be sure that none is missing.',
  'atHome.sheet': 'Any sheet of paper will do, with beans or buttons to part.',
  'say.pattern': '“Which way comes right after this one?”',
  'play.finds': 'Player {player} finds {a}\u00a0{sign}\u00a0{b}\u00a0=\u00a0{target}.',
  'play.turn': '“Can you turn it round?”',
});
