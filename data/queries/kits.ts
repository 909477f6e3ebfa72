import { and, asc, desc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import type { KitPlan } from '~/core/kits/recipe';
import type { AgeBand, Params } from '~/core/games/kit/types';
import type { OwnGame } from '~/core/own/definition';
import { kitAbout, type KitAbout } from '~/core/kits/forms';
import { playsEach } from '~/core/kits/loan';
import { type SchoolHandle, transaction } from '../db';
import { unlessTaken } from '../trouble';
import { copy, kit, kitVariant, variant } from '../schema';
import { ours } from './ours';
import { log, saveOver, type Saving } from './changes';
import { followed, passOn } from './sharing';
import { sound } from './sound';

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

/** Kits in which one of these games is, the newest first. */
export const kitsOfGames = async (
  at: SchoolHandle,
  gameIds: readonly string[],
  most: number,
): Promise<string[]> =>
  (
    await at
      .selectDistinct({ id: kit.id, createdAt: kit.createdAt })
      .from(kit)
      .innerJoin(kitVariant, and(ours(at, kitVariant), eq(kitVariant.kitId, kit.id)))
      .innerJoin(variant, and(ours(at, variant), eq(variant.id, kitVariant.variantId)))
      .where(and(ours(at, kit), inArray(variant.gameId, [...gameIds])))
      .orderBy(desc(kit.createdAt))
      .limit(most)
  ).map(({ id }) => id);

/** Each kit of which there are bags, once for each build run of them, by name. */
export const builtKits = (
  at: SchoolHandle,
): Promise<{ id: string; name: string; band: Kit['ageBand']; runId: string }[]> =>
  at
    .selectDistinct({ id: kit.id, name: kit.name, band: kit.ageBand, runId: copy.buildRunId })
    .from(copy)
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, copy.kitId)))
    .where(and(ours(at, copy), isNull(copy.movedAt), isNotNull(copy.readyAt)))
    .orderBy(kit.name);

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
export const planOf = ({
  ageBand,
  players,
  assurance,
  finish,
  daysOut,
  playsAWeek,
  swaps,
  variants,
}: KitWithVariants): KitPlan => ({
  ageBand,
  players,
  assurance,
  finish,
  plays: playsEach(variants.length, { daysOut, playsAWeek }),
  ...(Object.keys(swaps).length ? { swaps } : {}),
  variants: variants.map(({ gameId, name, params, own }) => ({
    gameId,
    name,
    params,
    ...(own ? { own } : {}),
  })),
});

/** A kit as its form has it. */
export type KitFields = KitAbout & { variantIds: string[] };
/** What is not said of finish, loan, languages and stand-ins is as usual for a new kit, and stays as it is for another. */
export type KitInput = Omit<KitAbout, Loan> & Partial<Pick<KitAbout, Loan>> & { variantIds: string[] };
type Loan = 'finish' | 'daysOut' | 'playsAWeek' | 'languages' | 'swaps';

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
      const [saved] = await tx.insert(kit).values(input).returning();
      await putIn(tx, saved!.id, variantIds);
      const after = { ...kitAbout(saved!), variantIds };
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
): Promise<Saving<KitFields> | 'gone' | 'follows' | undefined> {
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
        mine: { ...kitAbout({ ...now, ...mine }), variantIds: mine.variantIds },
        now: { version: now.version, fields: { ...kitAbout(now), variantIds } },
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
