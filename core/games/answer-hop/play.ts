import { pick, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { HopParams } from '.';
import { waysTo } from './reckon';
import type { words } from './words';

/** Target after target; a target with no sentence is left out. */
export function* play(params: HopParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  let count = 0;
  for (const [target, list] of Object.entries(waysTo(params))) {
    if (list.length === 0) continue;
    const { a, sign, b } = pick(list, random);
    yield turn(
      (count++ % params.players) + 1,
      'play.hops',
      { a, sign, b, target: Number(target) },
      list.length > 3 ? 'play.other' : 'play.few',
      { ways: list.length },
    );
  }
}
