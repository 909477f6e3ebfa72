import { bench, box, dot, framed, heap, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { TrailParams } from '.';
import { signsOf } from './reckon';
import type { words } from './words';

export function steps({
  max,
  op,
  problems,
  signs,
  problemSheets,
  line,
}: TrailParams): Lines<typeof words.en> {
  const [a, b] = max === 10 ? [6, 3] : [9, 5];
  return [
    [signs ? 'setUp.numbers' : 'setUp.trail'],
    ['setUp.counters', { max }, 'pieces'],
    ['turn.card', {}, 'symbols'],
    ['turn.first', { a, five: 5 }, 'pieces'],
    op === 'subtract' ? ['turn.off', { b }, 'pieces'] : ['turn.on', { b }, 'pieces'],
    [op === 'subtract' ? 'turn.sayLeft' : 'turn.saySum', { a, b, answer: op === 'subtract' ? a - b : a + b }],
    op === 'both' && ['turn.undo', { a, b, answer: a + b }, 'pieces'],
    signs && ['turn.lay', { signs: [...signsOf(op), '='].join(' ') }, 'symbols'],
    line > 0 && [
      op === 'subtract' ? 'turn.lineBack' : 'turn.lineHop',
      { a, b, answer: op === 'subtract' ? a - b : a + b },
      'drawing',
    ],
    ['turn.draw', {}, 'drawing'],
    problemSheets > 0 && ['turn.sheet', {}, 'drawing'],
    ['end.trail', { problems }],
    ['easier.colours', {}, 'pieces'],
    ['harder.before'],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.egg'],
    ['say.empty', { ten: 10 }],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

/** A frame of ten, or counters in fives when a number is larger. */
const filled = (n: number, second = 0) => (n > 10 ? heap(n, second) : framed(n, 10, second));

export const pictures: Pictures<TrailParams, typeof words.en> = {
  'turn.first': ({ a }) => filled(a!),
  'turn.on': ({ b }, { max }) => filled(Math.min(max, 6 + b!), b),
  'turn.saySum': ({ a, b, answer }) => written(`${a} + ${b} = ${answer}`),
  'turn.sayLeft': ({ a, b, answer }) => written(`${a} − ${b} = ${answer}`),
};

/** A ten-frame with counters of two colours. */
export const drawing: readonly Shape[] = [
  ...Array.from({ length: 10 }, (_, i) =>
    box(14 + (i % 5) * 14.4, 12 + Math.floor(i / 5) * 16, 14.4, 16, TONE.card, 0),
  ),
  ...Array.from({ length: 8 }, (_, i) =>
    dot(21.2 + (i % 5) * 14.4, 20 + Math.floor(i / 5) * 16, 4.6, i < 6 ? TONE.fern : TONE.straw),
  ),
  bench,
];
