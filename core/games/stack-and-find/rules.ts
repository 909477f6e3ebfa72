/** Stack and Find: a numeral from a card or a spinner, build that many, find the frame that shows it. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import { choices, climb } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    to: OneValue(
      [
        [5, 'to 5, five-frames'],
        [10, 'to 10, ten-frames'],
      ],
      { title: 'Numbers', default: 5 },
    ),
    source: OneOf(
      { cards: 'Numeral cards', spinner: 'A spinner with a paper clip' },
      { title: 'Numbers come from', default: 'cards' },
    ),
    direction: OneOf(
      {
        numeralToFrame: 'numeral, build, find the frame',
        frameToNumeral: 'frame, stack on the numeral',
        buildOnly: 'numeral, build only',
        towers: 'build every tower, side by side',
      },
      { title: 'The way', default: 'numeralToFrame' },
    ),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
  },
  { additionalProperties: false },
);
export type StackParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  to: 5 | 10,
  source: StackParams['source'],
  direction: StackParams['direction'],
): Preset<StackParams> => ({ id, name, ageBand, params: { to, source, direction, players: 2 } });
export const presets: readonly Preset<StackParams>[] = [
  preset('build-5', 'build only, to 5', 'preK', 5, 'cards', 'buildOnly'),
  preset('find-5', 'cards to 5', 'preK', 5, 'cards', 'numeralToFrame'),
  preset('find-10', 'cards to 10', 'K', 10, 'cards', 'numeralToFrame'),
  preset('spin-10', 'spinner to 10', 'K', 10, 'spinner', 'numeralToFrame'),
  preset('frames-10', 'from the frame, to 10', 'K', 10, 'spinner', 'frameToNumeral'),
  preset('towers-10', 'towers to 10', 'K', 10, 'cards', 'towers'),
];

/** 0 to the largest number. */
export const numbersOf = ({ to }: Pick<StackParams, 'to'>): number[] =>
  Array.from({ length: to + 1 }, (_, n) => n);

export const about = ({ to }: StackParams) => ({ to });
export const subject = ({ to }: StackParams): string => `numbers to ${to}`;
export const ladder = (params: StackParams): Ladder =>
  climb(
    choices(params, 'to', [
      [5, 'Numbers to 5'],
      [10, 'Numbers to 10'],
    ]),
    choices(params, 'direction', [
      ['buildOnly', 'Build only'],
      ['numeralToFrame', 'Find the frame too'],
      ['frameToNumeral', 'Begin with the frame'],
    ]),
  );
