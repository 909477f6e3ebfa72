import { shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { PileParams } from '.';
import { answer, cardsEach, numbers, piles, rounds } from './rules';
import type { words } from './words';

/** One turn is one round: every player's cards are turned, and the larger answer is named. */
export function* play(params: PileParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const cards = shuffled(numbers(params), random);
  const count = piles(params);
  const each = cardsEach(params);
  const most = rounds(params);
  let ties = 0;
  for (let round = 0; round < most; round++) {
    const turned = Array.from({ length: count }, () => cards.splice(0, each));
    const answers = turned.map(([a, b]) => answer(params.op, a!, b ?? 0));
    const largest = Math.max(...answers);
    const best = answers.indexOf(largest);
    const tie = answers.lastIndexOf(largest) !== best;
    const shown = turned.map((pair) => pair.join(' · ')).join('  |  ');
    if (tie) ties++;
    yield tie
      ? turn(best + 1, 'play.tie', { shown, answer: largest }, 'play.howSame')
      : turn(best + 1, 'play.most', { shown, answer: largest }, 'play.howMuch');
  }
  return { ties };
}
