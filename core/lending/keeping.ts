/** How long a school keeps what it knows of families. */
import { Object as Fields, Optional, type Static } from '@sinclair/typebox';
import { parseDate } from '@internationalized/date';
import { Whole } from '~/core/check/schema';

export const keepingSchema = Fields({
  months: Optional(Whole(1, 120, { title: 'Months after the last loan' })),
});
export type Keeping = Static<typeof keepingSchema>;

/** Families whose last loan lies before this day have been kept for so many months. */
export const keptSince = (today: string, months: number): string =>
  parseDate(today).subtract({ months }).toString();
