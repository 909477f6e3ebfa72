import { bench, box, sign, stroke, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { HopParams } from '.';
import { COLUMNS, waysTo } from './reckon';
import type { words } from './words';

export function steps(params: HopParams): Lines<typeof words.en> {
  const possible = Object.entries(waysTo(params)).filter(([, found]) => found.length > 0);
  const [target, found] = possible[Math.floor(possible.length / 2)]!;
  const { a, sign, b } = found[Math.floor(found.length / 2)]!;
  return [
    ['setUp.cells', { digits: params.digits.length, signs: params.ops.join(' ') }],
    ['setUp.start'],
    ['turn.hop', { a, sign, b, target: Number(target) }, 'symbols'],
    ['turn.say'],
    ['turn.next'],
    ['end.to', { to: params.to }],
    ['easier.any'],
    ['harder.other'],
    ['sideBySide.relay'],
    ['younger.digits', { years: 3 }],
    ['atHome.paper'],
    ['say.stuck', { target: Number(target), a }],
    ['say.how'],
    ['caution.outside'],
  ];
}

const calculator = ({ digits, ops }: HopParams) => {
  const labels = [...[...digits].sort((a, b) => a - b).map(String), ...ops, '='];
  const side = Math.min(14, 54 / Math.ceil(labels.length / COLUMNS));
  const left = 50 - side * 2;
  return labels.flatMap((label, i) => {
    const [x, y] = [left + (i % COLUMNS) * side, 3 + Math.floor(i / COLUMNS) * side];
    return [box(x, y, side, side, TONE.card, 0.5), sign(x + side / 2, y + side * 0.72, label, side * 0.62)];
  });
};

export const pictures: Pictures<HopParams, typeof words.en> = {
  'setUp.cells': (_, params) => calculator(params),
  'turn.hop': ({ a, b, target }, { ops }) => written(`${a} ${ops[0]} ${b} = ${target}`),
};

const KEYS = ['1', '2', '3', '+', '4', '5', '6', '−', '7', '8', '9', '='];

/** A chalk calculator seen from above, and hops over it. */
export const drawing: readonly Shape[] = [
  ...KEYS.flatMap((key, i) => {
    const [x, y] = [26 + (i % 4) * 13, 4 + Math.floor(i / 4) * 16];
    return [
      box(x, y, 13, 16, '+−='.includes(key) ? TONE.straw : TONE.card, 0),
      sign(x + 6.5, y + 12, key, 9),
    ];
  }),
  stroke('M46 30 C54 18 64 16 70 14', TONE.clay, 1.4),
  bench,
];
