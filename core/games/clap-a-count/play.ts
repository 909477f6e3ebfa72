import { turn, type Turn } from '~/core/games/kit';
import type { ClapParams } from '.';
import type { words } from './words';

/** One pattern a turn. */
export function* play({
  unit,
  groups,
  patterns,
  players,
}: ClapParams): Generator<Turn<keyof typeof words.en>, void> {
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
