import { countValues } from '~/core/cards/deck';
import { pick, shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { MatParams } from '.';
import { needed, sumCards } from './rules';
import type { words } from './words';

/** Rolls or draws until the mat is covered; cells that can never come are left out. */
export function* play(params: MatParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const { source, claim, drawn } = params;
  const open = countValues(
    needed(params).flatMap(({ number, times, chance }) =>
      new Array<number>(
        chance === 0
          ? 0
          : source === 'cards' && drawn === 'aside'
            ? Math.min(times, params.cardsPerSum)
            : times,
      ).fill(number),
    ),
  );
  const pile = source === 'cards' ? shuffled(sumCards(params), random) : [];
  const cardAt = (count: number): [number, number] => {
    const { a, b } = drawn === 'aside' ? pile[count]! : pick(pile, random);
    return [a, b];
  };
  let left = [...open.values()].reduce((a, b) => a + b, 0);
  let wasted = 0;
  for (let count = 0; left > 0; count++) {
    const [a, b] =
      source === 'one-die'
        ? [random.whole(1, 6), 0]
        : source === 'two-dice'
          ? [random.whole(1, 6), random.whole(1, 6)]
          : cardAt(count);
    const number = a + b;
    const cells = open.get(number) ?? 0;
    const player = (count % (claim ? 2 : 1)) + 1;
    if (cells > 0) {
      open.set(number, cells - 1);
      left--;
    } else wasted++;
    const args = { a, b, number };
    yield source === 'one-die'
      ? turn(player, cells ? 'play.one' : 'play.oneAgain', args, cells ? 'play.how' : 'play.wish')
      : turn(player, cells ? 'play.sum' : 'play.sumAgain', args, cells ? 'play.how' : 'play.wish');
  }
  return { wasted };
}
