/**
 * `npm run year [-- --seed 7 --weeks 38 --seeds 60]`: a school year of the demo's school, simulated through the
 * application itself and a database of its own, which is removed afterwards; then two ways to run a school side by side,
 * over many seeds. Ends with 1 when something that must always be true was not.
 */
import { rmSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import pg from 'pg';
import { atMost } from '~/core/chance/pmf';
import { binomial } from '~/core/chance/binomial';
import { wilson } from '~/core/chance/intervals';
import { daysAfter } from '~/core/lending/due';
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { LEVEL_OF } from '~/core/lending/children';
import { aboutLanguage } from '~/core/words/languages';
import { money } from '~/core/words/numbers';
import { chart } from '~/core/year/chart';
import { compared } from '~/core/year/compare';
import { schoolYear, type Way, type YearFigures, type YearKit } from '~/core/year/ways';
import { ensureDatabase, startCluster } from './lib/postgres.ts';
import { step, Trouble } from './lib/say.ts';
import { useDatabase } from './lib/url.ts';
import { setDay, stopwatch, takeOverDate, takeOverNow } from './year/clock.ts';
import type { Told } from './year/school.ts';

const DATABASE = 'fern_year';
const BANDS = Object.keys(AGE_BANDS) as AgeBand[];
/** A Monday; every simulated year begins on it. */
const FIRST_DAY = '2026-09-07';
/** A range that holds nine in ten may miss more often than one in ten by chance, but not so much more that this is as likely. */
const BY_CHANCE = 0.001;

const OPTIONS = {
  seed: { type: 'string', default: '7' },
  weeks: { type: 'string', default: '38' },
  seeds: { type: 'string', default: '60' },
  chart: { type: 'string', default: resolve('.data', 'year.svg') },
} as const;
function asked() {
  try {
    return parseArgs({ options: OPTIONS }).values;
  } catch {
    throw new Trouble('It takes --seed, --weeks, --seeds and --chart.', 'such as npm run year -- --seed 7');
  }
}
const whole = (text: string, name: string, least: number, most: number): number => {
  const value = Number(text);
  if (!Number.isInteger(value) || value < least || value > most)
    throw new Trouble(
      `--${name} takes a whole number from ${least} to ${most}.`,
      `such as --${name} ${Math.max(least, 7)}`,
    );
  return value;
};

let bad = 0;
let stop = async (): Promise<void> => undefined;
try {
  const values = asked();
  const seed = whole(values.seed, 'seed', 0, 1_000_000);
  const weeks = whole(values.weeks, 'weeks', 1, 40);
  const seeds = whole(values.seeds, 'seeds', 0, 500);
  console.log('A school year, played through');
  const cluster = await step('database server of its own', () => startCluster('year', { throwaway: true }));
  stop = async () => {
    await cluster.stop();
    for (const left of ['year', 'year.runner'])
      rmSync(resolve('.data', left), { recursive: true, force: true });
  };
  const url = await step('database', () => ensureDatabase(cluster, DATABASE, { fresh: true }));
  useDatabase(url);
  const kits = await throughTheApplication(url, seed, weeks);
  if (seeds >= 2) await bothWays(kits, seeds, values.chart);
  else if (seeds) console.log('Two ways are compared over at least two seeds.');
} catch (error) {
  if (error instanceof Trouble) console.error(`${error.message} ${error.todo}`);
  else console.error(error);
  process.exitCode = 1;
} finally {
  await stop();
}
if (bad) process.exitCode = 1;
// Threads that reckon would wait for more.
process.exit();

async function throughTheApplication(url: string, seed: number, weeks: number): Promise<YearKit[]> {
  const { closeDatabase } = await import('~/data/pools.ts');
  const { migrate } = await import('~/data/migrate.ts');
  const { loadDemoWhenEmpty } = await import('~/data/demo/load.ts');
  const { hashPassword } = await import('~/server/people/password.ts');
  const { addEntries } = await import('~/data/queries/calendar.ts');
  const { listPeople } = await import('~/data/queries/people.ts');
  const { isSafeFor, kitWalls } = await import('~/server/lending/kits.ts');
  const { kitLevel, schoolWords } = await import('~/server/listening/levels.ts');
  const { listCopies } = await import('~/data/queries/copies.ts');
  const { SchoolInTime } = await import('./year/school.ts');
  const { brokenRules } = await import('./year/true.ts');
  await step('migrations', migrate);
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await takeOverNow(client, DATABASE);
  await closeDatabase();
  takeOverDate();
  await setDay(client, FIRST_DAY);
  const demo = (await step('the demo’s school', () => loadDemoWhenEmpty(hashPassword)))!;
  const { at } = demo;
  const by = (await listPeople(at)).find(({ name }) => name === 'Maren')!.id;
  // The demo's calendar ends after the next term: the year goes on.
  await addEntries(
    at,
    [{ kind: 'term', name: 'Seal term', from: daysAfter(FIRST_DAY, 147), to: daysAfter(FIRST_DAY, 290) }],
    by,
  );
  // The bags as they are when the year begins: what each asks, as its games are reckoned.
  const words = await schoolWords(at);
  const kits = (await kitWalls(at)).map((kit): YearKit => ({
    id: kit.name,
    band: BANDS.find((band) => LEVEL_OF[band] === kit.level)!,
    demand: kitLevel(kit.id, words) ?? kit.level,
    copies: 0,
    smallParts: !isSafeFor(kit, { underThree: true, allergens: '' }),
    languages: kit.languages,
  }));
  for (const { kitName } of await listCopies(at)) {
    const kit = kits.find(({ id }) => id === kitName);
    if (kit) kit.copies++;
  }
  const school = new SchoolInTime(at, by, FIRST_DAY, seed);
  await school.begin();
  const took = stopwatch();
  const days = weeks * 7;
  const broken: string[] = [];
  for (let i = 0; i < days; i++) {
    const day = daysAfter(FIRST_DAY, i);
    await setDay(client, day);
    await school.live(day);
    for (const one of await brokenRules(client, FIRST_DAY)) broken.push(`${day}: ${one}`);
    if (broken.length > 20) break;
    if (i % 28 === 27)
      console.log(
        `    ${day}: ${school.told.lent} bags lent, ${school.told.returned} home again (${took().toFixed(0)} s)`,
      );
  }
  await school.end(daysAfter(FIRST_DAY, days - 1));
  tell(school.told, days, took());
  console.log('\nWhat must be true at the end of every day');
  if (broken.length === 0) console.log(`  ✓ it was, on ${days} days`);
  for (const one of broken) console.log(`  ✗ ${one}`);
  bad += broken.length;
  const { within, known, lags } = school.told;
  // A range of nine in ten misses one in ten: so many misses or more must not be too unlikely.
  const misses = known - within;
  const chance = known ? 1 - (misses ? atMost(binomial(known, 0.1), misses - 1) : 0) : 1;
  const honest = chance >= BY_CHANCE;
  console.log(
    `  ${honest ? '✓' : '✗'} ranges that hold nine in ten held ${within} of ${known} children as they were when they were heard (as they are today: ${lags})` +
      (honest ? '' : `: so many misses come by chance once in ${Math.round(1 / Math.max(chance, 1e-12))}`),
  );
  if (!honest) bad++;
  await client.end();
  await closeDatabase();
  return kits.filter(({ copies }) => copies > 0);
}

/** What a coordinator would be proud of, or ashamed of. */
function tell(told: Told, days: number, seconds: number): void {
  const line = (label: string, value: string, reason: string): void =>
    console.log(`  ${label.padEnd(24)} ${value.padStart(10)}  ${reason}`);
  const share = (n: number, of: number): string => {
    if (of === 0) return 'nothing yet';
    const { low, high } = wilson(n, of);
    return `${n} of ${of}, between ${Math.round(low * 100)} and ${Math.round(high * 100)} in 100`;
  };
  const percent = (n: number, of: number): string => (of ? `${Math.round((100 * n) / of)} %` : '–');
  const waits = [...told.waits].sort((a, b) => a - b);
  console.log(`\n${days} days in ${seconds.toFixed(0)} s`);
  line('Bags lent', String(told.lent), `${told.returned} came home`);
  line('Just right', percent(told.right, told.played), share(told.right, told.played));
  line('Answered', percent(told.answers, told.returned), share(told.answers, told.returned));
  line(
    'Waiting',
    waits.length ? `${waits[Math.floor(waits.length / 2)]} days` : '–',
    waits.length ? `the middle; nine in ten at most ${waits[Math.floor(waits.length * 0.9)]} days` : '',
  );
  line('Something lost', percent(told.lost, told.returned), share(told.lost, told.returned));
  line('Bought', money(told.boughtCents), 'to mend what came home short');
  line('Hours of hands', (told.minutes / 60).toFixed(0), 'lending, counting, mending, matching');
  line('Messages', String(told.messages), 'sent');
  line('At the evening', String(told.cameToEvening), 'families came');
  line('Wordings checked', String(told.checked), 'games in a language, by a reader');
  line(
    'No bag that suits',
    String(told.unsuited),
    'times a family that wanted one was left out of a hand-out',
  );
  line('Moved away', String(told.movedAway), 'and were forgotten');
  for (const [language, { reached, of }] of [...told.reached].sort((a, b) => b[1].of - a[1].of))
    line(`Reached, ${aboutLanguage(language).name}`, percent(reached, of), share(reached, of));
}

async function bothWays(kits: readonly YearKit[], seeds: number, file: string): Promise<void> {
  const years: Record<Way, YearFigures[]> = { firstCome: [], rounds: [] };
  await step(`two ways, ${seeds} years each`, async () => {
    for (let seed = 1; seed <= seeds; seed++)
      for (const way of ['firstCome', 'rounds'] as const) years[way].push(await schoolYear(way, kits, seed));
  });
  const rows = compared(years);
  console.log('');
  for (const { sentence } of rows) console.log(`  ${sentence}`);
  writeFileSync(file, chart(rows, seeds));
  console.log(`\nThe chart: ${file}`);
}
