/** Three Stones: a nine-cell board, five stones each with two marks; three in a row, by placing or by tossing. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, YesNo } from '~/core/check/schema';
import { choices, climb } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const EACH = 5;
/** Every row, column and diagonal of these numbers makes 15. */
export const SQUARE = [2, 7, 6, 9, 5, 1, 4, 3, 8] as const;
export const TARGET = 15;
export const schema = Type.Object(
  {
    by: OneOf(
      { placing: 'placing them by turns', tossing: 'tossing them onto the board' },
      { title: 'Stones are played by', default: 'placing' },
    ),
    sums: YesNo({ title: 'With numbers: a row must make 15', default: false }),
    place: OneOf(
      { table: 'on the table', floor: 'on the floor, with a large board' },
      { title: 'Place', default: 'table' },
    ),
  },
  { additionalProperties: false },
);
export type ThreeParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  params: ThreeParams,
  school: string,
): Preset<ThreeParams> => ({ id, name, school, ageBand, params });
const PLACE = 'stones are placed';
const TOSS = 'stones are tossed';
export const presets: readonly Preset<ThreeParams>[] = [
  preset('placing', 'three in a row', 'K', { by: 'placing', sums: false, place: 'table' }, PLACE),
  preset(
    'placing-sums',
    'three numbers that make 15',
    'g2',
    { by: 'placing', sums: true, place: 'table' },
    PLACE,
  ),
  preset('tossing', 'three in a row', 'K', { by: 'tossing', sums: false, place: 'floor' }, TOSS),
  preset(
    'tossing-sums',
    'three numbers that make 15',
    'g2',
    { by: 'tossing', sums: true, place: 'floor' },
    TOSS,
  ),
];

export const about = ({ sums }: ThreeParams) => ({ sums: sums ? 'yes' : 'no', target: TARGET });
export const subject = ({ sums }: ThreeParams): string =>
  sums ? 'three numbers that make 15' : 'three in a row';
export const ladder = (params: ThreeParams): Ladder =>
  climb(
    choices(params, 'sums', [
      [false, 'Without numbers'],
      [true, 'With numbers that make 15'],
    ]),
    choices(params, 'by', [
      ['placing', 'Place the stones'],
      ['tossing', 'Toss the stones'],
    ]),
  );
