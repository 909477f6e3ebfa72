import { describe, expect, it } from 'vitest';
import { startOf } from '~/core/games/kit/game';
import { gameOf } from '~/core/games/shelf';
import { recipeOf, type KitPlan } from './recipe';
import { changeBetween, changeSays } from './versions';

const variant = (id: string, params = {}) => ({
  gameId: id,
  name: id,
  params: { ...startOf(gameOf(id)), ...params },
});
const version = (...variants: KitPlan['variants'][number][]) => {
  const plan: KitPlan = { ageBand: 'g1', players: 2, assurance: 'usual', variants };
  return { plan, parts: recipeOf(plan).parts };
};

describe('what brings a copy up to date', () => {
  it('is nothing for a copy of the same version', () => {
    const spill = version(variant('two-tone-spill'));
    expect(changeBetween(spill, version(variant('two-tone-spill')))).toBeUndefined();
  });

  it('names what comes, what goes and what is printed anew', () => {
    const change = changeBetween(
      version(variant('two-tone-spill')),
      version(variant('two-tone-spill'), variant('skyline-rolls')),
    )!;
    expect(change.added).toEqual(['skyline-rolls']);
    expect(change.parts.find(({ material }) => material === 'cube')!.more).toBeGreaterThan(0);
    expect(change.paper).toBe(true);
    expect(changeSays(change)[0]).toBe('New in it: skyline-rolls.');
    expect(changeSays(change).at(-1)).toBe('Print its pack anew.');
  });

  it('undone is its opposite', () => {
    const [a, b] = [
      version(variant('two-tone-spill'), variant('peg-slide')),
      version(variant('two-tone-spill', { total: 9 }), variant('skyline-rolls')),
    ];
    const [there, back] = [changeBetween(a, b)!, changeBetween(b, a)!];
    expect(there.changed).toEqual(['two-tone-spill']);
    expect(back.changed).toEqual(there.changed);
    expect([back.added, back.gone]).toEqual([there.gone, there.added]);
    const sorted = (list: { material: string; more: number }[]) =>
      list.toSorted((x, y) => x.material.localeCompare(y.material));
    expect(sorted(back.parts)).toEqual(sorted(there.parts.map((one) => ({ ...one, more: -one.more }))));
  });
});
