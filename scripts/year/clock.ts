/** A clock that can be set: for this process, and for a database of its own. */
import type pg from 'pg';

const RealDate = Date;
let shiftMs = 0;

class ShiftedDate extends RealDate {
  constructor(...parts: unknown[]) {
    if (parts.length === 0) super(RealDate.now() + shiftMs);
    else super(...(parts as [number]));
  }
  static override now(): number {
    return RealDate.now() + shiftMs;
  }
}

/** From now on `new Date()` and `Date.now()` follow the clock. Functions that keep their own Date are not reached. */
export const takeOverDate = (): void => void (globalThis.Date = ShiftedDate as DateConstructor);

/** How long something really takes, in seconds. */
export const stopwatch = (): (() => number) => {
  const from = performance.now();
  return () => (performance.now() - from) / 1000;
};

/**
 * Makes now() of a database follow the clock: its own function comes before the one that ships, and every column that
 * is filled in with now() is filled in with it.
 */
export async function takeOverNow(client: pg.Client, database: string): Promise<void> {
  await client.query(`
    create schema sim;
    create table sim.clock (shift interval not null);
    insert into sim.clock values (interval '0');
    create function sim.now() returns timestamptz language sql stable as
      'select pg_catalog.clock_timestamp() + shift from sim.clock';
    grant usage on schema sim to public;
    grant select on sim.clock to public;
    alter database ${database} set search_path = sim, pg_catalog, public`);
  const { rows } = await client.query<{ table: string; column: string }>(`
    select table_name as table, column_name as column from information_schema.columns
    where table_schema = 'public' and column_default = 'now()'`);
  for (const { table, column } of rows)
    await client.query(`alter table public."${table}" alter column "${column}" set default sim.now()`);
}

/** It is noon of a day. */
export async function setDay(client: pg.Client, day: string): Promise<void> {
  shiftMs = RealDate.parse(`${day}T12:00:00Z`) - RealDate.now();
  await client.query('update sim.clock set shift = make_interval(secs => $1)', [shiftMs / 1000]);
}
