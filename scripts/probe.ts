/**
 * `npm run probe [-- name]`: attacks two servers of its own on one database, on loopback, and tells what was lost.
 * `npm run probe -- soak [minutes]` works at one of them for half an hour instead, and tells how much memory it takes.
 */
import { Field } from '~/tests/probe/field.ts';
import { TRIALS } from '~/tests/probe/rows.ts';
import { step } from './lib/say.ts';

const LONGEST_MS = 5 * 60_000;
const only = process.argv[2];
if (only === 'soak')
  process.exit((await (await import('./soak.ts')).soak(Number(process.argv[3]) || undefined)) ? 0 : 1);
const field = await step('two servers on one database', () => Field.open('probe'));
const started = Date.now();
let bad = 0;
let left = 0;
const line = (what: string, tried: string, refused: string, lost: string, note: string): void =>
  console.log(`${what.padEnd(62)} ${tried.padStart(7)} ${refused.padStart(8)} ${lost.padStart(5)}  ${note}`);
console.log('');
line('What was tried', 'tried', 'refused', 'lost', '');
try {
  for (const [name, { run, probe }] of Object.entries(TRIALS)) {
    if (only && !name.toLowerCase().includes(only.toLowerCase())) continue;
    if (Date.now() - started > LONGEST_MS) {
      left++;
      continue;
    }
    const from = Date.now();
    const { what, tried, refused = 0, lost, note = '' } = await run(field, probe);
    line(
      what,
      String(tried),
      String(refused),
      String(lost.length),
      `${note}${note ? ', ' : ''}${((Date.now() - from) / 1000).toFixed(0)} s`,
    );
    for (const one of lost.slice(0, 10)) console.log(`    ✗ ${one}`);
    bad += lost.length;
  }
} finally {
  await field.close();
}
if (left)
  console.log(
    `\n${left} rows were left out: five minutes were over. Try them by name: npm run probe -- malformed`,
  );
console.log(bad ? `\n${bad} things were lost.` : '\nNothing was lost.');
process.exit(bad || left ? 1 : 0);
