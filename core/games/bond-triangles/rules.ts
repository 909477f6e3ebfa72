/** Bond Triangles: two parts and a whole on a triangle card, one covered; four sentences from one card. */
import { Type, type Static } from '@sinclair/typebox';
import { Numbers, OneOf, Whole, YesNo } from '~/core/check/schema';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    wholes: Numbers(
      3,
      20,
      { minItems: 1, maxItems: 18, uniqueItems: true },
      { title: 'Wholes', default: [10] },
    ),
    cover: OneOf(
      { part: 'A part', whole: 'The whole', any: 'Any of the three' },
      { title: 'Covered by the thumb', default: 'part' },
    ),
    zero: YesNo({ title: 'Cards with zero', description: 'Such as 0 and 5.', default: false }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type BondParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  wholes: number[],
  cover: BondParams['cover'],
): Preset<BondParams> => ({ id, name, ageBand, params: { wholes, cover, zero: false, players: 2 } });
export const presets: readonly Preset<BondParams>[] = [
  preset('five', 'wholes 3 to 5', 'K', [3, 4, 5], 'whole'),
  preset('ten', 'parts of 10', 'g1', [10], 'part'),
  preset('to-ten', 'wholes 6 to 10', 'g1', [6, 7, 8, 9, 10], 'any'),
  preset('teens', 'wholes 11 to 14', 'g2', [11, 12, 13, 14], 'part'),
];

export interface Bond {
  a: number;
  b: number;
  whole: number;
}

/** One card for each whole and each pair of parts, the smaller part first. */
export const bonds = ({ wholes, zero }: BondParams): Bond[] =>
  wholes.flatMap((whole) =>
    Array.from({ length: Math.floor(whole / 2) + 1 }, (_, a) => ({ a, b: whole - a, whole })).filter(
      ({ a }) => zero || a > 0,
    ),
  );

/** The sentences of one card: four, or two when both parts are the same. */
export const sentences = ({ a, b }: Bond): number => (a === b ? 2 : 4);

export const about = ({ wholes }: BondParams) => ({ whole: Math.max(...wholes) });
export const subject = ({ wholes }: BondParams): string =>
  wholes.length === 1 ? `parts of ${wholes[0]}` : `parts of ${Math.min(...wholes)} to ${Math.max(...wholes)}`;

export function ladder(params: BondParams): Ladder {
  const shift = (by: number) => {
    const wholes = params.wholes.map((whole) => whole + by);
    return wholes.every((whole) => whole >= 3 && whole <= 20)
      ? {
          params: { ...params, wholes },
          label:
            wholes.length === 1
              ? `Use parts of ${wholes[0]}`
              : `Use wholes ${Math.min(...wholes)} to ${Math.max(...wholes)}`,
        }
      : undefined;
  };
  return { easier: shift(-1), harder: shift(1) };
}
