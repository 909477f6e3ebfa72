/**
 * Two ways to run a school's lending for a year, with the same families and the same bags: first come, first served with
 * games by grade; or one hand-out a week, matched by the levels that answers show. Week by week, seeded.
 */
import { seeded, type Random } from '~/core/chance/random';
import type { AgeBand } from '~/core/games/kit/types';
import { LEVEL_OF } from '~/core/lending/children';
import { round, USUAL_WEIGHTS } from '~/core/lending/round';
import { posterior, type LevelAsked } from '~/core/listening/level';
import type { Language } from '~/core/words/languages';
import { drawFamilies, finds, fraction, grown, normal, type YearFamily } from './families';

export const WAYS = {
  firstCome: 'first come, first served; games by grade',
  rounds: 'hand-outs and levels',
} as const;
export type Way = keyof typeof WAYS;

export interface YearKit {
  id: string;
  band: AgeBand;
  /** As it is reckoned from its facts. */
  demand: number;
  copies: number;
  smallParts: boolean;
  languages: readonly Language[];
}

/** What a coordinator would be proud of, or ashamed of. */
export interface YearFigures {
  /** Of 100 bags so many were just right, whether or not anybody said so. */
  justRight: number;
  /** Bags to a family. */
  bags: number;
  /** Bags to a family of the language that had the fewest, of 100 to one of the language that had the most. */
  evenness: number;
  /** Of 100 times that a family asked in a week, so many got none. */
  inVain: number;
  /** Of 100 families so many had fewer than three bags all year. */
  few: number;
  /** Of 100 bags so many came home with something lost. */
  lost: number;
  /** Hours of hands: lending, counting, mending, matching. */
  hours: number;
}

/** Weeks of a school year, and those without school among them. */
export const YEAR = { weeks: 38, breaks: [13, 14, 26] } as const;
const OUT_WEEKS = 2;
const MOST_LATE = 3;
/** Who has waited and got nothing gives up in a week with this chance. */
const GIVES_UP = 0.08;
/** How far a kit is from what it is reckoned to ask, in school years. */
const OFF = 0.3;
/** Minutes of hands, as they are assumed. */
export const MINUTES = { lend: 4, handOver: 1.5, match: 12, count: 6, mend: 8 } as const;
/** A bag that lacks something is mended before it goes out again. */
const MENDING_WEEKS = 1;
const FEW = 3;
const GRID = 0.1;

interface Copy {
  id: string;
  kit: YearKit;
  /** With whom, and in which week it comes home. */
  out: { family: Lives; from: number; back: number } | undefined;
  /** Not before this week it is at school and whole. */
  ready: number;
}
interface Lives extends YearFamily {
  had: Set<string>;
  bags: number;
  /** Since when it waits; undefined while it does not ask. */
  asks: number | undefined;
  out: boolean;
  last?: number;
  heard: { demand: number; said: LevelAsked['answers'][number]['said']; week: number }[];
}

/** Where the school takes a family to be. */
function believed({ band, heard }: Lives, week: number): number {
  if (heard.length === 0) return LEVEL_OF[band];
  return posterior(
    { band, answers: heard.map(({ demand, said, week: of }) => ({ demand, said, weeksAgo: week - of })) },
    GRID,
  ).reduce((sum, one) => sum + one.level * one.weight, 0);
}
const suits = (kit: YearKit, family: Lives): boolean =>
  !(family.underThree && kit.smallParts) &&
  kit.languages.includes(family.language) &&
  !family.had.has(kit.id);

/** Families come in an order of their own; each takes a bag for its grade, or for the nearest one. */
function firstCome(askers: readonly Lives[], home: readonly Copy[], random: Random): [Lives, Copy][] {
  const left = new Set(home);
  const order = askers
    .map((family) => ({ family, comes: -Math.log(1 - fraction(random)) / family.eager }))
    .sort((a, b) => a.comes - b.comes);
  const given: [Lives, Copy][] = [];
  for (const { family } of order) {
    const may = [...left].filter(({ kit }) => suits(kit, family));
    const off = ({ kit }: Copy): number => Math.abs(LEVEL_OF[kit.band] - LEVEL_OF[family.band]);
    const least = Math.min(...may.map(off));
    const best = may.filter((copy) => off(copy) === least);
    const one = best[random.whole(0, Math.max(0, best.length - 1))];
    if (!one) continue;
    left.delete(one);
    given.push([family, one]);
  }
  return given;
}
/** One hand-out: everybody who asks is matched at once. */
async function matched(
  askers: readonly Lives[],
  home: readonly Copy[],
  kits: readonly YearKit[],
  week: number,
): Promise<[Lives, Copy][]> {
  if (askers.length === 0 || home.length === 0) return [];
  const { matches } = await round({
    copies: home.map(({ id, kit }) => ({ id, kit: kit.id })),
    kits: kits.map(({ id, demand, smallParts, languages }) => ({
      id,
      level: demand,
      underThree: !smallParts,
      allergens: [],
      languages: [...languages],
    })),
    families: askers.map((one) => ({
      id: one.id,
      language: one.language,
      level: believed(one, week),
      underThree: one.underThree,
      allergens: [],
      had: [...one.had],
      weeksSince: one.last === undefined ? null : week - one.last,
      wishes: [],
    })),
    weights: USUAL_WEIGHTS,
  });
  return matches.map(({ family, copy }) => [
    askers.find(({ id }) => id === family)!,
    home.find(({ id }) => id === copy)!,
  ]);
}

