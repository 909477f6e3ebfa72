/** Who is reached, by language, grade, class and month: shares with intervals, and what would close a difference. */
import { clock } from '~/core/words/clock';
import { forLooks, newcombe, wilson, type Share } from '~/core/chance/intervals';
import { AGE_BANDS } from '~/core/games/kit/types';
import { readChildren } from '~/core/lending/children';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';

/** The groups that a family belongs to follow from these. */
export interface Grouped {
  language: string;
  children: string;
  group: string;
}
/** What is counted of a group: of whom, and who of them. */
export interface Counting<F> {
  title: string;
  of: (one: F) => boolean;
  is: (one: F) => boolean;
}

/** A family as it is looked back on; nothing of it is named. */
export interface FamilyFact extends Grouped {
  /** Since this day it has been known here. */
  knownOn: string;
  /** Loans of the period. */
  lent: number;
  /** Of them those that were answered. */
  answered: number;
  /** Loans of the period before those that are looked at. */
  before?: number;
  /** The months of the period in which it was lent something, with what became of these loans. */
  months: readonly OfMonth[];
}
export interface OfMonth {
  /** "2026-11" */
  month: string;
  lent: number;
  answered: number;
}

/** What is looked back on of families. */
export type Measure = 'reached' | 'answered' | 'again';
export const MEASURES: Record<Measure, Counting<FamilyFact>> = {
  reached: { title: 'had a bag', of: () => true, is: (one) => one.lent > 0 },
  answered: { title: 'told how it went', of: (one) => one.lent > 0, is: (one) => one.answered > 0 },
  again: {
    title: 'had a bag again',
    of: (one) => one.lent > 0,
    is: (one) => one.lent + (one.before ?? 0) > 1,
  },
};
/** Who came to an evening, of those that could. */
export const CAME: Counting<Grouped & { came: boolean }> = {
  title: 'came',
  of: () => true,
  is: ({ came }) => came,
};

export const DIMENSIONS = {
  language: 'by home language',
  grade: 'by grade',
  group: 'by class',
} as const;
export type Dimension = keyof typeof DIMENSIONS;
/** What can be looked at: groups of families, or one month after the other. */
export const VIEWS = { ...DIMENSIONS, month: 'by month' } as const;
export type View = keyof typeof VIEWS;

/** Groups smaller than this are said to be small, and are not broken out where others read it. */
export const SMALL = 5;

export interface GroupShare extends Share {
  id: string;
  label: string;
  n: number;
  of: number;
  small: boolean;
}

/** The groups a family belongs to: one language and class, and each grade of its children. */
function groupsOf(family: Grouped, by: Dimension): string[] {
  if (by === 'language') return [family.language];
  if (by === 'group') return [family.group || ''];
  const read = readChildren(family.children);
  return read.ok && read.children.length ? [...new Set(read.children.map(({ band }) => band))] : [''];
}
const labelOf = (by: Dimension, id: string): string =>
  by === 'language'
    ? aboutLanguage(id).name
    : by === 'grade'
      ? (AGE_BANDS[id as keyof typeof AGE_BANDS] ?? 'no grade known')
      : id || 'no class';

/** One that is counted in a group: a family, or one of its words. A family may be counted in several groups. */
export interface Counted {
  group: string;
  label: string;
  /** What is counted, once however often it is there. */
  unit: string;
  family: string;
  is: boolean;
}
/** Families as they are counted in their groups. */
export const countedBy = <F extends Grouped>(
  families: readonly F[],
  by: Dimension,
  { of, is }: Counting<F>,
): Counted[] =>
  families.flatMap((one, i) =>
    of(one)
      ? groupsOf(one, by).map((group) => ({
          group,
          label: labelOf(by, group),
          unit: String(i),
          family: String(i),
          is: is(one),
        }))
      : [],
  );

/** The share of those that are counted; small where they are of few families. */
export function shareOf(id: string, label: string, list: readonly Counted[]): GroupShare {
  const units = new Map(list.map(({ unit, is }) => [unit, is]));
  const [n, of] = [[...units.values()].filter(Boolean).length, units.size];
  const families = new Set(list.map(({ family }) => family)).size;
  return { id, label, n, of, ...wilson(n, of), small: families < SMALL };
}
/** The largest group first, groups of a size by their names. */
export const bySize = (a: GroupShare, b: GroupShare): number => b.of - a.of || (a.label < b.label ? -1 : 1);

const YEARS = Object.keys(AGE_BANDS);
/** Grades in the order of years; those of whom no grade is known come last. */
export const byYear = (a: GroupShare, b: GroupShare): number => yearIn(a) - yearIn(b);
const yearIn = ({ id }: GroupShare): number => (YEARS.indexOf(id) + YEARS.length + 1) % (YEARS.length + 1);

/** Those that are counted, by their group. */
export function byGroup(list: readonly Counted[]): Map<string, Counted[]> {
  const groups = new Map<string, Counted[]>();
  for (const one of list) {
    const there = groups.get(one.group);
    if (there) there.push(one);
    else groups.set(one.group, [one]);
  }
  return groups;
}

/** Shares of the groups, the largest group first, grades in their order; groups of whom nothing can be said are left out. */
export const sharesOf = (list: readonly Counted[]): GroupShare[] =>
  [...byGroup(list)].map(([id, mine]) => shareOf(id, mine[0]!.label, mine)).sort(bySize);
