import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, levels, mend, mind, need, type Answers, type Ladder } from '~/core/games/kit';
import type { PondParams } from '.';

/** The cards: a of one kind and b of the other, each at least one, at most max together. */
export const cardsOf = ({ max }: Pick<PondParams, 'max'>): { a: number; b: number }[] =>
  Array.from({ length: max - 1 }, (_, i) => i + 1).flatMap((a) =>
    Array.from({ length: max - a }, (_, i) => ({ a, b: i + 1 })),
  );

export const ladder = (params: PondParams): Ladder =>
  levels(params, 'max', [5, 6, 8, 10], (max) => `Up to ${max} animals`);

export function reckon(params: PondParams): Answers {
  const { max, answer, stories, players } = params;
  const cards = cardsOf(params);
  const pieces = max - 1;
  return {
    figures: [
      figure(
        'cards',
        'Story cards',
        cards.length,
        'cards',
        `Every a and b of at least 1 with at most ${max} together; 3 frogs and 2 ducks is not 2 frogs and 3 ducks.`,
      ),
      figure(
        'pieces',
        'Animals of each kind',
        pieces,
        'animals',
        `The most of one kind, beside one of the other.`,
      ),
    ],
    parts: [
      need('animal', 2 * pieces, `${pieces} of each of two kinds.`),
      need('picture-card', cards.length, 'Every story once.'),
      need('mat', 1, 'The pond.'),
      ...(answer === 'tile'
        ? [need('number-card', max - 1, `Numeral tiles from 2 to ${max}.`)]
        : [need('wipe-marker', 1, 'Wiped off with a cloth.'), need('cover', 1, 'The cloth to wipe with.')]),
    ],
    prep: [
      `Print the pond and ${cards.length} cards${answer === 'tile' ? ` and ${max - 1} numeral tiles` : ''}.`,
    ],
    turns: point(stories * players),
    setUpMinutes: 1,
    practice: cards.flatMap(({ a, b }) => [
      { fact: fact('add', a, b), meetings: (stories * players) / cards.length },
      { fact: fact('count', a + b), meetings: (stories * players) / cards.length },
    ]),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      stories > cards.length &&
        mind(
          'stories-repeat',
          `There are only ${cards.length} different stories.`,
          mend(`Tell ${cards.length} stories`, params, { stories: cards.length }),
        ),
      know('tell-it', 'Let the child tell the story: what do they do in the pond, who comes, who leaves?'),
    ],
    ladder: ladder(params),
  };
}
