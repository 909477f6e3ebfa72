import { NEW_FAMILY } from '~/core/lending/families';
import { sql } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { closeDatabase } from '~/data/pools';
import { refusedBy } from '~/data/trouble';
import {
  createFamily,
  findFamily,
  forgetFamily,
  importFamilies,
  familiesNamed,
  listFamilies,
  pageOfFamilies,
  updateFamily,
} from '~/data/queries/families';
import { findCopy } from '~/data/queries/copies';
import { listShortages, mend, undoMend } from '~/data/queries/counts';
import { changeDue, findLoan, lastLoanOf, lend, listOut, undoLoan } from '~/data/queries/lending';
import { strandOf } from '~/data/queries/strand';
import { takeBack, undoReturn } from '~/data/queries/returns';
import { loan, loanEvent } from '~/data/schema';
import { everything } from '../owner';
import { lendOut, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
afterAll(closeDatabase);

const order = (family = 0, copy = 0) => ({
  copyId: world.copies[copy]!.id,
  familyId: world.families[family]!.id,
  lentOn: '2026-11-24',
  dueOn: '2026-12-15',
  personId: world.people.helper.id,
});
const lent = (family = 0, copy = 0): Promise<string> =>
  lendOut(world, { family, copy, lentOn: '2026-11-24', dueOn: '2026-12-15' });
const counts = (counters: number) => [
  { material: 'two-colour-counter', expected: 6, counted: counters },
  { material: 'cup', expected: 1, counted: 1 },
];

describe('lending', () => {
  it('lends one copy to one of many who ask at the same moment', async () => {
    const results = await Promise.all(Array.from({ length: 8 }, (_, i) => lend(world.at, order(i % 3))));
    expect(results.filter((result) => result.ok)).toHaveLength(1);
    expect(results.filter((result) => !result.ok && result.reason === 'out')).toHaveLength(7);
    expect(await everything().$count(loan)).toBe(1);
    expect(await everything().$count(loanEvent)).toBe(1);
  });

  it('is refused by the schema itself, whatever the code does', async () => {
    const { personId: _, ...values } = order();
    await world.at.insert(loan).values(values);
    const again = await world.at
      .insert(loan)
      .values({ ...values, familyId: world.families[1]!.id })
      .catch(refusedBy);
    expect(again).toBe('copy_is_out_already');
    const backwards = await world.at
      .insert(loan)
      .values({ ...values, copyId: world.copies[1]!.id, dueOn: '2026-11-01' })
      .catch(refusedBy);
    expect(backwards).toBe('due_after_lent');
  });

  it('refuses a family that was forgotten and a copy that is not there', async () => {
    expect(await forgetFamily(world.at, world.families[2]!.id)).toBe(true);
    expect(await lend(world.at, order(2))).toEqual({ ok: false, reason: 'gone' });
    expect(await lend(world.at, { ...order(), copyId: world.families[0]!.id })).toEqual({
      ok: false,
      reason: 'gone',
    });
  });

  it('can be undone while it is open, and the ledger keeps both', async () => {
    const id = await lent();
    expect(await undoLoan(world.at, id, world.people.helper.id)).toEqual({ ok: true });
    expect(await undoLoan(world.at, id, world.people.helper.id)).toMatchObject({ ok: false });
    expect((await findCopy(world.at, { id: world.copies[0]!.id }))!.loan).toBeNull();
    expect((await lend(world.at, order(1))).ok).toBe(true);
    const { rows } = await everything().execute<{ kind: string }>(
      sql`select kind from loan_event where loan_id = ${id} order by at`,
    );
    expect(rows.map((row) => row.kind)).toEqual(['lent', 'undone']);
  });

  it('changes the due date of an open loan only', async () => {
    const id = await lent();
    expect(await changeDue(world.at, id, '2027-01-08', world.people.helper.id)).toBe(true);
    expect((await listOut(world.at))[0]!.dueOn).toBe('2027-01-08');
    await undoLoan(world.at, id, world.people.helper.id);
    expect(await changeDue(world.at, id, '2027-01-09', world.people.helper.id)).toBe(false);
  });
});

describe('taking back', () => {
  it('records what is missing, until it is mended', async () => {
    const id = await lent();
    expect(
      await takeBack(world.at, { loanId: id, returnedOn: '2026-12-01', counts: counts(4), personId: null }),
    ).toBe(true);
    expect(
      await takeBack(world.at, { loanId: id, returnedOn: '2026-12-01', counts: counts(6), personId: null }),
    ).toBe(false);
    expect(await listShortages(world.at)).toMatchObject([
      { material: 'two-colour-counter', expected: 6, counted: 4, tag: world.copies[0]!.tag },
    ]);
    expect(await mend(world.at, world.copies[0]!.id, world.people.coordinator.id)).toBe(1);
    expect(await listShortages(world.at)).toEqual([]);
    const kinds = (await strandOf(world.at, world.copies[0]!.id)).map((event) => event.kind);
    // The mending is dated by the clock of this run, the other days are fixed.
    expect(kinds.filter((kind) => kind !== 'mended')).toEqual(['built', 'lent', 'home']);
    expect(kinds).toContain('mended');
  });

  it('holds the latest count: complete again at the next return', async () => {
    await takeBack(world.at, {
      loanId: await lent(),
      returnedOn: '2026-12-01',
      counts: counts(4),
      personId: null,
    });
    await takeBack(world.at, {
      loanId: await lent(1),
      returnedOn: '2026-12-02',
      counts: counts(6),
      personId: null,
    });
    expect(await listShortages(world.at)).toEqual([]);
  });

  it('has a mending that can be undone until something is counted again', async () => {
    const { id } = world.copies[0]!;
    const by = world.people.coordinator.id;
    await takeBack(world.at, {
      loanId: await lent(),
      returnedOn: '2026-11-24',
      counts: counts(4),
      personId: null,
    });
    expect(await undoMend(world.at, id, by)).toBe(false);
    await mend(world.at, id, by);
    expect(await undoMend(world.at, id, by)).toBe(true);
    expect(await listShortages(world.at, id)).toMatchObject([{ material: 'two-colour-counter', counted: 4 }]);
    expect((await strandOf(world.at, id)).map((event) => event.kind)).not.toContain('mended');
    await mend(world.at, id, by);
    await takeBack(world.at, {
      loanId: await lent(1),
      returnedOn: '2026-11-25',
      counts: counts(6),
      personId: null,
    });
    expect(await undoMend(world.at, id, by)).toBe(false);
    expect((await strandOf(world.at, id)).map((event) => event.kind)).toContain('mended');
    expect(await mend(world.at, id, by)).toBe(0);
  });

  it('can be undone: the loan is open again and the count is as before', async () => {
    await takeBack(world.at, {
      loanId: await lent(),
      returnedOn: '2026-11-24',
      counts: counts(5),
      personId: null,
    });
    const second = await lent(1);
    await takeBack(world.at, { loanId: second, returnedOn: '2026-12-02', counts: counts(2), personId: null });
    expect((await listShortages(world.at))[0]!.counted).toBe(2);
    expect(await undoReturn(world.at, second, world.people.helper.id)).toEqual({ ok: true });
    expect((await findLoan(world.at, second))!.closedAs).toBeNull();
    expect((await listShortages(world.at))[0]!.counted).toBe(5);
  });

  it('cannot be undone once the copy has gone out again', async () => {
    const first = await lent();
    await takeBack(world.at, { loanId: first, returnedOn: '2026-12-01', counts: counts(6), personId: null });
    await lent(1);
    expect(await undoReturn(world.at, first, world.people.helper.id)).toEqual({
      ok: false,
      why: 'This copy has gone out again meanwhile, to Family Dunlin. Nothing was changed.',
    });
    expect(await listOut(world.at)).toHaveLength(1);
  });

  it('tells the family page the loan that counts: the open one, else the one that ended last', async () => {
    expect(await lastLoanOf(world.at, world.copies[0]!.id)).toBeUndefined();
    const first = await lent();
    await takeBack(world.at, { loanId: first, returnedOn: '2026-12-01', counts: [], personId: null });
    expect(await lastLoanOf(world.at, world.copies[0]!.id)).toMatchObject({
      id: first,
      returnedOn: '2026-12-01',
      language: 'es',
    });
    const second = await lent(1);
    expect(await lastLoanOf(world.at, world.copies[0]!.id)).toMatchObject({
      id: second,
      returnedOn: null,
      language: 'en',
    });
    await undoLoan(world.at, second, world.people.helper.id);
    expect(await lastLoanOf(world.at, world.copies[0]!.id)).toMatchObject({ id: first });
  });
});

describe('families', () => {
  it('leave nothing of their children behind when they are forgotten', async () => {
    const made = (await createFamily(world.at, {
      name: 'Family Skua',
      language: 'en',
      speaks: 'Tigrinya',
      children: 'Pip, grade 1',
      group: 'Room 4',
      channel: 'message',
    }))!;
    expect(await forgetFamily(world.at, made.id)).toBe(true);
    const { rows } = await everything().execute<{ all: string }>(
      sql`select f::text || coalesce((select string_agg(c::text, '') from change c where c.thing_id = f.id::text), '') as "all"
          from family f where f.id = ${made.id}`,
    );
    expect(rows[0]!.all).not.toMatch(/Skua|Pip|Tigrinya|Room 4|message/);
  });

  const input = {
    name: 'Family Skua',
    language: 'en' as const,
    reach: '+1 555 0173',
    underThree: true,
    allergens: 'latex',
  };

  it('have each a name of their own, in any case', async () => {
    expect(await createFamily(world.at, input)).toMatchObject(input);
    expect(await createFamily(world.at, { ...input, name: 'FAMILY SKUA' })).toBeUndefined();
    expect(
      await updateFamily(world.at, world.families[0]!.id, { ...NEW_FAMILY, ...input }, 1),
    ).toBeUndefined();
  });

  it('are found by a part of the name, without accents and case, those that begin so first', async () => {
    await importFamilies(
      world.at,
      [
        'Familia Arroyo Vela',
        'Família Lagoa',
        'Family Marlin',
        'Family Linden',
        'عائلة مُنى',
        '100% of_us',
      ].map((name) => ({ ...input, name })),
    );
    const found = async (text: string) => (await familiesNamed(world.at, text, 6)).map(({ name }) => name);
    expect(await found('familia lag')).toEqual(['Família Lagoa']);
    expect(await found('VELA')).toEqual(['Familia Arroyo Vela', 'Familia Vela']);
    expect(await found('vela arroyo')).toEqual(['Familia Arroyo Vela']);
    expect(await found('lin')).toEqual(['Family Linden', 'Family Dunlin', 'Family Marlin']);
    expect(await found('منى')).toEqual(['عائلة مُنى']);
    expect(await found('family auk')).toEqual(['Family Auk']);
    for (const nothing of ['  ', 'nobody', '%%', 'f_mily', '\\', "' or 1=1"])
      expect(await found(nothing)).toEqual([]);
    expect(await found('100%')).toEqual(['100% of_us']);
  });

  it('are shown page by page, searched and sorted by the database', async () => {
    await importFamilies(
      world.at,
      Array.from({ length: 120 }, (_, i) => ({ ...input, name: `Tern ${String(i).padStart(3, '0')}` })),
    );
    const page = await pageOfFamilies(world.at, { text: '', sort: 'name', first: 50, most: 50 });
    expect([page.families.length, page.all, page.found]).toEqual([50, 123, 123]);
    const names: string[] = [];
    for (let first = 0; first < 123; first += 50)
      names.push(
        ...(await pageOfFamilies(world.at, { text: '', sort: 'name', first, most: 50 })).families.map(
          ({ name }) => name,
        ),
      );
    expect(new Set(names).size).toBe(123);
    expect([...names].sort((a, b) => a.toLowerCase().localeCompare(b.toLowerCase(), 'en'))).toEqual(names);
    const terns = await pageOfFamilies(world.at, { text: 'tern 11', sort: 'name', first: 0, most: 50 });
    expect([terns.found, terns.families.length, terns.all]).toEqual([11, 11, 123]);
    const made = await lend(world.at, order());
    const busy = await pageOfFamilies(world.at, { text: '', sort: 'out', first: 0, most: 5 });
    expect([made.ok, busy.families[0]!.out.length]).toEqual([true, 1]);
    expect(
      (await pageOfFamilies(world.at, { text: '', sort: 'name', first: 1000, most: 50 })).families,
    ).toEqual([]);
  });

  it('are imported, those that are there already left alone', async () => {
    expect(
      await importFamilies(world.at, [
        input,
        { ...input, name: 'family dunlin' },
        { ...input, name: 'Family Knot' },
      ]),
    ).toBe(2);
    expect((await listFamilies(world.at)).find((family) => family.name === 'Family Dunlin')).toMatchObject({
      reach: '',
    });
    expect(await importFamilies(world.at, [])).toBe(0);
  });

  it('are forgotten without a trace, but not while a copy is out with them', async () => {
    const family = (await createFamily(world.at, input))!;
    const asked = { ...order(), familyId: family.id };
    // A child under three lives there: it goes out because somebody decided so.
    const refused = await lend(world.at, asked);
    const of = 'holds' in refused ? refused.holds : '';
    const made = await lend(world.at, { ...asked, decided: { by: 'Helper', of } });
    expect(await forgetFamily(world.at, family.id)).toBe(false);
    await takeBack(world.at, {
      loanId: made.ok ? made.loanId : '',
      returnedOn: '2026-12-01',
      counts: [],
      personId: null,
    });
    expect(await forgetFamily(world.at, family.id)).toBe(true);
    expect(await findFamily(world.at, family.id)).toBeUndefined();
    const { rows } = await everything().execute(sql`select * from family where id = ${family.id}`);
    expect(JSON.stringify(rows)).not.toMatch(/Skua|555 0173|latex/);
    expect(await createFamily(world.at, input)).toBeDefined();
  });
});
