import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { startOf } from '~/core/games/kit/game';
import { gameOf, SHELF } from '~/core/games/shelf';
import { hazardsOf, against } from '~/core/kits/safety';
import { recipeOf, swapFault, type KitPlan, type Swaps } from '~/core/kits/recipe';
import { verdictOfCopy } from '~/core/kits/verdict';
import { instructionSheets } from '~/core/pack/instructions';
import { contextOf } from '~/core/paper/testing';
import { readingOf } from '~/core/words/readings';
import { say } from '~/core/words/reading';
import { open } from '~/core/own/open';
import { formsOf, sampleOf } from '~/core/words/inspect';
import { materialOf, materials, type AnyMaterialId } from './catalogue';
import { asWritten, catalogueOf, SHIPPED, shownName, type SchoolMaterial } from './school';

const caps: SchoolMaterial = {
  ...asWritten(materialOf('token')),
  id: 'own-acorn-cap-2k7',
  name: 'acorn cap',
  plural: 'acorn caps',
  form: 'disc',
  smallestMm: 12,
  middleMm: 40,
  largestMm: 40,
  washable: false,
  standsInFor: 'chip',
  changes: 'They roll: play on a cloth.',
  names: { es: { one: 'gorrito de bellota', other: 'gorritos de bellota' } },
};
const plan = (id: string, more: Partial<KitPlan> = {}): KitPlan => ({
  ageBand: 'g1',
  players: 2,
  assurance: 'usual',
  variants: [{ gameId: id, name: id, params: startOf(gameOf(id)) }],
  ...more,
});
const quantities = (of: KitPlan, catalogue = SHIPPED) =>
  Object.fromEntries(recipeOf(of, catalogue).parts.map(({ material, quantity }) => [material, quantity]));

describe('the catalogue of a school', () => {
  it('is the shipped one where nothing was written', () => {
    expect(catalogueOf([])).toBe(SHIPPED);
    for (const { id } of materials()) expect(catalogueOf([caps]).of(id)).toEqual(materialOf(id));
  });

  it('says of a shipped part what ships, when it is written as it is', () => {
    for (const material of materials()) {
      const { pack: _, cautions: __, ...written } = catalogueOf([asWritten(material)]).of(material.id);
      const { pack: ___, cautions, ...shipped } = material;
      expect(written).toEqual(shipped);
      expect(catalogueOf([asWritten(material)]).of(material.id).cautions).toEqual(cautions);
    }
  });

  it('knows what was added, where it lies in a bag, and refuses what nobody added', () => {
    const { of, all } = catalogueOf([caps]);
    expect(of(caps.id).plural).toBe('acorn caps');
    expect(all.map(({ id }) => id).indexOf(caps.id)).toBe(all.map(({ id }) => id).indexOf('chip') + 1);
    expect(all).toHaveLength(materials().length + 1);
    expect(() => of('gold')).toThrow(RangeError);
    expect(of('own-from-elsewhere').plural).toBe('parts');
  });

  it('names parts in the languages that were written, and English elsewhere', () => {
    const { words } = catalogueOf([
      caps,
      { ...asWritten(materialOf('cube')), name: 'snap cube', plural: 'snap cubes' },
    ]);
    expect(say(readingOf('es'), words, caps.id, { quantity: 1 })).toBe('1 gorrito de bellota');
    expect(say(readingOf('es'), words, caps.id, { quantity: 12 })).toBe('12 gorritos de bellota');
    expect(say(readingOf('pt'), words, caps.id, { quantity: 12 })).toBe('12 acorn caps');
    expect(say(readingOf('en'), words, 'cube', { quantity: 2 })).toBe('2 snap cubes');
    expect(say(readingOf('es'), words, 'cube', { quantity: 2 })).toBe('2 cubos encajables');
  });

  it('shows each plural form of a language with a count that takes it', () => {
    expect(formsOf('en')).toEqual(['one', 'other']);
    expect(formsOf('ar')).toHaveLength(5);
    for (const form of formsOf('ar')) {
      const names = { other: 'B', [form]: 'A' };
      expect(shownName('ar', names, sampleOf('ar', form))).toContain('A');
    }
    expect(shownName('es', {}, 3)).toBe('');
    expect(shownName('es', { other: "d'oro" }, 3)).toBe("3 d'oro");
  });

  it('follows size and what a part is made of in every caution', () => {
    const dough = { ...asWritten(materialOf('dough')), allergens: [], otherAllergens: 'Soy, lanolin' };
    const { of } = catalogueOf([dough]);
    expect(of('dough').cautions.map(({ code }) => code)).toEqual(['allergen-soy', 'allergen-lanolin']);
    const parts = [{ material: 'dough' as const, quantity: 1, reasons: [] }];
    const stops = (allergens: string) =>
      against(hazardsOf(parts, catalogueOf([dough])), { underThree: false, allergens }).map(({ id }) => id);
    expect(stops('wheat, gluten')).toEqual([]);
    expect(stops('SOY')).toEqual(['allergen']);
    expect(against(hazardsOf(parts), { underThree: false, allergens: 'gluten' }).map(({ id }) => id)).toEqual(
      ['wheat'],
    );
    const large = { ...asWritten(materialOf('die')), smallestMm: 40, middleMm: 40, largestMm: 40 };
    const dice = [{ material: 'die' as const }];
    expect(hazardsOf(dice).map(({ id }) => id)).toEqual(['smallParts']);
    expect(hazardsOf(dice, catalogueOf([large]))).toEqual([]);
    const ball = { ...asWritten(materialOf('ball')), smallestMm: 42, middleMm: 42, largestMm: 42 };
    expect(hazardsOf([{ material: 'ball' }], catalogueOf([ball])).map(({ id }) => id)).toContain('smallBall');
    expect(catalogueOf([ball]).of('ball').cautions[0]!.text).toContain('this one is not, at 42 mm');
  });

  it('lets nothing that was put away stand in', () => {
    const by = (school: SchoolMaterial[]) => catalogueOf(school).standIns.filter((one) => one.by === caps.id);
    expect(by([caps])).toEqual([{ for: 'chip', by: caps.id, changes: caps.changes }]);
    expect(by([{ ...caps, putAway: true }])).toEqual([]);
    const blocks = { ...asWritten(materialOf('block')), putAway: true };
    expect(catalogueOf([blocks]).standIns.some((one) => one.by === 'block')).toBe(false);
    expect(catalogueOf([blocks]).of('block').plural).toBe('stacking blocks');
  });
});

