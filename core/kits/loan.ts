/** What a kit reckons with for one loan. */

/** Days that a loan lasts when a kit says nothing else. */
export const LOAN_DAYS = 21;

/** Plays a week that a family is taken to have with a bag, until enough families have told. */
export const USUAL_PLAYS = 2;
/** So many answers are enough to say more than the assumption. */
export const ENOUGH_ANSWERS = 10;

/** Plays of each game in a loan: those of the bag are shared out among its games. */
export const playsEach = (
  games: number,
  { daysOut, playsAWeek }: { daysOut: number; playsAWeek: number },
): number => (games === 0 ? 0 : Math.max(1, Math.ceil((playsAWeek * daysOut) / 7 / games)));
