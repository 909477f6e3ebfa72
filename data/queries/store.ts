/** The store: what is on hand, its moves, where it stands and what it costs. */
import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { Offer } from '~/core/kits/buy';
import type { LearnedUnit } from '~/core/kits/weigh';
import type { MoveKind, OnHand } from '~/core/kits/store';
import { isOwnMaterial } from '~/core/materials/school';
import { materialOf } from '~/core/materials/catalogue';
import { type SchoolHandle, transaction } from '../db';
import { unlessTaken } from '../trouble';
import { person, stockItem, stockMove, stockOffer } from '../schema';
import { log } from './changes';
import { ours } from './ours';

export interface StockItem {
  material: string;
  onHand: number | null;
  place: string;
  reorderAt: number;
}
export interface StockMove {
  id: string;
  material: string;
  kind: MoveKind;
  quantity: number;
  leaves: number;
  note: string;
  at: Date;
  by: string | null;
  undone: boolean;
  undoes: string | null;
  /** It belongs to a build run or a copy, and is undone there. */
  forId: string | null;
}

/** A move that is asked for. */
export interface Move {
  material: string;
  kind: MoveKind;
  quantity: number;
  note?: string;
  forId?: string;
  undoes?: string;
}
/** Refused: so many would be needed, and so many are there. Nothing was moved. */
export interface TooFew {
  ok: false;
  material: string;
  need: number;
  onHand: number;
}
export type Moved = { ok: true; leaves: number } | TooFew;

export const listStock = (at: SchoolHandle): Promise<StockItem[]> =>
  at
    .select({
      material: stockItem.material,
      onHand: stockItem.onHand,
      place: stockItem.place,
      reorderAt: stockItem.reorderAt,
    })
    .from(stockItem)
    .where(ours(at, stockItem))
    .orderBy(asc(stockItem.material));

/** What is on hand, by material. */
export const onHandNow = async (at: SchoolHandle): Promise<OnHand> =>
  Object.fromEntries((await listStock(at)).map(({ material, onHand }) => [material, onHand]));

/**
 * What is spoken for in the store, by material: what copies that are being made still need, until it is counted into
 * them, and what is set aside for an evening, until it is counted back.
 */
export async function reservedNow(at: SchoolHandle): Promise<Readonly<Record<string, number>>> {
  const { rows } = await at.execute<{ material: string; quantity: number }>(sql`
    select material, sum(quantity)::int as quantity from (
    select part.material, ceil(part.quantity) as quantity
    from copy c
    join build_run b on b.school_id = c.school_id and b.id = c.build_run_id and b.making_id is not null
    cross join lateral jsonb_to_recordset(b.parts) part(material text, quantity numeric)
    left join lateral (
      select outcome from copy_step s
      where s.school_id = c.school_id and s.copy_id = c.id and s.step = 'count ' || part.material
        and s.outcome in ('done', 'tooFew', 'undone')
      order by s.serial desc limit 1) last on true
    where c.school_id = ${at.schoolId} and c.ready_at is null and c.moved_at is null
      and coalesce(last.outcome, 'undone') = 'undone'
    union all
    select one.key, one.value::int from evening e cross join lateral jsonb_each_text(e.set_aside) one
    where e.school_id = ${at.schoolId}) spoken_for
    group by material`);
  return Object.fromEntries(rows.map(({ material, quantity }) => [material, quantity]));
}

/** What can be taken, by material: on hand less what is spoken for. */
export async function freeNow(at: SchoolHandle): Promise<OnHand> {
  const [onHand, reserved] = await Promise.all([onHandNow(at), reservedNow(at)]);
  return Object.fromEntries(
    Object.entries(onHand).map(([material, there]) => [
      material,
      there === null ? null : Math.max(0, there - (reserved[material] ?? 0)),
    ]),
  );
}

