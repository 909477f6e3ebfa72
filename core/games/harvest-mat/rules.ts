/** Harvest Mat: roll dice (or draw a sum card), find the answer on the mat, cover it. */
import { Type, type Static } from '@sinclair/typebox';
import { countValues } from '~/core/cards/deck';
import { DIE, entries, sum } from '~/core/chance/pmf';
import { Numbers, OneOf, Whole, YesNo } from '~/core/check/schema';
import type { FieldErrors } from '~/core/check/check';
import { count } from '~/core/words/numbers';
import { choices } from '~/core/games/kit/make';
import type { Ladder, Params, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    source: OneOf(
      { 'one-die': 'One die', 'two-dice': 'Two dice', cards: 'Sum cards' },
      { title: 'Answers come from', default: 'two-dice' },
    ),
    cells: Numbers(
      0,
      20,
      { minItems: 1, maxItems: 24 },
      {
        title: 'Numbers on the mat',
        description: 'A number may be there more than once.',
        default: [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
      },
    ),
    claim: YesNo({ title: 'Two players, a colour each: most cells wins', default: false }),
    cardsPerSum: Whole(1, 6, {
      title: 'Sum cards for each number',
      when: { name: 'source', is: ['cards'] },
      default: 2,
    }),
  },
  { additionalProperties: false },
);
export type MatParams = Static<typeof schema>;

export const faults = (params: MatParams): FieldErrors =>
  needed(params).every((one) => one.chance === 0)
    ? { cells: 'No roll gives any number of this mat. Put numbers on it that can come.' }
    : {};

const base: MatParams = {
  source: 'two-dice',
  cells: [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
  claim: false,
  cardsPerSum: 2,
};
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<MatParams>,
): Preset<MatParams> => ({ id, name, ageBand, params: { ...base, ...change } });
export const presets: readonly Preset<MatParams>[] = [
  preset('one', 'one die, 1 to 6', 'preK', { source: 'one-die', cells: [1, 2, 3, 4, 5, 6] }),
  preset('matched', 'two dice, matched mat', 'K', { cells: [4, 5, 6, 6, 7, 7, 7, 8, 8, 9, 10] }),
  preset('each', 'two dice, each number once', 'K', {}),
  preset('cards', 'sum cards to 10', 'g1', {
    source: 'cards',
    cells: [3, 4, 5, 6, 7, 8, 9, 10, 10],
  }),
  preset('claim', 'two dice, a colour each', 'g1', {
    claim: true,
    cells: [4, 5, 5, 6, 6, 7, 7, 7, 8, 8, 9, 9, 10],
  }),
];

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

export const about = ({ source }: MatParams) => ({
  source: { 'one-die': 'one', 'two-dice': 'two', cards: 'cards' }[source],
});
export const subject = ({ source, cells }: MatParams): string =>
  `${count(cells.length, 'cell')}, ${{ 'one-die': 'one die', 'two-dice': 'two dice', cards: 'sum cards' }[source]}`;

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
    return next.source === 'cards' ? rung : { ...rung, params: { ...next, cells: matched(next) } as Params };
  };
  return { easier: fit(steps.easier), harder: fit(steps.harder) };
}
