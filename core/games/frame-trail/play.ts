import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { TrailParams } from '.';
import { sentences } from './reckon';
import type { words } from './words';

/** A shuffled trail; when it is longer than there are sentences, it begins again. */
export function* play(params: TrailParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  const trail = shuffled(sentences(params), random);
  for (let i = 0; i < params.problems; i++) {
    const { a, b } = trail[i % trail.length]!;
    const player = (i % params.players) + 1;
    if (params.op === 'both') yield turn(player, 'play.both', { a, b, answer: a + b }, 'play.back');
    else
      yield params.op === 'add'
        ? turn(player, 'play.add', { a, b, answer: a + b }, 'play.ten', { ten: 10 })
        : turn(player, 'play.subtract', { a, b, answer: a - b }, 'play.see');
  }
}
