/** What looking back shows, put together from what the school has written down. */
import { AGE_BANDS } from '~/core/games/kit/types';
import { pieceCents } from '~/core/kits/cost';
import { whoOf } from '~/core/listening/meaning';
import { daysBetween } from '~/core/lending/due';
import { supplyOf } from '~/core/looking/copies';
import { mean, median, playedOf } from '~/core/looking/played';
import { daysOf, monthsOf, periodIn, periods, weeksOf, type Period } from '~/core/looking/period';
import {
  byMonth,
  byYear,
  closing,
  countedBy,
  DIMENSIONS,
  MEASURES,
  monthsSentence,
  sharesBy,
  sharesOf,
  sharesSentence,
  type Counted,
  type Dimension,
  type GroupShare,
  pairsOf,
  type Measure,
  type View,
  VIEWS,
} from '~/core/looking/reached';
import {
  AHEAD,
  ahead,
  byPart,
  overKits,
  overParts,
  priorOf,
  wearAsked,
  worn,
  type Together,
} from '~/core/looking/worn';
import { open } from '~/core/own/open';
import type { SchoolHandle } from '~/data/db';
import { calendarEntries, parted } from '~/data/queries/calendar';
import { plansOf } from '~/data/queries/copies';
import { builtKits, findKit } from '~/data/queries/kits';
import {
  familyFacts,
  forgottenLoans,
  inBags,
  kitUses,
  loansReturned,
  losses,
  timesPlayed,
  wordsSaid,
} from '~/data/queries/looking';
import { catalogueNow, listMaterials } from '~/data/queries/materials';
import { offersOf, onHandNow } from '~/data/queries/store';
import { costOfKit } from '../kits/making';
import { recipeOf, wearsOf } from '../threads';
import { today } from '../today';

/** The period an address asks for, and those that are offered. */
export async function periodOf(at: SchoolHandle, search: URLSearchParams) {
  const { terms } = parted(await calendarEntries(at));
  const now = today(at);
  const plain = terms.map(({ name, from, to }) => ({ name: name ?? '', from, to }));
  return {
    period: periodIn(search, plain, now),
    offered: periods(plain, now),
    /** The last day of the term that is on, where there is one. */
    termEnds: plain.find(({ from, to }) => from <= now && now <= to)?.to,
  };
}

/** Who is reached: each measure by each dimension, by month, and who has had nothing for how long. */
export async function reachedIn(at: SchoolHandle, period: Period) {
  const [families, forgotten] = await Promise.all([familyFacts(at, period), forgottenLoans(at, period)]);
  const now = today(at);
  const months = monthsOf(period);
  const dimensions = Object.keys(DIMENSIONS) as Dimension[];
  const measures = Object.keys(MEASURES) as Measure[];
  const grouped = Object.fromEntries(
    dimensions.map((by) => [
      by,
      Object.fromEntries(measures.map((measure) => [measure, sharesBy(families, by, MEASURES[measure])])),
    ]),
  ) as Record<Dimension, Record<Measure, GroupShare[]>>;
  // The page offers all of them: what it says of any is held against how many it looks at.
  const looks = dimensions
    .flatMap((by) => measures.map((measure) => pairsOf(grouped[by][measure])))
    .reduce((sum, pairs) => sum + pairs, 0);
  const of = (by: View, measure: Measure) => {
    const counting = MEASURES[measure];
    if (by === 'month') {
      const shares = byMonth(families, months, counting);
      return { shares, sentence: monthsSentence(shares, counting), closing: [] };
    }
    const shares = grouped[by][measure];
    return {
      shares,
      sentence: sharesSentence(shares, counting, looks),
      closing: measure === 'reached' ? closing(shares, by, looks) : [],
    };
  };
  const by = Object.fromEntries(
    (Object.keys(VIEWS) as View[]).map((view) => [
      view,
      Object.fromEntries(measures.map((measure) => [measure, of(view, measure)])),
    ]),
  ) as Record<View, Record<Measure, ReturnType<typeof of>>>;
  return {
    by,
    /** Who had a bag, one by one, for figures that put groups together. */
    counted: (dimension: Dimension) => countedBy(families, dimension, MEASURES.reached),
    families: families.length,
    lent: families.filter(({ lent }) => lent > 0).length,
    loans: families.reduce((sum, { lent }) => sum + lent, 0),
    answered: families.reduce((sum, { answered }) => sum + answered, 0),
    forgotten,
    nothing: families
      .filter(({ lent }) => lent === 0)
      .map(({ id, name, language, lastOn, knownOn }) => ({
        id,
        name,
        language,
        weeks: lastOn === null ? null : Math.floor(daysBetween(lastOn, now) / 7),
        /** Weeks that it has been known here. */
        here: Math.floor(daysBetween(knownOn, now) / 7),
      }))
      .sort((a, b) => (b.weeks ?? 1e9) - (a.weeks ?? 1e9) || b.here - a.here),
  };
}

