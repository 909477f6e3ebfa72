import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, mend, mind, need, reckoned } from '~/core/games/kit/make';
import type { Assumptions, Reckoning } from '~/core/games/kit/types';
import { DENSITY, doughGrams, ladder, played, sentences, type DoughParams } from './rules';

export function reckon(params: DoughParams, assumptions: Assumptions): Reckoning {
  const { max, zero, ballMm, players } = params;
  const all = sentences(params);
  const count = played(params);
  const grams = doughGrams(params);
  const packed = Math.ceil(grams) * players;
  return reckoned({
    assumptions,
    figures: [
      figure(
        'cards',
        'Different sentences',
        all.length,
        'cards',
        `Every a − b with ${zero ? '0' : '1'} ≤ b ≤ a ≤ ${max}.`,
      ),
      figure(
        'doughGrams',
        'Dough for one player',
        grams,
        'g',
        `${max} balls of ${ballMm} mm at ${DENSITY} g/cm³.`,
      ),
    ],
    parts: [
      need(
        'dough',
        packed,
        `${max} balls of ${ballMm} mm for each player; in a closed box it lasts for weeks.`,
      ),
      need('picture-card', all.length, 'Every sentence once.'),
    ],
    prep: [`Weigh ${packed} g of dough into a box with a lid.`, `Print and cut ${all.length} cards.`],
    turns: point(count * players),
    practice: all.map(({ a, b }) => ({
      fact: fact('subtract', a, b),
      meetings: (count * players) / all.length,
    })),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      params.cards > all.length &&
        mind(
          'few-sentences',
          `There are only ${all.length} different sentences.`,
          mend(`Play ${all.length} cards`, params, { cards: all.length }),
        ),
      max > 10 &&
        know(
          'many-balls',
          `Rolling ${max} balls takes longer than squashing them: leave them made between two cards.`,
          mend('Numbers up to 10', params, { max: 10 }),
        ),
      know(
        'dough-dries',
        'Dough dries out and carries crumbs from home to home: pack fresh dough for each loan, or let it stay with the family.',
      ),
    ],
    ladder: ladder(params),
  });
}
