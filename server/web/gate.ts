/**
 * Who may bring how much: looked at before a body is read. Whoever is nobody here brings no more than a form to sign in
 * has; a link brings what its page takes, and only while there is such a link.
 */
import { schoolOfMessage } from '~/data/queries/outbox';
import { gatheringOf } from '~/data/queries/gatherings';
import { readerOf } from '~/data/queries/readers';
import { schoolOfLink } from '~/data/queries/schools';
import { mayBringPicture } from '../limits';
import { hashOf, whoIs } from '../people/session';

/** The most bytes of a form, and of one that may bring files. */
export interface Room {
  form: number;
  files: number;
}

/** A form to sign in or to set a password. */
const STRANGER: Room = { form: 20_000, files: 20_000 };
/** The largest form, and one that brings a file; a list of 2,000 families has less than a megabyte. */
const STAFF: Room = { form: 1_000_000, files: 1_300_000 };
/** All lines in one language, which come in on one page only, have some two megabytes. */
const LINES: Room = { form: 1_000_000, files: 3_300_000 };
/** Words of a family. */
const FAMILY: Room = { form: 200_000, files: 200_000 };
/** The answer of a family may bring a picture, as large as a phone makes it. */
const PICTURE: Room = { form: 200_000, files: 8_400_000 };
/** A reader may say a line aloud. */
const READER: Room = { form: 200_000, files: 700_000 };

const PATHS = {
  family: /^\/p\/([\w-]{22})\/(answer|next)(\.data)?$/,
  message: /^\/a\/([\w-]{22})(\.data)?$/,
  table: /^\/in\/([\w-]{32})(\.data)?$/,
  reader: /^\/read\/([\w-]{32})(\.data)?$/,
} as const;

/** How much a request may bring. `long` says that it brings more than words. */
export async function roomFor(request: Request, long: boolean): Promise<Room> {
  const { pathname } = new URL(request.url);
  const family = PATHS.family.exec(pathname);
  if (family) {
    const [, key = '', page] = family;
    if (!(await schoolOfLink(key))) return STRANGER;
    return page === 'answer' && (!long || (await mayBringPicture(key))) ? PICTURE : FAMILY;
  }
  const [message, table, reader] = [PATHS.message, PATHS.table, PATHS.reader].map(
    (path) => path.exec(pathname)?.[1],
  );
  if (message) return (await schoolOfMessage(message)) ? FAMILY : STRANGER;
  if (table) return (await gatheringOf(hashOf(table))) ? FAMILY : STRANGER;
  if (reader) return (await readerOf(hashOf(reader))) ? READER : STRANGER;
  if (!(await whoIs(request))) return STRANGER;
  return /^\/word\/out-and-in(\.data)?$/.test(pathname) ? LINES : STAFF;
}
