import { and, eq, isNull } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { daysAfter } from '~/core/lending/due';
import { USUAL_LENDING } from '~/core/lending/rules';
import { closeDatabase } from '~/data/pools';
import { mend } from '~/data/queries/counts';
import { createFamily, forgetFamily } from '~/data/queries/families';
import { askFor, listHolds, passOnHolds, setAsideFor, withdrawHold } from '~/data/queries/holds';
import { arrive, takeBack, unarrive, undoReturn } from '~/data/queries/returns';
import { findLoan, lend, listOut, renew, undoLoan } from '~/data/queries/lending';
import { lendingRules, saveClassDays, saveLendingRules } from '~/data/queries/rules';
import { dueRules } from '~/data/queries/calendar';
import { hold, loan, loanEvent } from '~/data/schema';
import { wish, wishesOf } from '~/server/lending/wishes';
import { everything } from '../owner';
import { lendOut, smallSchool, type SmallSchool } from '../world';

const DAY = '2026-11-24';
let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
afterAll(closeDatabase);

const by = (): string => world.people.helper.id;
const ask = (family: number, today = DAY): Promise<boolean> =>
  askFor(world.at, { familyId: world.families[family]!.id, kitId: world.kitId, personId: by(), today });
const out = (copy: number, family: number): Promise<string> =>
  lendOut(world, { copy, family, lentOn: DAY, dueOn: daysAfter(DAY, 14 + copy) });
const home = (loanId: string, counted = 6, returnedOn = DAY): Promise<boolean> =>
  takeBack(world.at, {
    loanId,
    returnedOn,
    personId: by(),
    counts: [{ material: 'two-colour-counter', expected: 6, counted }],
  });
const holds = () => listHolds(world.at, DAY);
const names = async (): Promise<[string, string | null][]> =>
  (await holds()).map(({ familyName, tag }) => [familyName, tag]);

