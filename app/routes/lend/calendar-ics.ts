import { writeCalendar } from '~/core/lending/ical';
import { calendarEntries } from '~/data/queries/calendar';
import { requireRole } from '~/server/people/session';
import type { Route } from './+types/calendar-ics';

/** The school's days as iCalendar; they come in again as the same. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const entries = await calendarEntries(at);
  const text = writeCalendar(
    entries.map(({ id, uid, ...days }) => ({ ...days, uid: uid ?? id })),
    new Date(),
  );
  return new Response(text, {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="school-calendar.ics"',
    },
  });
}
