/** Pin Notes: knock pins down; write pins − down = standing. */
import { Type, type Static } from '@sinclair/typebox';
import { Chance, Whole } from '~/core/check/schema';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    pins: Whole(3, 10, { title: 'Pins', default: 6 }),
    rolls: Whole(1, 10, { title: 'Rolls on one card', default: 5 }),
    cards: Whole(1, 8, { title: 'Cards', description: 'One for each player.', default: 2 }),
    knock: Chance(0.05, 0.95, {
      title: 'Chance that one pin falls',
      description: 'An assumption: about half is usual from three steps away.',
      default: 0.5,
    }),
  },
  { additionalProperties: false },
);
export type PinParams = Static<typeof schema>;

const preset = (id: string, name: string, ageBand: Preset['ageBand'], pins: number): Preset<PinParams> => ({
  id,
  name,
  ageBand,
  params: { pins, rolls: 5, cards: 2, knock: 0.5 },
});
export const presets: readonly Preset<PinParams>[] = [
  preset('five', '5 pins', 'K', 5),
  preset('six', '6 pins', 'g1', 6),
  preset('ten', '10 pins', 'g1', 10),
];
export const about = ({ pins }: PinParams) => ({ pins });
export const subject = ({ pins }: PinParams): string => `${pins} pins`;
export const ladder = (params: PinParams): Ladder =>
  levels(params, 'pins', [3, 4, 5, 6, 8, 10], (pins) => `Use ${pins} pins`);
