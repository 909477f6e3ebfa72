/** Answer Hop: a chalk calculator; hop a sentence whose answer is the target, 1, 2, 3 … */
import { Type, type Static } from '@sinclair/typebox';
import { apply, SIGNS, type Sign } from '~/core/cards/facts';
import { Numbers, Whole } from '~/core/check/schema';
import type { FieldErrors } from '~/core/check/check';
import { signLadder, Signs } from '~/core/games/kit/signs';
import type { Ladder, Preset } from '~/core/games/kit/types';

/** Cells of the calculator in a row. */
export const COLUMNS = 4;

const ALL_DIGITS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];

export const schema = Type.Object(
  {
    digits: Numbers(
      0,
      9,
      { minItems: 2, maxItems: 10, uniqueItems: true },
      { title: 'Digits', default: ALL_DIGITS },
    ),
    ops: Signs(['+', '−']),
    to: Whole(3, 20, { title: 'Targets from 1 to', default: 10 }),
    cellMm: Whole(250, 600, { title: 'Width of a cell (mm)', default: 400 }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type HopParams = Static<typeof schema>;

export const faults = (params: HopParams): FieldErrors =>
  Object.values(waysTo(params)).every((list) => list.length === 0)
    ? { ops: 'No target can be hopped with these digits and signs.' }
    : {};

const base: HopParams = { digits: ALL_DIGITS, ops: ['+', '−'], to: 10, cellMm: 400, players: 2 };
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<HopParams>,
): Preset<HopParams> => ({
  id,
  name,
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<HopParams>[] = [
  preset('add', 'sums to 10', 'g1', { ops: ['+'] }),
  preset('both', 'sums and differences to 10', 'g2', {}),
  preset('all', 'all signs to 20', 'g3', { ops: ['+', '−', '×', '÷'], to: 20 }),
];

export interface Hop {
  a: number;
  sign: Sign;
  b: number;
}

/** Every sentence for each target: one-digit numbers, exact division by a number other than zero. */
export function waysTo({ digits, ops, to }: Pick<HopParams, 'digits' | 'ops' | 'to'>): Record<number, Hop[]> {
  const ways: Record<number, Hop[]> = {};
  for (let target = 1; target <= to; target++) ways[target] = [];
  for (const sign of Object.keys(SIGNS) as Sign[]) {
    if (!ops.includes(sign)) continue;
    for (const a of digits)
      for (const b of digits) {
        const answer = apply(sign, a, b);
        if (answer !== undefined) ways[answer]?.push({ a, sign, b });
      }
  }
  return ways;
}

export const about = ({ to }: HopParams) => ({ to });
export const subject = ({ to }: HopParams): string => `hopping to the answers 1 to ${to}`;

export const ladder = (params: HopParams): Ladder => signLadder(params);
