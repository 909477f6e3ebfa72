import { and, asc, desc, eq, isNull, sql, type SQL } from 'drizzle-orm';
import { dayIn } from '~/core/lending/due';
import { NEW_FAMILY, type FamilyFields } from '~/core/lending/families';
import type { Language } from '~/core/words/languages';
import { type SchoolHandle, transaction } from '../db';
import { unlessTaken } from '../trouble';
import { family, loan } from '../schema';
import { fillHolds } from './holds';
import { ours } from './ours';
import { dropPicturesOf } from './pictures';
import { log, saveOver, type Saving } from './changes';
import { eraseWords } from './forgetting';

export type Family = typeof family.$inferSelect;
/** What is not known of a family stands as for a new one. */
export type FamilyInput = Partial<FamilyFields> & Pick<FamilyFields, 'name' | 'language'>;

export interface FamilyRow extends Family {
  /** Tags of the copies this family has now. */
  out: string[];
}

/** What a form of a family holds. */
export const familyFields = (one: Family): FamilyFields => ({
  name: one.name,
  language: one.language,
  speaks: one.speaks,
  children: one.children,
  group: one.group,
  reach: one.reach,
  channel: one.channel,
  weekly: one.weekly,
  underThree: one.underThree,
  allergens: one.allergens,
  pictures: one.pictures,
});

const OUT = sql<
  string[]
>`coalesce((select array_agg(c.tag order by c.tag) from loan l join copy c on c.school_id = l.school_id and c.id = l.copy_id where l.school_id = "family"."school_id" and l.family_id = "family"."id" and l.closed_as is null), '{}')`;

/** How a list of families is sorted; by name where it is the same. */
export const FAMILY_SORTS = {
  name: asc(family.searchName),
  language: asc(family.language),
  out: desc(
    sql`(select count(*) from loan l where l.school_id = "family"."school_id" and l.family_id = "family"."id" and l.closed_as is null)`,
  ),
} as const satisfies Record<string, SQL>;
export type FamilySort = keyof typeof FAMILY_SORTS;

/** Families whose name has each of these words in it, whatever accents and case. */
const named = (at: SchoolHandle, words: readonly string[]): SQL | undefined =>
  and(
    ours(at, family),
    isNull(family.forgottenAt),
    ...words.map((word) => sql`${family.searchName} like '%' || ${literally(word)} || '%'`),
  );
/** A word as a pattern that means nothing but itself. */
const literally = (word: string): SQL => sql`public.searchable(${word.replace(/[\\%_]/g, '\\$&')})`;
const wordsOf = (text: string): string[] => text.split(/\s+/).filter(Boolean).slice(0, 8);

export interface FamilyPage {
  families: FamilyRow[];
  /** How many there are in all, and how many of them fit what is looked for. */
  all: number;
  found: number;
}

/** A page of the families that were not forgotten. */
export async function pageOfFamilies(
  at: SchoolHandle,
  asked: {
    text: string;
    sort: FamilySort;
    first: number;
    most: number;
  },
): Promise<FamilyPage> {
  const words = wordsOf(asked.text);
  const [rows, found, all] = await Promise.all([
    at
      .select({ family, out: OUT })
      .from(family)
      .where(named(at, words))
      .orderBy(FAMILY_SORTS[asked.sort], FAMILY_SORTS.name)
      .offset(asked.first)
      .limit(asked.most),
    words.length ? at.$count(family, named(at, words)) : undefined,
    at.$count(family, named(at, [])),
  ]);
  return { families: rows.map(({ family: one, out }) => ({ ...one, out })), all, found: found ?? all };
}

/**
 * Families whose name has every word of a text, those that begin with its first word before the others; the one that
 * is called just so alone.
 */
export async function familiesNamed(at: SchoolHandle, text: string, most: number): Promise<Family[]> {
  const words = wordsOf(text);
  if (words.length === 0) return [];
  const exact = sql`${family.searchName} = public.searchable(${words.join(' ')})`;
  const begins = sql`' ' || ${family.searchName} like '% ' || ${literally(words[0]!)} || '%'`;
  const rows = await at
    .select({ family, exact: sql<boolean>`${exact}` })
    .from(family)
    .where(named(at, words))
    .orderBy(desc(exact), desc(begins), FAMILY_SORTS.name)
    .limit(most);
  const just = rows.filter((row) => row.exact);
  return (just.length === 1 ? just : rows).map((row) => row.family);
}

/** Families that have all these words in their names, each as a whole word: for who may not read through them. */
export async function familiesCalled(at: SchoolHandle, text: string, most: number): Promise<Family[]> {
  const words = wordsOf(text);
  if (words.length === 0) return [];
  return at
    .select()
    .from(family)
    .where(
      and(
        ours(at, family),
        isNull(family.forgottenAt),
        sql`string_to_array(${family.searchName}, ' ') @> string_to_array(public.searchable(${words.join(' ')}), ' ')`,
      ),
    )
    .orderBy(FAMILY_SORTS.name)
    .limit(most);
}

/** All families that were not forgotten, by name: for a file. */
export async function listFamilies(at: SchoolHandle): Promise<FamilyRow[]> {
  const rows = await at
    .select({ family, out: OUT })
    .from(family)
    .where(and(ours(at, family), isNull(family.forgottenAt)))
    .orderBy(FAMILY_SORTS.name);
  return rows.map(({ family: one, out }) => ({ ...one, out }));
}

