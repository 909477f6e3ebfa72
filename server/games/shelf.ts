/** The shelf's entries: those of the code are reckoned when it is built, those of the school's own games when they change. */
import { readFile } from 'node:fs/promises';
import { gameFor, type GameRef } from '~/core/own/open';
import type { ShelfEntry } from '~/core/games/shelf/catalogue';
import { closedGame } from '~/core/own/closed';
import { nameOf } from '~/core/words/reading';
import { namesOf } from '~/core/words/readings';
import { entryOf, shelf } from '../threads';

let entries: Promise<ShelfEntry[]> | undefined;

/** What the shelf says of its games. */
export function shelfEntries(): Promise<ShelfEntry[]> {
  if (!entries) {
    // Tests and commands have no build: a thread reckons them.
    entries = import.meta.env?.PROD
      ? readFile('build/threads/shelf.json', 'utf8').then((text) => JSON.parse(text) as ShelfEntry[])
      : shelf();
    entries.catch(() => (entries = undefined));
  }
  return entries;
}

/** What the shelf says of a game of the school's own. One that takes too long to reckon stands there as closed. */
export async function ownEntry(ref: GameRef): Promise<ShelfEntry> {
  try {
    return await entryOf(ref);
  } catch {
    const { id, words, ...about } = closedGame(ref.gameId, nameOf(gameFor(ref)), 'it takes too long.');
    const names = namesOf({ words });
    return { ...about, gameId: id, name: names[0]!, names, presets: [] };
  }
}
