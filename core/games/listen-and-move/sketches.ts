/** Small drawings of the steps; they show the numbers that the steps say. */
import { dot, stroke, TONE, written, type Sketches } from '~/core/games/kit/draw';
import type { MoveParams } from './rules';

export const sketches: Sketches<MoveParams> = {
  'turn.call': ({ count }) => written(String(count), 30, 34),
  'turn.move': () => [
    ...[0, 1, 2, 3].map((i) =>
      stroke(`M${10 + i * 20} 40 C${14 + i * 20} 18 ${24 + i * 20} 18 ${28 + i * 20} 40`, TONE.clay, 1.4),
    ),
    dot(92, 40, 5, TONE.fern),
  ],
};
