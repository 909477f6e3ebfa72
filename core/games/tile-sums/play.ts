import { shuffled, type Random } from '~/core/chance/random';
import { turn } from '~/core/games/kit/make';
import type { Turn } from '~/core/games/kit/types';
import { tilesOf, type TileParams } from './rules';

/** Every tile once, in a mixed order. */
export function* play(params: TileParams, random: Random): Generator<Turn, void> {
  for (const [i, { a, b }] of shuffled(tilesOf(params), random).entries())
    yield turn(
      (i % params.players) + 1,
      'play.tile',
      { a, b, answer: a + b },
      a === b ? 'play.double' : 'play.how',
    );
}
