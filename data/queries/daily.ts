import { eq, lt } from 'drizzle-orm';
import { installation } from '../db';
import { dailyJob } from '../schema';

/** Claims the work of a day: of several servers that ask, one gets it. */
export async function claimDaily(name: string, day: string): Promise<boolean> {
  const rows = await installation()
    .insert(dailyJob)
    .values({ name, lastOn: day })
    .onConflictDoUpdate({
      target: dailyJob.name,
      set: { lastOn: day, told: '' },
      setWhere: lt(dailyJob.lastOn, day),
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
