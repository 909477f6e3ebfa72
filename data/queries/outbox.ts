/** What the school says to families: made once, sent once, answered. */
import { and, asc, desc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { grouped } from '~/core/check/grouped';
import type { BagOut, MessageKind, MessageState, ReplyKind } from '~/core/lending/reminders';
import { installation, type OneSchool, type SchoolHandle, transaction } from '../db';
import { carried, copy, family, hold, kit, loan, message, school } from '../schema';
import { openLoans, writtenTo } from './open-loans';
import { ours } from './ours';
import { boundTo, schoolColumns, type School } from './schools';

export type MessageRow = typeof message.$inferSelect;
export type NewMessage = typeof message.$inferInsert;

/** Families that have bags, each with all of its own, and what was said to it before. */
export interface Borrower {
  family: Pick<
    typeof family.$inferSelect,
    'id' | 'name' | 'language' | 'channel' | 'reach' | 'weekly' | 'group'
  >;
  bags: (BagOut & { runId: string })[];
  writtenOn: string[];
  said: string[];
}
export async function borrowers(at: SchoolHandle): Promise<Borrower[]> {
  const rows = (await openLoans(at)).filter(({ arrivedOn }) => arrivedOn === null);
  const families = new Map(rows.map(({ family: one }) => [one.id, one]));
  const before = families.size
    ? await at
        .select({ familyId: message.familyId, onDay: message.onDay, said: message.said, kind: message.kind })
        .from(message)
        .where(
          and(
            ours(at, message),
            inArray(message.familyId, [...families.keys()]),
            sql`${message.state} <> 'dropped'`,
            sql`${message.createdAt} > now() - interval '400 days'`,
          ),
        )
    : [];
  const bags = grouped(rows, (row) => row.family.id);
  const messages = grouped(before, (one) => one.familyId);
  return [...families].map(([id, one]) => {
    const mine = messages.get(id) ?? [];
    return {
      family: one,
      bags: bags.get(id)!.map(({ loanId, kitName, dueOn, runId }) => ({ loanId, kitName, dueOn, runId })),
      writtenOn: mine.map(({ onDay }) => onDay),
      said: mine.flatMap(({ said }) => said),
    };
  });
}

/** Families as they are written to, with the days on which they were within a week. */
export const toWriteTo = async (
  at: SchoolHandle,
): Promise<(Borrower['family'] & { writtenOn: string[] })[]> =>
  at
    .select({
      ...writtenTo,
      writtenOn: sql<string[]>`array(select m.on_day::text from message m where m.school_id = ${at.schoolId}
        and m.family_id = ${family}.id and m.state <> 'dropped' and m.created_at > now() - interval '8 days')`,
    })
    .from(family)
    .where(and(ours(at, family), isNull(family.forgottenAt)))
    .orderBy(asc(family.searchName));

/** Bags that are set aside for families that nobody has told so yet. */
export const untold = (at: SchoolHandle) =>
  at
    .select({
      family: {
        id: family.id,
        name: family.name,
        language: family.language,
        channel: family.channel,
        reach: family.reach,
      },
      kitName: kit.name,
      keptUntil: sql<string>`${hold.keptUntil}`,
      once: sql<string>`'offer ' || ${hold.id} || ' ' || ${hold.copyId}`,
    })
    .from(hold)
    .innerJoin(family, and(ours(at, family), eq(family.id, hold.familyId)))
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, hold.kitId)))
    .where(
      and(
        ours(at, hold),
        isNull(hold.closedAs),
        isNotNull(hold.copyId),
        sql`not exists (select from message m where m.school_id = ${at.schoolId} and m.family_id = ${hold.familyId} and m.once = 'offer ' || ${hold.id} || ' ' || ${hold.copyId})`,
      ),
    );

/**
 * Keeps messages; one that was made before, by whichever server, is not made again, and none to a family that was
 * forgotten while it was made. Answers the new ones that wait to be sent.
 */
