/** Small drawings of the steps; they show the numbers that the steps say. */
import { tileFace } from '~/core/paper/stand-ins';
import { written, type Sketches } from '~/core/games/kit/draw';
import type { TileParams } from './rules';

export const sketches: Sketches<TileParams> = {
  'turn.draw': () => tileFace(4, 2, { x: 10, y: 6, w: 80, h: 48 }),
  'turn.say': ({ a, b }) => tileFace(a!, b!, { x: 10, y: 6, w: 80, h: 48 }),
  'turn.write': ({ a, b, answer }) => written(`${a} + ${b} = ${answer}`),
};
