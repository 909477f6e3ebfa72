import { split } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, mend, need, reckoned } from '~/core/games/kit/make';
import type { Assumptions, Reckoning } from '~/core/games/kit/types';
import { ladder, pairs, pegs, type PegParams } from './rules';

/** Every way is met exactly once: nothing is left to chance. */
export function reckon(params: PegParams, assumptions: Assumptions): Reckoning {
  const { whole, order, players } = params;
  const all = whole.flatMap((one) => pairs(one, order));
  const cards = whole.length;
  return reckoned({
    assumptions,
    figures: [
      figure(
        'ways',
        'Ways to split',
        all.length,
        'ways',
        `${whole.map((one) => `${pairs(one, order).length} of ${one}`).join(', ')}; ${order === 'ordered' ? 'order counts' : 'order does not count'}.`,
      ),
      figure('pegs', 'Pegs', pegs(params), 'pegs', `Each card keeps its own pegs: ${whole.join(' + ')}.`),
    ],
    parts: [
      need('peg', pegs(params), 'Clipped on the cards, so that nothing has to be counted out.'),
      need('peg-card', cards, 'One for each whole, with the whole on it.'),
      need('record-sheet', players, 'One for each player.'),
      need('pencil', players, 'One for each player.'),
    ],
    prep: whole.map((one) => `Clip ${one} pegs on the card of ${one}.`),
    turns: point(all.length),
    setUpMinutes: 1,
    practice: all.map(([a, b]) => ({ fact: split(a, b), meetings: 1 })),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      cards > 3 &&
        know(
          'many-cards',
          `${cards} cards are ${all.length} pairs to read, more than one sitting. The sheet can be kept for another day.`,
          mend('Start with one card', params, { whole: [whole[0]!] }),
        ),
    ],
    ladder: ladder(params),
  });
}
