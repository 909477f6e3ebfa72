/** `npm test`: every check and test there is, on a database of its own. Closes with "N passed, N failed". */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureBrowser } from './lib/browser.ts';
import { CHECKS } from './lib/checks.ts';
import { ensureDatabase, startCluster, type Cluster } from './lib/postgres.ts';
import { step } from './lib/say.ts';
import { run } from './lib/system.ts';
import { ensureBuild, freePortFrom, serve } from './lib/web.ts';

let passed = 0;
let failed = 0;

async function counted(name: string, work: () => Promise<unknown>): Promise<boolean> {
  try {
    await step(name, work);
    passed++;
    return true;
  } catch {
    failed++;
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
  ];
  await run(process.execPath, args, { env: { ...process.env, ...env }, show: true }).catch(() => undefined);
  try {
    const result = JSON.parse(readFileSync(file, 'utf8')) as {
      numPassedTests: number;
      numFailedTests: number;
      success: boolean;
    };
    passed += result.numPassedTests;
    failed += result.numFailedTests;
    // A file that does not load fails without a failed test.
    if (!result.success && !result.numFailedTests) failed++;
  } catch {
    console.error(`  ✗ The ${project} tests left no result.`);
    failed++;
  }
}

let cluster: Cluster | undefined;
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => void (cluster?.stop() ?? Promise.resolve()).then(() => process.exit(1)));

console.log('Checks');
for (const check of CHECKS) await counted(check.name, check.run);
console.log('Unit tests');
await vitest('unit');
console.log('Database and browser');
await counted('browser and PDF tools', async () => ensureBrowser());
const ready = await counted('test database server', async () => {
  cluster = await startCluster('test', { throwaway: true });
});
if (ready && cluster) {
  const { migrate, closeDatabase } = await import('~/data/db.ts');
  const database = await ensureDatabase(cluster, 'fern_test', { fresh: true });
  process.env.DATABASE_URL = database;
  if (await counted('migrations', migrate)) {
    await closeDatabase();
    await vitest('database', { DATABASE_URL: database });
    if (await counted('build', ensureBuild)) {
      const journeys = await ensureDatabase(cluster, 'fern_journeys', { fresh: true });
      process.env.DATABASE_URL = journeys;
      await migrate();
      await closeDatabase();
      const port = await freePortFrom(4700);
      try {
        // Journeys sign in far more often from one address than a school does.
        const web = await serve({
          port,
          databaseUrl: journeys,
          quiet: true,
          env: { SIGN_IN_TRIES_PER_ADDRESS: '1000' },
        });
        await vitest('journeys', { DATABASE_URL: journeys, FERN_ADDRESS: web.address });
        await web.stop();
      } catch (error) {
        console.error(error instanceof Error ? error.message : error);
        failed++;
      }
    }
  }
  await cluster.stop();
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
