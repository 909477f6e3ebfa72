import { describe, expect, it } from 'vitest';
import { startOf } from '~/core/games/kit/game';
import { gameOf } from '~/core/games/shelf';
import { playsEach } from '~/core/kits/loan';
import { recipeOf, type KitPlan } from '~/core/kits/recipe';
import type { Finish } from '~/core/paper/sheet';
import { contextOf } from '~/core/paper/testing';
import { packOf } from './pack';

const plan = (ids: string[], finish: Finish, plays?: number): KitPlan => ({
  ageBand: 'g1',
  players: 2,
  assurance: 'usual',
  finish,
  plays,
  variants: ids.map((id) => ({ gameId: id, name: id, params: startOf(gameOf(id)) })),
});
const recordsIn = (of: KitPlan): number =>
  recipeOf(of).parts.find(({ material }) => material === 'record-sheet')!.quantity;
/** Sheets to write on among the pages of one copy. */
function printed(of: KitPlan): number {
  const copy = { tag: 'K7M4R', link: 'https://example.test/p/x' };
  const pages = packOf(
    {
      kitName: 'Kit',
      schoolName: 'School',
      plan: of,
      parts: recipeOf(of).parts,
      copies: [copy],
      items: ['records'],
      scope: 'each',
      labels: {},
      checked: {},
    },
    contextOf(of.finish ? { finish: of.finish } : {}),
  ).of(copy);
  return pages.filter(({ use, back }) => use === 'record' && !back).length;
}

describe('sheets to write on', () => {
  it('are as many in the pack as the recipe says, for one play or for all of a loan', () => {
    for (const ids of [['two-tone-spill'], ['write-the-ways', 'peg-slide'], ['tile-sums', 'skyline-rolls']])
      for (const finish of ['plain', 'durable'] as const)
        for (const plays of [undefined, 1, 3]) {
          const of = plan(ids, finish, plays);
          expect([ids, finish, plays, printed(of)]).toEqual([ids, finish, plays, recordsIn(of)]);
        }
    expect(recordsIn(plan(['two-tone-spill'], 'plain', 6))).toBe(
      6 * recordsIn(plan(['two-tone-spill'], 'plain')),
    );
    expect(recordsIn(plan(['two-tone-spill'], 'durable', 6))).toBe(
      recordsIn(plan(['two-tone-spill'], 'durable')),
    );
  });

  it('are reckoned for plays shared out among the games, at least one of each', () => {
    expect(playsEach(1, { daysOut: 21, playsAWeek: 2 })).toBe(6);
    expect(playsEach(3, { daysOut: 21, playsAWeek: 2 })).toBe(2);
    expect(playsEach(4, { daysOut: 7, playsAWeek: 1 })).toBe(1);
    expect(playsEach(0, { daysOut: 21, playsAWeek: 2 })).toBe(0);
  });
});
