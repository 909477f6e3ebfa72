/** What a family page shows, found by the link of its label. */
import { clock } from '~/core/words/clock';
import { FAMILY_WORDS } from '~/core/words/family';
import { ENGLISH, excerpt, linesOf, type Reading } from '~/core/words/reading';
import { randomBytes } from 'node:crypto';
import { createCookie } from 'react-router';
import { mayAnswer } from '~/core/lending/due';
import { aboutLanguage, SHIPPED_LANGUAGES, type Language } from '~/core/words/languages';
import { languageFor } from '~/core/words/trouble';
import { atSchool, type SchoolHandle } from '~/data/db';
import { asking } from '~/data/pools';
import { findCopy, type CopyRow } from '~/data/queries/copies';
import { findLoanOf, lastLoanOf } from '~/data/queries/lending';
import { boundTo, schoolOfLink } from '~/data/queries/schools';
import { readingsAt } from '~/data/queries/wording';
import { readingOf } from '~/core/words/readings';
import { isOpenedFor } from '~/data/queries/browsers';
import { hashOf } from './people/session';
import { isId } from './ids';
import { mayVisit, wrongLink } from './limits';
import { today } from './today';

/** A language that a family page can be read in. */
export interface Offered {
  tag: Language;
  own: string;
  direction: 'ltr' | 'rtl';
}

export type FamilyPage =
  | {
      refused: 'busy' | 'unknown';
      status: number;
      language: Language;
      reading: Reading;
      languages: Offered[];
    }
  | {
      refused?: undefined;
      language: Language;
      /** All wording in that language, as the school has it. */
      reading: Reading;
      languages: Offered[];
      /** The way to the rows of the school that the basket belongs to. */
      at: SchoolHandle;
      copy: CopyRow;
      /** The loan that this page was opened for, while an answer is accepted. */
      loanId: string | undefined;
      /** The page was opened for a loan of another family that had this basket before. */
      others: boolean;
      /** How families reach the school. */
      contact: string;
      /** Keeps in this browser for which loan the page was opened. */
      headers: Headers;
    };

const WEEKS = 26;
/** A cookie of the pages of one label. */
const cookieOf = (name: string) => (linkKey: string, secure: boolean) =>
  createCookie(secure ? `__Secure-${name}` : name, {
    secure,
    httpOnly: true,
    sameSite: 'lax',
    path: `/p/${linkKey}`,
    maxAge: WEEKS * 7 * 86_400,
  });
/** For which loan a browser opened the page of a copy. It names the loan and nothing about the family. */
const opened = cookieOf('fern-loan');

/** Which browser this is to a family: without it a page shows the game, takes an answer, and asks for nothing. */
const browserOf = cookieOf('fern-family');
const isSecure = (request: Request): boolean => new URL(request.url).protocol === 'https:';

/** Whether this browser may ask for the family that has this loan. */
export async function mayAsk(
  request: Request,
  at: SchoolHandle,
  linkKey: string,
  loanId: string,
): Promise<boolean> {
  const token: unknown = await browserOf(linkKey, isSecure(request)).parse(request.headers.get('Cookie'));
  return typeof token === 'string' && isOpenedFor(at, loanId, hashOf(token));
}

/** Opens this browser for a loan, by `open`; answers the cookie to keep, or undefined where it was not opened. */
export async function openFor(
  request: Request,
  linkKey: string,
  open: (tokenHash: string) => Promise<boolean>,
): Promise<string | undefined> {
  const cookie = browserOf(linkKey, isSecure(request));
  const before: unknown = await cookie.parse(request.headers.get('Cookie'));
  const token = typeof before === 'string' ? before : randomBytes(24).toString('base64url');
  return (await open(hashOf(token))) ? cookie.serialize(token) : undefined;
}

/**
 * Reads a family page. The language is the one asked for, else the home language of the family that has the copy;
 * nothing else about the family leaves this function. The page belongs to the loan it was first opened for in this
 * browser: a family that had the basket before does not answer for the next one. With `now` in the address the
 * family says that it has the basket now.
 */
export async function familyPage(request: Request, linkKey: string, address: string): Promise<FamilyPage> {
  const search = new URL(request.url).searchParams;
  const school = /^[\w-]{22}$/.test(linkKey) ? await schoolOfLink(linkKey) : undefined;
  const at = school && atSchool(boundTo(school));
  const readings =
    school && at ? await readingsAt(at, school.languages) : SHIPPED_LANGUAGES.map((one) => readingOf(one));
  // Where nothing at all is worded yet there is nothing to choose.
  const offered = readings.filter(
    (one) => one.language === 'en' || Object.keys(linesOf(one, FAMILY_WORDS)).length > 0,
  );
  const tags = offered.map(({ language }) => language);
  const asked = tags.find((language) => language === search.get('lang'));
  const preferred = asked ?? languageFor(request.headers.get('Accept-Language'), tags);
  const shown = (language: Language) => ({
    language,
    reading: offered.find((one) => one.language === language) ?? ENGLISH,
    languages: tags.map((tag) => {
      const { own, direction } = aboutLanguage(tag);
      return { tag, own, direction };
    }),
  });
  const copy = at && (await findCopy(at, { linkKey }));
  if (!copy)
    return (await wrongLink(address))
      ? { refused: 'unknown', status: 404, ...shown(preferred) }
      : { refused: 'busy', status: 429, ...shown(preferred) };
  if (!(await mayVisit(copy.id, address))) return { refused: 'busy', status: 429, ...shown(preferred) };
  const cookie = opened(linkKey, isSecure(request));
  const last = await lastLoanOf(at, copy.id);
  const kept: unknown = search.has('now') ? undefined : await cookie.parse(request.headers.get('Cookie'));
  const before = isId(kept) && kept !== last?.id ? await findLoanOf(at, copy.id, kept) : undefined;
  const others = before !== undefined && before.familyId !== last?.familyId;
  const current = others ? before : last;
  const open = current && mayAnswer(current.returnedOn, today(at)) && !(others && before.forgotten);
  const headers = new Headers();
  if (current && kept !== current.id) headers.append('Set-Cookie', await cookie.serialize(current.id));
  return {
    ...shown(
      asked ?? (open && !others && last ? (tags.find((one) => one === last.language) ?? 'en') : preferred),
    ),
    at,
    copy,
    loanId: open ? current.id : undefined,
    others,
    contact: school.contact,
    headers,
  };
}

/** What every family page shows: its own words in its language, and the languages there are. */
export const shownOf = ({ language, reading, languages }: FamilyPage, path: string) => ({
  language,
  reading: excerpt(reading, FAMILY_WORDS),
  languages,
  path,
});

/** The time at a school to which a page is true that was read while nobody knew the newest; undefined for any other page. */
export function readAsOf({ timeZone }: SchoolHandle, language: Language): string | undefined {
  const at = asking()?.asOf;
  return at && clock(language, { hour: 'numeric', minute: '2-digit', timeZone }).format(at);
}

/** Whether an answer that was begun for this loan of the copy may still be sent. */
export async function mayStillAnswer(at: SchoolHandle, copyId: string, loanId: string): Promise<boolean> {
  const found = await findLoanOf(at, copyId, loanId);
  return found !== undefined && !found.forgotten && mayAnswer(found.returnedOn, today(at));
}
