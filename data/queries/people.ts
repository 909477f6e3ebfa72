import { and, desc, eq, getTableColumns, gt, lt, ne, sql } from 'drizzle-orm';
import { USUAL_PRINTING, type Printing } from '~/core/print/cost';
import type { Paper } from '~/core/print/sheet';
import type { Language } from '~/core/words/message';
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

/** Gives a person another password. Every session but the one kept ends, and links that were given are worth nothing. */
export function setPassword(input: {
  personId: string;
  passwordHash: string;
  keep?: string;
  by: string | null;
}): Promise<void> {
  const { personId, passwordHash, keep, by } = input;
  return transaction((tx) => passwordSet(tx, personId, passwordHash, keep, by));
}

async function passwordSet(
  tx: Queryable,
  personId: string,
  passwordHash: string,
  keep: string | undefined,
  by: string | null,
): Promise<void> {
  await tx.update(person).set({ passwordHash }).where(eq(person.id, personId));
  await tx
    .delete(session)
    .where(and(eq(session.personId, personId), keep ? ne(session.tokenHash, keep) : undefined));
  await tx.delete(passwordLink).where(eq(passwordLink.personId, personId));
  await tx.delete(knownBrowser).where(eq(knownBrowser.personId, personId));
  const after = { password: 'another one' };
  await log(tx, { thing: 'person', thingId: personId, kind: 'did', after, personId: by });
}

/** Keeps the hash of a link with which a person sets a new password. A link given before is worth nothing then. False for nobody. */
export function addPasswordLink(input: {
  keyHash: string;
  personId: string;
  expiresAt: Date;
  createdBy: string;
}): Promise<boolean> {
  return transaction(async (tx) => {
    const [found] = await tx
      .select({ id: person.id })
      .from(person)
      .where(and(eq(person.id, input.personId), eq(person.active, true)))
      .for('update');
    if (!found) return false;
    await tx.delete(passwordLink).where(eq(passwordLink.personId, input.personId));
    await tx.insert(passwordLink).values(input);
    const after = { link: 'a link for a new password was given' };
    await log(tx, {
      thing: 'person',
      thingId: input.personId,
      kind: 'did',
      after,
      personId: input.createdBy,
    });
    return true;
  });
}

/** Whose link this is, while it holds. */
export async function findPasswordLink(keyHash: string): Promise<Person | undefined> {
  return (
    await db()
      .select(personColumns)
      .from(passwordLink)
      .innerJoin(person, eq(person.id, passwordLink.personId))
      .where(
        and(
          eq(passwordLink.keyHash, keyHash),
          gt(passwordLink.expiresAt, new Date()),
          eq(person.active, true),
        ),
      )
  )[0];
}

/** Uses a link up: of two tries at the same moment one sets the password. Answers whose it was. */
export function spendPasswordLink(keyHash: string, passwordHash: string): Promise<string | undefined> {
  return transaction(async (tx) => {
    const [used] = await tx
      .delete(passwordLink)
      .where(and(eq(passwordLink.keyHash, keyHash), gt(passwordLink.expiresAt, new Date())))
      .returning({ personId: passwordLink.personId });
    if (!used) return undefined;
    await passwordSet(tx, used.personId, passwordHash, undefined, used.personId);
    return used.personId;
  });
}

/** A session lives at most so long, however often it is used. */
const SESSION_DAYS = 30;

export async function createSession(input: {
  tokenHash: string;
  personId: string;
  expiresAt: Date;
  browser?: string;
}): Promise<void> {
  await db().delete(session).where(lt(session.expiresAt, new Date()));
  await db().insert(session).values(input);
}

const lives = () =>
  and(
    gt(session.expiresAt, new Date()),
    gt(session.createdAt, sql`now() - make_interval(days => ${SESSION_DAYS})`),
  );

/** Who is signed in with this session, if it has not run out. */
export async function findSession(
  tokenHash: string,
): Promise<(Person & { expiresAt: Date; usedAt: Date }) | undefined> {
  return (
    await db()
      .select({ ...personColumns, expiresAt: session.expiresAt, usedAt: session.usedAt })
      .from(session)
      .innerJoin(person, eq(person.id, session.personId))
      .where(and(eq(session.tokenHash, tokenHash), lives(), eq(person.active, true)))
  )[0];
}

export async function extendSession(tokenHash: string, expiresAt: Date): Promise<void> {
  await db().update(session).set({ expiresAt, usedAt: new Date() }).where(eq(session.tokenHash, tokenHash));
}

export async function deleteSession(tokenHash: string): Promise<void> {
  await db().delete(session).where(eq(session.tokenHash, tokenHash));
}

export interface SessionRow {
  id: string;
  browser: string;
  createdAt: Date;
  usedAt: Date;
  /** Whether it is the one that asks. */
  here: boolean;
}

/** The browsers in which a person is signed in, the one used last on top. */
export const listSessions = async (personId: string, tokenHash: string): Promise<SessionRow[]> =>
  (
    await db()
      .select()
      .from(session)
      .where(and(eq(session.personId, personId), lives()))
      .orderBy(desc(session.usedAt))
  ).map(({ id, browser, createdAt, usedAt, tokenHash: hash }) => ({
    id,
    browser,
    createdAt,
    usedAt,
    here: hash === tokenHash,
  }));

/** Ends one session of a person, or all but the one kept. Answers how many were ended. */
export async function endSessions(
  personId: string,
  which: { id: string } | { keep: string },
): Promise<number> {
  const ended = await db()
    .delete(session)
    .where(
      and(
        eq(session.personId, personId),
        'id' in which ? eq(session.id, which.id) : ne(session.tokenHash, which.keep),
      ),
    )
    .returning({ id: session.id });
  return ended.length;
}

/** Notes a browser in which a person signed in. */
export async function rememberBrowser(input: {
  tokenHash: string;
  personId: string;
  expiresAt: Date;
}): Promise<void> {
  await db().delete(knownBrowser).where(lt(knownBrowser.expiresAt, new Date()));
  await db().insert(knownBrowser).values(input).onConflictDoNothing();
}

/** Whether this person has signed in in this browser before. */
export const isKnownBrowser = async (tokenHash: string, personId: string): Promise<boolean> =>
  (await db().$count(
    knownBrowser,
    and(
      eq(knownBrowser.tokenHash, tokenHash),
      eq(knownBrowser.personId, personId),
      gt(knownBrowser.expiresAt, new Date()),
    ),
  )) > 0;