describe('what stands in for a part', () => {
  const swaps: Swaps = { cube: 'block' };

  it('is in the bag instead, as many of it, and says so', () => {
    const usual = quantities(plan('skyline-rolls'));
    const swapped = quantities(plan('skyline-rolls', { swaps }));
    expect(usual.cube).toBeGreaterThan(0);
    expect(swapped).toEqual(
      Object.fromEntries(Object.entries(usual).map(([id, n]) => [id === 'cube' ? 'block' : id, n])),
    );
    const part = recipeOf(plan('skyline-rolls', { swaps })).parts.find(
      ({ material }) => material === 'block',
    )!;
    expect(part.reasons.join(' ')).toContain('They stand in for connecting cubes.');
  });

  it('is judged as what it stands in for, under its own name', () => {
    const of = plan('skyline-rolls', { swaps });
    const held = quantities(of) as Record<AnyMaterialId, number>;
    expect(verdictOfCopy({ plan: of, held }).copy).toBe('asItIs');
    const none = verdictOfCopy({ plan: of, held: { ...held, block: 0, cube: 1000 } });
    expect(none.copy).not.toBe('asItIs');
    expect(none.games[0]!.note).toContain('stacking blocks');
    expect(none.restock.block).toBe(held.block);
  });

  it('is told on the sheet, in both languages', () => {
    const context = { ...contextOf({ finish: 'plain' }), readings: [readingOf('es'), readingOf('en')] };
    const { variant, parts } = recipeOf(plan('skyline-rolls', { swaps })).variants[0]!;
    const source = {
      variant: open(variant),
      players: 2,
      minutes: 10,
      parts,
      unchecked: [],
      heard: [],
      linked: false,
    };
    const words = JSON.stringify(instructionSheets(source, context));
    expect(words).toMatch(/in place of/);
    expect(words).toMatch(/en lugar de/);
  });

  it('is refused where it is no stand-in, and where a game needs both', () => {
    expect(swapFault(plan('skyline-rolls', { swaps }))).toBeUndefined();
    expect(swapFault(plan('skyline-rolls', { swaps: { cube: 'peg' } }))).toMatch(/do not stand in/);
    for (const game of SHELF)
      for (const { for: usual, by } of SHIPPED.standIns) {
        const of = { ...plan(game.id), swaps: { [usual]: by } as Swaps };
        const needs = open(of.variants[0]!)
          .needs('g1')
          .parts.map(({ material }) => material as string);
        expect(Boolean(swapFault(of))).toBe(needs.includes(usual) && needs.includes(by));
      }
  });

  it('changes nothing but the name of what is in the bag, whatever the games and whatever stands in', () => {
    const ids = SHELF.map(({ id }) => id);
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...ids), { minLength: 1, maxLength: 3 }),
        fc.subarray([...SHIPPED.standIns]),
        (games, standIns) => {
          const variants = games.map((id) => ({ gameId: id, name: id, params: startOf(gameOf(id)) }));
          const chosen = Object.fromEntries(standIns.map(({ for: usual, by }) => [usual, by])) as Swaps;
          const of: KitPlan = { ...plan(games[0]!), variants, swaps: chosen };
          if (swapFault(of)) return;
          const [usual, swapped] = [recipeOf({ ...of, swaps: {} }), recipeOf(of)];
          // Each game uses as many of everything as before.
          usual.variants.forEach(({ parts }, i) =>
            expect(swapped.variants[i]!.parts.map(({ quantity }) => quantity)).toEqual(
              parts.map(({ quantity }) => quantity),
            ),
          );
          const held = Object.fromEntries(swapped.parts.map((part) => [part.material, part.quantity]));
          const before = Object.fromEntries(usual.parts.map((part) => [part.material, part.quantity]));
          expect(verdictOfCopy({ plan: of, held }).copy).toBe(
            verdictOfCopy({ plan: { ...of, swaps: {} }, held: before }).copy,
          );
        },
      ),
      { numRuns: 40 },
    );
  });
});
