/** Waiting for a program that starts: as long as it gets on, however busy the machine is, and telling for what. */
import type { ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';

const TELL_MS = 5000;
/** A program that has used no processor and printed nothing for so long does not get on. */
const STILL_MS = 45_000;
const LONGEST_MS = 10 * 60_000;

/** Processor time a process has used, in ticks; undefined where the machine does not tell. */
function ticks(pid: number | undefined): number | undefined {
  try {
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ');
    return Number(fields[11]) + Number(fields[12]);
  } catch {
    return undefined;
  }
}

export interface Waiting {
  /** Whether to go on waiting; tells from time to time what is awaited. */
  goOn(): boolean;
  /** Why it was given up. */
  why(): string;
}

/** Watches a program that was started. */
export function waiting(what: string, child: ChildProcess, still = STILL_MS): Waiting {
  const from = Date.now();
  let moved = from;
  let told = from;
  let used = ticks(child.pid);
  const hear = (): void => void (moved = Date.now());
  child.stdout?.on('data', hear);
  child.stderr?.on('data', hear);
  const seconds = (): number => Math.round((Date.now() - from) / 1000);
  return {
    goOn() {
      const now = ticks(child.pid);
      if (now !== used) moved = Date.now();
      used = now;
      if (Date.now() - told >= TELL_MS) {
        told = Date.now();
        console.log(`  … waiting for ${what} to answer (${seconds()} s)`);
      }
      return Date.now() - moved < still && Date.now() - from < LONGEST_MS;
    },
    why: () => `${what} got no further and did not answer in ${seconds()} s`,
  };
}
