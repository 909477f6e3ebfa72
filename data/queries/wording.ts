/** The school's own wording: what it changed of the lines that ship, and the readings that follow. */
import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { Language } from '~/core/words/languages';
import type { Worded } from '~/core/pack/sources';
import { englishOf, messageIn, type Reading, type Revised } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { type SchoolHandle, transaction } from '../db';
import { person, wordingCheck, wordingLine } from '../schema';
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

/** Somebody else was quicker with one of the lines: nothing is written. */
class Overtaken extends Error {}

/**
 * Words many lines anew at once, all or none; false where one of them is not worded any more as it was. `readBy` names
 * who found the lines of `final` right.
 */
export async function writeLines(
  at: SchoolHandle,
  input: {
    language: Language;
    changes: readonly { of: Worded; messageId: string; was: string | undefined; becomes: string }[];
    final: readonly { of: Worded; messageId: string }[];
    readBy: string;
    personId: string;
  },
): Promise<boolean> {
  const { language, changes, final, readBy, personId } = input;
  const keys = changes.map(({ of, messageId }) => `${at.schoolId} line ${of.id} ${messageId} ${language}`);
  try {
    await transaction(at, async (tx) => {
      // In one order, so that two who do it at the same moment wait for each other and do not lock each other out.
      for (const key of keys.sort()) await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${key}))`);
      const before = await readingAt(tx, language);
      const shipped = readingOf(language);
      const english = (of: Worded, id: string): string =>
        englishOf(language === 'en' ? { english: before.wording } : before, of.words, id)!;
      if (changes.some(({ of, messageId, was }) => messageIn(before, of.words, messageId) !== was))
        throw new Overtaken();
      if (changes.length) {
        await tx.insert(wordingLine).values(
          changes.map(({ of, messageId, becomes }) => ({
            sourceId: of.id,
            messageId,
            language,
            message: becomes === messageIn(shipped, of.words, messageId) ? null : becomes,
            english: english(of, messageId),
            personId,
          })),
        );
        await log(
          tx,
          ...changes.map(({ of, messageId, was, becomes }) => ({
            thing: 'wording' as const,
            thingId: of.id,
            kind: 'changed' as const,
            before: { [messageId]: was ?? '' },
            after: { [messageId]: becomes },
            personId,
          })),
        );
      }
      if (final.length && readBy) {
        const after = await readingAt(tx, language);
        await tx.insert(wordingCheck).values(
          final.map(({ of, messageId }) => ({
            gameId: of.id,
            messageId,
            language,
            message: messageIn(after, of.words, messageId)!,
            english: english(of, messageId),
            right: true,
            elsewhere: readBy,
          })),
        );
      }
    });
    return true;
  } catch (error) {
    if (error instanceof Overtaken) return false;
    throw error;
  }
}

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
