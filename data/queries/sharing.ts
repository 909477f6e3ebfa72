/**
 * What the schools of a district show each other, and what they take. A school takes a copy, which is its own from then
 * on, or follows: then every change there is made here in the same transaction, and the thing is not changed here.
 */
import { and, asc, desc, eq, inArray, isNull, notLike, sql } from 'drizzle-orm';
import { same } from '~/core/check/merge';
import type { Shared, SharedKind, SharedVariant, SharedWording } from '~/core/kits/shared';
import { LANGUAGES, type Language } from '~/core/words/languages';
import { alsoAt, transaction, type SchoolHandle } from '../db';
import { kit, kitVariant, ownGame, person, school, shared, taken, variant, wordingCheck } from '../schema';
import { log } from './changes';
import { ours } from './ours';

type SharedRow = typeof shared.$inferSelect;
type KitRow = typeof kit.$inferSelect;

/** A thing of a school as others would see it; undefined when it is not there. */
async function contentOf(
  tx: SchoolHandle,
  kind: SharedKind,
  thingId: string,
): Promise<{ name: string; content: Shared } | undefined> {
  if (kind === 'kit') {
    const [found] = await tx
      .select()
      .from(kit)
      .where(and(ours(tx, kit), eq(kit.id, thingId)));
    if (!found) return undefined;
    const { name, ageBand, players, paper, assurance } = found;
    const variants = (await variantsIn(tx, thingId)).map(sharedVariant);
    return { name, content: { kind, name, ageBand, players, paper, assurance, variants } };
  }
  if (kind === 'own game') {
    const [found] = await tx
      .select({ name: ownGame.name, definition: ownGame.definition })
      .from(ownGame)
      .where(and(ours(tx, ownGame), eq(ownGame.id, thingId), isNull(ownGame.archivedAt)));
    return found && { name: found.name, content: { kind, definition: found.definition } };
  }
  const language = LANGUAGES[thingId as Language] as { name: string } | undefined;
  if (!language) return undefined;
  const lines = await tx
    .selectDistinctOn([wordingCheck.gameId, wordingCheck.messageId], {
      gameId: wordingCheck.gameId,
      messageId: wordingCheck.messageId,
      message: wordingCheck.message,
      right: wordingCheck.right,
      note: wordingCheck.note,
      by: sql<string>`coalesce(${person.name}, ${wordingCheck.elsewhere}, '')`,
    })
    .from(wordingCheck)
    .leftJoin(person, eq(person.id, wordingCheck.personId))
    // Games of a school's own are worded in themselves, and shared as games.
    .where(
      and(ours(tx, wordingCheck), eq(wordingCheck.language, thingId), notLike(wordingCheck.gameId, 'own%')),
    )
    .orderBy(wordingCheck.gameId, wordingCheck.messageId, desc(wordingCheck.at));
  return { name: `${language.name} wording`, content: { kind, lines } };
}

const variantsIn = async (tx: SchoolHandle, kitId: string): Promise<(typeof variant.$inferSelect)[]> =>
  (
    await tx
      .select({ variant })
      .from(kitVariant)
      .innerJoin(variant, eq(variant.id, kitVariant.variantId))
      .where(and(ours(tx, kitVariant), eq(kitVariant.kitId, kitId)))
      .orderBy(asc(kitVariant.position))
  ).map((row) => row.variant);

const sharedVariant = ({ gameId, name, params, own, ageBand }: SharedVariant): SharedVariant => ({
  gameId,
  name,
  params,
  own,
  ageBand,
});

/** Shows a thing to the district from now on. False when it is not there, or was taken from elsewhere and follows it. */
export function share(
  at: SchoolHandle,
  kind: SharedKind,
  thingId: string,
  personId: string,
): Promise<boolean> {
  return transaction(at, async (tx) => {
    const found = await contentOf(tx, kind, thingId);
    if (!found || (await followed(tx, kind, thingId))) return false;
    const [{ schoolName } = { schoolName: '' }] = await tx
      .select({ schoolName: school.name })
      .from(school)
      .where(eq(school.id, tx.schoolId));
    const added = await tx
      .insert(shared)
      .values({ districtId: tx.districtId, schoolName, kind, thingId, ...found })
      .onConflictDoNothing()
      .returning({ id: shared.id });
    if (added.length)
      await log(tx, {
        thing: 'sharing',
        thingId: added[0]!.id,
        kind: 'added',
        after: { name: found.name },
        personId,
      });
    return true;
  });
}

