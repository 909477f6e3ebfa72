/** Leaf Twins: shapes with a numeral, outlines with that many dots on a board; lay each shape on its twin. */
import { Type, type Static } from '@sinclair/typebox';
import { fitting } from '~/core/paper/packing';
import { PAPERS } from '~/core/paper/sheet';
import { OneOf, SizeMm, Whole } from '~/core/check/schema';
import type { FieldErrors } from '~/core/check/check';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

/** Our own twelve shapes, one a month; none belongs to a religion. */
export const SHAPES = {
  mitten: 'mitten',
  heart: 'heart',
  kite: 'kite',
  umbrella: 'umbrella',
  flower: 'flower',
  fish: 'fish',
  sun: 'sun',
  boat: 'boat',
  apple: 'apple',
  leaf: 'leaf',
  acorn: 'acorn',
  star: 'star',
} as const;
export type ShapeName = keyof typeof SHAPES;

export const schema = Type.Object(
  {
    count: Whole(5, 20, { title: 'Shapes', description: 'Numbered from 1.', default: 10 }),
    shape: OneOf(SHAPES, { title: 'Shape', description: 'Twelve, one for each month.', default: 'leaf' }),
    shapeMm: SizeMm(20, 200, { title: 'Size of a shape', default: { w: 60, h: 60 } }),
    gapMm: Whole(2, 20, { title: 'Gap between shapes (mm)', default: 5 }),
    paper: OneOf({ letter: PAPERS.letter.name, a4: PAPERS.a4.name }, { title: 'Paper', default: 'letter' }),
    players: Whole(1, 2, { title: 'Players', default: 1 }),
  },
  { additionalProperties: false },
);
export type TwinParams = Static<typeof schema>;

/** How the shapes lie on one sheet of the paper. */
export const layout = ({ shapeMm, gapMm, paper }: TwinParams) => fitting(shapeMm, PAPERS[paper], gapMm);

export const faults = (params: TwinParams): FieldErrors =>
  layout(params).count === 0
    ? {
        shapeMm: `A shape of ${params.shapeMm.w} × ${params.shapeMm.h} mm does not fit ${PAPERS[params.paper].name} paper. Make it smaller.`,
      }
    : {};

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  count: number,
  shape: ShapeName,
  side: number,
): Preset<TwinParams> => ({
  id,
  name,
  ageBand,
  params: { count, shape, shapeMm: { w: side, h: side }, gapMm: 5, paper: 'letter', players: 1 },
});
export const presets: readonly Preset<TwinParams>[] = [
  preset('leaves-10', '10 leaves', 'preK', 10, 'leaf', 60),
  preset('fish-5', '5 large fish', 'preK', 5, 'fish', 85),
  preset('stars-20', '20 stars', 'K', 20, 'star', 45),
];

export const about = ({ count }: TwinParams) => ({ count });
export const subject = ({ count, shape }: TwinParams): string => `${count} shapes (${SHAPES[shape]})`;
export const ladder = (params: TwinParams): Ladder =>
  levels(params, 'count', [5, 6, 8, 10, 12, 15, 20], (count) => `Use ${count} shapes`);
