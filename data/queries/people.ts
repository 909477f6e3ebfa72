import { and, eq, getTableColumns } from 'drizzle-orm';
import { USUAL_PRINTING, type Printing } from '~/core/pack/cost';
import type { Paper } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import { nameKey } from '~/core/people/name';
import type { Role } from '~/core/people/role';
import { db, transaction, type Queryable } from '../db';
import { knownBrowser, passwordLink, person, school, session } from '../schema';
import { log, saveOver, type Saving } from './changes';

/** The school without what only printing needs. */
export type School = Omit<
  typeof school.$inferSelect,
  'mark' | 'printing' | 'markVersion' | 'printingVersion'
>;
const {
  mark: _,
  printing: __,
  markVersion: ___,
  printingVersion: ____,
  ...schoolColumns
} = getTableColumns(school);
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

/** The versions of what is kept with the school, for the forms that change it. */
export async function schoolVersions(): Promise<{ printing: number; mark: number }> {
  const [row] = await db()
    .select({ printing: school.printingVersion, mark: school.markVersion })
    .from(school)
    .limit(1);
  return row ?? { printing: 1, mark: 1 };
}

/** Changes the picture, or takes it away. False when it is no longer the one that the form showed. */
export function setSchoolMark(
  mark: string | null,
  openedOn?: number,
  personId: string | null = null,
): Promise<boolean> {
  return transaction(async (tx) => {
    const [now] = await tx.select({ version: school.markVersion }).from(school).for('update');
    if (!now || (openedOn !== undefined && openedOn !== now.version)) return false;
    const version = now.version + 1;
    await tx.update(school).set({ mark, markVersion: version });
    const after = { picture: mark ? 'another one' : 'none' };
    await log(tx, { thing: 'picture', thingId: 'school', kind: 'changed', version, after, personId });
    return true;
  });
}

/** What printing is reckoned with: the school's own prices and times, and the usual ones for the rest. */
export async function schoolPrinting(): Promise<Printing> {
  const [row] = await db().select({ printing: school.printing }).from(school).limit(1);
  return { ...USUAL_PRINTING, ...row?.printing };
}

/** Keeps what differs from the usual, so that the rest follows when the usual changes. */
export function setSchoolPrinting(
  mine: Printing,
  openedOn: number,
  personId: string | null = null,
): Promise<Saving<Printing>> {
  return transaction(async (tx) => {
    const [now] = await tx
      .select({ printing: school.printing, version: school.printingVersion })
      .from(school)
      .for('update');
    return saveOver<Printing>(tx, {
      thing: 'prices',
      thingId: 'school',
      openedOn,
      mine,
      now: { version: now!.version, fields: { ...USUAL_PRINTING, ...now!.printing } },
      personId,
      write: (fields, printingVersion) =>
        tx.update(school).set({
          printingVersion,
          printing: Object.fromEntries(
            Object.entries(fields).filter(
              ([name, value]) => value !== USUAL_PRINTING[name as keyof Printing],
            ),
          ),
        }),
    });
  });
}

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
  return transaction(async (tx) => {
    const made = await tx
      .insert(school)
      .values({ name: input.schoolName, paper: input.paper, languages: input.languages })
      .onConflictDoNothing()
      .returning();
    if (made.length === 0) return undefined;
    return addPerson(
      tx,
      { name: input.personName, passwordHash: input.passwordHash, role: 'coordinator' },
      null,
    );
  });
}

const personColumns = { id: person.id, name: person.name, role: person.role };

/** Everybody who may sign in, by name. */
export const listPeople = (): Promise<Person[]> =>
  db().select(personColumns).from(person).where(eq(person.active, true)).orderBy(person.name);

/** Ends a person's access; what they did keeps their name. The last coordinator stays. Answers whether it was done. */
export function deactivatePerson(id: string, by: string | null = null): Promise<boolean> {
  return transaction(async (tx) => {
    const active = await tx
      .select()
      .from(person)
      .where(eq(person.active, true))
      .orderBy(person.id)
      .for('update');
    const others = active.filter((one) => one.id !== id);
    if (others.length === active.length || !others.some((one) => one.role === 'coordinator')) return false;
    await tx.update(person).set({ active: false }).where(eq(person.id, id));
    await tx.delete(session).where(eq(session.personId, id));
    await tx.delete(passwordLink).where(eq(passwordLink.personId, id));
    await tx.delete(knownBrowser).where(eq(knownBrowser.personId, id));
    await log(tx, { thing: 'person', thingId: id, kind: 'removed', personId: by });
    return true;
  });
}

interface NewPerson {
  name: string;
  passwordHash: string;
  role: Role;
}

async function addPerson(tx: Queryable, input: NewPerson, by: string | null): Promise<Person> {
  const [made] = await tx
    .insert(person)
    .values({ ...input, nameKey: nameKey(input.name) })
    .returning(personColumns);
  const after = { name: input.name, role: input.role };
  await log(tx, { thing: 'person', thingId: made!.id, kind: 'added', after, personId: by ?? made!.id });
  return made!;
}

/** Adds a person. Throws the database's refusal when the name is taken. */
export const createPerson = (input: NewPerson, by: string | null = null): Promise<Person> =>
  transaction((tx) => addPerson(tx, input, by));

/** The active person with this name, in any case, with the hash of the password. */
export async function findPersonByName(
  name: string,
): Promise<(Person & { passwordHash: string }) | undefined> {
  return (
    await db()
      .select({ ...personColumns, passwordHash: person.passwordHash })
      .from(person)
      .where(and(eq(person.nameKey, nameKey(name)), eq(person.active, true)))
  )[0];
}

/** The hash of an active person's password. */
export async function passwordHashOf(id: string): Promise<string | undefined> {
  const [found] = await db()
    .select({ passwordHash: person.passwordHash })
    .from(person)
    .where(and(eq(person.id, id), eq(person.active, true)));
  return found?.passwordHash;
}
