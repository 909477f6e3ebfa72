import { area, bench, card, dot, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { DoughParams } from '.';
import { played, sentences } from './reckon';
import type { words } from './words';

export function steps(params: DoughParams): Lines<typeof words.en> {
  const a = Math.min(params.max, 7);
  const b = 3;
  return [
    ['setUp.dough'],
    ['setUp.cards', { cards: sentences(params).length }],
    ['turn.make', { a }, 'pieces'],
    ['turn.squash', { b }, 'pieces'],
    ['turn.say', { a, b, answer: a - b }],
    params.line > 0 && ['turn.lineBack', { a, b, answer: a - b }, 'drawing'],
    ['turn.draw', {}, 'drawing'],
    ['turn.write', { a, b, answer: a - b }, 'symbols'],
    ['end.cards', { cards: played(params) * params.players }],
    ['easier.five', { number: 5 }],
    ['harder.back', { a, b }],
    ['sideBySide.calm'],
    ['younger.balls', { years: 3 }],
    ['atHome.paper'],
    ['say.left'],
    ['say.part'],
    ['caution.dough'],
  ];
}

/** Balls in a row of five, the last of them squashed. */
const balls = (n: number, squashed: number) =>
  Array.from({ length: n }, (_, i) => {
    const [x, y] = [14 + (i % 5) * 18, 18 + Math.floor(i / 5) * 18];
    return i < n - squashed
      ? dot(x, y, 6.4, TONE.straw)
      : area(`M${x - 8} ${y + 4} C${x - 7} ${y} ${x + 7} ${y} ${x + 8} ${y + 4} Z`, TONE.straw);
  });

export const pictures: Pictures<DoughParams, typeof words.en> = {
  'setUp.cards': (_, params) => {
    const { a, b } = sentences(params).at(-1)!;
    return card(28, 16, `${a} − ${b}`, TONE.card, 44, 28);
  },
  'turn.make': ({ a }) => balls(a!, 0),
  'turn.say': ({ a, b }) => balls(a!, b!),
  'turn.write': ({ a, b, answer }) => written(`${a} − ${b} = ${answer}`),
};

/** Balls of dough in a row, some of them squashed flat. */
export const drawing: readonly Shape[] = [
  ...[14, 30, 46].map((x) => dot(x, 47, 7, TONE.straw)),
  ...[66, 84].map((x) => area(`M${x - 9} 54 C${x - 10} 48 ${x + 10} 48 ${x + 9} 54 Z`, TONE.clay)),
  { kind: 'path', d: 'M66 10 L66 34 M61 28 L66 35 L71 28', stroke: TONE.ink, strokeMm: 1.4 },
  { kind: 'path', d: 'M84 10 L84 34 M79 28 L84 35 L89 28', stroke: TONE.ink, strokeMm: 1.4 },
  bench,
];
