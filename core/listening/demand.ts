/**
 * What a variant asks of a child, on the scale of school years (0 pre-K, 1 kindergarten, 2 grade 1 …): the mean of the
 * years in which the facts it practises are usually met, each counted as often as a play meets it.
 */
import { written, type Fact, type Operation } from '~/core/cards/facts';
import { AGE_BANDS, type AgeBand, type Practised } from '~/core/games/kit/types';

export interface Demand {
  /** School years. */
  demand: number;
  /** Where nine in ten of its facts lie, or below. */
  most: number;
  reason: string;
}

/** From which size on a fact belongs to which year; between two sizes it lies between their years. */
type Years = readonly (readonly [size: number, year: number])[];

/** Usual years by the size of a fact. What is larger than the last size stays in its year. */
const USUAL: Readonly<Record<Operation, { of: (fact: Fact) => number; years: Years }>> = {
  listen: { of: () => 0, years: [[0, 0]] },
  letter: { of: () => 0, years: [[0, 0.5]] },
  count: {
    of: ({ a }) => a,
    years: [
      [3, -0.5],
      [5, 0],
      [10, 0.7],
      [20, 1.2],
      [100, 2],
      [1000, 3],
    ],
  },
  quantity: {
    of: ({ a }) => a,
    years: [
      [3, 0],
      [5, 0.3],
      [10, 0.9],
      [20, 1.4],
      [100, 2.1],
      [1000, 3],
    ],
  },
  glance: {
    of: ({ a }) => a,
    years: [
      [3, 0],
      [5, 0.6],
      [10, 1.4],
      [20, 2.2],
    ],
  },
  compare: {
    of: ({ a, b }) => Math.max(Math.abs(a), Math.abs(b)),
    years: [
      [5, 0.2],
      [10, 0.8],
      [20, 1.5],
      [100, 2.3],
      [1000, 3.2],
    ],
  },
  split: {
    of: ({ answer }) => answer,
    years: [
      [3, 0.5],
      [5, 1],
      [10, 1.7],
      [20, 2.4],
      [100, 3],
    ],
  },
  add: {
    of: ({ answer }) => answer,
    years: [
      [3, 0.6],
      [5, 1],
      [10, 1.7],
      [20, 2.3],
      [100, 3],
      [1000, 3.8],
    ],
  },
  subtract: {
    of: ({ a }) => a,
    years: [
      [3, 0.8],
      [5, 1.2],
      [10, 2],
      [20, 2.6],
      [100, 3.3],
      [1000, 4],
    ],
  },
  missing: {
    of: ({ b }) => b,
    years: [
      [3, 0.9],
      [5, 1.4],
      [10, 2],
      [20, 2.6],
      [100, 3.4],
    ],
  },
  tens: {
    of: ({ answer }) => answer,
    years: [
      [20, 1.6],
      [50, 2],
      [100, 2.4],
      [1000, 3.3],
    ],
  },
  groups: {
    of: ({ answer }) => answer,
    years: [
      [6, 2.4],
      [10, 2.7],
      [25, 3.1],
      [50, 3.5],
      [100, 3.9],
    ],
  },
  multiply: {
    of: ({ answer }) => answer,
    years: [
      [6, 3],
      [25, 3.6],
      [50, 4],
      [100, 4.4],
      [400, 5],
    ],
  },
  divide: {
    of: ({ a }) => a,
    years: [
      [6, 3.2],
      [25, 3.8],
      [50, 4.2],
      [100, 4.6],
    ],
  },
};
/** Numbers below zero, and such as are not whole, come after all of these. */
const BEYOND = 5;

/** The school year in which a fact is usually met. */
export function yearOf(fact: Fact): number {
  const numbers = [fact.a, fact.b, fact.answer];
  if (fact.op !== 'listen' && numbers.some((n) => !Number.isInteger(n) || n < 0)) return BEYOND;
  const { of, years } = USUAL[fact.op];
  const size = of(fact);
  const above = years.findIndex(([from]) => size <= from);
  if (above === 0) return years[0]![1];
  if (above < 0) return years.at(-1)![1];
  const [from, low] = years[above - 1]!;
  const [to, high] = years[above]!;
  return low + ((size - from) / (to - from)) * (high - low);
}

const BANDS = Object.keys(AGE_BANDS) as AgeBand[];
/** A place on the scale in words: "grade 1", "between grade 1 and grade 2". */
export function yearName(year: number): string {
  const nearest = Math.min(BANDS.length - 1, Math.max(0, Math.round(year)));
  if (year > BANDS.length - 0.5) return 'beyond grade 3';
  if (Math.abs(year - nearest) <= 0.3 || year < 0 || year > BANDS.length - 1)
    return AGE_BANDS[BANDS[nearest]!];
  const [low, high] = [BANDS[Math.floor(year)]!, BANDS[Math.ceil(year)]!];
  return `between ${AGE_BANDS[low]} and ${high === 'g3' ? 'grade 3' : AGE_BANDS[high]}`;
}

/** The grade that is nearest to a place on the scale. */
export const gradeNear = (year: number): string =>
  AGE_BANDS[BANDS[Math.min(BANDS.length - 1, Math.max(0, Math.round(year)))]!];
const met = (year: number): string => {
  const name = yearName(year);
  return name.startsWith('be') ? name : `at ${name}`;
};

const OFTEN = 0.9;
/** What a variant that practises these facts asks; undefined where it practises none. */
export function demandOf(practice: readonly Practised[]): Demand | undefined {
  const facts = practice
    .filter(({ meetings }) => meetings > 0)
    .map(({ fact, meetings }) => ({ fact, meetings, year: yearOf(fact) }))
    .sort((a, b) => a.year - b.year);
  const all = facts.reduce((sum, { meetings }) => sum + meetings, 0);
  if (all === 0) return undefined;
  const demand = facts.reduce((sum, { year, meetings }) => sum + (year * meetings) / all, 0);
  let sum = 0;
  const most = facts.find(({ meetings }) => (sum += meetings) >= OFTEN * all - 1e-9) ?? facts.at(-1)!;
  const typical = facts.reduce((best, one) =>
    Math.abs(one.year - demand) < Math.abs(best.year - demand) - 1e-9 ? one : best,
  );
  const same = facts[0]!.year === facts.at(-1)!.year;
  return {
    demand,
    most: most.year,
    reason: `${same ? 'Its facts are' : 'On average its facts are'} usually met ${met(demand)}, such as ${written(typical.fact)}${
      most.year - demand > 0.15 ? `; nine in ten are no harder than ${written(most.fact)}` : ''
    }.`,
  };
}

/** What a variant asks of which no fact is known: the grade it is kept for. */
export const demandOfBand = (band: AgeBand): Demand => {
  const year = BANDS.indexOf(band);
  return {
    demand: year,
    most: year,
    reason: `It practises no facts that are counted, so the grade it is kept for stands: ${AGE_BANDS[band]}.`,
  };
};
