import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import type { MakingStep, Outcome } from '~/core/kits/making';
import { recipeOf } from '~/core/kits/recipe';
import { randomTag } from '~/core/kits/tag';
import { undoBuild } from '~/data/queries/building';
import { findCopy, markPrinted } from '~/data/queries/copies';
import { listShortages } from '~/data/queries/counts';
import { copiesNow } from '~/data/queries/desk';
import { findKit, planOf } from '~/data/queries/kits';
import { lend } from '~/data/queries/lending';
import { findMaking, startMaking, type MakingNow } from '~/data/queries/making';
import { beginStep, doStep, finishByHand, giveUp, undoStep } from '~/data/queries/steps';
import { countStock, freeNow, listMoves, onHandNow, reservedNow } from '~/data/queries/store';
import { claimNext, stepsOfKit } from '~/server/kits/making';
import { newLinkKey } from '~/server/links';
import { secureRandom } from '~/server/random';
import { smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let helper: string;
beforeEach(async () => {
  world = await smallSchool();
  helper = world.people.helper.id;
});

const PART = 'two-colour-counter';
const COUNT = `count ${PART}`;
/** The kit of the small school takes six counters. */
const EACH = 6;

async function start(
  copies: number,
  more: { anyway?: boolean; formKey?: string } = {},
): Promise<Awaited<ReturnType<typeof startMaking>>> {
  const kit = (await findKit(world.at, world.kitId))!;
  const { parts } = recipeOf(planOf(kit));
  const stored = parts.filter(({ material }) => !['instruction-sheet', 'record-sheet'].includes(material));
  const steps: MakingStep[] = [
    { id: 'print', quantity: 3, seconds: 9 },
    { id: 'cut', quantity: 4, seconds: 28 },
    ...stored.map(({ material, quantity }): MakingStep => ({
      id: `count ${material}`,
      quantity,
      seconds: 20,
    })),
    { id: 'bag', quantity: 1, seconds: 160 },
    { id: 'label', quantity: 1, seconds: 20 },
    { id: 'check', quantity: 1, seconds: 45 },
  ];
  return startMaking(world.at, {
    batches: [
      { kit, languages: Array.from({ length: copies }, () => 'es' as const), finish: 'plain', parts, steps },
    ],
    helpers: 2,
    laminators: 1,
    cutters: 1,
    startedOn: '2026-09-02',
    startedBy: helper,
    newTag: () => randomTag(secureRandom),
    newLinkKey,
    ...more,
  });
}
async function started(copies: number): Promise<MakingNow> {
  const made = await start(copies);
  if ('lacks' in made) throw new Error(made.lacks.material);
  const run = (await findMaking(world.at, made.makingId))!;
  await markPrinted(
    world.at,
    run.copies.map(({ id }) => id),
  );
  return run;
}
const onHand = async (): Promise<number | null | undefined> => (await onHandNow(world.at))[PART];
const free = async (): Promise<number | null | undefined> => (await freeNow(world.at))[PART];
const put = (counted: number) => countStock(world.at, [{ material: PART, counted }], null);
const done = (
  copyId: string,
  step: string,
  outcome: 'done' | 'tooFew' | 'broken' | 'wrongLabel' = 'done',
  quantity?: number,
) => doStep(world.at, { copyId, step, outcome, quantity, personId: helper });
/** Every step of a copy, in order. */
async function make(run: MakingNow, copyId: string, but: string[] = []): Promise<void> {
  for (const { id } of run.copies.find((one) => one.id === copyId)!.steps)
    if (id !== 'print' && !but.includes(id)) expect(await done(copyId, id)).toEqual({ ok: true });
}

describe('a build run', () => {
  it('speaks for what its copies take, until it is counted into them', async () => {
    await put(20);
    const run = await started(3);
    expect([await onHand(), await free()]).toEqual([20, 2]);
    expect((await reservedNow(world.at))[PART]).toBe(3 * EACH);
    expect(await start(1)).toEqual({ lacks: { ok: false, material: PART, need: EACH, onHand: 2 } });
    await done(run.copies[0]!.id, COUNT);
    expect([await onHand(), await free()]).toEqual([14, 2]);
    // All the same: what is short will come.
    expect(await start(1, { anyway: true })).toHaveProperty('makingId');
  });

  it('is started once, also when two desks take the last of a part at one moment', async () => {
    await put(EACH + 1);
    const made = await Promise.all([start(1), start(1), start(1)]);
    expect(made.filter((one) => 'makingId' in one)).toHaveLength(1);
    expect(made.filter((one) => 'lacks' in one)).toHaveLength(2);
    const formKey = crypto.randomUUID();
    await put(100);
    const twice = await Promise.all([start(1, { formKey }), start(1, { formKey })]);
    expect(twice[0]).toEqual(twice[1]);
  });

  it('makes a copy that can be lent when its check is done, and not before', async () => {
    await put(20);
    const run = await started(1);
    const [copy] = run.copies;
    const lendIt = () =>
      lend(world.at, {
        copyId: copy!.id,
        familyId: world.families[0]!.id,
        lentOn: '2026-09-02',
        dueOn: '2026-09-23',
        personId: helper,
      });
    expect(await lendIt()).toEqual({ ok: false, reason: 'unmade' });
    expect(await copiesNow(world.at, '2026-09-02')).toMatchObject({ halfMade: 1, home: 3 });
    await make(run, copy!.id, ['check']);
    expect(await done(copy!.id, 'bag')).toMatchObject({ ok: false });
    expect(await lendIt()).toEqual({ ok: false, reason: 'unmade' });
    await done(copy!.id, 'check');
    expect((await findMaking(world.at, run.id))!.endedAt).not.toBeNull();
    expect(await copiesNow(world.at, '2026-09-02')).toMatchObject({ halfMade: 0, home: 4 });
    // The check is taken back while nobody has the copy.
    expect(await undoStep(world.at, { copyId: copy!.id, step: COUNT, personId: helper })).toMatchObject({
      ok: false,
    });
    expect(await undoStep(world.at, { copyId: copy!.id, step: 'check', personId: helper })).toEqual({
      ok: true,
    });
    expect(await lendIt()).toEqual({ ok: false, reason: 'unmade' });
    await done(copy!.id, 'check');
    expect(await lendIt()).toMatchObject({ ok: true });
    expect(await undoStep(world.at, { copyId: copy!.id, step: 'check', personId: helper })).toMatchObject({
      ok: false,
    });
  });

  it('does nothing out of order, and nothing twice', async () => {
    await put(20);
    const run = (await start(1)) as { makingId: string };
    const [copy] = (await findMaking(world.at, run.makingId))!.copies;
    expect(await done(copy!.id, 'cut')).toMatchObject({ ok: false });
    expect(await done(copy!.id, 'check')).toMatchObject({ ok: false });
    expect(await done(copy!.id, 'count cube')).toMatchObject({ ok: false });
    await markPrinted(world.at, [copy!.id], 'es');
    expect(await done(copy!.id, 'cut')).toEqual({ ok: true });
    expect(await Promise.all([done(copy!.id, COUNT), done(copy!.id, COUNT)])).toContainEqual({ ok: true });
    expect(await onHand()).toBe(20 - EACH);
    expect(await done(copy!.id, 'bag', 'tooFew', 0)).toMatchObject({ ok: false });
  });

  it('notes what was counted short, and takes no more from the store than went in', async () => {
    await put(20);
    const run = await started(1);
    const id = run.copies[0]!.id;
    expect(await done(id, COUNT, 'tooFew', EACH)).toMatchObject({ ok: false });
    expect(await done(id, COUNT, 'tooFew', 4)).toEqual({ ok: true });
    expect(await onHand()).toBe(16);
    await make(run, id, [COUNT]);
    expect(await listShortages(world.at, id)).toMatchObject([{ material: PART, expected: EACH, counted: 4 }]);
    await undoStep(world.at, { copyId: id, step: 'check', personId: helper });
    expect(await listShortages(world.at, id)).toEqual([]);
    await undoStep(world.at, { copyId: id, step: COUNT, personId: helper });
    expect(await onHand()).toBe(20);
  });

  it('says that the ledger has too few, and writes nothing then', async () => {
    await put(20);
    const run = await started(2);
    await put(EACH + 2);
    await done(run.copies[0]!.id, COUNT);
    expect(await done(run.copies[1]!.id, COUNT)).toMatchObject({ ok: false, material: PART });
    expect(await onHand()).toBe(2);
    const after = (await findMaking(world.at, run.id))!.copies[1]!;
    expect(after.steps.find(({ id }) => id === COUNT)).toMatchObject({ standing: 'open' });
    expect(await done(run.copies[1]!.id, COUNT, 'tooFew', 2)).toEqual({ ok: true });
    expect(await onHand()).toBe(0);
  });

  it('keeps the store and what was spoken for in step with any steps and any undoing', async () => {
    await put(60);
    const run = await started(3);
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.record({
            copy: fc.nat(2),
            what: fc.constantFrom<Outcome>('done', 'tooFew', 'broken', 'undone'),
            n: fc.nat(EACH - 1),
          }),
          { maxLength: 12 },
        ),
        async (acts) => {
          for (const { copy, what, n } of acts) {
            const copyId = run.copies[copy]!.id;
            if (what === 'undone') await undoStep(world.at, { copyId, step: COUNT, personId: helper });
            else await done(copyId, COUNT, what as 'done', what === 'tooFew' ? n : undefined);
          }
          const now = (await findMaking(world.at, run.id))!;
          const inBags = now.copies
            .map(({ steps }) => steps.find(({ id }) => id === COUNT)!)
            .reduce((sum, one) => sum + (one.standing === 'done' ? EACH : (one.have ?? 0)), 0);
          const moves = await listMoves(world.at, PART, 10_000);
          const worn = moves.filter(({ kind }) => kind === 'worn').length;
          expect(await onHand()).toBe(60 - inBags - worn);
          expect(moves.reduce((sum, { quantity }) => sum + quantity, 0)).toBe(await onHand());
          const open = now.copies.filter(({ steps }) =>
            ['open', 'begun'].includes(steps.find(({ id }) => id === COUNT)!.standing),
          );
          expect((await reservedNow(world.at))[PART] ?? 0).toBe(open.length * EACH);
        },
      ),
      { numRuns: 15 },
    );
  });

  it('gives two helpers different things at one moment, and what one has begun to no other', async () => {
    await put(60);
    const run = await started(4);
    const [a, b] = [helper, world.people.coordinator.id];
    const claims = await Promise.all(
      Array.from({ length: 6 }, (_, i) => claimNext(world.at, run.id, i % 2 ? a : b)),
    );
    const by = (i: number) =>
      claims.filter((_, k) => k % 2 === i).map((one) => `${one!.copyId} ${one!.step}`);
    // Each goes on with what they have begun.
    expect(new Set(by(0)).size).toBe(1);
    expect(new Set(by(1)).size).toBe(1);
    expect(by(0)[0]).not.toBe(by(1)[0]);
    const mine = claims[1]!;
    expect(await beginStep(world.at, { ...mine, personId: b })).toBe(false);
    // One cutter: while one cuts, the other counts.
    expect(claims.map((one) => one!.step).filter((step) => step === 'cut').length).toBe(3);
  });

  it('is given up: what is made stays, the rest is in the store again', async () => {
    await put(60);
    const run = await started(3);
    await make(run, run.copies[0]!.id);
    await done(run.copies[1]!.id, COUNT);
    expect(await undoBuild(world.at, run.batches[0]!.id, world.kitId)).toBe(false);
    expect(await giveUp(world.at, run.id, helper)).toBe(2);
    expect(await onHand()).toBe(60 - EACH);
    expect(await free()).toBe(60 - EACH);
    expect(await findCopy(world.at, { id: run.copies[1]!.id })).toBeUndefined();
    expect((await findCopy(world.at, { id: run.copies[0]!.id }))?.readyAt).not.toBeNull();
    expect((await findMaking(world.at, run.id))!.endedAt).not.toBeNull();
    expect(await giveUp(world.at, run.id, helper)).toBe(0);
  });

  it('is finished by hand in one press, or not at all', async () => {
    await put(EACH);
    const run = await started(1);
    await put(EACH - 1);
    expect(await finishByHand(world.at, run.copies[0]!.id, helper)).toMatchObject({
      ok: false,
      material: PART,
    });
    expect(await onHand()).toBe(EACH - 1);
    await put(EACH);
    expect(await finishByHand(world.at, run.copies[0]!.id, helper)).toEqual({ ok: true });
    expect(await onHand()).toBe(0);
    expect(await finishByHand(world.at, run.copies[0]!.id, helper)).toMatchObject({ ok: false });
  });

  it('takes its steps from the pack itself', async () => {
    const kit = (await findKit(world.at, world.kitId))!;
    const plain = await stepsOfKit(world.at, kit, 'plain');
    const durable = await stepsOfKit(world.at, kit, 'durable');
    if (plain.problem !== undefined || durable.problem !== undefined) throw new Error('cannot be laid out');
    expect(plain.steps.map(({ id }) => id)).not.toContain('laminate');
    expect(durable.steps.find(({ id }) => id === 'laminate')!.quantity).toBeGreaterThan(0);
    expect(plain.steps.find(({ id }) => id === COUNT)).toMatchObject({ quantity: EACH });
  });
});