/** The next week with school, from one on. */
function withSchool(week: number): number {
  let next = week;
  while ((YEAR.breaks as readonly number[]).includes(next)) next++;
  return next;
}

/** A year of a school that is run one way. The same seed gives the same families, whichever way it is. */
export async function schoolYear(way: Way, kits: readonly YearKit[], seed: number): Promise<YearFigures> {
  const drawn = seeded(seed);
  const families: Lives[] = drawFamilies(drawn).map((one) => ({
    ...one,
    had: new Set<string>(),
    bags: 0,
    asks: undefined,
    out: false,
    heard: [],
  }));
  const truly = new Map(kits.map(({ id, demand }) => [id, demand + OFF * normal(drawn)]));
  const random = seeded(seed * 2 + 1);
  const copies: Copy[] = kits.flatMap((kit) =>
    Array.from({ length: kit.copies }, (_, i) => ({
      id: `${kit.id} ${i + 1}`,
      kit,
      out: undefined,
      ready: 0,
    })),
  );
  let [asked, bags, right, lost, minutes] = [0, 0, 0, 0, 0];
  for (let week = 0; week < YEAR.weeks; week++) {
    if (withSchool(week) !== week) continue;
    for (const copy of copies) {
      if (!copy.out || copy.out.back > week) continue;
      const { family, from } = copy.out;
      const said = finds(grown(family.level, from), truly.get(copy.kit.id)!, random);
      if (said === 'justRight') right++;
      if (random.chance(family.answers)) family.heard.push({ demand: copy.kit.demand, said, week });
      const lacks = random.chance(family.loses);
      if (lacks) lost++;
      minutes += MINUTES.count + (lacks ? MINUTES.mend : 0);
      copy.ready = week + (lacks ? MENDING_WEEKS : 0);
      copy.out = undefined;
      family.out = false;
      family.last = week;
    }
    for (const family of families) {
      if (family.out) continue;
      if (family.asks === undefined && random.chance(family.eager)) family.asks = week;
      else if (family.asks !== undefined && random.chance(GIVES_UP)) family.asks = undefined;
    }
    const askers = families.filter(({ asks, out }) => asks !== undefined && !out);
    asked += askers.length;
    const home = copies.filter(({ out, ready }) => !out && ready <= week);
    const given =
      way === 'rounds' ? await matched(askers, home, kits, week) : firstCome(askers, home, random);
    minutes +=
      way === 'rounds' ? MINUTES.match + given.length * MINUTES.handOver : given.length * MINUTES.lend;
    for (const [family, copy] of given) {
      const late = random.chance(family.late) ? random.whole(1, MOST_LATE) : 0;
      copy.out = { family, from: week, back: withSchool(week + OUT_WEEKS + late) };
      family.asks = undefined;
      family.out = true;
      family.bags++;
      family.had.add(copy.kit.id);
      bags++;
    }
  }
  // What is still out when the year ends was played as well.
  for (const { out, kit } of copies)
    if (out && finds(grown(out.family.level, out.from), truly.get(kit.id)!, random) === 'justRight') right++;
  const perLanguage = [...new Set(families.map(({ language }) => language))].map((language) => {
    const mine = families.filter((one) => one.language === language);
    return mine.reduce((sum, one) => sum + one.bags, 0) / mine.length;
  });
  return {
    justRight: (100 * right) / Math.max(1, bags),
    bags: bags / families.length,
    evenness: (100 * Math.min(...perLanguage)) / Math.max(...perLanguage, 1e-9),
    inVain: (100 * (asked - bags)) / Math.max(1, asked),
    few: (100 * families.filter((one) => one.bags < FEW).length) / families.length,
    lost: (100 * lost) / Math.max(1, bags),
    hours: minutes / 60,
  };
}
