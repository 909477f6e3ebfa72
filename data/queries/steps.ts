/** What is done of the copies of a build run, step by step: begun, done, taken back, finished by hand, given up. */
import { dayIn } from '~/core/lending/due';
import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { countedBy, isSettled, standingOf, type Outcome, type StandingStep } from '~/core/kits/making';
import { type SchoolHandle, transaction } from '../db';
import { buildRun, copy, copyStep, loan, making } from '../schema';
import { record } from './counts';
import { lockCopy } from './locks';
import { eventsOf, type Written } from './making';
import { catalogueNow } from './materials';
import { fillHolds } from './holds';
import { ours } from './ours';
import { moveAll, onHandNow, undoMovesFor, type TooFew } from './store';

interface HalfMade {
  tag: string;
  makingId: string;
  readyAt: Date | null;
  steps: StandingStep[];
  events: Written[];
}

/** A copy of a build run, locked, with how its steps stand. */
async function lockHalfMade(tx: SchoolHandle, copyId: string): Promise<HalfMade | undefined> {
  if (!(await lockCopy(tx, copyId))) return undefined;
  const [found] = await tx
    .select({ copy, steps: buildRun.steps, makingId: buildRun.makingId })
    .from(copy)
    .innerJoin(buildRun, and(eq(buildRun.schoolId, copy.schoolId), eq(buildRun.id, copy.buildRunId)))
    .where(and(ours(tx, copy), eq(copy.id, copyId)));
  if (!found?.makingId) return undefined;
  const events = (await eventsOf(tx, [copyId])).get(copyId) ?? [];
  const { tag, readyAt, printedAt } = found.copy;
  return {
    tag,
    makingId: found.makingId,
    readyAt,
    events,
    steps: standingOf(found.steps, events, { printed: printedAt !== null, now: Date.now() }),
  };
}

export type Stepped = { ok: true } | { ok: false; why: string; material?: string };
const no = (why: string, material?: string): Stepped => ({
  ok: false,
  why,
  ...(material ? { material } : {}),
});

interface StepInput {
  copyId: string;
  step: string;
  personId: string | null;
}

/** Writes down that somebody begins a step. False when another has begun or settled it. */
export const beginStep = (at: SchoolHandle, { copyId, step, personId }: StepInput): Promise<boolean> =>
  transaction(at, async (tx) => {
    const half = await lockHalfMade(tx, copyId);
    const now = half?.steps.find(({ id }) => id === step);
    if (!half || !now || half.readyAt) return false;
    if (now.standing === 'begun' && now.personId === personId) return true;
    if (now.standing !== 'open') return false;
    await tx.insert(copyStep).values({ copyId, step, outcome: 'begun', personId });
    return true;
  });

/** The store has not got what a step takes: its transaction is given up. */
class StoreLacks extends Error {
  constructor(readonly lacks: TooFew) {
    super('the store has not got it');
  }
}

/** What is said when the ledger of the store has not got what a step takes. */
async function unlessStoreLacks(
  at: SchoolHandle,
  what: string,
  work: () => Promise<Stepped>,
): Promise<Stepped> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof StoreLacks)) throw error;
    const { material, onHand, need } = error.lacks;
    const { plural } = (await catalogueNow(at)).of(material);
    return no(
      `The ledger of the store has ${onHand} ${plural} left, and ${what} takes ${need}. Count the ${plural} in the store, or say at that step that there were too few. Nothing was changed.`,
      material,
    );
  }
}

/** Writes down how a step went. What was counted into a bag leaves the store with it; a check makes the copy lendable. */
export const doStep = (
  at: SchoolHandle,
  input: StepInput & { outcome: Exclude<Outcome, 'begun' | 'undone'>; quantity?: number | undefined },
): Promise<Stepped> => unlessStoreLacks(at, 'this', () => transaction(at, (tx) => doStepIn(tx, input)));

async function doStepIn(
  tx: SchoolHandle,
  {
    copyId,
    step,
    outcome,
    quantity,
    personId,
  }: StepInput & { outcome: Exclude<Outcome, 'begun' | 'undone'>; quantity?: number | undefined },
): Promise<Stepped> {
  const half = await lockHalfMade(tx, copyId);
  const now = half?.steps.find(({ id }) => id === step);
  if (!half || !now || step === 'print') return no('This step is not there any more.');
  if (half.readyAt) return no('This copy is made and checked already.');
  if (isSettled(now)) return no(`${now.by ?? 'Somebody'} has done this already.`);
  if (now.standing === 'waits') return no('Something that comes before it is not done yet.');
  const material = countedBy(step);
  if (outcome === 'tooFew' && (!material || quantity === undefined || quantity >= now.quantity))
    return no('Say how many there were: fewer than are wanted.');
  const [written] = await tx
    .insert(copyStep)
    .values({ copyId, step, outcome, quantity: quantity ?? null, personId })
    .returning({ id: copyStep.id });
  if (material && outcome !== 'wrongLabel') {
    const known = (await onHandNow(tx))[material];
    const taken = outcome === 'done' ? now.quantity : (quantity ?? 1);
    if (typeof known === 'number' && taken > 0) {
      const moved = await moveAll(
        tx,
        [
          outcome === 'broken'
            ? { material, kind: 'worn', quantity: -taken, note: 'broken while a bag was filled' }
            : { material, kind: 'taken', quantity: -taken, forId: written!.id },
        ],
        personId,
      );
      if (!moved.ok) throw new StoreLacks(moved);
    }
  }
  if (step === 'check' && outcome === 'done') await finish(tx, copyId, half, personId);
  return { ok: true };
}

