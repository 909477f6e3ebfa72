import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { recipeOf, type KitPart, type KitPlan } from '~/core/kits/recipe';
import type { AgeBand, Params } from '~/core/games/kit/types';
import type { OwnGame } from '~/core/own/definition';
import type { Assurance } from '~/core/kits/assurance';
import type { Paper } from '~/core/paper/sheet';
import { type SchoolHandle, transaction, unlessTaken } from '../db';
import { buildRun, copy, family, kit, kitVariant, loan, variant } from '../schema';
import { ours } from './ours';
import { lockItems, moveAll, onHandNow, undoMovesFor, type Move, type TooFew } from './store';
import { log, saveOver, type Saving } from './changes';
import { followed, passOn } from './sharing';
import { sound, soundPlan } from './sound';

export type Variant = typeof variant.$inferSelect;
export type Kit = typeof kit.$inferSelect;

export const listVariants = async (at: SchoolHandle): Promise<Variant[]> =>
  (
    await at
      .select()
      .from(variant)
      .where(and(ours(at, variant), isNull(variant.archivedAt)))
      .orderBy(asc(variant.name))
  ).map(sound);

export async function findVariant(at: SchoolHandle, id: string): Promise<Variant | undefined> {
  const [found] = await at
    .select()
    .from(variant)
    .where(and(ours(at, variant), eq(variant.id, id)));
  return found && sound(found);
}

/** Saves a variant. Answers undefined when the name is taken. */
export async function createVariant(
  at: SchoolHandle,
  input: {
    gameId: string;
    name: string;
    params: Params;
    own?: OwnGame;
    ageBand: AgeBand;
    createdBy: string;
  },
): Promise<Variant | undefined> {
  return unlessTaken(
    'variant_name_is_taken',
    async () => (await at.insert(variant).values(input).returning())[0],
  );
}

/** Puts a variant away. Answers the kits that hold it, and changes nothing, when there are any. */
export function archiveVariant(
  at: SchoolHandle,
  id: string,
  personId: string | null = null,
): Promise<string[]> {
  return transaction(at, async (tx) => {
    await tx
      .select()
      .from(variant)
      .where(and(ours(tx, variant), eq(variant.id, id)))
      .for('update');
    const kits = await tx
      .select({ name: kit.name })
      .from(kitVariant)
      .innerJoin(kit, eq(kit.id, kitVariant.kitId))
      .where(and(ours(tx, kitVariant), eq(kitVariant.variantId, id)));
    if (kits.length === 0) {
      await tx
        .update(variant)
        .set({ archivedAt: new Date() })
        .where(and(ours(tx, variant), eq(variant.id, id)));
      await log(tx, { thing: 'variant', thingId: id, kind: 'removed', personId });
    }
    return kits.map((one) => one.name);
  });
}

export interface KitRow extends Kit {
  variantNames: string[];
  copies: number;
  out: number;
}

/** All kits with the names of their variants and how many copies there are and are out. */
export async function listKits(at: SchoolHandle): Promise<KitRow[]> {
  const rows = await at
    .select({
      kit,
      variantNames: sql<
        string[]
      >`coalesce((select array_agg(v.name order by kv.position) from kit_variant kv join variant v on v.school_id = kv.school_id and v.id = kv.variant_id where kv.school_id = "kit"."school_id" and kv.kit_id = "kit"."id"), '{}')`,
      copies: sql<number>`(select count(*)::int from copy c where c.school_id = "kit"."school_id" and c.kit_id = "kit"."id" and c.moved_at is null)`,
      out: sql<number>`(select count(*)::int from copy c join loan l on l.school_id = c.school_id and l.copy_id = c.id and l.closed_as is null where c.school_id = "kit"."school_id" and c.kit_id = "kit"."id")`,
    })
    .from(kit)
    .where(ours(at, kit))
    .orderBy(asc(kit.name));
  return rows.map(({ kit: one, ...rest }) => ({ ...one, ...rest }));
}

export interface KitWithVariants extends Kit {
  variants: Variant[];
}

export async function findKit(at: SchoolHandle, id: string): Promise<KitWithVariants | undefined> {
  const [found] = await at
    .select()
    .from(kit)
    .where(and(ours(at, kit), eq(kit.id, id)));
  if (!found) return undefined;
  const rows = await at
    .select({ variant })
    .from(kitVariant)
    .innerJoin(variant, eq(variant.id, kitVariant.variantId))
    .where(and(ours(at, kitVariant), eq(kitVariant.kitId, id)))
    .orderBy(asc(kitVariant.position));
  return { ...found, variants: rows.map((row) => sound(row.variant)) };
}

