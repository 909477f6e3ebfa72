/** `npm run demo`: everything from an empty machine to a running school with demo data. */
import { step } from './lib/say.ts';
import { useDatabase } from './lib/url.ts';
import { ensureDatabase, startCluster } from './lib/postgres.ts';
import { ensureBuild, freePortFrom, serve } from './lib/web.ts';

const fresh = process.argv.includes('--fresh');
const stops: (() => Promise<void>)[] = [];
let stopping: Promise<void> | undefined;

/** Stops, in reverse order, all that was started. */
function stopAll(): Promise<void> {
  stopping ??= (async () => {
    for (const stop of stops.reverse()) await stop().catch(() => undefined);
  })();
  return stopping;
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
  process.on(signal, () => {
    console.log('\nStopping …');
    void stopAll().then(() => process.exit(0));
  });
}

try {
  console.log('Fern Basket');
  const cluster = await step('database server', () => startCluster('demo'));
  stops.push(cluster.stop);
  const url = await step('database', () => ensureDatabase(cluster, 'fern_basket', { fresh }));
  useDatabase(url);
  const { closeDatabase } = await import('~/data/pools.ts');
  const { migrate } = await import('~/data/migrate.ts');
  const { loadDemoWhenEmpty, DEMO_PEOPLE } = await import('~/data/demo/load.ts');
  const { hashPassword } = await import('~/server/people/password.ts');
  await step('migrations', migrate);
  const loaded = await step('demo data', () => loadDemoWhenEmpty(hashPassword));
  await closeDatabase();
  await step('build', ensureBuild);
  const port = await freePortFrom(Number(process.env.PORT ?? 4600));
  const web = await step('web server', () => serve({ port, databaseUrl: url }));
  stops.push(web.stop);
  console.log(`\nOpen ${web.address}`);
  for (const person of DEMO_PEOPLE)
    console.log(
      `  ${person.role.padEnd(13)} name "${person.name}", password "${person.password}" (${person.of})`,
    );
  if (!loaded) console.log('The data of the last run was kept. For new demo data: npm run demo -- --fresh');
  console.log('Ctrl-C stops everything.');
  await web.ended;
  if (!stopping) {
    console.error('The web server ended by itself (its last lines are above).');
    await stopAll();
    process.exit(1);
  }
} catch {
  await stopAll();
  process.exit(1);
}
