/** Build runs: starting one, and how it stands. */
import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { standingOf, type MakingStep, type StandingStep, type StepEvent } from '~/core/kits/making';
import type { KitPart } from '~/core/kits/recipe';
import type { Finish } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import { type SchoolHandle, transaction } from '../db';
import { buildRun, copy, copyStep, kit, making, person } from '../schema';
import { tagCopies, TooFewParts, unlessTooFew } from './building';
import { planOf, type KitWithVariants } from './kits';
import { ours } from './ours';
import { freeNow, lockItems, onHandNow, type TooFew } from './store';

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

export type Written = StepEvent & { id: string; copyId: string };

/** What was written down about copies, by copy, oldest first. */
export async function eventsOf(
  at: SchoolHandle,
  copyIds: readonly string[],
): Promise<Map<string, Written[]>> {
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
