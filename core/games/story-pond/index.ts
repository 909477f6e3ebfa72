/** Story Pond: two kinds of animals on a picture mat from a card; how many altogether? */
import { OneOf, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  max: Whole(5, 10, { title: 'Most animals together', default: 5 }),
  answer: OneOf(
    { tile: 'a numeral tile is laid', wipeOff: 'it is written on the mat and wiped off' },
    { title: 'The answer', description: 'Both ways are taught.', default: 'tile' },
  ),
  stories: Whole(1, 20, { title: 'Stories for each player', default: 6 }),
  players: Whole(1, 4, { title: 'Players', default: 1 }),
};
export type PondParams = ParamsOf<typeof knobs>;

export const storyPond = game({
  words,
  family: 'see',
  traits: { places: ['table', 'floor', 'rainyDay', 'car'], quiet: true, noReading: true },
  knobs,
  presets: [
    { id: 'five-tile', name: 'up to 5', tradition: 'a numeral tile is laid', ageBand: 'preK' },
    {
      id: 'ten-tile',
      name: 'up to 10',
      tradition: 'a numeral tile is laid',
      ageBand: 'K',
      params: { max: 10 },
    },
    {
      id: 'five-write',
      name: 'up to 5',
      tradition: 'the answer is written',
      ageBand: 'K',
      params: { answer: 'wipeOff' },
    },
    {
      id: 'ten-write',
      name: 'up to 10',
      tradition: 'the answer is written',
      ageBand: 'g1',
      params: { max: 10, answer: 'wipeOff' },
    },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ max }) => ({ max }),
  subject: ({ max }) => `stories up to ${max}`,
  sheets,
});