/** What wears: parts, kits, and the games that lose pieces. */
export async function wearIn(at: SchoolHandle, period: Period) {
  const [rows, bags, catalogue, loans, built] = await Promise.all([
    losses(at, period),
    inBags(at),
    catalogueNow(at),
    loansReturned(at, period),
    builtKits(at),
  ]);
  const offers = await offersOf(at, [...new Set(rows.map(({ material }) => material))]);
  const name = new Map(built.map((one) => [one.id, one.name]));
  const together = byPart(rows);
  const kitIds = [...new Set(rows.map(({ kitId }) => kitId))];
  const ofKits = kitIds.map((kitId) => overParts(rows.filter((row) => row.kitId === kitId)));
  const games = await gamesThatLose(at, rows, built);
  const kindOf = (material: string): string => catalogue.of(material).kind;
  // All of them are reckoned in one piece of work, beside the pages.
  const wears = await wearsOf([
    // As many loans again as in this period.
    ...together.map((part) => wearAsked(part, { next: part.loans, prior: priorOf(part, together, kindOf) })),
    ...[...ofKits, ...games].map((one) => wearAsked(one, { next: 0 })),
  ]);
  const parts = together
    .map(({ each: _, inBag: __, ...part }, i) => {
      const { name: one, plural } = catalogue.of(part.material);
      return {
        name: one,
        plural,
        ...worn(
          {
            ...part,
            next: part.loans,
            pieceCents: pieceCents(part.material, offers, catalogue),
            inBags: bags[part.material] ?? 0,
          },
          wears[i]!,
        ),
      };
    })
    .sort((a, b) => b.low - a.low || (a.name < b.name ? -1 : 1));
  const kits = kitIds
    .map((kitId, i) => {
      const mine = rows.filter((row) => row.kitId === kitId);
      const { lost, loans: lent } = ofKits[i]!;
      return {
        kitId,
        name: name.get(kitId) ?? 'a kit without bags',
        lost,
        loans: lent,
        ...wears[together.length + i]!,
        cents: Math.round(
          mine.reduce((sum, row) => sum + row.lost * pieceCents(row.material, offers, catalogue), 0),
        ),
        parts: mine
          .filter((row) => row.lost > 0)
          .map(
            (row) =>
              `${row.lost} ${row.lost === 1 ? catalogue.of(row.material).name : catalogue.of(row.material).plural}`,
          ),
      };
    })
    .sort((a, b) => b.low - a.low);
  return {
    parts,
    kits,
    games: games
      .map(({ name: one, lost, loans: lent }, i) => ({
        name: one,
        lost,
        loans: lent,
        ...wears[together.length + kits.length + i]!,
      }))
      .sort((a, b) => b.low - a.low),
    loans,
  };
}

/** Losses of the parts that a game plays with, over the loans of the bags it lies in. */
async function gamesThatLose(
  at: SchoolHandle,
  rows: Awaited<ReturnType<typeof losses>>,
  built: Awaited<ReturnType<typeof builtKits>>,
) {
  const plans = await plansOf(at, [...new Set(built.map(({ runId }) => runId))]);
  const games = new Map<string, Together[]>();
  for (const kitId of new Set(built.map(({ id }) => id))) {
    const plan = plans.get(built.find(({ id }) => id === kitId)!.runId)?.plan;
    const mine = rows.filter((row) => row.kitId === kitId);
    for (const ref of plan?.variants ?? []) {
      const variant = open(ref);
      const needed = new Set<string>(
        variant.needs(plan!.ageBand).parts.map(({ material }) => plan!.swaps?.[material] ?? material),
      );
      const used = mine.filter(({ material }) => needed.has(material));
      if (used.length === 0) continue;
      games.set(ref.name, [...(games.get(ref.name) ?? []), overParts(used)]);
    }
  }
  return [...games].map(([name, kits]) => ({ name, ...overKits(kits) })).filter(({ lost }) => lost > 0);
}

