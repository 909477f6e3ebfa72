/** Cup Machine: two cups for the two numbers, one for the total; pour together and count. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, Whole } from '~/core/check/schema';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    max: Whole(3, 10, { title: 'Largest number in a cup', default: 5 }),
    op: OneOf(
      { add: 'Pour both cups together', subtract: 'Pour some back out' },
      { title: 'What the machine does', default: 'add' },
    ),
    problems: Whole(1, 20, { title: 'Problems in one play', default: 8 }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type MachineParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  max: number,
  op: MachineParams['op'] = 'add',
): Preset<MachineParams> => ({ id, name, ageBand, params: { max, op, problems: 8, players: 2 } });
export const presets: readonly Preset<MachineParams>[] = [
  preset('three', 'up to 3 and 3', 'preK', 3),
  preset('five', 'up to 5 and 5', 'K', 5),
  preset('ten', 'up to 10 and 10', 'g1', 10),
  preset('back', 'taking away up to 10', 'g1', 10, 'subtract'),
];

/** The problems: every a + b with 1 to max in each cup; every a − b with 1 ≤ b ≤ a ≤ max. */
export const problems = ({ max, op }: Pick<MachineParams, 'max' | 'op'>): { a: number; b: number }[] => {
  const numbers = Array.from({ length: max }, (_, i) => i + 1);
  return numbers.flatMap((a) => numbers.filter((b) => op === 'add' || b <= a).map((b) => ({ a, b })));
};

export const about = ({ op }: MachineParams) => ({ op });
export const subject = ({ op, max }: MachineParams): string =>
  op === 'add' ? `adding up to ${max} and ${max}` : `taking away up to ${max}`;
export const ladder = (params: MachineParams): Ladder =>
  levels(params, 'max', [3, 4, 5, 6, 8, 10], (max) => `Numbers up to ${max}`);
