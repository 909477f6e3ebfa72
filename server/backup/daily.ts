/** The backup of every day, taken by a process of its own with an account of its own. */
import { getLocalTimeZone } from '@internationalized/date';
import { daysAfter } from '~/core/lending/due';
import { claimDaily, tellDaily } from '~/data/queries/daily';
import { today } from '../today';

export const BACKUP = 'backup';
/** Backups are of the whole installation: their day is the machine's. */
export const HERE = { timeZone: getLocalTimeZone() };

/**
 * Does `work` when nobody has done today's backup yet, and notes what became of it for whoever coordinates the district.
 * Answers that, or undefined where it was done before.
 */
export async function onceToday(
  work: () => Promise<string>,
): Promise<{ told: string; done: boolean } | undefined> {
  if (!(await claimDaily(BACKUP, today(HERE)))) return undefined;
  try {
    const told = await work();
    await tellDaily(BACKUP, told);
    return { told, done: true };
  } catch (error) {
    const told = `failed: ${error instanceof Error ? error.message : String(error)}`;
    // The day of the last success stays, so that it is tried again today.
    await tellDaily(BACKUP, told, daysAfter(today(HERE), -1)).catch(() => undefined);
    return { told, done: false };
  }
}
