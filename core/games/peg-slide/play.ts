import { turn, type Turn } from '~/core/games/kit';
import type { PegParams } from '.';
import { pairs } from './reckon';
import type { words } from './words';

/** Card by card, every pair in order; the players take turns to slide. */
export function* play({ whole, order, players }: PegParams): Generator<Turn<keyof typeof words.en>, void> {
  let count = 0;
  for (const one of whole)
    for (const [a, b] of pairs(one, order)) {
      const coach = a === 0 ? 'play.none' : a === b ? 'play.same' : 'play.next';
      yield turn((count++ % players) + 1, 'play.slide', { a, b, whole: one }, coach);
    }
}