/** Shows a thing no more. Who followed it keeps it as it is, as their own. */
export function unshare(at: SchoolHandle, id: string, personId: string): Promise<boolean> {
  return transaction(at, async (tx) => {
    const [gone] = await tx
      .select()
      .from(shared)
      .where(and(ours(tx, shared), eq(shared.id, id)))
      .for('update');
    if (!gone) return false;
    await withdraw(tx, gone);
    await log(tx, { thing: 'sharing', thingId: id, kind: 'removed', after: { name: gone.name }, personId });
    return true;
  });
}

async function withdraw(tx: SchoolHandle, { id }: Pick<SharedRow, 'id'>): Promise<void> {
  for (const there of await followersOf(tx, id))
    await there
      .update(taken)
      .set({ follows: false })
      .where(and(ours(there, taken), eq(taken.sharedId, id)));
  await tx.delete(shared).where(and(ours(tx, shared), eq(shared.id, id)));
}

/** The schools that follow something of this one, in the same transaction. */
async function followersOf(tx: SchoolHandle, sharedId: string): Promise<SchoolHandle[]> {
  const { rows } = await tx.execute<{ id: string }>(
    sql`select public.followers_of(${sharedId}) as id order by 1`,
  );
  return rows.map(({ id }) => alsoAt(tx, { schoolId: id, districtId: tx.districtId, timeZone: tx.timeZone }));
}

/**
 * Brings what is shown of a thing up to date, and whoever follows it, in the transaction that changed it. A thing that
 * is not there any more is shown no more.
 */
export async function passOn(
  tx: SchoolHandle,
  kind: SharedKind,
  thingId: string,
  personId: string | null,
): Promise<void> {
  const [row] = await tx
    .select()
    .from(shared)
    .where(and(ours(tx, shared), eq(shared.kind, kind), eq(shared.thingId, thingId)))
    .for('update');
  if (!row) return;
  const found = await contentOf(tx, kind, thingId);
  if (!found) return withdraw(tx, row);
  if (same(found.content, row.content)) return;
  const version = row.version + 1;
  await tx
    .update(shared)
    .set({ ...found, version, changedAt: new Date() })
    .where(and(ours(tx, shared), eq(shared.id, row.id)));
  for (const there of await followersOf(tx, row.id)) {
    const [mine] = await there
      .select({ thingId: taken.thingId })
      .from(taken)
      .where(and(ours(there, taken), eq(taken.sharedId, row.id), taken.follows))
      .for('update');
    if (!mine) continue;
    await putThere(there, found.content, row.schoolName, personId, mine.thingId);
    await there
      .update(taken)
      .set({ version })
      .where(and(ours(there, taken), eq(taken.kind, kind), eq(taken.thingId, mine.thingId)));
    // What a school has taken into its own wording is shown by it too; where nothing is new, it ends.
    if (kind === 'wording') await passOn(there, kind, mine.thingId, personId);
  }
}

/** Makes a thing of another school one of this one, or brings the one it became up to date. Answers its id here. */
async function putThere(
  tx: SchoolHandle,
  content: Shared,
  fromSchool: string,
  personId: string | null,
  thingId?: string,
): Promise<string> {
  if (content.kind === 'kit') return putKit(tx, content, fromSchool, personId, thingId);
  if (content.kind === 'own game') {
    const { definition } = content;
    if (thingId) {
      const [now] = await tx
        .select()
        .from(ownGame)
        .where(and(ours(tx, ownGame), eq(ownGame.id, thingId)))
        .for('update');
      if (!now) return thingId;
      const version = now.version + 1;
      await tx
        .update(ownGame)
        .set({ definition, version, changedAt: new Date() })
        .where(and(ours(tx, ownGame), eq(ownGame.id, thingId)));
      await log(tx, {
        thing: 'own game',
        thingId,
        kind: 'changed',
        version,
        before: now.definition,
        after: definition,
        personId,
      });
      return thingId;
    }
    const name = await freeName(tx, ownGame, definition.name.en, fromSchool);
    const [made] = await tx.insert(ownGame).values({ name, definition }).returning({ id: ownGame.id });
    await log(tx, { thing: 'own game', thingId: made!.id, kind: 'added', after: definition, personId });
    return made!.id;
  }
  return putWording(tx, content, fromSchool, thingId!);
}

