import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { TwinParams } from '.';
import type { words } from './words';

/** The shapes in a mixed order, each laid on the outline with as many dots. */
export function* play(
  { count, players }: TwinParams,
  random: Random,
): Generator<Turn<keyof typeof words.en>, void> {
  const order = shuffled(
    Array.from({ length: count }, (_, i) => i + 1),
    random,
  );
  for (const [i, number] of order.entries())
    yield turn((i % players) + 1, 'play.lay', { number }, number > 4 ? 'play.count' : 'play.see');
}
