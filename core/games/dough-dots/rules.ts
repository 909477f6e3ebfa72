/** Dough Dots: make as many balls as the first number, squash as many as the second. */
import { Type, type Static } from '@sinclair/typebox';
import { Whole, YesNo } from '~/core/check/schema';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

/** Density of modelling dough, in grams per cubic centimetre. */
export const DENSITY = 1.3;

export const schema = Type.Object(
  {
    max: Whole(5, 20, { title: 'Largest first number', default: 10 }),
    zero: YesNo({ title: 'Sentences with zero', default: false }),
    ballMm: Whole(10, 40, { title: 'Width of a ball (mm)', default: 20 }),
    cards: Whole(1, 40, { title: 'Cards in one play', default: 8 }),
    players: Whole(1, 4, { title: 'Players', default: 1 }),
  },
  { additionalProperties: false },
);
export type DoughParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  max: number,
  zero = false,
): Preset<DoughParams> => ({
  id,
  name,
  ageBand,
  params: { max, zero, ballMm: 20, cards: 8, players: 1 },
});
export const presets: readonly Preset<DoughParams>[] = [
  preset('five', 'up to 5', 'K', 5),
  preset('ten', 'up to 10', 'g1', 10),
  preset('ten-zero', 'up to 10, with zero', 'g1', 10, true),
];

/** Every sentence a − b with 1 ≤ b ≤ a ≤ max; with zero, 0 ≤ b. */
export const sentences = ({ max, zero }: Pick<DoughParams, 'max' | 'zero'>): { a: number; b: number }[] => {
  const least = zero ? 0 : 1;
  const list: { a: number; b: number }[] = [];
  for (let a = least; a <= max; a++) for (let b = least; b <= a; b++) list.push({ a, b });
  return list;
};
/** Cards of one play: never more than there are. */
export const played = (params: DoughParams): number => Math.min(params.cards, sentences(params).length);
/** Grams of dough for the balls of one player. */
export const doughGrams = ({ max, ballMm }: Pick<DoughParams, 'max' | 'ballMm'>): number =>
  max * (Math.PI / 6) * (ballMm / 10) ** 3 * DENSITY;

export const about = ({ max }: DoughParams) => ({ max });
export const subject = ({ max }: DoughParams): string => `taking away up to ${max}`;
export const ladder = (params: DoughParams): Ladder =>
  levels(params, 'max', [5, 6, 8, 10, 15, 20], (max) => `Numbers up to ${max}`);
