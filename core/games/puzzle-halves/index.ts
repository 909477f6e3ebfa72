/** Puzzle Halves: two picture parts fit with their answer; each puzzle has a different cut, so it checks itself. */
import { OneOf, Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { PAPERS } from '~/core/paper/sheet';
import { play } from './play';
import { reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  max: Whole(3, 10, { title: 'Largest answer', default: 5 }),
  count: Whole(2, 20, { title: 'Puzzles', default: 8 }),
  paper: OneOf({ letter: PAPERS.letter.name, a4: PAPERS.a4.name }, { title: 'Paper', default: 'letter' }),
  players: Whole(1, 4, { title: 'Players', default: 1 }),
};
export type PuzzleParams = ParamsOf<typeof knobs>;

export const puzzleHalves = game({
  words,
  family: 'see',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true },
  knobs,
  presets: [
    { id: 'five', name: 'answers to 5', ageBand: 'preK', params: { count: 6 } },
    { id: 'ten', name: 'answers to 10', ageBand: 'K', params: { max: 10, count: 10 } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ max }) => ({ max }),
  subject: ({ max }) => `picture sums to ${max}`,
  sheets,
});
