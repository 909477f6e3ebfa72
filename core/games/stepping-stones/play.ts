import type { Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { StoneParams } from '.';
import { isApart, race, stoneAt, wholeWay } from './rules';
import type { words } from './words';

/** The players roll in turn; the game ends when the first is home, or stands where no roll fits. */
export function* play(params: StoneParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const { length, players } = params;
  let turns = 0;
  for (const { player, from, to, dice, steps: rolled, further } of race(params, random)) {
    turns++;
    const before = stoneAt(from, length);
    const args = { rolled, stone: stoneAt(to, length), before };
    if (to === wholeWay(params)) yield turn(player + 1, 'play.home', args, 'play.all');
    else if (further) yield turn(player + 1, 'play.further', args, 'play.next');
    else if (isApart(params, from)) {
      const [b, a] = [...dice].sort((x, y) => x - y) as [number, number];
      yield turn(player + 1, 'play.apart', { ...args, a, b }, 'play.next');
    } else if (to === from)
      yield turn(player + 1, 'play.waits', args, 'play.need', { need: length - before || before });
    else yield turn(player + 1, from < length ? 'play.forward' : 'play.back', args, 'play.next');
  }
  return { rounds: Math.ceil(turns / players) };
}
