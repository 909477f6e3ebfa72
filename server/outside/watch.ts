/**
 * Ends this process when a task takes too long, whatever it does: a thread of its own looks at the clock, since the one
 * that reads may be busy for ever. The time to start is not counted.
 */
import { Worker } from 'node:worker_threads';

const LOOK_MS = 100;
const LOOK = `
  const { workerData } = require('node:worker_threads');
  const begun = new Float64Array(workerData.shared);
  setInterval(() => {
    if (begun[0] > 0 && Date.now() - begun[0] > workerData.longestMs) process.kill(process.pid, 'SIGKILL');
  }, workerData.lookMs);
`;

/** Watches over tasks of this process; what it gives does one of them under its eyes. */
export function watched(longestMs: number): <T>(work: () => Promise<T>) => Promise<T> {
  const shared = new SharedArrayBuffer(8);
  const begun = new Float64Array(shared);
  new Worker(LOOK, { eval: true, workerData: { shared, longestMs, lookMs: LOOK_MS } }).unref();
  return async (work) => {
    begun[0] = Date.now();
    try {
      return await work();
    } finally {
      begun[0] = 0;
    }
  };
}