/** How many families read each language. */
export async function familiesByLanguage(at: SchoolHandle): Promise<Partial<Record<Language, number>>> {
  const rows = await at
    .select({ language: family.language, n: sql<number>`count(*)::int` })
    .from(family)
    .where(and(ours(at, family), isNull(family.forgottenAt)))
    .groupBy(family.language);
  return Object.fromEntries(rows.map(({ language, n }) => [language, n]));
}

/** The names that are taken. */
export const familyNames = async (at: SchoolHandle): Promise<string[]> =>
  (
    await at
      .select({ name: family.name })
      .from(family)
      .where(and(ours(at, family), isNull(family.forgottenAt)))
  ).map(({ name }) => name);

export async function findFamily(at: SchoolHandle, id: string): Promise<Family | undefined> {
  return (
    await at
      .select()
      .from(family)
      .where(and(ours(at, family), eq(family.id, id), isNull(family.forgottenAt)))
  )[0];
}

/** The family with this card, where there is one. */
export async function familyByCard(at: SchoolHandle, card: string): Promise<Family | undefined> {
  return (
    await at
      .select()
      .from(family)
      .where(and(ours(at, family), eq(family.card, card), isNull(family.forgottenAt)))
  )[0];
}

/** Gives a card to every family that has none. `draw` makes a code; one that is taken is drawn again. */
export const giveCards = (at: SchoolHandle, draw: () => string): Promise<void> =>
  transaction(at, async (tx) => {
    const without = await tx
      .select({ id: family.id })
      .from(family)
      .where(and(ours(tx, family), isNull(family.card), isNull(family.forgottenAt)))
      .orderBy(asc(family.id))
      .for('update');
    if (without.length === 0) return;
    const rows = await tx.select({ card: family.card }).from(family).where(ours(tx, family));
    const taken = new Set(rows.map(({ card }) => card));
    const cards = without.map(() => {
      let card = draw();
      while (taken.has(card)) card = draw();
      taken.add(card);
      return card;
    });
    await tx.execute(sql`update family f set card = given.card
      from unnest(${sql.param(without.map(({ id }) => id))}::uuid[], ${sql.param(cards)}::text[]) as given (id, card)
      where f.school_id = ${at.schoolId} and f.id = given.id`);
  });

/** Adds a family. Answers undefined when the name is taken. */
export async function createFamily(
  at: SchoolHandle,
  input: FamilyInput,
  personId: string | null = null,
): Promise<Family | undefined> {
  return unlessTaken('family_name_is_taken', () =>
    transaction(at, async (tx) => {
      const [made] = await tx
        .insert(family)
        .values({ ...NEW_FAMILY, ...input })
        .returning();
      await log(tx, {
        thing: 'family',
        thingId: made!.id,
        kind: 'added',
        after: familyFields(made!),
        personId,
      });
      return made;
    }),
  );
}

/**
 * Changes a family whose form was opened on a version of it. Answers undefined when the name is taken, and `gone`
 * when it was forgotten meanwhile.
 */
export async function updateFamily(
  at: SchoolHandle,
  id: string,
  mine: FamilyFields,
  openedOn: number,
  personId: string | null = null,
): Promise<Saving<FamilyFields> | 'gone' | undefined> {
  return unlessTaken('family_name_is_taken', () =>
    transaction(at, async (tx) => {
      const [now] = await tx
        .select()
        .from(family)
        .where(and(ours(tx, family), eq(family.id, id)))
        .for('update');
      if (!now || now.forgottenAt) return 'gone' as const;
      return saveOver(tx, {
        thing: 'family',
        thingId: id,
        openedOn,
        mine,
        now: { version: now.version, fields: familyFields(now) },
        personId,
        write: async (fields, version) => {
          await tx
            .update(family)
            .set({ ...fields, version })
            .where(and(ours(tx, family), eq(family.id, id)));
          if (!fields.pictures) await dropPicturesOf(tx, id);
        },
      });
    }),
  );
}

/** Adds many families at once, or none. Names that are there already are left as they are. Answers how many were added. */
export async function importFamilies(
  at: SchoolHandle,
  rows: FamilyInput[],
  personId: string | null = null,
): Promise<number> {
  if (rows.length === 0) return 0;
  return transaction(at, async (tx) => {
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
export function forgetFamily(at: SchoolHandle, id: string, personId: string | null = null): Promise<boolean> {
  return transaction(at, async (tx) => {
    await tx.execute(
      sql`select 1 from ${family} where ${ours(tx, family)} and ${family.id} = ${id} for update`,
    );
    if (await tx.$count(loan, and(ours(tx, loan), eq(loan.familyId, id), isNull(loan.closedAs))))
      return false;
    const [leaving] = await tx
      .select({ id: family.id, name: family.name, reach: family.reach, version: family.version })
      .from(family)
      .where(and(ours(tx, family), eq(family.id, id), isNull(family.forgottenAt)));
    if (!leaving) return true;
    await eraseWords(tx, leaving);
    // What was kept for them is for who waits next.
    await fillHolds(tx, dayIn(tx.timeZone, new Date()));
    const version = leaving.version + 1;
    await log(tx, { thing: 'family', thingId: id, kind: 'forgotten', version, personId });
    return true;
  });
}
