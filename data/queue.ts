/**
 * Work that no page waits for, in PostgreSQL: each job is done once, by whichever server has a hand free, and again by
 * another one when its server was stopped. A job says where its rows are and holds nothing of them.
 */
import { setTimeout as pause } from 'node:timers/promises';
import PgBoss from 'pg-boss';
import type pg from 'pg';
import { type OneSchool } from './db';
import { connectionPool } from './pools';
import { databaseTrouble } from './trouble';

/** A row of a school that asks for work. */
export interface QueuedRow {
  id: string;
  school: OneSchool;
}

/** Packs to draw, and those that several servers have begun and none has ended. */
export const DRAW = 'draw';
export const DRAW_LOST = 'draw-lost';

/** The evening of a school: what is passed on, and what is said to families. */
export const EVENING = 'evening';
/** A message to carry. */
export const SEND = 'send';
/** A message that could not be carried is tried again so often, a little later each time. */
export const SEND_TRIES = 3;
const SEND_AGAIN_SECONDS = 30;

/** A job whose server is never heard of again is found after so long; one that somebody waits for, sooner. */
const LONGEST_SECONDS = 600;
const LOOK_SECONDS = 10;
const MORE_TRIES = 2;
const EVENING_TRIES = 4;

type Ask = Pick<pg.Pool, 'query'>;

/** What a database that is away for a moment did not hear is said again so often, a little later each time. */
const SAID = 6;
const SAY_AGAIN_MS = 250;

/** Else a job whose end was not heard would be held for done by nobody until its longest time is over. */
async function heard<T>(say: () => Promise<T>): Promise<T> {
  for (let times = 1; ; times++)
    try {
      return await say();
    } catch (error) {
      if (times === SAID || databaseTrouble(error) !== 'away') throw error;
      await pause(SAY_AGAIN_MS * times);
    }
}

const made = (ask: () => Ask, supervise: boolean): PgBoss =>
  new PgBoss({
    db: { executeSql: (text, values) => heard(() => ask().query(text, values as unknown[] | undefined)) },
    migrate: !supervise,
    supervise,
    schedule: false,
    maintenanceIntervalSeconds: LOOK_SECONDS,
  });

let boss: PgBoss | undefined;

/** The queue as this server reaches it: jobs can be sent whenever the database answers. */
export const queue = (): PgBoss => (boss ??= made(connectionPool, true));

/** A job that is over, one way or another, does not stand in the way of the same one. */
const OVER = new Set(['completed', 'failed', 'cancelled']);

/**
 * Asks for a job under its id: one that is in the queue already is there once. One that is over is done anew, where
 * `anew` says so of how it ended.
 */
export async function ask(
  name: string,
  id: string,
  data: object,
  anew: (ended: 'completed' | 'failed' | 'cancelled') => boolean,
): Promise<void> {
  if (await queue().send(name, data, { id })) return;
  const before = await queue().getJobById(name, id, { includeArchive: false });
  if (!before || !OVER.has(before.state) || !anew(before.state as 'completed')) return;
  await queue().deleteJob(name, id);
  await queue().send(name, data, { id });
}

/** Lets this server work at the queue. Throws when the database does not answer or has no queue yet. */
export async function startQueue(troubled: (error: Error) => void): Promise<void> {
  try {
    queue().on('error', troubled);
    await queue().start();
  } catch (error) {
    // One that could not start never will: the next try needs a new one.
    boss = undefined;
    throw error;
  }
}

/** Gives what this server has begun back to the others. */
export async function stopQueue(): Promise<void> {
  const stopping = boss;
  boss = undefined;
  await stopping?.stop({ graceful: false });
}

const QUEUES = [
  {
    name: DRAW,
    retryLimit: MORE_TRIES,
    expireInSeconds: LONGEST_SECONDS,
    deadLetter: DRAW_LOST,
  },
  // What stands in its way is given time to go; whoever asks for evenings asks again when all tries were in vain.
  {
    name: EVENING,
    retryLimit: EVENING_TRIES,
    retryDelay: SEND_AGAIN_SECONDS,
    retryBackoff: true,
    expireInSeconds: LONGEST_SECONDS,
  },
  {
    name: SEND,
    retryLimit: SEND_TRIES,
    retryDelay: SEND_AGAIN_SECONDS,
    retryBackoff: true,
    expireInSeconds: LOOK_SECONDS * 2,
  },
];

/** Makes the tables of the queue, or brings them to the newest form; `client` owns the schema. */
export async function layQueue(client: Ask): Promise<void> {
  const layer = made(() => client, false);
  await layer.start();
  await layer.createQueue(DRAW_LOST);
  for (const about of QUEUES) {
    await layer.createQueue(about.name, about);
    // A queue that is there stays as it was made: what it holds to today is said once more.
    await layer.updateQueue(about.name, about);
  }
  await layer.stop({ graceful: false });
}
