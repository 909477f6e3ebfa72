/** How long an update of the tables keeps others waiting, on a database with 2.5 million counts of parts. */
import { readFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { setTimeout as pause } from 'node:timers/promises';
import { gunzipSync } from 'node:zlib';
import pg from 'pg';
import { startCluster, ensureDatabase } from '../lib/postgres.ts';
import { Trouble } from '../lib/say.ts';
import { useDatabase } from '../lib/url.ts';
import { row } from './rows.ts';

/** An edition that is many migrations behind. */
const EDITION = 'tests/editions/0029.sql.gz';
const COUNTS = 2_500_000;
const LOANS = 300_000;
/** What pages read; a lock on one of them is a page that waits. */
const READ = ['loan', 'part_count', 'answer', 'family', 'copy', 'person', 'session', 'message'];
const LOOK_MS = 20;

const FILL = `
  set session_replication_role = replica;
  insert into loan (school_id, copy_id, family_id, lent_on, due_on, returned_on, closed_as)
    select school_id, copy_id, family_id, lent_on, due_on, greatest(lent_on, due_on), 'returned'
    from (select * from loan limit 100) as few, generate_series(1, ${LOANS} / 100);
  insert into part_count (school_id, copy_id, cause, material, expected, counted)
    select school_id, copy_id, 'mend', material, expected, counted
    from (select * from part_count limit 100) as few, generate_series(1, ${COUNTS} / 100);
  analyze`;

export async function measureMigrations(): Promise<void> {
  const cluster = await startCluster('test', { throwaway: true });
  try {
    const url = await ensureDatabase(cluster, 'fern_migrations', { fresh: true });
    const laid = spawnSync('psql', ['--quiet', '--set', 'ON_ERROR_STOP=1', '--dbname', url], {
      input: gunzipSync(readFileSync(EDITION)),
    });
    if (laid.status !== 0) throw new Trouble(laid.stderr.toString(), 'the data of an earlier edition');
    const looker = new pg.Client({ connectionString: url });
    looker.on('error', () => undefined);
    await looker.connect();
    await looker.query(FILL);
    await looker.query('reset session_replication_role');
    const { rows } = await looker.query<{ n: string }>('select count(*) as n from part_count');
    console.log(`\nMigrations from ${EDITION}, with ${rows[0]!.n} counts of parts`);
    useDatabase(url);
    const { migrate } = await import('~/data/migrate.ts');
    const { closeDatabase } = await import('~/data/pools.ts');
    let going = true;
    let longest = 0;
    const look = (async () => {
      while (going)
        for (const table of READ) {
          const from = performance.now();
          await looker.query(`select 1 from ${table} limit 1`);
          longest = Math.max(longest, performance.now() - from);
          await pause(LOOK_MS);
        }
    })();
    const from = performance.now();
    await migrate();
    row('all of them', performance.now() - from, 60_000);
    going = false;
    await look;
    row('the longest that somebody who reads a table waited', longest, 2000);
    await looker.end();
    await closeDatabase();
  } finally {
    await cluster.stop();
  }
}
