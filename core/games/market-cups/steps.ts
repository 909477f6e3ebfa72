import { area, bench, cupOf, die, dot, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { MarketParams } from '.';
import { rollsAgain } from './reckon';
import type { words } from './words';

export function steps(params: MarketParams): Lines<typeof words.en> {
  const cups = Math.min(3, params.cups.to);
  const pieces = Math.min(4, params.pieces.to);
  return [
    ['setUp.cups', { cups: params.cups.to }],
    params.source === 'dice' ? ['setUp.dice'] : ['setUp.cards'],
    params.source === 'dice' && params.begins === 'highest' && params.players > 1 && ['setUp.highest'],
    rollsAgain(params) && [
      'turn.again',
      {
        cupsFrom: params.cups.from,
        cupsTo: params.cups.to,
        piecesFrom: params.pieces.from,
        piecesTo: params.pieces.to,
      },
    ],
    ['turn.cups', { cups }, 'pieces'],
    ['turn.pieces', { cups, pieces }, 'pieces'],
    ['turn.say', { cups, pieces, answer: cups * pieces }],
    ['turn.draw', {}, 'drawing'],
    params.symbol && ['turn.write', { cups, pieces, answer: cups * pieces }, 'symbols'],
    ['end.rounds', { rounds: params.rounds }],
    ['easier.two', { cups: 2 }],
    ['harder.guess'],
    ['sideBySide.team'],
    ['younger.counts', { years: 3 }],
    params.source === 'dice' ? ['atHome.dice'] : ['atHome.deck'],
    ['say.each'],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  ];
}

const row = (cups: number, pieces: number) => {
  const width = Math.min(26, 90 / cups - 3);
  const left = 50 - (cups * (width + 3)) / 2;
  return Array.from({ length: cups }, (_, i) =>
    cupOf(left + i * (width + 3), 30 - width * 0.6, width, pieces),
  ).flat();
};

export const pictures: Pictures<MarketParams, typeof words.en> = {
  'setUp.dice': () => [...die(22, 18, 24, 3, TONE.leaf), ...die(56, 18, 24, 4, TONE.straw)],
  'turn.cups': ({ cups }) => row(cups!, 0),
  'turn.pieces': ({ cups, pieces }) => row(cups!, pieces!),
  'turn.write': ({ cups, pieces, answer }) => written(`${cups} × ${pieces} = ${answer}`),
};

const cup = (x: number): Shape[] => [
  ...[0, 1, 2].map((i) => dot(x + 5 + i * 6, 28 - (i % 2) * 4, 3, TONE.clay)),
  area(`M${x} 32 L${x + 22} 32 L${x + 18} 52 L${x + 4} 52 Z`, TONE.wood),
];

/** Cups with the same number of pieces in each, and the two dice. */
export const drawing: readonly Shape[] = [
  ...cup(8),
  ...cup(38),
  ...cup(68),
  ...die(34, 3, 13, 3, TONE.straw),
  ...die(53, 3, 13, 3),
  bench,
];
