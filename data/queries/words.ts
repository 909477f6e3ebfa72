import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import { same } from '~/core/check/merge';
import { SHELF } from '~/core/games/shelf';
import { gameFor } from '~/core/own/open';
import { AROUND, type Worded } from '~/core/pack/sources';
import { ownGameId } from '~/core/own/ids';
import {
  checkOf,
  lineKey,
  schoolsWord,
  stateOf,
  type LineAsItIs,
  type LineChecks,
  type LineState,
} from '~/core/words/checks';
import type { Language } from '~/core/words/languages';
import { englishOf, isShared, messageIn, nameOf, type Reading } from '~/core/words/reading';
import { SHARED } from '~/core/words/shared';
import { readingAt, readingsAt } from './wording';
import { findSchool } from './schools';
import { type SchoolHandle, transaction } from '../db';
import { person, readerLink, wordingCheck } from '../schema';
import { ours } from './ours';
import { passOn } from './sharing';
import { log } from './changes';
import { listOwnGames } from './games';

type Row = {
  gameId: string;
  messageId: string;
  language: string;
  message: string;
  english: string | null;
  right: boolean;
  note: string;
  unsure: boolean;
  readerId: string | null;
  by: string | null;
  at: Date;
};

/** Each invited reader is a voice of its own; all of the school are one. */
const voice = sql`coalesce(${wordingCheck.readerId}::text, '')`;

/** The latest word of each voice on each line of these games, and of the lines that games share. */
export const latest = (at: SchoolHandle, games: readonly Worded[]): Promise<Row[]> =>
  at
    .selectDistinctOn([wordingCheck.gameId, wordingCheck.messageId, wordingCheck.language, voice], {
      gameId: wordingCheck.gameId,
      messageId: wordingCheck.messageId,
      language: wordingCheck.language,
      message: wordingCheck.message,
      english: wordingCheck.english,
      right: wordingCheck.right,
      note: wordingCheck.note,
      unsure: wordingCheck.unsure,
      readerId: wordingCheck.readerId,
      by: sql<string | null>`coalesce(${person.name}, ${readerLink.reader}, ${wordingCheck.elsewhere})`,
      at: wordingCheck.at,
    })
    .from(wordingCheck)
    .leftJoin(person, eq(person.id, wordingCheck.personId))
    .leftJoin(readerLink, and(ours(at, readerLink), eq(readerLink.id, wordingCheck.readerId)))
    .where(
      and(ours(at, wordingCheck), inArray(wordingCheck.gameId, [...games.map(({ id }) => id), SHARED.id])),
    )
    .orderBy(
      wordingCheck.gameId,
      wordingCheck.messageId,
      wordingCheck.language,
      voice,
      desc(wordingCheck.at),
    );

/** A game in a reading, line by line. */
const asItIs = (game: Worded, reading: Reading, messageId: string): LineAsItIs => ({
  message: messageIn(reading, game.words, messageId),
  english: englishOf(reading, game.words, messageId),
});

/** Where each line stands of which something was said: what games say alike is read once for all of them. */
function statesIn(game: Worded, rows: readonly Row[], reading: Reading): Map<string, LineState> {
  const lines = new Map<string, Row[]>();
  for (const row of rows) {
    const { gameId, messageId } = row;
    if (row.language !== reading.language) continue;
    if (gameId !== game.id && !(gameId === SHARED.id && isShared(reading, game.words, messageId))) continue;
    lines.set(messageId, [...(lines.get(messageId) ?? []), row]);
  }
  return new Map(
    [...lines].map(([id, read]) => [
      id,
      stateOf(
        read
          .map((row) => ({ ...row, by: row.by ?? SOMEBODY, invited: row.readerId !== null }))
          .sort((a, b) => a.at.getTime() - b.at.getTime()),
        asItIs(game, reading, id),
      ),
    ]),
  );
}

/** What was said of each line, as far as it holds. */
export function holding(game: Worded, rows: readonly Row[], readings: readonly Reading[]): LineChecks {
  const checks: LineChecks = {};
  for (const reading of readings)
    for (const [id, state] of statesIn(game, rows, reading)) {
      const check = checkOf(state);
      if (check) checks[lineKey(id, reading.language)] = check;
    }
  return checks;
}
const SOMEBODY = 'someone';

/** The latest word on each line of a game in a language, as far as it holds. */
export async function lineChecks(at: SchoolHandle, game: Worded, language: Language): Promise<LineChecks> {
  const [rows, reading] = await Promise.all([latest(at, [game]), readingAt(at, language)]);
  return holding(game, rows, [reading]);
}

/** Where each line of a game stands in a language, by its id. */
export async function lineStates(
  at: SchoolHandle,
  game: Worded,
  language: Language,
): Promise<Record<string, LineState>> {
  const [rows, reading] = await Promise.all([latest(at, [game]), readingAt(at, language)]);
  const states = statesIn(game, rows, reading);
  return Object.fromEntries(
    Object.keys(game.words.en).map((id) => [id, states.get(id) ?? { kind: 'unchecked' }]),
  );
}

