/** Answer Hop: a chalk calculator; hop a sentence whose answer is the target, 1, 2, 3 … */
import { Numbers, Whole } from '~/core/check/schema';
import { game, Signs, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { ALL_DIGITS, faults, reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  digits: Numbers(
    0,
    9,
    { minItems: 2, maxItems: 10, uniqueItems: true },
    { title: 'Digits', default: ALL_DIGITS },
  ),
  ops: Signs(['+', '−']),
  to: Whole(3, 20, { title: 'Targets from 1 to', default: 10 }),
  cellMm: Whole(250, 600, { title: 'Width of a cell (mm)', default: 400 }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type HopParams = ParamsOf<typeof knobs>;

export const answerHop = game({
  words,
  family: 'move',
  traits: { places: ['outdoors'] },
  knobs,
  presets: [
    { id: 'add', name: 'sums to 10', ageBand: 'g1', params: { ops: ['+'] } },
    { id: 'both', name: 'sums and differences to 10', ageBand: 'g2' },
    { id: 'all', name: 'all signs to 20', ageBand: 'g3', params: { ops: ['+', '−', '×', '÷'], to: 20 } },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ to }) => ({ to }),
  subject: ({ to }) => `hopping to the answers 1 to ${to}`,
  sheets,
});
