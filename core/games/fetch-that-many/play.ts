import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { FetchParams } from '.';
import { numbersOf } from './reckon';
import type { words } from './words';

export function* play(params: FetchParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  for (const [i, number] of shuffled(numbersOf(params), random).entries())
    yield turn(
      (i % params.players) + 1,
      number === 0 ? 'play.zero' : 'play.fetch',
      { number },
      number > 5 ? 'play.fives' : 'play.touch',
      number > 5 ? { five: 5 } : {},
    );
}
