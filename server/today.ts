import { dayIn } from '~/core/lending/due';
import { now, type OneSchool } from '~/data/db';

type Place = Pick<OneSchool, 'timeZone'>;

/** The calendar date of a moment at a school: it is decided where the school lies. */
export const dayAt = ({ timeZone }: Place, moment: Date): string => dayIn(timeZone, moment);
/** Today at a school: the same for all servers of one database. */
export const today = (at: Place): string => dayAt(at, now());
