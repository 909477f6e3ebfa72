import { bench, box, card, cells, sign, TONE, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { RowParams } from '.';
import { GRID, numbers } from './rules';
import type { words } from './words';

export function steps(params: RowParams): Lines<typeof words.en> {
  const number = 7;
  return [
    ['setUp.remove', { cards: numbers(params).length }],
    ['setUp.grid', { cards: GRID, rows: 3 }],
    params.callFrom === 'rest' ? ['setUp.rest'] : ['setUp.second'],
    ['turn.call', { number }],
    params.turn === 'all' ? ['turn.all', { number }] : [`turn.${params.choose}`, { number }],
    ['turn.check'],
    params.caller === 'changes' && ['turn.caller'],
    params.win === 'line' ? ['end.line', { cards: 3 }] : ['end.full', { cards: GRID }],
    ['end.none'],
    ['easier.five', { number: 5 }],
    ['harder.more', { more: 1 }],
    ['sideBySide.one'],
    ['younger.helper', { years: 3 }],
    ['atHome.deck'],
    ['say.look', { number }],
    ['say.almost'],
    ['caution.rest'],
  ];
}

export const pictures: Pictures<RowParams, typeof words.en> = {
  'setUp.grid': () => cells(3, 3),
  'turn.call': ({ number }) => [...card(26, 16, '', TONE.leaf), ...card(58, 16, String(number))],
  'turn.all': ({ number }) => [...cells(3, 3, [4]), sign(50, 33, String(number), 8, TONE.card)],
  'turn.fullest': ({ number }) => [...cells(3, 3, [4]), sign(50, 33, String(number), 8, TONE.card)],
  'turn.any': ({ number }) => [...cells(3, 3, [4]), sign(50, 33, String(number), 8, TONE.card)],
  'turn.reading': ({ number }) => [...cells(3, 3, [4]), sign(50, 33, String(number), 8, TONE.card)],
  'end.line': () => cells(3, 3, [3, 4, 5]),
  'end.full': () => cells(3, 3, [0, 1, 2, 3, 4, 5, 6, 7, 8]),
};

const turned = new Set([2, 4, 6]);

/** A grid of nine cards, three of them turned over in a line, and a card being called. */
export const drawing: readonly Shape[] = [
  ...Array.from({ length: 9 }, (_, i) => {
    const [x, y] = [12 + (i % 3) * 15, 3 + Math.floor(i / 3) * 17.3];
    return turned.has(i)
      ? [box(x, y, 12, 15.5, TONE.fern)]
      : [box(x, y, 12, 15.5, TONE.card), sign(x + 6, y + 11, String(i + 1), 8)];
  }).flat(),
  ...card(70, 16, '7', TONE.straw, 20, 27),
  bench,
];
