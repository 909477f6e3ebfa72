import { turn } from '~/core/games/kit/make';
import type { Turn } from '~/core/games/kit/types';
import type { ClapParams } from './rules';

/** One pattern a turn. */
export function* play({ unit, groups, patterns, players }: ClapParams): Generator<Turn, void> {
  const spoken = Array.from({ length: groups }, (_, i) => (i + 1) * unit).join(', ');
  for (let i = 0; i < patterns; i++)
    yield turn(
      (i % players) + 1,
      'play.pattern',
      { unit, spoken },
      i % 2 ? 'play.next' : 'play.groups',
      i % 2 ? { end: unit * groups, unit } : { groups, unit },
    );
}
