/** What the page shows at which a family answers a message, and what comes of its answer. */
import { createHash } from 'node:crypto';
import { SchoolDays } from '~/core/lending/calendar';
import { daysAfter, daysBetween } from '~/core/lending/due';
import type { EveningSaid } from '~/core/lending/reminders';
import { FAMILY_WORDS } from '~/core/words/family';
import { REMINDER_WORDS } from '~/core/words/reminders';
import { aboutLanguage, SHIPPED_LANGUAGES, type Language } from '~/core/words/languages';
import { ENGLISH, excerpt, linesOf, type Reading } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { languageFor } from '~/core/words/trouble';
import { atSchool, type SchoolHandle } from '~/data/db';
import { dueRules } from '~/data/queries/calendar';
import { renew } from '~/data/queries/lending';
import { findEvening } from '~/data/queries/evenings';
import { addAnswer } from '~/data/queries/listening';
import { askedBy, keepReply, schoolOfMessage, type Asked } from '~/data/queries/outbox';
import { boundTo } from '~/data/queries/schools';
import { readingsAt } from '~/data/queries/wording';
import { proposedDue } from './lending/due';
import { mayVisit, wrongLink } from './limits';
import type { Offered } from './play';
import { today } from './today';

/** A message is answered for so long. */
const ANSWER_DAYS = 90;
/** Days that are offered for bringing a bag back. */
const DAYS_OFFERED = 4;

/** What pages for families show in their words. */
export const wordsFor = (reading: Reading): Reading => excerpt(reading, FAMILY_WORDS, REMINDER_WORDS);

/** The languages that a page can be read in, and the one it is shown in: asked for, else the family's, else the browser's. */
export function offeredIn(readings: readonly Reading[], asked: string | null, own: string) {
  const tags = readings
    .filter((one) => one.language === 'en' || Object.keys(linesOf(one, FAMILY_WORDS)).length > 0)
    .map(({ language }) => language);
  const language = tags.find((one) => one === asked) ?? tags.find((one) => one === own) ?? 'en';
  return {
    language,
    reading: wordsFor(readings.find((one) => one.language === language) ?? ENGLISH),
    languages: tags.map((tag): Offered => {
      const { own: name, direction } = aboutLanguage(tag);
      return { tag, own: name, direction };
    }),
  };
}

type Shown = { language: Language; reading: Reading; languages: Offered[] };
export type ReplyPage = Shown &
  (
    | { refused: 'busy' | 'unknown' | 'over'; status: number }
    | { refused?: undefined; at: SchoolHandle; asked: Asked; days: string[] }
  );

/** Reads the page of a message. What it tells of the family is its bags, and nothing else. */
export async function replyPage(request: Request, key: string, address: string): Promise<ReplyPage> {
  const lang = new URL(request.url).searchParams.get('lang');
  const school = /^[\w-]{22}$/.test(key) ? await schoolOfMessage(key) : undefined;
  const at = school && atSchool(boundTo(school));
  const asked = at && (await askedBy(at, key));
  if (!asked) {
    const readings = SHIPPED_LANGUAGES.map((one) => readingOf(one));
    const shown = offeredIn(
      readings,
      lang,
      languageFor(request.headers.get('Accept-Language'), [...SHIPPED_LANGUAGES]),
    );
    return (await wrongLink(address))
      ? { refused: 'unknown', status: 404, ...shown }
      : { refused: 'busy', status: 429, ...shown };
  }
  const shown = offeredIn(await readingsAt(at, school.languages), lang, asked.language);
  if (!(await mayVisit(asked.id, address))) return { refused: 'busy', status: 429, ...shown };
  if (Date.now() - asked.createdAt.getTime() > ANSWER_DAYS * 86_400_000)
    return { refused: 'over', status: 410, ...shown };
  return { ...shown, at, asked, days: await daysToBring(at) };
}

/** The next days with school, from today on. */
async function daysToBring(at: SchoolHandle): Promise<string[]> {
  const { calendar } = await dueRules(at);
  const school = new SchoolDays(calendar);
  const from = today(at);
  const days: string[] = [];
  for (let i = 0; i <= 60 && days.length < DAYS_OFFERED; i++)
    if (school.hasSchool(daysAfter(from, i))) days.push(daysAfter(from, i));
  return days;
}

/** The evening that a message asks to; undefined where it asks about bags, or the evening is not planned any more. */
export async function invitedBy(at: SchoolHandle, { kind, once }: Asked): Promise<EveningSaid | undefined> {
  return kind === 'invitation' ? findEvening(at, once.replace('invitation ', '')) : undefined;
}
/** The family comes, or does not. */
export async function answersInvitation(at: SchoolHandle, asked: Asked, comes: boolean): Promise<Came> {
  await keepReply(at, asked.id, comes ? 'yes' : 'no', null);
  return { kind: comes ? 'yes' : 'no' };
}

/** What came of an answer, bag by bag. */
export type Came =
  | { kind: 'yes' | 'no' }
  | { kind: 'coming'; day: string }
  | { kind: 'lost' }
  | { kind: 'longer'; bags: { kitName: string; dueOn?: string; why?: 'waiting' | 'often' | 'never' }[] };

/** The family brings its bags on a day. */
export async function comesOn(at: SchoolHandle, asked: Asked, day: string): Promise<Came> {
  await keepReply(at, asked.id, 'coming', day);
  return { kind: 'coming', day };
}

/** The family keeps its bags longer, each that may stay. */
export async function keepsLonger(at: SchoolHandle, asked: Asked): Promise<Came> {
  const bags = [];
  const now = today(at);
  for (const { loanId, kitName, daysOut } of asked.bags) {
    const result = await renew(at, loanId, null, async (tx, dueOn) => {
      const from = daysBetween(now, dueOn) > 0 ? dueOn : now;
      return (await proposedDue(tx, from, daysOut, asked.group)).dueOn;
    });
    if (result.ok) bags.push({ kitName, dueOn: result.dueOn });
    else if (result.why !== 'home') bags.push({ kitName, why: result.why });
  }
  if (bags.some(({ dueOn }) => dueOn)) await keepReply(at, asked.id, 'longer', null);
  return { kind: 'longer', bags };
}

/** Something is lost or broken: it goes where the school reads of missing parts. Said twice on a day, it is kept once. */
export async function tellsLost(
  at: SchoolHandle,
  asked: Asked,
  loanId: string,
  missing: string,
): Promise<Came | undefined> {
  if (!asked.bags.some((bag) => bag.loanId === loanId)) return undefined;
  const sendKey = createHash('sha256')
    .update(JSON.stringify([loanId, today(at), missing]))
    .digest('base64url');
  await addAnswer(at, {
    answer: { missing, childDid: '', anythingElse: '' },
    games: [],
    sendKey,
    loanId,
    language: asked.language,
    via: 'message',
  });
  await keepReply(at, asked.id, 'lost', null);
  return { kind: 'lost' };
}
