import { fact } from '~/core/cards/facts';
import { entries, map, mean, quantile } from '~/core/chance/pmf';
import type { Effort } from '~/core/chance/simulate';
import type { FieldErrors } from '~/core/check/check';
import {
  chanceFigure,
  figure,
  know,
  levels,
  mend,
  mind,
  need,
  type AgeBand,
  type Answers,
  type Ladder,
  type Practised,
} from '~/core/games/kit';
import { count, plain, shareOf } from '~/core/words/numbers';
import type { OrbitParams } from '.';
import { bagScore, circleNumbers, drawChance, roundsOf, teamScore } from './odds';

export const NUMBERS_MOST = 20;

/** Products of more bags have too many values to be told. */
const MOST_FACTORS = 4;

export const faults = ({ op, bags }: OrbitParams): FieldErrors =>
  op === 'multiply' && bags > MOST_FACTORS
    ? { bags: `Multiplying is for at most ${MOST_FACTORS} bags: nobody works out more in the head.` }
    : {};

/** Rows and columns of the field whose sides come nearest to 5 : 3. */
export function field({ circles, diameterMm, gapMm }: OrbitParams): {
  rows: number;
  columns: number;
  widthMm: number;
  depthMm: number;
} {
  const side = (n: number): number => n * diameterMm + (n - 1) * gapMm;
  let best = { rows: 1, columns: circles, widthMm: side(circles), depthMm: side(1) };
  const off = (one: typeof best): number => Math.abs(Math.log(one.widthMm / one.depthMm / (5 / 3)));
  for (let rows = 2; rows <= circles; rows++) {
    const columns = Math.ceil(circles / rows);
    const one = { rows, columns, widthMm: side(columns), depthMm: side(rows) };
    if (off(one) < off(best) - 1e-12) best = one;
  }
  return best;
}

/** How far away the throwing line is, in steps of a child. */
export const THROWING_STEPS = { preK: 1, K: 2, g1: 3, g2: 4, g3: 5 } as const;

export const ladder = (params: OrbitParams): Ladder =>
  levels(params, 'bags', params.op === 'add' ? [2, 3, 4, 5, 6] : [2, 3, 4], (bags) => `Throw ${bags} bags`);

export function reckon(params: OrbitParams, _: Effort, ageBand: AgeBand): Answers {
  const { circles, diameterMm, bags, op, miss, hit, bestOf, numbers } = params;
  const area = field(params);
  const score = teamScore(params);
  const draw = drawChance(score);
  const rounds = roundsOf(bestOf, draw);
  const zero = miss === 'zero' && op === 'multiply' ? 1 - hit ** bags : 0;
  const steps = THROWING_STEPS[ageBand];
  return {
    figures: [
      figure(
        'areaM2',
        'Field',
        (area.widthMm * area.depthMm) / 1e6,
        'm²',
        `${count(area.rows, 'row')} of ${count(area.columns, 'circle')}: ${plain(area.widthMm / 1000)} × ${plain(area.depthMm / 1000)} m, nearest to 5 : 3.`,
      ),
      figure(
        'score.mean',
        'Score of a team',
        mean(score),
        'points',
        `The exact average of ${bags === 1 ? 'one bag that hits' : `${bags} bags that hit`} ${Math.round(hit * 100)} times in 100${miss === 'again' ? ` and ${bags === 1 ? 'is thrown until it does' : 'are thrown until they do'}` : ''}.`,
      ),
      figure('score.p10', 'One team in ten has at most', quantile(score, 0.1), 'points', 'Exact.'),
      figure('score.p90', 'Nine in ten have at most', quantile(score, 0.9), 'points', 'Exact.'),
      chanceFigure('draw.chance', 'Both teams have the same', draw, 'two teams, one round, exact.'),
    ],
    parts: [
      need('bean-bag', 2 * bags, `${bags} for each of two teams.`),
      need(
        'chalk',
        Math.max(1, Math.ceil((circles * diameterMm * Math.PI) / 12_000)),
        'A stick draws about 12 m.',
      ),
      need('plan', 1, 'With the measures and the throwing line.'),
    ],
    prep: [
      `Chalk ${circles} circles of ${plain(diameterMm / 10)} cm: ${count(area.rows, 'row')} of ${area.columns}. A string and a stick of chalk draw them round.`,
      `Chalk the throwing line ${steps === 1 ? 'one step' : `${steps} steps`} away.`,
    ],
    turns: map(rounds, (n) => 2 * n),
    setUpMinutes: 10,
    practice: practice(params, 2 * mean(rounds)),
    space: { place: 'outdoors', widthMm: area.widthMm + 1000, depthMm: area.depthMm + 600 * steps + 1000 },
    players: { fewest: 2, most: 8, alone: false },
    notices: [
      zero > 0 &&
        mind(
          'zero-product',
          `In ${shareOf(zero, 'round')} one miss makes the whole product 0.`,
          mend('Throw a miss again', params, { miss: 'again' }),
        ),
      circles < numbers.length &&
        know(
          'numbers-unused',
          `${numbers.length - circles} of the numbers have no circle.`,
          mend(`Draw ${numbers.length} circles`, params, { circles: numbers.length }),
        ),
      hit < 0.35 &&
        mind(
          'far-away',
          'So few bags hit that the sum is mostly of misses: come one step closer.',
          mend('Assume 6 in 10', params, { hit: 0.6 }),
        ),
      op === 'add' &&
        quantile(score, 0.9) > 30 &&
        know(
          'large-sums',
          `Sums reach ${quantile(score, 0.9)}: lay a counter for each ten, or take smaller numbers.`,
        ),
    ],
    ladder: ladder(params),
  };
}

/** Bag by bag: what is there so far, and the new number. */
function practice(params: OrbitParams, teams: number): Practised[] {
  const bag = entries(bagScore(params));
  const list: Practised[] = [];
  let sofar = new Map(bag);
  for (let i = 1; i < params.bags; i++) {
    const next = new Map<number, number>();
    for (const [a, p] of sofar)
      for (const [b, q] of bag) {
        list.push({ fact: fact(params.op, a, b), meetings: teams * p * q });
        const answer = params.op === 'add' ? a + b : a * b;
        next.set(answer, (next.get(answer) ?? 0) + p * q);
      }
    sofar = next;
  }
  // A single bag is read, not worked out.
  return list.length
    ? list
    : circleNumbers(params).map((n) => ({ fact: fact('quantity', n), meetings: teams / params.circles }));
}
