import { pick, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { MarketParams } from '.';
import { shown } from './reckon';
import type { words } from './words';

/** Each turn: a number of cups and a number of pieces, put back or rolled anew every time. */
export function* play(params: MarketParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const numbers = shown(params);
  let most = 0;
  for (let count = 0; count < params.rounds * params.players; count++) {
    const cups = pick(numbers.cups, random);
    const pieces = pick(numbers.pieces, random);
    most = Math.max(most, cups * pieces);
    yield turn(
      (count % params.players) + 1,
      params.symbol ? 'play.times' : 'play.groups',
      { cups, pieces, answer: cups * pieces },
      count % 2 ? 'play.turned' : 'play.how',
      { cups, pieces },
    );
  }
  return { most };
}
