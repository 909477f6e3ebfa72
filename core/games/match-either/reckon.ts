import { fact } from '~/core/cards/facts';
import { noneDrawn } from '~/core/chance/hypergeometric';
import { simulatePlays, type Effort } from '~/core/chance/simulate';
import { chanceFigure, figure, know, mend, mind, need, type Answers } from '~/core/games/kit';
import { inGames, share } from '~/core/words/numbers';
import type { MatchParams } from '.';
import { play } from './play';
import { cardCount, followers, ladder } from './rules';

/** Chance that a hand holds a card that follows the first card turned; exact, without putting back. */
export const canFollow = (params: MatchParams, hand: number): number =>
  1 - noneDrawn(cardCount(params) - 1, followers(params), hand);

/** A hand that can follow less often than this is often stuck; games should mostly end with an empty hand. */
const OFTEN = 0.7;

const MOSTLY = 0.9;

/** Share of games that end with an empty hand. */
const finishes = (params: MatchParams, effort: Effort): number =>
  simulatePlays((random) => play(params, random), { ...effort, progress: undefined }).of.finished!.mean;

export function reckon(params: MatchParams, effort: Effort): Answers {
  const { colours, numbers, copies, hand, players } = params;
  const cards = cardCount(params);
  const each = numbers.to - numbers.from + 1;
  let never = 1;
  while (never < cards && canFollow(params, never) < 0.95) never++;
  const follow = canFollow(params, hand);
  const larger = Math.min(9, never);
  const simulated = simulatePlays((random) => play(params, random), effort);
  const turns = simulated.of.turns!.mean;
  const finished = simulated.of.finished!.mean;
  return {
    figures: [
      figure('cards', 'Cards', cards, 'cards', `${colours} colors × ${each} numbers × ${copies}.`),
      chanceFigure(
        'canFollow.chance',
        'A hand can follow',
        follow,
        `${hand} cards hold one of the ${followers(params)} that follow the first card.`,
      ),
      figure(
        'neverStuckHand',
        'Hand that is seldom stuck',
        never,
        'cards',
        'The smallest hand that can follow 95 times in 100.',
      ),
    ],
    parts: [need('colour-card', cards, 'Printed: our own deck, with a shape for each color.')],
    prep: [`Print and cut ${cards} cards; colors are told by a shape too.`],
    turns: simulated.turns,
    setUpMinutes: 1,
    practice: Array.from({ length: each }, (_, i) => ({
      fact: fact('compare', numbers.from + i, numbers.from + i),
      meetings: turns / each,
    })),
    players: { fewest: 1, most: 5, alone: true },
    notices: [
      follow < OFTEN &&
        mind(
          'often-stuck',
          follow <= 0
            ? `A hand of ${hand} can never follow.`
            : `A hand of ${hand} can follow only ${share(follow)} times.`,
          larger > hand && larger * players < cards && canFollow(params, larger) >= OFTEN
            ? mend(`Deal ${larger} cards`, params, { hand: larger })
            : undefined,
        ),
      finished < MOSTLY &&
        mind(
          'pile-runs-out',
          `${inGames(1 - finished)} the pile runs out before a hand is empty.`,
          copies === 1 && finishes({ ...params, copies: 2 }, effort) >= MOSTLY
            ? mend('Print each card twice', params, { copies: 2 })
            : undefined,
        ),
      params.hands === 'closed' &&
        know(
          'young-hands',
          'Small hands cannot hold many cards: a book stood open hides them as well.',
          mend('Lay the cards open', params, { hands: 'open' }),
        ),
    ],
    ladder: ladder(params),
    simulated,
  };
}
