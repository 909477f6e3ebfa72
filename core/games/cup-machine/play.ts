import { pick, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { MachineParams } from '.';
import { problems } from './reckon';
import type { words } from './words';

export function* play(params: MachineParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  const all = problems(params);
  for (let count = 0; count < params.problems; count++) {
    const { a, b } = pick(all, random);
    const player = (count % params.players) + 1;
    yield params.op === 'add'
      ? turn(player, 'play.add', { a, b, answer: a + b }, 'play.guess')
      : turn(player, 'play.subtract', { a, b, answer: a - b }, 'play.guess');
  }
}
