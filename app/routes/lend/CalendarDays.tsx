import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { showDay } from '~/core/lending/due';
import type { DaysInFile } from '~/core/lending/ical';
import { count } from '~/core/words/numbers';
import type { Entry } from '~/data/queries/calendar';
import { Button, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { NotSaved } from '~/app/ui/NotSaved';
import { Said } from '~/app/ui/Notices';
import { Faint, Panel, Row, Stack } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';

/** Days without school and terms: typed, or chosen from a calendar file. */
export function CalendarDays({
  entries,
  errors,
  found,
  text,
}: {
  entries: readonly Entry[];
  errors: FieldErrors;
  /** What is in the file that was chosen. */
  found: readonly DaysInFile[] | undefined;
  text: string | undefined;
}) {
  const busy = useSending();
  const known = new Map(entries.flatMap((one) => (one.uid ? [[one.uid, one] as const] : [])));
  /** Whether a day of a file stands here already just so. */
  const there = ({ uid, name, from, to }: DaysInFile): boolean => {
    const now = known.get(uid);
    return now?.name === name && now.from === from && now.to === to;
  };
  return (
    <Panel aria-labelledby="days">
      <Stack>
        <h2 id="days">Days without school, and terms</h2>
        {entries.length > 0 && (
          <Table
            rows={[...entries]}
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
        {found && (
          <Form method="post" encType="multipart/form-data">
            <input type="hidden" name="intent" value="take" />
            <textarea name="text" hidden readOnly value={text} />
            <Stack $gap="0.7rem">
              <p role="status">
                {count(found.length, 'event')} in the file. Tick those on which there is no school, and terms.
              </p>
              <Table
                rows={[...found]}
                rowKey={({ uid, from }) => `${uid} ${from}`}
                columns={[
                  {
                    head: 'Add',
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
                  {
                    head: '',
                    cell: ({ allDay, kind }) =>
                      kind === 'term' ? 'a term' : allDay ? '' : 'a part of a day',
                  },
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
  );
}
