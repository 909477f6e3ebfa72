/** Schools beside each other: what each sees, and who goes between them. */
import { sql, type SQL } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { atSchool, installation, roleFault, type SchoolHandle } from '~/data/db';
import { closeDatabase } from '~/data/pools';
import { refusedBy, sqlState } from '~/data/trouble';
import type { Demo } from '~/data/demo/load';
import { copiesAtSchool, copiesNow } from '~/data/queries/desk';
import { listFamilies } from '~/data/queries/families';
import { lend, listOut } from '~/data/queries/lending';
import {
  admit,
  appoint,
  createPerson,
  deactivatePerson,
  dismiss,
  findPersonByName,
  listPeople,
  peopleOfSisters,
} from '~/data/queries/people';
import {
  boundTo,
  changeSchool,
  findSchool,
  makeSchool,
  schoolFields,
  schoolsInNumbers,
} from '~/data/queries/schools';
import { addPasswordLink, createSession, findSession, openSchool, schoolsOf } from '~/data/queries/sessions';
import { today } from '~/server/today';
import { everything } from '../owner';
import { demoSchools, idOf } from '../world';

let demo: Demo;
let at: SchoolHandle;
let sister: SchoolHandle;
beforeEach(async () => {
  demo = await demoSchools();
  ({ at, sister } = demo);
});
afterAll(closeDatabase);