describe('a hold', () => {
  it('waits in the order of asking, with the week in which a bag comes home', async () => {
    const fourth = (await createFamily(world.at, { name: 'Family Knot', language: 'en' }))!;
    for (const [copy, family] of [
      [0, 0],
      [1, 0],
      [2, 0],
    ] as const)
      await out(copy, family);
    expect(await ask(1)).toBe(true);
    expect(await ask(1)).toBe(false);
    expect(await ask(2)).toBe(true);
    await askFor(world.at, { familyId: fourth.id, kitId: world.kitId, personId: null, today: DAY });
    expect(
      (await holds()).map(({ place, familyName, expectedOn }) => [place, familyName, expectedOn]),
    ).toEqual([
      [1, 'Family Dunlin', daysAfter(DAY, 14)],
      [2, 'Family Auk', daysAfter(DAY, 15)],
      [3, 'Family Knot', daysAfter(DAY, 16)],
    ]);
  });

  it('gets what comes home complete, keeps it for its days, and then it is passed on', async () => {
    const loanId = await out(0, 0);
    await out(1, 0);
    await out(2, 0);
    await ask(1);
    await ask(2);
    await home(loanId, 5);
    expect(await names()).toEqual([
      ['Family Dunlin', null],
      ['Family Auk', null],
    ]);
    await mend(world.at, world.copies[0]!.id, by());
    const tag = world.copies[0]!.tag;
    expect(await names()).toEqual([
      ['Family Dunlin', tag],
      ['Family Auk', null],
    ]);
    const { keptUntil } = (await setAsideFor(world.at, world.copies[0]!.id))!;
    expect(await passOnHolds(world.at, keptUntil)).toBe(0);
    expect(await passOnHolds(world.at, daysAfter(keptUntil, 1))).toBe(1);
    expect(await names()).toEqual([['Family Auk', tag]]);
  });

  it('keeps its bag from others, and is over once the family has one of its kit', async () => {
    await ask(1);
    const copyId = (await holds())[0]!.copyId!;
    const lending = (familyId: string, more = {}) =>
      lend(world.at, { copyId, familyId, lentOn: DAY, dueOn: DAY, personId: by(), ...more });
    expect(await lending(world.families[0]!.id)).toMatchObject({ ok: false, reason: 'others' });
    const lent = await lending(world.families[1]!.id);
    expect(lent).toMatchObject({ ok: true });
    expect(await holds()).toEqual([]);
    // Undone, it waits again and has its bag.
    await undoLoan(world.at, (lent as { loanId: string }).loanId, by());
    expect((await holds()).map((one) => one.copyId !== null)).toEqual([true]);
    // A person may decide otherwise: then the next free bag is for who waited.
    expect(
      await lending(world.families[0]!.id, { ruleDecided: 'Helper: they are moving away' }),
    ).toMatchObject({
      ok: true,
    });
    expect(await holds()).toHaveLength(1);
    const events = await everything().select({ kind: loanEvent.kind }).from(loanEvent);
    expect(events.map(({ kind }) => kind)).toContain('ruleDecided');
  });

  it('passes on what was kept for a family that took another bag, was forgotten, or whose hand-out ended', async () => {
    await out(1, 0);
    await out(2, 0);
    await ask(1);
    await ask(2);
    const tag = world.copies[0]!.tag;
    expect(await names()).toEqual([
      ['Family Dunlin', tag],
      ['Family Auk', null],
    ]);
    // Another bag of the same kit comes home, is kept for the second, and goes to the first by a decision.
    const other = (await listOut(world.at)).find((one) => one.copyId === world.copies[1]!.id)!;
    await home(other.id);
    expect((await names())[1]![1]).toBe(world.copies[1]!.tag);
    await lend(world.at, {
      copyId: world.copies[1]!.id,
      familyId: world.families[1]!.id,
      lentOn: DAY,
      dueOn: DAY,
      personId: by(),
      ruleDecided: 'Helper: it lay on top',
    });
    expect(await names()).toEqual([['Family Auk', tag]]);
    await ask(0);
    await forgetFamily(world.at, world.families[2]!.id);
    expect(await names()).toEqual([['Familia Vela', tag]]);
  });

  it('lets its bag go when the return it came from is undone, and keeps its place', async () => {
    const loanId = await out(0, 0);
    await out(1, 0);
    await out(2, 0);
    await ask(1);
    await home(loanId);
    expect((await names())[0]![1]).toBe(world.copies[0]!.tag);
    expect(await undoReturn(world.at, loanId, by())).toEqual({ ok: true });
    expect(await names()).toEqual([['Family Dunlin', null]]);
  });

  it('is gone with a family that is forgotten', async () => {
    await ask(1);
    await forgetFamily(world.at, world.families[1]!.id);
    expect(await holds()).toEqual([]);
    expect(await everything().select().from(hold)).toEqual([]);
  });

  it('is refused for a kit that a person would have to decide about', async () => {
    const small = (await createFamily(world.at, { name: 'Family Chick', language: 'en', underThree: true }))!;
    expect((await wishesOf(world.at, small)).open).toEqual([]);
    expect(await wish(world.at, small, world.kitId, null)).toBe(false);
    expect(await wish(world.at, world.families[1]!, world.kitId, null)).toBe(true);
    expect((await wishesOf(world.at, world.families[1]!)).holds).toHaveLength(1);
  });

  it('keeps its order under a thousand random events, and no bag is two families’', async () => {
    const random = seeded(1_000);
    const families = [...world.families];
    for (let i = 0; i < 4; i++)
      families.push((await createFamily(world.at, { name: `Family ${i}`, language: 'en' }))!);
    let day = DAY;
    /** Who waits, in the order of asking, as it should be. */
    let queue: string[] = [];
    for (let i = 0; i < 1000; i++) {
      const family = families[random.whole(0, families.length - 1)]!;
      const copy = world.copies[random.whole(0, 2)]!;
      const open = await world.at
        .select({ id: loan.id, familyId: loan.familyId })
        .from(loan)
        .where(and(eq(loan.copyId, copy.id), isNull(loan.closedAs)));
      switch (random.whole(0, 5)) {
        case 0:
        case 1:
          if (await askFor(world.at, { familyId: family.id, kitId: world.kitId, personId: null, today: day }))
            queue.push(family.id);
          break;
        case 2: {
          const mine = (await listHolds(world.at, day)).find(({ familyId }) => familyId === family.id);
          if (mine && (await withdrawHold(world.at, mine.id, day)))
            queue = queue.filter((one) => one !== family.id);
          break;
        }
        case 3:
          if (open[0])
            await takeBack(world.at, { loanId: open[0].id, returnedOn: day, personId: null, counts: [] });
          break;
        case 4: {
          const lent = await lend(world.at, {
            copyId: copy.id,
            familyId: family.id,
            lentOn: day,
            dueOn: daysAfter(day, 14),
            personId: null,
          });
          if (lent.ok) queue = queue.filter((one) => one !== family.id);
          break;
        }
        default: {
          day = daysAfter(day, random.whole(0, 2));
          const late = (await listHolds(world.at, day)).filter(
            ({ keptUntil }) => keptUntil !== null && keptUntil < day,
          );
          await passOnHolds(world.at, day);
          queue = queue.filter((one) => !late.some(({ familyId }) => familyId === one));
        }
      }
      const now = await listHolds(world.at, day);
      expect(now.map(({ familyId }) => familyId)).toEqual(queue);
      const aside = now.map(({ copyId }) => copyId);
      const given = aside.filter((one) => one !== null);
      expect(new Set(given).size).toBe(given.length);
      // Who asked earlier has a bag before who asked later gets one.
      expect(aside.slice(0, given.length)).toEqual(given);
    }
  }, 300_000);
});

