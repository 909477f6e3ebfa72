/** What a school holds to when it lends: how many bags a family has, how often it keeps one longer, how it is reminded. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, Whole } from '~/core/check/schema';
import { count } from '~/core/words/numbers';

/** What becomes of a message whose wording no fluent reader has checked. */
export const UNCHECKED = {
  hold: 'held back until a fluent reader has checked the wording',
  send: 'sent, and says that its wording is not checked',
} as const;
export type Unchecked = keyof typeof UNCHECKED;

const orNone = (minimum: number, maximum: number, title: string) =>
  Type.Union([Whole(minimum, maximum, { title }), Type.Null()], { title });

export const lendingSchema = Type.Object({
  /** Null where there is no limit. */
  bagsAtOnce: orNone(1, 20, 'Bags at once'),
  renewals: orNone(0, 20, 'How often a bag is kept longer'),
  backFirst: Type.Boolean({ title: 'A new bag only when those before are back' }),
  setAsideDays: Whole(1, 60, { title: 'Days a bag is set aside' }),
  daysBefore: Whole(0, 14, { title: 'Days before the due day' }),
  daysAfter: Whole(1, 60, { title: 'Days between reminders afterwards' }),
  unchecked: OneOf<Unchecked>(UNCHECKED, { title: 'Wording that is not checked' }),
});
export type LendingRules = Static<typeof lendingSchema>;

/** How a school lends until it says otherwise: without limits. */
export const USUAL_LENDING: LendingRules = {
  bagsAtOnce: null,
  renewals: null,
  backFirst: false,
  setAsideDays: 5,
  daysBefore: 2,
  daysAfter: 7,
  unchecked: 'hold',
};

/** The rules about lending, each in a sentence. */
export const rulesInWords = ({ bagsAtOnce, renewals, backFirst }: LendingRules): string[] => [
  bagsAtOnce === null
    ? 'A family may have as many bags at once as it likes.'
    : `A family has up to ${count(bagsAtOnce, 'bag')} at once.`,
  backFirst
    ? 'It gets another one on a later day only when those before are back.'
    : 'It may get another one while it still has one.',
  renewals === null
    ? 'It may keep a bag longer as often as nobody else waits for it.'
    : renewals === 0
      ? 'No bag is kept longer.'
      : `It may keep a bag longer ${renewals === 1 ? 'once' : `up to ${renewals} times`}, when nobody else waits for it.`,
];

/** Why a family gets no further bag on a day, by the days on which its bags were lent; undefined where it may have one. */
export function limitReached(
  { bagsAtOnce, backFirst }: Pick<LendingRules, 'bagsAtOnce' | 'backFirst'>,
  lentOn: readonly string[],
  today: string,
): string | undefined {
  const before = lentOn.filter((day) => day < today).length;
  if (backFirst && before > 0)
    return `Another bag goes out when those before are back, and this family still has ${count(before, 'bag')}.`;
  if (bagsAtOnce !== null && lentOn.length >= bagsAtOnce)
    return `A family has up to ${count(bagsAtOnce, 'bag')} at once, and this one has ${lentOn.length}.`;
  return undefined;
}

/** Why a bag cannot be kept longer; undefined where it can. */
export type NotLonger = 'waiting' | 'often' | 'never';
export function notLonger(
  { renewals }: Pick<LendingRules, 'renewals'>,
  renewed: number,
  othersWait: boolean,
): NotLonger | undefined {
  if (renewals === 0) return 'never';
  if (renewals !== null && renewed >= renewals) return 'often';
  return othersWait ? 'waiting' : undefined;
}
