/**
 * The way to PostgreSQL: one pool for each server process, at the address in DATABASE_URL. Queries go through a handle
 * that is bound to one school; the rows of others are hidden from it by PostgreSQL itself, since the role of the pool
 * neither owns the tables nor may pass their policies.
 */
import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { LRUCache } from 'lru-cache';
import pg from 'pg';
import journal from './migrations/meta/_journal.json' with { type: 'json' };
import {
  asking,
  connection,
  connectionPool,
  maySwitch,
  onlyStandby,
  standbyPool,
  turnToWriter,
  wrote,
} from './pools';
import { isSettled, ownRows, underStamp, unsettles } from './settled';
import { databaseTrouble, notBegun, onlyReads, sqlState, type DatabaseTrouble } from './trouble';

/** The database, or a transaction in it. */
export type Queryable = Pick<
  NodePgDatabase,
  'select' | 'insert' | 'update' | 'delete' | 'execute' | 'selectDistinctOn' | 'selectDistinct' | '$count'
>;

/** A school as a handle is bound to it. */
export interface OneSchool {
  readonly schoolId: string;
  readonly districtId: string;
  /** There it is decided what day it is. */
  readonly timeZone: string;
}

/** A way to the rows of one school, and of no other. */
export type SchoolHandle = Queryable & OneSchool;
/** A way to what belongs to no single school: people, sessions, schools and districts. */
export type Installation = Queryable & { readonly schoolId?: undefined; readonly districtId?: string };

type Scope = { [K in keyof OneSchool]?: OneSchool[K] | undefined };
type Query = pg.PoolClient['query'];

/** Sets for the rest of a transaction whose rows are read and written. */
const binding = ({ schoolId = '', districtId = '' }: Scope): string =>
  `select set_config('fern.school', ${pg.escapeLiteral(schoolId)}, true), set_config('fern.district', ${pg.escapeLiteral(districtId)}, true)`;

/** A handle whose queries all go through `query`. */
function handle<S extends Scope>(scope: S, query: (...asked: Parameters<Query>) => unknown): Queryable & S {
  return Object.assign(drizzle({ query } as unknown as pg.Client, { casing: 'snake_case' }), scope);
}

/** Takes a connection out of the pool for `work`, or out of another one. One that broke is thrown away. */
async function borrowed<T>(
  work: (client: pg.PoolClient, broke: (error: unknown) => void) => Promise<T>,
  pool?: pg.Pool,
): Promise<T> {
  const client = await (pool ? pool.connect() : connection());
  let lost: Error | undefined;
  const broke = (error: unknown): void =>
    void (lost ??= error instanceof Error ? error : new Error(String(error)));
  // While it is out of the pool, its end is nobody's but ours to hear.
  client.on('error', broke);
  try {
    return await work(client, broke);
  } catch (error) {
    if (databaseTrouble(error)) {
      broke(error);
      // One that does not answer may be the wrong one by now.
      void turnToWriter();
    }
    throw error;
  } finally {
    client.off('error', broke);
    client.release(lost);
  }
}

type Ask = (...asked: unknown[]) => Promise<unknown>;
/** Counts a query for the request that asks it. */
function count(): void {
  const request = asking();
  if (request) request.queries++;
}

/** A transaction whose end was never heard of, and what it found as far as that was heard. */
class EndUnheard extends Error {
  constructor(
    readonly id: string,
    readonly found: Promise<unknown>,
    cause: unknown,
  ) {
    super('The end of a transaction was not heard of.', { cause });
  }
}

/**
 * Ends a transaction that `begun` began and that finds something: its mark goes in with it, by which it can be told later
 * whether it is in. Throws what refused it, or EndUnheard where nobody can say.
 */
async function landing(
  ask: Ask,
  begun: Promise<unknown>,
  found: Promise<unknown>,
  settled: boolean,
): Promise<unknown> {
  const id = randomUUID();
  const marked = ask(`insert into landed (id) values ('${id}')`);
  const ended = ask('commit');
  const all = await Promise.allSettled([begun, found, marked, ended]);
  const failed = all.findIndex(({ status }) => status === 'rejected');
  if (failed < 0) {
    wrote(settled);
    return found;
  }
  const { reason } = all[failed] as PromiseRejectedResult;
  // What the database says of a statement is known; of the end, only what refused it.
  const heard = sqlState(reason) !== undefined && (failed < 3 || !notBegun(reason));
  throw heard || !databaseTrouble(reason) ? reason : new EndUnheard(id, found, reason);
}

/** Two transactions that got in each other's way: one of them is tried again. */
const COLLIDED = new Set(['40001', '40P01']);
const TRIES = 6;

