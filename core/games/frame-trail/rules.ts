/** Frame Trail: ten-frames filled with counters by colour or by a sentence; add fills on, take-away lifts off. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import { climb, choices } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    max: OneValue(
      [
        [10, 'to 10'],
        [20, 'to 20'],
      ],
      { title: 'Numbers', default: 10 },
    ),
    op: OneOf(
      { add: 'Add: fill on', subtract: 'Take away: lift off' },
      { title: 'The sentences', default: 'add' },
    ),
    problems: Whole(1, 40, { title: 'Problems on the trail', default: 10 }),
    frames: Whole(1, 8, { title: 'Frames on a page', default: 4 }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type TrailParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  max: 10 | 20,
  op: TrailParams['op'],
): Preset<TrailParams> => ({
  id,
  name,
  ageBand,
  params: { max, op, problems: 10, frames: 4, players: 2 },
});
export const presets: readonly Preset<TrailParams>[] = [
  preset('add-10', 'adding to 10', 'K', 10, 'add'),
  preset('take-10', 'taking away to 10', 'g1', 10, 'subtract'),
  preset('add-20', 'adding to 20', 'g1', 20, 'add'),
  preset('take-20', 'taking away to 20', 'g2', 20, 'subtract'),
];

/** Every sentence there is: a + b ≤ max with a, b ≥ 1; a − b with 1 ≤ b ≤ a ≤ max. */
export const sentences = ({ max, op }: Pick<TrailParams, 'max' | 'op'>): { a: number; b: number }[] => {
  const list: { a: number; b: number }[] = [];
  for (let a = 1; a <= max; a++) for (let b = 1; b <= (op === 'add' ? max - a : a); b++) list.push({ a, b });
  return list;
};
/** Ten-frames that one problem takes. */
export const framesEach = ({ max }: Pick<TrailParams, 'max'>): number => max / 10;

export const about = ({ op, max }: TrailParams) => ({ op, max });
export const subject = ({ op, max }: TrailParams): string =>
  `${op === 'add' ? 'adding' : 'taking away'} to ${max} in frames`;
export const ladder = (params: TrailParams): Ladder =>
  climb(
    choices(params, 'op', [
      ['add', 'Add'],
      ['subtract', 'Take away'],
    ]),
    choices(params, 'max', [
      [10, 'Numbers to 10'],
      [20, 'Numbers to 20'],
    ]),
  );
