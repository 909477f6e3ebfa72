/**
 * `npm run mutants [-- core/kits/safety.ts …] [--count 150] [--seed 1]`: small mistakes are put into the code, one at a time,
 * and the tests have to find them. Without files it takes a sample of the rooms in which a mistake would hurt somebody, and
 * of the guards of data and server; with files, all of each. Says which survived.
 */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { Stryker } from '@stryker-mutator/core';
import { seeded, shuffled } from '~/core/chance/random';
import { ensureDatabase, startCluster } from './lib/postgres.ts';
import { Trouble } from './lib/say.ts';
import { useDatabase } from './lib/url.ts';

const ROOMS = ['core/lending', 'core/kits', 'core/listening', 'core/chance'];
/** What keeps a bag from going out, a school from seeing another, and a form from being done twice. */
const GUARDS = [
  'data/queries/lending.ts',
  'data/queries/returns.ts',
  'data/queries/holds.ts',
  'data/queries/promises.ts',
  'data/queries/sent.ts',
  'server/lending/hall.ts',
  'server/lending/handover.ts',
  'server/limits.ts',
];
/** Of ten mutants of a sample, so many are of the rooms and the others of the guards. */
const OF_ROOMS = 0.8;
const WANTED = 85;

/** Source files of a room. */
const sourcesIn = (room: string): string[] =>
  readdirSync(room)
    .filter((name) => name.endsWith('.ts') && !/\.test\.|testing|\.d\.ts$/.test(name))
    .map((name) => join(room, name));

/** Lines that say something, as Stryker is told of them: a sample of about so many mutants. */
function sampleOf(files: readonly string[], count: number, seed: number): string[] {
  const lines = files.flatMap((file) =>
    readFileSync(file, 'utf8')
      .split('\n')
      .flatMap((text, i) =>
        /^\s*(import|export \*|\/\/|\*|\/\*|[)}\]]*[;,]?$)/.test(text) ? [] : [`${file}:${i + 1}-${i + 1}`],
      ),
  );
  return shuffled(lines, seeded(seed)).slice(0, count);
}

interface Tally {
  killed: number;
  survived: string[];
}

/** Tries mutants of these files or lines. */
async function tried(mutate: readonly string[]): Promise<Tally> {
  const results = await new Stryker({
    testRunner: 'vitest',
    plugins: ['@stryker-mutator/vitest-runner'],
    vitest: { configFile: 'scripts/mutants/vitest.config.ts', related: true },
    mutate: [...mutate],
    // What is said when something is refused, and what is only made once at the start, says little of a rule.
    mutator: { excludedMutations: ['StringLiteral', 'Regex', 'ObjectLiteral'] },
    ignoreStatic: true,
    reporters: ['progress-append-only'],
    tempDirName: '.data/mutants',
    ignorePatterns: ['.data', 'build', 'docs'],
    concurrency: 1,
    timeoutMS: 30_000,
    dryRunTimeoutMinutes: 30,
    disableTypeChecks: true,
    allowConsoleColors: false,
  }).runMutationTest();
  const tally: Tally = { killed: 0, survived: [] };
  for (const { status, fileName, location, mutatorName, replacement } of results) {
    if (status === 'Killed' || status === 'Timeout') tally.killed++;
    else if (status === 'Survived' || status === 'NoCoverage')
      tally.survived.push(
        `${fileName}:${location.start.line} ${mutatorName}${replacement ? `: ${replacement.slice(0, 80)}` : ''}`,
      );
  }
  return tally;
}

/** The same on a database of its own. */
async function triedOnDatabase(mutate: readonly string[]): Promise<Tally> {
  const cluster = await startCluster('mutants', { throwaway: true });
  try {
    const url = await ensureDatabase(cluster, 'fern_mutants', { fresh: true });
    useDatabase(url);
    const { closeDatabase } = await import('~/data/pools.ts');
    const { migrate } = await import('~/data/migrate.ts');
    await migrate();
    await closeDatabase();
    process.env.FERN_DATABASES = url;
    return await tried(mutate);
  } finally {
    delete process.env.FERN_DATABASES;
    await cluster.stop();
  }
}

try {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { count: { type: 'string', default: '150' }, seed: { type: 'string', default: '1' } },
  });
  for (const file of positionals)
    if (!existsSync(file.split(':')[0]!))
      throw new Trouble(`There is no file “${file}”.`, 'Name a source file.');
  const [count, seed] = [Number(values.count), Number(values.seed)];
  const inCore = (file: string): boolean => file.startsWith('core/');
  const rooms = positionals.length
    ? positionals.filter(inCore)
    : sampleOf(ROOMS.flatMap(sourcesIn), Math.round(count * OF_ROOMS), seed);
  const guards = positionals.length
    ? positionals.filter((file) => !inCore(file))
    : sampleOf(GUARDS, Math.round(count * (1 - OF_ROOMS)), seed);
  const tallies = [
    ...(rooms.length ? [await tried(rooms)] : []),
    ...(guards.length ? [await triedOnDatabase(guards)] : []),
  ];
  const killed = tallies.reduce((sum, one) => sum + one.killed, 0);
  const survived = tallies.flatMap((one) => one.survived);
  for (const one of survived) console.log(`  survived  ${one}`);
  const share = (100 * killed) / Math.max(1, killed + survived.length);
  console.log(
    `${killed} of ${killed + survived.length} killed: ${share.toFixed(0)} in 100 (wanted ${WANTED}).`,
  );
  process.exit(share >= WANTED ? 0 : 1);
} catch (error) {
  console.error(error instanceof Trouble ? `${error.message} ${error.todo}` : error);
  process.exit(1);
}
