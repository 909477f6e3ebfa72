import { shuffled, type Random } from '~/core/chance/random';
import { turn } from '~/core/games/kit/make';
import type { Turn } from '~/core/games/kit/types';
import { numbersOf, type FetchParams } from './rules';

export function* play(params: FetchParams, random: Random): Generator<Turn, void> {
  for (const [i, number] of shuffled(numbersOf(params), random).entries())
    yield turn(
      (i % params.players) + 1,
      number === 0 ? 'play.zero' : 'play.fetch',
      { number },
      number > 5 ? 'play.fives' : 'play.touch',
      number > 5 ? { five: 5 } : {},
    );
}
