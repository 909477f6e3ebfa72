import {
  area,
  arrow,
  bench,
  cardRow,
  cupOf,
  dot,
  heap,
  stroke,
  TONE,
  written,
  type Lines,
  type Pictures,
} from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { MachineParams } from '.';
import type { words } from './words';

export function steps({ max, op, problems, source, signs, line }: MachineParams): Lines<typeof words.en> {
  const [a, b] = [max, Math.max(1, max - 2)];
  const answer = op === 'add' ? a + b : a - b;
  return [
    ['setUp.cups', { cups: 3 }],
    [source === 'deck' ? 'setUp.deck' : 'setUp.cards', { max }],
    ['turn.cards', {}, 'symbols'],
    op === 'add' ? ['turn.fill', { a, b }, 'pieces'] : ['turn.load', { a }, 'pieces'],
    op === 'add' ? ['turn.pour', {}, 'pieces'] : ['turn.back', { b }, 'pieces'],
    [op === 'add' ? 'turn.saySum' : 'turn.sayLeft', { a, b, answer }],
    signs && ['turn.lay', { a, b, answer, sign: op === 'add' ? '+' : '−' }, 'symbols'],
    line > 0 && [op === 'add' ? 'turn.lineHop' : 'turn.lineBack', { a, b, answer }, 'drawing'],
    ['turn.draw', {}, 'drawing'],
    ['turn.head', {}, 'symbols'],
    ['end.problems', { problems }],
    ['easier.same'],
    ['harder.missing', { a, answer }, 'symbols'],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.bowls'],
    ['say.on', { a: Math.max(a, b) }],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

export const pictures: Pictures<MachineParams, typeof words.en> = {
  'turn.cards': (_, { max }) => cardRow([String(max), '1']),
  'turn.fill': ({ a, b }) => [...cupOf(16, 12, 30, a), ...cupOf(56, 12, 30, b)],
  'turn.load': ({ a }) => cupOf(34, 10, 32, a),
  'turn.pour': () => [
    ...cupOf(6, 6, 20, 3),
    ...cupOf(6, 32, 20, 2),
    arrow(32, 30, 18),
    ...cupOf(60, 12, 32, 5),
  ],
  'turn.back': ({ b }) => [...cupOf(8, 12, 30, 4), arrow(44, 30, 14), ...heap(b!, b, 62, 8, 34, 44)],
  'turn.saySum': ({ a, b, answer }) => [
    ...heap(answer!, b, 8, 2, 84, 36),
    ...written(`${a} + ${b} = ${answer}`, 50, 10),
  ],
  'turn.lay': ({ a, b, answer }, { op }) =>
    cardRow([String(a), op === 'add' ? '+' : '−', String(b), '=', String(answer)]),
  'turn.sayLeft': ({ a, b, answer }) => [
    ...heap(answer!, 0, 8, 2, 84, 36),
    ...written(`${a} − ${b} = ${answer}`, 50, 10),
  ],
};

const cup = (x: number, y: number, w: number, fill: string): Shape =>
  area(`M${x} ${y} L${x + w} ${y} L${x + w - 3} ${y + 16} L${x + 3} ${y + 16} Z`, fill);

/** Two cups above, poured into one below. */
export const drawing: readonly Shape[] = [
  cup(16, 6, 24, TONE.straw),
  cup(60, 6, 24, TONE.leaf),
  stroke('M30 24 L42 34 M70 24 L58 34', TONE.ink, 1.4),
  ...[42, 50, 58].map((x) => dot(x, 37, 2.6, TONE.clay)),
  cup(36, 38, 28, TONE.wood),
  bench,
];
