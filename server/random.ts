import { randomInt } from 'node:crypto';
import type { Random } from '~/core/chance/random';

/** Random numbers nobody can foresee, for tags. */
export const secureRandom: Random = {
  whole: (low, high) => randomInt(low, high + 1),
  chance: (p) => randomInt(2 ** 40) < p * 2 ** 40,
};
