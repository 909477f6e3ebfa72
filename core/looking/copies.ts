/** How many copies of a kit are enough, from what families ask for and how long bags are away. */
import { share } from '~/core/words/numbers';
import { supply } from './supply';

export interface KitUse {
  kitId: string;
  name: string;
  /** Copies that can be lent. */
  copies: number;
  /** Loans and wishes that came to nothing, over so many weeks. */
  asks: number;
  weeks: number;
  /** Days of all loans that began, and how many they are. */
  daysOut: number;
  loans: number;
}
export interface KitSupply extends KitUse {
  asksPerWeek: number;
  weeksOut: number;
  chanceNoneHome: number;
  copiesNeeded: number;
  /** More copies to build; below zero so many that could be taken apart. */
  change: number;
  sentence: string;
}

/** A bag that came home is counted, mended and put on the shelf: so many days. */
export const TURN_ROUND_DAYS = 2;
/** One copy more than enough is no waste; two are. */
const SPARE = 1;

export function supplyOf(use: KitUse): KitSupply | undefined {
  if (use.loans === 0 || use.weeks <= 0) return undefined;
  const asksPerWeek = use.asks / use.weeks;
  const weeksOut = (use.daysOut / use.loans + TURN_ROUND_DAYS) / 7;
  const { chanceNoneHome, copiesNeeded } = supply({ asksPerWeek, weeksOut, copies: use.copies });
  const change =
    copiesNeeded > use.copies ? copiesNeeded - use.copies : Math.min(0, copiesNeeded + SPARE - use.copies);
  return {
    ...use,
    asksPerWeek,
    weeksOut,
    chanceNoneHome: chanceNoneHome!,
    copiesNeeded,
    change,
    sentence: `${asksPerWeek.toFixed(1)} asks a week, ${weeksOut.toFixed(1)} weeks away each time: ${share(chanceNoneHome!)} that none is home when a family asks. ${
      change > 0
        ? `Build ${change} more.`
        : change < 0
          ? `${-change} could be taken apart for ${-change === 1 ? 'its' : 'their'} parts.`
          : 'There are enough.'
    }`,
  };
}
