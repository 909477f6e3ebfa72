import { beforeEach, describe, expect, it } from 'vitest';
import { USUAL_PRINTING } from '~/core/pack/cost';
import { listFound, makeWhole, undoCare, writeCare } from '~/data/queries/care';
import { markPrinted } from '~/data/queries/copies';
import { listShortages, undoMend } from '~/data/queries/counts';
import { takeBack, undoReturn } from '~/data/queries/returns';
import { addAnswer } from '~/data/queries/listening';
import { tasksOf } from '~/server/kits/care';
import { countedParts, heldOf } from '~/server/kits/held';
import { verdictOf } from '~/server/threads';
import { lendOut, smallSchool, type SmallSchool, aWord } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});

const DAYS = { lentOn: '2026-09-02', dueOn: '2026-09-23' };
/** A loan of a copy that comes home with so much missing. */
async function home(
  copy: number,
  missing: Record<string, number> = {},
  found: { dirty?: boolean; foreign?: string } = {},
): Promise<string> {
  const loanId = await lendOut(world, { copy, ...DAYS });
  const counts = world.copies[copy]!.parts.map(({ material, quantity }) => ({
    material,
    expected: quantity,
    counted: quantity - (missing[material] ?? 0),
  }));
  expect(
    await takeBack(world.at, { loanId, returnedOn: '2026-09-10', counts, ...found, personId: null }),
  ).toBe(true);
  return loanId;
}
const say = (loanId: string, missing: string) => addAnswer(world.at, aWord(loanId, { missing }));

describe('what bags need', () => {
  it('opens with what a family told while the bag is out, and closes when it is counted', async () => {
    const loanId = await lendOut(world, { copy: 0, ...DAYS });
    await say(loanId, 'A die rolled away.');
    await say(loanId, '   ');
    const { reports } = await tasksOf(world.at);
    expect(reports).toMatchObject([{ said: 'A die rolled away.', out: true, copyId: world.copies[0]!.id }]);
    await takeBack(world.at, {
      loanId,
      returnedOn: '2026-09-10',
      counts: [{ material: 'cup', expected: 1, counted: 1 }],
      personId: null,
    });
    expect((await tasksOf(world.at)).reports).toEqual([]);
  });

  it('is settled once, also by two helpers at one moment, and taken back', async () => {
    const loanId = await lendOut(world, { copy: 0, ...DAYS });
    await say(loanId, 'The cup is broken.');
    const [report] = (await tasksOf(world.at)).reports;
    const settle = () =>
      writeCare(world.at, {
        copyId: report!.copyId,
        kind: 'seen',
        note: '',
        settles: report!.answerId,
        personId: null,
      });
    const settled = (await Promise.all([settle(), settle()])).filter((id) => id !== undefined);
    expect(settled).toHaveLength(1);
    expect((await tasksOf(world.at)).reports).toEqual([]);
    expect(await undoCare(world.at, settled[0]!)).toBe(true);
    expect(await undoCare(world.at, settled[0]!)).toBe(false);
    expect((await tasksOf(world.at)).reports).toHaveLength(1);
  });

  it('keeps what was found at a return, and forgets it with the return', async () => {
    const loanId = await home(0, {}, { dirty: true, foreign: 'a toy car' });
    expect(await listFound(world.at)).toMatchObject([
      { kind: 'dirty', note: '' },
      { kind: 'foreign', note: 'a toy car' },
    ]);
    expect(await undoReturn(world.at, loanId, world.people.helper.id)).toEqual({ ok: true });
    expect(await listFound(world.at)).toEqual([]);
  });

  it('wants cleaning after so many loans, until it was cleaned', async () => {
    for (let i = 0; i < USUAL_PRINTING.cleanAfter; i++) {
      expect((await tasksOf(world.at)).clean).toEqual([]);
      await home(1);
    }
    const { clean } = await tasksOf(world.at);
    expect(clean).toHaveLength(1);
    expect(clean[0]!.why).toMatch(/^3 loans since it was cleaned: wipe or wash two-color counters/);
    await writeCare(world.at, {
      copyId: clean[0]!.copyId,
      kind: 'cleaned',
      note: '',
      settles: null,
      personId: null,
    });
    expect((await tasksOf(world.at)).clean).toEqual([]);
  });

  it('wants new plain paper after a loan, until the pack is printed again', async () => {
    await home(1);
    expect((await tasksOf(world.at)).worn).toMatchObject([{ copyId: world.copies[1]!.id }]);
    await markPrinted(world.at, [world.copies[1]!.id]);
    expect((await tasksOf(world.at)).worn).toEqual([]);
  });
});

describe('two incomplete copies', () => {
  it('make a whole one in one press, and are two again when it is taken back', async () => {
    await home(0, { 'two-colour-counter': 2 });
    await home(1, { cup: 1 });
    const [pair] = (await tasksOf(world.at)).pairs;
    const ids = [world.copies[0]!.id, world.copies[1]!.id];
    expect([pair!.from.id, pair!.into.id].sort()).toEqual([...ids].sort());
    const before = await listShortages(world.at);
    const { parts } = world.copies[0]!;
    const make = () =>
      makeWhole(world.at, { fromId: pair!.from.id, intoId: pair!.into.id, parts }, world.people.helper.id);
    const made = await Promise.all([make(), make()]);
    expect(made.filter(Boolean)).toHaveLength(1);
    const after = await listShortages(world.at);
    expect(new Set(after.map(({ copyId }) => copyId))).toEqual(new Set([pair!.from.id]));
    const total = (list: typeof before) =>
      list.reduce((sum, { expected, counted }) => sum + expected - counted, 0);
    // Nothing was made out of nothing: together they lack as much as before.
    expect(total(after)).toBe(total(before));
    for (const id of ids) expect(await undoMend(world.at, id, world.people.helper.id)).toBe(true);
    expect(await listShortages(world.at)).toEqual(before);
  });

  it('are left alone where neither has what the other lacks', async () => {
    await home(0, { cup: 1 });
    await home(1, { cup: 1 });
    expect((await tasksOf(world.at)).pairs).toEqual([]);
    const { parts } = world.copies[0]!;
    expect(
      await makeWhole(
        world.at,
        { fromId: world.copies[0]!.id, intoId: world.copies[1]!.id, parts },
        world.people.helper.id,
      ),
    ).toBe(false);
  });
});

describe('what is counted when a copy comes home', () => {
  it('is what lasts: laminated boards and mats too, plain paper not', () => {
    const [copy] = world.copies;
    const plain = countedParts(copy!).map(({ material }) => material);
    const durable = countedParts({ ...copy!, finish: 'durable' }).map(({ material }) => material);
    expect(plain).not.toContain('mat');
    expect(durable).toEqual(expect.arrayContaining([...plain, 'mat', 'record-sheet']));
    expect(durable).not.toContain('instruction-sheet');
  });

  it('is judged by what is there of it', async () => {
    const copy = { ...world.copies[0]!, finish: 'durable' as const };
    const counts = [{ material: 'record-sheet', expected: 2, counted: 0 }];
    const lost = await verdictOf({ school: [], plan: copy.plan, ...heldOf(copy, counts) });
    const whole = await verdictOf({ school: [], plan: copy.plan, ...heldOf(copy, []) });
    expect(whole.copy).toBe('asItIs');
    expect(lost.copy).not.toBe('asItIs');
    expect(lost.restock['record-sheet']).toBeGreaterThan(0);
  });
});
