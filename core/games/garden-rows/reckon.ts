import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import type { FieldErrors } from '~/core/check/check';
import {
  chanceFigure,
  figure,
  know,
  levels,
  mend,
  need,
  type Answers,
  type Ladder,
  type Practised,
} from '~/core/games/kit';
import type { RowsParams } from '.';
import { allRows, cubesOf, rounds, rowsOf } from './rules';

export const faults = (params: RowsParams): FieldErrors =>
  params.cards > allRows(params).length
    ? {
        cards: `Rows of at most ${params.max} cubes have ${allRows(params).length} different cards. Take fewer, or longer rows.`,
      }
    : {};

export const ladder = (params: RowsParams): Ladder =>
  levels(params, 'max', [4, 6, 8, 10, 12], (max) => `Rows up to ${max}`);

export function reckon(params: RowsParams): Answers {
  const { max, cards, way, players } = params;
  const rows = rowsOf(params);
  const two = way === 'two';
  const { first, second } = cubesOf(params);
  const sums = new Set(rows.map(({ a, b }) => a + b));
  const pairs = (cards * (cards - 1)) / 2;
  const same = rows.reduce(
    (total, row, i) => total + rows.slice(0, i).filter((one) => one.a + one.b === row.a + row.b).length,
    0,
  );
  const built = two ? 'the two largest rows at once' : 'the largest row';
  return {
    figures: [
      figure(
        'rows',
        'Different rows',
        allRows(params).length,
        'rows',
        `At least one cube of each color, at most ${max} in all.`,
      ),
      figure(
        'cubes.first',
        'Cubes of the first color',
        first,
        'cubes',
        `For ${built} of these ${cards} cards.`,
      ),
      figure(
        'cubes.second',
        'Cubes of the second color',
        second,
        'cubes',
        `For ${built} of these ${cards} cards.`,
      ),
      figure('sums', 'Different answers', sums.size, 'answers', `Among the ${cards} cards.`),
      ...(two
        ? [chanceFigure('tie.chance', 'Both rows are as long', same / pairs, 'two of these cards, exact.')]
        : []),
    ],
    parts: [
      need('cube', first + second, `${first} of one color and ${second} of another.`),
      need('picture-card', cards, 'A row of two colors on each.'),
      need('mat', 1, `${cards} cells.`),
      two
        ? need('two-colour-counter', cards, 'One side for each player.')
        : need('chip', cards, 'One for each cell.'),
    ],
    prep: [`Print the mat and ${cards} cards; count ${first} cubes of one color and ${second} of another.`],
    turns: point(two ? rounds(params) : cards),
    setUpMinutes: 1,
    practice: practice(params),
    players: two
      ? { fewest: 2, most: 2, alone: false }
      : { fewest: 1, most: Math.max(1, players), alone: true },
    notices: [
      way === 'sum' &&
        sums.size < cards &&
        know(
          'some-repeat',
          'Some numbers are on the mat more than once: any free cell with the answer will do.',
        ),
      two &&
        cards % 2 === 1 &&
        know(
          'one-left',
          'One card stays over.',
          mend(`Use ${cards - 1} cards`, params, { cards: cards - 1 }),
        ),
      max > 10 &&
        know('long-rows', 'Rows of more than ten are hard to see at once: leave a small gap after ten.'),
    ],
    ladder: ladder(params),
  };
}

/** Every card is built once; in a game of two each pair of cards meets as often as any other. */
function practice(params: RowsParams): Practised[] {
  const { way, cards } = params;
  const rows = rowsOf(params);
  if (way === 'count')
    return rows.flatMap(({ a, b }) => [
      { fact: fact('count', a), meetings: 1 },
      { fact: fact('count', b), meetings: 1 },
      { fact: fact('quantity', a), meetings: 0.5 },
      { fact: fact('quantity', b), meetings: 0.5 },
    ]);
  const turned = way === 'two' ? (2 * rounds(params)) / cards : 1;
  const pairs = (cards * (cards - 1)) / 2;
  return [
    ...rows.map(({ a, b }) => ({ fact: fact('add', a, b), meetings: turned })),
    ...(way === 'two'
      ? rows.flatMap((row, i) =>
          rows.slice(0, i).map((one) => ({
            fact: fact('compare', one.a + one.b, row.a + row.b),
            meetings: rounds(params) / pairs,
          })),
        )
      : []),
  ];
}
