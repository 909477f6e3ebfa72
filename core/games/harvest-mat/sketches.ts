/** Small drawings of the steps; they show the numbers that the steps say. */
import { card, cells, die, TONE, written, type Sketches } from '~/core/games/kit/draw';
import type { MatParams } from './rules';

const mat = ({ cells: numbers }: MatParams, covered: number[]) => {
  const columns = Math.ceil(Math.sqrt(numbers.length));
  return cells(Math.ceil(numbers.length / columns), columns, covered);
};
export const sketches: Sketches<MatParams> = {
  'turn.one': () => die(36, 16, 28, 4),
  'turn.two': ({ a, b, answer }) => [
    ...die(24, 4, 22, a!),
    ...die(54, 4, 22, b!, TONE.straw),
    ...written(`${a} + ${b} = ${answer}`, 46, 13),
  ],
  'turn.card': ({ a, b }) => card(28, 16, `${a} + ${b}`, TONE.card, 44, 28),
  'turn.cover': (_, params) => mat(params, [1]),
  'end.all': (_, params) =>
    mat(
      params,
      params.cells.map((_, i) => i),
    ),
};
