/** Small drawings of the steps; they show the numbers that the steps say. */
import { area, dot, stroke, TONE, written, type Sketches } from '~/core/games/kit/draw';
import type { PinParams } from './rules';

const pin = (x: number, y: number) =>
  area(
    `M${x - 3} ${y} L${x + 3} ${y} C${x + 5} ${y - 6} ${x + 1} ${y - 9} ${x + 2} ${y - 13} C${x + 2} ${y - 18} ${x - 2} ${y - 18} ${x - 2} ${y - 13} C${x - 1} ${y - 9} ${x - 5} ${y - 6} ${x - 3} ${y} Z`,
    TONE.card,
  );
const pins = (n: number, down: number) =>
  Array.from({ length: n }, (_, i) => {
    const [x, y] = [14 + (i % 5) * 18, n > 5 ? 26 + Math.floor(i / 5) * 26 : 40];
    return [
      pin(x, y),
      ...(i >= n - down ? [stroke(`M${x - 6} ${y} L${x + 6} ${y - 16}`, TONE.clay, 1.4)] : []),
    ];
  }).flat();
export const sketches: Sketches<PinParams> = {
  'setUp.pins': ({ pins: n }) => pins(n!, 0),
  'turn.roll': () => [
    dot(24, 40, 11, TONE.clay),
    stroke('M40 40 L64 40 M58 35 L64 40 L58 45', TONE.ink, 1.2),
    pin(80, 50),
  ],
  'turn.count': ({ pins: n, down }) => pins(n!, down!),
  'turn.write': ({ pins: n, down, answer }) => written(`${n} − ${down} = ${answer}`),
};