/** The copy can be lent. What was counted short is noted, so that it is judged and mended like what came home short. */
async function finish(
  tx: SchoolHandle,
  copyId: string,
  { steps, makingId }: HalfMade,
  personId: string | null,
): Promise<void> {
  await tx
    .update(copy)
    .set({ readyAt: new Date() })
    .where(and(ours(tx, copy), eq(copy.id, copyId)));
  await record(
    tx,
    copyId,
    'built',
    steps.flatMap(({ id, standing, quantity, have }) => {
      const material = countedBy(id);
      return material && standing === 'short' ? [{ material, expected: quantity, counted: have ?? 0 }] : [];
    }),
    personId,
    null,
  );
  await fillHolds(tx, dayIn(tx.timeZone, new Date()));
  await endWhenDone(tx, makingId);
}

async function endWhenDone(tx: SchoolHandle, makingId: string): Promise<void> {
  await tx
    .update(making)
    .set({ endedAt: new Date() })
    .where(
      and(
        ours(tx, making),
        eq(making.id, makingId),
        sql`not exists (select from build_run b join copy c on c.school_id = b.school_id and c.build_run_id = b.id where b.school_id = ${tx.schoolId} and b.making_id = ${makingId} and c.ready_at is null and c.moved_at is null)`,
      ),
    );
}

/** Takes back what was written last about a step: the parts are in the store again, and it is open. */
export const undoStep = (at: SchoolHandle, { copyId, step, personId }: StepInput): Promise<Stepped> =>
  transaction(at, async (tx) => {
    const half = await lockHalfMade(tx, copyId);
    const last = half?.events.findLast((one) => one.step === step && one.outcome !== 'begun');
    if (!half || !last || last.outcome === 'undone') return no('There is nothing to take back here.');
    if (half.readyAt && step !== 'check')
      return no('This copy is made and checked. Take its check back first.');
    if (half.readyAt) {
      if (await tx.$count(loan, and(ours(tx, loan), eq(loan.copyId, copyId))))
        return no('This copy was lent since, so its check stays.');
      await tx
        .update(copy)
        .set({ readyAt: null })
        .where(and(ours(tx, copy), eq(copy.id, copyId)));
      const short = half.steps.filter(({ standing }) => standing === 'short');
      await record(
        tx,
        copyId,
        'undone',
        short.flatMap(({ id, quantity }) => {
          const material = countedBy(id);
          return material ? [{ material, expected: quantity, counted: quantity }] : [];
        }),
        personId,
        null,
      );
      await tx
        .update(making)
        .set({ endedAt: null })
        .where(and(ours(tx, making), eq(making.id, half.makingId)));
    }
    await tx.insert(copyStep).values({ copyId, step, outcome: 'undone', personId });
    await undoMovesFor(tx, last.id, 'taken', personId);
    return { ok: true };
  });

/** All that is left of a copy was done by hand, without a helper's screen: it is printed, counted and checked. */
export const finishByHand = (at: SchoolHandle, copyId: string, personId: string | null): Promise<Stepped> =>
  unlessStoreLacks(at, 'this copy', () =>
    transaction(at, async (tx) => {
      await tx
        .update(copy)
        .set({ printedAt: sql`coalesce(${copy.printedAt}, now())` })
        .where(and(ours(tx, copy), eq(copy.id, copyId)));
      const half = await lockHalfMade(tx, copyId);
      if (!half || half.readyAt) return no('This copy is made and checked already.');
      for (const step of half.steps) {
        if (isSettled(step)) continue;
        const done = await doStepIn(tx, { copyId, step: step.id, outcome: 'done', personId });
        if (!done.ok) throw new Error(done.why);
      }
      return { ok: true };
    }),
  );

/**
 * Gives up the copies of a build run that are not made: they and their tags are gone, and what was counted into them is
 * in the store again. Those that are made stay. Answers how many were given up.
 */
export const giveUp = (at: SchoolHandle, makingId: string, personId: string | null): Promise<number> =>
  transaction(at, async (tx) => {
    const left = await tx
      .select({ id: copy.id, buildRunId: copy.buildRunId })
      .from(copy)
      .innerJoin(buildRun, and(eq(buildRun.schoolId, copy.schoolId), eq(buildRun.id, copy.buildRunId)))
      .where(and(ours(tx, copy), eq(buildRun.makingId, makingId), isNull(copy.readyAt), isNull(copy.movedAt)))
      .orderBy(asc(copy.id))
      .for('update', { of: copy });
    const ids = left.map((one) => one.id);
    const events = await eventsOf(tx, ids);
    for (const written of [...events.values()].flat())
      if (countedBy(written.step)) await undoMovesFor(tx, written.id, 'taken', personId);
    if (ids.length) await tx.delete(copy).where(and(ours(tx, copy), inArray(copy.id, ids)));
    await tx
      .update(making)
      .set({ endedAt: new Date() })
      .where(and(ours(tx, making), eq(making.id, makingId), isNull(making.endedAt)));
    return ids.length;
  });