export async function addMessages(at: SchoolHandle, messages: readonly NewMessage[]): Promise<string[]> {
  if (messages.length === 0) return [];
  return transaction(at, async (tx) => {
    const known = await tx
      .select({ id: family.id })
      .from(family)
      .where(
        and(
          ours(tx, family),
          inArray(family.id, [...new Set(messages.map(({ familyId }) => familyId))]),
          isNull(family.forgottenAt),
        ),
      )
      .orderBy(asc(family.id))
      .for('key share');
    const ids = new Set(known.map(({ id }) => id));
    const values = messages.filter(({ familyId }) => ids.has(familyId));
    if (values.length === 0) return [];
    const made = await tx
      .insert(message)
      .values(values)
      .onConflictDoNothing()
      .returning({ id: message.id, state: message.state });
    return made.filter(({ state }) => state === 'waiting').map(({ id }) => id);
  });
}

/** What was held back on an evening before is not said any more: what is true tonight is said anew, as it is worded now. */
export const dropHeld = async (at: SchoolHandle, today: string): Promise<void> => {
  await at
    .delete(message)
    .where(
      and(
        ours(at, message),
        eq(message.kind, 'offer'),
        eq(message.state, 'held'),
        sql`${message.onDay} < ${today}`,
      ),
    );
  await at
    .update(message)
    .set({ state: 'dropped' })
    .where(
      and(
        ours(at, message),
        eq(message.kind, 'reminder'),
        eq(message.state, 'held'),
        sql`${message.onDay} < ${today}`,
      ),
    );
};

/** Messages that wait to be sent. */
export const waitingMessages = async (at: SchoolHandle): Promise<string[]> =>
  (
    await at
      .select({ id: message.id })
      .from(message)
      .where(and(ours(at, message), eq(message.state, 'waiting')))
  ).map(({ id }) => id);

/**
 * Sends a message that waits: `carry` hands it to what carries messages, under its id, so that it is carried once even
 * when it is handed over twice. Its row is held meanwhile. Answers false when there is nothing to send any more.
 */
export const sendOne = (
  at: SchoolHandle,
  id: string,
  carry: (tx: SchoolHandle, message: MessageRow) => Promise<void>,
): Promise<boolean> =>
  transaction(at, async (tx) => {
    const [row] = await tx
      .select()
      .from(message)
      .where(and(ours(tx, message), eq(message.id, id)))
      .for('update');
    if (row?.state !== 'waiting') return false;
    await carry(tx, row);
    await tx
      .update(message)
      .set({ state: 'sent', sentAt: new Date(), tries: row.tries + 1, problem: '' })
      .where(and(ours(tx, message), eq(message.id, id)));
    return true;
  });

/** Takes a message over, as the stand-in for a service that carries them: the same one again changes nothing. */
export const carryOver = async (tx: SchoolHandle, messageId: string): Promise<void> => {
  await tx.insert(carried).values({ messageId }).onConflictDoNothing();
};

/** A try to send that failed: `last` gives it up. */
export const noteTry = async (
  at: SchoolHandle,
  id: string,
  problem: string,
  last: boolean,
): Promise<void> => {
  await at
    .update(message)
    .set({ problem, tries: sql`${message.tries} + 1`, ...(last ? { state: 'failed' as const } : {}) })
    .where(and(ours(at, message), eq(message.id, id), eq(message.state, 'waiting')));
};

export interface OutboxRow extends MessageRow {
  familyName: string;
  group: string;
}

/** Messages, the newest first; of some states only, or of one family. */
export async function pageOfMessages(
  at: SchoolHandle,
  asked: { states?: readonly MessageState[]; familyId?: string; first: number; most: number },
): Promise<{ messages: OutboxRow[]; found: number }> {
  const which = and(
    ours(at, message),
    asked.states ? inArray(message.state, [...asked.states]) : undefined,
    asked.familyId ? eq(message.familyId, asked.familyId) : undefined,
  );
  const [rows, found] = await Promise.all([
    at
      .select({ message, familyName: family.name, group: family.group })
      .from(message)
      .innerJoin(family, and(ours(at, family), eq(family.id, message.familyId)))
      .where(which)
      .orderBy(desc(message.createdAt), asc(family.searchName))
      .offset(asked.first)
      .limit(asked.most),
    at.$count(message, which),
  ]);
  return { messages: rows.map(({ message: one, ...about }) => ({ ...one, ...about })), found };
}

