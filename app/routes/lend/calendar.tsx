import { data, redirect, useSearchParams } from 'react-router';
import { checkJson, type FieldErrors } from '~/core/check/check';
import { visible } from '~/core/check/keepable';
import { rulesSchema, weekdayName } from '~/core/lending/calendar';
import { daysAfter, daysBetween } from '~/core/lending/due';
import type { DaysInFile } from '~/core/lending/ical';
import { weeksOf } from '~/core/lending/term';
import { count } from '~/core/words/numbers';
import {
  addEntries,
  calendarEntries,
  calendarRules,
  lastMove,
  loadOfDays,
  moveDues,
  parted,
  removeEntry,
  saveRules,
  touchedLoans,
  undoMove,
} from '~/data/queries/calendar';
import { showTime } from '~/server/changes';
import { listIn } from '~/server/csv';
import { readDay } from '~/server/days';
import { byIntent, textIn, UNKNOWN_VERSION, versionIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { readFile } from '~/server/outside';
import { requireRole } from '~/server/people/session';
import { today as todayAtSchool } from '~/server/today';
import { LendWays } from '~/app/desk/LendWays';
import { TermSheet } from '~/app/desk/TermSheet';
import { ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Heading, Panel, Stack, Wide } from '~/app/ui/Page';
import { CalendarDays } from './CalendarDays';
import { CalendarRulesForm } from './CalendarRulesForm';
import { Touched } from './Touched';
import type { Route } from './+types/calendar';

export const meta: Route.MetaFunction = () => [{ title: 'Calendar · Fern Basket' }];

/** Weeks that are shown around today where no term says more. */
const WEEKS = { before: 4, after: 14 };

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const today = todayAtSchool(at);
  const [rules, entries, touched, moved] = await Promise.all([
    calendarRules(at),
    calendarEntries(at),
    touchedLoans(at, today).catch((error: unknown) => {
      if (error instanceof RangeError) return [];
      throw error;
    }),
    lastMove(at),
  ]);
  const { terms, closed } = parted(entries);
  const term = terms.find(({ from, to }) => from <= today && today <= to);
  const lately = daysAfter(today, -7 * WEEKS.before);
  const from = term && term.from > lately ? term.from : lately;
  const to = term ? term.to : daysAfter(today, 7 * WEEKS.after);
  return {
    today,
    rules,
    entries,
    touched,
    term: term?.name,
    moved: moved && { ...moved, at: showTime(at, moved.at) },
    weeks: weeksOf(from, to, { weekdays: rules.weekdays, closed }, await loadOfDays(at, from)),
  };
}

