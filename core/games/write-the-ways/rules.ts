/** Write the Ways: after any target game, list every sentence for the target and tick the ones found. */
import { Type, type Static } from '@sinclair/typebox';
import { apply, SIGNS, type Sign } from '~/core/cards/facts';
import { OneOf, Whole, YesNo } from '~/core/check/schema';
import type { FieldErrors } from '~/core/check/check';
import { levels } from '~/core/games/kit/make';
import { Signs } from '~/core/games/kit/signs';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    target: Whole(2, 20, { title: 'Target', default: 10 }),
    ops: Signs(['+']),
    order: OneOf(
      { ordered: '3 + 7 is not 7 + 3', unordered: '3 + 7 is the same as 7 + 3' },
      { title: 'Order', description: 'Both schools are taught.', default: 'ordered' },
    ),
    upTo: Whole(5, 20, { title: 'Largest number in a sentence', default: 10 }),
    zero: YesNo({ title: 'Sentences with zero', default: true }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type WaysParams = Static<typeof schema>;

export const faults = (params: WaysParams): FieldErrors =>
  sentences(params).length === 0
    ? { target: 'No sentence with these signs and numbers makes this target.' }
    : {};

const base: WaysParams = { target: 10, ops: ['+'], order: 'ordered', upTo: 10, zero: true, players: 2 };
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<WaysParams>,
): Preset<WaysParams> => ({
  id,
  name,
  school: change.order === 'unordered' ? 'order does not count' : 'order counts',
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<WaysParams>[] = [
  preset('five', 'sums of 5', 'K', { target: 5 }),
  preset('ten', 'sums of 10', 'g1', {}),
  preset('ten-both', 'sums and differences that make 6', 'g2', { target: 6, ops: ['+', '−'] }),
  preset('twelve-all', 'all signs to 12', 'g3', { target: 12, ops: ['+', '−', '×', '÷'], upTo: 12 }),
  preset('ten-unordered', 'sums of 10', 'g1', { order: 'unordered' }),
];

export interface Sentence {
  a: number;
  b: number;
  sign: Sign;
}

/** Every sentence of two numbers up to `upTo` whose answer is the target; exact division, nothing below zero. */
export function sentences({ target, ops, order, upTo, zero }: WaysParams): Sentence[] {
  const least = zero ? 0 : 1;
  const found: Sentence[] = [];
  for (const sign of Object.keys(SIGNS) as Sign[]) {
    if (!ops.includes(sign)) continue;
    const turns = sign === '+' || sign === '×';
    for (let a = least; a <= upTo; a++)
      for (let b = least; b <= upTo; b++)
        if (apply(sign, a, b) === target && (order === 'ordered' || !turns || a <= b))
          found.push({ a, b, sign });
  }
  return found;
}

export const about = ({ target }: WaysParams) => ({ target });
export const subject = ({ target }: WaysParams): string => `ways to make ${target}`;
/** Targets along the ladder; the numbers of a sentence grow with the target. */
export function ladder(params: WaysParams): Ladder {
  const { easier, harder } = levels(
    params,
    'target',
    [4, 5, 6, 8, 10, 12, 15, 20],
    (target) => `Make ${target}`,
  );
  const upTo = Math.max(params.upTo, Number(harder?.params.target ?? 0));
  return { easier, harder: harder && { ...harder, params: { ...harder.params, upTo } } };
}
