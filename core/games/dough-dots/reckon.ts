import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import {
  figure,
  know,
  levels,
  lineNeed,
  lineNotice,
  mend,
  mind,
  need,
  type Answers,
  type Ladder,
} from '~/core/games/kit';
import type { DoughParams } from '.';

/** Density of modelling dough, in grams per cubic centimetre. */
export const DENSITY = 1.3;

/** Every sentence a − b with 1 ≤ b ≤ a ≤ max; with zero, 0 ≤ b. */
export const sentences = ({ max, zero }: Pick<DoughParams, 'max' | 'zero'>): { a: number; b: number }[] => {
  const least = zero ? 0 : 1;
  const list: { a: number; b: number }[] = [];
  for (let a = least; a <= max; a++) for (let b = least; b <= a; b++) list.push({ a, b });
  return list;
};

/** Cards of one play: never more than there are. */
export const played = (params: DoughParams): number => Math.min(params.cards, sentences(params).length);

/** Grams of dough for the balls of one player. */
export const doughGrams = ({ max, ballMm }: Pick<DoughParams, 'max' | 'ballMm'>): number =>
  max * (Math.PI / 6) * (ballMm / 10) ** 3 * DENSITY;

export const ladder = (params: DoughParams): Ladder =>
  levels(params, 'max', [5, 6, 8, 10, 15, 20], (max) => `Numbers up to ${max}`);

export function reckon(params: DoughParams): Answers {
  const { max, zero, ballMm, players } = params;
  const all = sentences(params);
  const count = played(params);
  const grams = doughGrams(params);
  const packed = Math.ceil(grams) * players;
  return {
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
      need('dough', packed, `${max} balls of ${ballMm} mm for each player, fresh for each loan.`),
      need('sentence-card', all.length, 'Every sentence once.'),
      ...lineNeed(params, players),
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
      lineNotice(params, max),
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
  };
}
