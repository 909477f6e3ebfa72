/** Changes of things that several people may have open at the same time, and the log of who changed what. */
import { and, desc, eq, sql } from 'drizzle-orm';
import { merge, same, type Merge } from '~/core/check/merge';
import { type SchoolHandle } from '../db';
import { change, person } from '../schema';
import { ours } from './ours';

/** Things whose changes are logged. */
export type Thing =
  | 'family'
  | 'kit'
  | 'own game'
  | 'variant'
  | 'material'
  | 'store'
  | 'prices'
  | 'picture'
  | 'person'
  | 'wording'
  | 'school'
  | 'calendar'
  | 'lending'
  | 'round'
  | 'sharing'
  | 'copy';
type Kind = (typeof change.$inferSelect)['kind'];
type Fields = object;

export interface Entry {
  thing: Thing;
  thingId: string;
  kind: Kind;
  version?: number;
  before?: Fields | null | undefined;
  after?: Fields | null;
  personId: string | null;
}

/** Writes down changes, in the transaction that makes them. Of `before` and `after` only what differs matters to a reader. */
export async function log(tx: SchoolHandle, ...entries: Entry[]): Promise<void> {
  if (entries.length)
    await tx.insert(change).values(
      entries.map(({ version = 1, before, after, ...entry }) => ({
        ...entry,
        version,
        before: (before ?? null) as Record<string, unknown> | null,
        after: (after ?? null) as Record<string, unknown> | null,
      })),
    );
}

/** What somebody else changed since the form was opened, so that it could not be saved as it stands. */
export interface Stale<T> extends Merge<T> {
  /** The version to save on, once the clashes are decided. */
  version: number;
  by: string;
  at: Date;
}

export type Saving<T> =
  /** `taken`: fields that somebody else had changed meanwhile and that stay as they made them. */
  { ok: true; version: number; taken: Merge<T>['taken'] } | { ok: false; stale: Stale<T> };

/**
 * Saves the fields of a form over a row that the transaction has locked. A form that was opened on an older version
 * is merged field by field; where both changed one field, nothing is saved and the difference is answered.
 */
export async function saveOver<T extends Fields>(
  tx: SchoolHandle,
  input: {
    thing: Thing;
    thingId: string;
    /** The version that the form was opened on. */
    openedOn: number;
    mine: T;
    now: { version: number; fields: T };
    sets?: readonly (keyof T & string)[];
    /** Whether what was merged makes sense as a whole; where it does not, a person decides. */
    fits?: (fields: T) => boolean;
    personId: string | null;
    write: (fields: T, version: number) => Promise<unknown>;
  },
): Promise<Saving<T>> {
  const { thing, thingId, openedOn, mine, now, sets, personId, write } = input;
  const base = openedOn === now.version ? now.fields : await fieldsAt<T>(tx, thing, thingId, openedOn);
  let found = merge(base, mine, now.fields, sets);
  if (!found.clashes.length && found.taken.length && input.fits?.(found.merged) === false)
    found = merge(undefined, mine, now.fields);
  const { merged, clashes, taken } = found;
  if (clashes.length) {
    const [last] = await entriesOf(tx, thing, thingId, 1);
    return {
      ok: false,
      stale: {
        version: now.version,
        by: last?.by ?? 'Somebody',
        at: last?.at ?? new Date(),
        merged,
        clashes,
        taken,
      },
    };
  }
  if (same(merged, now.fields)) return { ok: true, version: now.version, taken };
  const version = now.version + 1;
  await write(merged, version);
  await log(tx, { thing, thingId, kind: 'changed', version, before: now.fields, after: merged, personId });
  return { ok: true, version, taken };
}

/** The fields of a thing as an earlier version had them: what stands before the change that followed it. */
async function fieldsAt<T>(
  tx: SchoolHandle,
  thing: Thing,
  thingId: string,
  version: number,
): Promise<T | undefined> {
  const [next] = await tx
    .select({ before: change.before })
    .from(change)
    .where(
      and(
        ours(tx, change),
        and(
          eq(change.thing, thing),
          eq(change.thingId, thingId),
          eq(change.kind, 'changed'),
          eq(change.version, version + 1),
        ),
      ),
    )
    .orderBy(desc(change.id))
    .limit(1);
  return (next?.before ?? undefined) as T | undefined;
}

export interface LogRow {
  id: number;
  kind: Kind;
  by: string;
  at: Date;
  before: Record<string, unknown> | null;
  after: Record<string, unknown> | null;
}

const entriesOf = async (
  from: SchoolHandle,
  thing: Thing,
  thingId: string,
  most: number,
): Promise<LogRow[]> =>
  (
    await from
      .select({
        id: change.id,
        kind: change.kind,
        by: person.name,
        at: change.at,
        before: change.before,
        after: change.after,
      })
      .from(change)
      .leftJoin(person, eq(person.id, change.personId))
      .where(and(ours(from, change), eq(change.thing, thing), eq(change.thingId, thingId)))
      .orderBy(desc(change.id))
      .limit(most)
  ).map((row) => ({ ...row, by: row.by ?? 'Somebody' }));

/** What was changed of a thing and by whom, the newest first. */
export const logOf = (at: SchoolHandle, thing: Thing, thingId: string, most = 30): Promise<LogRow[]> =>
  entriesOf(at, thing, thingId, most);

/** The same of several things at once, by thing. */
export async function logsOf(
  at: SchoolHandle,
  thing: Thing,
  thingIds: readonly string[],
  most = 30,
): Promise<Map<string, LogRow[]>> {
  const { rows } = await at.execute<LogRow & { thingId: string; ms: number } & Record<string, unknown>>(sql`
    select one.id, one.thing_id as "thingId", one.kind, coalesce(p.name, 'Somebody') as by,
      extract(epoch from one.at)::float8 * 1000 as ms, one.before, one.after
    from unnest(${sql.param(thingIds)}::text[]) as wanted (id)
    cross join lateral (select * from change c where c.school_id = ${at.schoolId} and c.thing = ${thing}
      and c.thing_id = wanted.id order by c.id desc limit ${most}) one
    left join person p on p.id = one.person_id order by one.id desc`);
  const found = new Map<string, LogRow[]>(thingIds.map((id) => [id, []]));
  for (const { thingId, ms, id, ...row } of rows)
    found.get(thingId)!.push({ ...row, id: Number(id), at: new Date(ms) });
  return found;
}

/** Empties what the log holds of a thing: that something was done stays, not what. */
export async function forgetLog(tx: SchoolHandle, thing: Thing, thingId: string): Promise<void> {
  await tx
    .update(change)
    .set({ before: null, after: null })
    .where(and(ours(tx, change), eq(change.thing, thing), eq(change.thingId, thingId)));
}
