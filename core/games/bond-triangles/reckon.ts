import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, mend, mind, need, reckoned } from '~/core/games/kit/make';
import type { Assumptions, Practised, Reckoning } from '~/core/games/kit/types';
import { bonds, ladder, sentences, type Bond, type BondParams } from './rules';

/** What a covered corner asks: the whole is a sum, a part is a missing part or a difference. */
function asked({ a, b, whole }: Bond, cover: BondParams['cover']): Practised[] {
  const sum = { fact: fact('add', a, b), meetings: 1 };
  const parts = [
    { fact: fact('missing', a, whole), meetings: 0.5 },
    { fact: fact('missing', b, whole), meetings: 0.5 },
  ];
  if (cover === 'whole') return [sum];
  if (cover === 'part') return parts;
  return [sum, ...parts].map((one) => ({
    ...one,
    meetings: 1 / 3,
  }));
}

export function reckon(params: BondParams, assumptions: Assumptions): Reckoning {
  const cards = bonds(params);
  const all = cards.reduce((total, card) => total + sentences(card), 0);
  const doubles = cards.filter(({ a, b }) => a === b).length;
  return reckoned({
    assumptions,
    figures: [
      figure(
        'cards',
        'Triangle cards',
        cards.length,
        'cards',
        `One for each pair of parts of ${params.wholes.join(', ')}.`,
      ),
      figure(
        'sentences',
        'Sentences in them',
        all,
        'sentences',
        `Four from each card${doubles ? `, two from the ${doubles} with equal parts` : ''}.`,
      ),
    ],
    parts: [
      need('triangle-card', cards.length, 'Every card once.'),
      need('two-colour-counter', Math.max(...params.wholes), 'To lay the whole and part it.'),
    ],
    prep: [`Print and cut ${cards.length} triangle cards.`],
    turns: point(cards.length),
    setUpMinutes: 1,
    practice: cards.flatMap((card) => asked(card, params.cover)),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      cards.length > 30 &&
        mind(
          'many-cards',
          `${cards.length} cards are more than one sitting. Take a few wholes a week.`,
          params.wholes.length > 1
            ? mend('Use the first whole', params, { wholes: [params.wholes[0]!] })
            : undefined,
        ),
    ],
    ladder: ladder(params),
  });
}
