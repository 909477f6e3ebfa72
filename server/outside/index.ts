/**
 * What comes from outside is read in a process of its own, with limits of time, memory and output; one that goes beyond
 * them is ended without a trace, and who sent it is told so in a sentence. The thread that answers people reads nothing.
 */
import { resolve } from 'node:path';
import workerpool, { type Pool } from 'workerpool';
import type { Reading } from './reader';

const built = Boolean(import.meta.env?.PROD);
// The built server has its reader built beside it; tests and commands start it from its sources.
const script = resolve(built ? 'build/threads/reader.js' : 'server/outside/start.mjs');

/** No file of ours takes longer; a process that began from its sources is slower. The process itself holds to it. */
const LONGEST_MS = built ? 2000 : 30_000;
/** A process that has just begun reads its own code first; one that never answers is ended after so long. */
const START_MS = built ? 8000 : 60_000;
const MEMORY_MB = 256;
/** So many are read at once; so many more wait their turn. */
const READERS = 2;
const MOST_WAITING = 40;
/** How long the process has to say that it was told to stop. */
const GRACE_MS = 50;

let pool: Pool | undefined;
const readers = (): Pool =>
  (pool ??= workerpool.pool(script, {
    workerType: 'process',
    minWorkers: 1,
    maxWorkers: READERS,
    maxQueueSize: MOST_WAITING,
    workerTerminateTimeout: GRACE_MS,
    forkOpts: {
      serialization: 'advanced',
      execArgv: [`--max-old-space-size=${MEMORY_MB}`, ...(built ? [] : ['--import', 'tsx'])],
      // It is told nothing that it does not need: no address, no password.
      env: {
        PATH: process.env.PATH,
        NODE_ENV: process.env.NODE_ENV,
        UV_THREADPOOL_SIZE: '2',
        LONGEST_MS: String(LONGEST_MS),
      },
    },
  }));

/** What was sent asks for more time or memory than anything of ours. */
export class TooMuch extends Error {}

/** Reads something from outside. Throws TooMuch when it took too long or too much, or when too many wait. */
export async function readOutside<K extends keyof Reading>(
  name: K,
  ...asked: Parameters<Reading[K]>
): Promise<Awaited<ReturnType<Reading[K]>>> {
  try {
    return (await readers()
      .exec(name, asked)
      .timeout(LONGEST_MS + START_MS)) as Awaited<ReturnType<Reading[K]>>;
  } catch (error) {
    throw new TooMuch(error instanceof Error ? error.message : String(error));
  }
}

const PROBLEM =
  'This file asks for more work than any list of ours, so reading it was stopped. Nothing of it was taken. Send less at once, or take out of it only what is needed.';

/** The same, where what cannot be read is said in a sentence. */
export async function readFile<K extends Exclude<keyof Reading, 'picture' | 'takenBack'>>(
  name: K,
  ...asked: Parameters<Reading[K]>
): Promise<Awaited<ReturnType<Reading[K]>> | { ok: false; problem: string }> {
  try {
    return await readOutside(name, ...asked);
  } catch (error) {
    if (error instanceof TooMuch) return { ok: false, problem: PROBLEM };
    throw error;
  }
}

/** Begins a reader before it is needed. */
export const warmReader = (): void => void readers();

/** Ends all readers. */
export async function endReaders(): Promise<void> {
  const ending = pool;
  pool = undefined;
  await ending?.terminate(true);
}