/** The plan that the recipe of this kit is reckoned from. */
export const planOf = ({ ageBand, players, assurance, variants }: KitWithVariants): KitPlan => ({
  ageBand,
  players,
  assurance,
  variants: variants.map(({ gameId, name, params, own }) => ({
    gameId,
    name,
    params,
    ...(own ? { own } : {}),
  })),
});

export interface KitInput {
  name: string;
  ageBand: AgeBand;
  players: number;
  paper: Paper;
  assurance: Assurance;
  variantIds: string[];
}

/** A variant that was to go into a kit is not there any more. */
export class VariantGone extends Error {}

/** Makes a kit. Answers its id, or undefined when the name is taken. Throws VariantGone. */
export function saveKit(
  at: SchoolHandle,
  { variantIds, ...input }: KitInput,
  personId: string | null = null,
): Promise<string | undefined> {
  return unlessTaken('kit_name_is_taken', () =>
    transaction(at, async (tx) => {
      await lockVariants(tx, variantIds);
      const [saved] = await tx.insert(kit).values(input).returning({ id: kit.id });
      await putIn(tx, saved!.id, variantIds);
      const after = { ...input, variantIds };
      await log(tx, { thing: 'kit', thingId: saved!.id, kind: 'added', after, personId });
      return saved!.id;
    }),
  );
}

/**
 * Changes a kit whose form was opened on a version of it. Answers undefined when the name is taken, `gone` when there
 * is no such kit, `follows` when it is changed by the school it comes from. Throws VariantGone.
 */
export function changeKit(
  at: SchoolHandle,
  id: string,
  mine: KitInput,
  openedOn: number,
  personId: string | null = null,
): Promise<Saving<KitInput> | 'gone' | 'follows' | undefined> {
  return unlessTaken('kit_name_is_taken', () =>
    transaction(at, async (tx) => {
      await lockVariants(tx, mine.variantIds);
      const [now] = await tx
        .select()
        .from(kit)
        .where(and(ours(tx, kit), eq(kit.id, id)))
        .for('update');
      if (!now) return 'gone' as const;
      if (await followed(tx, 'kit', id)) return 'follows' as const;
      const { name, ageBand, players, paper, assurance, version } = now;
      const inside = await tx
        .select({ id: kitVariant.variantId })
        .from(kitVariant)
        .where(and(ours(tx, kitVariant), eq(kitVariant.kitId, id)))
        .orderBy(asc(kitVariant.position));
      const variantIds = inside.map((one) => one.id);
      return saveOver(tx, {
        thing: 'kit',
        thingId: id,
        openedOn,
        mine,
        now: { version, fields: { name, ageBand, players, paper, assurance, variantIds } },
        sets: ['variantIds'],
        personId,
        write: async ({ variantIds: wanted, ...fields }, next) => {
          await tx
            .update(kit)
            .set({ ...fields, version: next })
            .where(and(ours(tx, kit), eq(kit.id, id)));
          await tx.delete(kitVariant).where(and(ours(tx, kitVariant), eq(kitVariant.kitId, id)));
          await putIn(tx, id, wanted);
          await passOn(tx, 'kit', id, personId);
        },
      });
    }),
  );
}

/** The variants stay as they are until the transaction ends: none is put away meanwhile. */
async function lockVariants(tx: SchoolHandle, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  const there = await tx
    .select({ id: variant.id })
    .from(variant)
    .where(and(ours(tx, variant), inArray(variant.id, [...ids]), isNull(variant.archivedAt)))
    .orderBy(asc(variant.id))
    .for('share');
  if (there.length !== new Set(ids).size) throw new VariantGone('a variant of the kit is not there any more');
}

async function putIn(tx: SchoolHandle, kitId: string, variantIds: readonly string[]): Promise<void> {
  if (variantIds.length)
    await tx
      .insert(kitVariant)
      .values(variantIds.map((variantId, position) => ({ kitId, variantId, position })));
}

