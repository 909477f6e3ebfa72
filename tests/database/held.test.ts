/**
 * What the database itself holds: as the server's own role, statements that no page sends. Each of them would break
 * something that must be true, and is refused whoever sends it.
 */
import { getTableColumns, getTableName, is, sql, type SQL } from 'drizzle-orm';
import { PgTable } from 'drizzle-orm/pg-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { daysAfter } from '~/core/lending/due';
import { installation, transaction } from '~/data/db';
import { closeDatabase } from '~/data/pools';
import { refusedBy, sqlState } from '~/data/trouble';
import { ERASURES, FREE_OF_FAMILIES } from '~/data/queries/forgetting';
import { createFamily, forgetFamily } from '~/data/queries/families';
import { askFor } from '~/data/queries/holds';
import * as schema from '~/data/schema';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { lendOut, printedCopies, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let day: string;
let loanId: string;
let goneId: string;
let holdId: string;
const rowsOf = async (query: SQL): Promise<Record<string, unknown>[]> =>
  (await everything().execute(query)).rows;

beforeAll(async () => {
  world = await smallSchool();
  day = todayAt(world.at);
  loanId = await lendOut(world, { copy: 0, family: 1, lentOn: day, dueOn: daysAfter(day, 7) });
  const gone = (await createFamily(world.at, { name: 'Family Gone', language: 'en' }))!;
  goneId = gone.id;
  await forgetFamily(world.at, goneId);
  const asked = await askFor(world.at, {
    familyId: world.families[2]!.id,
    kitId: world.kitId,
    personId: null,
    today: day,
  });
  expect(asked).toBeTruthy();
  const [waits] = await rowsOf(sql`select id from hold`);
  holdId = String(waits!.id);
  await everything().execute(sql`
    insert into stock_item (school_id, material, on_hand) values (${world.school.id}, 'cube', 5);
  `);
  await world.at.execute(
    sql`insert into stock_move (material, kind, quantity, leaves) values ('cube', 'bought', 5, 5)`,
  );
  await world.at.execute(
    sql`insert into wording_line (source_id, message_id, language, message, english) values ('family', 'x', 'es', 'a', 'b')`,
  );
}, 60_000);
afterAll(closeDatabase);

/** Refused by a rule (a constraint, a key, a trigger) or because the role may not. */
const REFUSED = new Set(['23514', '23503', '23505', '23502', '42501']);

const STATEMENTS: Record<string, () => SQL> = {
  'an event is rewritten': () => sql`update loan_event set note = 'x'`,
  'an event is deleted': () => sql`delete from loan_event`,
  'a count is rewritten': () => sql`update part_count set counted = 0`,
  'a count is deleted': () => sql`delete from part_count`,
  'a move of stock is rewritten': () => sql`update stock_move set quantity = 50`,
  'a move of stock is deleted': () => sql`delete from stock_move`,
  'a step of making is rewritten': () => sql`update copy_step set outcome = 'done'`,
  'a step of making is deleted': () => sql`delete from copy_step`,
  'a wording is rewritten': () => sql`update wording_line set message = 'x'`,
  'a wording is deleted': () => sql`delete from wording_line`,
  'a word of a reader is rewritten': () => sql`update wording_check set "right" = true`,
  'a word of a reader is deleted': () => sql`delete from wording_check`,
  'a change is rewritten': () => sql`update change set after = '{"name":"x"}'`,
  'a change is put on somebody else': () => sql`update change set person_id = null`,
  'a change is deleted': () => sql`delete from change`,
  'moves of due days are rewritten': () => sql`update due_move set moves = '[]'`,
  'a look is rewritten': () => sql`update family_look set at = now()`,
  'an act of the hall is rewritten': () => sql`update hall_act set heard = '{}'`,
  'all loans are emptied': () => sql`truncate loan cascade`,
  'a loan to a forgotten family': () =>
    sql`insert into loan (copy_id, family_id, lent_on, due_on) values (${world.copies[1]!.id}, ${goneId}, ${day}, ${day})`,
  'a message to a forgotten family': () =>
    sql`insert into message (family_id, kind, once, on_day, language, unchecked, channel, text, link_key, state) values (${goneId}, 'reminder', 'x', ${day}, 'en', false, 'message', 'x', 'x', 'waiting')`,
  'a forgotten family gets a name again': () => sql`update family set name = 'x' where id = ${goneId}`,
  'a forgotten family waits': () =>
    sql`insert into hold (family_id, kit_id) values (${goneId}, ${world.kitId})`,
  'somebody looks at a forgotten family': () =>
    sql`insert into family_look (family_id, person_id, what) values (${goneId}, ${world.people.helper.id}, 'page')`,
  'a loan of a copy that is not made': () =>
    sql`with c as (select ${world.copies[1]!.id}::uuid as id) insert into loan (copy_id, family_id, lent_on, due_on) select id, ${world.families[0]!.id}, ${day}::date, ${day}::date from c`,
  'a loan of a copy that has moved away': () =>
    sql`insert into loan (copy_id, family_id, lent_on, due_on) values (${world.copies[2]!.id}, ${world.families[0]!.id}, ${day}, ${day})`,
  'returned before it was lent': () =>
    sql`update loan set closed_as = 'returned', returned_on = ${daysAfter(day, -1)} where id = ${loanId}`,
  'home before it was lent': () =>
    sql`update loan set arrived_on = ${daysAfter(day, -1)} where id = ${loanId}`,
  'due before it was lent': () => sql`update loan set due_on = ${daysAfter(day, -1)} where id = ${loanId}`,
  'a loan becomes another family’s': () =>
    sql`update loan set family_id = ${world.families[0]!.id} where id = ${loanId}`,
  'a loan becomes one of another copy': () =>
    sql`update loan set copy_id = ${world.copies[1]!.id} where id = ${loanId}`,
  'a second loan of a bag that is out': () =>
    sql`insert into loan (copy_id, family_id, lent_on, due_on) values (${world.copies[0]!.id}, ${world.families[0]!.id}, ${day}, ${day})`,
  'a bag that is out is set aside': () =>
    sql`update hold set copy_id = ${world.copies[0]!.id}, kept_until = ${day} where id = ${holdId}`,
  'a bag that is out moves to another school': () =>
    sql`update copy set moved_at = now(), moved_to = ${world.school.id} where id = ${world.copies[0]!.id}`,
  'negative minutes': () =>
    sql`insert into answer (send_key, loan_id, language, minutes) values ('x', ${loanId}, 'en', -5)`,
  'negative children': () =>
    sql`insert into answer (send_key, loan_id, language, children) values ('x', ${loanId}, 'en', -1)`,
  'a time zone that does not exist': () =>
    sql`update school set time_zone = 'Atlantis/Harbor' where id = ${world.school.id}`,
  'stock below nothing': () => sql`update stock_item set on_hand = -1`,
  'a link of a reader for a kit that is not there': () =>
    sql`insert into reader_link (key_hash, reader, language, kit_id, expires_at) values ('x', 'x', 'es', ${loanId}, now())`,
  'a proof of a kit that is not there': () =>
    sql`insert into proof (kit_id, kit, language, lines) values (${loanId}, 'x', 'es', '[]')`,
  'a move that undoes a move that is not there': () =>
    sql`insert into stock_move (material, kind, quantity, leaves, undoes) values ('cube', 'counted', 1, 1, ${loanId})`,
  'a change by nobody': () =>
    sql`insert into change (thing, thing_id, version, kind, person_id) values ('kit', 'x', 1, 'changed', ${loanId})`,
  'a table of its own': () => sql`create table mine (a int)`,
  'a table for a moment': () => sql`create temporary table mine (a int)`,
  'a rule is taken away': () => sql`alter table loan disable trigger all`,
};

describe('as the server’s own role', () => {
  beforeAll(async () => {
    // One copy is not made, and one has moved away.
    await everything().execute(sql`update copy set ready_at = null where id = ${world.copies[1]!.id}`);
    await everything().execute(sql`alter table copy disable trigger "copy_moves_within_its_district"`);
    await everything().execute(
      sql`update copy set moved_at = now(), moved_to = ${world.school.id} where id = ${world.copies[2]!.id}`,
    );
    await everything().execute(sql`alter table copy enable trigger "copy_moves_within_its_district"`);
  });
  it.each(Object.entries(STATEMENTS))('is refused: %s', async (_, statement) => {
    const tried = transaction(world.at, async (tx) => {
      await tx.execute(statement());
      throw new Error('it was accepted');
    });
    const error: unknown = await tried.then(
      () => undefined,
      (one: unknown) => one,
    );
    expect([sqlState(error), error instanceof Error && /accepted/.test(error.message)]).toEqual([
      expect.toSatisfy((state: string | undefined) => REFUSED.has(state ?? '')),
      false,
    ]);
  });

  it('moves a copy to a school of its district and to no other', async () => {
    const [other] = await rowsOf(
      sql`with d as (insert into district (name) values ('Elsewhere') returning id)
        insert into school (district_id, name, paper, languages, time_zone) select id, 'Elsewhere School', 'a4', '{en}', 'UTC' from d returning id`,
    );
    const [copy] = await printedCopies(world.at, world.kitId, 1, world.people.helper.id);
    const move = (to: unknown): Promise<unknown> =>
      world.at.execute(sql`update copy set moved_at = now(), moved_to = ${to} where id = ${copy!.id}`);
    const refused: unknown = await move(other!.id).catch((error: unknown) => error);
    expect(refusedBy(refused)).toBe('copy_moves_within_its_district');
  });

  it('reads what it must and nothing beside: no session of another transaction is left behind', async () => {
    await world.at.execute(sql`select 1`);
    const { rows } = await installation().execute(
      sql`select current_setting('fern.school', true) as school, count(*)::int as families from family`,
    );
    expect(rows).toEqual([{ school: expect.toSatisfy((one: unknown) => !one), families: 0 }]);
  });
});

describe('every column that can hold words', () => {
  const columns = Object.values(schema as Record<string, unknown>)
    .filter((one): one is PgTable => is(one, PgTable))
    .flatMap((table) =>
      Object.values(getTableColumns(table))
        .filter((column) => /^(text|jsonb|bytea|varchar)/.test(column.getSQLType()))
        .map((column) => ({
          table: getTableName(table),
          name: column.name.replace(/[A-Z]/g, (sign) => `_${sign.toLowerCase()}`),
        })),
    );
  const erased = ERASURES.flatMap(({ of }) => of);
  it('is emptied when a family is forgotten, or declared free of families', () => {
    expect(columns.length).toBeGreaterThan(100);
    const unknown = columns
      .map(({ table, name }) => `${table}.${name}`)
      .filter(
        (column) =>
          !erased.includes(column) &&
          !FREE_OF_FAMILIES.includes(column) &&
          !FREE_OF_FAMILIES.includes(`${column.split('.')[0]!}.*`),
      );
    expect(unknown).toEqual([]);
  });
  it('is named as it is called', () => {
    const known = new Set(columns.flatMap(({ table, name }) => [`${table}.${name}`, `${table}.*`]));
    const tables = new Set(
      Object.values(schema as Record<string, unknown>)
        .filter((one): one is PgTable => is(one, PgTable))
        .map((table) => `${getTableName(table)}.*`),
    );
    expect([...erased, ...FREE_OF_FAMILIES].filter((one) => !known.has(one) && !tables.has(one))).toEqual([]);
  });
});
