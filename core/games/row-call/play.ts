import { pick, shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { LINES, turn, type Turn } from '~/core/games/kit';
import type { RowParams } from '.';
import { GRID, numbers, SECOND_DECK } from './rules';
import type { words } from './words';

/**
 * One turn is one call. Among several of the called number, `one` turns the card that `choose` says: it lies in the line
 * with most turned (the first of those as one reads), is any of them, or the first as one reads. Outcome: `finished` 1 or
 * 0, `calls` when it was, `tie` 1 when two finish on the same call, `matched` cards turned by all players.
 */
export function* play(params: RowParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const { players, callFrom, win, choose } = params;
  const cards = shuffled(numbers(params), random);
  const grids = Array.from({ length: players }, () => cards.splice(0, GRID));
  const turned = grids.map(() => new Array<boolean>(GRID).fill(false));
  const calls = callFrom === 'rest' ? cards : shuffled(SECOND_DECK, random);
  const isTurned = (open: readonly boolean[]): boolean =>
    win === 'full' ? !open.includes(false) : LINES.some(([a, b, c]) => open[a] && open[b] && open[c]);
  let matched = 0;
  for (const [i, number] of calls.entries()) {
    let matches = 0;
    let finished = 0;
    let first = 0;
    for (let player = 0; player < players; player++) {
      const grid = grids[player]!;
      const open = turned[player]!;
      const places: number[] = [];
      for (let place = 0; place < GRID; place++)
        if (grid[place] === number && !open[place]) places.push(place);
      if (places.length === 0) continue;
      const chosen =
        params.turn === 'all'
          ? places
          : [
              choose === 'fullest'
                ? best(places, open)
                : choose === 'any'
                  ? pick(places, random)
                  : places[0]!,
            ];
      for (const place of chosen) open[place] = true;
      matches += chosen.length;
      if (!isTurned(open)) continue;
      if (finished++ === 0) first = player + 1;
    }
    matched += matches;
    yield finished
      ? turn(first, 'play.finishes', { number, calls: i + 1 }, 'play.show')
      : turn(1, 'play.call', { number, matches }, matches ? 'play.look' : 'play.none');
    if (finished) return { finished: 1, calls: i + 1, tie: finished > 1 ? 1 : 0, matched };
  }
  return { finished: 0, tie: 0, matched };
}

/** The place whose best line has most turned cards. */
function best(places: readonly number[], open: readonly boolean[]): number {
  if (places.length === 1) return places[0]!;
  const worth = (place: number): number =>
    Math.max(
      ...LINES.filter((line) => line.includes(place)).map((line) => line.filter((one) => open[one]).length),
    );
  return places.reduce((a, b) => (worth(b) > worth(a) ? b : a));
}
