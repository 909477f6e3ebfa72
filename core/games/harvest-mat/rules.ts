import { countValues } from '~/core/cards/deck';
import { DIE, entries, sum } from '~/core/chance/pmf';
import type { FieldErrors } from '~/core/check/check';
import { choices, type Ladder } from '~/core/games/kit';
import type { MatParams } from '.';

export const faults = (params: MatParams): FieldErrors =>
  needed(params).every((one) => one.chance === 0)
    ? { cells: 'No roll gives any number of this mat. Put numbers on it that can come.' }
    : {};

/** The answers a roll can give, with their chances; those of sum cards are the numbers of the mat. */
export function odds({ source, cells }: Pick<MatParams, 'source' | 'cells'>): Map<number, number> {
  if (source === 'one-die') return new Map(entries(DIE));
  if (source === 'two-dice') return new Map(entries(sum(DIE, DIE)));
  const different = [...countValues(cells).keys()];
  return new Map(different.map((number) => [number, 1 / different.length]));
}

/** Each number of the mat: how many cells it has, and the chance that a roll gives it. */
export function needed(
  params: Pick<MatParams, 'source' | 'cells'>,
): { number: number; times: number; chance: number }[] {
  const chances = odds(params);
  return [...countValues(params.cells)].map(([number, times]) => ({
    number,
    times,
    chance: chances.get(number) ?? 0,
  }));
}

/** Whether cells are circled and colored; two players who claim cells need a color each. */
export const drawsOnMat = ({ mark, claim }: Pick<MatParams, 'mark' | 'claim'>): boolean =>
  mark === 'pencil' && !claim;

/** As many cells, shared out in proportion to the odds (largest remainders). */
export function matched(params: MatParams): number[] {
  const chances = [...odds(params)];
  const cells = params.cells.length;
  const shares = chances.map(([number, chance]) => ({
    number,
    exact: chance * cells,
    given: Math.floor(chance * cells),
  }));
  let left = cells - shares.reduce((total, one) => total + one.given, 0);
  for (const one of [...shares].sort(
    (a, b) => b.exact - b.given - (a.exact - a.given) || b.exact - a.exact,
  )) {
    if (left-- <= 0) break;
    one.given++;
  }
  return shares.flatMap(({ number, given }) => new Array<number>(given).fill(number));
}

/** Every sum card of the pile: for each number of the mat, the given number of different splits. */
export const sumCards = ({ cells, cardsPerSum }: MatParams): { a: number; b: number }[] =>
  [...countValues(cells).keys()].flatMap((number) => {
    const least = number >= 2 ? 1 : 0;
    const splits = Array.from({ length: number + 1 }, (_, a) => ({ a, b: number - a })).filter(
      ({ a, b }) => a >= least && b >= least,
    );
    return Array.from({ length: cardsPerSum }, (_, i) => splits[i % splits.length]!);
  });

/** From one die to two, then to sum cards; the mat follows the odds. */
export function ladder(params: MatParams): Ladder {
  const steps = choices(params, 'source', [
    ['one-die', 'Roll one die'],
    ['two-dice', 'Roll two dice'],
    ['cards', 'Draw sum cards'],
  ]);
  const fit = (rung: Ladder['easier']): Ladder['easier'] => {
    if (!rung) return undefined;
    const next = rung.params as unknown as MatParams;
    return next.source === 'cards' ? rung : { ...rung, params: { ...next, cells: matched(next) } };
  };
  return { easier: fit(steps.easier), harder: fit(steps.harder) };
}
