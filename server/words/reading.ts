/** What an invited reader reads: the lines of a kit or of a game, in the order of the sheet. */
import { settle, type Variant } from '~/core/games/kit/game';
import { gameFor, open } from '~/core/own/open';
import { deskGroups, type DeskGroup, type DeskLine } from '~/core/pack/desk';
import type { Worded } from '~/core/pack/sources';
import { englishOf, isShared, messageIn, nameOf } from '~/core/words/reading';
import { SHARED } from '~/core/words/shared';
import type { SchoolHandle } from '~/data/db';
import { findKit } from '~/data/queries/kits';
import { readerOf, wordsOf, type ReaderLink, type ReadersWord } from '~/data/queries/readers';
import { readingAt } from '~/data/queries/wording';
import { lineStates } from '~/data/queries/words';
import { data } from 'react-router';
import { showTime } from '../changes';
import { requireGame } from '../games/find';
import { mayVisit, wrongLink } from '../limits';
import { hashOf } from '../people/session';
import { notFound, tooOften } from '../refusals';

export interface ToRead extends DeskLine {
  /** "two-tone-spill goal": where the line is worded, and its name there. */
  key: string;
  /** What it is worded in: its game, or what games share. */
  home: string;
  game: Worded;
  gameName: string;
  part: DeskGroup['part'];
  english: string;
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
  const game = gameFor(await requireGame(at, gameId ?? ''));
  return [settle(game, (game.presets[1] ?? game.presets[0]!).params)];
}

/** All lines that are asked of a reader; those that are right already only where they are to be read again. */
export async function linesToRead(at: SchoolHandle, link: ReaderLink): Promise<ToRead[]> {
  const [variants, reading, words] = await Promise.all([
    variantsOf(at, link),
    readingAt(at, link.language),
    wordsOf(at, link.id),
  ]);
  const seen = new Set<string>();
  const lines: ToRead[] = [];
  for (const variant of variants) {
    const { game } = variant;
    const states = await lineStates(at, game, link.language);
    for (const { part, lines: inPart } of deskGroups(variant)) {
      // What no sheet of this kit says is nobody's to read for it.
      if (part === 'other' && link.kitId) continue;
      for (const line of inPart) {
        const message = messageIn(reading, game.words, line.id);
        const home = isShared(reading, game.words, line.id) ? SHARED.id : game.id;
        const key = `${home} ${line.id}`;
        if (message === undefined || seen.has(key)) continue;
        seen.add(key);
        const said = words.get(key);
        const word = said?.message === message ? said : undefined;
        if (!link.again && !word && states[line.id]?.kind === 'checked') continue;
        lines.push({
          ...line,
          key,
          home,
          game: { id: game.id, words: game.words },
          gameName: nameOf(game, reading),
          part,
          english: englishOf(reading, game.words, line.id)!,
          message,
          ...(word ? { word } : {}),
        });
      }
    }
  }
  return lines;
}
