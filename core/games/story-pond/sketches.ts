/** Small drawings of the steps; they show the numbers that the steps say. */
import { flock } from '~/core/paper/pictures';
import { area, TONE, written, type Sketches } from '~/core/games/kit/draw';
import type { PondParams } from './rules';

const fish = (n: number, y: number) =>
  flock('fish', n, { x: 8, y, w: 84, h: 22 }, { ink: { fill: TONE.straw, stroke: TONE.ink, strokeMm: 0.6 } });
const ducks = (n: number, y: number) =>
  flock('duck', n, { x: 8, y, w: 84, h: 22 }, { ink: { fill: TONE.card, stroke: TONE.ink, strokeMm: 0.6 } });
const water = area('M4 8 C30 2 70 2 96 8 C100 30 98 48 94 55 C62 59 34 59 6 55 C0 44 0 22 4 8 Z', '#EAF2F6');
export const sketches: Sketches<PondParams> = {
  'turn.card': ({ a, b }) => [...fish(a!, 6), ...ducks(b!, 32)],
  'turn.lay': ({ a, b }) => [water, ...fish(a!, 8), ...ducks(b!, 31)],
  'turn.all': ({ a, b, answer }) => written(`${a} + ${b} = ${answer}`),
};