/** How many copies are enough, and what the store holds at the end of the term. */
export async function copiesIn(at: SchoolHandle, period: Period, termEnds: string | undefined) {
  const now = today(at);
  const [uses, rows, onHand, catalogue, loans] = await Promise.all([
    kitUses(at, period, now),
    losses(at, period),
    onHandNow(at),
    catalogueNow(at),
    loansReturned(at, period),
  ]);
  const weeks = weeksOf(period);
  const kits = uses.flatMap((use) => supplyOf({ ...use, weeks }) ?? []);
  const daysLeft = termEnds ? daysBetween(now, termEnds) : 0;
  // Loans go on as they went in the period.
  const next = Math.round((loans / daysOf(period)) * Math.max(0, daysLeft));
  const together = byPart(rows);
  const parts = together.filter(({ material }) => typeof onHand[material] === 'number');
  const offers = await offersOf(
    at,
    parts.map(({ material }) => material),
  );
  const kindOf = (material: string): string => catalogue.of(material).kind;
  const wears = await wearsOf(
    parts.flatMap((part) => {
      const prior = priorOf(part, together, kindOf);
      const mine = Math.round(next * (loans ? part.loans / loans : 0));
      return AHEAD.map((assurance) => wearAsked(part, { next: mine, prior, assurance }));
    }),
  );
  const stock = parts
    .map((part, i) => {
      const [few, middle, most] = wears.slice(3 * i, 3 * i + 3).map(({ spares }) => spares);
      return {
        name: catalogue.of(part.material).plural,
        ...ahead(
          { material: part.material, onHand: onHand[part.material] as number },
          [few!, middle!, most!],
          offers.filter((one) => one.material === part.material),
        ),
      };
    })
    .sort((a, b) => a.low - b.low || (a.name < b.name ? -1 : 1));
  return {
    kits: kits.sort((a, b) => b.chanceNoneHome - a.chanceNoneHome),
    idle: uses.filter(({ loans: lent }) => lent === 0).map(({ name, copies }) => ({ name, copies })),
    stock,
    next,
    termEnds,
  };
}

/** What plays, kit by kit; what a play costs where it is asked for, which takes a moment. */
export async function playedIn(at: SchoolHandle, period: Period, withCost: boolean) {
  const now = today(at);
  const [uses, times, words, built, school] = await Promise.all([
    kitUses(at, period, now),
    timesPlayed(at, period),
    wordsSaid(at, period),
    builtKits(at),
    listMaterials(at),
  ]);
  const plans = await plansOf(at, [...new Set(built.map(({ runId }) => runId))]);
  const kits = await Promise.all(
    uses.map(async ({ kitId, name, loans }) => {
      const plan = plans.get(built.find(({ id }) => id === kitId)!.runId)!.plan;
      const { variants } = await recipeOf({ plan, school });
      const minutes = variants.map(({ reckoning }) => reckoning.length.minutes.mean);
      const of = times.filter((one) => one.kitId === kitId);
      const found = <T>(list: readonly (T | null)[]): T[] => list.filter((one): one is T => one !== null);
      return playedOf({
        kitId,
        name,
        loans,
        times: found(of.map((one) => one.times)),
        minutes: found(of.map((one) => one.minutes)),
        said: words.filter((one) => one.kitId === kitId).map(({ said }) => said),
        reckonedMinutes: Math.round(minutes.reduce((sum, one) => sum + one, 0) / Math.max(1, minutes.length)),
        ...(withCost ? { loanCents: await loanCents(at, kitId) } : {}),
      });
    }),
  );
  // Each word counts in the grade of the child it speaks of.
  const said = words.map((one, i): Counted => {
    const { band } = whoOf(one.familyId, one.children, one.child);
    return {
      group: band,
      label: AGE_BANDS[band],
      unit: String(i),
      family: one.familyId,
      is: one.said === 'justRight',
    };
  });
  const familiesThat = (list: readonly { familyId: string }[]): number =>
    new Set(list.map(({ familyId }) => familyId)).size;
  return {
    kits,
    said,
    grades: sharesOf(said).sort(byYear),
    words: words.length,
    /** Over all loans that were told of. */
    playsPerLoan: mean(times.flatMap((one) => one.times ?? [])),
    minutes: median(times.flatMap((one) => one.minutes ?? [])),
    /** So many families told of each. */
    families: {
      said: familiesThat(words),
      times: familiesThat(times.filter((one) => one.times !== null)),
      minutes: familiesThat(times.filter((one) => one.minutes !== null)),
    },
  };
}

async function loanCents(at: SchoolHandle, kitId: string): Promise<number | undefined> {
  const kit = await findKit(at, kitId);
  if (!kit) return undefined;
  const materials = await catalogueNow(at);
  const cost = await costOfKit(
    at,
    kit,
    await offersOf(
      at,
      materials.all.map(({ id }) => id),
    ),
  );
  return cost.problem === undefined ? cost.loanCents : undefined;
}
