/** Spot My Shape: clues by shape, number or colour for something in view; one more hint when stuck. */
import { Type, type Static } from '@sinclair/typebox';
import { SomeOf, Whole } from '~/core/check/schema';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const CLUES = {
  shape: 'its shape',
  number: 'how many of something it has',
  colour: 'its colour',
} as const;
export type Clue = keyof typeof CLUES;

export const schema = Type.Object(
  {
    clues: SomeOf(CLUES, { title: 'Clues tell', default: ['shape', 'number', 'colour'] }),
    things: Whole(4, 30, {
      title: 'Things in view',
      description: 'About how many could be meant.',
      default: 12,
    }),
    each: Whole(2, 4, {
      title: 'Kinds each clue tells apart',
      description: 'Such as round, square, pointed.',
      default: 3,
    }),
    rounds: Whole(2, 20, { title: 'Riddles', default: 6 }),
    players: Whole(2, 6, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type SpotParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<SpotParams>,
): Preset<SpotParams> => ({
  id,
  name,
  ageBand,
  params: { clues: ['shape', 'number', 'colour'], things: 12, each: 3, rounds: 6, players: 2, ...change },
});
export const presets: readonly Preset<SpotParams>[] = [
  preset('colour', 'colour and shape', 'preK', { clues: ['colour', 'shape'], things: 8 }),
  preset('all', 'shape, number and colour', 'K', {}),
  preset('number', 'shape and number, a whole room', 'g1', { clues: ['shape', 'number'], things: 20 }),
];
export const about = ({ things }: SpotParams) => ({ things });
export const subject = ({ clues }: SpotParams): string => `clues by ${clues.join(', ')}`;
export const ladder = (params: SpotParams): Ladder =>
  levels(params, 'things', [4, 8, 12, 20, 30], (things) => `${things} things in view`);