async function putWording(
  tx: SchoolHandle,
  { lines }: SharedWording,
  fromSchool: string,
  language: string,
): Promise<string> {
  const here = new Map(
    (
      await tx
        .selectDistinctOn([wordingCheck.gameId, wordingCheck.messageId])
        .from(wordingCheck)
        .where(and(ours(tx, wordingCheck), eq(wordingCheck.language, language)))
        .orderBy(wordingCheck.gameId, wordingCheck.messageId, desc(wordingCheck.at))
    ).map((row) => [`${row.gameId} ${row.messageId}`, row]),
  );
  const news = lines.filter(({ gameId, messageId, message, right, note }) => {
    const mine = here.get(`${gameId} ${messageId}`);
    return !mine || !same([mine.message, mine.right, mine.note], [message, right, note]);
  });
  if (news.length)
    await tx
      .insert(wordingCheck)
      .values(news.map(({ by, ...line }) => ({ ...line, language, elsewhere: `${by} (${fromSchool})` })));
  return language;
}

/** A name that is free in this school: as it is, or with the school it comes from. */
async function freeName(
  tx: SchoolHandle,
  table: typeof kit | typeof variant | typeof ownGame,
  name: string,
  fromSchool: string,
): Promise<string> {
  for (let tries = 0; ; tries++) {
    const wanted = [name, `${name} (${fromSchool})`][tries] ?? `${name} (${fromSchool}, ${tries})`;
    const there = await tx.$count(
      table,
      and(
        ours(tx, table),
        sql`lower(${table.name}) = lower(${wanted})`,
        'archivedAt' in table ? isNull(table.archivedAt) : undefined,
      ),
    );
    if (!there) return wanted;
  }
}

async function putKit(
  tx: SchoolHandle,
  { name, variants, kind: _, ...fields }: Extract<Shared, { kind: 'kit' }>,
  fromSchool: string,
  personId: string | null,
  kitId?: string,
): Promise<string> {
  const before: KitRow | undefined = kitId
    ? (
        await tx
          .select()
          .from(kit)
          .where(and(ours(tx, kit), eq(kit.id, kitId)))
          .for('update')
      )[0]
    : undefined;
  if (kitId && !before) return kitId;
  const had = kitId ? await variantsIn(tx, kitId) : [];
  const ids: string[] = [];
  for (const one of variants) {
    const known = had.find((mine) => same(contentOfVariant(mine), contentOfVariant(one)));
    if (known) ids.push(known.id);
    else {
      const [made] = await tx
        .insert(variant)
        .values({ ...one, name: await freeName(tx, variant, one.name, fromSchool) })
        .returning({ id: variant.id });
      ids.push(made!.id);
    }
  }
  let id = kitId;
  if (id) {
    await tx
      .update(kit)
      .set({ ...fields, version: before!.version + 1 })
      .where(and(ours(tx, kit), eq(kit.id, id)));
    await tx.delete(kitVariant).where(and(ours(tx, kitVariant), eq(kitVariant.kitId, id)));
  } else {
    const [made] = await tx
      .insert(kit)
      .values({ ...fields, name: await freeName(tx, kit, name, fromSchool) })
      .returning({ id: kit.id });
    id = made!.id;
  }
  if (ids.length)
    await tx
      .insert(kitVariant)
      .values(ids.map((variantId, position) => ({ kitId: id, variantId, position })));
  // Settings that came with it and are in no kit any more go with the change.
  const gone = had.map((one) => one.id).filter((one) => !ids.includes(one));
  if (gone.length)
    await tx
      .update(variant)
      .set({ archivedAt: new Date() })
      .where(
        and(
          ours(tx, variant),
          inArray(variant.id, gone),
          sql`not exists (select from ${kitVariant} kv where kv.school_id = ${tx.schoolId} and kv.variant_id = ${variant.id})`,
        ),
      );
  const now = await kitFields(tx, id);
  await log(tx, {
    thing: 'kit',
    thingId: id,
    kind: before ? 'changed' : 'added',
    version: now.version,
    before: before ? { ...formOf(before), variantIds: had.map((one) => one.id) } : undefined,
    after: { ...formOf(now), variantIds: ids },
    personId,
  });
  return id;
}

