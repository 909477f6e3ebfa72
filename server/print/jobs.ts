/** Print jobs: PDFs drawn by threads, with their progress in the database for every server to see. */
import { setTimeout as pause } from 'node:timers/promises';
import { atSchool, type SchoolHandle } from '~/data/db';
import { databaseTrouble } from '~/data/trouble';
import { ask, DRAW, DRAW_LOST, queue, startQueue, stopQueue, type QueuedRow } from '~/data/queue';
import {
  addPrintJob,
  beginPrintJob,
  findPrintJob,
  isSilent,
  sameJobDrawing,
  tellPrintJob,
  type PrintJob,
} from '~/data/queries/print';
import { isId } from '../ids';
import { beginEvenings } from '../lending/jobs';
import { log } from '../log';
import { notFound } from '../refusals';
import { drawn, type PaperTask } from '../threads';
import type { Task } from './task';

/** The database is told no more often than this. */
const TELL_MS = 300;
const ALIVE_MS = 5000;
/** So many packs are drawn at once by one server. */
const HANDS = 2;
const AGAIN_MS = 5000;
/** The end of a job is told so often, with growing pauses. */
const END_TRIES = 6;
const END_MS = 1000;

const BROKEN =
  'Something went wrong on this computer while the pages were drawn. Nothing is lost: draw them again, and tell whoever runs the server if it happens twice.';
const ABANDONED =
  'The server was stopped while it drew these pages, more than once. Nothing is lost: draw them again.';

/** Where the hands of this server wait. */
let hands: string[] = [];
let later: NodeJS.Timeout | undefined;

/** Begins to draw, and answers with the id of the job at once. The same order sent again while it is drawn is one job. */
export async function startJob(
  at: SchoolHandle,
  task: Task | PaperTask,
  query: string,
  createdBy: string,
): Promise<string> {
  const same = await sameJobDrawing(at, createdBy, query);
  if (same) return same;
  const id = await addPrintJob(at, {
    query,
    title: task.about.title,
    namesFamilies: !('packs' in task),
    createdBy,
    task,
  });
  await enqueue(at, id);
  return id;
}

/** A job that is in the queue already is there once. */
async function enqueue({ schoolId, districtId, timeZone }: SchoolHandle, id: string): Promise<void> {
  await ask(DRAW, id, { id, school: { schoolId, districtId, timeZone } } satisfies QueuedRow, () => true);
  for (const hand of hands) queue().notifyWorker(hand);
}

/** A job that somebody asks for: it goes to another server when its own was stopped. Throws a 404 page. */
export async function requireJob(at: SchoolHandle, id: string): Promise<PrintJob> {
  if (!isId(id)) throw notFound('This print job');
  if (await isSilent(at, id)) {
    await queue().fail(DRAW, id);
    await enqueue(at, id);
  }
  const job = await findPrintJob(at, id);
  if (!job) throw notFound('This print job');
  return job;
}

/** Lets this server draw, as soon as the database answers. */
export async function beginDrawing(): Promise<void> {
  clearTimeout(later);
  try {
    await startQueue((error) => log.warn({ err: error }, 'the queue was not reached'));
    const draw = async ([job]: { data: QueuedRow }[]): Promise<void> => run(job!.data);
    const giveUp = async ([job]: { data: QueuedRow }[]): Promise<void> => {
      await tellPrintJob(atSchool(job!.data.school), job!.data.id, { state: 'failed', problem: ABANDONED });
    };
    hands = [];
    for (let i = 0; i < HANDS; i++)
      hands.push(await queue().work<QueuedRow>(DRAW, { pollingIntervalSeconds: 1 }, draw));
    await queue().work<QueuedRow>(DRAW_LOST, { pollingIntervalSeconds: 5 }, giveUp);
    await beginEvenings();
  } catch (error) {
    log.debug({ err: error }, 'the queue cannot be worked at yet');
    later = setTimeout(() => void beginDrawing(), AGAIN_MS);
    later.unref();
  }
}

/** Gives up what this server draws, so that another one does it. */
export async function endDrawing(): Promise<void> {
  clearTimeout(later);
  hands = [];
  await stopQueue();
}

async function run({ id, school }: QueuedRow): Promise<void> {
  const at = atSchool(school);
  const task = (await beginPrintJob(at, id)) as Task | PaperTask | undefined;
  if (!task) return;
  // The day was text on its way through the database.
  task.about.madeOn = new Date(task.about.madeOn);
  let told = 0;
  let goOn = Promise.resolve(true);
  const tell = (change: Parameters<typeof tellPrintJob>[2]): Promise<boolean> => tellPrintJob(at, id, change);
  /** How it ended is told until it is heard: else it would be drawn for ever. */
  const end = async (change: Parameters<typeof tellPrintJob>[2]): Promise<void> => {
    for (let tries = 1; ; tries++)
      try {
        await tell(change);
        return;
      } catch (error) {
        // Another server, or this one, takes it up again.
        if (tries === END_TRIES) throw error;
        await pause(END_MS * tries);
      }
  };
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
      await end({
        state: 'done',
        pagesDone: answer.pages,
        pages: answer.pages,
        pdf: Buffer.from(answer.pdf),
      });
    else if (answer?.kind === 'problem') await end({ state: 'failed', problem: answer.sentence });
  } catch (error) {
    log.error({ job: id, err: error }, 'drawing a pack failed');
    if (databaseTrouble(error)) throw error;
    await end({ state: 'failed', problem: BROKEN });
  } finally {
    clearInterval(alive);
  }
}
