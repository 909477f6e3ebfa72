/** Sessions, passwords and the links that set them, and the browsers that are known. */
import { and, desc, eq, gt, lt, ne, sql } from 'drizzle-orm';
import { db, transaction, type Queryable } from '../db';
import { knownBrowser, passwordLink, person, session } from '../schema';
import { log } from './changes';
import type { Person } from './people';

const personColumns = { id: person.id, name: person.name, role: person.role };

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