/**
 * Does `work`, and does it again when it collided with another one, or when the machine went away before its end and
 * another one takes its place; nothing is done twice.
 */
async function untilHeard<T>(work: () => Promise<T>): Promise<T> {
  const from = Date.now();
  for (let tries = 1; ; tries++)
    try {
      return await work();
    } catch (error) {
      if (error instanceof EndUnheard) {
        if (await hasLanded(error)) return error.found as Promise<T>;
      } else if (COLLIDED.has(sqlState(error) ?? '') && tries < TRIES)
        await pause(Math.random() * 20 * 2 ** tries);
      else await orGoOn(error, from);
    }
}

/** Throws what failed, unless another machine may take the place of the one that went away; it was begun at `from`. */
async function orGoOn(error: unknown, from: number): Promise<void> {
  if (databaseTrouble(error) !== 'away' || !maySwitch(onlyReads(error), from)) throw error;
  await Promise.all([turnToWriter(), pause(50 + Math.random() * 100)]);
}

/**
 * Whether a transaction whose end was not heard of is in the database. Its mark is taken for itself: one that is still
 * ending is waited for, and one that was not in can never come in any more.
 */
async function hasLanded({ id, cause }: EndUnheard): Promise<boolean> {
  const from = Date.now();
  for (;;)
    try {
      const { rowCount } = await borrowed((client) =>
        client.query('insert into landed (id) values ($1) on conflict do nothing', [id]),
      );
      return rowCount === 0;
    } catch (error) {
      await orGoOn(error, from).catch(() => {
        throw cause;
      });
    }
}

/** A query that waits for the others that are asked in the same moment. */
interface Waiting {
  asked: unknown[];
  /** Whoever asks the same in that moment is answered as well. */
  done: ((answer: unknown) => void)[];
  failed: ((error: unknown) => void)[];
}
const isSame = (a: unknown[], b: unknown[]): boolean =>
  textOf(a) === textOf(b) && JSON.stringify(a) === JSON.stringify(b);
const gathered = new Map<string, { scope: Scope; pool: pg.Pool | undefined; waiting: Waiting[] }>();
/** More than so many at once are parted between two connections. */
const MOST_TOGETHER = 4;

/** Asks for the rows of a school, in one transaction with what else is asked for in this moment of the same rows. */
function together(scope: Scope, asked: unknown[], pool: pg.Pool | undefined): Promise<unknown> {
  return new Promise((done, failed) => {
    const key = `${scope.schoolId ?? ''} ${scope.districtId ?? ''} ${pool ? 'standby' : (asking()?.lane ?? '')}`;
    const before = gathered.get(key);
    if (before) {
      const same = before.waiting.find((one) => isSame(one.asked, asked));
      if (same) return (void same.done.push(done), void same.failed.push(failed));
      return void before.waiting.push({ asked, done: [done], failed: [failed] });
    }
    const group = { scope, pool, waiting: [{ asked, done: [done], failed: [failed] }] };
    gathered.set(key, group);
    process.nextTick(() => {
      gathered.delete(key);
      const { waiting } = group;
      const half = waiting.length > MOST_TOGETHER ? Math.ceil(waiting.length / 2) : waiting.length;
      for (let from = 0; from < waiting.length; from += half)
        void askAll(group, waiting.slice(from, from + half));
    });
  });
}

/** Asks all of these in one transaction. What was not looked at because another one failed is asked by itself. */
async function askAll(
  { scope, pool }: { scope: Scope; pool: pg.Pool | undefined },
  all: Waiting[],
): Promise<void> {
  const again: Waiting[] = [];
  try {
    await borrowed(async (client, broke) => {
      const ask = (client.query as Ask).bind(client);
      const begun = ask(`begin; ${binding(scope)}`);
      const answers = all.map(({ asked }) => ask(...asked));
      const ended = ask('commit');
      const settled = await Promise.allSettled(answers);
      const [first] = await Promise.allSettled([begun, ended]);
      settled.forEach((one, i) => {
        const { done, failed } = all[i]!;
        const fail = (error: unknown): void => failed.forEach((tell) => tell(error));
        // Each has rows of its own.
        if (one.status === 'fulfilled')
          done.forEach((tell, nth) => tell(nth ? ownRows(one.value as { rows: unknown[] }) : one.value));
        else if (first.status === 'rejected') fail(first.reason);
        else if (sqlState(one.reason) === NOT_LOOKED_AT) again.push(all[i]!);
        else fail(one.reason);
        if (one.status === 'rejected' && databaseTrouble(one.reason)) broke(one.reason);
      });
    }, pool);
  } catch (error) {
    for (const { failed } of all) for (const tell of failed) tell(error);
  }
  for (const one of again) void askAll({ scope, pool }, [one]);
}
/** A statement after one that failed. */
const NOT_LOOKED_AT = '25P02';