/** Rows of these materials, made where there are none and locked in one order: moves of one material follow one another. */
export async function lockItems(
  tx: SchoolHandle,
  materials: readonly string[],
): Promise<Map<string, StockItem>> {
  const wanted = [...new Set(materials)].sort();
  if (wanted.length === 0) return new Map();
  await tx
    .insert(stockItem)
    .values(wanted.map((material) => ({ material })))
    .onConflictDoNothing();
  const rows = await tx
    .select()
    .from(stockItem)
    .where(and(ours(tx, stockItem), inArray(stockItem.material, wanted)))
    .orderBy(asc(stockItem.material))
    .for('update');
  return new Map(rows.map((row) => [row.material, row]));
}

/** Makes moves in a transaction; all of them, or none where one would take more than is there. */
export async function moveAll(
  tx: SchoolHandle,
  moves: readonly Move[],
  personId: string | null,
): Promise<{ ok: true; leaves: number[] } | TooFew> {
  const items = await lockItems(
    tx,
    moves.map(({ material }) => material),
  );
  const now = new Map([...items].map(([material, { onHand }]) => [material, onHand ?? 0]));
  const rows = [];
  for (const { material, kind, quantity, note = '', forId, undoes } of moves) {
    const leaves = now.get(material)! + quantity;
    if (leaves < 0) return { ok: false, material, need: -quantity, onHand: items.get(material)!.onHand ?? 0 };
    now.set(material, leaves);
    rows.push({ material, kind, quantity, leaves, note, forId, undoes, personId });
  }
  if (rows.length === 0) return { ok: true, leaves: [] };
  await tx.insert(stockMove).values(rows);
  for (const [material, onHand] of now)
    await tx
      .update(stockItem)
      .set({ onHand })
      .where(and(ours(tx, stockItem), eq(stockItem.material, material)));
  return { ok: true, leaves: rows.map(({ leaves }) => leaves) };
}

/** One move. */
export const moveStock = (at: SchoolHandle, move: Move, personId: string | null): Promise<Moved> =>
  transaction(at, async (tx) => {
    const moved = await moveAll(tx, [move], personId);
    return moved.ok ? { ok: true, leaves: moved.leaves[0]! } : moved;
  });

/** A count: the difference becomes a move, also where there is none. Answers what was expected before it. */
export const countStock = (
  at: SchoolHandle,
  counts: readonly PartCounted[],
  personId: string | null,
): Promise<Told[]> => transaction(at, (tx) => countIn(tx, counts, personId));

interface PartCounted {
  material: string;
  counted: number;
}
type Told = PartCounted & { expected: number | null; moveId: string };

async function countIn(
  tx: SchoolHandle,
  counts: readonly PartCounted[],
  personId: string | null,
): Promise<Told[]> {
  const items = await lockItems(
    tx,
    counts.map(({ material }) => material),
  );
  const told: Told[] = [];
  for (const { material, counted } of counts) {
    const expected = items.get(material)!.onHand;
    const [made] = await tx
      .insert(stockMove)
      .values({ material, kind: 'counted', quantity: counted - (expected ?? 0), leaves: counted, personId })
      .returning({ id: stockMove.id });
    await tx
      .update(stockItem)
      .set({ onHand: counted })
      .where(and(ours(tx, stockItem), eq(stockItem.material, material)));
    told.push({ material, expected, counted, moveId: made!.id });
  }
  return told;
}

