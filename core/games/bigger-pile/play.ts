import { shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn } from '../make';
import type { Turn } from '../types';
import { answer, cardsEach, numbers, piles, rounds, type PileParams } from './rules';

/** One turn is one round: every player's cards are turned, and the larger answer is named. */
export function* play(params: PileParams, random: Random): Generator<Turn, Outcome> {
  const cards = shuffled(numbers(params), random);
  const count = piles(params);
  const each = cardsEach(params);
  let ties = 0;
  for (let round = 0; round < rounds(params); round++) {
    const turned = Array.from({ length: count }, () => cards.splice(0, each));
    const answers = turned.map(([a, b]) => answer(params.op, a!, b ?? 0));
    const most = Math.max(...answers);
    const best = answers.flatMap((one, i) => (one === most ? [i] : []));
    const shown = turned.map((pair) => pair.join(' · ')).join('  |  ');
    if (best.length > 1) ties++;
    yield best.length > 1
      ? turn(best[0]! + 1, 'play.tie', { shown, answer: most }, 'play.howSame')
      : turn(best[0]! + 1, 'play.most', { shown, answer: most }, 'play.howMuch');
  }
  return { ties };
}