describe('the rows of another school', () => {
  /** Tables that hold nothing of a school. */
  const OF_NO_SCHOOL = [
    'daily_job',
    'district',
    'known_browser',
    'landed',
    'password_ask',
    'password_link',
    'person',
    'rate_limit',
    'school',
    'sent_form',
    'settled_change',
  ];

  it('are seen, changed, taken away and added by nobody else, in any table', async () => {
    const { rows: tables } = await everything().execute<{
      name: string;
      secured: boolean;
      ours: boolean;
    }>(sql`
      select c.relname as name, c.relrowsecurity as secured,
        exists (select from pg_attribute a where a.attrelid = c.oid and a.attname = 'school_id') as ours
      from pg_class c join pg_namespace n on n.oid = c.relnamespace
      where n.nspname = 'public' and c.relkind = 'r' order by 1`);
    expect(tables.filter((one) => !one.ours).map((one) => one.name)).toEqual(OF_NO_SCHOOL);
    expect(tables.filter((one) => !one.secured).map((one) => one.name)).toEqual([
      'daily_job',
      'landed',
      'rate_limit',
      'sent_form',
      'settled_change',
    ]);
    const theirs = at.schoolId;
    let rows = 0;
    for (const { name } of tables.filter((one) => one.ours)) {
      const table = sql.identifier(name);
      const all = async () =>
        (
          await everything().execute<{ row: string }>(
            sql`select t::text as row from ${table} t where school_id = ${theirs} order by 1`,
          )
        ).rows.map(({ row }) => row);
      const before = await all();
      rows += before.length;
      const seen = await sister.execute(sql`select 1 from ${table} where school_id = ${theirs}`);
      // What a school shows its district is seen there, and no more than seen.
      expect([name, seen.rows.length]).toEqual([name, name === 'shared' ? before.length : 0]);
      // Where the role may change rows at all it finds none of theirs.
      const reached = async (statement: SQL): Promise<number | string | null | undefined> =>
        sister.execute(statement).then(
          ({ rowCount }) => rowCount,
          (error: unknown) => sqlState(error),
        );
      expect([0, '42501']).toContain(
        await reached(sql`update ${table} set school_id = ${sister.schoolId} where school_id = ${theirs}`),
      );
      expect([0, '42501']).toContain(await reached(sql`delete from ${table} where school_id = ${theirs}`));
      const added = await sister
        .execute(sql`insert into ${table} (school_id) values (${theirs})`)
        .catch((error: unknown) => error);
      // By the role, or by what must be true of a row before anybody is asked whose it is.
      expect([name, ['42501', '23514'].includes(sqlState(added) ?? '')]).toEqual([name, true]);
      const given = await sister
        .execute(sql`update ${table} set school_id = ${theirs}`)
        .catch((error: unknown) => error);
      // A session belongs to whoever signed in: no school sees it at all.
      if (sqlState(given) === undefined)
        expect([name, (given as { rowCount: number }).rowCount]).toEqual([name, 0]);
      expect(await all()).toEqual(before);
    }
    expect(rows).toBeGreaterThan(100);
  });

  it('are named by no row of one’s own, whatever the code does', async () => {
    const [family] = await listFamilies(sister);
    const copy = (await copiesAtSchool(at, 1))[0]!;
    const refused = await everything()
      .execute(
        sql`insert into loan (school_id, copy_id, family_id, lent_on, due_on)
            values (${at.schoolId}, ${copy.id}, ${family!.id}, '2026-11-01', '2026-11-22')`,
      )
      .catch((error: unknown) => error);
    expect(sqlState(refused)).toBe('23503');
    expect(
      await lend(at, {
        copyId: copy.id,
        familyId: family!.id,
        lentOn: '2026-11-01',
        dueOn: '2026-11-22',
        personId: null,
      }),
    ).toEqual({ ok: false, reason: 'gone' });
  });

  it('are kept by a role that cannot go round it', async () => {
    expect(await roleFault()).toBeUndefined();
    for (const attempt of [
      sql`alter table family disable row level security`,
      sql`drop policy of_this_school on family`,
      sql`set role fern`,
      sql`set session authorization fern`,
      sql`create table elsewhere as select 1`,
      sql`truncate family`,
      sql`create function f() returns int language sql security definer as 'select 1'`,
    ]) {
      const refused = await installation()
        .execute(attempt)
        .catch((error: unknown) => error);
      expect(sqlState(refused)).toBe('42501');
    }
    // Bound to no school, nothing of a school is seen.
    for (const table of ['family', 'loan', 'answer', 'copy', 'kit', 'change'])
      expect(
        (await installation().execute(sql`select 1 from ${sql.identifier(table)} limit 1`)).rows,
      ).toEqual([]);
    // Bound to a school, no password and no session is seen, not even those of its own people.
    const { rows: seen } = await sister.execute<{ name: string }>(sql`select name from person order by 1`);
    expect(seen.map(({ name }) => name)).toEqual(['Runa', 'Soren', 'Tobin']);
    expect((await sister.execute(sql`select 1 from session`)).rows).toEqual([]);
    expect((await sister.execute(sql`select name from school`)).rows).toEqual([
      { name: 'Lantern Hill Elementary' },
    ]);
  });

  it('are not mixed up by many who ask at once over few connections', async () => {
    const names = async (where: SchoolHandle) => new Set((await listFamilies(where)).map(({ name }) => name));
    const [mine, hers] = [await names(at), await names(sister)];
    expect([...mine].filter((name) => hers.has(name))).toEqual([]);
    const seen = await Promise.all(
      Array.from({ length: 120 }, (_, i) => (i % 2 ? names(sister) : names(at))),
    );
    for (const [i, found] of seen.entries()) expect(found).toEqual(i % 2 ? hers : mine);
  });
});

