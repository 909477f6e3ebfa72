import { fact } from '~/core/cards/facts';
import { entries, map, mean, point, quantile, type Pmf } from '~/core/chance/pmf';
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
import { bagScore, circleChances, drawChance, fieldsOf, roundsOf, smallCircles, teamScore } from './odds';

export const NUMBERS_MOST = 20;

/** Products of more bags have too many values to be told. */
const MOST_FACTORS = 4;

export const faults = (params: OrbitParams): FieldErrors => ({
  ...(params.op === 'multiply' && params.bags > MOST_FACTORS
    ? { bags: `Multiplying is for at most ${MOST_FACTORS} bags: nobody works out more in the head.` }
    : {}),
  ...(params.sizes === 'two' && params.smallMm >= params.diameterMm
    ? { smallMm: `A small circle is narrower than the others: less than ${params.diameterMm} mm.` }
    : {}),
  ...(params.bags < fieldsOf(params)
    ? { bags: `With ${fieldsOf(params)} fields a team needs at least ${fieldsOf(params)} bags.` }
    : {}),
  ...(params.sides === 'alone' && params.op === 'multiply'
    ? { op: 'One child alone compares sums: add the numbers, or play with two teams.' }
    : {}),
});

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

/** Meters of chalk that a stick draws. */
const STICK_MM = 12_000;

/** Meters of chalk around all circles of all fields, in sticks. */
function sticks(params: OrbitParams): number {
  const small = smallCircles(params).size;
  const around = Math.PI * ((params.circles - small) * params.diameterMm + small * params.smallMm);
  return Math.max(1, Math.ceil((around * fieldsOf(params)) / STICK_MM));
}

/** A bag is about so wide. */
const BAG_MM = 120;

export const ladder = (params: OrbitParams): Ladder =>
  levels(params, 'bags', params.op === 'add' ? [2, 3, 4, 5, 6] : [2, 3, 4], (bags) => `Throw ${bags} bags`);

export function reckon(params: OrbitParams, _: Effort, ageBand: AgeBand): Answers {
  const { circles, diameterMm, bags, op, miss, hit, bestOf, numbers, sizes, gapMm } = params;
  const area = field(params);
  const fields = fieldsOf(params);
  const alone = params.sides === 'alone';
  const whose = alone ? 'color' : 'team';
  const score = teamScore(params);
  const draw = drawChance(score);
  const rounds = alone ? point(bestOf) : roundsOf(bestOf, draw);
  const zero = miss === 'zero' && op === 'multiply' ? 1 - hit ** bags : 0;
  const steps = THROWING_STEPS[ageBand];
  return {
    figures: [
      figure(
        'areaM2',
        'Field',
        (fields * area.widthMm * area.depthMm) / 1e6,
        'm²',
        `${fields > 1 ? `${fields} fields of ` : ''}${count(area.rows, 'row')} of ${count(area.columns, 'circle')}: ${plain(area.widthMm / 1000)} × ${plain(area.depthMm / 1000)} m, nearest to 5 : 3.`,
      ),
      figure(
        'score.mean',
        `Score of a ${whose}`,
        mean(score),
        'points',
        `The exact average of ${bags === 1 ? 'one bag that hits' : `${bags} bags that hit`} ${Math.round(hit * 100)} times in 100${miss === 'again' ? ` and ${bags === 1 ? 'is thrown until it does' : 'are thrown until they do'}` : ''}${sizes === 'two' ? '; a circle is hit in proportion to its area' : ''}${fields > 1 ? `; the bags go to ${fields} fields in turn` : ''}.`,
      ),
      figure('score.p10', `One ${whose} in ten has at most`, quantile(score, 0.1), 'points', 'Exact.'),
      figure('score.p90', 'Nine in ten have at most', quantile(score, 0.9), 'points', 'Exact.'),
      chanceFigure(
        'draw.chance',
        `Both ${whose}s have the same`,
        draw,
        `two ${whose}s, one round, exact${alone ? '; then = lies between' : ''}.`,
      ),
    ],
    parts: [
      need('bean-bag', 2 * bags, alone ? `${bags} of each of two colors.` : `${bags} for each of two teams.`),
      need('chalk', sticks(params), `A stick draws about ${plain(STICK_MM / 1000)} m.`),
      need('plan', fields, 'With the measures and the throwing line.'),
      ...(alone ? [need('sign-card', 3, 'One each of <, = and >.')] : []),
    ],
    prep: [
      `Chalk ${circles} circles of ${plain(diameterMm / 10)} cm: ${count(area.rows, 'row')} of ${area.columns}. A string and a stick of chalk draw them round.`,
      ...(sizes === 'two'
        ? [
            `Make ${smallCircles(params).size === 1 ? 'the one with the largest number' : `the ${smallCircles(params).size} with the largest numbers`} ${plain(params.smallMm / 10)} cm only.`,
          ]
        : []),
      ...(fields > 1
        ? [
            `Chalk the same once more ${fields === 2 ? 'beside it' : 'on each side'}, with the numbers of its plan.`,
          ]
        : []),
      `Chalk the throwing line ${steps === 1 ? 'one step' : `${steps} steps`} away.`,
    ],
    turns: map(rounds, (n) => 2 * n),
    setUpMinutes: 10,
    practice: [...practice(params, 2 * mean(rounds)), ...(alone ? compared(score, mean(rounds)) : [])],
    space: {
      place: 'outdoors',
      widthMm: fields * (area.widthMm + 1000),
      depthMm: area.depthMm + 600 * steps + 1000,
    },
    players: alone ? { fewest: 1, most: 1, alone: true } : { fewest: 2, most: 8, alone: false },
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
      params.counts === 'touch' &&
        gapMm < BAG_MM &&
        mind(
          'touches-two',
          `With gaps of ${gapMm} mm a bag can touch two circles at once: count the one under more of it, or leave more room.`,
          mend('Make the gaps 20 cm', params, { gapMm: 200 }),
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
  const fields = fieldsOf(params);
  const list: Practised[] = [];
  let sofar = new Map(entries(bagScore(params)));
  for (let i = 1; i < params.bags; i++) {
    const next = new Map<number, number>();
    const bag = entries(bagScore(params, i % fields));
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
    : circleChances(params).map(({ number, chance }) => ({
        fact: fact('quantity', number),
        meetings: teams * chance,
      }));
}

/** The two sums of one child, between which a sign is laid. */
function compared(score: Pmf, rounds: number): Practised[] {
  const all = entries(score);
  return all.flatMap(([a, p], i) =>
    all.slice(i).map(([b, q], k) => ({
      fact: fact('compare', a, b),
      meetings: rounds * p * q * (k === 0 ? 1 : 2),
    })),
  );
}
