/** What is kept of a school is what another look would find, whoever changed it. */
import { sql } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { atSchool, transaction } from '~/data/db';
import { closeDatabase, forRequest, type Asking } from '~/data/pools';
import { createFamily, familiesByLanguage } from '~/data/queries/families';
import { listMaterials } from '~/data/queries/materials';
import { boundTo, findSchool, schoolOfLink } from '~/data/queries/schools';
import { lineVoice } from '~/data/schema';
import { isSettled, SETTLED } from '~/data/settled';
import { everything } from '../owner';
import { smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
afterAll(closeDatabase);

const request = (reads = true): Asking => ({
  lane: 'family',
  reads,
  mayLag: false,
  schools: new Set(),
  stamps: new Map(),
  told: new Map(),
  queries: 0,
});
/** Does `work` as a page of the first bag does, which learns the stamp of the school with its link. */
async function asPage<T>(work: () => Promise<T>, about = request()): Promise<{ found: T; asked: number }> {
  const found = await forRequest(about, async () => {
    await schoolOfLink(world.copies[0]!.linkKey);
    about.queries = 0;
    return work();
  });
  return { found, asked: about.queries };
}
const languages = () => familiesByLanguage(world.at);

describe('what is settled', () => {
  it('is asked for once, and kept until it is changed, by whichever way', async () => {
    const first = await asPage(languages);
    expect(first.asked).toBe(1);
    expect(await asPage(languages)).toEqual({ found: first.found, asked: 0 });
    const ways: (() => Promise<unknown>)[] = [
      () => createFamily(world.at, { name: 'Family Dune', language: 'ar' }),
      () => transaction(world.at, (tx) => createFamily(tx, { name: 'Family Ebb', language: 'ar' })),
      () => everything().execute(sql`update family set language = 'pt' where name = 'Family Dune'`),
      () => everything().execute(sql`delete from family where name = 'Family Ebb'`),
    ];
    for (const way of ways) {
      await way();
      const after = await asPage(languages);
      expect(after.asked).toBe(1);
      expect(after.found).toEqual(await languages());
      expect(await asPage(languages)).toEqual({ found: after.found, asked: 0 });
    }
  });

  it('is one’s own to change, and nobody else’s', async () => {
    const list = async () => (await asPage(() => listMaterials(world.at))).found;
    (await list()).push('mine' as never);
    expect(await list()).not.toContain('mine');
  });

  it('is looked at anew in a request that changed it, and in one that may change it', async () => {
    const { found } = await asPage(async () => {
      const before = (await findSchool(world.at)).name;
      await everything().execute(sql`update school set name = 'Another name' where id = ${world.school.id}`);
      await createFamily(world.at, { name: 'Family New', language: 'en' });
      return [before, (await findSchool(world.at)).name];
    });
    expect(found).toEqual([world.school.name, 'Another name']);
    const changing = await asPage(languages, request(false));
    expect(changing.asked).toBe(1);
    expect((await asPage(languages, request(false))).asked).toBe(1);
  });

  it('of a change that is not in yet is not seen, and of one that comes in late is', async () => {
    const before = await asPage(languages);
    let goOn: () => void = () => undefined;
    const held = new Promise<void>((done) => (goOn = done));
    const late = transaction(world.at, async (tx) => {
      await createFamily(tx, { name: 'Family Late', language: 'vi' });
      await held;
    });
    // Another change, begun later, is in before it.
    await createFamily(world.at, { name: 'Family Quick', language: 'en' });
    const between = await asPage(languages);
    expect(between.found.en).toBe((before.found.en ?? 0) + 1);
    expect(between.found.vi).toBeUndefined();
    goOn();
    await late;
    expect((await asPage(languages)).found.vi).toBe(1);
  });

  it('of one school is never another’s', async () => {
    const other = await everything().execute<{ id: string }>(sql`
      insert into school (district_id, name, paper, languages, time_zone)
      values (${world.school.districtId}, 'Ebb and Flow School', 'a4', '{en}', 'UTC') returning id`);
    const there = atSchool({ ...boundTo(world.school), schoolId: other.rows[0]!.id });
    await asPage(languages);
    expect((await asPage(() => familiesByLanguage(there))).found).toEqual({});
  });

  it('is told apart from what depends on more, by its text alone', () => {
    expect(isSettled('select "id" from "copy" where "copy"."school_id" = $1')).toBe(true);
    for (const text of [
      'select "id" from "loan" where "loan"."school_id" = $1',
      'select "id" from "copy" inner join "loan" on true',
      'select "id" from "copy" where not exists (select from loan l where l.copy_id = copy.id)',
      'select * from copy, loan',
      'select * from copy c, loan l',
      'select "id" from "copy" where "at" < now()',
      'select "id" from "copy" for update',
      'with l as (select 1 from loan) select * from copy',
      'select "id" from "school" where "school"."district_id" = $1',
      'select 1',
      'select school_of_tag($1) from copy',
      'select random() from copy',
    ])
      expect([text, isSettled(text)]).toEqual([text, false]);
  });

  it('gives sounds as they are, each time anew', async () => {
    await everything().execute(sql`
      insert into line_voice (school_id, source_id, message_id, language, said, kind, sound)
      values (${world.at.schoolId}, 'two-tone-spill', 'goal', 'es', 'Hola', 'audio/webm', decode('0102', 'hex'))`);
    for (let times = 0; times < 2; times++) {
      const { found, asked } = await asPage(() =>
        world.at.select({ sound: lineVoice.sound }).from(lineVoice),
      );
      expect([...found[0]!.sound]).toEqual([1, 2]);
      expect(asked).toBe(1);
    }
  });

  it('has a trigger for each of its tables', async () => {
    const { rows } = await everything().execute<{ name: string; kinds: string }>(sql`
      select event_object_table as name, string_agg(distinct event_manipulation, ' ' order by event_manipulation) as kinds
      from information_schema.triggers where trigger_name like 'settled%' group by 1 order by 1`);
    expect(rows.map(({ name }) => name)).toEqual([...SETTLED, 'school'].sort());
    for (const { name, kinds } of rows)
      if (!['school', 'person'].includes(name)) expect([name, kinds]).toEqual([name, 'DELETE INSERT UPDATE']);
  });
});
