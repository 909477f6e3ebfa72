/** What to lend a child after this: the variants most likely to be just right, and the rung that would mend this one. */
import { settle, type Variant } from '~/core/games/kit/game';
import { assume, type AgeBand, type Params } from '~/core/games/kit/types';
import { capital } from '~/core/words/numbers';
import { demandOf, gradeNear, yearName } from './demand';
import { chanceOf, level, posterior, rangeOf, type LevelAsked } from './level';

/** A variant that could be lent. */
export interface Candidate {
  id: string;
  demand: number;
}
export interface Advised {
  id: string;
  justRight: number;
}

export const MOST_ADVISED = 3;

/** The candidates most likely to be just right, the likeliest first. */
export const advise = (
  asked: Pick<LevelAsked, 'band' | 'answers'>,
  candidates: readonly Candidate[],
): Advised[] => level({ ...asked, candidates: [...candidates] }).candidates.slice(0, MOST_ADVISED);

/** Where a child stands, how sure that is, and what it rests on. */
export interface Standing {
  mean: number;
  sd: number;
  /** Nine in ten that it lies between. */
  from: number;
  to: number;
  answers: number;
  /** How many answers of today theirs are worth: older ones count less. */
  worth: number;
  sentence: string;
}
/** "Around grade 1", or "Between kindergarten and grade 1". */
const around = (mean: number): string => {
  const name = yearName(mean);
  return name.startsWith('be') ? capital(name) : `Around ${name}`;
};
/** The range that holds nine in ten, by its grades. */
const range = (from: number, to: number): string =>
  gradeNear(from) === gradeNear(to) ? `no other` : `somewhere from ${gradeNear(from)} to ${gradeNear(to)}`;
export function standing(asked: Pick<LevelAsked, 'band' | 'answers'>, bandName: string): Standing {
  const { mean, sd } = level(asked);
  const { from, to } = rangeOf(posterior(asked), 0.9);
  const { answers } = asked;
  const worth = answers.reduce((sum, { weeksAgo = 0 }) => sum + 0.5 ** (weeksAgo / 26), 0);
  const of = (said: string): number => answers.filter((one) => one.said === said).length;
  const heard = [
    of('tooEasy') && `${of('tooEasy')} too easy`,
    of('justRight') && `${of('justRight')} just right`,
    of('tooHard') && `${of('tooHard')} too hard`,
  ].filter(Boolean);
  return {
    mean,
    sd,
    from,
    to,
    answers: answers.length,
    worth,
    sentence:
      answers.length === 0
        ? `Nobody has answered yet: the grade stands, ${bandName}.`
        : `${around(mean)}, most likely ${range(from, to)}: ${heard.join(', ')}; older answers count less.`,
  };
}

/** Why a variant is advised, in a sentence. */
export const whyAdvised = (justRight: number, demand: number, mean: number): string => {
  const off = demand - mean;
  const place =
    Math.abs(off) < 0.35 ? 'right where they are' : off > 0 ? 'a step above where they are' : 'a step below';
  return `${Math.round(justRight * 100)} in 100 that it is just right: it asks ${yearName(demand)}, ${place}.`;
};

export interface Mended {
  label: string;
  params: Params;
  justRight: number;
  before: number;
}

/** So many rungs are climbed in each direction. */
const MOST_RUNGS = 6;
/** A change is only spoken of where it helps by this much. */
const WORTH = 0.05;

/**
 * The rungs of a variant's own ladder that make it likelier to be just right: the one where it is likeliest. `shift`
 * is what families' answers have moved this game by. Undefined where it is as right as it can be.
 */
export function mendedFor(
  variant: Variant,
  ageBand: AgeBand,
  asked: Pick<LevelAsked, 'band' | 'answers'>,
  shift: number,
): Mended | undefined {
  const grid = posterior(asked, 0.1);
  const rightAt = (demand: number): number =>
    grid.reduce((sum, one) => sum + one.weight * chanceOf('justRight', one.level, demand), 0);
  const reckon = (one: Variant) => one.reckon(assume(ageBand));
  const here = reckon(variant);
  const asks = demandOf(here.practice);
  if (!asks) return undefined;
  const before = rightAt(asks.demand + shift);
  let best: Mended | undefined;
  for (const way of ['easier', 'harder'] as const) {
    let rung = here.ladder[way];
    for (let i = 0; rung && i < MOST_RUNGS; i++) {
      const { label, params } = rung;
      const there = reckon(settle(variant.game, params));
      const demand = demandOf(there.practice);
      if (!demand) break;
      const justRight = rightAt(demand.demand + shift);
      if (justRight > (best?.justRight ?? before + WORTH)) best = { label, params, justRight, before };
      rung = there.ladder[way];
    }
  }
  return best;
}
