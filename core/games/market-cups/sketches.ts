/** Small drawings of the steps; they show the numbers that the steps say. */
import { cupOf, die, TONE, written, type Sketches } from '~/core/games/kit/draw';
import type { MarketParams } from './rules';

const row = (cups: number, pieces: number) => {
  const width = Math.min(26, 90 / cups - 3);
  const left = 50 - (cups * (width + 3)) / 2;
  return Array.from({ length: cups }, (_, i) =>
    cupOf(left + i * (width + 3), 30 - width * 0.6, width, pieces),
  ).flat();
};
export const sketches: Sketches<MarketParams> = {
  'setUp.dice': () => [...die(22, 18, 24, 3, TONE.leaf), ...die(56, 18, 24, 4, TONE.straw)],
  'turn.cups': ({ cups }) => row(cups!, 0),
  'turn.pieces': ({ cups, pieces }) => row(cups!, pieces!),
  'turn.write': ({ cups, pieces, answer }) => written(`${cups} × ${pieces} = ${answer}`),
};
