import { area, bench, dot, stroke, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { PinParams } from '.';
import type { words } from './words';

export function steps({ pins, rolls, line }: PinParams): Lines<typeof words.en> {
  const down = Math.floor(pins / 2);
  return [
    ['setUp.pins', { pins }],
    ['setUp.line'],
    ['turn.roll'],
    ['turn.count', { pins, down }, 'pieces'],
    ['turn.say', { pins, down, answer: pins - down }],
    line > 0 && ['turn.lineBack', { a: pins, b: down, answer: pins - down }, 'drawing'],
    ['turn.draw', {}, 'drawing'],
    ['turn.write', { pins, down, answer: pins - down }, 'symbols'],
    ['end.card', { rolls }],
    ['easier.near'],
    ['harder.before'],
    ['sideBySide.together'],
    ['younger.sets', { years: 3 }],
    ['atHome.tubes', { pins }],
    ['say.standing'],
    ['say.part'],
    ['caution.throw'],
  ];
}

const pin = (x: number, y: number) =>
  area(
    `M${x - 3} ${y} L${x + 3} ${y} C${x + 5} ${y - 6} ${x + 1} ${y - 9} ${x + 2} ${y - 13} C${x + 2} ${y - 18} ${x - 2} ${y - 18} ${x - 2} ${y - 13} C${x - 1} ${y - 9} ${x - 5} ${y - 6} ${x - 3} ${y} Z`,
    TONE.card,
  );

const pins = (n: number, down: number) =>
  Array.from({ length: n }, (_, i) => {
    const [x, y] = [14 + (i % 5) * 18, n > 5 ? 26 + Math.floor(i / 5) * 26 : 40];
    return [
      pin(x, y),
      ...(i >= n - down ? [stroke(`M${x - 6} ${y} L${x + 6} ${y - 16}`, TONE.clay, 1.4)] : []),
    ];
  }).flat();

export const pictures: Pictures<PinParams, typeof words.en> = {
  'setUp.pins': ({ pins: n }) => pins(n!, 0),
  'turn.roll': () => [
    dot(24, 40, 11, TONE.clay),
    stroke('M40 40 L64 40 M58 35 L64 40 L58 45', TONE.ink, 1.2),
    pin(80, 50),
  ],
  'turn.count': ({ pins: n, down }) => pins(n!, down!),
  'turn.write': ({ pins: n, down, answer }) => written(`${n} − ${down} = ${answer}`),
};

const slim = (x: number): Shape =>
  area(
    `M${x} 54 C${x - 4} 42 ${x} 36 ${x + 2} 30 C${x} 22 ${x + 10} 22 ${x + 8} 30 C${x + 10} 36 ${x + 14} 42 ${x + 10} 54 Z`,
    TONE.wood,
  );

/** A ball, two pins that stand and one that fell. */
export const drawing: readonly Shape[] = [
  dot(16, 46, 8, TONE.clay),
  slim(40),
  slim(58),
  area('M72 54 C84 58 90 54 94 50 C100 46 100 38 94 40 C90 38 80 42 72 46 Z', TONE.straw),
  { kind: 'path', d: 'M28 46 L36 46', stroke: TONE.ink, strokeMm: 1.2, dashMm: [2, 2] },
  bench,
];