/** What only reads may be asked twice, and of a standby. */
const reads = (asked: unknown[]): boolean =>
  /^\s*(?:select|with)\b(?!.*\b(?:insert into|(?<!\bfor |\bkey )update|delete from)\b)/is.test(textOf(asked));
const textOf = ([query]: unknown[]): string =>
  typeof query === 'string' ? query : String((query as { text?: string }).text);

/**
 * A handle that takes a connection of the pool for each query. One that is bound to a school is a transaction of its own:
 * the school is set for it and is gone with it, whoever has the connection next.
 */
const pooled = <S extends Scope>(scope: S): Queryable & S => {
  const bound = scope.schoolId !== undefined || scope.districtId !== undefined;
  /** Asks what only reads. */
  const look = (asked: unknown[], pool?: pg.Pool): Promise<unknown> => {
    count();
    return bound
      ? together(scope, asked, pool)
      : borrowed((client) => (client.query as Ask).call(client, ...asked), pool);
  };
  /** Does what changes something. All of it goes there at once: what follows something that failed is not done. */
  const act = (asked: unknown[]): Promise<unknown> =>
    borrowed((client) => {
      count();
      const ask = (client.query as Ask).bind(client);
      return landing(
        ask,
        ask(bound ? `begin; ${binding(scope)}` : 'begin'),
        ask(...asked),
        unsettles(textOf(asked)),
      );
    });
  return handle(scope, async (...asked) => {
    const repeatable = reads(asked);
    // Who is signed in is asked of the database itself, as long as it answers.
    const standby = repeatable && (bound || onlyStandby()) ? standbyPool() : undefined;
    if (standby)
      try {
        return await look(asked, standby);
      } catch (error) {
        // The database itself may know better.
        if (!databaseTrouble(error)) throw error;
      }
    if (!repeatable) return untilHeard(() => act(asked));
    const request = asking();
    const anew = (): Promise<unknown> => untilHeard(() => look(asked));
    if (!request?.reads || scope.schoolId === undefined) return anew();
    // What a page asks for twice it is told once: until it changes something itself.
    const { text = '', values } = asked[0] as { text?: string; values?: unknown };
    const key = `${scope.schoolId} ${text}\n${JSON.stringify(values ?? asked[1])}`;
    const stamp = request.stamps.get(scope.schoolId);
    const before = request.told.get(key);
    const answer = before ?? (stamp && isSettled(text) ? underStamp(stamp, key, anew) : anew());
    if (!before) request.told.set(key, answer);
    return ownRows((await answer) as { rows: unknown[] });
  });
};

const handles = new LRUCache<string, SchoolHandle>({ max: 500 });

/** The handle of a school. */
export function atSchool({ schoolId, districtId, timeZone }: OneSchool): SchoolHandle {
  asking()?.schools.add(schoolId);
  const key = `${schoolId} ${districtId} ${timeZone}`;
  const known = handles.get(key);
  if (known) return known;
  const made = pooled({ schoolId, districtId, timeZone });
  handles.set(key, made);
  return made;
}

let whole: Installation | undefined;
/** The handle of what belongs to no single school. */
export const installation = (): Installation => (whole ??= pooled({}));
/** The handle of a district: what its schools show each other, and their numbers. */
export const inDistrict = (districtId: string): Installation => pooled({ districtId });

/** The same transaction, for the rows of another school; and that a part of it was taken back, with whose rows it was for. */
const others = new WeakMap<Queryable, { at: (school: OneSchool) => SchoolHandle; tookBack: () => void }>();
/** The handle of another school in the transaction of `tx`: for what moves from one to the other. */
export function alsoAt(tx: Queryable, school: OneSchool): SchoolHandle {
  const other = others.get(tx);
  if (!other) throw new Error('Only a transaction can go on in another school.');
  return other.at(school);
}

/**
 * Does `work` in one transaction: all of it or nothing; within the transaction of `at`, where that is one already. It is
 * done again, from the beginning, when it collided with another one, or when its machine went away before its end. Locks
 * are taken in one order everywhere: variant, kit, copy, family, loan.
 */
export const transaction = <H extends SchoolHandle | Installation, T>(
  at: H,
  work: (tx: H) => Promise<T>,
): Promise<T> => (others.has(at) ? within(at, work) : untilHeard(() => once(at, work)));

/** A part of a transaction that can fail by itself. */
async function within<H extends Queryable, T>(tx: H, work: (tx: H) => Promise<T>): Promise<T> {
  await tx.execute('savepoint part');
  try {
    const result = await work(tx);
    await tx.execute('release savepoint part');
    return result;
  } catch (error) {
    // Where the whole transaction is lost there is nothing to go back to.
    if (!databaseTrouble(error))
      await tx.execute('rollback to savepoint part').then(
        () => undefined,
        () => undefined,
      );
    others.get(tx)?.tookBack();
    throw error;
  }
}

