import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import type { FieldErrors } from '~/core/check/check';
import { figure, mend, mind, need, type Answers, type Ladder } from '~/core/games/kit';
import { count } from '~/core/words/numbers';
import type { NestParams } from '.';

export const faults = ({ from, to }: NestParams): FieldErrors =>
  from > to ? { to: `Largest nest must be at least the smallest, ${from}.` } : {};

/** The sum cards of one nest. */
export function cardsOf(
  nest: number,
  { order, zero }: Pick<NestParams, 'order' | 'zero'>,
): { a: number; b: number }[] {
  const least = zero ? 0 : 1;
  const all = Array.from({ length: nest + 1 }, (_, a) => ({ a, b: nest - a }));
  return all.filter(({ a, b }) => a >= least && b >= least && (order === 'ordered' || a <= b));
}

export const nests = ({ from, to }: NestParams): number[] =>
  Array.from({ length: to - from + 1 }, (_, i) => from + i);

/** Stray cards: sums next to the nests, the number above first, then the number below, in turn. */
export function strays(params: NestParams): { a: number; b: number }[] {
  const near = [params.to + 1, params.from - 1, params.to + 2, params.from - 2].flatMap((sum) =>
    cardsOf(sum, { order: 'ordered', zero: false }),
  );
  return near.slice(0, params.mixIn);
}

/** All cards of the game: those of the nests and the strays. */
export const allCards = (params: NestParams): { a: number; b: number }[] => [
  ...nests(params).flatMap((nest) => cardsOf(nest, params)),
  ...strays(params),
];

export function ladder(params: NestParams): Ladder {
  const { from, to } = params;
  return {
    easier:
      from > 2
        ? {
            params: { ...params, from: from - 1, to: to - 1 },
            label: `Use nests ${from - 1} to ${to - 1}`,
          }
        : undefined,
    harder:
      to < 10
        ? {
            params: { ...params, from: from + 1, to: to + 1 },
            label: `Use nests ${from + 1} to ${to + 1}`,
          }
        : undefined,
  };
}

/** More cards than most children sort in one go. */
const MANY = 36;

/** The first change that leaves few enough cards. */
function fewer(params: NestParams) {
  const changes: [string, Partial<NestParams>][] = [
    ['One card for 2 + 3 and 3 + 2', { order: 'unordered' }],
    ['No strays', { mixIn: 0 }],
    ['One card for 2 + 3 and 3 + 2, and no strays', { order: 'unordered', mixIn: 0 }],
    ...nests(params)
      .slice(0, -1)
      .reverse()
      .map((to): [string, Partial<NestParams>] => [`Use nests ${params.from} to ${to}`, { to }]),
  ];
  const found = changes.find(([, change]) => allCards({ ...params, ...change }).length <= MANY);
  return found && mend(found[0], params, found[1]);
}

export function reckon(params: NestParams): Answers {
  const perNest = nests(params).map((nest) => cardsOf(nest, params).length);
  const all = allCards(params);
  const stray = strays(params).length;
  const [fewest, most] = [Math.min(...perNest), Math.max(...perNest)];
  return {
    figures: [
      figure(
        'cards',
        'Sum cards',
        all.length,
        'cards',
        `${perNest.join(' + ')} for the nests${stray ? `, and ${stray} that belong to none` : ''}.`,
      ),
      figure('cardsPerNest.min', 'Fewest in a nest', fewest, 'cards', `The nest of ${params.from}.`),
      figure('cardsPerNest.max', 'Most in a nest', most, 'cards', `The nest of ${params.to}.`),
    ],
    parts: [
      need('sum-card', all.length, 'Every sum once.'),
      need('nest', perNest.length, 'One for each number.'),
      need('two-colour-counter', params.to, 'To lay the two parts of a card when in doubt.'),
    ],
    prep: [
      `Print and cut ${count(all.length, 'sum card')} and ${count(perNest.length, 'nest')}.`,
      'Shuffle the cards face down.',
    ],
    turns: point(all.length),
    practice: all.map(({ a, b }) => ({ fact: fact('add', a, b), meetings: 1 })),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      all.length > MANY &&
        mind('many-cards', `${all.length} cards are more than most children sort in one go.`, fewer(params)),
      params.mixIn > stray &&
        mind(
          'few-strays',
          `Only ${stray} different strays lie near these nests.`,
          mend(`Mix in ${stray}`, params, { mixIn: stray }),
        ),
    ],
    ladder: ladder(params),
  };
}
