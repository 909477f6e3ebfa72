/** Migrations that have landed are in somebody's database: they stay as they are, and what was wrong is set right by another one. */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import journal from './migrations/meta/_journal.json' with { type: 'json' };
import landed from './landed.json' with { type: 'json' };

const FOLDER = 'data/migrations';
const files = readdirSync(FOLDER)
  .filter((name) => name.endsWith('.sql'))
  .sort();

describe('migrations', () => {
  it('that have landed are never changed', () => {
    const now = Object.fromEntries(
      Object.keys(landed).map((name) => [
        name,
        createHash('sha256')
          .update(readFileSync(`${FOLDER}/${name}`))
          .digest('hex'),
      ]),
    );
    expect(now).toEqual(landed);
  });
  it('are all in the journal, in their order, each later than the one before', () => {
    expect(journal.entries.map(({ tag }) => `${tag}.sql`)).toEqual(files);
    const times = journal.entries.map(({ when }) => when);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(new Set(times).size).toBe(times.length);
  });
  it('rewrite no large table in one go from here on', () => {
    for (const name of files.filter((one) => !(one in landed)))
      expect(readFileSync(`${FOLDER}/${name}`, 'utf8'), name).not.toMatch(
        /ALTER COLUMN \S+ (SET DATA )?TYPE|ADD COLUMN [^;]*DEFAULT (gen_random_uuid|clock_timestamp|random)\(/i,
      );
  });
});
