/** What carries messages to families, behind one interface; the one that ships is a stand-in that only keeps them. */
import type { SchoolHandle } from '~/data/db';
import { carryOver, noteTry, sendOne, type MessageRow } from '~/data/queries/outbox';

/** Hands a message over. It may be called twice for one message: its id tells that it is the same. Throws when it cannot. */
export type Carrier = (tx: SchoolHandle, message: MessageRow) => Promise<void>;

const standIn: Carrier = (tx, { id }) => carryOver(tx, id);
let carrier: Carrier = standIn;
/** Puts another carrier in; without one, the stand-in again. */
export const useCarrier = (other: Carrier = standIn): void => void (carrier = other);

/** Sends one message. Throws when it was not carried, so that it is tried again; after the `last` try it has failed. */
export async function send(at: SchoolHandle, id: string, last: boolean): Promise<void> {
  try {
    await sendOne(at, id, carrier);
  } catch (error) {
    await noteTry(at, id, 'The message could not be handed over.', last);
    throw error;
  }
}