/** A word on a line, said at the school or through a reader's link. */
export type NewWord = { messageId: string; language: Language; right: boolean; note: string } & (
  { personId: string } | { readerId: string; unsure: boolean }
);

/** Where each line of these games stands in a language, by game and line; lines of which nobody said anything are left out. */
export async function allStates(
  at: SchoolHandle,
  games: readonly Worded[],
  language: Language,
): Promise<Map<string, ReadonlyMap<string, LineState>>> {
  const [rows, reading] = await Promise.all([latest(at, games), readingAt(at, language)]);
  return new Map(games.map((game) => [game.id, statesIn(game, rows, reading)]));
}

export async function addLineChecks(at: SchoolHandle, game: Worded, rows: NewWord[]): Promise<void> {
  if (rows.length) await transaction(at, (tx) => insertChecks(tx, game, rows));
}

async function insertChecks(tx: SchoolHandle, game: Worded, rows: NewWord[]): Promise<void> {
  const readings = await readingsAt(tx, [...new Set(rows.map(({ language }) => language))]);
  await tx.insert(wordingCheck).values(
    rows.map((row) => {
      const reading = readings.find(({ language }) => language === row.language)!;
      return {
        ...row,
        gameId: isShared(reading, game.words, row.messageId) ? SHARED.id : game.id,
        message: messageIn(reading, game.words, row.messageId)!,
        english: englishOf(reading, game.words, row.messageId)!,
      };
    }),
  );
  // What a reader says through a link stands beside the line, under the reader's name.
  const [first] = rows;
  if (first && 'personId' in first)
    await log(tx, {
      thing: 'wording',
      thingId: game.id,
      kind: 'changed',
      after: Object.fromEntries(rows.map(({ messageId, right, note }) => [messageId, { right, note }])),
      personId: first.personId,
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
  game: Worded,
  language: Language,
  lines: readonly LineWord[],
  personId: string,
): Promise<{ saved: number; clashes: LineClash[] }> {
  return transaction(at, async (tx) => {
    // One reader after the other for one game in one language.
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`${tx.schoolId} ${game.id} ${language}`}))`);
    const now = statesIn(game, await latest(tx, [game]), await readingAt(tx, language));
    const clashes: LineClash[] = [];
    const rows = lines.flatMap(({ messageId, right, note, had }) => {
      const there = schoolsWord(now.get(messageId) ?? { kind: 'unchecked' });
      const theirs = { right: there.right, note: there.note };
      const mine = { right, note };
      if (same(mine, had) || same(mine, theirs)) return [];
      if (!same(had, theirs)) {
        clashes.push({ messageId, by: there.by ?? 'Somebody', mine, theirs });
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

/** Everything there is to word: the shelf, the school's own games, and what stands around them. */
export const wordedGames = async (at: SchoolHandle): Promise<(Worded & { title?: string })[]> => [
  ...SHELF,
  ...(await listOwnGames(at)).map(({ id, definition }) =>
    gameFor({ gameId: ownGameId(id), own: definition }),
  ),
  ...AROUND,
];

/** Something with lines, of which only some may be said. */
export type Said = Worded & { lines?: readonly string[] };

interface Unchecked {
  gameId: string;
  name: string;
  language: Language;
  unchecked: number;
  lines: number;
  /** Lines without any wording: families read them in English. */
  missing: number;
}
/** For each game as it is worded, how many lines of a language nobody has found right yet. English is the source and counts as checked. */
async function uncheckedIn(
  at: SchoolHandle,
  games: readonly (Said & { title?: string })[],
): Promise<Unchecked[]> {
  const { languages } = await findSchool(at);
  const [rows, readings] = await Promise.all([
    latest(at, games),
    readingsAt(
      at,
      languages.filter((language) => language !== 'en'),
    ),
  ]);
  return games.flatMap((game) => {
    const checks = holding(game, rows, readings);
    return readings.map((reading) => {
      const { language } = reading;
      const all = game.lines ?? Object.keys(game.words.en);
      const ids = all.filter((id) => messageIn(reading, game.words, id) !== undefined);
      return {
        gameId: game.id,
        name: game.title ?? nameOf(game),
        language,
        lines: ids.length,
        missing: all.length - ids.length,
        unchecked: ids.filter((id) => !checks[lineKey(id, language)]?.right).length,
      };
    });
  });
}

/** What waits on the words desk, game by game. */
export const uncheckedLines = async (at: SchoolHandle): Promise<Unchecked[]> =>
  uncheckedIn(at, await wordedGames(at));

/**
 * Ids of these games with the languages in which every line that is said of it was found right, as it is worded in the game that is
 * given: one of the school's own may have been worded anew since it was put into a kit. A game that is given in
 * several wordings is checked where all of them are.
 */
export async function checkedLanguages(
  at: SchoolHandle,
  games: readonly Said[],
): Promise<Record<string, Language[]>> {
  const all = await uncheckedIn(at, games);
  const checked: Record<string, Language[]> = {};
  for (const { id } of games) {
    const here = all.filter((one) => one.gameId === id);
    checked[id] = [...new Set(here.map(({ language }) => language))].filter((language) =>
      here.every((one) => one.language !== language || one.unchecked + one.missing === 0),
    );
  }
  return checked;
}
