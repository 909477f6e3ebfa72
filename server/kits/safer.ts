/** The nearest version of a kit for families with a child under three. */
import { same } from '~/core/check/merge';
import { against, hazardsOf, type Hazard, type SaferKit } from '~/core/kits/safety';
import { kitAbout } from '~/core/kits/forms';
import type { KitPart } from '~/core/kits/recipe';
import type { SchoolHandle } from '~/data/db';
import { createVariant, planOf, saveKit, type KitWithVariants } from '~/data/queries/kits';
import { listMaterials } from '~/data/queries/materials';
import { catalogueOf } from '~/core/materials/school';
import { saferOf } from '../threads';

/** What stands against families with a child under three, and the nearest version without it; undefined where none is. */
export async function forUnderThree(
  at: SchoolHandle,
  kit: KitWithVariants,
  parts: readonly KitPart[],
): Promise<{ stops: Hazard[]; safer?: SaferKit }> {
  const school = await listMaterials(at);
  const stops = against(hazardsOf(parts, catalogueOf(school)), { underThree: true, allergens: '' });
  if (stops.length === 0) return { stops };
  const safer = await saferOf({ plan: planOf(kit), school, without: stops.map(({ id }) => id) });
  return { stops, ...(safer ? { safer } : {}) };
}

/** A name that nothing has: with a number behind it where it is taken. */
async function withFreeName<T>(name: string, make: (name: string) => Promise<T | undefined>): Promise<T> {
  for (let n = 1; n <= 50; n++) {
    const made = await make(n === 1 ? name : `${name} ${n}`);
    if (made !== undefined) return made;
  }
  throw new Error('No free name was found.');
}

/** Keeps the nearest safe version as a kit of its own; its id. */
export async function keepSafer(
  at: SchoolHandle,
  kit: KitWithVariants,
  safer: SaferKit,
  personId: string,
): Promise<string> {
  const variantIds: string[] = [];
  for (const { gameId, name, params, own } of safer.variants) {
    const before = kit.variants.find((one) => one.name === name)!;
    if (same(before.params, params)) {
      variantIds.push(before.id);
      continue;
    }
    const made = await withFreeName(`${name.slice(0, 40)}, under three`, (free) =>
      createVariant(at, {
        gameId,
        name: free,
        params,
        ageBand: before.ageBand,
        createdBy: personId,
        ...(own ? { own } : {}),
      }),
    );
    variantIds.push(made.id);
  }
  return withFreeName(`${kit.name.slice(0, 40)}, under three`, (name) =>
    saveKit(at, { ...kitAbout(kit), name, variantIds }, personId),
  );
}
