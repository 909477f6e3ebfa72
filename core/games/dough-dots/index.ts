/** Dough Dots: make as many balls as the first number, squash as many as the second. */
import { Whole, YesNo } from '~/core/check/schema';
import { game, LINE, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  max: Whole(5, 20, { title: 'Largest first number', default: 10 }),
  zero: YesNo({ title: 'Sentences with zero', default: false }),
  ballMm: Whole(10, 40, { title: 'Width of a ball (mm)', default: 20 }),
  cards: Whole(1, 40, { title: 'Cards for each player', default: 8 }),
  line: LINE,
  players: Whole(1, 4, { title: 'Players', default: 1 }),
};
export type DoughParams = ParamsOf<typeof knobs>;

export const doughDots = game({
  words,
  family: 'build',
  traits: { places: ['table', 'rainyDay'], quiet: true },
  knobs,
  presets: [
    { id: 'five', name: 'up to 5', ageBand: 'K', params: { max: 5 } },
    { id: 'ten', name: 'up to 10', ageBand: 'g1' },
    { id: 'ten-zero', name: 'up to 10, with zero', ageBand: 'g1', params: { zero: true } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ max }) => ({ max }),
  subject: ({ max }) => `taking away up to ${max}`,
  sheets,
});
