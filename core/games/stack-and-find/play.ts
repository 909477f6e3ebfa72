import { shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { StackParams } from '.';
import { numbersOf } from './reckon';
import type { words } from './words';

/** Until every number was built: cards once each, a spinner as often as it takes. */
export function* play(params: StackParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const { source, direction, players } = params;
  const numbers = numbersOf(params);
  const id = (
    {
      numeralToFrame: 'play.find',
      frameToNumeral: 'play.stack',
      buildOnly: 'play.build',
      towers: 'play.tower',
    } as const
  )[direction];
  const order = source === 'cards' ? shuffled(numbers, random) : [];
  const seen = new Set<number>();
  let count = 0;
  while (seen.size < numbers.length) {
    const number = source === 'cards' ? order[count]! : random.whole(0, params.to);
    const coach = number === 0 ? 'play.zero' : seen.has(number) ? 'play.again' : 'play.check';
    seen.add(number);
    yield turn((count++ % players) + 1, id, { number }, coach);
  }
  return {};
}
