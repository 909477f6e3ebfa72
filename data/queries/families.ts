import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { FamilyFields } from '~/core/lending/families';
import { db, transaction, unlessTaken } from '../db';
import { answer, family, loan } from '../schema';
import { forgetLog, log, saveOver, type Saving } from './changes';

export type Family = typeof family.$inferSelect;
export type FamilyInput = FamilyFields;

export interface FamilyRow extends Family {
  /** Tags of the copies this family has now. */
  out: string[];
}

/** What a form of a family holds. */
export const familyFields = ({ name, language, reach, underThree, allergens }: Family): FamilyFields => ({
  name,
  language,
  reach,
  underThree,
  allergens,
});

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
export async function createFamily(
  input: FamilyInput,
  personId: string | null = null,
): Promise<Family | undefined> {
  return unlessTaken('family_name_is_taken', () =>
    transaction(async (tx) => {
      const [made] = await tx.insert(family).values(input).returning();
      await log(tx, { thing: 'family', thingId: made!.id, kind: 'added', after: input, personId });
      return made;
    }),
  );
}

/**
 * Changes a family whose form was opened on a version of it. Answers undefined when the name is taken, and `gone`
 * when it was forgotten meanwhile.
 */
export async function updateFamily(
  id: string,
  mine: FamilyInput,
  openedOn: number,
  personId: string | null = null,
): Promise<Saving<FamilyFields> | 'gone' | undefined> {
  return unlessTaken('family_name_is_taken', () =>
    transaction(async (tx) => {
      const [now] = await tx.select().from(family).where(eq(family.id, id)).for('update');
      if (!now || now.forgottenAt) return 'gone' as const;
      return saveOver(tx, {
        thing: 'family',
        thingId: id,
        openedOn,
        mine,
        now: { version: now.version, fields: familyFields(now) },
        personId,
        write: (fields, version) =>
          tx
            .update(family)
            .set({ ...fields, version })
            .where(eq(family.id, id)),
      });
    }),
  );
}

/** Adds many families at once, or none. Names that are there already are left as they are. Answers how many were added. */
export async function importFamilies(rows: FamilyInput[], personId: string | null = null): Promise<number> {
  if (rows.length === 0) return 0;
  return transaction(async (tx) => {
    const made = await tx.insert(family).values(rows).onConflictDoNothing().returning();
    await log(
      tx,
      ...made.map((one) => ({
        thing: 'family' as const,
        thingId: one.id,
        kind: 'added' as const,
        after: familyFields(one),
        personId,
      })),
    );
    return made.length;
  });
}

/**
 * Forgets a family: what is personal is overwritten everywhere, in its row, in what it answered and in the log of
 * changes; the loans stay as loans of nobody, and answers as numbers. Answers false while a copy is still out with
 * them.
 */
export function forgetFamily(id: string, personId: string | null = null): Promise<boolean> {
  return transaction(async (tx) => {
    await tx.execute(sql`select 1 from ${family} where ${family.id} = ${id} for update`);
    if (await tx.$count(loan, and(eq(loan.familyId, id), isNull(loan.closedAs)))) return false;
    const [gone] = await tx
      .update(family)
      .set({
        name: 'Forgotten family',
        reach: '',
        allergens: '',
        underThree: false,
        forgottenAt: new Date(),
        version: sql`${family.version} + 1`,
      })
      .where(and(eq(family.id, id), isNull(family.forgottenAt)))
      .returning({ version: family.version });
    if (!gone) return true;
    const loans = tx.select({ id: loan.id }).from(loan).where(eq(loan.familyId, id));
    await tx
      .update(answer)
      // The key was made of what was said: it would tell whoever guesses the words that they were right.
      .set({ childDid: '', missing: '', anythingElse: '', sendKey: sql`'forgotten ' || ${answer.id}` })
      .where(inArray(answer.loanId, loans));
    await forgetLog(tx, 'family', id);
    await log(tx, { thing: 'family', thingId: id, kind: 'forgotten', version: gone.version, personId });
    return true;
  });
}
