import { pick, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { MoveParams } from '.';
import { MOVES } from './reckon';
import type { words } from './words';

export function* play(
  { calls, most, without, moves, players }: MoveParams,
  random: Random,
): Generator<Turn<keyof typeof words.en>, Outcome> {
  let made = 0;
  for (let call = 0; call < calls; call++) {
    const count = random.whole(1, most);
    const move = pick(MOVES.slice(0, moves), random);
    const silent = random.chance(without / 100);
    if (!silent) made += count;
    yield turn(
      (call % players) + 1,
      silent ? 'play.silent' : 'play.call',
      { count, move },
      silent ? 'play.stood' : 'play.aloud',
    );
  }
  return { moves: made };
}
