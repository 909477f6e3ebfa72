/** `npm test`: every check and test there is, on a database of its own. Closes with "N passed, N failed". */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureBrowser } from './lib/browser.ts';
import { runChecks } from './lib/checks.ts';
import { LANES } from './lib/lanes.ts';
import { ensureDatabase, startCluster, type Cluster } from './lib/postgres.ts';
import { step } from './lib/say.ts';
import { run } from './lib/system.ts';
import { useDatabase } from './lib/url.ts';
import { ensureBuild, freePortFrom, serve, type WebServer } from './lib/web.ts';

let passed = 0;
let failed = 0;
/** A test machine does other things as well: what waits is let wait longer. The probe tries the real times. */
const PATIENCE = '4';
/** What failed, by name: said again at the end, where it is looked for. */
const fallen: string[] = [];

async function counted(name: string, work: () => Promise<unknown>): Promise<boolean> {
  try {
    await step(name, work);
    passed++;
    return true;
  } catch {
    failed++;
    fallen.push(name);
    return false;
  }
}

/** Runs one vitest project and adds its tests to the count. */
async function vitest(project: string, env: Record<string, string> = {}): Promise<void> {
  mkdirSync('.data/results', { recursive: true });
  const file = `.data/results/${project}.json`;
  rmSync(file, { force: true });
  const args = [
    'node_modules/vitest/vitest.mjs',
    'run',
    '--project',
    project,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
    ...process.argv.slice(3),
  ];
  await run(process.execPath, args, { env: { ...process.env, ...env }, show: true }).catch(() => undefined);
  try {
    const result = JSON.parse(readFileSync(file, 'utf8')) as {
      numPassedTests: number;
      numFailedTests: number;
      success: boolean;
      testResults: {
        name: string;
        status: string;
        message: string;
        assertionResults: { fullName: string; status: string; failureMessages: string[] }[];
      }[];
    };
    for (const { name, status, message, assertionResults } of result.testResults) {
      const broken = assertionResults.filter((test) => test.status === 'failed');
      for (const test of broken)
        fallen.push(`${name}: ${test.fullName}\n    ${test.failureMessages.join('\n').slice(0, 600)}`);
      if (status === 'failed' && !broken.length) fallen.push(`${name}: ${message.slice(0, 600)}`);
    }
    passed += result.numPassedTests;
    failed += result.numFailedTests;
    // A file that does not load fails without a failed test.
    if (!result.success && !result.numFailedTests) failed++;
  } catch {
    fallen.push(`The ${project} tests left no result.`);
    failed++;
  }
}

let cluster: Cluster | undefined;
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => void (cluster?.stop() ?? Promise.resolve()).then(() => process.exit(1)));

/** `npm test -- unit`, `-- database`, `-- journeys` or `-- probe` runs that part alone, and `-- journeys desk` the files of that name. */
const only = process.argv[2];
const wanted = (part: string): boolean => only === undefined || only === part;

async function checks(): Promise<void> {
  console.log('Checks');
  await runChecks(counted);
}
async function probe(): Promise<void> {
  console.log('Probe: two servers, a database, and what may happen to them');
  await vitest('probe', { PROBE_PATIENCE: PATIENCE });
}

console.log('Tools');
await counted('browser and PDF tools', async () => ensureBrowser());
if (wanted('checks')) await checks();
if (wanted('probe')) await probe();
if (wanted('unit')) {
  console.log('Unit tests');
  await vitest('unit');
}
if (wanted('database') || wanted('journeys')) await withDatabase();
for (const what of fallen) console.log(`  ✗ ${what}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);

async function withDatabase(): Promise<void> {
  console.log('Database and browser');
  const started = await counted('test database server', async () => {
    cluster = await startCluster('test', { throwaway: true });
  });
  if (!started || !cluster) return;
  try {
    const databases = await lanes(cluster);
    if (wanted('database')) await vitest('database', { FERN_DATABASES: databases.join(' '), PATIENCE });
    if (wanted('journeys')) await journeys(databases);
  } catch (error) {
    fallen.push(error instanceof Error ? error.message : String(error));
    failed++;
  } finally {
    await cluster.stop();
  }
}

/** A database for each lane, with the newest schema and nothing in it: the first is migrated, the others are copies. */
async function lanes(cluster: Cluster): Promise<string[]> {
  const first = await ensureDatabase(cluster, 'fern_lane_1', { fresh: true });
  useDatabase(first);
  const { closeDatabase } = await import('~/data/pools.ts');
  const { letServerIn, migrate } = await import('~/data/migrate.ts');
  await counted('migrations', migrate);
  await closeDatabase();
  const others = Array.from({ length: LANES - 1 }, (_, i) => `fern_lane_${i + 2}`);
  const copies = await Promise.all(
    others.map((name) => ensureDatabase(cluster, name, { fresh: true, template: 'fern_lane_1' })),
  );
  // What may be done in a database as a whole is not copied with it.
  for (const copy of copies) await letServerIn(copy);
  return [first, ...copies];
}

async function journeys(databases: readonly string[]): Promise<void> {
  if (!(await counted('build', ensureBuild))) return;
  // Journeys sign in far more often from one address than a school does, and say themselves when it is evening.
  const env = {
    EVENING_HOUR: '24',
    PATIENCE,
    SIGN_IN_TRIES_PER_ADDRESS: '1000',
    FAMILY_VISITS_PER_ADDRESS: '1000',
  };
  const servers: WebServer[] = [];
  try {
    for (const databaseUrl of databases)
      servers.push(
        await serve({ port: await freePortFrom(4700 + servers.length), databaseUrl, quiet: true, env }),
      );
    await vitest('journeys', {
      FERN_DATABASES: databases.join(' '),
      PATIENCE,
      FERN_ADDRESSES: servers.map(({ address }) => address).join(' '),
    });
  } finally {
    await Promise.all(servers.map((server) => server.stop()));
  }
}
