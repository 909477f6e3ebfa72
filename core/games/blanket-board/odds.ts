/**
 * Who fills a board first, when every order of the slips is equally likely. A union of boards with u numbers is
 * full by the k-th of n calls with chance C(n−u, k−u) / C(n, k), and at the u(n+1)/(u+1)-th call on average; the
 * rest is inclusion and exclusion over the sets of boards (at most 2⁸).
 */
import { choose } from '~/core/chance/binomial';
import { fromCdf, type Pmf } from '~/core/chance/pmf';

/** For every non-empty set of boards (a bit mask): how many numbers they have together. */
function unions(boards: readonly (readonly number[])[]): number[] {
  return Array.from(
    { length: 2 ** boards.length },
    (_, mask) => new Set(boards.filter((_, i) => mask & (1 << i)).flat()).size,
  );
}

const sign = (mask: number): number => (mask.toString(2).replaceAll('0', '').length % 2 ? 1 : -1);

/** The call at which the first board is full. */
export function callsToFirst(boards: readonly (readonly number[])[], slips: number): Pmf {
  const sizes = unions(boards);
  const cdf = Array.from({ length: slips + 1 }, (_, k) => {
    let total = 0;
    for (let mask = 1; mask < sizes.length; mask++) {
      const u = sizes[mask]!;
      if (k >= u) total += (sign(mask) * choose(slips - u, k - u)) / choose(slips, k);
    }
    return Math.min(1, Math.max(0, total));
  });
  return fromCdf(cdf);
}

/** Expected call at which the first and the last board are full. */
export function meanCalls(
  boards: readonly (readonly number[])[],
  slips: number,
): { first: number; last: number } {
  const sizes = unions(boards);
  const full = (u: number): number => (u * (slips + 1)) / (u + 1);
  let first = 0;
  for (let mask = 1; mask < sizes.length; mask++) first += sign(mask) * full(sizes[mask]!);
  return { first, last: full(sizes.at(-1)!) };
}

/**
 * Chance that two or more boards are full first, on the same call. A board i is full alone, before the others, with
 * chance Σ_J (−1)^|J| |S_i| / |S_i ∪ S_J| over the sets J of other boards.
 */
export function tieChance(boards: readonly (readonly number[])[]): number {
  const sizes = unions(boards);
  let alone = 0;
  boards.forEach((board, i) => {
    for (let mask = 0; mask < sizes.length; mask++) {
      if (mask & (1 << i)) continue;
      alone -= (sign(mask) * board.length) / sizes[mask | (1 << i)]!;
    }
  });
  return Math.min(1, Math.max(0, 1 - alone));
}

/**
 * Boards that children fill themselves, each any set of so many numbers: the calls that fill one are a set of as many
 * places among all calls, whatever the others wrote, so a board is full by the k-th call with chance C(k, c) / C(n, c),
 * each by itself.
 */
export function ofAnyBoards(
  cells: number,
  boards: number,
  slips: number,
): { turns: Pmf; first: number; last: number; tie: number } {
  const full = Array.from({ length: slips + 1 }, (_, k) =>
    k < cells ? 0 : choose(k, cells) / choose(slips, cells),
  );
  const turns = fromCdf(full.map((by) => 1 - (1 - by) ** boards));
  let [first, last, alone] = [0, 0, 0];
  for (let k = 0; k < slips; k++) {
    first += (1 - full[k]!) ** boards;
    last += 1 - full[k]! ** boards;
    alone += boards * (full[k + 1]! - full[k]!) * (1 - full[k + 1]!) ** (boards - 1);
  }
  return { turns, first, last, tie: boards > 1 ? Math.max(0, 1 - alone) : 0 };
}
