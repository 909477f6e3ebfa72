import { spawn } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { waiting } from './lib/waiting';

const pause = (ms: number) => new Promise((later) => setTimeout(later, ms));
const program = (code: string) =>
  spawn(process.execPath, ['-e', code], { stdio: ['ignore', 'pipe', 'pipe'] });

describe('waiting for a program', () => {
  it('goes on while it works, and gives up when it gets no further', async () => {
    const still = 700;
    const idle = program('setTimeout(() => 0, 20000)');
    const busy = program('const from = Date.now(); while (Date.now() - from < 20000);');
    try {
      await pause(400);
      const [slept, worked] = [waiting('the idle one', idle, still), waiting('the busy one', busy, still)];
      const ends: boolean[] = [];
      for (let i = 0; i < 12; i++) {
        await pause(150);
        ends.push(slept.goOn());
        expect(worked.goOn()).toBe(true);
      }
      expect(ends.at(-1)).toBe(false);
      expect(slept.why()).toMatch(/the idle one got no further/);
    } finally {
      idle.kill('SIGKILL');
      busy.kill('SIGKILL');
    }
  });
});
