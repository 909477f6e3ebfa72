/** Lines said aloud by fluent readers. A voice is played where exactly the words are said that were spoken. */
import { and, desc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Language } from '~/core/words/languages';
import { type SchoolHandle, transaction } from '../db';
import { lineVoice, person, readerLink } from '../schema';
import { log } from './changes';
import { ours } from './ours';

export interface NewVoice {
  sourceId: string;
  messageId: string;
  language: Language;
  /** What was spoken, with its numbers. */
  said: string;
  kind: string;
  sound: Buffer;
  readerId: string;
}
/** Somebody's voice is not kept any longer than it is wanted. */
const ended = () => ({ endedAt: new Date(), sound: Buffer.alloc(0) });

/** Keeps a voice in place of an earlier one of the same reader for the same words. Families hear it once it is let out. */
export const keepVoice = (at: SchoolHandle, voice: NewVoice): Promise<string> =>
  transaction(at, async (tx) => {
    await tx
      .update(lineVoice)
      .set(ended())
      .where(
        and(
          ours(tx, lineVoice),
          eq(lineVoice.readerId, voice.readerId),
          eq(lineVoice.language, voice.language),
          eq(lineVoice.said, voice.said),
          isNull(lineVoice.endedAt),
        ),
      );
    const [kept] = await tx.insert(lineVoice).values(voice).returning({ id: lineVoice.id });
    return kept!.id;
  });

/** A voice without its sound. */
export interface Voice {
  id: string;
  sourceId: string;
  messageId: string;
  said: string;
  by: string | null;
  readerId: string | null;
  letOut: boolean;
}
const columns = {
  id: lineVoice.id,
  sourceId: lineVoice.sourceId,
  messageId: lineVoice.messageId,
  said: lineVoice.said,
  by: sql<string | null>`coalesce(${person.name}, ${readerLink.reader})`,
  readerId: lineVoice.readerId,
  letOut: sql<boolean>`${lineVoice.letOutAt} is not null`,
};

/** The voices of these sources in a language, the newest first. */
export const voicesOf = (
  at: SchoolHandle,
  language: Language,
  sourceIds: readonly string[],
): Promise<Voice[]> =>
  at
    .select(columns)
    .from(lineVoice)
    .leftJoin(person, eq(person.id, lineVoice.personId))
    .leftJoin(readerLink, and(ours(at, readerLink), eq(readerLink.id, lineVoice.readerId)))
    .where(
      and(
        ours(at, lineVoice),
        eq(lineVoice.language, language),
        inArray(lineVoice.sourceId, [...sourceIds]),
        isNull(lineVoice.endedAt),
      ),
    )
    .orderBy(desc(lineVoice.at));

/** The voices that families hear of these words, by the words. */
export async function heardVoices(
  at: SchoolHandle,
  language: Language,
  said: readonly string[],
): Promise<Map<string, string>> {
  if (said.length === 0) return new Map();
  const rows = await at
    .selectDistinctOn([lineVoice.said], { id: lineVoice.id, said: lineVoice.said })
    .from(lineVoice)
    .where(
      and(
        ours(at, lineVoice),
        eq(lineVoice.language, language),
        inArray(lineVoice.said, [...said]),
        isNull(lineVoice.endedAt),
        isNotNull(lineVoice.letOutAt),
      ),
    )
    .orderBy(lineVoice.said, desc(lineVoice.at));
  return new Map(rows.map(({ id, said: text }) => [text, id]));
}

export type VoiceRow = typeof lineVoice.$inferSelect;
export async function findVoice(at: SchoolHandle, id: string): Promise<VoiceRow | undefined> {
  const [found] = await at
    .select()
    .from(lineVoice)
    .where(and(ours(at, lineVoice), eq(lineVoice.id, id), isNull(lineVoice.endedAt)));
  return found;
}

/** Lets families hear a voice, or takes it away for good. False where it was taken away already. */
export const decideVoice = (
  at: SchoolHandle,
  id: string,
  decision: 'letOut' | 'end',
  personId: string,
): Promise<boolean> =>
  transaction(at, async (tx) => {
    const [done] = await tx
      .update(lineVoice)
      .set(decision === 'end' ? ended() : { letOutAt: new Date(), letOutBy: personId })
      .where(and(ours(tx, lineVoice), eq(lineVoice.id, id), isNull(lineVoice.endedAt)))
      .returning({ sourceId: lineVoice.sourceId, messageId: lineVoice.messageId });
    if (!done) return false;
    await log(tx, {
      thing: 'wording',
      thingId: done.sourceId,
      kind: 'changed',
      after: { [done.messageId]: decision === 'end' ? 'its voice was taken away' : 'its voice was let out' },
      personId,
    });
    return true;
  });

/** A reader takes her own voice back. */
export const endOwnVoice = (at: SchoolHandle, id: string, readerId: string): Promise<unknown> =>
  at
    .update(lineVoice)
    .set(ended())
    .where(
      and(
        ours(at, lineVoice),
        eq(lineVoice.id, id),
        eq(lineVoice.readerId, readerId),
        isNull(lineVoice.endedAt),
      ),
    );
