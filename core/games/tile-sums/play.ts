import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { TileParams } from '.';
import { tilesOf } from './reckon';
import type { words } from './words';

/** Every tile once, in a mixed order. */
export function* play(params: TileParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  for (const [i, { a, b }] of shuffled(tilesOf(params), random).entries())
    yield turn(
      (i % params.players) + 1,
      'play.tile',
      { a, b, answer: a + b },
      a === b ? 'play.double' : 'play.how',
    );
}
