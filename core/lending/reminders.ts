/** What the school says to families about their bags: when, how, and in which words. Kindly, and one message for all bags. */
import { clock } from '~/core/words/clock';
import { parseDate } from '@internationalized/date';
import type { Language } from '~/core/words/languages';
import { say, type Reading } from '~/core/words/reading';
import { FAMILY_WORDS } from '~/core/words/family';
import { REMINDER_WORDS, type ReminderMessage } from '~/core/words/reminders';
import { daysBetween } from './due';
import type { LendingRules } from './rules';

export type MessageKind = 'reminder' | 'offer' | 'line' | 'invitation' | 'thanks';
export const MESSAGE_STATES = ['waiting', 'sent', 'held', 'paper', 'printed', 'failed', 'dropped'] as const;
export type MessageState = (typeof MESSAGE_STATES)[number];
/** What a family answers with one press about its bags, and to an invitation. */
export const BAG_ANSWERS = ['coming', 'longer', 'lost'] as const;
export const INVITATION_ANSWERS = ['yes', 'no'] as const;
export const ANSWERS = [...BAG_ANSWERS, ...INVITATION_ANSWERS] as const;
export type ReplyKind = (typeof ANSWERS)[number];

/** A bag at home with a family. */
export interface BagOut {
  loanId: string;
  kitName: string;
  dueOn: string;
}

/** Where a loan stands on an evening: days before, on the day, or how many times late. */
export type Stage = 'before' | 'on' | `after ${number}`;

/** What there is to say of a loan on an evening; undefined where there is nothing yet. */
export function stageOf(
  dueOn: string,
  today: string,
  { daysBefore, daysAfter }: Pick<LendingRules, 'daysBefore' | 'daysAfter'>,
): Stage | undefined {
  const days = daysBetween(today, dueOn);
  if (days > 0) return days <= daysBefore ? 'before' : undefined;
  if (days === 0) return 'on';
  const times = Math.floor(-days / daysAfter);
  return times > 0 ? `after ${times}` : undefined;
}

/** By this it is known that something was said of a loan: another due day is something new. */
export const saidOf = ({ loanId, dueOn }: BagOut, stage: Stage): string => `${loanId} ${dueOn} ${stage}`;

const WEEK_DAYS = 7;
/** Whether a family that was written to on some days may be written to today: never twice a day, and for some once a week. */
export const mayWrite = (writtenOn: readonly string[], today: string, atMostWeekly: boolean): boolean =>
  writtenOn.every((day) => daysBetween(day, today) >= (atMostWeekly ? WEEK_DAYS : 1));

/** A day as a family reads it: "Thursday, December 3". */
export const dayFor = (language: Language, day: string): string =>
  clock(language === 'en' ? 'en-US' : language, {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  }).format(parseDate(day).toDate('UTC'));

interface Rendered {
  text: string;
  /** The lines it is made of, so that it can be asked whether they are checked. */
  lines: ReminderMessage[];
}

/** A message line by line, each said in a reading. */
function rendered(
  reading: Reading,
  marked: boolean,
  said: readonly (readonly [id: ReminderMessage, args?: Record<string, string>])[],
): Rendered {
  const text = said.map(([id, args]) => say(reading, REMINDER_WORDS, id, args));
  if (marked) text.push(say(reading, FAMILY_WORDS, 'unchecked'));
  return { text: text.join('\n'), lines: [...new Set(said.map(([id]) => id))] };
}

/** One reminder for all bags of a family. `next` is the next day on which bags can come back. */
export function reminderText(
  reading: Reading,
  input: {
    family: string;
    school: string;
    bags: readonly (BagOut & { stage: Stage })[];
    next: string;
    address: string;
    marked: boolean;
    /** The words with which the family can answer by text, where it can. */
    textBack?: Record<'easy' | 'ok' | 'hard' | 'games', string> | undefined;
  },
): Rendered {
  const { language } = reading;
  const { family, school, bags, next, address, marked } = input;
  return rendered(reading, marked, [
    ['hello', { family, school }],
    ...bags.map(({ kitName: kit, dueOn, stage }) =>
      stage === 'on'
        ? (['due.on', { kit, day: dayFor(language, next) }] as const)
        : ([stage === 'before' ? 'due.before' : 'due.after', { kit, day: dayFor(language, dueOn) }] as const),
    ),
    ['partsAreFine'],
    ['answerAt', { address }],
    ...(input.textBack ? ([['textBack', input.textBack]] as const) : []),
  ]);
}

/** A bag that a family asked for is set aside for it. */
export const offerText = (
  reading: Reading,
  input: { family: string; school: string; kit: string; until: string; marked: boolean },
): Rendered =>
  rendered(reading, input.marked, [
    ['hello', { family: input.family, school: input.school }],
    ['offer', { kit: input.kit, day: dayFor(reading.language, input.until) }],
  ]);

/** Languages whose readers here are used to a clock of twice twelve hours. */
const AMERICAN: ReadonlySet<Language> = new Set(['en', 'es']);
/** A time as a family reads it, from "17:30". */
export function timeFor(language: Language, time: string): string {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return clock(AMERICAN.has(language) ? `${language}-US` : language, {
    hour: 'numeric',
    minute: '2-digit',
    timeZone: 'UTC',
  }).format(new Date(Date.UTC(2000, 0, 1, hours, minutes)));
}

/** An evening as it is spoken of. */
export interface EveningSaid {
  name: string;
  onDay: string;
  startsAt: string;
}
interface Greeted {
  family: string;
  school: string;
  marked: boolean;
}
/** A family is asked to come to an evening. */
export const invitationText = (
  reading: Reading,
  { name, onDay, startsAt }: EveningSaid,
  { family, school, marked, address }: Greeted & { address: string },
): Rendered =>
  rendered(reading, marked, [
    ['hello', { family, school }],
    [
      'invite',
      {
        evening: name,
        day: dayFor(reading.language, onDay),
        time: timeFor(reading.language, startsAt),
      },
    ],
    ['invite.home'],
    ['invite.answer', { address }],
  ]);
/** A family that came is thanked. */
export const thanksText = (
  reading: Reading,
  { name }: Pick<EveningSaid, 'name'>,
  { family, school, marked }: Greeted,
): Rendered =>
  rendered(reading, marked, [['hello', { family, school }], ['thanks', { evening: name }], ['thanks.next']]);