/**
 * Makes `count` copies of a kit in one build run. `newTag` and `newLinkKey` give candidates; one that is taken
 * is tried again. With a `formKey` that was used before, what was built then is answered and nothing is built.
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
  const parts = input.parts ?? recipeOf(plan).parts;
  return unlessTooFew(() =>
    transaction(at, async (tx) => {
      const [run] = await tx
        .insert(buildRun)
        .values({
          kitId: input.kit.id,
          builtOn: input.builtOn,
          plan,
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
      const tags: string[] = [];
      for (let tries = 0; tags.length < input.count; tries++) {
        if (tries > input.count * 50 + 200)
          throw new Error('No free tag was found: nearly all tags are in use.');
        const made = await tx
          .insert(copy)
          .values({
            kitId: input.kit.id,
            buildRunId: run.id,
            tag: input.newTag(),
            linkKey: input.newLinkKey(),
          })
          .onConflictDoNothing()
          .returning({ tag: copy.tag });
        tags.push(...made.map((one) => one.tag));
      }
      if (input.take) await takeFromStore(tx, run.id, parts, input.count, input.take, input.builtBy);
      return { runId: run.id, tags };
    }),
  );
}

/** The store has too few of a part for a build run: the transaction is given up, and nothing is built. */
class TooFewParts extends Error {
  constructor(readonly lacks: TooFew) {
    super('the store has too few parts');
  }
}
const unlessTooFew = async <T extends { runId: string; tags: string[] }>(
  build: () => Promise<T>,
): Promise<T | { runId: string; tags: string[]; lacks: TooFew }> => {
  try {
    return await build();
  } catch (error) {
    if (error instanceof TooFewParts) return { runId: '', tags: [], lacks: error.lacks };
    throw error;
  }
};

/** Takes the parts of copies out of the store, as far as somebody has counted them there. */
async function takeFromStore(
  tx: SchoolHandle,
  runId: string,
  parts: readonly KitPart[],
  copies: number,
  take: 'all' | 'whatIsThere',
  personId: string | null,
): Promise<void> {
  const known = await onHandNow(tx);
  const counted = parts.filter(({ material }) => typeof known[material] === 'number');
  // Locked first: what is there is what is taken, whoever else takes at the same moment.
  const items = await lockItems(
    tx,
    counted.map(({ material }) => material),
  );
  const moves = counted.flatMap(({ material, quantity }): Move[] => {
    const there = items.get(material)!.onHand ?? 0;
    const need = quantity * copies;
    const taken = take === 'all' ? need : Math.min(need, there);
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
    const ids = copies.map((one) => one.id);
    if (await tx.$count(loan, and(ours(tx, loan), inArray(loan.copyId, ids)))) return false;
    await tx.delete(copy).where(and(ours(tx, copy), inArray(copy.id, ids)));
    await tx.delete(buildRun).where(and(ours(tx, buildRun), eq(buildRun.id, runId)));
    await undoMovesFor(tx, runId, 'taken', personId);
    return true;
  });
}

export interface CopyRow {
  id: string;
  tag: string;
  linkKey: string;
  kitId: string;
  kitName: string;
  buildRunId: string;
  builtOn: string;
  printedAt: Date | null;
  /** It belongs to another school now; this row tells what happened to it here. */
  moved: boolean;
  plan: KitPlan;
  parts: KitPart[];
  /** The open loan, when the copy is out. */
  loan: { id: string; familyId: string; familyName: string; lentOn: string; dueOn: string } | null;
}

/** A copy as a list shows it: without what is in it. */
export type CopyLine = Omit<CopyRow, 'plan' | 'parts'>;

const copyLines = (at: SchoolHandle) =>
  at
    .select({
      id: copy.id,
      tag: copy.tag,
      linkKey: copy.linkKey,
      kitId: copy.kitId,
      kitName: kit.name,
      buildRunId: copy.buildRunId,
      builtOn: buildRun.builtOn,
      printedAt: copy.printedAt,
      moved: sql<boolean>`${copy.movedAt} is not null`,
      loan: {
        id: loan.id,
        familyId: loan.familyId,
        familyName: family.name,
        lentOn: loan.lentOn,
        dueOn: loan.dueOn,
      },
    })
    .from(copy)
    .innerJoin(kit, and(eq(kit.schoolId, copy.schoolId), eq(kit.id, copy.kitId)))
    .innerJoin(buildRun, and(eq(buildRun.schoolId, copy.schoolId), eq(buildRun.id, copy.buildRunId)))
    .leftJoin(loan, and(eq(loan.schoolId, copy.schoolId), eq(loan.copyId, copy.id), isNull(loan.closedAs)))
    .leftJoin(family, and(eq(family.schoolId, loan.schoolId), eq(family.id, loan.familyId)));

