/** Small drawings of the steps; they show the numbers that the steps say. */
import { slipFace } from '~/core/paper/cards';
import { arrow, box, heap, TONE, type Sketches } from '~/core/games/kit/draw';
import type { FetchParams } from './rules';

const slip = (n: number) => [box(4, 4, 38, 52, TONE.card), ...slipFace(n, { x: 4, y: 4, w: 38, h: 52 })];
export const sketches: Sketches<FetchParams> = {
  'turn.peek': (_, { to }) => slip(to),
  'turn.fetch': (_, { to }) => [arrow(8, 30, 24), ...heap(to, 0, 40, 8, 54, 44)],
  'turn.lay': (_, { to }) => heap(to),
  'turn.check': ({ number }) => [...slip(number!), ...heap(number!, 0, 46, 8, 50, 44)],
};
