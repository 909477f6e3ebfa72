/** The school's own wording: what it changed of the lines that ship, and the readings that follow. */
import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { Language } from '~/core/words/languages';
import type { Worded } from '~/core/pack/sources';
import { englishOf, messageIn, type Reading, type Revised } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { type SchoolHandle, transaction } from '../db';
import { person, wordingLine } from '../schema';
import { log } from './changes';
import { ours } from './ours';

/** What the school changed in these languages, and in the English source. */
export async function revisedBy(at: SchoolHandle, languages: readonly Language[]): Promise<Revised> {
  const rows = await at
    .selectDistinctOn([wordingLine.language, wordingLine.sourceId, wordingLine.messageId], {
      language: wordingLine.language,
      sourceId: wordingLine.sourceId,
      messageId: wordingLine.messageId,
      message: wordingLine.message,
    })
    .from(wordingLine)
    .where(and(ours(at, wordingLine), inArray(wordingLine.language, [...new Set([...languages, 'en'])])))
    .orderBy(wordingLine.language, wordingLine.sourceId, wordingLine.messageId, desc(wordingLine.serial));
  const changed: Record<Language, Record<string, Record<string, string>>> = {};
  for (const { language, sourceId, messageId, message } of rows)
    if (message !== null) ((changed[language] ??= {})[sourceId] ??= {})[messageId] = message;
  return changed;
}

/** The readings of these languages at this school. */
export async function readingsAt(at: SchoolHandle, languages: readonly Language[]): Promise<Reading[]> {
  const changed = await revisedBy(at, languages);
  return languages.map((language) => readingOf(language, changed));
}
/** The reading of one language at this school. */
export const readingAt = async (at: SchoolHandle, language: Language): Promise<Reading> =>
  (await readingsAt(at, [language]))[0]!;

/** How a line is worded at a school, and what ships. */
export interface LineNow {
  english: string;
  message: string | undefined;
  shipped: string | undefined;
}
export async function lineNow(
  at: SchoolHandle,
  { words }: Worded,
  messageId: string,
  language: Language,
): Promise<LineNow> {
  const reading = await readingAt(at, language);
  return {
    english: englishOf(language === 'en' ? { english: reading.wording } : reading, words, messageId)!,
    message: messageIn(reading, words, messageId),
    shipped: messageIn(readingOf(language), words, messageId),
  };
}

/**
 * Words a line anew, or goes back to what ships. Answers how it is worded now where somebody else was quicker, and
 * nothing was written.
 */
export const writeLine = (
  at: SchoolHandle,
  of: Worded,
  line: {
    messageId: string;
    language: Language;
    /** Nothing goes back to what ships. */
    message: string | null;
    /** The line as the form showed it. */
    had: string;
    personId: string;
  },
): Promise<{ ok: true } | { ok: false; now: string }> =>
  transaction(at, async (tx) => {
    const { messageId, language, message, had, personId } = line;
    await tx.execute(
      sql`select pg_advisory_xact_lock(hashtext(${`${tx.schoolId} line ${of.id} ${messageId} ${language}`}))`,
    );
    const now = await lineNow(tx, of, messageId, language);
    if ((now.message ?? '') !== had) return { ok: false, now: now.message ?? '' };
    const next = message === now.shipped ? null : message;
    if ((next ?? now.shipped ?? '') === had) return { ok: true };
    await tx
      .insert(wordingLine)
      .values({ sourceId: of.id, messageId, language, message: next, english: now.english, personId });
    await log(tx, {
      thing: 'wording',
      thingId: of.id,
      kind: 'changed',
      before: { [messageId]: had },
      after: { [messageId]: next ?? now.shipped ?? '' },
      personId,
    });
    return { ok: true };
  });

/** How a line was worded before, the newest first. */
export const lineHistory = (at: SchoolHandle, sourceId: string, messageId: string, language: Language) =>
  at
    .select({
      id: wordingLine.id,
      message: wordingLine.message,
      english: wordingLine.english,
      at: wordingLine.at,
      by: sql<string | null>`coalesce(${person.name}, ${wordingLine.elsewhere})`,
    })
    .from(wordingLine)
    .leftJoin(person, eq(person.id, wordingLine.personId))
    .where(
      and(
        ours(at, wordingLine),
        eq(wordingLine.sourceId, sourceId),
        eq(wordingLine.messageId, messageId),
        eq(wordingLine.language, language),
      ),
    )
    .orderBy(desc(wordingLine.serial))
    .limit(20);