const contentOfVariant = ({ gameId, params, own, ageBand }: SharedVariant) => ({
  gameId,
  params,
  own,
  ageBand,
});
const formOf = ({ name, ageBand, players, paper, assurance }: KitRow) => ({
  name,
  ageBand,
  players,
  paper,
  assurance,
});
const kitFields = async (tx: SchoolHandle, id: string): Promise<KitRow> =>
  (
    await tx
      .select()
      .from(kit)
      .where(and(ours(tx, kit), eq(kit.id, id)))
  )[0]!;

/**
 * A kit of one school in another, in a transaction that goes on there: the one that is the same already, under its name
 * or under that which it came with; else it is made. Answers its id there.
 */
export async function kitAlsoAt(
  tx: SchoolHandle,
  there: SchoolHandle,
  kitId: string,
  fromSchool: string,
  personId: string | null,
): Promise<string> {
  const found = await contentOf(tx, 'kit', kitId);
  if (found?.content.kind !== 'kit') throw new Error('This kit is not there.');
  const inside = ({ variants }: { variants: SharedVariant[] }) => variants.map(contentOfVariant);
  const named = await there
    .select({ id: kit.id })
    .from(kit)
    .where(
      and(
        ours(there, kit),
        sql`(${kit.name} = ${found.name} or ${kit.name} like ${`${found.name} (${fromSchool}%`})`,
      ),
    )
    .orderBy(kit.name);
  for (const { id } of named) {
    const other = await contentOf(there, 'kit', id);
    if (other?.content.kind === 'kit' && same(inside(other.content), inside(found.content))) return id;
  }
  return putThere(there, found.content, fromSchool, personId);
}

/** From whom a thing was taken, and whether it follows them; undefined for one of the school's own. */
export interface Taken {
  fromSchool: string;
  follows: boolean;
}
export async function takenFrom(
  at: SchoolHandle,
  kind: SharedKind,
  thingId: string,
): Promise<Taken | undefined> {
  const [found] = await at
    .select({ fromSchool: taken.fromSchool, follows: taken.follows })
    .from(taken)
    .where(and(ours(at, taken), eq(taken.kind, kind), eq(taken.thingId, thingId)));
  return found;
}

/** The school that this thing follows; undefined when it may be changed here. */
export const followed = async (
  tx: SchoolHandle,
  kind: SharedKind,
  thingId: string,
): Promise<string | undefined> => {
  const found = await takenFrom(tx, kind, thingId);
  return found?.follows ? found.fromSchool : undefined;
};

/** Makes a thing that followed another school one of this school's own. */
export function stopFollowing(
  at: SchoolHandle,
  kind: SharedKind,
  thingId: string,
  personId: string,
): Promise<boolean> {
  return transaction(at, async (tx) => {
    const [stopped] = await tx
      .update(taken)
      .set({ follows: false })
      .where(and(ours(tx, taken), eq(taken.kind, kind), eq(taken.thingId, thingId), taken.follows))
      .returning({ fromSchool: taken.fromSchool });
    if (!stopped) return false;
    const after = { follows: `no longer ${stopped.fromSchool}` };
    await log(tx, { thing: kind, thingId, kind: 'did', after, personId });
    return true;
  });
}

export type Took = { ok: true; thingId: string } | { ok: false; reason: 'gone' | 'follows' };

/** Takes what a sister school shows: a copy of one's own, or with `follows` one that changes with it. */
export function take(
  at: SchoolHandle,
  sharedId: string,
  follows: boolean,
  personId: string | null,
): Promise<Took> {
  return transaction(at, async (tx): Promise<Took> => {
    const [row] = await tx.select().from(shared).where(eq(shared.id, sharedId)).limit(1);
    if (!row || row.schoolId === tx.schoolId) return { ok: false, reason: 'gone' };
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`${tx.schoolId} ${sharedId}`}))`);
    const { kind, content, schoolName: fromSchool, version } = row;
    const before = await tx
      .select({ thingId: taken.thingId })
      .from(taken)
      .where(and(ours(tx, taken), eq(taken.sharedId, sharedId), taken.follows));
    if (before.length) return { ok: false, reason: 'follows' };
    const thingId = await putThere(
      tx,
      content,
      fromSchool,
      personId,
      kind === 'wording' ? row.thingId : undefined,
    );
    const values = { kind, thingId, sharedId, fromSchool, follows, version };
    await tx
      .insert(taken)
      .values(values)
      .onConflictDoUpdate({ target: [taken.schoolId, taken.kind, taken.thingId], set: values });
    return { ok: true, thingId };
  });
}

export interface Offer {
  id: string;
  kind: SharedKind;
  name: string;
  schoolName: string;
  changedAt: Date;
  /** What it became here, where it was taken. */
  takenAs: string | null;
  follows: boolean;
}

/** What sister schools show, by kind and name. */
export const offers = (at: SchoolHandle): Promise<Offer[]> =>
  at
    .select({
      id: shared.id,
      kind: shared.kind,
      name: shared.name,
      schoolName: shared.schoolName,
      changedAt: shared.changedAt,
      takenAs: sql<
        string | null
      >`coalesce(max(${taken.thingId}) filter (where ${taken.follows}), max(${taken.thingId}))`,
      follows: sql<boolean>`coalesce(bool_or(${taken.follows}), false)`,
    })
    .from(shared)
    .leftJoin(taken, and(ours(at, taken), eq(taken.sharedId, shared.id)))
    .where(and(eq(shared.districtId, at.districtId), sql`${shared.schoolId} <> ${at.schoolId}`))
    .groupBy(shared.schoolId, shared.id)
    .orderBy(asc(shared.kind), asc(shared.name));

export interface Shown {
  id: string;
  kind: SharedKind;
  thingId: string;
  name: string;
  changedAt: Date;
  followers: number;
}

/** What this school shows, by kind and name. */
export const shownByUs = (at: SchoolHandle): Promise<Shown[]> =>
  at
    .select({
      id: shared.id,
      kind: shared.kind,
      thingId: shared.thingId,
      name: shared.name,
      changedAt: shared.changedAt,
      followers: sql<number>`(select count(*)::int from public.followers_of(${shared.id}))`,
    })
    .from(shared)
    .where(ours(at, shared))
    .orderBy(asc(shared.kind), asc(shared.name));

/** What this school could show and does not yet: nothing that itself follows another school. */
export async function toShow(
  at: SchoolHandle,
): Promise<{ kind: SharedKind; thingId: string; name: string }[]> {
  const [kits, games, worded, there, following] = await Promise.all([
    at
      .select({ thingId: sql<string>`${kit.id}::text`, name: kit.name })
      .from(kit)
      .where(ours(at, kit))
      .orderBy(asc(kit.name)),
    at
      .select({ thingId: sql<string>`${ownGame.id}::text`, name: ownGame.name })
      .from(ownGame)
      .where(and(ours(at, ownGame), isNull(ownGame.archivedAt)))
      .orderBy(asc(ownGame.name)),
    at
      .selectDistinct({ thingId: wordingCheck.language })
      .from(wordingCheck)
      .where(ours(at, wordingCheck))
      .orderBy(wordingCheck.language),
    at.select({ kind: shared.kind, thingId: shared.thingId }).from(shared).where(ours(at, shared)),
    at
      .select({ kind: taken.kind, thingId: taken.thingId })
      .from(taken)
      .where(and(ours(at, taken), taken.follows)),
  ]);
  const all = [
    ...kits.map((one) => ({ kind: 'kit' as const, ...one })),
    ...games.map((one) => ({ kind: 'own game' as const, ...one })),
    ...worded.map(({ thingId }) => ({
      kind: 'wording' as const,
      thingId,
      name: LANGUAGES[thingId as Language].name,
    })),
  ];
  return all.filter(
    (one) =>
      ![...there, ...following].some(({ kind, thingId }) => kind === one.kind && thingId === one.thingId),
  );
}
