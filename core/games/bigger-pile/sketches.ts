/** Small drawings of the steps; they show the numbers that the steps say. */
import { card, cardRow, sign, TONE, written, type Said, type Sketches } from '~/core/games/kit/draw';
import type { PileParams } from './rules';

const sides = ({ a, b }: Said, between: string) => [
  ...card(14, 18, String(a)),
  sign(50, 38, between, 20, TONE.fern),
  ...card(70, 18, String(b)),
];
export const sketches: Sketches<PileParams> = {
  'turn.turn': (_, { op }) => cardRow(op === 'compare' ? ['', ''] : ['', '', '', '']),
  'turn.compare': (said) => sides(said, said.a! > said.b! ? '>' : '<'),
  'turn.signs': () => [sign(20, 38, '<', 24), sign(50, 38, '=', 24), sign(80, 38, '>', 24)],
  'turn.add': ({ a, b, answer }) => [
    ...cardRow([String(a), String(b)], 4),
    ...written(`${a} + ${b} = ${answer}`, 46, 12),
  ],
  'turn.subtract': ({ a, b, answer }) => [
    ...cardRow([String(a), String(b)], 4),
    ...written(`${a} − ${b} = ${answer}`, 46, 12),
  ],
  'turn.multiply': ({ a, b, answer }) => [
    ...cardRow([String(a), String(b)], 4),
    ...written(`${a} × ${b} = ${answer}`, 46, 12),
  ],
};
