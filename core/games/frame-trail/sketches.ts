/** Small drawings of the steps; they show the numbers that the steps say. */
import { framed, heap, written, type Sketches } from '~/core/games/kit/draw';
import type { TrailParams } from './rules';

/** A frame of ten, or counters in fives when a number is larger. */
const filled = (n: number, second = 0) => (n > 10 ? heap(n, second) : framed(n, 10, second));
export const sketches: Sketches<TrailParams> = {
  'turn.first': ({ a }) => filled(a!),
  'turn.on': ({ b }, { max }) => filled(Math.min(max, 6 + b!), b),
  'turn.saySum': ({ a, b, answer }) => written(`${a} + ${b} = ${answer}`),
  'turn.sayLeft': ({ a, b, answer }) => written(`${a} − ${b} = ${answer}`),
};
