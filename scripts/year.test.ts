import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const year = (...args: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'scripts/year.ts', ...args], { encoding: 'utf8' });

describe('the year command', () => {
  it('plays a school through the application, finds what must be true, and leaves nothing behind', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'year-')), 'both.svg');
    const { status, stdout, stderr } = year('--weeks', '2', '--seeds', '2', '--seed', '3', '--chart', file);
    expect([status, stderr]).toEqual([0, expect.not.stringMatching(/Error/) as string]);
    expect(stdout).toContain('✓ it was, on 14 days');
    expect(stdout).toMatch(/Bags lent +[1-9]/);
    expect(stdout).toMatch(/Reached, Arabic/);
    expect(stdout).not.toMatch(/NaN|undefined|✗/);
    expect(readFileSync(file, 'utf8')).toMatch(/^<svg/);
    expect(existsSync('.data/year')).toBe(false);
  }, 240_000);

  it.each([
    [['--weeks', '0'], '--weeks takes a whole number from 1 to 40.'],
    [['--seed', 'spring'], '--seed takes a whole number'],
    [['--terms', '3'], 'It takes --seed, --weeks, --seeds and --chart.'],
  ])('refuses %j with a sentence', (args, says) => {
    const { status, stdout, stderr } = year(...args);
    expect([status, stdout]).toEqual([1, '']);
    expect(stderr).toContain(says);
  });
});
