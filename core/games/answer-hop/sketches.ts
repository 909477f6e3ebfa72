/** Small drawings of the steps; they show the numbers that the steps say. */
import { box, sign, TONE, written, type Sketches } from '~/core/games/kit/draw';
import { COLUMNS, type HopParams } from './rules';

const calculator = ({ digits, ops }: HopParams) => {
  const labels = [...[...digits].sort((a, b) => a - b).map(String), ...ops, '='];
  const side = Math.min(14, 54 / Math.ceil(labels.length / COLUMNS));
  const left = 50 - side * 2;
  return labels.flatMap((label, i) => {
    const [x, y] = [left + (i % COLUMNS) * side, 3 + Math.floor(i / COLUMNS) * side];
    return [box(x, y, side, side, TONE.card, 0.5), sign(x + side / 2, y + side * 0.72, label, side * 0.62)];
  });
};
export const sketches: Sketches<HopParams> = {
  'setUp.cells': (_, params) => calculator(params),
  'turn.hop': ({ a, b, target }, { ops }) => written(`${a} ${ops[0]} ${b} = ${target}`),
};
