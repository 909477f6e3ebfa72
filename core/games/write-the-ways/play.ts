import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { WaysParams } from '.';
import { sentences } from './reckon';
import type { words } from './words';

/** Every way once, as children find them: in no order. */
export function* play(params: WaysParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  let count = 0;
  for (const { a, b, sign } of shuffled(sentences(params), random))
    yield turn(
      (count++ % params.players) + 1,
      'play.finds',
      { a, b, sign, target: params.target },
      count % 4 === 0 ? 'play.turn' : 'play.how',
    );
}
