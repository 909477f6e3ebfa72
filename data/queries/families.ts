import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Language } from '~/core/words/message';
import { db, refusedBy } from '../db';
import { family, loan } from '../schema';

export type Family = typeof family.$inferSelect;

export interface FamilyInput {
  name: string;
  language: Language;
  reach: string;
  underThree: boolean;
  allergens: string;
}

export interface FamilyRow extends Family {
  /** Tags of the copies this family has now. */
  out: string[];
}

/** All families that were not forgotten, by name. */
export async function listFamilies(): Promise<FamilyRow[]> {
  const rows = await db()
    .select({
      family,
      out: sql<
        string[]
      >`coalesce((select array_agg(c.tag order by c.tag) from loan l join copy c on c.id = l.copy_id where l.family_id = "family"."id" and l.closed_as is null), '{}')`,
    })
    .from(family)
    .where(isNull(family.forgottenAt))
    .orderBy(asc(sql`lower(${family.name})`));
  return rows.map(({ family: one, out }) => ({ ...one, out }));
}

export async function findFamily(id: string): Promise<Family | undefined> {
  return (
    await db()
      .select()
      .from(family)
      .where(and(eq(family.id, id), isNull(family.forgottenAt)))
  )[0];
}

/** Adds a family. Answers undefined when the name is taken. */
export async function createFamily(input: FamilyInput): Promise<Family | undefined> {
  return taken(async () => (await db().insert(family).values(input).returning())[0]);
}

/** Changes a family. Answers undefined when the name is taken. */
export async function updateFamily(id: string, input: FamilyInput): Promise<Family | undefined> {
  return taken(
    async () =>
      (
        await db()
          .update(family)
          .set(input)
          .where(and(eq(family.id, id), isNull(family.forgottenAt)))
          .returning()
      )[0],
  );
}

async function taken<T>(work: () => Promise<T>): Promise<T | undefined> {
  try {
    return await work();
  } catch (error) {
    if (refusedBy(error) === 'family_name_is_taken') return undefined;
    throw error;
  }
}

/** Adds many families at once, or none. Names that are there already are left as they are. Answers how many were added. */
export async function importFamilies(rows: FamilyInput[]): Promise<number> {
  if (rows.length === 0) return 0;
  return (await db().insert(family).values(rows).onConflictDoNothing().returning({ id: family.id })).length;
}

/**
 * Forgets a family: what is personal is overwritten, the loans stay as loans of nobody. Answers false while a
 * copy is still out with them.
 */
export function forgetFamily(id: string): Promise<boolean> {
  return db().transaction(async (tx) => {
    await tx.execute(sql`select 1 from ${family} where ${family.id} = ${id} for update`);
    if (await tx.$count(loan, and(eq(loan.familyId, id), isNull(loan.closedAs)))) return false;
    await tx
      .update(family)
      .set({ name: 'Forgotten family', reach: '', allergens: '', underThree: false, forgottenAt: new Date() })
      .where(eq(family.id, id));
    return true;
  });
}
