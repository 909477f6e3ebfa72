/** From this hour on, on the clock of the school, families are told what there is to tell; 24: never by the clock. */
export const EVENING_HOUR = Number(process.env.EVENING_HOUR ?? 17);

/** The hour as it is said: "5 PM". */
export const eveningHour = (): string =>
  new Intl.DateTimeFormat('en-US', { hour: 'numeric', timeZone: 'UTC' }).format(
    Date.UTC(2026, 0, 1, EVENING_HOUR),
  );
