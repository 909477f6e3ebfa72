import { getLocalTimeZone, today as todayIn } from '@internationalized/date';

/** Today at school, as a calendar date. The server's time zone is the school's. */
export const today = (): string => todayIn(getLocalTimeZone()).toString();
