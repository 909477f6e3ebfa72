import type { Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { SkylineParams } from '.';
import type { words } from './words';

/** The players roll in turn. With a number to reach, the first who has it ends the game. */
export function* play(
  { dice, goal, rolls, reach, players }: SkylineParams,
  random: Random,
): Generator<Turn<keyof typeof words.en>, Outcome> {
  const totals = new Array<number>(players).fill(0);
  for (let round = 0; goal === 'reach' || round < rolls; round++)
    for (let player = 0; player < players; player++) {
      let rolled = 0;
      for (let die = 0; die < dice; die++) rolled += random.whole(1, 6);
      const total = (totals[player] = totals[player]! + rolled);
      const args = { rolled, total, tens: Math.floor(total / 10), ones: total % 10 };
      yield turn(player + 1, 'play.roll', args, total % 10 === 0 ? 'play.full' : 'play.tens');
      if (goal === 'reach' && total >= reach) return { blocks: totals.reduce((a, b) => a + b, 0) };
    }
  return { blocks: totals.reduce((a, b) => a + b, 0) };
}
