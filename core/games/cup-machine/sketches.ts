/** Small drawings of the steps; they show the numbers that the steps say. */
import { arrow, cardRow, cupOf, heap, written, type Sketches } from '~/core/games/kit/draw';
import type { MachineParams } from './rules';

export const sketches: Sketches<MachineParams> = {
  'turn.cards': (_, { max }) => cardRow([String(max), '1']),
  'turn.fill': ({ a, b }) => [...cupOf(16, 12, 30, a!), ...cupOf(56, 12, 30, b!)],
  'turn.load': ({ a }) => cupOf(34, 10, 32, a!),
  'turn.pour': () => [
    ...cupOf(6, 6, 20, 3),
    ...cupOf(6, 32, 20, 2),
    arrow(32, 30, 18),
    ...cupOf(60, 12, 32, 5),
  ],
  'turn.back': ({ b }) => [...cupOf(8, 12, 30, 4), arrow(44, 30, 14), ...heap(b!, b, 62, 8, 34, 44)],
  'turn.saySum': ({ a, b, answer }) => [
    ...heap(answer!, b, 8, 2, 84, 36),
    ...written(`${a} + ${b} = ${answer}`, 50, 10),
  ],
  'turn.sayLeft': ({ a, b, answer }) => [
    ...heap(answer!, 0, 8, 2, 84, 36),
    ...written(`${a} − ${b} = ${answer}`, 50, 10),
  ],
};