describe('the rules of lending', () => {
  const save = (change: Partial<typeof USUAL_LENDING>) =>
    lendingRules(world.at).then(({ version }) =>
      saveLendingRules(world.at, { ...USUAL_LENDING, ...change }, version, world.people.coordinator.id),
    );

  it('hold at every desk, also for those that press at the same moment', async () => {
    await save({ bagsAtOnce: 2 });
    const family = world.families[0]!.id;
    const lent = await Promise.all(
      world.copies.map(({ id }) =>
        lend(world.at, { copyId: id, familyId: family, lentOn: DAY, dueOn: DAY, personId: by() }),
      ),
    );
    expect(lent.filter(({ ok }) => ok)).toHaveLength(2);
    expect(lent.find(({ ok }) => !ok)).toMatchObject({
      reason: 'limit',
      why: 'A family has up to 2 bags at once, and this one has 2.',
    });
    // What lies at school and waits to be counted is not at home with them.
    const open = lent.find(({ ok }) => ok) as { loanId: string };
    const { copyId } = (await findLoan(world.at, open.loanId))!;
    expect(await arrive(world.at, { copyId, arrivedOn: DAY, personId: by() })).toMatchObject({
      loanId: open.loanId,
    });
    expect(await arrive(world.at, { copyId, arrivedOn: DAY, personId: by() })).toBeUndefined();
    const left = world.copies[lent.findIndex(({ ok }) => !ok)]!;
    expect(
      await lend(world.at, { copyId: left.id, familyId: family, lentOn: DAY, dueOn: DAY, personId: by() }),
    ).toMatchObject({ ok: true });
    expect(await unarrive(world.at, open.loanId)).toBe(true);
    expect(await unarrive(world.at, open.loanId)).toBe(false);
  });

  it('keep a bag longer as often as they say, and not while somebody waits for its kit', async () => {
    await save({ renewals: 2 });
    const loanId = await out(0, 0);
    const longer = () => renew(world.at, loanId, null, (_, dueOn) => Promise.resolve(daysAfter(dueOn, 7)));
    expect(await longer()).toEqual({ ok: true, dueOn: daysAfter(DAY, 21) });
    await out(1, 1);
    await out(2, 1);
    await ask(2);
    expect(await longer()).toEqual({ ok: false, why: 'waiting' });
    await withdrawHold(world.at, (await holds())[0]!.id, DAY);
    expect(await longer()).toMatchObject({ ok: true });
    expect(await longer()).toEqual({ ok: false, why: 'often' });
    await home(loanId);
    expect(await longer()).toEqual({ ok: false, why: 'home' });
  });

  it('are changed by one at a time', async () => {
    await save({ bagsAtOnce: 3 });
    const stale = await saveLendingRules(
      world.at,
      { ...USUAL_LENDING, bagsAtOnce: 1 },
      1,
      world.people.coordinator.id,
    );
    expect(stale).toMatchObject({ ok: false });
    expect((await lendingRules(world.at)).bagsAtOnce).toBe(3);
  });

  it('let a class come on a day of its own', async () => {
    await saveClassDays(world.at, [{ group: 'Room 4', backOn: 3 }]);
    expect((await dueRules(world.at, 'Room 4')).backOn).toBe(3);
    expect((await dueRules(world.at)).backOn).toBeUndefined();
    await saveClassDays(world.at, [{ group: 'Room 4', backOn: null }]);
    expect((await dueRules(world.at, 'Room 4')).backOn).toBeUndefined();
  });
});
