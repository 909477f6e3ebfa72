/** Small drawings of the steps; they show the numbers that the steps say. */
import { cells, sign, TONE, written, type Sketches } from '~/core/games/kit/draw';
import { SQUARE, type ThreeParams } from './rules';

const board = ({ sums }: ThreeParams, taken: number[]) => {
  const side = 46 / 3;
  return [
    ...cells(3, 3, taken),
    ...(sums
      ? SQUARE.map((n, i) =>
          sign(
            50 + ((i % 3) - 1) * side,
            33 + (Math.floor(i / 3) - 1) * side,
            String(n),
            8,
            taken.includes(i) ? TONE.card : TONE.ink,
          ),
        )
      : []),
  ];
};
export const sketches: Sketches<ThreeParams> = {
  'turn.place': (_, params) => board(params, [4]),
  'turn.toss': (_, params) => board(params, [4, 8]),
  'turn.row': (_, params) => board(params, [0, 4, 8]),
  'turn.sum': ({ a, b, c, target }) => written(`${a} + ${b} + ${c} = ${target}`),
};
