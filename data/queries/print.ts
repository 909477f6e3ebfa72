import { and, eq, inArray, isNotNull, lt, sql } from 'drizzle-orm';
import { type SchoolHandle } from '../db';
import { printJob } from '../schema';
import { ours } from './ours';

export interface PrintJob {
  id: string;
  query: string;
  title: string;
  state: 'drawing' | 'done' | 'failed' | 'stopped';
  pagesDone: number;
  pages: number | null;
  problem: string | null;
  createdAt: Date;
}

const ABANDONED =
  'The server was stopped while it drew these pages, more than once. Nothing is lost: draw them again.';
/** A job that nobody has told of for so long is taken over. */
const SILENT = sql`interval '20 seconds'`;
const MOST_TRIES = 3;

/** Stores a new job; those older than a day are thrown away. */
export async function addPrintJob(
  at: SchoolHandle,
  input: {
    query: string;
    title: string;
    createdBy: string;
    task: unknown;
  },
): Promise<string> {
  await at
    .delete(printJob)
    .where(and(ours(at, printJob), lt(printJob.createdAt, sql`now() - interval '1 day'`)));
  const [row] = await at.insert(printJob).values(input).returning({ id: printJob.id });
  return row!.id;
}

/** The job that this person asked for in the very same way a moment ago and that is still drawn, if any. */
export async function sameJobDrawing(
  at: SchoolHandle,
  createdBy: string,
  query: string,
): Promise<string | undefined> {
  const [row] = await at
    .select({ id: printJob.id })
    .from(printJob)
    .where(
      and(
        ours(at, printJob),
        eq(printJob.createdBy, createdBy),
        eq(printJob.query, query),
        eq(printJob.state, 'drawing'),
      ),
    );
  return row?.id;
}

/**
 * Takes over a job whose server was stopped: of several servers that try, one gets it. A job that has been begun
 * too often has failed. Answers what is to be drawn.
 */
export async function takeOverPrintJob(at: SchoolHandle, id: string): Promise<unknown> {
  const silent = and(
    eq(printJob.id, id),
    eq(printJob.state, 'drawing'),
    lt(printJob.aliveAt, sql`now() - ${SILENT}`),
  );
  const [row] = await at
    .update(printJob)
    .set({ tries: sql`${printJob.tries} + 1`, aliveAt: sql`now()`, pagesDone: 0 })
    .where(and(ours(at, printJob), silent, lt(printJob.tries, MOST_TRIES), isNotNull(printJob.task)))
    .returning({ task: printJob.task });
  if (row) return row.task;
  await at
    .update(printJob)
    .set({ state: 'failed', problem: ABANDONED, task: null })
    .where(and(ours(at, printJob), silent));
  return undefined;
}

/** Lets go of jobs that this server will not finish: the next one that is asked about them takes them over. */
export async function leavePrintJobs(at: SchoolHandle, ids: readonly string[]): Promise<void> {
  if (ids.length)
    await at
      .update(printJob)
      .set({ aliveAt: new Date(0) })
      .where(and(ours(at, printJob), inArray(printJob.id, [...ids]), eq(printJob.state, 'drawing')));
}

/** The job, without its file. */
export async function findPrintJob(at: SchoolHandle, id: string): Promise<PrintJob | undefined> {
  const [row] = await at
    .select({
      id: printJob.id,
      query: printJob.query,
      title: printJob.title,
      state: printJob.state,
      pagesDone: printJob.pagesDone,
      pages: printJob.pages,
      problem: printJob.problem,
      createdAt: printJob.createdAt,
    })
    .from(printJob)
    .where(and(ours(at, printJob), eq(printJob.id, id)));
  return row;
}

/** The finished file and its title. */
export async function printedPdf(
  at: SchoolHandle,
  id: string,
): Promise<{ title: string; pdf: Buffer } | undefined> {
  const [row] = await at
    .select({ title: printJob.title, pdf: printJob.pdf })
    .from(printJob)
    .where(and(ours(at, printJob), eq(printJob.id, id), eq(printJob.state, 'done')));
  return row?.pdf ? { title: row.title, pdf: row.pdf } : undefined;
}

type Change = Partial<{
  state: PrintJob['state'];
  pagesDone: number;
  pages: number;
  problem: string;
  pdf: Buffer;
}>;

/** Changes a job while it is drawn; false when it is not drawn any more, because somebody stopped it. */
export async function tellPrintJob(at: SchoolHandle, id: string, change: Change): Promise<boolean> {
  const rows = await at
    .update(printJob)
    // What is to be drawn is of no use once it is drawn.
    .set({ ...change, ...(change.state ? { task: null } : {}), aliveAt: sql`now()` })
    .where(and(eq(printJob.id, id), eq(printJob.state, 'drawing')))
    .returning({ id: printJob.id });
  return rows.length > 0;
}