describe('people', () => {
  it('have one name in all schools, and a role in each', async () => {
    await expect(
      createPerson(sister, { name: 'MAREN', passwordHash: 'x', role: 'helper' }),
    ).rejects.toSatisfy((error) => refusedBy(error) === 'person_name_is_taken');
    const maren = await idOf('Maren');
    expect((await peopleOfSisters(sister)).map(({ name }) => name)).toEqual(['Eskil', 'Ilaria', 'Maren']);
    expect(await admit(sister, maren, 'reader', null)).toBe(true);
    expect(await schoolsOf(maren)).toMatchObject([
      { name: 'Kittiwake Bay Elementary', role: 'coordinator' },
      { name: 'Lantern Hill Elementary', role: 'reader' },
    ]);
    await createSession({ tokenHash: 'm', personId: maren, expiresAt: new Date(Date.now() + 9e6) });
    expect(await findSession('m')).toMatchObject({ role: 'coordinator', schools: 2 });
    expect(await openSchool('m', maren, sister.schoolId)).toBe(true);
    expect(await findSession('m')).toMatchObject({
      role: 'reader',
      school: { name: 'Lantern Hill Elementary' },
    });
    // The next sign-in comes to the school that was opened last.
    await createSession({ tokenHash: 'n', personId: maren, expiresAt: new Date(Date.now() + 9e6) });
    expect(await findSession('n')).toMatchObject({ school: { id: sister.schoolId } });
    expect(await openSchool('m', await idOf('Ilaria'), sister.schoolId)).toBe(false);
    // Whoever is let go of one school keeps the other.
    expect(await deactivatePerson(sister, maren)).toBe('ended');
    expect(await findSession('m')).toBeUndefined();
    expect(await schoolsOf(maren)).toHaveLength(1);
    expect(await findPersonByName('maren')).toBeDefined();
    expect(await admit(sister, crypto.randomUUID(), 'helper', null)).toBe(false);
  });

  it('are given a new password by nobody who does not coordinate all of their schools', async () => {
    const [maren, soren, tobin, ilaria, runa] = await Promise.all(
      ['Maren', 'Soren', 'Tobin', 'Ilaria', 'Runa'].map(idOf),
    );
    const given = (schoolId: string, personId: string, createdBy: string) =>
      addPasswordLink({
        schoolId,
        personId,
        createdBy,
        keyHash: crypto.randomUUID(),
        expiresAt: new Date(Date.now() + 9e6),
      });
    // Tobin helps in both schools: with his password one would see the other.
    expect(await given(at.schoolId, tobin!, maren!)).toBe(false);
    expect(await given(sister.schoolId, tobin!, soren!)).toBe(false);
    expect(await given(sister.schoolId, tobin!, runa!)).toBe(true);
    expect(await given(at.schoolId, ilaria!, maren!)).toBe(true);
    expect(await given(sister.schoolId, ilaria!, soren!)).toBe(false);
    expect(await given(at.schoolId, runa!, maren!)).toBe(false);
  });

  it('of a district see all of its schools, and the last of them stays', async () => {
    const [runa, maren] = [await idOf('Runa'), await idOf('Maren')];
    const { districtId } = at;
    expect(await deactivatePerson(sister, runa)).toBe('district');
    expect(await dismiss(districtId, runa, runa)).toBe(false);
    expect(await appoint(districtId, await idOf('Tobin'), runa)).toBe(false);
    expect(await appoint(districtId, maren, runa)).toBe(true);
    const third = (await makeSchool(
      districtId,
      { name: 'Skua Point', paper: 'a4', languages: ['en'], contact: '', timeZone: 'UTC' },
      runa,
    ))!;
    expect((await listPeople(atSchool(boundTo(third)))).map(({ name }) => name)).toEqual(['Maren', 'Runa']);
    expect(await schoolsOf(maren)).toHaveLength(3);
    expect(await dismiss(districtId, maren, runa)).toBe(true);
    expect(await schoolsOf(maren)).toMatchObject([{ name: 'Kittiwake Bay Elementary' }]);
    expect(
      await makeSchool(
        districtId,
        { name: 'SKUA point', paper: 'a4', languages: ['en'], contact: '', timeZone: 'UTC' },
        runa,
      ),
    ).toBeUndefined();
    const numbers = await schoolsInNumbers(districtId);
    expect(numbers.map(({ name, families, copies, out }) => [name, families, copies, out])).toEqual([
      ['Kittiwake Bay Elementary', 12, 13, (await listOut(at)).length],
      ['Lantern Hill Elementary', 4, 3, 2],
      ['Skua Point', 0, 0, 0],
    ]);
    expect(numbers[0]!.overdue).toBe((await copiesNow(at, today(at))).overdue);
  });
});

describe('a school', () => {
  it('has its own day', async () => {
    const there = (timeZone: string) => today({ timeZone });
    // Twenty-five hours apart: it is never the same day in both.
    expect(there('Pacific/Kiritimati') > there('Pacific/Pago_Pago')).toBe(true);
    const school = await findSchool(sister);
    const saved = await changeSchool(
      sister,
      { ...schoolFields(school), timeZone: 'Pacific/Kiritimati' },
      school.version,
    );
    expect(saved).toMatchObject({ ok: true, version: 2 });
    const moved = atSchool(boundTo(await findSchool(sister)));
    expect(today(moved)).toBe(there('Pacific/Kiritimati'));
    expect(
      await changeSchool(sister, { ...schoolFields(school), name: 'kittiwake bay ELEMENTARY' }, 2),
    ).toBeUndefined();
  });
});