/** Undoes a move by its opposite. Answers undefined when there is none, or it was undone already. */
export const undoMove = (at: SchoolHandle, id: string, personId: string | null): Promise<Moved | undefined> =>
  transaction(at, async (tx) => {
    const [found] = await tx
      .select()
      .from(stockMove)
      .where(and(ours(tx, stockMove), eq(stockMove.id, id)));
    // What was taken for a build or put into a copy goes back where that is undone, so that both keep in step.
    if (!found || found.kind === 'undone' || found.forId) return undefined;
    await lockItems(tx, [found.material]);
    if (await tx.$count(stockMove, and(ours(tx, stockMove), eq(stockMove.undoes, id)))) return undefined;
    const moved = await moveAll(
      tx,
      [{ material: found.material, kind: 'undone', quantity: -found.quantity, undoes: id }],
      personId,
    );
    if (!moved.ok) return moved;
    // When the only move there ever was is undone, nobody has counted it, as before.
    const moves = await tx.$count(
      stockMove,
      and(ours(tx, stockMove), eq(stockMove.material, found.material)),
    );
    if (moves === 2)
      await tx
        .update(stockItem)
        .set({ onHand: null })
        .where(and(ours(tx, stockItem), eq(stockItem.material, found.material)));
    return { ok: true, leaves: moved.leaves[0]! };
  });

/** Undoes all moves for a build run or a copy that are not undone yet, in the transaction that undoes it. */
export async function undoMovesFor(
  tx: SchoolHandle,
  forId: string,
  kind: MoveKind,
  personId: string | null,
  since?: Date,
): Promise<void> {
  const moves = await tx
    .select()
    .from(stockMove)
    .where(
      and(
        ours(tx, stockMove),
        eq(stockMove.forId, forId),
        eq(stockMove.kind, kind),
        since ? sql`${stockMove.at} >= ${since}` : undefined,
        sql`not exists (select from ${stockMove} undo where undo.school_id = ${stockMove.schoolId} and undo.undoes = ${stockMove.id})`,
      ),
    );
  await moveAll(
    tx,
    moves.map(({ id, material, quantity }) => ({
      material,
      kind: 'undone',
      quantity: -quantity,
      undoes: id,
      forId,
    })),
    personId,
  );
}

/** The latest moves, of one material or of all. */
export const listMoves = (at: SchoolHandle, material?: string, most = 50): Promise<StockMove[]> =>
  at
    .select({
      id: stockMove.id,
      material: stockMove.material,
      kind: stockMove.kind,
      quantity: stockMove.quantity,
      leaves: stockMove.leaves,
      note: stockMove.note,
      at: stockMove.at,
      by: person.name,
      undoes: stockMove.undoes,
      forId: stockMove.forId,
      undone: sql<boolean>`exists (select from ${stockMove} undo where undo.school_id = ${stockMove.schoolId} and undo.undoes = ${stockMove.id})`,
    })
    .from(stockMove)
    .leftJoin(person, eq(person.id, stockMove.personId))
    .where(and(ours(at, stockMove), material ? eq(stockMove.material, material) : undefined))
    .orderBy(desc(stockMove.serial))
    .limit(most);

/** A line of a list that is brought in. What it does not say stays as it is. */
export type Brought = Pick<StockItem, 'material' | 'onHand'> & Partial<StockItem>;

/** A list that was brought in: what was counted, where it stands and from when on more is bought. */
export const bringIn = (
  at: SchoolHandle,
  items: readonly Brought[],
  personId: string | null,
): Promise<void> =>
  transaction(at, async (tx) => {
    const before = await lockItems(
      tx,
      items.map(({ material }) => material),
    );
    await countIn(
      tx,
      items.flatMap(({ material, onHand }) =>
        onHand === null || onHand === before.get(material)!.onHand ? [] : [{ material, counted: onHand }],
      ),
      personId,
    );
    for (const { material, place, reorderAt } of items) {
      const stood = before.get(material)!;
      await placeIn(
        tx,
        material,
        { place: place ?? stood.place, reorderAt: reorderAt ?? stood.reorderAt },
        personId,
      );
    }
  });

/** Where a material stands, and from when on more is bought. */
export const placeStock = (
  at: SchoolHandle,
  material: string,
  stands: Pick<StockItem, 'place' | 'reorderAt'>,
  personId: string | null,
): Promise<void> => transaction(at, (tx) => placeIn(tx, material, stands, personId));

