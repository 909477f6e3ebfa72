/** Story Pond: two kinds of animals on a picture mat from a card; how many altogether? */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, Whole } from '~/core/check/schema';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    max: Whole(5, 10, { title: 'Most animals together', default: 5 }),
    answer: OneOf(
      { tile: 'a numeral tile is laid', wipeOff: 'it is written on the mat and wiped off' },
      { title: 'The answer', description: 'Both schools are taught.', default: 'tile' },
    ),
    stories: Whole(1, 20, { title: 'Stories in one play', default: 6 }),
    players: Whole(1, 4, { title: 'Players', default: 1 }),
  },
  { additionalProperties: false },
);
export type PondParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  max: number,
  answer: PondParams['answer'],
): Preset<PondParams> => ({
  id,
  name,
  school: answer === 'tile' ? 'a numeral tile is laid' : 'the answer is written',
  ageBand,
  params: { max, answer, stories: 6, players: 1 },
});
export const presets: readonly Preset<PondParams>[] = [
  preset('five-tile', 'up to 5', 'preK', 5, 'tile'),
  preset('ten-tile', 'up to 10', 'K', 10, 'tile'),
  preset('five-write', 'up to 5', 'K', 5, 'wipeOff'),
  preset('ten-write', 'up to 10', 'g1', 10, 'wipeOff'),
];

/** The cards: a of one kind and b of the other, each at least one, at most max together. */
export const cardsOf = ({ max }: Pick<PondParams, 'max'>): { a: number; b: number }[] =>
  Array.from({ length: max - 1 }, (_, i) => i + 1).flatMap((a) =>
    Array.from({ length: max - a }, (_, i) => ({ a, b: i + 1 })),
  );
export const about = ({ max }: PondParams) => ({ max });
export const subject = ({ max }: PondParams): string => `stories up to ${max}`;
export const ladder = (params: PondParams): Ladder =>
  levels(params, 'max', [5, 6, 8, 10], (max) => `Up to ${max} animals`);
