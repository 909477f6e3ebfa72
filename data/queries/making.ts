/** Build runs: starting one, what is done of each copy, taking a step back, giving up what is left. */
import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import {
  countedBy,
  isSettled,
  standingOf,
  type MakingStep,
  type Outcome,
  type StandingStep,
  type StepEvent,
  type StepId,
} from '~/core/kits/making';
import type { KitPart } from '~/core/kits/recipe';
import { materialOf } from '~/core/materials/catalogue';
import type { Finish } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import { type SchoolHandle, transaction } from '../db';
import { buildRun, copy, copyStep, kit, loan, making, person } from '../schema';
import { tagCopies, TooFewParts, unlessTooFew } from './building';
import { record } from './counts';
import { planOf, type KitWithVariants } from './kits';
import { lockCopy } from './locks';
import { ours } from './ours';
import { freeNow, lockItems, moveAll, onHandNow, undoMovesFor, type TooFew } from './store';

export interface BatchInput {
  kit: KitWithVariants;
  /** The language of each copy's pack. */
  languages: readonly (Language | null)[];
  finish: Finish;
  parts: KitPart[];
  steps: MakingStep[];
}

/**
 * Starts a build run: its copies have tags, and what they take of the store is spoken for. `anyway` starts it with too
 * little in the store. With a `formKey` that was used before, what was started then is answered.
 */
export function startMaking(
  at: SchoolHandle,
  input: {
    batches: readonly BatchInput[];
    helpers: number;
    laminators: number;
    cutters: number;
    startedOn: string;
    startedBy: string | null;
    formKey?: string;
    anyway?: boolean;
    newTag: () => string;
    newLinkKey: () => string;
  },
): Promise<{ makingId: string } | { lacks: TooFew }> {
  const { batches, anyway, newTag, newLinkKey, ...values } = input;
  return unlessTooFew<{ makingId: string } | { lacks: TooFew }>(
    () =>
      transaction(at, async (tx) => {
        const [made] = await tx
          .insert(making)
          .values(values)
          .onConflictDoNothing({ target: [making.schoolId, making.formKey] })
          .returning({ id: making.id });
        if (!made) {
          const [before] = await tx
            .select({ id: making.id })
            .from(making)
            .where(and(ours(tx, making), eq(making.formKey, input.formKey!)));
          return { makingId: before!.id };
        }
        if (!anyway) await speakFor(tx, batches);
        for (const { kit: of, languages, finish, parts, steps } of batches) {
          const [run] = await tx
            .insert(buildRun)
            .values({
              kitId: of.id,
              builtOn: input.startedOn,
              plan: planOf(of),
              parts,
              makingId: made.id,
              finish,
              steps,
              builtBy: input.startedBy,
            })
            .returning({ id: buildRun.id });
          await tagCopies(tx, {
            kitId: of.id,
            buildRunId: run!.id,
            languages,
            readyAt: null,
            newTag,
            newLinkKey,
          });
        }
        return { makingId: made.id };
      }),
    (lacks) => ({ lacks }),
  );
}

/** The rows of the store are locked and hold enough that nobody has spoken for. Throws TooFewParts. */
async function speakFor(tx: SchoolHandle, batches: readonly BatchInput[]): Promise<void> {
  const need = new Map<string, number>();
  for (const { parts, languages } of batches)
    for (const { material, quantity } of parts)
      need.set(material, (need.get(material) ?? 0) + quantity * languages.length);
  const known = await onHandNow(tx);
  await lockItems(
    tx,
    [...need.keys()].filter((material) => typeof known[material] === 'number'),
  );
  const free = await freeNow(tx);
  for (const [material, wanted] of need) {
    const there = free[material];
    if (typeof there === 'number' && there < wanted)
      throw new TooFewParts({ ok: false, material, need: wanted, onHand: there });
  }
}

export interface MakingRow {
  id: string;
  startedOn: string;
  startedBy: string | null;
  endedAt: Date | null;
  kits: string;
  copies: number;
  ready: number;
}

/** Build runs, those that are not over first, then the newest. */
export const listMakings = (at: SchoolHandle, most = 50): Promise<MakingRow[]> =>
  at
    .select({
      id: making.id,
      startedOn: making.startedOn,
      startedBy: person.name,
      endedAt: making.endedAt,
      kits: sql<string>`(select coalesce(string_agg(distinct k.name, ', '), '') from build_run b join kit k on k.school_id = b.school_id and k.id = b.kit_id where b.school_id = ${at.schoolId} and b.making_id = "making"."id")`,
      copies: sql<number>`(select count(*)::int from build_run b join copy c on c.school_id = b.school_id and c.build_run_id = b.id where b.school_id = ${at.schoolId} and b.making_id = "making"."id")`,
      ready: sql<number>`(select count(*)::int from build_run b join copy c on c.school_id = b.school_id and c.build_run_id = b.id and c.ready_at is not null where b.school_id = ${at.schoolId} and b.making_id = "making"."id")`,
    })
    .from(making)
    .leftJoin(person, eq(person.id, making.startedBy))
    .where(ours(at, making))
    .orderBy(sql`${making.endedAt} is not null`, desc(making.createdAt))
    .limit(most);

export interface MakingCopyRow {
  id: string;
  tag: string;
  buildRunId: string;
  kitName: string;
  language: Language | null;
  printed: boolean;
  readyAt: Date | null;
  steps: StandingStep[];
}
export interface MakingBatch {
  id: string;
  kitId: string;
  kitName: string;
  finish: Finish;
  parts: KitPart[];
  steps: MakingStep[];
}
export interface MakingNow {
  id: string;
  startedOn: string;
  startedBy: string | null;
  endedAt: Date | null;
  helpers: number;
  laminators: number;
  cutters: number;
  batches: MakingBatch[];
  copies: MakingCopyRow[];
}

