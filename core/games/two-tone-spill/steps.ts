import type { Step } from '~/core/games/kit/types';
import { reckonLadder } from './reckon';
import { ways, type SpillParams } from './rules';

/** A split that shows what is meant: neither the middle nor an end. */
export function example(counters: number): { a: number; b: number } {
  const b = Math.max(1, Math.floor(counters / 2) - 1);
  return { a: counters - b, b };
}

export function steps(params: SpillParams): Step[] {
  const { counters, spills, players, order, finish } = params;
  const { a, b } = example(counters);
  const { easier, harder } = reckonLadder(params);
  const all = ways(params).length;
  const list: (Step | false | undefined)[] = [
    { part: 'setUp', id: 'setUp.cup', args: { counters }, show: 'pieces' },
    { part: 'setUp', id: 'setUp.sheet', args: { spills, players } },
    { part: 'turn', id: 'turn.spill', args: {}, show: 'pieces' },
    { part: 'turn', id: 'turn.sort', args: {}, show: 'pieces' },
    { part: 'turn', id: 'turn.say', args: { a, b, counters }, show: 'pieces' },
    { part: 'turn', id: 'turn.draw', args: {}, show: 'drawing' },
    { part: 'turn', id: 'turn.write', args: { a, b, counters }, show: 'symbols' },
    { part: 'turn', id: order === 'ordered' ? 'turn.ordered' : 'turn.unordered', args: { a, b } },
    players > 1 && { part: 'turn', id: 'turn.pass', args: {} },
    { part: 'end', id: 'end.rows', args: { spills, players } },
    finish === 'turnOver'
      ? { part: 'end', id: 'end.turnOver', args: { ways: all }, show: 'pieces' }
      : { part: 'end', id: 'end.look', args: { ways: all } },
    easier && {
      part: 'easier',
      id: 'easier.fewer',
      args: { counters: Number(easier.params.counters) },
      show: 'pieces',
    },
    { part: 'easier', id: 'easier.sort', args: {}, show: 'pieces' },
    harder && {
      part: 'harder',
      id: 'harder.more',
      args: { counters: Number(harder.params.counters) },
      show: 'pieces',
    },
    { part: 'harder', id: 'harder.hide', args: {}, show: 'pieces' },
    { part: 'sideBySide', id: 'sideBySide.own', args: { counters, ways: all } },
    { part: 'younger', id: 'younger.line', args: { years: 3 } },
    { part: 'atHome', id: 'atHome.instead', args: { counters } },
    { part: 'say', id: 'say.part', args: { a } },
    { part: 'say', id: 'say.check', args: {} },
    { part: 'say', id: 'say.more', args: {} },
    { part: 'caution', id: 'caution.small', args: { years: 3, counters } },
  ];
  return list.filter((step): step is Step => Boolean(step));
}
