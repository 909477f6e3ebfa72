/** Small drawings of the steps; they show the numbers that the steps say. */
import { card, framed, stroke, tower, dot, sign, bench, TONE, type Sketches } from '~/core/games/kit/draw';
import type { StackParams } from './rules';

export const sketches: Sketches<StackParams> = {
  'turn.card': ({ number }) => card(40, 14, String(number), TONE.card, 22, 32),
  'turn.spin': ({ number }) => [
    dot(50, 30, 25, TONE.card),
    stroke(
      'M50 30 L50 5 M50 30 L72 18 M50 30 L72 42 M50 30 L50 55 M50 30 L28 42 M50 30 L28 18',
      TONE.ink,
      0.8,
    ),
    sign(60, 20, String(number), 9),
  ],
  'turn.build': ({ number }, { direction }) =>
    direction === 'towers'
      ? [...tower(28, 3), ...tower(46, 4), ...tower(64, 5), bench]
      : [...tower(43, number!), bench],
  'turn.find': (_, { to }) => framed(4, to),
  'turn.frame': (_, { to }) => framed(4, to),
};
