import type { Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { CourtParams } from '.';
import type { words } from './words';

/** Each turn: throw to the next cell; when it lands there, hop the court. The first through all cells ends it. */
export function* play(
  { cells, hit, players }: CourtParams,
  random: Random,
): Generator<Turn<keyof typeof words.en>, Outcome> {
  const done = new Array<number>(players).fill(0);
  for (let round = 1; ; round++)
    for (let player = 0; player < players; player++) {
      const cell = done[player]! + 1;
      const lands = random.chance(hit / 100);
      if (lands) done[player] = cell;
      yield lands
        ? turn(player + 1, 'play.hops', { cell }, 'play.next')
        : turn(player + 1, 'play.misses', { cell }, 'play.aim');
      if (done[player] === cells) return { rounds: round };
    }
}
