/** Copies that move from one school of a district to another. */
import { and, desc, eq, inArray, isNotNull, isNull } from 'drizzle-orm';
import { same } from '~/core/check/merge';
import { alsoAt, transaction, type SchoolHandle } from '../db';
import { buildRun, copy, loan, partCount, school } from '../schema';
import { log } from './changes';
import { record } from './counts';
import { addKinds, ownKinds } from './materials';
import { letGo } from './holds';
import { ours } from './ours';
import { breakPromise } from './promises';
import { boundTo, type School } from './schools';
import { kitAlsoAt } from './shareable';

export interface Moved {
  tags: string[];
  /** Copies that stay, because they are out, gone or still being made. */
  staying: string[];
}

/**
 * Moves copies that are at school to another school of the district: what happened to them here stays here, and they
 * begin there with their tag, their link and what they hold. A copy that was there before goes on where it left off.
 * Kits that are not there yet come along.
 */
export function moveCopies(
  at: SchoolHandle,
  to: School,
  ids: readonly string[],
  personId: string,
): Promise<Moved> {
  return transaction(at, async (tx) => {
    const there = alsoAt(tx, boundTo(to));
    const found = await tx
      .select()
      .from(copy)
      .where(and(ours(tx, copy), inArray(copy.id, [...ids]), isNull(copy.movedAt)))
      .orderBy(copy.id)
      .for('update');
    const out = await tx
      .select({ copyId: loan.copyId })
      .from(loan)
      .where(
        and(
          ours(tx, loan),
          inArray(
            loan.copyId,
            found.map((one) => one.id),
          ),
          isNull(loan.closedAs),
        ),
      );
    const stays = ({ id, readyAt }: { id: string; readyAt: Date | null }): boolean =>
      readyAt === null || out.some((one) => one.copyId === id);
    const going = found.filter((one) => !stays(one));
    const [from] = await tx.select({ name: school.name }).from(school).where(eq(school.id, tx.schoolId));
    const runs = new Map<string, { runId: string; kitId: string }>();
    for (const one of going) {
      const known = runs.get(one.buildRunId) ?? (await runThere(tx, there, one, from!.name, personId));
      runs.set(one.buildRunId, known);
      const held = await tx
        .selectDistinctOn([partCount.material], {
          material: partCount.material,
          expected: partCount.expected,
          counted: partCount.counted,
          lacks: partCount.lacks,
        })
        .from(partCount)
        .where(and(ours(tx, partCount), eq(partCount.copyId, one.id)))
        .orderBy(partCount.material, desc(partCount.serial));
      await tx
        .update(copy)
        .set({ movedAt: new Date(), movedTo: to.id })
        .where(and(ours(tx, copy), eq(copy.id, one.id)));
      await letGo(tx, one.id);
      await breakPromise(tx, one.id);
      const id = await arrive(there, one, known);
      await record(there, id, 'moved', held, personId, null);
      const entry = { thing: 'copy' as const, kind: 'did' as const, personId };
      await log(tx, { ...entry, thingId: one.id, after: { moved: `to ${to.name}` } });
      await log(there, { ...entry, thingId: id, after: { moved: `from ${from!.name}` } });
    }
    return {
      tags: going.map((one) => one.tag),
      staying: found.filter(stays).map((one) => one.tag),
    };
  });
}

/** The row of a copy in the school it comes to: the one it had there before, or a new one. */
async function arrive(
  there: SchoolHandle,
  { tag, linkKey, printedAt, readyAt, language }: typeof copy.$inferSelect,
  { runId, kitId }: { runId: string; kitId: string },
): Promise<string> {
  const [back] = await there
    .update(copy)
    .set({ movedAt: null, movedTo: null, printedAt, readyAt, language })
    .where(and(ours(there, copy), eq(copy.tag, tag), eq(copy.linkKey, linkKey), isNotNull(copy.movedAt)))
    .returning({ id: copy.id });
  if (back) return back.id;
  const [made] = await there
    .insert(copy)
    .values({ kitId, buildRunId: runId, tag, linkKey, printedAt, readyAt, language })
    .returning({ id: copy.id });
  return made!.id;
}

/** The build run of a copy in the school it comes to: one that was brought there before, or a new one. */
async function runThere(
  tx: SchoolHandle,
  there: SchoolHandle,
  one: typeof copy.$inferSelect,
  fromSchool: string,
  personId: string,
): Promise<{ runId: string; kitId: string }> {
  const [built] = await tx
    .select({
      builtOn: buildRun.builtOn,
      plan: buildRun.plan,
      parts: buildRun.parts,
      finish: buildRun.finish,
    })
    .from(buildRun)
    .where(and(ours(tx, buildRun), eq(buildRun.id, one.buildRunId)));
  const kitId = await kitAlsoAt(tx, there, one.kitId, fromSchool, personId);
  const alike = await there
    .select({ id: buildRun.id, plan: buildRun.plan, parts: buildRun.parts })
    .from(buildRun)
    .where(
      and(
        ours(there, buildRun),
        eq(buildRun.kitId, kitId),
        eq(buildRun.builtOn, built!.builtOn),
        eq(buildRun.finish, built!.finish),
      ),
    );
  await addKinds(
    there,
    await ownKinds(
      tx,
      built!.parts.map(({ material }) => material),
    ),
  );
  const before = alike.find(({ plan, parts }) => same([plan, parts], [built!.plan, built!.parts]));
  if (before) return { runId: before.id, kitId };
  const [made] = await there
    .insert(buildRun)
    .values({ ...built!, kitId, builtBy: personId })
    .returning({ id: buildRun.id });
  return { runId: made!.id, kitId };
}
