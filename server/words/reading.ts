/** What an invited reader reads: the lines of a kit or of a game, in the order of the sheet. */
import type { Variant } from '~/core/games/kit/game';
import { gameFor, open } from '~/core/own/open';
import { linesOnce, ordinary, type LineOnce } from '~/core/pack/desk';
import { nameOf } from '~/core/words/reading';
import type { SchoolHandle } from '~/data/db';
import { findKit } from '~/data/queries/kits';
import { readerOf, wordsOf, type ReaderLink, type ReadersWord } from '~/data/queries/readers';
import { readingAt } from '~/data/queries/wording';
import { allStates } from '~/data/queries/words';
import { data } from 'react-router';
import { showTime } from '../changes';
import { requireGame } from '../games/find';
import { mayVisit, wrongLink } from '../limits';
import { hashOf } from '../people/session';
import { notFound, tooOften } from '../refusals';

export interface ToRead extends LineOnce {
  /** "two-tone-spill goal": where the line is worded, and its name there. */
  key: string;
  gameName: string;
  message: string;
  /** What this reader said of it as it is worded now. */
  word?: ReadersWord;
}

/** Throws a page with a clear sentence for a link that opens nothing. */
export async function opened(key: string, address: string) {
  const found = /^[\w-]{32}$/.test(key) ? await readerOf(hashOf(key)) : undefined;
  if (!found) {
    if (!(await wrongLink(address))) throw tooOften('Please wait some minutes and open the link again.');
    throw notFound('This link', 'Look at the message again: the whole link is needed.');
  }
  const { link } = found;
  if (!(await mayVisit(link.id, address))) throw tooOften('Please wait a minute and go on.');
  if (link.closedAt || link.expiresAt < new Date())
    throw data(
      {
        title: 'This link is closed',
        text: `It was open until ${showTime(found.at, link.closedAt ?? link.expiresAt)}. Thank you for what you have read. Ask ${found.school.name} for another link if you would like to go on.`,
      },
      { status: 410 },
    );
  return found;
}

async function variantsOf(at: SchoolHandle, { kitId, gameId }: ReaderLink): Promise<Variant[]> {
  if (kitId) return ((await findKit(at, kitId))?.variants ?? []).map((one) => open(one));
  return [ordinary(gameFor(await requireGame(at, gameId ?? '')))];
}

/** All lines that are asked of a reader; those that are right already only where they are to be read again. */
export async function linesToRead(at: SchoolHandle, link: ReaderLink): Promise<ToRead[]> {
  const [variants, reading, words] = await Promise.all([
    variantsOf(at, link),
    readingAt(at, link.language),
    wordsOf(at, link.id),
  ]);
  const states = await allStates(
    at,
    variants.map(({ game }) => game),
    link.language,
  );
  return linesOnce(variants, reading).flatMap(({ message, ...line }): ToRead[] => {
    // What no sheet of this kit says is nobody's to read for it.
    if (message === undefined || (line.part === 'other' && link.kitId)) return [];
    const key = `${line.home} ${line.id}`;
    const said = words.get(key);
    const word = said?.message === message ? said : undefined;
    const right = states.get(line.game.id)?.get(line.id)?.kind === 'checked';
    if (right && !word && !link.again) return [];
    return [{ ...line, key, message, gameName: nameOf(line.game, reading), ...(word ? { word } : {}) }];
  });
}