// A left join that finds nothing gives nulls in every column of the loan.
const asLine = (row: Awaited<ReturnType<typeof copyLines>>[number]): CopyLine => ({
  ...row,
  loan: row.loan?.id ? (row.loan as CopyRow['loan']) : null,
});

const BY_KIT = [asc(kit.name), desc(buildRun.builtOn), asc(copy.tag)] as const;

/** A page of the copies of a kit, the newest first, and how many there are. */
export async function pageOfCopies(
  at: SchoolHandle,
  kitId: string,
  first: number,
  most: number,
): Promise<{ copies: CopyLine[]; found: number }> {
  const which = and(ours(at, copy), eq(copy.kitId, kitId), isNull(copy.movedAt));
  const [rows, found] = await Promise.all([
    copyLines(at)
      .where(which)
      .orderBy(...BY_KIT)
      .offset(first)
      .limit(most),
    at.$count(copy, which),
  ]);
  return { copies: rows.map(asLine), found };
}

/** The tags of the copies that were built together. */
export const tagsOfRun = async (at: SchoolHandle, runId: string): Promise<string[]> =>
  (
    await at
      .select({ tag: copy.tag })
      .from(copy)
      .where(and(ours(at, copy), eq(copy.buildRunId, runId), isNull(copy.movedAt)))
      .orderBy(asc(copy.tag))
  ).map(({ tag }) => tag);

/** Which copies are meant: all, some, those built together, or those whose pack is not printed yet. */
export interface CopyFilter {
  kitId?: string;
  ids?: string[];
  runId?: string;
  unprinted?: boolean;
}
const meant = (at: SchoolHandle, { kitId, ids, runId, unprinted }: CopyFilter) =>
  and(
    ours(at, copy),
    isNull(copy.movedAt),
    kitId === undefined ? undefined : eq(copy.kitId, kitId),
    ids === undefined ? undefined : inArray(copy.id, ids),
    runId === undefined ? undefined : eq(copy.buildRunId, runId),
    unprinted ? isNull(copy.printedAt) : undefined,
  );

/** Copies as lists show them. */
export const copyList = async (at: SchoolHandle, which: CopyFilter, most: number): Promise<CopyLine[]> =>
  (
    await copyLines(at)
      .where(meant(at, which))
      .orderBy(...BY_KIT)
      .limit(most)
  ).map(asLine);

/** Copies with what is in them. What was built together is read once. */
export async function listCopies(
  at: SchoolHandle,
  which: CopyFilter = {},
  most = 10_000,
): Promise<CopyRow[]> {
  const lines = await copyList(at, which, most);
  const ids = [...new Set(lines.map((one) => one.buildRunId))];
  const runs = await plansOf(at, ids);
  return lines.map((one) => ({ ...one, ...runs.get(one.buildRunId)! }));
}

/** What copies of these build runs hold. */
export async function plansOf(
  at: SchoolHandle,
  runIds: readonly string[],
): Promise<Map<string, { plan: KitPlan; parts: KitPart[] }>> {
  if (runIds.length === 0) return new Map();
  const rows = await at
    .select({ id: buildRun.id, plan: buildRun.plan, parts: buildRun.parts })
    .from(buildRun)
    .where(and(ours(at, buildRun), inArray(buildRun.id, [...runIds])));
  return new Map(rows.map(({ id, plan, parts }) => [id, { plan: soundPlan(plan), parts }]));
}

export async function findCopy(
  at: SchoolHandle,
  by: { tag: string } | { id: string } | { linkKey: string },
): Promise<CopyRow | undefined> {
  const which =
    'id' in by
      ? eq(copy.id, by.id)
      : and(isNull(copy.movedAt), 'tag' in by ? eq(copy.tag, by.tag) : eq(copy.linkKey, by.linkKey));
  const [row] = await copyLines(at).where(and(ours(at, copy), which));
  if (!row) return undefined;
  const runs = await plansOf(at, [row.buildRunId]);
  return { ...asLine(row), ...runs.get(row.buildRunId)! };
}

export async function markPrinted(at: SchoolHandle, ids: string[]): Promise<void> {
  await at
    .update(copy)
    .set({ printedAt: new Date() })
    .where(and(ours(at, copy), inArray(copy.id, ids), isNull(copy.printedAt)));
}
