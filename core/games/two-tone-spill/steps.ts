import { cupOf, framed, groupsApart, heap, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { SpillParams } from '.';
import { reckonLadder } from './reckon';
import { ways } from './rules';
import type { words } from './words';

/** A split that shows what is meant: neither the middle nor an end. */
export function example(counters: number): { a: number; b: number } {
  const b = Math.max(1, Math.floor(counters / 2) - 1);
  return { a: counters - b, b };
}

export function steps(params: SpillParams): Lines<typeof words.en> {
  const { counters, spills, players, order, finish } = params;
  const { a, b } = example(counters);
  const { easier, harder } = reckonLadder(params);
  const all = ways(params).length;
  return [
    ['setUp.cup', { counters }, 'pieces'],
    ['setUp.sheet', { spills, players }],
    ['turn.spill', {}, 'pieces'],
    ['turn.sort', {}, 'pieces'],
    ['turn.say', { a, b, counters }, 'pieces'],
    ['turn.draw', {}, 'drawing'],
    ['turn.write', { a, b, counters }, 'symbols'],
    [order === 'ordered' ? 'turn.ordered' : 'turn.unordered', { a, b }],
    players > 1 && ['turn.pass'],
    ['end.rows', { spills, players }],
    finish === 'turnOver' ? ['end.turnOver', { ways: all }, 'pieces'] : ['end.look', { ways: all }],
    easier && ['easier.fewer', { counters: Number(easier.params.counters) }, 'pieces'],
    ['easier.sort', {}, 'pieces'],
    harder && ['harder.more', { counters: Number(harder.params.counters) }, 'pieces'],
    ['harder.hide', {}, 'pieces'],
    ['sideBySide.own', { counters, ways: all }],
    ['younger.line', { years: 3 }],
    ['atHome.instead', { counters }],
    ['say.part', { a }],
    ['say.check'],
    ['say.more'],
    ['caution.small', { years: 3, counters }],
  ];
}

export const pictures: Pictures<SpillParams, typeof words.en> = {
  'setUp.cup': ({ counters }) => [...cupOf(36, 14, 28, Math.min(12, counters!))],
  'turn.sort': (_, { counters }) => heap(counters, Math.max(1, Math.floor(counters / 2) - 1)),
  'turn.say': ({ a, b }) => groupsApart(a!, b!),
  'turn.write': ({ a, b, counters }) => written(`${a} + ${b} = ${counters}`),
  'end.look': (_, { counters }) => framed(Math.min(10, counters), counters > 5 ? 10 : 5, 2),
};

const dark = '#2F6B4A';

const light = '#E3B64B';

const counter = (x: number, y: number, fill: string): Shape => ({
  kind: 'circle',
  x,
  y,
  radius: 4.6,
  fill,
  stroke: '#22312A',
  strokeMm: 0.7,
});

/** A tipped cup and what fell out of it, in a box of 100 by 60. */
export const drawing: readonly Shape[] = [
  { kind: 'path', d: 'M8 14 L36 6 L44 36 L10 42 Z', fill: '#F1E4C4', stroke: '#22312A', strokeMm: 1.1 },
  { kind: 'path', d: 'M36 6 C43 12 48 28 44 36', stroke: '#22312A', strokeMm: 1.1 },
  counter(52, 30, dark),
  counter(58, 44, light),
  counter(67, 33, light),
  counter(72, 48, dark),
  counter(82, 38, light),
  counter(91, 50, light),
  { kind: 'line', x1: 4, y1: 55, x2: 96, y2: 55, stroke: '#22312A', strokeMm: 0.8 },
];
