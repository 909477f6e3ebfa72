import { pick, shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { BondParams } from '.';
import { bonds } from './reckon';
import type { words } from './words';

/** Every card once, in a mixed order; the thumb lies on one corner. */
export function* play(params: BondParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  let count = 0;
  for (const { a, b, whole } of shuffled(bonds(params), random)) {
    const player = (count++ % params.players) + 1;
    const corner =
      params.cover === 'whole'
        ? 'whole'
        : params.cover === 'part'
          ? pick(['a', 'b'], random)
          : pick(['a', 'b', 'whole'], random);
    if (corner === 'whole') yield turn(player, 'play.whole', { a, b, whole }, 'play.how');
    else {
      const [seen, hidden] = corner === 'a' ? [b, a] : [a, b];
      yield turn(player, 'play.part', { seen, hidden, whole }, 'play.lay');
    }
  }
}
