import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { PuzzleParams } from '.';
import { puzzles } from './reckon';
import type { words } from './words';

export function* play(params: PuzzleParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  for (const [i, { a, b }] of shuffled(puzzles(params), random).entries())
    yield turn(
      (i % params.players) + 1,
      'play.fits',
      { a, b, answer: a + b },
      i % 2 ? 'play.cut' : 'play.how',
    );
}