/** A build run with how every step of every copy stands. */
export async function findMaking(at: SchoolHandle, id: string): Promise<MakingNow | undefined> {
  const [found] = await at
    .select({ making, startedBy: person.name })
    .from(making)
    .leftJoin(person, eq(person.id, making.startedBy))
    .where(and(ours(at, making), eq(making.id, id)));
  if (!found) return undefined;
  const batches = await at
    .select({
      id: buildRun.id,
      kitId: buildRun.kitId,
      kitName: kit.name,
      finish: buildRun.finish,
      parts: buildRun.parts,
      steps: buildRun.steps,
    })
    .from(buildRun)
    .innerJoin(kit, and(eq(kit.schoolId, buildRun.schoolId), eq(kit.id, buildRun.kitId)))
    .where(and(ours(at, buildRun), eq(buildRun.makingId, id)))
    .orderBy(asc(kit.name), asc(buildRun.createdAt), asc(buildRun.id));
  const copies = batches.length
    ? await at
        .select()
        .from(copy)
        .where(
          and(
            ours(at, copy),
            isNull(copy.movedAt),
            inArray(
              copy.buildRunId,
              batches.map((one) => one.id),
            ),
          ),
        )
        .orderBy(asc(copy.createdAt), asc(copy.tag))
    : [];
  const events = await eventsOf(
    at,
    copies.map((one) => one.id),
  );
  const { startedOn, endedAt, helpers, laminators, cutters } = found.making;
  const now = Date.now();
  return {
    id,
    startedOn,
    startedBy: found.startedBy,
    endedAt,
    helpers,
    laminators,
    cutters,
    batches,
    copies: batches.flatMap((batch) =>
      copies
        .filter((one) => one.buildRunId === batch.id)
        .map((one) => ({
          id: one.id,
          tag: one.tag,
          buildRunId: batch.id,
          kitName: batch.kitName,
          language: one.language,
          printed: one.printedAt !== null,
          readyAt: one.readyAt,
          steps: standingOf(batch.steps, events.get(one.id) ?? [], { printed: one.printedAt !== null, now }),
        })),
    ),
  };
}

type Written = StepEvent & { id: string; copyId: string };

/** What was written down about copies, by copy, oldest first. */
async function eventsOf(at: SchoolHandle, copyIds: readonly string[]): Promise<Map<string, Written[]>> {
  const by = new Map<string, Written[]>();
  if (copyIds.length === 0) return by;
  const rows = await at
    .select({
      id: copyStep.id,
      copyId: copyStep.copyId,
      step: copyStep.step,
      outcome: copyStep.outcome,
      quantity: copyStep.quantity,
      personId: copyStep.personId,
      by: person.name,
      at: copyStep.at,
    })
    .from(copyStep)
    .leftJoin(person, eq(person.id, copyStep.personId))
    .where(and(ours(at, copyStep), inArray(copyStep.copyId, [...copyIds])))
    .orderBy(asc(copyStep.serial));
  for (const row of rows) by.set(row.copyId, [...(by.get(row.copyId) ?? []), row]);
  return by;
}

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

/** Writes down how a step went. What was counted into a bag leaves the store with it; a check makes the copy lendable. */
export async function doStep(
  at: SchoolHandle,
  input: StepInput & { outcome: Exclude<Outcome, 'begun' | 'undone'>; quantity?: number },
): Promise<Stepped> {
  try {
    return await transaction(at, (tx) => doStepIn(tx, input));
  } catch (error) {
    if (!(error instanceof StoreLacks)) throw error;
    const { material, onHand, need } = error.lacks;
    const { plural } = materialOf(material);
    return no(
      `The ledger of the store has ${onHand} ${plural} left, and this takes ${need}. Count the ${plural} in the store, or say here that there were too few. Nothing was written down.`,
      material,
    );
  }
}

async function doStepIn(
  tx: SchoolHandle,
  {
    copyId,
    step,
    outcome,
    quantity,
    personId,
  }: StepInput & { outcome: Exclude<Outcome, 'begun' | 'undone'>; quantity?: number },
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
export async function finishByHand(
  at: SchoolHandle,
  copyId: string,
  personId: string | null,
): Promise<Stepped> {
  try {
    return await transaction(at, async (tx) => {
      await tx
        .update(copy)
        .set({ printedAt: sql`coalesce(${copy.printedAt}, now())` })
        .where(and(ours(tx, copy), eq(copy.id, copyId)));
      const half = await lockHalfMade(tx, copyId);
      if (!half || half.readyAt) return no('This copy is made and checked already.');
      for (const { id, standing } of half.steps) {
        if (standing === 'done' || standing === 'short') continue;
        const done = await doStepIn(tx, { copyId, step: id as StepId, outcome: 'done', personId });
        if (!done.ok) throw new Error(done.why);
      }
      return { ok: true };
    });
  } catch (error) {
    if (!(error instanceof StoreLacks)) throw error;
    const { material, onHand, need } = error.lacks;
    const { plural } = materialOf(material);
    return no(
      `The ledger of the store has ${onHand} ${plural} left, and this copy takes ${need}. Count the ${plural} in the store first. Nothing was changed.`,
      material,
    );
  }
}

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
