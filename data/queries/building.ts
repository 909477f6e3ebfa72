/** Building: copies that are made elsewhere get their tags, and what they hold is taken from the store. */
import { and, asc, eq, inArray, isNotNull } from 'drizzle-orm';
import { recipeOf, type KitPart } from '~/core/kits/recipe';
import type { Language } from '~/core/words/languages';
import { type SchoolHandle, transaction } from '../db';
import { buildRun, copy, loan } from '../schema';
import { planOf, type KitWithVariants } from './kits';
import { catalogueNow } from './materials';
import { ours } from './ours';
import { freeNow, lockItems, moveAll, undoMovesFor, type Move, type TooFew } from './store';

/**
 * Makes `count` copies of a kit that are made elsewhere: they can be lent at once. `newTag` and `newLinkKey` give
 * candidates; one that is taken is tried again. With a `formKey` that was used before, what was built then is answered and nothing is built.
 */
export async function buildCopies(
  at: SchoolHandle,
  input: {
    kit: KitWithVariants;
    count: number;
    builtOn: string;
    builtBy: string | null;
    formKey?: string;
    /** What one copy holds, where it was reckoned already. */
    parts?: KitPart[];
    /** Take the parts from the store: all of them, or what is there of them. */
    take?: 'all' | 'whatIsThere';
    newTag: () => string;
    newLinkKey: () => string;
  },
): Promise<{ runId: string; tags: string[]; lacks?: TooFew }> {
  const plan = planOf(input.kit);
  const parts = input.parts ?? recipeOf(plan, await catalogueNow(at)).parts;
  return unlessTooFew<{ runId: string; tags: string[]; lacks?: TooFew }>(
    () =>
      transaction(at, async (tx) => {
        const [run] = await tx
          .insert(buildRun)
          .values({
            kitId: input.kit.id,
            builtOn: input.builtOn,
            plan,
            finish: input.kit.finish,
            parts,
            builtBy: input.builtBy,
            formKey: input.formKey,
          })
          .onConflictDoNothing({ target: [buildRun.schoolId, buildRun.formKey] })
          .returning({ id: buildRun.id });
        if (!run) {
          const built = await tx
            .select({ runId: buildRun.id, tag: copy.tag })
            .from(buildRun)
            .innerJoin(copy, eq(copy.buildRunId, buildRun.id))
            .where(and(ours(tx, buildRun), eq(buildRun.formKey, input.formKey!)));
          return { runId: built[0]?.runId ?? '', tags: built.map((one) => one.tag) };
        }
        const tags = await tagCopies(tx, {
          kitId: input.kit.id,
          buildRunId: run.id,
          languages: Array.from({ length: input.count }, () => null),
          readyAt: new Date(),
          ...input,
        });
        if (input.take) await takeFromStore(tx, run.id, parts, input.count, input.take, input.builtBy);
        return { runId: run.id, tags };
      }),
    (lacks) => ({ runId: '', tags: [], lacks }),
  );
}

/** A copy for each of these languages, with a tag and a link that nobody has; a candidate that is taken is tried again. */
export async function tagCopies(
  tx: SchoolHandle,
  {
    kitId,
    buildRunId,
    languages,
    readyAt,
    newTag,
    newLinkKey,
  }: {
    kitId: string;
    buildRunId: string;
    languages: readonly (Language | null)[];
    readyAt: Date | null;
    newTag: () => string;
    newLinkKey: () => string;
  },
): Promise<string[]> {
  const tags: string[] = [];
  for (let tries = 0; tags.length < languages.length; tries++) {
    if (tries > languages.length * 50 + 200)
      throw new Error('No free tag was found: nearly all tags are in use.');
    const language = languages[tags.length]!;
    const made = await tx
      .insert(copy)
      .values({ kitId, buildRunId, tag: newTag(), linkKey: newLinkKey(), language, readyAt })
      .onConflictDoNothing()
      .returning({ tag: copy.tag });
    tags.push(...made.map((one) => one.tag));
  }
  return tags;
}

/** The store has too few of a part for a build run: the transaction is given up, and nothing is built. */
export class TooFewParts extends Error {
  constructor(readonly lacks: TooFew) {
    super('the store has too few parts');
  }
}
/** What `build` answers, or what is said when the store has too few. */
export async function unlessTooFew<T>(build: () => Promise<T>, said: (lacks: TooFew) => T): Promise<T> {
  try {
    return await build();
  } catch (error) {
    if (error instanceof TooFewParts) return said(error.lacks);
    throw error;
  }
}

/** Takes the parts of copies out of the store, as far as somebody has counted them there. */
async function takeFromStore(
  tx: SchoolHandle,
  runId: string,
  parts: readonly KitPart[],
  copies: number,
  take: 'all' | 'whatIsThere',
  personId: string | null,
): Promise<void> {
  const known = await freeNow(tx);
  const counted = parts.filter(({ material }) => typeof known[material] === 'number');
  // Locked first: what is there is what is taken, whoever else takes at the same moment.
  await lockItems(
    tx,
    counted.map(({ material }) => material),
  );
  const free = await freeNow(tx);
  const moves = counted.flatMap(({ material, quantity }): Move[] => {
    const there = Math.max(0, free[material] ?? 0);
    const need = quantity * copies;
    if (take === 'all' && need > there) throw new TooFewParts({ ok: false, material, need, onHand: there });
    const taken = Math.min(need, there);
    return taken > 0 ? [{ material, kind: 'taken', quantity: -taken, forId: runId }] : [];
  });
  const moved = await moveAll(tx, moves, personId);
  if (!moved.ok) throw new TooFewParts(moved);
}

/**
 * Takes back a build run of this kit whose copies nobody has printed or lent yet. Answers false, and changes nothing,
 * when one of them was, or when the run is of another kit.
 */
export function undoBuild(
  at: SchoolHandle,
  runId: string,
  kitId: string,
  personId: string | null = null,
): Promise<boolean> {
  return transaction(at, async (tx) => {
    const copies = await tx
      .select()
      .from(copy)
      .where(and(ours(tx, copy), eq(copy.buildRunId, runId), eq(copy.kitId, kitId)))
      .orderBy(asc(copy.id))
      .for('update');
    if (copies.length === 0 || copies.some((one) => one.printedAt !== null)) return false;
    // What is made step by step is given up where that is.
    if (
      await tx.$count(buildRun, and(ours(tx, buildRun), eq(buildRun.id, runId), isNotNull(buildRun.makingId)))
    )
      return false;
    const ids = copies.map((one) => one.id);
    if (await tx.$count(loan, and(ours(tx, loan), inArray(loan.copyId, ids)))) return false;
    await tx.delete(copy).where(and(ours(tx, copy), inArray(copy.id, ids)));
    await tx.delete(buildRun).where(and(ours(tx, buildRun), eq(buildRun.id, runId)));
    await undoMovesFor(tx, runId, 'taken', personId);
    return true;
  });
}
