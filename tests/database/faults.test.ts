/** Each job that the clock starts or somebody waits for, with each thing that can stand in its way: it ends done, once. */
import { setTimeout as pause } from 'node:timers/promises';
import { sql } from 'drizzle-orm';
import pg from 'pg';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { daysAfter } from '~/core/lending/due';
import { accountIn } from '~/data/address';
import { closeDatabase, databaseUrl, ownerUrl } from '~/data/pools';
import { familyFields, updateFamily } from '~/data/queries/families';
import { startQueue, stopQueue } from '~/data/queue';
import { askForEvenings, beginEvenings, enqueueMessages } from '~/server/lending/jobs';
import { evening } from '~/server/lending/evening';
import { useCarrier } from '~/server/lending/outbox';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { lendOut, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let owner: pg.Client;
/** The role of the server, in this database alone. */
const role = `role ${pg.escapeIdentifier(accountIn(databaseUrl()).user)} in database ${pg.escapeIdentifier(new URL(ownerUrl()).pathname.slice(1))}`;
/** An hour at which it is evening, on the clock of this machine, where the school lies. */
const EVENING = new Date(2026, 11, 1, 23, 30);

beforeAll(async () => {
  owner = new pg.Client({ connectionString: ownerUrl() });
  await owner.connect();
});
beforeEach(async () => {
  await stopQueue();
  world = await smallSchool();
  await owner.query('delete from pgboss.job');
  useCarrier();
  const day = todayAt(world.at);
  const [, family] = world.families;
  await updateFamily(
    world.at,
    family!.id,
    { ...familyFields(family!), channel: 'message', reach: '555-0100' },
    1,
  );
  await lendOut(world, { copy: 0, family: 1, lentOn: daysAfter(day, -30), dueOn: daysAfter(day, 1) });
});
afterAll(async () => {
  await stopQueue();
  await owner.query(`alter ${role} reset default_transaction_read_only`);
  await owner.end();
  await closeDatabase();
});

/** Every connection of the server ends. */
const cut = (): Promise<unknown> =>
  owner.query(
    'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid() and usename = $1',
    [accountIn(databaseUrl()).user],
  );
/** The pauses before a job is tried again are over. */
const hurry = (): Promise<unknown> =>
  owner.query(`update pgboss.job set start_after = now() where state = 'retry'`);
const jobs = async (): Promise<{ name: string; state: string; tries: number }[]> =>
  (await owner.query(`select name, state::text, retry_count as tries from pgboss.job order by name`)).rows;
/** Whether a job of this name was tried and is to be tried again. */
const failedOnce = async (name: string): Promise<boolean> =>
  (await jobs()).some((job) => job.name === name && (job.state === 'retry' || job.tries > 0));

/** A fault begins, lasts until it was met, and has its end. */
interface Fault {
  begin: (name: string) => Promise<() => Promise<void>>;
}
const FAULTS: Record<string, Fault> = {
  'a table that is locked for longer than anybody waits': {
    begin: async (name) => {
      const other = new pg.Client({ connectionString: ownerUrl() });
      await other.connect();
      await other.query('begin');
      await other.query('lock table message in access exclusive mode');
      return async () => {
        while (!(await failedOnce(name))) await pause(200);
        await other.query('rollback');
        await other.end();
      };
    },
  },
  'a database that only reads': {
    begin: async () => {
      await owner.query(`alter ${role} set default_transaction_read_only = on`);
      await cut();
      return async () => {
        await pause(3000);
        await owner.query(`alter ${role} reset default_transaction_read_only`);
        await cut();
      };
    },
  },
  'a database that goes away again and again': {
    begin: async () => {
      let going = true;
      const cutting = (async () => {
        while (going) {
          await cut();
          await pause(150);
        }
      })();
      return async () => {
        await pause(3000);
        going = false;
        await cutting;
      };
    },
  },
  'a server that was killed over it': {
    begin: async (name) => {
      // Its job is under way, and nobody will ever say how it ended.
      await owner.query(
        `update pgboss.job set state = 'active', started_on = now() - interval '1 hour' where name = $1`,
        [name],
      );
      return () => Promise.resolve();
    },
  },
};

/** Waits until the message is with the carrier; answers how often it was carried. */
async function carriedTimes(): Promise<number> {
  for (;;) {
    const { rows } = await everything().execute<{ times: number; left: number }>(sql`
      select (select count(*)::int from carried) as times,
        (select count(*)::int from pgboss.job where state not in ('completed', 'failed', 'cancelled')) as left`);
    if (rows[0]!.times > 0 && rows[0]!.left === 0) return rows[0]!.times;
    await hurry();
    await pause(200);
  }
}

/** A server works while the fault lasts; one that could not reach its queue tries anew after a while, as this does. */
async function workThrough(end: () => Promise<void>): Promise<void> {
  await startQueue(() => undefined).catch(() => undefined);
  await beginEvenings().catch(() => undefined);
  await end();
  await stopQueue();
  await startQueue(() => undefined);
  await beginEvenings();
}

describe.each(Object.entries(FAULTS))('%s', (_, fault) => {
  it('keeps no evening from being done', { timeout: 240_000 }, async () => {
    await askForEvenings(EVENING);
    const end = await fault.begin('evening');
    await workThrough(end);
    await askForEvenings(EVENING);
    expect(await carriedTimes()).toBe(1);
  });

  it('keeps no message from being carried, and carries none twice', { timeout: 240_000 }, async () => {
    const ids = await evening(world.at, todayAt(world.at));
    expect(ids).toHaveLength(1);
    await enqueueMessages(world.at, ids);
    const end = await fault.begin('send');
    await workThrough(end);
    expect(await carriedTimes()).toBe(1);
  });
});

describe('a carrier that is away', () => {
  it('is tried again, given up, and tried anew when somebody says so', { timeout: 240_000 }, async () => {
    let tries = 0;
    useCarrier(() => {
      tries++;
      return Promise.reject(new Error('Nobody answers.'));
    });
    const ids = await evening(world.at, todayAt(world.at));
    await enqueueMessages(world.at, ids);
    await startQueue(() => undefined);
    await beginEvenings();
    const state = async (): Promise<string> =>
      (await owner.query<{ state: string }>('select state from message')).rows[0]!.state;
    while ((await state()) !== 'failed') {
      await hurry();
      await pause(200);
    }
    expect(tries).toBeGreaterThan(1);
    expect((await owner.query('select from carried')).rowCount).toBe(0);
    useCarrier();
    await owner.query(`update message set state = 'waiting'`);
    await enqueueMessages(world.at, ids);
    expect(await carriedTimes()).toBe(1);
    expect(await state()).toBe('sent');
  });
});
