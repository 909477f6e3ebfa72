/** The shelf's entries: those of the code are worked out once, those of the school's own games when they change. */
import { gameFor, type GameRef } from '~/core/own/open';
import type { ShelfEntry } from '~/core/games/shelf/catalogue';
import { closedGame } from '~/core/own/closed';
import { nameOf } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { entryOf, shelf } from '../threads';

let entries: Promise<ShelfEntry[]> | undefined;

/** What the shelf says of its games. */
export function shelfEntries(): Promise<ShelfEntry[]> {
  if (!entries) {
    entries = shelf();
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
    const names = [nameOf({ words }), nameOf({ words }, readingOf('es'))];
    return { ...about, gameId: id, name: names[0]!, names, presets: [] };
  }
}
