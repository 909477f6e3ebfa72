/** Small drawings of the steps; they show the numbers that the steps say. */
import { bench, die, tower, TONE, type Sketches } from '~/core/games/kit/draw';
import type { SkylineParams } from './rules';

export const sketches: Sketches<SkylineParams> = {
  'turn.roll': (_, { dice }) =>
    Array.from({ length: dice }, (_, i) =>
      die(50 - dice * 14 + i * 28 + 3, 18, 22, [5, 3, 6][i]!, i ? TONE.straw : TONE.card),
    ).flat(),
  'turn.build': () => [...tower(30, 10), ...tower(54, 3), bench],
  'turn.say': ({ tens, ones }) => [
    ...Array.from({ length: Math.min(4, tens!) }, (_, i) => tower(10 + i * 17, 10)).flat(),
    ...tower(80, ones!),
    bench,
  ],
};
