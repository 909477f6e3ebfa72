import { and, eq, getTableColumns, gt, lt, sql } from 'drizzle-orm';
import { USUAL_PRINTING, type Printing } from '~/core/print/cost';
import type { Paper } from '~/core/print/sheet';
import type { Language } from '~/core/words/message';
import { db } from '../db';
import type { Role } from '~/core/people/role';
import { person, school, session } from '../schema';

/** The school without what only printing needs. */
export type School = Omit<typeof school.$inferSelect, 'mark' | 'printing'>;
const { mark: _, printing: __, ...schoolColumns } = getTableColumns(school);
export type Person = Pick<typeof person.$inferSelect, 'id' | 'name' | 'role'>;

/** The school, or undefined before the first set-up. */
export async function findSchool(): Promise<School | undefined> {
  return (await db().select(schoolColumns).from(school).limit(1))[0];
}

/** The school's picture for labels, as a data address. */
export async function schoolMark(): Promise<string | null> {
  const [row] = await db().select({ mark: school.mark }).from(school).limit(1);
  return row?.mark ?? null;
}
export const setSchoolMark = async (mark: string | null): Promise<void> => {
  await db().update(school).set({ mark });
};

/** What printing is reckoned with: the school's own prices and times, and the usual ones for the rest. */
export async function schoolPrinting(): Promise<Printing> {
  const [row] = await db().select({ printing: school.printing }).from(school).limit(1);
  return { ...USUAL_PRINTING, ...row?.printing };
}
/** Keeps what differs from the usual, so that the rest follows when the usual changes. */
export const setSchoolPrinting = async (printing: Printing): Promise<void> => {
  const own = Object.entries(printing).filter(
    ([name, value]) => value !== USUAL_PRINTING[name as keyof Printing],
  );
  await db()
    .update(school)
    .set({ printing: Object.fromEntries(own) });
};

/**
 * Makes the school and its first coordinator together. Answers undefined, and changes nothing, when the school
 * is there already (two people at the set-up page: the first one wins).
 */
export function setUpSchool(input: {
  schoolName: string;
  paper: Paper;
  languages: Language[];
  personName: string;
  passwordHash: string;
}): Promise<Person | undefined> {
  return db().transaction(async (tx) => {
    const made = await tx
      .insert(school)
      .values({ name: input.schoolName, paper: input.paper, languages: input.languages })
      .onConflictDoNothing()
      .returning();
    if (made.length === 0) return undefined;
    const [first] = await tx
      .insert(person)
      .values({ name: input.personName, passwordHash: input.passwordHash, role: 'coordinator' })
      .returning();
    return first;
  });
}

/** Everybody who may sign in, by name. */
export const listPeople = (): Promise<Person[]> =>
  db()
    .select({ id: person.id, name: person.name, role: person.role })
    .from(person)
    .where(eq(person.active, true))
    .orderBy(person.name);

/** Ends a person's access; what they did keeps their name. The last coordinator stays. Answers whether it was done. */
export function deactivatePerson(id: string): Promise<boolean> {
  return db().transaction(async (tx) => {
    const active = await tx.select().from(person).where(eq(person.active, true)).for('update');
    const others = active.filter((one) => one.id !== id);
    if (others.length === active.length || !others.some((one) => one.role === 'coordinator')) return false;
    await tx.update(person).set({ active: false }).where(eq(person.id, id));
    await tx.delete(session).where(eq(session.personId, id));
    return true;
  });
}

/** Adds a person. Throws the database's refusal when the name is taken. */
export async function createPerson(input: {
  name: string;
  passwordHash: string;
  role: Role;
}): Promise<Person> {
  const [made] = await db().insert(person).values(input).returning();
  return made!;
}

/** The active person with this name, in any case, with the hash of the password. */
export async function findPersonByName(
  name: string,
): Promise<(Person & { passwordHash: string }) | undefined> {
  return (
    await db()
      .select()
      .from(person)
      .where(and(sql`lower(${person.name}) = lower(${name})`, eq(person.active, true)))
  )[0];
}

export async function createSession(input: {
  tokenHash: string;
  personId: string;
  expiresAt: Date;
}): Promise<void> {
  await db().delete(session).where(lt(session.expiresAt, new Date()));
  await db().insert(session).values(input);
}

/** Who is signed in with this session, if it has not run out. */
export async function findSession(tokenHash: string): Promise<(Person & { expiresAt: Date }) | undefined> {
  return (
    await db()
      .select({ id: person.id, name: person.name, role: person.role, expiresAt: session.expiresAt })
      .from(session)
      .innerJoin(person, eq(person.id, session.personId))
      .where(
        and(eq(session.tokenHash, tokenHash), gt(session.expiresAt, new Date()), eq(person.active, true)),
      )
  )[0];
}

export async function extendSession(tokenHash: string, expiresAt: Date): Promise<void> {
  await db().update(session).set({ expiresAt }).where(eq(session.tokenHash, tokenHash));
}

export async function deleteSession(tokenHash: string): Promise<void> {
  await db().delete(session).where(eq(session.tokenHash, tokenHash));
}
