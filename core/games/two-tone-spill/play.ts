import type { Random } from '~/core/chance/random';
import type { Turn } from '~/core/games/kit';
import type { SpillParams } from '.';
import { ways } from './rules';
import type { words } from './words';

type Id = keyof typeof words.en;

/** One play: every spill in turn, then, when the rules say so, the ways each player turns over. */
export function* play(params: SpillParams, random: Random): Generator<Turn<Id>, void> {
  const { counters, spills, players, order, finish } = params;
  const seen = Array.from({ length: players }, () => new Set<string>());
  const turn = (id: Id, player: number, a: number, b: number, coach: Id): Turn<Id> => ({
    player,
    id,
    args: { player, a, b, counters },
    coach: { id: coach, args: {} },
  });
  for (let spill = 0; spill < spills; spill++) {
    for (let player = 1; player <= players; player++) {
      let heads = 0;
      for (let counter = 0; counter < counters; counter++) heads += random.whole(0, 1);
      const a = order === 'ordered' ? heads : Math.max(heads, counters - heads);
      const b = counters - a;
      const mine = seen[player - 1]!;
      const coach = a === 0 || b === 0 ? 'play.allOne' : mine.has(`${a}`) ? 'play.again' : 'play.new';
      mine.add(`${a}`);
      yield turn('play.spill', player, a, b, coach);
    }
  }
  if (finish !== 'turnOver') return;
  for (let player = 1; player <= players; player++) {
    for (const way of ways(params)) {
      if (!seen[player - 1]!.has(`${way.a}`)) yield turn('play.turnOver', player, way.a, way.b, 'play.new');
    }
  }
}
