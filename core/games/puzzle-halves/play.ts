import { shuffled, type Random } from '~/core/chance/random';
import { turn } from '~/core/games/kit/make';
import type { Turn } from '~/core/games/kit/types';
import { puzzles, type PuzzleParams } from './rules';

export function* play(params: PuzzleParams, random: Random): Generator<Turn, void> {
  for (const [i, { a, b }] of shuffled(puzzles(params), random).entries())
    yield turn(
      (i % params.players) + 1,
      'play.fits',
      { a, b, answer: a + b },
      i % 2 ? 'play.cut' : 'play.how',
    );
}
