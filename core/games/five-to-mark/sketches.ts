/** Small drawings of the steps; they show the numbers that the steps say. */
import { card, cardRow, TONE, type Sketches } from '~/core/games/kit/draw';
import type { MarkParams } from './rules';

export const sketches: Sketches<MarkParams> = {
  'setUp.lay': ({ laid }) => cardRow(Array.from({ length: laid! }, (_, i) => String([6, 4, 9, 2, 7, 3][i]))),
  'turn.target': ({ target }) => card(42, 16, String(target || 10), TONE.straw),
  'turn.say': ({ target }) => [...cardRow(['6', '4'], 6), ...card(42, 34, String(target), TONE.straw)],
};