/** Days of a file are looked at around this one. */
const AROUND_DAYS = 550;
const MOST_ENTRIES = 500;

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  const answer = (
    more: { errors?: FieldErrors; found?: DaysInFile[]; text?: string; done?: string },
    status = 200,
  ) => data({ errors: {}, found: undefined, text: '', done: undefined, ...more }, { status });
  const room = async (more: number): Promise<boolean> =>
    (await calendarEntries(at)).length + more <= MOST_ENTRIES;
  const today = todayAtSchool(at);
  const inFile = async () => {
    const list = await listIn(form, 'school days');
    if (!list.ok) return list;
    const read = await readFile('calendar', list.text, {
      timeZone: at.timeZone,
      from: daysAfter(today, -AROUND_DAYS),
      to: daysAfter(today, AROUND_DAYS),
    });
    return read.ok ? { ...read, text: list.text } : read;
  };
  return byIntent(form, {
    rules: async () => {
      const openedOn = versionIn(form);
      if (openedOn === undefined) return answer({ errors: { '': UNKNOWN_VERSION } }, 400);
      const backOn = form.get('backOn');
      const checked = checkJson(rulesSchema, {
        weekdays: form.getAll('weekday').map(Number),
        backOn: backOn === 'any' ? null : Number(backOn),
        breaks: form.get('breaks'),
        longBreakDays: Number(form.get('longBreakDays')),
      });
      if (!checked.ok) return answer({ errors: checked.errors }, 400);
      const { backOn: back, weekdays } = checked.value;
      if (back !== null && !weekdays.includes(back))
        return answer(
          { errors: { backOn: `There is no school on a ${weekdayName(back)}. Choose a day with school.` } },
          400,
        );
      const saved = await saveRules(at, checked.value, openedOn, person.id);
      if (!saved.ok)
        return answer(
          {
            errors: {
              '': `${saved.stale.by} changed this meanwhile. Look at it as it is now, and change it once more.`,
            },
          },
          409,
        );
      throw redirect('/lend/calendar?saved=1');
    },
    add: async () => {
      const kind = form.get('kind') === 'term' ? 'term' : 'closed';
      const name = visible(textIn(form, 'name')).trim();
      const from = readDay(form.get('from'));
      const to = form.get('to') ? readDay(form.get('to')) : from;
      const errors: FieldErrors = {};
      if (!name || name.length > 120) errors.name = 'Give it a name of up to 120 characters.';
      if (!from) errors.from = 'Choose the first day.';
      if (!to) errors.to = 'Choose the last day, or leave it empty for a single day.';
      if (from && to && to < from) errors.to = 'The last day lies before the first one.';
      else if (from && to && daysBetween(from, to) > 400) errors.to = 'That is longer than a year.';
      if (!(await room(1))) errors.name = `The calendar has room for ${MOST_ENTRIES} entries.`;
      if (!from || !to || Object.keys(errors).length) return answer({ errors }, 400);
      await addEntries(at, [{ kind, name, from, to }], person.id);
      throw redirect('/lend/calendar?added=1');
    },
    remove: async () => {
      const id = form.get('entry');
      if (isId(id)) await removeEntry(at, id, person.id);
      throw redirect('/lend/calendar?removed=1');
    },
    read: async () => {
      const read = await inFile();
      return read.ok
        ? answer({ found: read.days, text: read.text })
        : answer({ errors: { file: read.problem } }, 400);
    },
    take: async () => {
      const read = await inFile();
      if (!read.ok) return answer({ errors: { file: read.problem } }, 400);
      const chosen = new Set(form.getAll('day'));
      const days = read.days.filter(({ uid }) => chosen.has(uid));
      if (days.length === 0)
        return answer(
          { errors: { file: 'Tick what belongs in the calendar.' }, found: read.days, text: read.text },
          400,
        );
      if (!(await room(days.length)))
        return answer({ errors: { file: `The calendar has room for ${MOST_ENTRIES} entries.` } }, 400);
      const added = await addEntries(
        at,
        days.map(({ uid, kind, name, from, to }) => ({ kind, uid, name, from, to })),
        person.id,
      );
      throw redirect(`/lend/calendar?added=${added}`);
    },
    move: async () => {
      const chosen = new Set(form.getAll('move'));
      const touched = await touchedLoans(at, today);
      const moves = touched
        .map(({ move }) => move)
        .filter(({ loanId, from, to }) => chosen.has(`${loanId} ${from} ${to}`));
      const moved = await moveDues(at, moves, person.id);
      if (!moved)
        return answer(
          { errors: { move: 'Nothing was moved: look at the days as they are now, and tick loans.' } },
          409,
        );
      throw redirect(`/lend/calendar?moved=${moved.moved}`);
    },
    undo: async () => {
      const id = form.get('moved');
      const back = isId(id) ? await undoMove(at, id, person.id) : undefined;
      return back === undefined
        ? answer({ errors: { move: 'This was undone already.' } }, 409)
        : answer({ done: `${count(back, 'loan is', 'loans are')} due as before.` });
    },
  });
}

export default function Calendar({ loaderData, actionData }: Route.ComponentProps) {
  const { rules, entries, touched, weeks, term, moved, today } = loaderData;
  const [search] = useSearchParams();
  const errors: FieldErrors = actionData?.errors ?? {};
  return (
    <Wide>
      <Stack>
        <LendWays coordinates />
        <Heading
          title="The school’s calendar"
          action={
            <ButtonLink quiet href="/lend/calendar.ics">
              Take it out (iCalendar)
            </ButtonLink>
          }
        >
          On which days is there school? Due days follow it, and say why.
        </Heading>
        {!actionData && search.has('saved') && (
          <Said kind="done" word="Saved" live>
            Due days are proposed so from now on.
          </Said>
        )}
        {!actionData && search.has('added') && (
          <Said kind="done" word="Added" live>
            {Number(search.get('added')) === 0 ? 'All of it was there already.' : 'Due days know of it.'}
          </Said>
        )}
        {!actionData && search.has('removed') && (
          <Said kind="done" word="Removed" live>
            It counts as before.
          </Said>
        )}
        {((!actionData && search.has('moved')) || actionData?.done) && (
          <Said kind="done" word="Done" live>
            {actionData?.done ??
              `${count(Number(search.get('moved')) || 0, 'loan was', 'loans were')} moved.`}
          </Said>
        )}
        {errors.move && (
          <Said kind="stop" live>
            {errors.move}
          </Said>
        )}
        <Touched touched={touched} moved={moved} />
        <Panel aria-labelledby="term">
          <Stack>
            <h2 id="term">{term ?? 'The weeks around today'}</h2>
            <TermSheet weeks={weeks} today={today} />
          </Stack>
        </Panel>
        <CalendarDays entries={entries} errors={errors} found={actionData?.found} text={actionData?.text} />
        <CalendarRulesForm rules={rules} errors={errors} />
      </Stack>
    </Wide>
  );
}