/** How many messages stand in each state. */
export async function messageCounts(at: SchoolHandle): Promise<Partial<Record<MessageState, number>>> {
  const rows = await at
    .select({ state: message.state, count: sql<number>`count(*)::int` })
    .from(message)
    .where(ours(at, message))
    .groupBy(message.state);
  return Object.fromEntries(rows.map(({ state, count }) => [state, count]));
}

/** Moves messages from one state to another; answers those that moved. */
export async function moveMessages(
  at: SchoolHandle,
  ids: readonly string[],
  from: readonly MessageState[],
  to: MessageState,
): Promise<string[]> {
  if (ids.length === 0) return [];
  const moved = await at
    .update(message)
    .set({ state: to, ...(to === 'printed' ? { sentAt: new Date() } : {}) })
    .where(and(ours(at, message), inArray(message.id, [...ids]), inArray(message.state, [...from])))
    .returning({ id: message.id });
  return moved.map(({ id }) => id);
}

/** Lets messages go that were held back or failed: by their channel, or on paper where there is no other. Answers how many, and which wait to be sent. */
export async function letMessagesGo(
  at: SchoolHandle,
  ids: readonly string[],
): Promise<{ moved: number; waiting: string[] }> {
  if (ids.length === 0) return { moved: 0, waiting: [] };
  const moved = await at
    .update(message)
    .set({
      state: sql`case when ${message.channel} = 'paper' or btrim(${message.reach}) = '' then 'paper' else 'waiting' end`,
    })
    .where(and(ours(at, message), inArray(message.id, [...ids]), inArray(message.state, ['held', 'failed'])))
    .returning({ id: message.id, state: message.state });
  return {
    moved: moved.length,
    waiting: moved.filter(({ state }) => state === 'waiting').map(({ id }) => id),
  };
}

/** The school from which a message came, by the key in its address. */
export async function schoolOfMessage(key: string): Promise<School | undefined> {
  const [found] = await installation()
    .select(schoolColumns)
    .from(school)
    .where(sql`${school.id} = public.school_of_message(${key})`);
  return found;
}

export interface Asked {
  id: string;
  familyId: string;
  language: string;
  createdAt: Date;
  answered: ReplyKind | null;
  answeredDay: string | null;
  kind: MessageKind;
  /** What it is said of. */
  once: string;
  group: string;
  underThree: boolean;
  allergens: string;
  bags: (BagOut & { daysOut: number; linkKey: string })[];
}
/** What a message asks about: the bags that are still out with its family. */
export async function askedBy(at: SchoolHandle, key: string): Promise<Asked | undefined> {
  const [found] = await at
    .select({
      id: message.id,
      familyId: message.familyId,
      language: message.language,
      group: family.group,
      underThree: family.underThree,
      allergens: family.allergens,
      createdAt: message.createdAt,
      answered: message.answered,
      answeredDay: message.answeredDay,
      kind: message.kind,
      once: message.once,
    })
    .from(message)
    .innerJoin(family, and(ours(at, family), eq(family.id, message.familyId), isNull(family.forgottenAt)))
    .where(and(ours(at, message), eq(message.linkKey, key)));
  if (!found) return undefined;
  const bags = await at
    .select({
      loanId: loan.id,
      kitName: kit.name,
      dueOn: loan.dueOn,
      daysOut: kit.daysOut,
      linkKey: copy.linkKey,
    })
    .from(loan)
    .innerJoin(copy, and(ours(at, copy), eq(copy.id, loan.copyId)))
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, copy.kitId)))
    .where(
      and(ours(at, loan), eq(loan.familyId, found.familyId), isNull(loan.closedAs), isNull(loan.arrivedOn)),
    )
    .orderBy(asc(loan.dueOn), asc(kit.name));
  return { ...found, bags };
}

/** Keeps what a family answered last. */
export const keepReply = async (
  at: SchoolHandle,
  id: string,
  answered: ReplyKind,
  answeredDay: string | null,
): Promise<void> => {
  await at
    .update(message)
    .set({ answered, answeredDay, answeredAt: new Date() })
    .where(and(ours(at, message), eq(message.id, id)));
};

/** All schools, as handles are bound to them. */
export const everySchool = async (): Promise<OneSchool[]> =>
  (await installation().select(schoolColumns).from(school)).map(boundTo);