async function placeIn(
  tx: SchoolHandle,
  material: string,
  { place, reorderAt }: Pick<StockItem, 'place' | 'reorderAt'>,
  personId: string | null,
): Promise<void> {
  const before = (await lockItems(tx, [material])).get(material)!;
  if (before.place === place && before.reorderAt === reorderAt) return;
  await tx
    .update(stockItem)
    .set({ place, reorderAt })
    .where(and(ours(tx, stockItem), eq(stockItem.material, material)));
  await log(tx, {
    thing: 'store',
    thingId: material,
    kind: 'changed',
    before: { place: before.place, reorderAt: before.reorderAt },
    after: { place, reorderAt },
    personId,
  });
}

export type StoreOffer = Offer & { material: string; name: string };

/** Packs that the school can buy: its own offers, and the pack of the catalogue where it has none of a material. */
export async function offersOf(at: SchoolHandle, materials: readonly string[]): Promise<StoreOffer[]> {
  if (materials.length === 0) return [];
  const own = await at
    .select()
    .from(stockOffer)
    .where(and(ours(at, stockOffer), inArray(stockOffer.material, [...materials])))
    .orderBy(asc(stockOffer.name));
  return materials.flatMap((material): StoreOffer[] => {
    const mine = own.filter((one) => one.material === material);
    if (mine.length)
      return mine.map(({ id, name, size, priceCents }) => ({ id, material, name, size, priceCents }));
    // Nobody has said yet how the school's own kinds of parts are sold.
    if (isOwnMaterial(material)) return [];
    const { pack } = materialOf(material);
    return [{ id: `catalogue ${material}`, material, name: `pack of ${pack.size}`, ...pack }];
  });
}

/** Adds an offer. Answers undefined when the material has one of this name. */
export const addOffer = (
  at: SchoolHandle,
  offer: Pick<StoreOffer, 'material' | 'name' | 'size' | 'priceCents'>,
): Promise<{ id: string } | undefined> =>
  unlessTaken('stock_offer_name_is_taken', async () => {
    const [made] = await at.insert(stockOffer).values(offer).returning({ id: stockOffer.id });
    return made!;
  });

export const removeOffer = async (at: SchoolHandle, id: string): Promise<void> =>
  void (await at.delete(stockOffer).where(and(ours(at, stockOffer), eq(stockOffer.id, id))));

/** What one piece of each of these materials weighs, where it was learned on the scale. */
export async function weightsOf(
  at: SchoolHandle,
  materials: readonly string[],
): Promise<Readonly<Partial<Record<string, LearnedUnit>>>> {
  if (materials.length === 0) return {};
  const rows = await at
    .select({
      material: stockItem.material,
      unitG: sql<number>`${stockItem.unitG}`,
      unitSdG: sql<number>`${stockItem.unitSdG}`,
      sample: sql<number>`${stockItem.weighed}`,
    })
    .from(stockItem)
    .where(
      and(
        ours(at, stockItem),
        inArray(stockItem.material, [...materials]),
        sql`${stockItem.unitG} is not null`,
      ),
    );
  return Object.fromEntries(rows.map(({ material, ...unit }) => [material, unit]));
}

/** The same of one material. */
export const weightOf = async (at: SchoolHandle, material: string): Promise<LearnedUnit | undefined> =>
  (await weightsOf(at, [material]))[material];

/** What one piece of a material weighs, as it was learned on the scale; null forgets it. */
export const learnWeight = (at: SchoolHandle, material: string, learned: LearnedUnit | null): Promise<void> =>
  transaction(at, async (tx) => {
    await lockItems(tx, [material]);
    await tx
      .update(stockItem)
      .set({
        unitG: learned?.unitG ?? null,
        unitSdG: learned?.unitSdG ?? null,
        weighed: learned?.sample ?? null,
      })
      .where(and(ours(tx, stockItem), eq(stockItem.material, material)));
  });
