/** What forms and pages tell of changes, with days and times as they are at school. */
import { clock } from '~/core/words/clock';
import { same } from '~/core/check/merge';
import type { OneSchool, SchoolHandle } from '~/data/db';
import { logOf, logsOf, type LogRow, type Stale, type Thing } from '~/data/queries/changes';

const DAY_AND_CLOCK = { month: 'short', day: 'numeric', hour: 'numeric', minute: '2-digit' } as const;
const CLOCK = { hour: 'numeric', minute: '2-digit' } as const;
const shownAt = ({ timeZone }: OneSchool, at: Date, parts: Intl.DateTimeFormatOptions): string =>
  clock('en-US', { ...parts, timeZone }).format(at);

/** "Nov 26, 10:42 AM" on the clock of a school. */
export const showTime = (at: OneSchool, moment: Date): string => shownAt(at, moment, DAY_AND_CLOCK);

/** A save that came too late, ready to be shown. */
export const lateOf = <T>(at: OneSchool, { at: moment, ...stale }: Stale<T>) => ({
  ...stale,
  at: shownAt(at, moment, CLOCK),
});

/** Who changed what of a thing, the newest first, with the fields that differ. */
export const changesOf = async (at: SchoolHandle, thing: Thing, thingId: string) =>
  shown(at, await logOf(at, thing, thingId));
/** The same of several things, by thing. */
export const changesOfAll = async (at: SchoolHandle, thing: Thing, thingIds: readonly string[]) =>
  new Map([...(await logsOf(at, thing, thingIds))].map(([id, rows]) => [id, shown(at, rows)]));

const shown = (at: SchoolHandle, rows: readonly LogRow[]) =>
  rows.map(({ id, by, at: moment, kind, before, after }) => ({
    id,
    by,
    at: showTime(at, moment),
    kind: kind === 'did' ? 'something was done' : kind,
    fields: Object.keys({ ...before, ...after })
      .filter((field) => !same(before?.[field], after?.[field]))
      .map((field) => ({ field, from: before ? before[field] : undefined, to: after?.[field] })),
  }));
