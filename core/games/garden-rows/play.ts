import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { RowsParams } from '.';
import { rounds, rowsOf } from './rules';
import type { words } from './words';

/** Card by card; in a game of two, each turns one and the longer row covers its answer. */
export function* play(params: RowsParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  const cards = shuffled(rowsOf(params), random);
  if (params.way !== 'two') {
    for (const [i, { a, b }] of cards.entries())
      yield params.way === 'count'
        ? turn((i % params.players) + 1, 'play.count', { a, b }, 'play.which')
        : turn((i % params.players) + 1, 'play.sum', { a, b, answer: a + b }, 'play.see');
    return;
  }
  for (let i = 0; i < rounds(params); i++) {
    const [{ a, b }, { a: c, b: d }] = [cards[2 * i]!, cards[2 * i + 1]!];
    const args = { a, b, c, d, answer: Math.max(a + b, c + d) };
    yield a + b === c + d
      ? turn(1, 'play.same', args, 'play.see')
      : turn(a + b > c + d ? 1 : 2, 'play.longer', args, 'play.measure');
  }
}
