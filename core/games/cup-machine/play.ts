import type { Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { MachineParams } from '.';
import type { words } from './words';

export function* play(params: MachineParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  for (let count = 0; count < params.problems; count++) {
    const [x, y] = [random.whole(1, params.max), random.whole(1, params.max)];
    // The larger of both cards is what the machine holds.
    const [a, b] = params.op === 'add' ? [x, y] : [Math.max(x, y), Math.min(x, y)];
    const player = (count % params.players) + 1;
    yield params.op === 'add'
      ? turn(player, 'play.add', { a, b, answer: a + b }, 'play.guess')
      : turn(player, 'play.subtract', { a, b, answer: a - b }, 'play.guess');
  }
}
