import { beforeEach, describe, expect, it } from 'vitest';
import { recipeOf } from '~/core/kits/recipe';
import { materialOf } from '~/core/materials/catalogue';
import { asWritten, type MaterialFields } from '~/core/materials/school';
import { buildCopies } from '~/data/queries/building';
import { logOf } from '~/data/queries/changes';
import { findCopy } from '~/data/queries/copies';
import { changeKit, findKit, planOf } from '~/data/queries/kits';
import {
  addMaterial,
  catalogueNow,
  listMaterials,
  materialVersion,
  ownKinds,
  putAwayMaterial,
  saveMaterial,
} from '~/data/queries/materials';
import { bringIn, learnWeight, listStock, offersOf, onHandNow } from '~/data/queries/store';
import { fieldsOf, materialIn, newMaterialId } from '~/server/kits/materials';
import { storeFromCsv, storeToCsv } from '~/server/kits/store-csv';
import { secureRandom } from '~/server/random';
import { addVariant, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
const person = (): string => world.people.coordinator.id;
const caps: MaterialFields = {
  ...fieldsOf(asWritten(materialOf('token'))),
  name: 'acorn cap',
  plural: 'acorn caps',
  standsInFor: 'cube',
  changes: 'They do not stack.',
  names: { es: { one: 'gorrito', other: 'gorritos' } },
};
const CAPS = 'own-acorn-cap-2k7';
const dice = fieldsOf(asWritten(materialOf('die')));

describe('the catalogue of a school', () => {
  it('keeps what was written, and merges what two people wrote of one part', async () => {
    const write = (change: Partial<MaterialFields>, openedOn: number) =>
      saveMaterial(world.at, { id: 'die', mine: { ...dice, ...change }, usual: dice, openedOn }, person());
    expect(await materialVersion(world.at, 'die')).toBe(1);
    expect(await write({ largestMm: 40 }, 1)).toMatchObject({ ok: true, version: 2 });
    // Another form was opened before that; it changes something else, and both stand.
    expect(await write({ washable: false }, 1)).toMatchObject({ ok: true, version: 3 });
    expect((await catalogueNow(world.at)).of('die')).toMatchObject({ largestMm: 40, washable: false });
    const late = await write({ largestMm: 50 }, 1);
    expect(late).toMatchObject({
      ok: false,
      stale: { clashes: [{ field: 'largestMm', theirs: 40, mine: 50 }] },
    });
    expect(await logOf(world.at, 'material', 'die')).toHaveLength(2);
    await learnWeight(world.at, 'die', { unitG: 4.4, unitSdG: 0.1, sample: 20 });
    expect((await catalogueNow(world.at)).of('die').massG).toBe(4.4);
  });

  it('writes the first change of a part once, when two make it at the same moment', async () => {
    const made = await Promise.all(
      [{ largestMm: 40 }, { largestMm: 40 }].map((change) =>
        saveMaterial(
          world.at,
          { id: 'die', mine: { ...dice, ...change }, usual: dice, openedOn: 1 },
          person(),
        ),
      ),
    );
    expect(made.every(({ ok }) => ok)).toBe(true);
    expect(await materialVersion(world.at, 'die')).toBe(2);
  });

  it('has kinds of parts of its own in the store, on its list and in a list that is brought in', async () => {
    await addMaterial(world.at, CAPS, caps, person());
    expect(await offersOf(world.at, [CAPS, 'die'])).toHaveLength(1);
    await bringIn(world.at, [{ material: CAPS, onHand: 30, place: 'shelf 2' }], person());
    const catalogue = await catalogueNow(world.at);
    const text = storeToCsv(await listStock(world.at));
    const read = storeFromCsv(text, catalogue);
    expect(read.ok && read.rows.map(({ item, problem }) => [item?.material, item?.onHand, problem])).toEqual([
      [CAPS, 30, undefined],
    ]);
    const named = storeFromCsv('material,onHand\nAcorn Caps,12\n', catalogue);
    expect(named.ok && named.rows[0]!.item?.material).toBe(CAPS);
    expect(storeFromCsv(text).ok && storeFromCsv(text)).toMatchObject({
      rows: [{ problem: /no such part/ }],
    });
    await putAwayMaterial(world.at, { id: CAPS, usual: caps, away: true }, person());
    expect((await listMaterials(world.at)).map(({ putAway }) => putAway)).toEqual([true]);
    expect((await onHandNow(world.at))[CAPS]).toBe(30);
    await putAwayMaterial(world.at, { id: CAPS, usual: caps, away: false }, person());
    expect((await catalogueNow(world.at)).standIns.some(({ by }) => by === CAPS)).toBe(true);
    expect(await ownKinds(world.at, [CAPS, 'die'])).toMatchObject([{ id: CAPS, names: caps.names }]);
  });

  it('takes what stands in out of the store, and a copy holds it', async () => {
    const towers = await addVariant(world, 'skyline-rolls', 'Towers');
    await addMaterial(world.at, CAPS, caps, person());
    const now = (await findKit(world.at, world.kitId))!;
    const variantIds = [...now.variants.map(({ id }) => id), towers.id];
    await changeKit(world.at, now.id, { ...now, swaps: { cube: CAPS }, variantIds }, now.version, person());
    const kit = (await findKit(world.at, world.kitId))!;
    expect(kit.swaps).toEqual({ cube: CAPS });
    const { parts } = recipeOf(planOf(kit), await catalogueNow(world.at));
    const need = parts.find(({ material }) => material === CAPS)!.quantity;
    expect(parts.some(({ material }) => material === 'cube')).toBe(false);
    await bringIn(world.at, [{ material: CAPS, onHand: need + 3 }], person());
    const { tags } = await buildCopies(world.at, {
      kit,
      count: 1,
      builtOn: '2026-11-02',
      builtBy: person(),
      take: 'all',
      newTag: () => '33333',
      newLinkKey: () => 'k'.repeat(22),
    });
    expect((await onHandNow(world.at))[CAPS]).toBe(3);
    const copy = (await findCopy(world.at, { tag: tags[0]! }))!;
    expect(copy.parts.find(({ material }) => material === CAPS)?.quantity).toBe(need);
    expect(copy.plan.swaps).toEqual({ cube: CAPS });
  });
});

describe('the form of a kind of part', () => {
  const form = (change: Record<string, string | string[]> = {}): FormData => {
    const made = new FormData();
    const fields: Record<string, string | string[]> = {
      name: 'acorn cap',
      plural: 'acorn caps',
      kind: 'durable',
      form: 'disc',
      smallestMm: '25',
      middleMm: '12.5',
      largestMm: '25',
      'names.es.one': ' gorrito ',
      'names.es.other': 'gorritos',
      ...change,
    };
    for (const [name, value] of Object.entries(fields))
      for (const one of [value].flat()) made.append(name, one);
    return made;
  };

  it('puts dimensions in order and keeps the names that were given', () => {
    const read = materialIn(form({ allergens: ['nuts', 'latex'], flags: 'cord', washable: 'true' }), [
      'en',
      'es',
    ]);
    expect(read).toMatchObject({
      ok: true,
      fields: {
        smallestMm: 12.5,
        middleMm: 25,
        largestMm: 25,
        allergens: ['nuts', 'latex'],
        flags: ['cord'],
        washable: true,
        names: { es: { one: 'gorrito', other: 'gorritos' } },
      },
    });
  });

  it('says in a sentence what cannot be, by its box', () => {
    const wrong = (change: Record<string, string | string[]>, id?: 'chip') => {
      const read = materialIn(form(change), ['en', 'es'], id);
      return read.ok ? {} : read.errors;
    };
    expect(wrong({ name: ' ' })).toHaveProperty('name');
    expect(wrong({ name: '{quantity}' })).toHaveProperty('name');
    expect(wrong({ smallestMm: '0' })).toHaveProperty('smallestMm');
    expect(wrong({ largestMm: '1e9' })).toHaveProperty('largestMm');
    expect(wrong({ allergens: 'gold' })).toHaveProperty(['allergens.0']);
    expect(wrong({ form: 'cloud' })).toHaveProperty('form');
    expect(wrong({ 'names.es.other': '' })).toHaveProperty(['names.es.other']);
    expect(wrong({ 'names.es.one': 'a # b' })).toHaveProperty(['names.es.one']);
    expect(wrong({ standsInFor: 'board' })).toHaveProperty('standsInFor');
    expect(wrong({ standsInFor: 'chip' }, 'chip')).toHaveProperty('standsInFor');
    expect(wrong({})).toEqual({});
  });

  it('gives ids that are read in a list and are not given twice', () => {
    const ids = Array.from({ length: 50 }, () => newMaterialId('Ácorn caps, small!', secureRandom));
    expect(new Set(ids).size).toBe(50);
    for (const id of ids) expect(id).toMatch(/^own-acorn-caps-small-[2-9a-z]{5}$/);
    expect(newMaterialId('木', secureRandom)).toMatch(/^own-[2-9a-z]{5}$/);
  });
});
