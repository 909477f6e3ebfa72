import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { startOf } from '~/core/games/kit/game';
import { gameOf, SHELF } from '~/core/games/shelf';
import { materialOf, materials } from '~/core/materials/catalogue';
import { recipeOf, type KitPlan } from './recipe';
import { against, HAZARDS, hazardsOf, hazardWords, saferKit } from './safety';

const plan = (...ids: string[]): KitPlan => ({
  ageBand: 'g1',
  players: 2,
  assurance: 'usual',
  variants: ids.map((id) => ({ gameId: id, name: id, params: startOf(gameOf(id)) })),
});

describe('what can hurt', () => {
  it('is told by size, by what a thing is made of and by its flags, with a threshold and a source', () => {
    const parts = (['die', 'block', 'dough', 'ball', 'bag', 'pencil', 'record-sheet'] as const).map(
      (material) => ({ material }),
    );
    expect(hazardsOf(parts)).toEqual([
      { id: 'smallParts', materials: ['die'] },
      { id: 'wheat', materials: ['dough'] },
      { id: 'cord', materials: ['bag'] },
      { id: 'sharp', materials: ['pencil'] },
    ]);
    for (const { threshold, source } of Object.values(HAZARDS)) {
      expect(threshold).toMatch(/\.$/);
      expect(source).toMatch(/\d|FALCPA/);
    }
    expect(hazardWords(hazardsOf(parts).slice(0, 2))).toBe(
      'small parts (dice) and wheat (grams of modelling dough)',
    );
  });

  it('takes a ball for small that just passes the opening, an oval one with its longest side ahead', () => {
    const ball = (...sizesMm: [number, number, number]) => ({
      ...materialOf('ball'),
      body: { form: 'ball' as const, sizesMm },
    });
    const small = [
      ball(44.4, 44.4, 44.4),
      ball(44.5, 44.5, 44.5),
      ball(30, 44.4, 70),
      ball(30, 44.5, 70),
      { ...ball(20, 20, 20), body: { form: 'box' as const, sizesMm: [20, 20, 20] as const } },
    ].map((one) => HAZARDS.smallBall.holds(one));
    expect(small).toEqual([true, false, true, false, false]);
  });

  it('says the same about small parts as the cylinder', () => {
    for (const { id, kind } of materials())
      if (kind !== 'printed')
        expect(hazardsOf([{ material: id }]).some((one) => one.id === 'smallParts')).toBe(
          HAZARDS.smallParts.holds(materialOf(id)),
        );
  });

  it('stands against the families whom it concerns, in any of their words, and against no others', () => {
    const hazards = hazardsOf([{ material: 'die' }, { material: 'dough' }, { material: 'bag' }]);
    const ids = (underThree: boolean, allergens: string) =>
      against(hazards, { underThree, allergens }).map(({ id }) => id);
    expect(ids(false, '')).toEqual([]);
    expect(ids(true, '')).toEqual(['smallParts']);
    expect(ids(false, 'Alérgica al TRIGO')).toEqual(['wheat']);
    expect(ids(true, 'gluten, latex')).toEqual(['smallParts', 'wheat']);
    expect(ids(false, 'القمح')).toEqual(['wheat']);
    expect(ids(false, 'bee stings; wait ten minutes')).toEqual([]);
    expect(against(hazardsOf([{ material: 'die' }]), { underThree: false, allergens: 'minutes' })).toEqual(
      [],
    );
  });
});

describe('the nearest safe version of a kit', () => {
  it('is free of what it leaves out, and every game in it is one of the kit', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...SHELF.map(({ id }) => id)), { minLength: 1, maxLength: 3 }),
        (ids) => {
          const kit = plan(...ids);
          const safer = saferKit(kit, ['smallParts', 'wheat']);
          if (!safer) return;
          expect(
            hazardsOf(recipeOf({ ...kit, variants: safer.variants }).parts).map(({ id }) => id),
          ).not.toContain('smallParts');
          expect(safer.variants.length + safer.dropped.length).toBe(ids.length);
          for (const { gameId } of safer.variants) expect(ids).toContain(gameId);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is the kit itself where nothing stands against it, and none where no game is left', () => {
    const safe = SHELF.map(({ id }) => id).filter(
      (id) => !hazardsOf(recipeOf(plan(id)).parts).some((one) => one.id === 'smallParts'),
    );
    expect(safe.length).toBeGreaterThan(3);
    const kit = plan(safe[0]!, safe[1]!);
    expect(saferKit(kit, ['smallParts'])).toEqual({ variants: kit.variants, changed: [], dropped: [] });
    expect(saferKit(plan('two-tone-spill'), ['smallParts'])).toBeUndefined();
    expect(saferKit(plan(safe[0]!, 'two-tone-spill'), ['smallParts'])).toMatchObject({
      dropped: ['two-tone-spill'],
    });
  });
});
