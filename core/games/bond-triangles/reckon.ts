import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, mend, mind, need, type Answers, type Ladder, type Practised } from '~/core/games/kit';
import type { BondParams } from '.';

export interface Bond {
  a: number;
  b: number;
  whole: number;
}

/** One card for each whole and each pair of parts, the smaller part first. */
export const bonds = ({ wholes, zero }: BondParams): Bond[] =>
  wholes.flatMap((whole) =>
    Array.from({ length: Math.floor(whole / 2) + 1 }, (_, a) => ({ a, b: whole - a, whole })).filter(
      ({ a }) => zero || a > 0,
    ),
  );

/** The sentences of one card: four, or two when both parts are the same. */
export const sentences = ({ a, b }: Bond): number => (a === b ? 2 : 4);

export function ladder(params: BondParams): Ladder {
  const shift = (by: number) => {
    const wholes = params.wholes.map((whole) => whole + by);
    return wholes.every((whole) => whole >= 3 && whole <= 20)
      ? {
          params: { ...params, wholes },
          label:
            wholes.length === 1
              ? `Use parts of ${wholes[0]}`
              : `Use wholes ${Math.min(...wholes)} to ${Math.max(...wholes)}`,
        }
      : undefined;
  };
  return { easier: shift(-1), harder: shift(1) };
}

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

export function reckon(params: BondParams): Answers {
  const cards = bonds(params);
  const all = cards.reduce((total, card) => total + sentences(card), 0);
  const doubles = cards.filter(({ a, b }) => a === b).length;
  return {
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
  };
}
