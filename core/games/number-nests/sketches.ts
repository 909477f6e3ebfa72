/** Small drawings of the steps; they show the numbers that the steps say. */
import { card, groupsApart, sign, stroke, TONE, type Sketches } from '~/core/games/kit/draw';
import type { NestParams } from './rules';

const nest = (x: number, n: number) => [
  stroke(`M${x} 28 C${x + 4} 58 ${x + 22} 58 ${x + 26} 28`, TONE.ink, 1.2),
  sign(x + 13, 48, String(n), 13),
];
export const sketches: Sketches<NestParams> = {
  'setUp.nests': ({ from, to }) =>
    Array.from({ length: Math.min(3, to! - from! + 1) }, (_, i) => nest(6 + i * 31, from! + i)).flat(),
  'turn.lay': ({ a, b }) => groupsApart(a!, b!),
  'turn.nest': ({ a, b, answer }) => [...card(36, 6, `${a} + ${b}`, TONE.card, 28, 17), ...nest(37, answer!)],
};
