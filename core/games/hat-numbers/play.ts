import { shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { HatParams } from '.';
import { call, values } from './reckon';
import type { words } from './words';

/** Round after round, the three taking turns to call. */
export function* play(params: HatParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const cards = shuffled(values(params), random);
  const rounds = Math.floor(cards.length / 2);
  let unknown = 0;
  for (let round = 0; round < rounds; round++) {
    const [a, b] = [cards[2 * round]!, cards[2 * round + 1]!];
    const said = call(params.op, a, b);
    const hidden = params.op === 'multiply' && (a === 0 || b === 0);
    if (hidden) unknown++;
    yield turn(
      (round % 3) + 1,
      hidden ? 'play.unknown' : 'play.call',
      { said, a, b },
      hidden ? 'play.zero' : 'play.from',
      hidden ? {} : { said, b },
    );
  }
  return { unknown: unknown / Math.max(1, rounds) };
}
