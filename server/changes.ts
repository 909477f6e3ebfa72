/** What forms and pages tell of changes, with days and times as they are at school. */
import { same } from '~/core/check/merge';
import { logOf, type Stale, type Thing } from '~/data/queries/changes';

const clock = new Intl.DateTimeFormat('en-US', { hour: 'numeric', minute: '2-digit' });
const dayAndClock = new Intl.DateTimeFormat('en-US', {
  month: 'short',
  day: 'numeric',
  hour: 'numeric',
  minute: '2-digit',
});
/** "Nov 26, 10:42 AM". */
export const showTime = (at: Date): string => dayAndClock.format(at);

/** A save that came too late, ready to be shown. */
export const lateOf = <T>({ at, ...stale }: Stale<T>) => ({ ...stale, at: clock.format(at) });

/** Who changed what of a thing, the newest first, with the fields that differ. */
export async function changesOf(thing: Thing, thingId: string) {
  return (await logOf(thing, thingId)).map(({ id, by, at, kind, before, after }) => ({
    id,
    by,
    at: showTime(at),
    kind: kind === 'did' ? 'something was done' : kind,
    fields: Object.keys({ ...before, ...after })
      .filter((field) => !same(before?.[field], after?.[field]))
      .map((field) => ({ field, from: before ? before[field] : undefined, to: after?.[field] })),
  }));
}