const once = <H extends SchoolHandle | Installation, T>(at: H, work: (tx: H) => Promise<T>): Promise<T> =>
  borrowed(async (client, broke) => {
    const ask = (client.query as Ask).bind(client);
    // One query follows the other: what is asked at the same moment waits for its turn.
    let turn: Promise<unknown> = Promise.resolve();
    /** Whether it changes what is settled. */
    let settled = false;
    /** For whose rows the transaction is now. */
    let bound: string | undefined;
    const bind = async (scope: Scope): Promise<void> => {
      const to = binding(scope);
      if (bound !== to) await ask(to);
      bound = to;
    };
    const boundTo = <S extends Scope>(scope: S): Queryable & S => {
      const made = handle(scope, (...asked) => {
        const answer = turn.then(async () => {
          await bind(scope);
          count();
          settled ||= !reads(asked) && unsettles(textOf(asked));
          return ask(...asked);
        });
        turn = answer.catch(() => undefined);
        return answer;
      });
      others.set(made, {
        at: ({ schoolId, districtId, timeZone }) => boundTo({ schoolId, districtId, timeZone }),
        tookBack: () => (bound = undefined),
      });
      return made;
    };
    try {
      const { schoolId, districtId } = at;
      bound = binding({ schoolId, districtId });
      await ask(`begin; ${bound}`);
      const tx = boundTo(
        schoolId === undefined ? { districtId } : { schoolId, districtId, timeZone: at.timeZone },
      );
      const result = await work(tx as unknown as H);
      await landing(ask, Promise.resolve(), Promise.resolve(result), settled);
      return result;
    } catch (error) {
      // A connection that cannot even roll back is thrown away.
      if (!databaseTrouble(error)) await ask('rollback').catch(broke);
      throw error;
    }
  });

/** Why the role of DATABASE_URL must not serve several schools, in a sentence; undefined when it may. */
export async function roleFault(): Promise<string | undefined> {
  const { rows } = await connectionPool().query<{ role: string; passes: boolean; owns: boolean }>(`
    select current_user as role, rolsuper or rolbypassrls as passes,
      exists (select from pg_class where relname = 'family' and pg_has_role(relowner, 'member')) as owns
    from pg_roles where rolname = current_user`);
  const { role, passes, owns } = rows[0]!;
  return passes || owns
    ? `The role ${role} of DATABASE_URL ${owns ? 'owns the tables' : 'may pass the policies of the tables'}, so nothing would keep one school from the rows of another. Name another role in DATABASE_URL and this one in DATABASE_OWNER_URL, then run: npm run migrate`
    : undefined;
}

/** A server whose clock is further off the database's than this must not say what day it is. */
const MOST_OFF_MS = 5000;
let offMs = 0;
/** Now, on the clock of the database as far as it is known: several servers have one day. */
export const now = (): Date => new Date(Date.now() + offMs);

/** `readOnly`: it answers and takes nothing; `clock`: the clock of this server is off. */
export type DatabaseState = 'ready' | 'readOnly' | 'clock' | DatabaseTrouble;

const newest = Math.max(...journal.entries.map(({ when }) => when));

/** Whether the database answers, takes what is written, and has every migration of this version. Waits no longer than `ms`. */
export async function databaseState(ms = 2000): Promise<DatabaseState> {
  const late = pause(ms, 'busy' as const, { ref: false });
  const from = Date.now();
  const asked = connectionPool()
    .query<{ newest: string | null; reads: boolean; now: number }>(
      `select (select max(created_at) from drizzle.__drizzle_migrations) as newest,
        pg_is_in_recovery() or current_setting('transaction_read_only')::boolean as reads,
        extract(epoch from clock_timestamp())::float8 * 1000 as now`,
    )
    .then(
      ({ rows: [row] }): DatabaseState => {
        if (Number(row!.newest) < newest) return 'empty';
        if (row!.reads) return 'readOnly';
        // It was read between the two moments; what is less than the wait is no difference.
        const off = row!.now - (from + Date.now()) / 2;
        offMs = Math.abs(off) > (Date.now() - from) / 2 + 1000 ? off : 0;
        return Math.abs(offMs) > MOST_OFF_MS ? 'clock' : 'ready';
      },
      (error: unknown) => {
        // Another host may take what this one does not.
        void turnToWriter();
        return databaseTrouble(error) ?? 'away';
      },
    );
  return Promise.race([asked, late]);
}
