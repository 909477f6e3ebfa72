/** The backup of every day: taken by one of the servers, in the folder and number that its environment names. */
import { getLocalTimeZone } from '@internationalized/date';
import { daysAfter } from '~/core/lending/due';
import { claimDaily, tellDaily } from '~/data/queries/daily';
import { ownerUrl } from '~/data/db';
import { log } from '../log';
import { today } from '../today';
import { backUp, keepNewest } from './tools';

export const BACKUP = 'backup';
/** Backups are of the whole installation: their day is the server's. */
const HERE = { timeZone: getLocalTimeZone() };
const LOOK_MS = 600_000;
const USUAL_KEPT = 14;

/** Takes today's backup when nobody has yet. Answers what became of it, or undefined when it is not this server's turn. */
export async function backUpToday(folder: string, keep: number): Promise<string | undefined> {
  if (!(await claimDaily(BACKUP, today(HERE)))) return undefined;
  try {
    const from = Date.now();
    const { file, bytes, tables } = await backUp(ownerUrl(), folder);
    const gone = await keepNewest(folder, keep);
    const told = `${file}: ${tables} tables, ${Math.ceil(bytes / 1000)} kB in ${((Date.now() - from) / 1000).toFixed(1)} s; ${gone} older ones thrown away`;
    await tellDaily(BACKUP, told);
    return told;
  } catch (error) {
    const told = `failed: ${error instanceof Error ? error.message : String(error)}`;
    log.error({ told }, 'the backup of today was not written');
    await tellDaily(BACKUP, told, daysAfter(today(HERE), -1)).catch(() => undefined);
    return told;
  }
}

/** Looks from time to time whether a new day has come. Does nothing unless BACKUP_FOLDER names a folder. */
export function beginDaily(): NodeJS.Timeout | undefined {
  const folder = process.env.BACKUP_FOLDER;
  if (!folder) return undefined;
  const keep = Number(process.env.BACKUP_KEEP ?? USUAL_KEPT);
  const look = (): void =>
    void backUpToday(folder, Number.isInteger(keep) && keep > 0 ? keep : USUAL_KEPT).catch((error: unknown) =>
      log.error({ err: error }, 'whether a backup is due could not be asked'),
    );
  setTimeout(look, 30_000).unref();
  const timer = setInterval(look, LOOK_MS);
  timer.unref();
  return timer;
}
