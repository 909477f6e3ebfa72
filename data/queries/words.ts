import { desc, eq } from 'drizzle-orm';
import { SHELF, gameOf } from '~/core/games';
import { lineKey, type LineChecks } from '~/core/words/checks';
import { WORDED, type Worded } from '~/core/words/message';
import { db } from '../db';
import { person, wordingCheck } from '../schema';

export async function lineChecks(gameId: string): Promise<LineChecks> {
  const words = gameOf(gameId).words;
  const rows = await db()
    .selectDistinctOn([wordingCheck.messageId, wordingCheck.language], {
      check: wordingCheck,
      by: person.name,
    })
    .from(wordingCheck)
    .leftJoin(person, eq(person.id, wordingCheck.personId))
    .where(eq(wordingCheck.gameId, gameId))
    .orderBy(wordingCheck.messageId, wordingCheck.language, desc(wordingCheck.at));
  const checks: LineChecks = {};
  for (const { check, by } of rows) {
    const now = words[check.language as Worded]?.[check.messageId];
    if (now === check.message)
      checks[lineKey(check.messageId, check.language)] = {
        right: check.right,
        note: check.note,
        by: by ?? 'someone',
      };
  }
  return checks;
}

export async function addLineChecks(
  rows: {
    gameId: string;
    messageId: string;
    language: Worded;
    right: boolean;
    note: string;
    personId: string;
  }[],
): Promise<void> {
  if (rows.length)
    await db()
      .insert(wordingCheck)
      .values(
        rows.map((row) => ({ ...row, message: gameOf(row.gameId).words[row.language][row.messageId]! })),
      );
}

/** For each game, how many lines of a language nobody has found right yet. English is the source and counts as checked. */
export async function uncheckedLines(): Promise<
  { gameId: string; language: Worded; unchecked: number; lines: number }[]
> {
  const result = [];
  for (const game of SHELF) {
    const checks = await lineChecks(game.id);
    for (const language of WORDED) {
      if (language === 'en') continue;
      const ids = Object.keys(game.words[language]);
      result.push({
        gameId: game.id,
        language,
        lines: ids.length,
        unchecked: ids.filter((id) => !checks[lineKey(id, language)]?.right).length,
      });
    }
  }
  return result;
}

/** Game ids with the languages in which every line was found right. */
export async function checkedLanguages(): Promise<Record<string, Worded[]>> {
  const checked: Record<string, Worded[]> = {};
  for (const { gameId, language, unchecked } of await uncheckedLines())
    if (unchecked === 0) (checked[gameId] ??= []).push(language);
  return checked;
}
