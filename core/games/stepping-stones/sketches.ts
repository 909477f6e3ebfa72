/** Small drawings of the steps; they show the numbers that the steps say. */
import { die, sign, stroke, TONE, dot, written, type Sketches } from '~/core/games/kit/draw';
import type { StoneParams } from './rules';

/** Stones from a number on, with the hops over them. */
const path = (from: number, hops: number) => [
  ...Array.from({ length: 5 }, (_, i) => [
    dot(12 + i * 19, 44, 8, TONE.wood),
    sign(12 + i * 19, 47, String(from + i), 7),
  ]).flat(),
  ...Array.from({ length: hops }, (_, i) =>
    stroke(`M${14 + i * 19} 34 C${16 + i * 19} 20 ${27 + i * 19} 20 ${29 + i * 19} 34`, TONE.clay, 1.4),
  ),
];
export const sketches: Sketches<StoneParams> = {
  'turn.roll': (_, { dice }) => [
    ...die(dice === 2 ? 22 : 37, 18, 24, 4),
    ...(dice === 2 ? die(54, 18, 24, 3, TONE.straw) : []),
  ],
  'turn.hop': () => path(1, 4),
  'turn.move': () => path(1, 4),
  'turn.say': ({ before, rolled }) => path(before!, Math.min(4, rolled!)),
  'turn.write': ({ before, rolled, stone }) => written(`${before} + ${rolled} = ${stone}`),
};
