/** Print jobs: PDFs drawn by worker threads, with their progress in the database for every server to see. */
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { addPrintJob, tellPrintJob } from '~/data/queries/print';
import { log } from '../log';
import type { FromWorker } from './pdf.worker';
import type { Task } from './task';

/** Threads that draw at the same time; further jobs wait. */
const THREADS = 2;
/** The database is told no more often than this. */
const TELL_MS = 300;
const ALIVE_MS = 5000;

const idle: Worker[] = [];
const waiting: (() => void)[] = [];
let busy = 0;

/** A thread that has read the code already, when there is one. It does not keep the server alive. */
function thread(): Worker {
  const ready = idle.pop();
  if (ready) return ready;
  const worker = new Worker(pathToFileURL('server/print/thread.mjs'));
  worker.unref();
  // A thread that ends while nobody waits for it is forgotten; who waits hears of it below.
  worker.on('error', (error) => {
    log.error({ err: error }, 'a drawing thread ended');
    const at = idle.indexOf(worker);
    if (at >= 0) idle.splice(at, 1);
  });
  return worker;
}

/** Starts a thread before it is needed: reading the code takes longer than drawing a pack. */
export function warmUp(): void {
  if (idle.length + busy === 0) idle.push(thread());
}

/** Draws a task in a thread. `progress` may answer false: then the thread is ended and the promise gives undefined. */
export async function drawn(
  task: Task,
  progress: (done: number, pages: number) => Promise<boolean> | boolean = () => true,
): Promise<Exclude<FromWorker, { kind: 'progress' }> | undefined> {
  if (busy >= THREADS) await new Promise<void>((free) => waiting.push(free));
  busy++;
  const worker = thread();
  let keep = true;
  try {
    return await new Promise((resolve) => {
      const end = (answer?: Exclude<FromWorker, { kind: 'progress' }>): void => {
        worker.off('message', hear).off('error', broken);
        keep = answer !== undefined && answer.kind !== 'broken';
        resolve(answer);
      };
      const hear = (message: FromWorker): void => {
        if (message.kind !== 'progress') return end(message);
        void Promise.resolve(progress(message.done, message.pages)).then((goOn) => goOn || end());
      };
      const broken = (error: Error): void => end({ kind: 'broken', message: error.stack ?? error.message });
      worker.on('message', hear).on('error', broken);
      worker.postMessage(task);
    });
  } finally {
    busy--;
    if (keep && idle.length === 0) idle.push(worker);
    else void worker.terminate();
    waiting.shift()?.();
  }
}

const BROKEN =
  'Something went wrong on this computer while the pages were drawn. Nothing is lost: draw them again, and tell whoever runs the server if it happens twice.';

/** Begins to draw, and answers with the id of the job at once. */
export async function startJob(task: Task, query: string, createdBy: string): Promise<string> {
  const id = await addPrintJob({ query, title: task.about.title, createdBy });
  void run(id, task);
  return id;
}

async function run(id: string, task: Task): Promise<void> {
  let told = 0;
  let asked = Promise.resolve(true);
  const alive = setInterval(() => void tellPrintJob(id, {}), ALIVE_MS);
  try {
    const answer = await drawn(task, (pagesDone, pages) => {
      if (Date.now() - told < TELL_MS) return asked;
      told = Date.now();
      asked = tellPrintJob(id, { pagesDone, pages });
      return asked;
    });
    if (answer?.kind === 'done')
      await tellPrintJob(id, {
        state: 'done',
        pagesDone: answer.pages,
        pages: answer.pages,
        pdf: Buffer.from(answer.pdf),
      });
    else if (answer?.kind === 'problem')
      await tellPrintJob(id, { state: 'failed', problem: answer.sentence });
    else if (answer) {
      log.error({ job: id, message: answer.message }, 'drawing a pack failed');
      await tellPrintJob(id, { state: 'failed', problem: BROKEN });
    }
  } catch (error) {
    log.error({ job: id, err: error }, 'a print job was lost');
  } finally {
    clearInterval(alive);
  }
}
