import { clock } from '~/core/words/clock';

/** From this hour on, on the clock of the school, families are told what there is to tell; 24: never by the clock. */
const asked = Number(process.env.EVENING_HOUR || 17);
export const EVENING_HOUR = Number.isInteger(asked) && asked >= 0 && asked <= 24 ? asked : 17;

/** When families are told, as it is said: "after 5 PM". */
export const whenTold = (): string =>
  EVENING_HOUR === 24
    ? 'when it is said under Messages'
    : `after ${clock('en-US', { hour: 'numeric', timeZone: 'UTC' }).format(
        Date.UTC(2026, 0, 1, EVENING_HOUR),
      )}`;
