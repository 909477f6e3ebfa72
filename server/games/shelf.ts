/** The shelf's entries. They follow from the code alone, so each is worked out once. */
import { SHELF } from '~/core/games';
import { entryOf, type ShelfEntry } from '~/core/games/catalogue';

let entries: ShelfEntry[] | undefined;

export const shelfEntries = (): ShelfEntry[] => (entries ??= SHELF.map(entryOf));
// The first visitor should not wait for it.
setTimeout(shelfEntries, 0);
