/** Small drawings of the steps; they show the numbers that the steps say. */
import { area, dot, sign, TONE, written, type Sketches } from '~/core/games/kit/draw';
import { circleNumbers, field, type OrbitParams } from './rules';

/** The circles as they lie, with their numbers. */
const circles = (params: OrbitParams) => {
  const { rows, columns } = field(params);
  const step = Math.min(92 / columns, 52 / rows);
  const [left, top] = [50 - (step * columns) / 2, 30 - (step * rows) / 2];
  return circleNumbers(params).flatMap((n, i) => {
    const [x, y] = [left + ((i % columns) + 0.5) * step, top + (Math.floor(i / columns) + 0.5) * step];
    return [dot(x, y, step * 0.42, TONE.card), sign(x, y + step * 0.13, String(n), step * 0.4)];
  });
};
export const sketches: Sketches<OrbitParams> = {
  'setUp.circles': (_, params) => circles(params),
  'turn.throw': ({ bags }) =>
    Array.from({ length: bags! }, (_, i) => {
      const x = 50 - bags! * 7.5 + i * 15 + 1;
      return area(
        `M${x} 24 C${x + 4} 20 ${x + 9} 20 ${x + 12} 24 C${x + 14} 30 ${x + 13} 36 ${x + 11} 40 C${x + 6} 42 ${x + 3} 41 ${x} 38 C${x - 1} 33 ${x - 1} 28 ${x} 24 Z`,
        TONE.straw,
      );
    }),
  'turn.add': ({ a, b, answer }) => written(`${a} + ${b} = ${answer}`),
  'turn.multiply': ({ a, b, answer }) => written(`${a} × ${b} = ${answer}`),
};
