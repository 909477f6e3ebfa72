import { spawnSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';

const reckon = (...args: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'scripts/reckon.ts', ...args], { encoding: 'utf8' });

describe('the reckon command', () => {
  it('prints the reckoning as JSON', () => {
    const { status, stdout } = reckon('two-tone-spill', '{"counters":6,"spills":10}');
    const printed = JSON.parse(stdout) as {
      params: object;
      figures: Record<string, number>;
      parts: object[];
    };
    expect(status).toBe(0);
    expect(printed.figures.ways).toBe(7);
    expect(printed.figures['spillsToSeeAll.mean']!.toFixed(2)).toBe('96.73');
    expect(printed.params).toMatchObject({ players: 2, order: 'ordered' });
  });

  it.each([
    [['two-tone-spill', '{"counters":'], 'not JSON'],
    [['two-tone-spill', '{"counters":21}'], 'Counters must be from 3 to 20.'],
    [['two-tone-spill', '{"cups":2}'], 'There is no setting called “cups”.'],
    [['no-such-game'], 'There is no game called "no-such-game"'],
    [[], 'Usage'],
    [['two-tone-spill', '{}', 'more'], 'one JSON text'],
  ])('refuses %j in one line, with exit code 2', (args, line) => {
    const { status, stdout, stderr } = reckon(...args);
    expect([status, stdout, stderr.trim().split('\n').length]).toEqual([2, '', 1]);
    expect(stderr).toContain(line);
  });
});
