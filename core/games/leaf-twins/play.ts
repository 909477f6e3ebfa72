import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { TwinParams } from '.';
import { twinsOf } from './rules';
import type { words } from './words';

/** The shapes in a mixed order, each laid on its twin. */
export function* play(params: TwinParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  const { twins, players } = params;
  for (const [i, { value: number, shape, outline }] of shuffled(twinsOf(params), random).entries()) {
    const player = (i % players) + 1;
    if (twins === 'letters')
      yield turn(player, 'play.letter', { capital: shape, small: outline! }, 'play.begins');
    else if (twins === 'numerals') yield turn(player, 'play.same', { number }, 'play.alike');
    else yield turn(player, 'play.lay', { number }, number > 4 ? 'play.count' : 'play.see');
  }
}
