/** States of a message as a person reads them. */
import type { MessageState, ReplyKind } from './reminders';

export const STATE_WORDS: Readonly<
  Record<MessageState, { word: string; tone: 'calm' | 'wait' | 'hand' | 'note' }>
> = {
  waiting: { word: 'about to go out', tone: 'note' },
  sent: { word: 'sent', tone: 'calm' },
  held: { word: 'held back', tone: 'wait' },
  paper: { word: 'to print', tone: 'hand' },
  printed: { word: 'printed', tone: 'calm' },
  failed: { word: 'could not be sent', tone: 'hand' },
  dropped: { word: 'not said', tone: 'note' },
};

export const REPLY_WORDS: Readonly<Record<ReplyKind, string>> = {
  coming: 'they bring it back',
  longer: 'they keep it longer',
  lost: 'something is lost or broken',
  yes: 'they come',
  no: 'they do not come this time',
};
