/** Small drawings of the steps; they show the numbers that the steps say. */
import { arrow, card, cardRow, sign, TONE, type Sketches } from '~/core/games/kit/draw';
import type { TideParams } from './rules';

export const sketches: Sketches<TideParams> = {
  'setUp.deal': ({ hand }) => cardRow(Array.from({ length: Math.min(7, hand!) }, () => '')),
  'turn.ask': ({ own, wanted }) => [
    ...card(10, 18, String(own)),
    sign(50, 40, '?', 22, TONE.clay),
    ...card(74, 18, String(wanted)),
  ],
  'turn.laySame': () => cardRow(['7', '7']),
  'turn.lay': ({ a, b }) => cardRow([String(a), String(b)]),
  'turn.drawNow': () => [...card(14, 18, '', TONE.leaf), arrow(38, 30, 22), ...card(68, 18, '?')],
  'turn.drawLater': () => [...card(14, 18, '', TONE.leaf), arrow(38, 30, 22), ...card(68, 18, '?')],
};
