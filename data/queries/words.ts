import { desc, eq, inArray } from 'drizzle-orm';
import { SHELF } from '~/core/games';
import type { Game } from '~/core/games/types';
import { ownGame, ownGameId } from '~/core/own/game';
import { lineKey, type LineChecks } from '~/core/words/checks';
import { WORDED, type Worded } from '~/core/words/message';
import { db } from '../db';
import { person, wordingCheck } from '../schema';
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
const latest = (games: readonly Game[]): Promise<Row[]> =>
  db()
    .selectDistinctOn([wordingCheck.gameId, wordingCheck.messageId, wordingCheck.language], {
      gameId: wordingCheck.gameId,
      messageId: wordingCheck.messageId,
      language: wordingCheck.language,
      message: wordingCheck.message,
      right: wordingCheck.right,
      note: wordingCheck.note,
      by: person.name,
    })
    .from(wordingCheck)
    .leftJoin(person, eq(person.id, wordingCheck.personId))
    .where(
      inArray(
        wordingCheck.gameId,
        games.map(({ id }) => id),
      ),
    )
    .orderBy(wordingCheck.gameId, wordingCheck.messageId, wordingCheck.language, desc(wordingCheck.at));

/** A check holds for the line as it was read: for another wording it counts no more. */
function holding(game: Game, rows: readonly Row[]): LineChecks {
  const checks: LineChecks = {};
  for (const { messageId, language, message, right, note, by } of rows)
    if (game.words[language as Worded]?.[messageId] === message)
      checks[lineKey(messageId, language)] = { right, note, by: by ?? 'someone' };
  return checks;
}

export const lineChecks = async (game: Game): Promise<LineChecks> => holding(game, await latest([game]));

export async function addLineChecks(
  game: Game,
  rows: { messageId: string; language: Worded; right: boolean; note: string; personId: string }[],
): Promise<void> {
  if (rows.length)
    await db()
      .insert(wordingCheck)
      .values(
        rows.map((row) => ({ ...row, gameId: game.id, message: game.words[row.language][row.messageId]! })),
      );
}

/** Every game there is to word: the shelf and the school's own. */
export const wordedGames = async (): Promise<Game[]> => [
  ...SHELF,
  ...(await listOwnGames()).map(({ id, definition }) => ownGame(definition, ownGameId(id))),
];

interface Unchecked {
  gameId: string;
  name: string;
  language: Worded;
  unchecked: number;
  lines: number;
}
/** For each game as it is worded, how many lines of a language nobody has found right yet. English is the source and counts as checked. */
async function uncheckedIn(games: readonly Game[]): Promise<Unchecked[]> {
  const rows = await latest(games);
  return games.flatMap((game) => {
    const checks = holding(
      game,
      rows.filter((row) => row.gameId === game.id),
    );
    return WORDED.filter((language) => language !== 'en').map((language) => {
      const ids = Object.keys(game.words[language]);
      return {
        gameId: game.id,
        name: game.words.en.name!,
        language,
        lines: ids.length,
        unchecked: ids.filter((id) => !checks[lineKey(id, language)]?.right).length,
      };
    });
  });
}

/** What waits on the words desk, game by game. */
export const uncheckedLines = async (): Promise<Unchecked[]> => uncheckedIn(await wordedGames());

/**
 * Ids of these games with the languages in which every line was found right, as it is worded in the game that is
 * given: one of the school's own may have been worded anew since it was put into a kit. A game that is given in
 * several wordings is checked where all of them are.
 */
export async function checkedLanguages(games: readonly Game[]): Promise<Record<string, Worded[]>> {
  const all = await uncheckedIn(games);
  const checked: Record<string, Worded[]> = {};
  for (const { id } of games)
    checked[id] = WORDED.filter((language) => {
      const here = all.filter((one) => one.gameId === id && one.language === language);
      return here.length > 0 && here.every(({ unchecked }) => unchecked === 0);
    });
  return checked;
}
