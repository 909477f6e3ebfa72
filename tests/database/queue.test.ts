/** Jobs end done, or are done anew: what is over does not stand in the way of the same thing asked for again. */
import { sql } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { closeDatabase } from '~/data/pools';
import { claimDaily, lastDaily, tellDaily } from '~/data/queries/daily';
import { ask, EVENING, SEND, stopQueue } from '~/data/queue';
import { everything } from '../owner';
import { emptyDatabase } from '../world';

beforeEach(emptyDatabase);
afterAll(async () => {
  await stopQueue();
  await closeDatabase();
});

const stateOf = async (id: string): Promise<string[]> =>
  (
    await everything().execute<{ state: string }>(sql`select state from pgboss.job where id = ${id}`)
  ).rows.map(({ state }) => state);
const ended = (id: string, state: string): Promise<unknown> =>
  everything().execute(sql`update pgboss.job set state = ${state}, completed_on = now() where id = ${id}`);

describe('a job that is asked for again', () => {
  it('is there once while it waits', async () => {
    const id = crypto.randomUUID();
    for (let i = 0; i < 3; i++) await ask(SEND, id, { id }, () => true);
    expect(await stateOf(id)).toEqual(['created']);
  });
  it('is done anew when it was given up, and when whoever asks wants it', async () => {
    const id = crypto.randomUUID();
    await ask(SEND, id, { id }, () => true);
    await ended(id, 'failed');
    await ask(SEND, id, { id }, () => true);
    expect(await stateOf(id)).toEqual(['created']);
    await ended(id, 'completed');
    await ask(EVENING, id, { id }, (how) => how !== 'completed');
    await ask(SEND, id, { id }, (how) => how !== 'completed');
    expect(await stateOf(id)).toContain('completed');
    await ask(SEND, id, { id }, () => true);
    expect(await stateOf(id)).toContain('created');
  });
  it('holds to what its queue holds to today, though the queue was made before', async () => {
    const { rows } = await everything().execute(
      sql`select name, retry_limit as tries, retry_backoff as growing from pgboss.queue where name in ('evening', 'send') order by name`,
    );
    expect(rows).toEqual([
      { name: 'evening', tries: 4, growing: true },
      { name: 'send', tries: 3, growing: true },
    ]);
  });
});

describe('the work of a day', () => {
  it('is one server’s, another one’s when that one was stopped over it, and done once', async () => {
    expect(await claimDaily('test', '2026-12-01')).toBe(true);
    expect(await claimDaily('test', '2026-12-01')).toBe(false);
    await everything().execute(
      sql`update daily_job set begun_at = now() - interval '2 hours' where name = 'test'`,
    );
    expect(await claimDaily('test', '2026-12-01')).toBe(true);
    await tellDaily('test', 'done');
    await everything().execute(
      sql`update daily_job set begun_at = now() - interval '2 hours' where name = 'test'`,
    );
    expect(await claimDaily('test', '2026-12-01')).toBe(false);
    expect(await lastDaily('test')).toEqual({ lastOn: '2026-12-01', told: 'done' });
    expect(await claimDaily('test', '2026-12-02')).toBe(true);
  });
});
