/** Small drawings of the steps; they show the numbers that the steps say. */
import { cupOf, framed, groupsApart, heap, written, type Sketches } from '~/core/games/kit/draw';
import type { SpillParams } from './rules';

export const sketches: Sketches<SpillParams> = {
  'setUp.cup': ({ counters }) => [...cupOf(36, 14, 28, Math.min(12, counters!))],
  'turn.sort': (_, { counters }) => heap(counters, Math.max(1, Math.floor(counters / 2) - 1)),
  'turn.say': ({ a, b }) => groupsApart(a!, b!),
  'turn.write': ({ a, b, counters }) => written(`${a} + ${b} = ${counters}`),
  'end.look': (_, { counters }) => framed(Math.min(10, counters), counters > 5 ? 10 : 5, 2),
};
