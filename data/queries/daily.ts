import { eq, lt, sql } from 'drizzle-orm';
import { installation } from '../db';
import { dailyJob } from '../schema';

/** Work that was begun so long ago and not ended has lost its server. */
const LOST = sql`interval '1 hour'`;

/** Claims the work of a day: of several servers that ask, one gets it; another one when that one was stopped over it. */
export async function claimDaily(name: string, day: string): Promise<boolean> {
  const rows = await installation()
    .insert(dailyJob)
    .values({ name, lastOn: day })
    .onConflictDoUpdate({
      target: dailyJob.name,
      set: { lastOn: day, told: '', begunAt: sql`now()` },
      setWhere: sql`${lt(dailyJob.lastOn, day)} or (${dailyJob.told} = '' and ${dailyJob.begunAt} < now() - ${LOST})`,
    })
    .returning({ name: dailyJob.name });
  return rows.length > 0;
}

/** Notes what became of it; with `again`, the day of the last success, so that it is tried once more. */
export async function tellDaily(name: string, told: string, again?: string): Promise<void> {
  await installation()
    .update(dailyJob)
    .set({ told, ...(again ? { lastOn: again } : {}) })
    .where(eq(dailyJob.name, name));
}

/** What became of it last; undefined where it was never done. */
export async function lastDaily(name: string): Promise<{ lastOn: string; told: string } | undefined> {
  const [found] = await installation()
    .select({ lastOn: dailyJob.lastOn, told: dailyJob.told })
    .from(dailyJob)
    .where(eq(dailyJob.name, name));
  return found;
}
