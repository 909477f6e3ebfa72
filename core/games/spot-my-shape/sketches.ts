/** Small drawings of the steps; they show the numbers that the steps say. */
import { area, dot, sign, TONE, type Sketches } from '~/core/games/kit/draw';
import type { SpotParams } from './rules';

export const sketches: Sketches<SpotParams> = {
  'turn.clue': () => [
    dot(22, 30, 14, TONE.clay),
    area('M42 44 L58 16 L74 44 Z', TONE.straw),
    area('M80 18 L96 18 L96 44 L80 44 Z', TONE.leaf),
  ],
  'turn.guess': () => [dot(34, 30, 14, TONE.clay), sign(66, 42, '?', 30)],
};
