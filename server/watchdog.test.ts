import { chmodSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterEach, expect, it, vi } from 'vitest';
import { tellSupervisor } from './watchdog';

const folder = mkdtempSync(join(tmpdir(), 'fern-watch-'));
const told = join(folder, 'told');
/** In place of systemd's own program, one that writes down what it was told. */
writeFileSync(join(folder, 'systemd-notify'), `#!/bin/sh\necho "$*" >> ${told}\n`);
chmodSync(join(folder, 'systemd-notify'), 0o755);
const lines = (): string[] => {
  try {
    return readFileSync(told, 'utf8').trim().split('\n');
  } catch {
    return [];
  }
};
afterEach(() => {
  vi.unstubAllEnvs();
  rmSync(told, { force: true });
});

it('is told that the server is there, and that it lives, three times before it is missed', async () => {
  vi.stubEnv('PATH', `${folder}:${process.env.PATH}`);
  vi.stubEnv('NOTIFY_SOCKET', '/run/systemd/notify');
  vi.stubEnv('WATCHDOG_USEC', '300000');
  const timer = tellSupervisor();
  while (lines().length < 3) await pause(20);
  clearInterval(timer);
  expect(lines()[0]).toBe(`--pid=${process.pid} --ready`);
  expect(lines()[1]).toBe(`--pid=${process.pid} WATCHDOG=1`);
});

it('is told nothing where nobody supervises', async () => {
  vi.stubEnv('PATH', `${folder}:${process.env.PATH}`);
  vi.stubEnv('NOTIFY_SOCKET', '');
  expect(tellSupervisor()).toBeUndefined();
  await pause(50);
  expect(lines()).toEqual([]);
});
