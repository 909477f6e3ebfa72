/** What all answers of a school mean together: how hard variants are, where children are, how far forecasts hold. */
import { grouped } from '~/core/check/grouped';
import type { AgeBand } from '~/core/games/kit/types';
import { bandIn, LEVEL_OF, readChildren, type Child } from '~/core/lending/children';
import { searchable } from '~/core/words/search';
import { correction, type Correction } from './correction';
import { byTenths, forecasts, type Forecast, type Tenth } from './calibration';
import type { LevelAsked, Said } from './level';

/** A child of a family, or all of them where nobody said which. */
export interface Who {
  familyId: string;
  /** A nickname; empty for the family. */
  child: string;
  band: AgeBand;
}
/** One word on a variant. */
export interface Voice {
  who: string;
  band: AgeBand;
  variant: string;
  said: Said;
  /** Weeks ago, fractions among them. */
  weeksAgo: number;
}

const BANDS = Object.keys(LEVEL_OF) as AgeBand[];
/** Without a word on the grade, the middle of the grades that borrow. */
const UNKNOWN: AgeBand = 'g1';

/** The band of a family: the nearest to the middle of its children. */
export function bandOf(children: readonly Child[]): AgeBand {
  if (children.length === 0) return UNKNOWN;
  const middle = children.reduce((sum, { band }) => sum + LEVEL_OF[band], 0) / children.length;
  return BANDS[Math.round(middle)]!;
}

/** Of whom an answer speaks: the child of this nickname, the only child there is, or the family. */
export function whoOf(familyId: string, childrenText: string, nickname: string): Who {
  const read = readChildren(childrenText);
  const children = read.ok ? read.children : [];
  const named =
    children.find(({ name }) => searchable(name) === searchable(nickname)) ??
    (children.length === 1 && nickname.trim() === '' ? children[0] : undefined);
  return named
    ? { familyId, child: named.name, band: named.band }
    : { familyId, child: nickname.trim(), band: bandIn(nickname) ?? bandOf(children) };
}
export const whoKey = ({ familyId, child }: Pick<Who, 'familyId' | 'child'>): string =>
  `${familyId} ${searchable(child)}`;

export interface Meaning {
  corrections: Record<string, Correction>;
  tenths: Tenth[];
}

/** What `level` is asked of one child: its answers, with what the variants are found to ask. */
export const askedOf = (
  band: AgeBand,
  voices: readonly Voice[],
  demands: Readonly<Record<string, number>>,
): Pick<LevelAsked, 'band' | 'answers'> => ({
  band,
  answers: voices.flatMap(({ variant, said, weeksAgo }) => {
    const demand = demands[variant];
    return demand === undefined ? [] : [{ demand, said, weeksAgo }];
  }),
});

/** The demands that answers have moved. */
export const movedBy = (
  demands: Readonly<Record<string, number>>,
  corrections: Readonly<Record<string, Correction>>,
): Record<string, number> =>
  Object.fromEntries(
    Object.entries(demands).map(([id, demand]) => [id, demand + (corrections[id]?.shift ?? 0)]),
  );

/** One variant that is found harder makes all others look easier, until it is known: so it is asked again. */
const ROUNDS = 2;

/** Of several words of one child on one variant the last counts. */
const lastOf = (voices: readonly Voice[]): Voice[] => [
  ...new Map(
    [...voices].sort((a, b) => b.weeksAgo - a.weeksAgo).map((one) => [`${one.who} ${one.variant}`, one]),
  ).values(),
];

/**
 * What the answers mean. `demands` as they are reckoned from facts. A correction takes each child's level from what it
 * said of other variants; a forecast takes it from what it said before.
 */
export function meaning(voices: readonly Voice[], demands: Readonly<Record<string, number>>): Meaning {
  const byWho = grouped(voices, ({ who }) => who);
  const known = lastOf(voices).filter(({ variant }) => demands[variant] !== undefined);
  const byVariant = [...grouped(known, ({ variant }) => variant)];
  let corrections: Record<string, Correction> = {};
  for (let round = 0; round < ROUNDS; round++) {
    const moved = movedBy(demands, corrections);
    corrections = Object.fromEntries(
      byVariant.map(([variant, words]) => [
        variant,
        correction(
          demands[variant]!,
          words.map(({ who, band, said, weeksAgo }) => ({
            said,
            weeksAgo,
            of: askedOf(
              band,
              byWho.get(who)!.filter((one) => one.variant !== variant),
              moved,
            ),
          })),
        ),
      ]),
    );
  }
  const moved = movedBy(demands, corrections);
  const all: Forecast[] = [...byWho.values()].flatMap((mine) => {
    const ordered = mine
      .filter(({ variant }) => moved[variant] !== undefined)
      .sort((a, b) => b.weeksAgo - a.weeksAgo);
    return ordered.length === 0
      ? []
      : forecasts(
          ordered[0]!.band,
          ordered.map(({ variant, said, weeksAgo }) => ({ demand: moved[variant]!, said, week: -weeksAgo })),
        );
  });
  return { corrections, tenths: byTenths(all) };
}
