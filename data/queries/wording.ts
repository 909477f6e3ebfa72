/** The school's own wording: what it changed of the lines that ship, and the readings that follow. */
import { and, desc, inArray } from 'drizzle-orm';
import type { Language } from '~/core/words/languages';
import type { Reading, Revised } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { type SchoolHandle } from '../db';
import { wordingLine } from '../schema';
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
