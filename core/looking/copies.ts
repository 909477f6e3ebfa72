/** How many copies of a kit are enough, from what families ask for and how long bags are away. */
import { count, share } from '~/core/words/numbers';
import { meanAway, type Away } from './away';
import { turnedAway } from './batches';
import { supply } from './supply';

export interface KitUse {
  kitId: string;
  name: string;
  /** Copies that can be lent. */
  copies: number;
  /** Loans and wishes that came to nothing, over so many weeks. */
  asks: number;
  weeks: number;
  /** The loans that began, and on how many days. */
  away: readonly Away[];
  lendingDays: number;
  /** Families that have not had it yet: each has it once. */
  fresh: number;
}
export interface KitSupply extends Omit<KitUse, 'away'> {
  loans: number;
  /** Asks that are to be expected from now on. */
  asksPerWeek: number;
  weeksOut: number;
  chanceNoneHome: number;
  copiesNeeded: number;
  /** Nine in ten such schools need between so many and so many. */
  fewest: number;
  most: number;
  /** They are handed out once a week, to many at once. */
  inBatches: boolean;
  /** More copies to build; below zero so many that could be taken apart. */
  change: number;
  sentence: string;
}

/** A bag that came home is counted, mended and put on the shelf: so many days. */
export const TURN_ROUND_DAYS = 2;
/** One copy more than enough is no waste; two are. */
const SPARE = 1;
/** So few lending days a week are hand-outs. */
const BATCH_DAYS = 1.5;
/** More copies than this are reckoned as if families came one by one: it makes little difference then. */
const MOST_IN_BATCHES = 40;
const USUAL_TURNED_AWAY = 0.1;
/** The 95 % point of the normal distribution: nine in ten lie within. */
const NINE_IN_TEN = 1.6449;

/** What a number of copies means, and how many are enough. */
function enough(asksPerWeek: number, weeksOut: number, inBatches: boolean, copies: number) {
  const single = supply({ asksPerWeek, weeksOut, copies });
  const one = { chanceNoneHome: single.chanceNoneHome!, copiesNeeded: single.copiesNeeded };
  if (!inBatches || Math.max(copies, one.copiesNeeded) > MOST_IN_BATCHES) return one;
  let copiesNeeded = 0;
  while (
    copiesNeeded <= MOST_IN_BATCHES &&
    turnedAway(asksPerWeek, weeksOut, copiesNeeded) > USUAL_TURNED_AWAY
  )
    copiesNeeded++;
  return { chanceNoneHome: turnedAway(asksPerWeek, weeksOut, copies), copiesNeeded };
}

/** Undefined where nothing was lent, or nothing has come home yet. */
export function supplyOf({ away, ...use }: KitUse): KitSupply | undefined {
  const mean = meanAway(away);
  if (!mean || use.weeks <= 0) return undefined;
  // Who has had it asks no more: as many as are left do, sooner or later.
  const asksPerWeek = use.fresh ? (use.fresh / use.weeks) * (1 - Math.exp(-use.asks / use.fresh)) : 0;
  const weeksOut = (mean.days + TURN_ROUND_DAYS) / 7;
  const inBatches =
    use.lendingDays > 0 && use.lendingDays / use.weeks <= BATCH_DAYS && use.asks > use.lendingDays;
  const { chanceNoneHome, copiesNeeded } = enough(asksPerWeek, weeksOut, inBatches, use.copies);
  const unsure = Math.sqrt(1 / Math.max(1, use.asks) + (mean.error / mean.days) ** 2);
  const at = (deviations: number): number =>
    enough(asksPerWeek * Math.exp(deviations * unsure), weeksOut, inBatches, use.copies).copiesNeeded;
  const change =
    copiesNeeded > use.copies ? copiesNeeded - use.copies : Math.min(0, copiesNeeded + SPARE - use.copies);
  const [fewest, most] = [Math.min(copiesNeeded, at(-NINE_IN_TEN)), Math.max(copiesNeeded, at(NINE_IN_TEN))];
  return {
    ...use,
    loans: away.length,
    asksPerWeek,
    weeksOut,
    chanceNoneHome,
    copiesNeeded,
    fewest,
    most,
    inBatches,
    change,
    sentence: `${
      use.fresh
        ? `${asksPerWeek.toFixed(1)} asks a week are to come${inBatches ? ', many on one day' : ''}, from ${count(use.fresh, 'family', 'families')} that ${use.fresh === 1 ? 'has' : 'have'} not had it`
        : 'Every family has had it'
    }; ${weeksOut.toFixed(1)} weeks away each time: ${share(chanceNoneHome)} that none is home for a family that asks. ${copiesNeeded} are enough (${fewest} to ${most}, as far as ${count(use.asks, 'ask')} tell). ${
      change > 0
        ? `Build ${change} more.`
        : change < 0
          ? `${-change} could be taken apart for ${-change === 1 ? 'its' : 'their'} parts.`
          : 'There are enough.'
    }`,
  };
}
