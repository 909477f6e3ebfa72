/** The jobs of evenings and messages: each is done once, by whichever server has a hand free, and again when its server dies. */
import { createHash } from 'node:crypto';
import { fromDate } from '@internationalized/date';
import { atSchool, type OneSchool, type SchoolHandle } from '~/data/db';
import { everySchool } from '~/data/queries/outbox';
import { ask, EVENING, queue, SEND, SEND_TRIES, type QueuedRow } from '~/data/queue';
import { log } from '../log';
import { today } from '../today';
import { evening } from './evening';
import { EVENING_HOUR } from './hour';
import { send } from './outbox';

const LOOK_MS = 60_000;
/** So many messages are taken out of the queue at once. */
const BATCH = 25;

interface EveningJob {
  day: string;
  school: OneSchool;
}

const bound = ({ schoolId, districtId, timeZone }: OneSchool): OneSchool => ({
  schoolId,
  districtId,
  timeZone,
});

/** One id for one thing to do: whoever asks for it again asks for the same job. */
function jobId(text: string): string {
  const hex = createHash('sha256').update(text).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** Puts messages that wait into the queue; one that is there already is there once, one that was given up is tried anew. */
export async function enqueueMessages(at: SchoolHandle, ids: readonly string[]): Promise<void> {
  for (const id of ids) await ask(SEND, id, { id, school: bound(at) } satisfies QueuedRow, () => true);
}

/** Does the evening of a school now. */
export async function doEvening(at: SchoolHandle, day = today(at)): Promise<void> {
  await enqueueMessages(at, await evening(at, day));
}

/** Lets this server work at evenings and messages. The queue has been started. */
export async function beginEvenings(): Promise<void> {
  await queue().work<EveningJob>(EVENING, { pollingIntervalSeconds: 5 }, async ([job]) => {
    const { school, day } = job!.data;
    try {
      await doEvening(atSchool(school), day);
    } catch (error) {
      log.error(
        { event: 'evening failed', school: school.schoolId, err: error },
        'an evening could not be done yet',
      );
      throw error;
    }
  });
  await queue().work<QueuedRow>(
    SEND,
    { pollingIntervalSeconds: 1, batchSize: BATCH, includeMetadata: true },
    async (jobs) => {
      // One that fails is tried again by itself; the others are done.
      for (const { id, data, retryCount } of jobs)
        await send(atSchool(data.school), data.id, retryCount >= SEND_TRIES).catch(() =>
          queue().fail(SEND, id),
        );
    },
  );
}

/** Asks for the evening of every school where it has come. */
export async function askForEvenings(now: Date): Promise<void> {
  for (const school of await everySchool()) {
    const { hour } = fromDate(now, school.timeZone);
    if (hour < EVENING_HOUR) continue;
    const day = today(school);
    const id = jobId(`evening ${school.schoolId} ${day}`);
    const job = { day, school: bound(school) } satisfies EveningJob;
    // One evening is done once; one that failed is asked for again, as long as its day lasts.
    await ask(EVENING, id, job, (ended) => ended !== 'completed');
  }
}

/** Looks from time to time whether an evening has come. */
export function watchEvenings(): NodeJS.Timeout {
  const look = (): void =>
    void askForEvenings(new Date()).catch((error: unknown) =>
      log.debug({ err: error }, 'whether an evening has come could not be asked'),
    );
  const timer = setInterval(look, LOOK_MS);
  timer.unref();
  return timer;
}
