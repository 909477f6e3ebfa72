import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { daysAfter } from '~/core/lending/due';
import { closeDatabase } from '~/data/pools';
import {
  addEntries,
  calendarEntries,
  calendarRules,
  dueRules,
  lastMove,
  moveDues,
  removeEntry,
  saveRules,
  touchedLoans,
  undoMove,
} from '~/data/queries/calendar';
import { changeDue, findLoan } from '~/data/queries/lending';
import { takeBack } from '~/data/queries/returns';
import { proposedDue } from '~/server/lending/due';
import { lendOut, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let me: string;
beforeEach(async () => {
  world = await smallSchool();
  me = world.people.coordinator.id;
});
afterAll(closeDatabase);

const RULES = { weekdays: [1, 2, 3, 4, 5], backOn: 4, breaks: 'before' as const, longBreakDays: 5 };
const winter = { kind: 'closed' as const, name: 'Winter break', from: '2026-12-21', to: '2027-01-03' };
const dueOf = async (id: string) => (await findLoan(world.at, id))?.dueOn;

describe('the calendar of a school', () => {
  it('decides when a bag is due, and says why', async () => {
    const { version } = await calendarRules(world.at);
    expect(await saveRules(world.at, RULES, version, me)).toMatchObject({ ok: true });
    await addEntries(world.at, [winter], me);
    expect(await proposedDue(world.at, '2026-12-07', 14)).toMatchObject({
      dueOn: '2026-12-17',
      why: 'Dec 17: the last Thursday with school before Winter break, from Dec 21 on',
    });
    expect((await proposedDue(world.at, '2026-12-18', 14)).dueOn).toBe('2027-01-07');
    // Between two terms there is no school; after the last one it is not known yet.
    await addEntries(
      world.at,
      [
        { kind: 'term', name: 'One', from: '2027-01-04', to: '2027-03-05' },
        { kind: 'term', name: 'Two', from: '2027-03-22', to: '2027-06-18' },
      ],
      me,
    );
    expect((await dueRules(world.at)).calendar.closed).toContainEqual({
      from: '2027-03-06',
      to: '2027-03-21',
      name: 'the days before Two',
    });
    expect((await proposedDue(world.at, '2027-06-17', 14)).dueOn).toBe('2027-07-01');
  });

  it('is changed by one of two at a time, and refuses what cannot be', async () => {
    const { version } = await calendarRules(world.at);
    expect(await saveRules(world.at, RULES, version, me)).toMatchObject({ ok: true });
    // Another form that was opened before: what both changed has to be decided.
    expect(await saveRules(world.at, { ...RULES, backOn: 2 }, version, me)).toMatchObject({ ok: false });
    await expect(saveRules(world.at, { ...RULES, backOn: 7 }, version + 1, me)).rejects.toThrow();
    await expect(addEntries(world.at, [{ ...winter, to: '2026-12-01' }], me)).rejects.toThrow();
    // What came in from a file comes in once.
    const fromFile = { ...winter, uid: 'a@b' };
    expect(await addEntries(world.at, [fromFile], me)).toBe(1);
    expect(await addEntries(world.at, [fromFile, { ...winter, uid: 'c@d' }], me)).toBe(1);
    // When the file says otherwise later, it follows the file.
    expect(await addEntries(world.at, [{ ...fromFile, to: '2027-01-10' }], me)).toBe(1);
    expect((await calendarEntries(world.at)).map(({ uid, to }) => [uid, to]).sort()).toEqual([
      ['a@b', '2027-01-10'],
      ['c@d', '2027-01-03'],
    ]);
    const [first] = await calendarEntries(world.at);
    expect(await removeEntry(world.at, first!.id, me)).toBe(true);
    expect(await removeEntry(world.at, first!.id, me)).toBe(false);
  });

  it('shows the loans that a closure touches, moves them as one act, and back', async () => {
    await saveRules(
      world.at,
      { ...RULES, backOn: null, breaks: 'over' },
      (await calendarRules(world.at)).version,
      me,
    );
    const today = '2026-12-07';
    const [touched, again, spared] = [
      await lendOut(world, { copy: 0, family: 0, lentOn: today, dueOn: '2026-12-22' }),
      await lendOut(world, { copy: 1, family: 1, lentOn: today, dueOn: '2026-12-23' }),
      await lendOut(world, { copy: 2, family: 2, lentOn: today, dueOn: '2026-12-18' }),
    ];
    expect(await touchedLoans(world.at, today)).toEqual([]);
    await addEntries(world.at, [winter], me);
    const found = await touchedLoans(world.at, today);
    expect(found.map(({ move }) => move)).toEqual([
      { loanId: touched, from: '2026-12-22', to: '2027-01-04' },
      { loanId: again, from: '2026-12-23', to: '2027-01-04' },
    ]);
    expect(found[0]!.why).toBe('Jan 4: the first school day after Winter break');
    // One of them is moved by somebody else before it is told.
    await changeDue(world.at, again, '2026-12-16', me);
    const done = await moveDues(
      world.at,
      found.map(({ move }) => move),
      me,
    );
    expect(done).toMatchObject({ moved: 1 });
    expect([await dueOf(touched), await dueOf(again), await dueOf(spared)]).toEqual([
      '2027-01-04',
      '2026-12-16',
      '2026-12-18',
    ]);
    expect(await lastMove(world.at)).toMatchObject({ id: done!.id, loans: 1 });
    // Of two who undo it at the same moment one does.
    const undone = await Promise.all([undoMove(world.at, done!.id, me), undoMove(world.at, done!.id, me)]);
    expect(undone.filter((one) => one === 1)).toHaveLength(1);
    expect(await dueOf(touched)).toBe('2026-12-22');
    expect(await lastMove(world.at)).toBeUndefined();
  });

  it('moves no loan that came home meanwhile', async () => {
    await saveRules(world.at, { ...RULES, backOn: null }, (await calendarRules(world.at)).version, me);
    const today = '2026-12-07';
    const loanId = await lendOut(world, { lentOn: today, dueOn: '2026-12-22' });
    await addEntries(world.at, [winter], me);
    const moves = (await touchedLoans(world.at, today)).map(({ move }) => move);
    await takeBack(world.at, { loanId, returnedOn: daysAfter(today, 1), counts: [], personId: me });
    expect(await moveDues(world.at, moves, me)).toBeUndefined();
  });
});
