/** Small drawings of the steps; they show the numbers that the steps say. */
import { flock } from '~/core/paper/pictures';
import { sign, stroke, TONE, box, type Said, type Sketches } from '~/core/games/kit/draw';
import type { PuzzleParams } from './rules';

const wave = (x: number) =>
  stroke(
    `M${x} 12 C${x} 18 ${x + 5} 18 ${x + 5} 24 C${x + 5} 30 ${x - 5} 32 ${x - 5} 38 C${x - 5} 44 ${x} 44 ${x} 48`,
    TONE.ink,
    1,
  );
const picture = ({ a, b }: Said) => [
  box(2, 12, 96, 36, TONE.card),
  ...flock('apple', a!, { x: 4, y: 16, w: 30, h: 28 }),
  ...flock('leaf', b!, { x: 68, y: 16, w: 28, h: 28 }),
  wave(38),
  wave(62),
];
export const sketches: Sketches<PuzzleParams> = {
  'turn.count': (said) => picture(said),
  'turn.answer': (said) => [...picture(said), sign(50, 35, String(said.answer), 14)],
};
