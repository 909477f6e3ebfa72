/** The invitation of a fluent reader: what is asked of whom, and for how long. */
import { Type } from '@sinclair/typebox';
import { Line, Whole } from '~/core/check/schema';

export const MOST_DAYS = 60;
export const USUAL_DAYS = 14;

export const invitationSchema = Type.Object({
  reader: Line(80, { title: 'Who reads' }),
  days: Whole(1, MOST_DAYS, { title: 'Days' }),
});

/** Seconds in which a line is read against the other and judged. */
const LINE_SECONDS = 20;
export const minutesToRead = (lines: number): number => Math.max(1, Math.round((lines * LINE_SECONDS) / 60));

/** A line said aloud takes a few seconds; a recording ends by itself after so many. */
export const MOST_SECONDS = 20;

/** A word of a reader that says how a line should be said, or why it is not right, is no longer than this. */
export const MOST_NOTE = 500;
