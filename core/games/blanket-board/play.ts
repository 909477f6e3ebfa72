import { shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { BlanketParams } from '.';
import { boardsOf, linesOf, slips } from './rules';
import type { words } from './words';

/** One turn is one slip. Ends when the first board (or line) is full; `last` is when every board is. */
export function* play(
  params: BlanketParams,
  random: Random,
): Generator<Turn<keyof typeof words.en>, Outcome> {
  const { from, cells, win, fill } = params;
  const numbers = Array.from({ length: slips(params) }, (_, i) => from + i);
  // Children who write their boards themselves write others each time.
  const boards =
    fill === 'blank'
      ? Array.from({ length: params.boards }, () => shuffled(numbers, random).slice(0, cells))
      : boardsOf(params);
  const lines = win === 'full' ? [Array.from({ length: cells }, (_, i) => i)] : linesOf(cells);
  const order = shuffled(numbers, random);
  const calledAt = new Map(order.map((number, i) => [number, i + 1]));
  // When each board is done: its quickest line, whose last number is called.
  const done = boards.map((board) =>
    Math.min(...lines.map((line) => Math.max(...line.map((place) => calledAt.get(board[place]!)!)))),
  );
  const first = Math.min(...done);
  for (let call = 1; call <= first; call++) {
    const number = order[call - 1]!;
    const covered = boards.filter((board) => board.includes(number)).length;
    yield call === first
      ? turn(
          Math.floor(done.indexOf(first) / params.boardsPerChild) + 1,
          'play.full',
          { number, calls: call },
          'play.read',
        )
      : turn(1, 'play.slip', { number, covered }, covered ? 'play.look' : 'play.keep');
  }
  return { first, last: Math.max(...done), tie: done.filter((one) => one === first).length > 1 ? 1 : 0 };
}
