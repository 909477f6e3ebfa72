/** Chalk Orbits: throw bags at numbered chalk circles; add the team's. */
import { Type, type Static } from '@sinclair/typebox';
import { Chance, Numbers, OneOf, OneValue, Whole } from '~/core/check/schema';
import type { FieldErrors } from '~/core/check/check';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

const NUMBERS_MOST = 20;

export const schema = Type.Object(
  {
    circles: Whole(2, 20, { title: 'Circles', default: 12 }),
    diameterMm: Whole(200, 1500, { title: 'Width of a circle (mm)', default: 800 }),
    gapMm: Whole(0, 1000, { title: 'Gap between circles (mm)', default: 200 }),
    numbers: Numbers(
      0,
      NUMBERS_MOST,
      { minItems: 2, maxItems: 20 },
      {
        title: 'Numbers in the circles',
        description: 'Used in turn when there are more circles.',
        default: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
      },
    ),
    bags: Whole(1, 6, { title: 'Bags of a team', default: 4 }),
    op: OneOf(
      { add: 'Add the numbers', multiply: 'Multiply the numbers' },
      { title: 'The score', default: 'add' },
    ),
    miss: OneOf(
      { zero: 'counts 0', again: 'is thrown again' },
      { title: 'A bag beside the circles', description: 'Both schools are played.', default: 'zero' },
    ),
    hit: Chance(0.1, 1, { title: 'Chance to hit a circle', description: 'An assumption.', default: 0.6 }),
    bestOf: OneValue(
      [
        [1, '1'],
        [3, '3'],
        [5, '5'],
        [7, '7'],
      ],
      { title: 'Best of', default: 3 },
    ),
  },
  { additionalProperties: false },
);
export type OrbitParams = Static<typeof schema>;

/** Products of more bags have too many values to be told. */
const MOST_FACTORS = 3;
export const faults = ({ op, bags }: OrbitParams): FieldErrors =>
  op === 'multiply' && bags > MOST_FACTORS
    ? { bags: `Multiplying is for at most ${MOST_FACTORS} bags: nobody works out more in the head.` }
    : {};

const base: OrbitParams = {
  circles: 12,
  diameterMm: 800,
  gapMm: 200,
  numbers: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
  bags: 4,
  op: 'add',
  miss: 'zero',
  hit: 0.6,
  bestOf: 3,
};
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<OrbitParams>,
): Preset<OrbitParams> => ({
  id,
  name,
  school: (change.miss ?? 'zero') === 'zero' ? 'a miss counts 0' : 'a miss is thrown again',
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<OrbitParams>[] = [
  preset('small', 'six circles, 1 to 3', 'K', {
    circles: 6,
    numbers: [1, 2, 3, 1, 2, 3],
    bags: 3,
    bestOf: 1,
  }),
  preset('twelve', 'twelve circles, 1 to 12', 'g2', {}),
  preset('small-again', 'six circles, 1 to 6', 'g1', {
    circles: 6,
    numbers: [1, 2, 3, 4, 5, 6],
    bags: 3,
    miss: 'again',
  }),
  preset('times', 'two bags, multiply', 'g3', { bags: 2, op: 'multiply', miss: 'again' }),
];

/** The number in each circle. */
export const circleNumbers = ({ circles, numbers }: OrbitParams): number[] =>
  Array.from({ length: circles }, (_, i) => numbers[i % numbers.length]!);

/** Rows and columns of the field whose sides come nearest to 5 : 3. */
export function field({ circles, diameterMm, gapMm }: OrbitParams): {
  rows: number;
  columns: number;
  widthMm: number;
  depthMm: number;
} {
  const side = (n: number): number => n * diameterMm + (n - 1) * gapMm;
  let best = { rows: 1, columns: circles, widthMm: side(circles), depthMm: side(1) };
  const off = (one: typeof best): number => Math.abs(Math.log(one.widthMm / one.depthMm / (5 / 3)));
  for (let rows = 2; rows <= circles; rows++) {
    const columns = Math.ceil(circles / rows);
    const one = { rows, columns, widthMm: side(columns), depthMm: side(rows) };
    if (off(one) < off(best) - 1e-12) best = one;
  }
  return best;
}

/** How far away the throwing line is, in steps of a child. */
export const THROWING_STEPS = { preK: 1, K: 2, g1: 3, g2: 4, g3: 5 } as const;

export const about = ({ op }: OrbitParams) => ({ op });
export const subject = ({ circles, op }: OrbitParams): string =>
  `${circles} chalk circles, ${op === 'add' ? 'sums' : 'products'}`;
export const ladder = (params: OrbitParams): Ladder =>
  levels(params, 'bags', params.op === 'add' ? [2, 3, 4, 5, 6] : [2, 3], (bags) => `Throw ${bags} bags`);
