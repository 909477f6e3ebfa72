import { stuck, walk } from '~/core/chance/markov';
import type { Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { StoneParams } from '.';
import { roll } from './rules';
import type { words } from './words';

/** The players roll in turn; the game ends when the first is home, or stands where no roll fits. */
export function* play(
  { length, dice, finish, back, players }: StoneParams,
  random: Random,
): Generator<Turn<keyof typeof words.en>, Outcome> {
  const home = back === 'subtract' ? 2 * length : length;
  const rolls = roll({ dice });
  const at = new Array<number>(players).fill(0);
  for (let round = 1; ; round++)
    for (let player = 0; player < players; player++) {
      let rolled = 0;
      for (let die = 0; die < dice; die++) rolled += random.whole(1, 6);
      const from = at[player]!;
      const to = walk(from, rolled, length, finish);
      at[player] = to;
      const stone = to <= length ? to : 2 * length - to;
      const before = from <= length ? from : 2 * length - from;
      const args = { rolled, stone, before };
      if (to === from)
        yield turn(player + 1, 'play.waits', args, 'play.need', { need: length - before || before });
      else if (to === home) yield turn(player + 1, 'play.home', args, 'play.all');
      else yield turn(player + 1, from < length ? 'play.forward' : 'play.back', args, 'play.next');
      if (to === home || stuck(rolls, to, length, finish)) return { rounds: round };
    }
}
