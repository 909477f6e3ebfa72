/** The store of the demo: what was counted, where it stands, what was bought and lost since. */
import type { OwnMaterialId } from '~/core/materials/catalogue';
import type { SchoolHandle } from '../db';
import { addMaterial } from '../queries/materials';
import { addOffer, countStock, learnWeight, moveStock, placeStock } from '../queries/store';

/** Gathered in the school yard; they stand in for flat stones. */
export const ACORN_CAPS: OwnMaterialId = 'own-acorn-cap-7k3pw';

/** The store: shelf by shelf, with what was bought and lost since it was counted. */
export async function fillStore(at: SchoolHandle, createdBy: string): Promise<void> {
  await addMaterial(
    at,
    ACORN_CAPS,
    {
      name: 'acorn cap',
      plural: 'acorn caps',
      kind: 'durable',
      form: 'disc',
      smallestMm: 12,
      middleMm: 24,
      largestMm: 24,
      allergens: [],
      otherAllergens: '',
      flags: [],
      washable: false,
      standsInFor: 'hop-stone',
      changes: 'They roll: play on a cloth.',
      names: {
        es: { one: 'gorrito de bellota', other: 'gorritos de bellota' },
        pt: { one: 'chapéu de bolota', other: 'chapéus de bolota' },
      },
    },
    createdBy,
  );
  await countStock(
    at,
    STORE.map(([material, counted]) => ({ material, counted })),
    createdBy,
  );
  for (const [material, , place, reorderAt] of STORE)
    await placeStock(at, material, { place, reorderAt }, createdBy);
  await moveStock(at, { material: 'cube', kind: 'bought', quantity: 100, note: 'for the spring' }, createdBy);
  await moveStock(at, { material: 'die', kind: 'lost', quantity: -3 }, createdBy);
  await moveStock(at, { material: 'pencil', kind: 'worn', quantity: -12 }, createdBy);
  await addOffer(at, { material: 'cube', name: 'bag of 100', size: 100, priceCents: 1600 });
  await addOffer(at, { material: 'cube', name: 'crate of 500', size: 500, priceCents: 6900 });
  await learnWeight(at, 'two-colour-counter', { unitG: 1.2, unitSdG: 0.02, sample: 100 });
  await learnWeight(at, 'cube', { unitG: 4, unitSdG: 0.05, sample: 60 });
}

const STORE: readonly (readonly [material: string, counted: number, place: string, reorderAt: number])[] = [
  ['two-colour-counter', 240, 'Workroom, shelf 1, green box', 100],
  ['chip', 310, 'Workroom, shelf 1, green box', 100],
  ['cube', 140, 'Workroom, shelf 2', 300],
  ['die', 22, 'Workroom, shelf 2', 24],
  ['card-deck', 6, 'Workroom, shelf 2', 6],
  ['cup', 14, 'Hall cupboard', 6],
  ['small-cup', 40, 'Hall cupboard', 20],
  ['pencil', 60, 'Hall cupboard', 24],
  ['hop-stone', 12, 'Hall cupboard', 8],
  [ACORN_CAPS, 64, 'Hall cupboard', 20],
  ['paper-clip', 90, 'Workroom, shelf 1, green box', 20],
  ['bag', 16, 'Hall cupboard', 10],
];
