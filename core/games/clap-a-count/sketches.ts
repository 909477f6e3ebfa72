/** Small drawings of the steps; they show the numbers that the steps say. */
import { dot, TONE, written, type Sketches } from '~/core/games/kit/draw';
import type { ClapParams } from './rules';

/** Beats in a row: small ones, and the clap at the end large. */
export const sketches: Sketches<ClapParams> = {
  'turn.beat': ({ unit }) => {
    const step = 88 / Math.max(2, unit!);
    return Array.from({ length: unit! }, (_, i) => {
      const last = i + 1 === unit;
      return dot(6 + (i + 0.5) * step, 32, Math.min(step * 0.42, last ? 9 : 4), last ? TONE.clay : TONE.leaf);
    });
  },
  'turn.say': ({ a, b, c }) => written(`${a} ${b} ${c}`),
};
