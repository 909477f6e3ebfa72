/** Listen and Move: a leader calls moves with counts; act only on the agreed words; listening and stopping. */
import { Type, type Static } from '@sinclair/typebox';
import { Whole } from '~/core/check/schema';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

/** The moves that are called, in the order in which they are told. */
export const MOVES = ['hops', 'claps', 'steps', 'turns', 'nods', 'stamps'] as const;

export const schema = Type.Object(
  {
    calls: Whole(4, 30, { title: 'Calls', default: 12 }),
    most: Whole(3, 20, { title: 'Largest count', default: 7 }),
    without: Whole(0, 50, {
      title: 'Calls in 100 without the agreed words',
      description: 'Then nobody moves.',
      default: 25,
    }),
    moves: Whole(2, 6, { title: 'Different moves', default: 4 }),
    players: Whole(1, 8, { title: 'Players', default: 3 }),
  },
  { additionalProperties: false },
);
export type MoveParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  params: Omit<MoveParams, 'players'>,
): Preset<MoveParams> => ({ id, name, ageBand, params: { ...params, players: 3 } });
export const presets: readonly Preset<MoveParams>[] = [
  preset('five', 'to 5, every call counts', 'preK', { calls: 8, most: 5, without: 0, moves: 3 }),
  preset('seven', 'to 7, with silent calls', 'K', { calls: 12, most: 7, without: 25, moves: 4 }),
  preset('ten', 'to 10, many silent calls', 'g1', { calls: 15, most: 10, without: 40, moves: 6 }),
];
export const about = ({ most }: MoveParams) => ({ most });
export const subject = ({ most }: MoveParams): string => `moves counted to ${most}`;
export const ladder = (params: MoveParams): Ladder =>
  levels(params, 'most', [3, 5, 7, 10, 15, 20], (most) => `Count to ${most}`);
