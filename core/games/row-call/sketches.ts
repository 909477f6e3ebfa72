/** Small drawings of the steps; they show the numbers that the steps say. */
import { card, cells, sign, TONE, type Sketches } from '~/core/games/kit/draw';
import type { RowParams } from './rules';

export const sketches: Sketches<RowParams> = {
  'setUp.grid': () => cells(3, 3),
  'turn.call': ({ number }) => [...card(26, 16, '', TONE.leaf), ...card(58, 16, String(number))],
  'turn.all': ({ number }) => [...cells(3, 3, [4]), sign(50, 33, String(number), 8, TONE.card)],
  'turn.one': ({ number }) => [...cells(3, 3, [4]), sign(50, 33, String(number), 8, TONE.card)],
  'end.line': () => cells(3, 3, [3, 4, 5]),
  'end.full': () => cells(3, 3, [0, 1, 2, 3, 4, 5, 6, 7, 8]),
};
