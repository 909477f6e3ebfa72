/** Small drawings of the steps; they show the numbers that the steps say. */
import { area, dot, sign, stroke, TONE, written, type Said, type Sketches } from '~/core/games/kit/draw';
import type { BondParams } from './rules';

/** A triangle with a thumb on one corner. */
const triangle = ({ whole, a, b }: Said, covered: 'whole' | 'b') => [
  stroke('M50 4 L82 56 L18 56 Z', TONE.ink, 1.2),
  ...(covered === 'whole' ? [] : [sign(50, 28, String(whole), 12)]),
  sign(33, 52, String(a), 12),
  ...(covered === 'b' ? [] : [sign(67, 52, String(b), 12)]),
  area(
    covered === 'whole'
      ? 'M40 2 L40 14 C42 30 58 30 60 14 L60 2 Z'
      : 'M60 42 C56 54 74 60 78 50 L92 34 L78 24 Z',
    TONE.wood,
  ),
];
export const sketches: Sketches<BondParams> = {
  'turn.whole': (said) => triangle(said, 'whole'),
  'turn.part': (said) => triangle(said, 'b'),
  'turn.any': (said) => triangle(said, 'b'),
  'turn.lay': (_, { wholes }) =>
    Array.from({ length: Math.min(10, Math.max(...wholes)) }, (_, i) =>
      dot(14 + (i % 5) * 18, 20 + Math.floor(i / 5) * 20, 6, i % 5 < 3 ? TONE.fern : TONE.straw),
    ),
  'turn.sentences': ({ a, b, whole }) => [
    ...written(`${a} + ${b} = ${whole}`, 18, 14),
    ...written(`${whole} − ${a} = ${b}`, 42, 14),
  ],
};
