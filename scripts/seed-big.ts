/**
 * `npm run seed-big [-- --schools 60]`: a large district in a database of its own, to measure on: 5,000 families, 4,000
 * copies, 50,000 loans and 30,000 answers in so many schools. With DATABASE_OWNER_URL set it fills that database, which
 * must be empty.
 */
import { parseArgs } from 'node:util';
import pg from 'pg';
import { ensureDatabase, startCluster } from './lib/postgres.ts';
import { step, Trouble } from './lib/say.ts';
import { useDatabase } from './lib/url.ts';

const { values } = parseArgs({ options: { schools: { type: 'string', default: '60' } } });
const schools = Number(values.schools);
let stop = async (): Promise<void> => undefined;
try {
  if (!(Number.isInteger(schools) && schools >= 2 && schools <= 500))
    throw new Trouble('--schools takes a whole number from 2 to 500.', 'such as --schools 60');
  if (!process.env.DATABASE_OWNER_URL) {
    const cluster = await step('database server', () => startCluster('big', { throwaway: true }));
    stop = cluster.stop;
    useDatabase(await step('database fern_big', () => ensureDatabase(cluster, 'fern_big', { fresh: true })));
  }
  await seedBig(schools);
} catch (error) {
  if (error instanceof Trouble) console.error(`${error.message} ${error.todo}`);
  process.exitCode = 1;
} finally {
  await stop();
}

async function seedBig(many: number): Promise<void> {
  const { closeDatabase, ownerUrl } = await import('~/data/pools.ts');
  const { migrate } = await import('~/data/migrate.ts');
  const { loadDemoWhenEmpty } = await import('~/data/demo/load.ts');
  const { BIG, fillBig } = await import('~/data/demo/big.ts');
  const { hashPassword } = await import('~/server/people/password.ts');
  await step('migrations', migrate);
  if (!(await step('demo schools', () => loadDemoWhenEmpty(hashPassword))))
    throw new Trouble('This database holds schools already.', 'Name an empty one in DATABASE_OWNER_URL.');
  await closeDatabase();
  const client = new pg.Client({ connectionString: ownerUrl() });
  await client.connect();
  try {
    await step(`${many} schools`, () => fillBig(client, { ...BIG, schools: many }));
    for (const table of ['school', 'family', 'copy', 'loan', 'part_count', 'answer']) {
      const { rows } = await client.query<{ n: string }>(`select count(*) as n from ${table}`);
      console.log(`    ${table.padEnd(12)} ${Number(rows[0]!.n).toLocaleString('en-US')}`);
    }
  } finally {
    await client.end();
  }
}
