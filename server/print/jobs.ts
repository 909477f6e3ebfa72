/** Print jobs: PDFs drawn by threads, with their progress in the database for every server to see. */
import type { SchoolHandle } from '~/data/db';
import {
  addPrintJob,
  leavePrintJobs,
  sameJobDrawing,
  takeOverPrintJob,
  tellPrintJob,
} from '~/data/queries/print';
import { log } from '../log';
import { drawn } from '../threads';
import type { Task } from './task';

/** The database is told no more often than this. */
const TELL_MS = 300;
const ALIVE_MS = 5000;

const BROKEN =
  'Something went wrong on this computer while the pages were drawn. Nothing is lost: draw them again, and tell whoever runs the server if it happens twice.';

/** Jobs that this server draws now, each with the way to its school. */
const here = new Map<string, SchoolHandle>();

/** Begins to draw, and answers with the id of the job at once. The same order sent again while it is drawn is one job. */
export async function startJob(
  at: SchoolHandle,
  task: Task,
  query: string,
  createdBy: string,
): Promise<string> {
  const same = await sameJobDrawing(at, createdBy, query);
  if (same) return same;
  const id = await addPrintJob(at, { query, title: task.about.title, createdBy, task });
  void run(at, id, task);
  return id;
}

/** Goes on with a job whose server was stopped, if it is one. */
export async function takeOver(at: SchoolHandle, id: string): Promise<void> {
  const task = here.has(id) ? undefined : await takeOverPrintJob(at, id);
  if (!task) return;
  const { about, ...rest } = task as Task;
  // The day was text on its way through the database.
  void run(at, id, { ...rest, about: { ...about, madeOn: new Date(about.madeOn) } });
}

/** Gives up the jobs of this server, so that another one takes them over. */
export async function leaveJobs(): Promise<void> {
  const left = [...here];
  here.clear();
  await Promise.all(left.map(([id, at]) => leavePrintJobs(at, [id])));
}

async function run(at: SchoolHandle, id: string, task: Task): Promise<void> {
  here.set(id, at);
  let told = 0;
  let goOn = Promise.resolve(true);
  // A job that was given away is told of no more by this server.
  const tell = (change: Parameters<typeof tellPrintJob>[2]): Promise<boolean> =>
    here.has(id) ? tellPrintJob(at, id, change) : Promise.resolve(false);
  // A moment in which the database cannot be told is no reason to stop drawing.
  const alive = setInterval(() => void tell({}).catch(() => undefined), ALIVE_MS);
  try {
    const answer = await drawn(task, (pagesDone, pages) => {
      if (Date.now() - told < TELL_MS) return goOn;
      told = Date.now();
      goOn = tell({ pagesDone, pages }).catch(() => true);
      return goOn;
    });
    if (answer?.kind === 'done')
      await tell({
        state: 'done',
        pagesDone: answer.pages,
        pages: answer.pages,
        pdf: Buffer.from(answer.pdf),
      });
    else if (answer?.kind === 'problem') await tell({ state: 'failed', problem: answer.sentence });
  } catch (error) {
    log.error({ job: id, err: error }, 'drawing a pack failed');
    await tell({ state: 'failed', problem: BROKEN }).catch(() => undefined);
  } finally {
    clearInterval(alive);
    here.delete(id);
  }
}