export const sharesBy = <F extends Grouped>(
  families: readonly F[],
  by: Dimension,
  counting: Counting<F>,
): GroupShare[] => {
  const shares = sharesOf(countedBy(families, by, counting));
  return by === 'grade' ? shares.sort(byYear) : shares;
};

export interface Gap {
  less: GroupShare;
  more: GroupShare;
  /** How much less, with its interval; all above zero. */
  difference: number;
  low: number;
  high: number;
  /** So many more families of the group would make its share as large. */
  toClose: number;
}

/** How many pairs of groups are held against each other; of small ones nothing is said. */
export const pairsOf = (shares: readonly GroupShare[]): number => {
  const { length } = shares.filter(({ small }) => !small);
  return (length * (length - 1)) / 2;
};

/**
 * Differences that are more than chance, the largest first; each group that lags behind is compared with the one ahead
 * that differs most surely. `looks`: how many pairs the page looks at in all; it says something of any of them, where
 * there is nothing, on 5 in 100 pages at most.
 */
export function gaps(shares: readonly GroupShare[], looks = pairsOf(shares)): Gap[] {
  const z = forLooks(looks);
  const large = shares.filter(({ small }) => !small);
  const wide = new Map(large.map((one) => [one.id, wilson(one.n, one.of, z)]));
  return large
    .flatMap((less): Gap[] => {
      const found = large
        .filter((more) => more.id !== less.id)
        .map((more) => ({
          less,
          more,
          ...newcombe(wide.get(more.id)!, wide.get(less.id)!),
          toClose: Math.ceil(more.share * less.of - less.n - 1e-9),
        }))
        .filter(({ low }) => low > 0)
        .sort((a, b) => b.low - a.low);
      return found.slice(0, 1);
    })
    .sort((a, b) => b.difference - a.difference);
}

const inHundred = (share: number): number => Math.round(share * 100);

/** What shares by language, grade or class show, in sentences. */
export function sharesSentence(
  shares: readonly GroupShare[],
  { title }: { title: string },
  looks?: number,
): string {
  if (shares.length === 0) return 'There is nobody yet of whom something could be said.';
  const found = gaps(shares, looks);
  const small = shares.filter((one) => one.small);
  const told = found.map(
    ({ less, more, difference, low, high }) =>
      `${less.label}: ${less.n} of ${less.of} families ${title}, against ${more.n} of ${more.of} (${more.label}); the difference of ${inHundred(difference)} in 100 is more than chance (${inHundred(low)} to ${inHundred(high)}).`,
  );
  return [
    ...(told.length
      ? told
      : shares.length > 1
        ? ['The groups differ by no more than chance would make them.']
        : [`${shares[0]!.n} of ${shares[0]!.of} families ${title}.`]),
    ...(small.length
      ? [
          `${count(small.length, 'group is', 'groups are')} small (fewer than ${SMALL} families): little can be said of ${small.length === 1 ? 'it' : 'them'}.`,
        ]
      : []),
  ].join(' ');
}

/** What would close the gaps, one line for each: "4 more bags to Portuguese-speaking families". */
export const closing = (shares: readonly GroupShare[], by: Dimension, looks?: number): string[] =>
  gaps(shares, looks)
    .filter(({ toClose }) => toClose > 0)
    .map(({ less, toClose }) =>
      by === 'language'
        ? `${count(toClose, 'more bag')} to ${less.label}-speaking families`
        : by === 'grade'
          ? `${count(toClose, 'more bag')} to families with a child in ${less.label}`
          : `${count(toClose, 'more bag')} to ${less.label}`,
    );

const monthName = (month: string): string =>
  clock('en-US', { month: 'short', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${month}-01T00:00:00Z`),
  );

/** A family as it is looked back on in one month of the period. */
function inMonth(family: FamilyFact, month: string): FamilyFact {
  const { lent = 0, answered = 0 } = family.months.find((one) => one.month === month) ?? {};
  const before = family.months.filter((one) => one.month < month).reduce((sum, one) => sum + one.lent, 0);
  return { ...family, lent, answered, before };
}

/** Shares of each month, of the families that were known by its end; months of which nothing can be said are left out. */
export const byMonth = (
  families: readonly FamilyFact[],
  months: readonly string[],
  { of, is }: Counting<FamilyFact>,
): GroupShare[] =>
  months.flatMap((month) => {
    const label = monthName(month);
    const counted = families
      .filter(({ knownOn }) => knownOn.slice(0, 7) <= month)
      .map((one) => inMonth(one, month))
      .filter(of)
      .map((one, i) => ({
        group: month,
        label,
        unit: String(i),
        family: String(i),
        is: is(one),
      }));
    return counted.length ? [shareOf(month, label, counted)] : [];
  });

/** What months show, in a sentence: the lowest and the highest. */
export function monthsSentence(shares: readonly GroupShare[], { title }: { title: string }): string {
  const sorted = [...shares].sort((a, b) => a.share - b.share);
  const [low, high] = [sorted[0], sorted.at(-1)];
  if (!low || !high) return 'There is nobody yet of whom something could be said.';
  const told = ({ label, n, of }: GroupShare): string => `${label} (${n} of ${of})`;
  if (shares.length === 1) return `${low.n} of ${count(low.of, 'family', 'families')} ${title}.`;
  return low.share === high.share
    ? `In every month ${Math.round(low.share * 100)} in 100 families ${title}.`
    : `Fewest families ${title} in ${told(low)}, most in ${told(high)}.`;
}
