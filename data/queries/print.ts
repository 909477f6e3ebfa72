import { and, eq, lt, sql } from 'drizzle-orm';
import type { JobProgress } from '~/core/pack/order';
import { type SchoolHandle } from '../db';
import { printJob } from '../schema';
import { ours } from './ours';

export interface PrintJob extends JobProgress {
  id: string;
  query: string;
  title: string;
  problem: string | null;
  createdAt: Date;
}

const SILENT = sql`interval '20 seconds'`;
const drawing = (id: string) => and(eq(printJob.id, id), eq(printJob.state, 'drawing'));

/** Stores a new job; those older than a day are thrown away. */
export async function addPrintJob(
  at: SchoolHandle,
  input: {
    query: string;
    title: string;
    /** A list of families: it goes when one of them is forgotten. */
    namesFamilies?: boolean;
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

/** Whether nobody has told of a job for so long that its server must have been stopped. */
export async function isSilent(at: SchoolHandle, id: string): Promise<boolean> {
  const rows = await at
    .select({ id: printJob.id })
    .from(printJob)
    .where(and(ours(at, printJob), drawing(id), lt(printJob.aliveAt, sql`now() - ${SILENT}`)));
  return rows.length > 0;
}

/** What is to be drawn, from the first page; undefined when nobody waits for it any more. */
export async function beginPrintJob(at: SchoolHandle, id: string): Promise<unknown> {
  const [row] = await at
    .update(printJob)
    .set({ aliveAt: sql`now()`, pagesDone: 0 })
    .where(and(ours(at, printJob), drawing(id)))
    .returning({ task: printJob.task });
  return row?.task ?? undefined;
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
    .where(and(ours(at, printJob), drawing(id)))
    .returning({ id: printJob.id });
  return rows.length > 0;
}
