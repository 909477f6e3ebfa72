import { data, Form, redirect, useSearchParams } from 'react-router';
import { checkJson, type FieldErrors } from '~/core/check/check';
import { visible } from '~/core/check/keepable';
import { BREAKS, reasonOf, rulesSchema, weekdayName } from '~/core/lending/calendar';
import { daysAfter, daysBetween, showDay } from '~/core/lending/due';
import { readCalendar, type DaysInFile } from '~/core/lending/ical';
import { showTag } from '~/core/kits/tag';
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
  type Entry,
} from '~/data/queries/calendar';
import { showTime } from '~/server/changes';
import { listIn } from '~/server/csv';
import { readDay } from '~/server/days';
import { byIntent, UNKNOWN_VERSION, versionIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { today as todayAtSchool } from '~/server/today';
import { TermSheet } from '~/app/desk/TermSheet';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox, Pick, TextBox, TickBox } from '~/app/ui/fields';
import { NotSaved } from '~/app/ui/NotSaved';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Panel, Row, Stack, Tag, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
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
  ) => data({ errors: {} as FieldErrors, found: undefined, text: '', done: undefined, ...more }, { status });
  const room = async (more: number): Promise<boolean> =>
    (await calendarEntries(at)).length + more <= MOST_ENTRIES;
  const today = todayAtSchool(at);
  const inFile = async () => {
    const list = await listIn(form, 'school days');
    if (!list.ok) return list;
    const read = readCalendar(list.text, {
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
      const name = visible(String(form.get('name') ?? '')).trim();
      const from = readDay(form.get('from'));
      const to = form.get('to') ? readDay(form.get('to')) : from;
      const errors: FieldErrors = {};
      if (!name || name.length > 120) errors.name = 'Give it a name of up to 120 characters.';
      if (!from) errors.from = 'Choose the first day.';
      if (!to) errors.to = 'Choose the last day, or leave it empty for a single day.';
      if (from && to && to < from) errors.to = 'The last day lies before the first one.';
      else if (from && to && daysBetween(from, to) > 400) errors.to = 'That is longer than a year.';
      if (!(await room(1))) errors[''] = `The calendar has room for ${MOST_ENTRIES} entries.`;
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
          { errors: { file: 'Tick the days that have no school.' }, found: read.days, text: read.text },
          400,
        );
      if (!(await room(days.length)))
        return answer({ errors: { file: `The calendar has room for ${MOST_ENTRIES} entries.` } }, 400);
      const added = await addEntries(
        at,
        days.map(({ uid, name, from, to }) => ({ kind: 'closed' as const, uid, name, from, to })),
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
  const busy = useSending();
  const errors: FieldErrors = actionData?.errors ?? {};
  const known = new Map(entries.flatMap((one) => (one.uid ? [[one.uid, one] as const] : [])));
  /** Whether a day of a file stands here already just so. */
  const there = ({ uid, name, from, to }: DaysInFile): boolean => {
    const now = known.get(uid);
    return now?.name === name && now.from === from && now.to === to;
  };
  return (
    <Wide>
      <Stack>
        <Heading
          title="The school’s calendar"
          action={
            <Row $gap="0.6rem">
              <ButtonLink quiet href="/lend/calendar.ics">
                Take it out (iCalendar)
              </ButtonLink>
              <ButtonLink quiet href="/lend">
                Lend
              </ButtonLink>
            </Row>
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
        {touched.length > 0 && (
          <Panel aria-labelledby="touched">
            <Form method="post">
              <input type="hidden" name="intent" value="move" />
              <Stack>
                <h2 id="touched">
                  {count(touched.length, 'loan is', 'loans are')} due on a day without school
                </h2>
                <Table
                  rows={touched}
                  rowKey={({ id }) => id}
                  columns={[
                    {
                      head: 'Move',
                      cell: ({ move, tag }) => (
                        <TickBox name="move" value={`${move.loanId} ${move.from} ${move.to}`} defaultSelected>
                          <Tag>{showTag(tag)}</Tag>
                        </TickBox>
                      ),
                    },
                    { head: 'Kit', cell: ({ kitName }) => kitName },
                    { head: 'Family', cell: ({ familyName }) => familyName },
                    { head: 'Due now', cell: ({ dueOn }) => showDay(dueOn) },
                    {
                      head: 'Would be due',
                      cell: ({ move, why }) => `${showDay(move.to)}: ${reasonOf({ why })}`,
                    },
                  ]}
                />
                <Row>
                  <Button type="submit" isPending={busy}>
                    Move the ticked ones
                  </Button>
                </Row>
              </Stack>
            </Form>
          </Panel>
        )}
        {moved && (
          <Form method="post">
            <input type="hidden" name="intent" value="undo" />
            <input type="hidden" name="moved" value={moved.id} />
            <Row>
              <Faint style={{ alignSelf: 'center' }}>
                {count(moved.loans, 'due day was', 'due days were')} moved on {moved.at}.
              </Faint>
              <Button type="submit" quiet isPending={busy}>
                Move them back
              </Button>
            </Row>
          </Form>
        )}
        <Panel aria-labelledby="term">
          <Stack>
            <h2 id="term">{term ?? 'The weeks around today'}</h2>
            <TermSheet weeks={weeks} today={today} />
          </Stack>
        </Panel>
        <Panel aria-labelledby="days">
          <Stack>
            <h2 id="days">Days without school, and terms</h2>
            {entries.length > 0 && (
              <Table
                rows={entries}
                rowKey={({ id }) => id}
                columns={[
                  { head: 'What', cell: ({ name }: Entry) => name },
                  { head: '', cell: ({ kind }) => (kind === 'term' ? 'a term' : 'no school') },
                  { head: 'From', cell: ({ from }) => showDay(from) },
                  { head: 'To', cell: ({ to }) => showDay(to) },
                  {
                    head: '',
                    cell: ({ id, name }) => (
                      <Form method="post">
                        <input type="hidden" name="intent" value="remove" />
                        <input type="hidden" name="entry" value={id} />
                        <Button type="submit" quiet aria-label={`Remove ${name}`}>
                          Remove
                        </Button>
                      </Form>
                    ),
                  },
                ]}
              />
            )}
            <Form method="post" key={`add ${entries.length}`}>
              <input type="hidden" name="intent" value="add" />
              <Stack $gap="0.7rem">
                <NotSaved errors={errors.name || errors.from || errors.to ? errors : {}} />
                <Row>
                  <Pick
                    name="kind"
                    label="Add"
                    options={[
                      { value: 'closed', label: 'days without school' },
                      { value: 'term', label: 'a term' },
                    ]}
                  />
                  <TextBox name="name" label="What it is called" error={errors.name} maxLength={120} />
                  <TextBox name="from" label="First day" inputType="date" error={errors.from} />
                  <TextBox name="to" label="Last day" inputType="date" error={errors.to} />
                  <Button type="submit" quiet isPending={busy}>
                    Add it
                  </Button>
                </Row>
              </Stack>
            </Form>
            <Form method="post" encType="multipart/form-data">
              <input type="hidden" name="intent" value="read" />
              <Row>
                <label>
                  <strong>Or from a calendar file (.ics)</strong>
                  <br />
                  <input type="file" name="file" accept=".ics,text/calendar" />
                </label>
                <Button type="submit" quiet isPending={busy}>
                  Show what is in it
                </Button>
              </Row>
            </Form>
            {errors.file && (
              <Said kind="stop" word="Not taken" live>
                {errors.file}
              </Said>
            )}
            {actionData?.found && (
              <Form method="post" encType="multipart/form-data">
                <input type="hidden" name="intent" value="take" />
                <textarea name="text" hidden readOnly value={actionData.text} />
                <Stack $gap="0.7rem">
                  <p role="status">
                    {count(actionData.found.length, 'event')} in the file. Tick those on which there is no
                    school.
                  </p>
                  <Table
                    rows={actionData.found}
                    rowKey={({ uid, from }) => `${uid} ${from}`}
                    columns={[
                      {
                        head: 'No school',
                        cell: (one) =>
                          there(one) ? (
                            <Faint>{one.name}: there already</Faint>
                          ) : (
                            <TickBox
                              name="day"
                              value={one.uid}
                              defaultSelected={one.allDay || known.has(one.uid)}
                            >
                              {one.name}
                              {known.has(one.uid) && ': other days than now'}
                            </TickBox>
                          ),
                      },
                      { head: 'From', cell: ({ from }) => showDay(from) },
                      { head: 'To', cell: ({ to }) => showDay(to) },
                      { head: '', cell: ({ allDay }) => (allDay ? '' : 'a part of a day') },
                    ]}
                  />
                  <Row>
                    <Button type="submit" isPending={busy}>
                      Add the ticked days
                    </Button>
                  </Row>
                </Stack>
              </Form>
            )}
          </Stack>
        </Panel>
        <Panel aria-labelledby="rules">
          <Form method="post" key={rules.version}>
            <input type="hidden" name="intent" value="rules" />
            <input type="hidden" name="version" value={rules.version} />
            <Stack>
              <h2 id="rules">How due days are counted</h2>
              <NotSaved
                errors={
                  errors[''] || errors.weekdays || errors.backOn || errors.breaks || errors.longBreakDays
                    ? errors
                    : {}
                }
              />
              <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
                <legend>
                  <strong>There is school on</strong>
                </legend>
                <Row $gap="0.9rem">
                  {[1, 2, 3, 4, 5, 6, 7].map((day) => (
                    <TickBox
                      key={day}
                      name="weekday"
                      value={String(day)}
                      defaultSelected={rules.weekdays.includes(day)}
                    >
                      {weekdayName(day)}
                    </TickBox>
                  ))}
                </Row>
              </fieldset>
              <Row>
                <Pick
                  name="backOn"
                  label="Bags come back on"
                  defaultValue={rules.backOn === null ? 'any' : String(rules.backOn)}
                  error={errors.backOn}
                  options={[
                    { value: 'any', label: 'any school day' },
                    ...[1, 2, 3, 4, 5, 6, 7].map((day) => ({ value: String(day), label: weekdayName(day) })),
                  ]}
                />
                <Pick
                  name="breaks"
                  label="Over a long break bags come home"
                  defaultValue={rules.breaks}
                  options={Object.entries(BREAKS).map(([value, label]) => ({ value, label }))}
                />
                <NumberBox
                  name="longBreakDays"
                  label="A long break has school days"
                  min={1}
                  max={60}
                  defaultValue={rules.longBreakDays}
                />
                <Button type="submit" isPending={busy}>
                  Save
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
      </Stack>
    </Wide>
  );
}
