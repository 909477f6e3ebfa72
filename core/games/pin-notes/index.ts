/** Pin Notes: knock pins down; write pins − down = standing. */
import { Chance, Whole } from '~/core/check/schema';
import { game, LINE, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  pins: Whole(3, 10, { title: 'Pins', default: 6 }),
  rolls: Whole(1, 10, { title: 'Rolls on one card', default: 5 }),
  cards: Whole(1, 8, { title: 'Cards', description: 'One for each player.', default: 2 }),
  line: LINE,
  knock: Chance(0.05, 0.95, {
    title: 'Chance that one pin falls',
    description: 'An assumption: about half is usual from three steps away.',
    default: 0.5,
  }),
};
export type PinParams = ParamsOf<typeof knobs>;

export const pinNotes = game({
  words,
  family: 'build',
  traits: { places: ['floor', 'outdoors', 'rainyDay'] },
  knobs,
  presets: [
    { id: 'five', name: '5 pins', ageBand: 'K', params: { pins: 5 } },
    { id: 'six', name: '6 pins', ageBand: 'g1' },
    { id: 'ten', name: '10 pins', ageBand: 'g1', params: { pins: 10 } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ pins }) => ({ pins }),
  subject: ({ pins }) => `${pins} pins`,
  sheets,
});
