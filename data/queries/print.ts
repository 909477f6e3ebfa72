import { and, eq, lt, sql } from 'drizzle-orm';
import { db } from '../db';
import { printJob } from '../schema';

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

const ABANDONED = 'The server was stopped while it drew these pages. Nothing is lost: draw them again.';

/** Stores a new job; those older than a day are thrown away. */
export async function addPrintJob(input: {
  query: string;
  title: string;
  createdBy: string;
}): Promise<string> {
  await db()
    .delete(printJob)
    .where(lt(printJob.createdAt, sql`now() - interval '1 day'`));
  const [row] = await db().insert(printJob).values(input).returning({ id: printJob.id });
  return row!.id;
}

/** The job, without its file. One that nobody has drawn at for half a minute has failed. */
export async function findPrintJob(id: string): Promise<PrintJob | undefined> {
  await db()
    .update(printJob)
    .set({ state: 'failed', problem: ABANDONED })
    .where(
      and(
        eq(printJob.id, id),
        eq(printJob.state, 'drawing'),
        lt(printJob.aliveAt, sql`now() - interval '30 seconds'`),
      ),
    );
  const [row] = await db()
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
    .where(eq(printJob.id, id));
  return row;
}

/** The finished file and its title. */
export async function printedPdf(id: string): Promise<{ title: string; pdf: Buffer } | undefined> {
  const [row] = await db()
    .select({ title: printJob.title, pdf: printJob.pdf })
    .from(printJob)
    .where(and(eq(printJob.id, id), eq(printJob.state, 'done')));
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
export async function tellPrintJob(id: string, change: Change): Promise<boolean> {
  const rows = await db()
    .update(printJob)
    .set({ ...change, aliveAt: new Date() })
    .where(and(eq(printJob.id, id), eq(printJob.state, 'drawing')))
    .returning({ id: printJob.id });
  return rows.length > 0;
}
