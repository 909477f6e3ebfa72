/** The catalogue of materials of a school: what it wrote over the shipped one, and what it added. */
import { and, asc, eq, inArray, isNotNull } from 'drizzle-orm';
import type { OwnKind } from '~/core/kits/shared';
import {
  catalogueOf,
  isOwnMaterial,
  type Catalogue,
  type MaterialFields,
  type SchoolMaterial,
} from '~/core/materials/school';
import { type SchoolHandle, transaction } from '../db';
import { schoolMaterial, stockItem } from '../schema';
import { log, saveOver, type Saving } from './changes';
import { ours } from './ours';

/** What the school wrote, with what one piece weighs where that was learned. */
export async function listMaterials(at: SchoolHandle): Promise<SchoolMaterial[]> {
  const rows = await at
    .select({
      id: schoolMaterial.material,
      fields: schoolMaterial.fields,
      names: schoolMaterial.names,
      putAwayAt: schoolMaterial.putAwayAt,
      massG: stockItem.unitG,
    })
    .from(schoolMaterial)
    .leftJoin(
      stockItem,
      and(
        eq(stockItem.schoolId, schoolMaterial.schoolId),
        eq(stockItem.material, schoolMaterial.material),
        isNotNull(stockItem.unitG),
      ),
    )
    .where(ours(at, schoolMaterial))
    .orderBy(asc(schoolMaterial.material));
  return rows.map(({ id, fields, names, putAwayAt, massG }) => ({
    id,
    ...fields,
    names,
    putAway: putAwayAt !== null,
    ...(massG === null ? {} : { massG }),
  }));
}

/** The catalogue of the school as it is now. */
export const catalogueNow = async (at: SchoolHandle): Promise<Catalogue> =>
  catalogueOf(await listMaterials(at));

/** The version of what the school wrote of a material; 1 is what it was before. */
export async function materialVersion(at: SchoolHandle, id: string): Promise<number> {
  const [found] = await at
    .select({ version: schoolMaterial.version })
    .from(schoolMaterial)
    .where(and(ours(at, schoolMaterial), eq(schoolMaterial.material, id as SchoolMaterial['id'])));
  return found?.version ?? 1;
}

/** Writes what a material is at this school. `usual` is what it was before anything was written. */
export const saveMaterial = (
  at: SchoolHandle,
  {
    id,
    mine,
    usual,
    openedOn,
  }: { id: SchoolMaterial['id']; mine: MaterialFields; usual: MaterialFields; openedOn: number },
  personId: string,
): Promise<Saving<MaterialFields>> =>
  transaction(at, async (tx) => {
    const { names: _, ...fields } = usual;
    // A row to lock: what was never written stands as it ships.
    await tx
      .insert(schoolMaterial)
      .values({ material: id, fields, names: usual.names })
      .onConflictDoNothing();
    const [now] = await tx
      .select()
      .from(schoolMaterial)
      .where(and(ours(tx, schoolMaterial), eq(schoolMaterial.material, id)))
      .for('update');
    return saveOver(tx, {
      thing: 'material',
      thingId: id,
      openedOn,
      mine,
      now: { version: now!.version, fields: { ...now!.fields, names: now!.names } },
      sets: ['allergens', 'flags'],
      personId,
      write: ({ names, ...written }, version) =>
        tx
          .update(schoolMaterial)
          .set({ fields: written, names, version })
          .where(and(ours(tx, schoolMaterial), eq(schoolMaterial.material, id))),
    });
  });

/** Adds a kind of part of the school's own. */
export const addMaterial = (
  at: SchoolHandle,
  id: SchoolMaterial['id'],
  { names, ...fields }: MaterialFields,
  personId: string,
): Promise<void> =>
  transaction(at, async (tx) => {
    await tx.insert(schoolMaterial).values({ material: id, fields, names });
    await tx.insert(stockItem).values({ material: id }).onConflictDoNothing();
    await log(tx, { thing: 'material', thingId: id, kind: 'added', after: { ...fields, names }, personId });
  });

/** Puts a kind of part away, or brings it back; what is on hand of it, and what copies hold, stays. */
export const putAwayMaterial = (
  at: SchoolHandle,
  { id, usual, away }: { id: SchoolMaterial['id']; usual: MaterialFields; away: boolean },
  personId: string,
): Promise<void> =>
  transaction(at, async (tx) => {
    const { names, ...fields } = usual;
    const putAwayAt = away ? new Date() : null;
    await tx
      .insert(schoolMaterial)
      .values({ material: id, fields, names, putAwayAt })
      .onConflictDoUpdate({
        target: [schoolMaterial.schoolId, schoolMaterial.material],
        set: { putAwayAt },
      });
    await log(tx, { thing: 'material', thingId: id, kind: away ? 'removed' : 'brought back', personId });
  });

/** Kinds of parts of the school's own among these, to be taken over by another school. */
export async function ownKinds(tx: SchoolHandle, ids: readonly string[]): Promise<OwnKind[]> {
  const own = ids.filter(isOwnMaterial);
  if (own.length === 0) return [];
  const rows = await tx
    .select({ id: schoolMaterial.material, fields: schoolMaterial.fields, names: schoolMaterial.names })
    .from(schoolMaterial)
    .where(and(ours(tx, schoolMaterial), inArray(schoolMaterial.material, own)))
    .orderBy(asc(schoolMaterial.material));
  return rows;
}

/** Takes kinds of parts of another school over, where they are not there yet. */
export async function addKinds(there: SchoolHandle, kinds: readonly OwnKind[]): Promise<void> {
  if (kinds.length)
    await there
      .insert(schoolMaterial)
      .values(kinds.map(({ id, fields, names }) => ({ material: id, fields, names })))
      .onConflictDoNothing();
}
