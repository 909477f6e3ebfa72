import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHELF } from '~/core/games/shelf';
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { PACK_ITEMS, type PackItem } from '~/core/pack/choices';
import { packSheets } from '~/core/pack/pack';
import { contextOf, PAPER_NAMES } from '~/core/paper/testing';
import { materialOf } from '~/core/materials/catalogue';
import { recipeOf, type KitPlan, type KitVariant } from './recipe';
import { ASSURANCES, type Assurance } from './assurance';

/** What holds for any basket somebody may fill. */
const VARIANTS: KitVariant[] = SHELF.flatMap((game) =>
  game.presets.map(({ name, params }) => ({ gameId: game.id, name: `${game.id}, ${name}`, params })),
);
const plans = fc.record({
  ageBand: fc.constantFrom(...(Object.keys(AGE_BANDS) as AgeBand[])),
  players: fc.integer({ min: 1, max: 6 }),
  assurance: fc.constantFrom(...(Object.keys(ASSURANCES) as Assurance[])),
  variants: fc.uniqueArray(fc.constantFrom(...VARIANTS), { minLength: 1, maxLength: 5 }),
});
const holds = (law: (plan: KitPlan) => void, numRuns = 60): void =>
  fc.assert(
    fc.property(plans, (plan) => law(plan)),
    { numRuns, seed: 7 },
  );
const quantities = (plan: KitPlan): Record<string, number> =>
  Object.fromEntries(recipeOf(plan).parts.map(({ material, quantity }) => [material, quantity]));

describe('any basket', () => {
  it('has enough for each of its games alone, and never fewer parts with one game more', () => {
    holds((plan) => {
      const all = quantities(plan);
      for (const variant of plan.variants)
        for (const [material, quantity] of Object.entries(quantities({ ...plan, variants: [variant] })))
          expect([material, all[material]! >= quantity]).toEqual([material, true]);
      const fewer = quantities({ ...plan, variants: plan.variants.slice(1) });
      for (const [material, quantity] of Object.entries(fewer))
        expect([material, all[material]! >= quantity]).toEqual([material, true]);
    });
  });

  it('is the same whatever order its games are put in', () => {
    holds((plan) => {
      expect(quantities({ ...plan, variants: [...plan.variants].reverse() })).toEqual(quantities(plan));
    });
  });

  it('shares what lasts and adds up the rest', () => {
    holds((plan) => {
      const alone = plan.variants.map((variant) => quantities({ ...plan, variants: [variant] }));
      for (const { material, quantity } of recipeOf(plan).parts) {
        if (material === 'bag' || material === 'instruction-sheet') continue;
        const needs = alone.map((one) => one[material] ?? 0);
        expect([material, quantity]).toEqual([
          material,
          materialOf(material).kind === 'durable' ? Math.max(...needs) : needs.reduce((a, b) => a + b, 0),
        ]);
      }
    });
  });

  it('holds at least as much when the most is asked for as when the usual is', () => {
    holds((plan) => {
      const usual = quantities({ ...plan, assurance: 'usual' });
      const worst = quantities({ ...plan, assurance: 'worst' });
      expect(Object.keys(worst)).toEqual(Object.keys(usual));
      for (const [material, quantity] of Object.entries(usual))
        expect([material, worst[material]! >= quantity]).toEqual([material, true]);
    });
  });

  it('gives every number a reason, and counts whole things', () => {
    holds((plan) => {
      const { parts, minutes, costCents } = recipeOf(plan);
      for (const { material, quantity, reasons } of parts) {
        expect([material, Number.isInteger(quantity) && quantity > 0]).toEqual([material, true]);
        expect(reasons.length).toBeGreaterThan(0);
      }
      expect(minutes).toBeGreaterThan(0);
      expect([Number.isInteger(costCents), costCents >= 0]).toEqual([true, true]);
    });
  });

  it('is printed with every paper part as often as its contents say, on either paper', () => {
    const items = (Object.keys(PACK_ITEMS) as PackItem[]).filter((item) => item !== 'standIns');
    holds((plan) => {
      const recipe = recipeOf(plan);
      const wanted = Object.fromEntries(
        recipe.parts
          .filter(
            ({ material }) => materialOf(material).kind === 'printed' && material !== 'instruction-sheet',
          )
          .map(({ material, quantity }) => [material, quantity]),
      );
      for (const paper of PAPER_NAMES) {
        const sheets = packSheets(
          {
            kitName: 'Basket',
            schoolName: 'School',
            plan,
            parts: recipe.parts,
            items,
            scope: 'each',
            labels: {},
            checked: {},
            copies: [{ tag: 'K7M4W', link: 'http://127.0.0.1/p/x' }],
          },
          contextOf({ paper }),
        );
        const counted: Record<string, number> = {};
        for (const { material, name, spare } of sheets.flatMap(({ pieces }) => pieces ?? []))
          // A board of several sheets of paper is one; labels and the slip are no parts.
          if (!spare && !name.includes(', sheet ') && material in wanted)
            counted[material] = (counted[material] ?? 0) + 1;
        expect([plan.variants.map(({ name }) => name), counted]).toEqual([
          plan.variants.map(({ name }) => name),
          wanted,
        ]);
      }
    }, 40);
  }, 300_000);
});
