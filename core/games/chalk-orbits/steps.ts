import { signed } from '~/core/cards/facts';
import { area, bench, dot, sign, stroke, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { OrbitParams } from '.';
import { circleNumbers, fieldsOf, smallCircles, winsOf } from './odds';
import { field } from './reckon';
import type { words } from './words';

/** The two largest numbers, as they are written in a sentence, with its answer. */
function example(params: OrbitParams): { a: number | string; b: number | string; answer: number | string } {
  const [a, b] = [...circleNumbers(params)].sort((x, y) => y - x) as [number, number];
  const answer = params.op === 'add' ? a + b : a * b;
  const shown = (n: number): number | string => (n < 0 ? signed(n) : n);
  return { a: shown(a), b: shown(b), answer: answer < 0 ? `−${-answer}` : answer };
}

const sentence = (params: OrbitParams, sign: '+' | '×') => {
  const { a, b, answer } = example(params);
  return written(`${a} ${sign} ${b} = ${answer}`);
};

export function steps(params: OrbitParams): Lines<typeof words.en> {
  const { circles, diameterMm, bags, op, miss, bestOf, smallMm } = params;
  const { a, b, answer } = example(params);
  const small = smallCircles(params).size;
  const fields = fieldsOf(params);
  const alone = params.sides === 'alone';
  return [
    ['setUp.circles', { circles, cm: Math.round(diameterMm / 10) }],
    small > 0 && ['setUp.sizes', { small, cm: Math.round(smallMm / 10) }],
    fields > 1 && ['setUp.fields', { fields }],
    [alone ? 'setUp.colors' : 'setUp.teams', { bags }],
    [alone ? 'turn.throwColor' : 'turn.throw', { bags }],
    [params.counts === 'touch' ? 'turn.touch' : 'turn.inside'],
    miss === 'zero' ? ['turn.zero', { zero: 0 }] : ['turn.again'],
    op === 'add' ? ['turn.add', { a, b, answer }, 'symbols'] : ['turn.multiply', { a, b, answer }, 'symbols'],
    ...(alone
      ? ([
          ['turn.signs', { a: 5, b: 8 }, 'symbols'],
          ['end.rounds', { bestOf }],
        ] as const)
      : ([['turn.check']] as const)),
    !alone && (bestOf === 1 ? ['end.one'] : ['end.best', { bestOf, wins: winsOf(bestOf) }]),
    ['easier.small'],
    ['harder.order'],
    [alone ? 'sideBySide.same' : 'sideBySide.one'],
    ['younger.drop', { years: 3 }],
    ['atHome.paper'],
    ['say.sofar'],
    [alone ? 'say.how' : 'say.part'],
    ['caution.outside'],
    ['caution.throw'],
  ];
}

/** The circles as they lie, with their numbers. */
const circles = (params: OrbitParams) => {
  const { rows, columns } = field(params);
  const small = smallCircles(params);
  const step = Math.min(92 / columns, 52 / rows);
  const [left, top] = [50 - (step * columns) / 2, 30 - (step * rows) / 2];
  return circleNumbers(params).flatMap((n, i) => {
    const [x, y] = [left + ((i % columns) + 0.5) * step, top + (Math.floor(i / columns) + 0.5) * step];
    const wide = small.has(i) ? params.smallMm / params.diameterMm : 1;
    return [dot(x, y, step * 0.42 * wide, TONE.card), sign(x, y + step * 0.13, String(n), step * 0.4)];
  });
};

export const pictures: Pictures<OrbitParams, typeof words.en> = {
  'setUp.circles': (_, params) => circles(params),
  'turn.throw': ({ bags }) =>
    Array.from({ length: bags! }, (_, i) => {
      const x = 50 - bags! * 7.5 + i * 15 + 1;
      return area(
        `M${x} 24 C${x + 4} 20 ${x + 9} 20 ${x + 12} 24 C${x + 14} 30 ${x + 13} 36 ${x + 11} 40 C${x + 6} 42 ${x + 3} 41 ${x} 38 C${x - 1} 33 ${x - 1} 28 ${x} 24 Z`,
        TONE.straw,
      );
    }),
  'turn.add': (_, params) => sentence(params, '+'),
  'turn.signs': ({ a, b }) => written(`${a} < ${b}`),
  'turn.multiply': (_, params) => sentence(params, '×'),
};

const ring = (x: number, y: number, text: string): Shape[] => [
  { kind: 'circle', x, y, radius: 10, stroke: TONE.shore, strokeMm: 1.6, dashMm: [3, 1.2] },
  sign(x, y + 4, text, 10, TONE.shore),
];

/** Chalk circles with numbers, and a bag in flight. */
export const drawing: readonly Shape[] = [
  ...ring(36, 38, '5'),
  ...ring(60, 42, '2'),
  ...ring(84, 36, '9'),
  area('M6 30 L16 26 L20 36 L10 40 Z', TONE.clay),
  stroke('M20 26 C34 2 54 2 62 26', TONE.ink, 1),
  bench,
];
