/** Copies that were built by an earlier version of their kit, and bringing them up to date. */
import { and, asc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { KitPart, KitPlan } from '~/core/kits/recipe';
import { isPrinted } from '~/core/materials/school';
import { changeBetween } from '~/core/kits/versions';
import { type SchoolHandle, transaction } from '../db';
import { buildRun, copy, loan } from '../schema';
import { TooFewParts, unlessTooFew } from './building';
import { latestCounts, record } from './counts';
import { planOf, type KitWithVariants } from './kits';
import { ours } from './ours';
import { soundPlan } from './sound';
import { freeNow, lockItems, moveAll, type Move, type TooFew } from './store';

export interface BuiltBatch {
  id: string;
  builtOn: string;
  plan: KitPlan;
  parts: KitPart[];
  /** Tags of its copies at school, and how many are with families. */
  home: string[];
  out: number;
}

/** The batches of a kit with copies that are made, and where these are. */
export async function builtBatches(at: SchoolHandle, kitId: string): Promise<BuiltBatch[]> {
  const rows = await at
    .select({
      id: buildRun.id,
      builtOn: buildRun.builtOn,
      plan: buildRun.plan,
      parts: buildRun.parts,
      home: sql<
        string[]
      >`coalesce(array_agg(${copy.tag} order by ${copy.tag}) filter (where ${loan.id} is null), '{}')`,
      out: sql<number>`count(${loan.id})::int`,
    })
    .from(buildRun)
    .innerJoin(copy, and(eq(copy.schoolId, buildRun.schoolId), eq(copy.buildRunId, buildRun.id)))
    .leftJoin(loan, and(eq(loan.schoolId, copy.schoolId), eq(loan.copyId, copy.id), isNull(loan.closedAs)))
    .where(and(ours(at, buildRun), eq(buildRun.kitId, kitId), isNull(copy.movedAt), isNotNull(copy.readyAt)))
    .groupBy(buildRun.schoolId, buildRun.id)
    .orderBy(asc(buildRun.builtOn), asc(buildRun.createdAt));
  return rows.map((row) => ({ ...row, plan: soundPlan(row.plan) }));
}

/**
 * Brings the copies of a batch that are at school up to date with their kit: what they get more is taken from the store
 * and what comes out is put back there; what is printed is to be printed anew. Answers their tags, none where nothing
 * was to be done; or what the store lacks, and nothing is changed.
 */
export function bringUpToDate(
  at: SchoolHandle,
  { batchId, kit, parts }: { batchId: string; kit: KitWithVariants; parts: KitPart[] },
  personId: string,
): Promise<{ tags: string[]; lacks?: TooFew }> {
  return unlessTooFew<{ tags: string[]; lacks?: TooFew }>(
    () =>
      transaction(at, async (tx) => {
        const [batch] = await tx
          .select()
          .from(buildRun)
          .where(and(ours(tx, buildRun), eq(buildRun.id, batchId), eq(buildRun.kitId, kit.id)));
        if (!batch) return { tags: [] };
        const plan = planOf(kit);
        const change = changeBetween({ plan: soundPlan(batch.plan), parts: batch.parts }, { plan, parts });
        if (!change) return { tags: [] };
        const copies = await tx
          .select()
          .from(copy)
          .where(
            and(
              ours(tx, copy),
              eq(copy.buildRunId, batchId),
              isNull(copy.movedAt),
              isNotNull(copy.readyAt),
              sql`not exists (select from ${loan} l where l.school_id = ${tx.schoolId} and l.copy_id = ${copy.id} and l.closed_as is null)`,
            ),
          )
          .orderBy(asc(copy.id))
          .for('update');
        if (copies.length === 0) return { tags: [] };
        const { id: _, createdAt: __, ...as } = batch;
        const [fresh] = await tx
          .insert(buildRun)
          .values({ ...as, plan, parts, makingId: null, steps: [], finish: kit.finish, formKey: null })
          .returning({ id: buildRun.id });
        await moveParts(tx, fresh!.id, change.parts, copies.length, personId);
        for (const { id } of copies) {
          const held = await latestCounts(tx, id);
          const counts = change.parts
            .filter(({ material }) => !isPrinted(material))
            .map(({ material, more }) => {
              const now = parts.find((part) => part.material === material)?.quantity ?? 0;
              const had = held.find((one) => one.material === material);
              const counted = Math.max(0, (had?.counted ?? now - more) + more);
              return { material, expected: now, counted, lacks: now > 0 ? (had?.lacks ?? []) : [] };
            });
          await record(tx, id, 'built', counts, personId, null);
          await tx
            .update(copy)
            .set({ buildRunId: fresh!.id, ...(change.paper ? { printedAt: null } : {}) })
            .where(and(ours(tx, copy), eq(copy.id, id)));
        }
        return { tags: copies.map(({ tag }) => tag) };
      }),
    (lacks) => ({ tags: [], lacks }),
  );
}

/** Takes what copies get more from the store, and puts back what comes out of them, as far as it is counted there. */
async function moveParts(
  tx: SchoolHandle,
  forId: string,
  changes: readonly { material: string; more: number }[],
  copies: number,
  personId: string,
): Promise<void> {
  const known = await freeNow(tx);
  const counted = changes.filter(({ material }) => typeof known[material] === 'number');
  await lockItems(
    tx,
    counted.map(({ material }) => material),
  );
  const free = await freeNow(tx);
  const moves = counted.map(({ material, more }): Move => {
    const quantity = Math.ceil(Math.abs(more)) * copies;
    if (more > 0 && quantity > (free[material] ?? 0))
      throw new TooFewParts({ ok: false, material, need: quantity, onHand: free[material] ?? 0 });
    return more > 0
      ? { material, kind: 'taken', quantity: -quantity, forId }
      : { material, kind: 'putBack', quantity, forId };
  });
  const moved = await moveAll(tx, moves, personId);
  if (!moved.ok) throw new TooFewParts(moved);
}
