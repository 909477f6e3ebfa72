/** The devices on which a table at the door was opened. */
import { and, asc, eq, sql } from 'drizzle-orm';
import { transaction, type SchoolHandle } from '../db';
import { gathering, tableDevice } from '../schema';
import { ours } from './ours';

export type Device = Pick<typeof tableDevice.$inferSelect, 'id' | 'number' | 'letIn' | 'familyId'> & {
  /** Whether its family signed in there a moment ago. */
  fresh: boolean;
};

/** So many devices of a table are told apart; more are none of the school. */
const MOST_DEVICES = 20;
/** A family that signed in takes a bag within so many minutes. */
const FRESH_MINUTES = 10;

const columns = {
  id: tableDevice.id,
  number: tableDevice.number,
  letIn: tableDevice.letIn,
  familyId: tableDevice.familyId,
  fresh: sql<boolean>`coalesce(${tableDevice.familyAt} > now() - make_interval(mins => ${FRESH_MINUTES}), false)`,
};

export const findDevice = async (
  at: SchoolHandle,
  gatheringId: string,
  tokenHash: string,
): Promise<Device | undefined> =>
  (
    await at
      .select(columns)
      .from(tableDevice)
      .where(
        and(
          ours(at, tableDevice),
          eq(tableDevice.gatheringId, gatheringId),
          eq(tableDevice.tokenHash, tokenHash),
        ),
      )
  )[0];

/** One more device: the first one is let in, the others wait for somebody of the school. Undefined where there are too many. */
export const addDevice = (
  at: SchoolHandle,
  gatheringId: string,
  tokenHash: string,
): Promise<Device | undefined> =>
  transaction(at, async (tx) => {
    await tx
      .select({ id: gathering.id })
      .from(gathering)
      .where(and(ours(tx, gathering), eq(gathering.id, gatheringId)))
      .for('update');
    const there = await tx
      .select({ number: tableDevice.number })
      .from(tableDevice)
      .where(and(ours(tx, tableDevice), eq(tableDevice.gatheringId, gatheringId)));
    if (there.length >= MOST_DEVICES) return undefined;
    const number = Math.max(0, ...there.map((one) => one.number)) + 1;
    const [made] = await tx
      .insert(tableDevice)
      .values({ gatheringId, tokenHash, number, letIn: there.length === 0 })
      .returning(columns);
    return made;
  });

export const devicesOf = (
  at: SchoolHandle,
  gatheringId: string,
): Promise<{ id: string; number: number; letIn: boolean; createdAt: Date }[]> =>
  at
    .select({
      id: tableDevice.id,
      number: tableDevice.number,
      letIn: tableDevice.letIn,
      createdAt: tableDevice.createdAt,
    })
    .from(tableDevice)
    .where(and(ours(at, tableDevice), eq(tableDevice.gatheringId, gatheringId)))
    .orderBy(asc(tableDevice.number));

/** Lets a device in, or shuts it out. */
export const letDeviceIn = async (
  at: SchoolHandle,
  gatheringId: string,
  id: string,
  letIn: boolean,
): Promise<void> => {
  await at
    .update(tableDevice)
    .set({ letIn, familyId: null, familyAt: null })
    .where(and(ours(at, tableDevice), eq(tableDevice.gatheringId, gatheringId), eq(tableDevice.id, id)));
};

/** This family has just signed in there. */
export const signedInAt = async (at: SchoolHandle, id: string, familyId: string): Promise<void> => {
  await at
    .update(tableDevice)
    .set({ familyId, familyAt: sql`now()` })
    .where(and(ours(at, tableDevice), eq(tableDevice.id, id)));
};
