/** Sessions, passwords and the links that set them, and the browsers that are known. */
import { and, desc, eq, gt, lt, ne, sql } from 'drizzle-orm';
import type { Role } from '~/core/people/role';
import { installation, transaction, type Installation } from '../db';
import { knownBrowser, membership, passwordAsk, passwordLink, person, school, session } from '../schema';
import { logOfPerson } from './people';
import { readUnder } from '../pools';
import { schoolColumns, stampOfSchool, type School } from './schools';

/** Gives a person another password. Every session but the one kept ends, and links that were given are worth nothing. */
export function setPassword(input: {
  personId: string;
  passwordHash: string;
  keep?: string;
  by: string | null;
}): Promise<void> {
  const { personId, passwordHash, keep, by } = input;
  return transaction(installation(), (tx) => passwordSet(tx, personId, passwordHash, keep, by));
}

async function passwordSet(
  tx: Installation,
  personId: string,
  passwordHash: string,
  keep: string | undefined,
  by: string | null,
): Promise<void> {
  await tx.update(person).set({ passwordHash, passwordGiven: false }).where(eq(person.id, personId));
  await tx
    .delete(session)
    .where(and(eq(session.personId, personId), keep ? ne(session.tokenHash, keep) : undefined));
  await tx.delete(passwordLink).where(eq(passwordLink.personId, personId));
  await tx.delete(passwordAsk).where(eq(passwordAsk.personId, personId));
  await tx.delete(knownBrowser).where(eq(knownBrowser.personId, personId));
  const after = { password: 'another one' };
  await logOfPerson(tx, personId, { kind: 'did', after, personId: by });
}

/**
 * Keeps the hash of a link with which a person of a school sets a new password. A link given before is worth nothing
 * then. Whoever sets a password can sign in as that person, in every school of theirs: so a link is given only by a
 * coordinator of all of them, and to who coordinates a district by one who does too. False where it is not given.
 */
export function addPasswordLink(
  given: {
    schoolId: string;
    keyHash: string;
    personId: string;
    expiresAt: Date;
    createdBy: string;
  },
  within = installation(),
): Promise<boolean> {
  const { schoolId, ...input } = given;
  return transaction(within, async (tx) => {
    const [found] = await tx
      .select({ id: person.id })
      .from(person)
      .innerJoin(membership, eq(membership.personId, person.id))
      .where(
        and(
          eq(person.id, input.personId),
          eq(person.active, true),
          eq(membership.schoolId, schoolId),
          eq(membership.active, true),
          sql`(${person.districtId} is null or ${person.districtId} =
               (select by.district_id from ${person} by where by.id = ${input.createdBy}))`,
          sql`not exists (select from ${membership} theirs where theirs.person_id = ${input.personId} and theirs.active
               and not exists (select from ${membership} mine where mine.school_id = theirs.school_id
                 and mine.person_id = ${input.createdBy} and mine.active and mine.role = 'coordinator'))`,
        ),
      )
      .for('update');
    if (!found) return false;
    await tx.delete(passwordLink).where(eq(passwordLink.personId, input.personId));
    await tx.insert(passwordLink).values(input);
    const after = { link: 'a link for a new password was given' };
    await logOfPerson(tx, input.personId, { kind: 'did', after, personId: input.createdBy });
    return true;
  });
}

/** A browser asks for a new password of a person; asks that are too old go. */
export function askForPassword(ask: typeof passwordAsk.$inferInsert): Promise<void> {
  return transaction(installation(), async (tx) => {
    await tx.delete(passwordAsk).where(lt(passwordAsk.expiresAt, new Date()));
    await tx.insert(passwordAsk).values(ask);
  });
}

/**
 * Lets the browser that asked under this number set a new password: its link is the key that only this browser has. Answers
 * `number` where nobody asked for this person under it, `refused` where this coordinator may not (see addPasswordLink).
 */
export function letSetPassword(input: {
  schoolId: string;
  personId: string;
  number: string;
  expiresAt: Date;
  createdBy: string;
}): Promise<'allowed' | 'number' | 'refused'> {
  const { number, ...given } = input;
  const { personId } = given;
  return transaction(installation(), async (tx) => {
    const [ask] = await tx
      .select({ keyHash: passwordAsk.tokenHash })
      .from(passwordAsk)
      .where(
        and(
          eq(passwordAsk.personId, personId),
          eq(passwordAsk.number, number),
          gt(passwordAsk.expiresAt, new Date()),
        ),
      )
      .for('update');
    if (!ask) return 'number';
    // Whoever may not let them leaves the number as it is, for somebody who may.
    if (!(await addPasswordLink({ ...given, ...ask }, tx))) return 'refused';
    await tx.delete(passwordAsk).where(eq(passwordAsk.tokenHash, ask.keyHash));
    return 'allowed';
  });
}

