/** Stack and Find: a numeral from a card or a spinner, build that many, find the frame that shows it. */
import { OneOf, OneValue, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
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
};
export type StackParams = ParamsOf<typeof knobs>;

export const stackAndFind = game({
  words,
  family: 'call',
  traits: { places: ['table', 'floor', 'rainyDay'] },
  knobs,
  presets: [
    { id: 'build-5', name: 'build only, to 5', ageBand: 'preK', params: { direction: 'buildOnly' } },
    { id: 'find-5', name: 'cards to 5', ageBand: 'preK' },
    { id: 'find-10', name: 'cards to 10', ageBand: 'K', params: { to: 10 } },
    { id: 'spin-10', name: 'spinner to 10', ageBand: 'K', params: { to: 10, source: 'spinner' } },
    {
      id: 'frames-10',
      name: 'from the frame, to 10',
      ageBand: 'K',
      params: { to: 10, source: 'spinner', direction: 'frameToNumeral' },
    },
    { id: 'towers-10', name: 'towers to 10', ageBand: 'K', params: { to: 10, direction: 'towers' } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ to }) => ({ to }),
  subject: ({ to }) => `numbers to ${to}`,
  sheets,
});
