import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import { same } from '~/core/check/merge';
import { SHELF } from '~/core/games/shelf';
import { gameFor } from '~/core/own/open';
import type { Game } from '~/core/games/kit/game';
import { ownGameId } from '~/core/own/ids';
import { lineKey, type LineChecks } from '~/core/words/checks';
import { WORDED, type Worded } from '~/core/words/languages';
import { linesOf, messageIn, nameOf } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { type SchoolHandle, transaction } from '../db';
import { person, wordingCheck } from '../schema';
import { ours } from './ours';
import { passOn } from './sharing';
import { log } from './changes';
import { listOwnGames } from './games';

type Row = {
  gameId: string;
  messageId: string;
  language: string;
  message: string;
  right: boolean;
  note: string;
  by: string | null;
};

/** The latest check of each line of these games. */
const latest = (at: SchoolHandle, games: readonly Game[]): Promise<Row[]> =>
  at
    .selectDistinctOn([wordingCheck.gameId, wordingCheck.messageId, wordingCheck.language], {
      gameId: wordingCheck.gameId,
      messageId: wordingCheck.messageId,
      language: wordingCheck.language,
      message: wordingCheck.message,
      right: wordingCheck.right,
      note: wordingCheck.note,
      by: sql<string | null>`coalesce(${person.name}, ${wordingCheck.elsewhere})`,
    })
    .from(wordingCheck)
    .leftJoin(person, eq(person.id, wordingCheck.personId))
    .where(
      and(
        ours(at, wordingCheck),
        inArray(
          wordingCheck.gameId,
          games.map(({ id }) => id),
        ),
      ),
    )
    .orderBy(wordingCheck.gameId, wordingCheck.messageId, wordingCheck.language, desc(wordingCheck.at));

/** A check holds for the line as it was read: for another wording it counts no more. */
function holding(game: Game, rows: readonly Row[]): LineChecks {
  const checks: LineChecks = {};
  for (const { messageId, language, message, right, note, by } of rows)
    if (messageIn(readingOf(language as Worded), game.words, messageId) === message)
      checks[lineKey(messageId, language)] = { right, note, by: by ?? 'someone' };
  return checks;
}

export const lineChecks = async (at: SchoolHandle, game: Game): Promise<LineChecks> =>
  holding(game, await latest(at, [game]));

export async function addLineChecks(
  at: SchoolHandle,
  game: Game,
  rows: { messageId: string; language: Worded; right: boolean; note: string; personId: string }[],
): Promise<void> {
  if (rows.length) await transaction(at, (tx) => insertChecks(tx, game, rows));
}

async function insertChecks(
  tx: SchoolHandle,
  game: Game,
  rows: { messageId: string; language: Worded; right: boolean; note: string; personId: string }[],
): Promise<void> {
  await tx.insert(wordingCheck).values(
    rows.map((row) => ({
      ...row,
      gameId: game.id,
      message: messageIn(readingOf(row.language), game.words, row.messageId)!,
    })),
  );
  await log(tx, {
    thing: 'wording',
    thingId: game.id,
    kind: 'changed',
    after: Object.fromEntries(rows.map(({ messageId, right, note }) => [messageId, { right, note }])),
    personId: rows[0]!.personId,
  });
}

/** What a reader says of a line, and what the form showed of it when it was opened. */
export interface LineWord {
  messageId: string;
  right: boolean;
  note: string;
  had: { right: boolean; note: string };
}

/** A line about which somebody else said something other meanwhile. */
export interface LineClash {
  messageId: string;
  by: string;
  mine: { right: boolean; note: string };
  theirs: { right: boolean; note: string };
}

/**
 * Keeps what a reader changed of the lines of a form; lines left as they were shown stay as they are now, whatever
 * others said meanwhile. Lines that somebody else changed in another way are not kept, and are answered.
 */
export function saveLineWords(
  at: SchoolHandle,
  game: Game,
  language: Worded,
  lines: readonly LineWord[],
  personId: string,
): Promise<{ saved: number; clashes: LineClash[] }> {
  return transaction(at, async (tx) => {
    // One reader after the other for one game in one language.
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`${tx.schoolId} ${game.id} ${language}`}))`);
    const now = holding(game, await latest(tx, [game]));
    const clashes: LineClash[] = [];
    const rows = lines.flatMap(({ messageId, right, note, had }) => {
      const there = now[lineKey(messageId, language)];
      const theirs = { right: there?.right ?? false, note: there?.note ?? '' };
      const mine = { right, note };
      if (same(mine, had) || same(mine, theirs)) return [];
      if (!same(had, theirs)) {
        clashes.push({ messageId, by: there?.by ?? 'Somebody', mine, theirs });
        return [];
      }
      return [{ messageId, language, right, note, personId }];
    });
    if (rows.length) {
      await insertChecks(tx, game, rows);
      await passOn(tx, 'wording', language, personId);
    }
    return { saved: rows.length, clashes };
  });
}

/** Every game there is to word: the shelf and the school's own. */
export const wordedGames = async (at: SchoolHandle): Promise<Game[]> => [
  ...SHELF,
  ...(await listOwnGames(at)).map(({ id, definition }) =>
    gameFor({ gameId: ownGameId(id), own: definition }),
  ),
];

interface Unchecked {
  gameId: string;
  name: string;
  language: Worded;
  unchecked: number;
  lines: number;
}
/** For each game as it is worded, how many lines of a language nobody has found right yet. English is the source and counts as checked. */
async function uncheckedIn(at: SchoolHandle, games: readonly Game[]): Promise<Unchecked[]> {
  const rows = await latest(at, games);
  return games.flatMap((game) => {
    const checks = holding(
      game,
      rows.filter((row) => row.gameId === game.id),
    );
    return WORDED.filter((language) => language !== 'en').map((language) => {
      const ids = Object.keys(linesOf(readingOf(language), game.words));
      return {
        gameId: game.id,
        name: nameOf(game),
        language,
        lines: ids.length,
        unchecked: ids.filter((id) => !checks[lineKey(id, language)]?.right).length,
      };
    });
  });
}

/** What waits on the words desk, game by game. */
export const uncheckedLines = async (at: SchoolHandle): Promise<Unchecked[]> =>
  uncheckedIn(at, await wordedGames(at));

/**
 * Ids of these games with the languages in which every line was found right, as it is worded in the game that is
 * given: one of the school's own may have been worded anew since it was put into a kit. A game that is given in
 * several wordings is checked where all of them are.
 */
export async function checkedLanguages(
  at: SchoolHandle,
  games: readonly Game[],
): Promise<Record<string, Worded[]>> {
  const all = await uncheckedIn(at, games);
  const checked: Record<string, Worded[]> = {};
  for (const { id } of games)
    checked[id] = WORDED.filter((language) => {
      const here = all.filter((one) => one.gameId === id && one.language === language);
      return here.length > 0 && here.every(({ unchecked }) => unchecked === 0);
    });
  return checked;
}