/** Whose link this is, while it holds. */
export async function findPasswordLink(keyHash: string): Promise<{ id: string; name: string } | undefined> {
  return (
    await installation()
      .select({ id: person.id, name: person.name })
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
  return transaction(installation(), async (tx) => {
    const [used] = await tx
      .delete(passwordLink)
      .where(and(eq(passwordLink.keyHash, keyHash), gt(passwordLink.expiresAt, new Date())))
      .returning({ personId: passwordLink.personId });
    if (!used) return undefined;
    await passwordSet(tx, used.personId, passwordHash, undefined, used.personId);
    return used.personId;
  });
}

/** For so long nobody is asked for the password again. */
const PROVEN_MINUTES = 10;
/** A session lives at most so long, however often it is used. */
const SESSION_DAYS = 30;

/** Starts a session in the school that the person opened last. False for somebody who is of no school any more. */
export function createSession(input: {
  tokenHash: string;
  personId: string;
  expiresAt: Date;
  browser?: string;
}): Promise<boolean> {
  return transaction(installation(), async (tx) => {
    await tx.delete(session).where(lt(session.expiresAt, new Date()));
    const [open] = await tx
      .select({ schoolId: membership.schoolId })
      .from(membership)
      .innerJoin(school, eq(school.id, membership.schoolId))
      .where(and(eq(membership.personId, input.personId), eq(membership.active, true)))
      .orderBy(sql`${membership.openedAt} desc nulls last`, school.name)
      .limit(1);
    if (!open) return false;
    await tx.insert(session).values({ ...input, ...open });
    return true;
  });
}

/** The schools a person may open, by name. */
export const schoolsOf = (personId: string): Promise<{ id: string; name: string; role: Role }[]> =>
  installation()
    .select({ id: school.id, name: school.name, role: membership.role })
    .from(membership)
    .innerJoin(school, eq(school.id, membership.schoolId))
    .where(and(eq(membership.personId, personId), eq(membership.active, true)))
    .orderBy(sql`lower(${school.name})`);

/** Opens another school in a session. False when the person is not of it. */
export function openSchool(tokenHash: string, personId: string, schoolId: string): Promise<boolean> {
  return transaction(installation(), async (tx) => {
    const opened = await tx
      .update(membership)
      .set({ openedAt: new Date() })
      .where(
        and(
          eq(membership.personId, personId),
          eq(membership.schoolId, schoolId),
          eq(membership.active, true),
        ),
      )
      .returning({ schoolId: membership.schoolId });
    if (opened.length === 0) return false;
    await tx.update(session).set({ schoolId }).where(eq(session.tokenHash, tokenHash));
    return true;
  });
}

const lives = () =>
  and(
    gt(session.expiresAt, new Date()),
    gt(session.createdAt, sql`now() - make_interval(days => ${SESSION_DAYS})`),
  );

/** Somebody who is signed in, and the school that is open to them. */
export interface SignedIn {
  id: string;
  name: string;
  /** What they are in this school. */
  role: Role;
  /** Whether they coordinate the district of this school. */
  ofDistrict: boolean;
  /** How many schools they may open. */
  schools: number;
  /** Their password was chosen by somebody else. */
  passwordGiven: boolean;
  /** Their password was typed in this browser a moment ago. */
  proven: boolean;
  school: School;
}

/** Who is signed in with this session, if it has not run out. */
export async function findSession(
  tokenHash: string,
): Promise<(SignedIn & { expiresAt: Date; usedAt: Date }) | undefined> {
  const [found] = await installation()
    .select({
      id: person.id,
      name: person.name,
      role: membership.role,
      ofDistrict: sql<boolean>`${person.districtId} is not distinct from ${school.districtId}`,
      schools: sql<number>`(select count(*)::int from membership m where m.person_id = ${person.id} and m.active)`,
      passwordGiven: person.passwordGiven,
      proven: sql<boolean>`${session.provenAt} > now() - make_interval(mins => ${PROVEN_MINUTES})`,
      school: schoolColumns,
      expiresAt: session.expiresAt,
      usedAt: session.usedAt,
      stamp: stampOfSchool,
    })
    .from(session)
    .innerJoin(person, eq(person.id, session.personId))
    .innerJoin(membership, and(eq(membership.personId, person.id), eq(membership.schoolId, session.schoolId)))
    .innerJoin(school, eq(school.id, session.schoolId))
    .where(
      and(eq(session.tokenHash, tokenHash), lives(), eq(person.active, true), eq(membership.active, true)),
    );
  if (!found) return undefined;
  const { stamp, ...signedIn } = found;
  readUnder(signedIn.school.id, stamp);
  return signedIn;
}

export async function extendSession(tokenHash: string, expiresAt: Date): Promise<void> {
  await installation()
    .update(session)
    .set({ expiresAt, usedAt: new Date() })
    .where(eq(session.tokenHash, tokenHash));
}

/** The password was typed in this session now. */
export async function proveSession(tokenHash: string): Promise<void> {
  await installation()
    .update(session)
    .set({ provenAt: sql`now()` })
    .where(eq(session.tokenHash, tokenHash));
}

export async function deleteSession(tokenHash: string): Promise<void> {
  await installation().delete(session).where(eq(session.tokenHash, tokenHash));
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
    await installation()
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
  const ended = await installation()
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
  await installation().delete(knownBrowser).where(lt(knownBrowser.expiresAt, new Date()));
  await installation().insert(knownBrowser).values(input).onConflictDoNothing();
}

/** Whether this person has signed in in this browser before. */
export const isKnownBrowser = async (tokenHash: string, personId: string): Promise<boolean> =>
  (await installation().$count(
    knownBrowser,
    and(
      eq(knownBrowser.tokenHash, tokenHash),
      eq(knownBrowser.personId, personId),
      gt(knownBrowser.expiresAt, new Date()),
    ),
  )) > 0;
