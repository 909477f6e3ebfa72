import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { visible } from '~/core/check/keepable';
import { daysBetween, showDay } from '~/core/lending/due';
import { DIMENSIONS } from '~/core/looking/reached';
import { aboutLanguage, languageNamed } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { createFamily } from '~/data/queries/families';
import {
  closeGathering,
  findGathering,
  guestsOf,
  listGatherings,
  openGathering,
  renewKey,
  tickIn,
  tickOut,
} from '~/data/queries/gatherings';
import { showTime } from '~/server/changes';
import { readDay } from '~/server/days';
import { cameShares } from '~/server/evenings';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { newReaderKey, tableLinkOf } from '~/server/links';
import { noteSecurity } from '~/server/people/security';
import { askAgain, hashOf, requireRole } from '~/server/people/session';
import { devicesOf, letDeviceIn } from '~/data/queries/devices';
import { today as todayAtSchool } from '~/server/today';
import { LendWays } from '~/app/desk/LendWays';
import { ShareFigure } from '~/app/desk/ShareFigure';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { NotSaved } from '~/app/ui/NotSaved';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Panel, Row, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/tables';

export const meta: Route.MetaFunction = () => [{ title: 'Sign-in table · Fern Basket' }];

/** A table stays open for so long after its day has begun, or after its key was made. */
const OPEN_HOURS = 36;
const until = (): Date => new Date(Date.now() + OPEN_HOURS * 3_600_000);

export async function loader({ request }: Route.LoaderArgs) {
  const { at, role, school } = await requireRole(request, 'coordinator', 'helper');
  const asked = new URL(request.url).searchParams.get('table');
  const found = isId(asked) ? await findGathering(at, asked) : undefined;
  const [all, guests, devices] = await Promise.all([
    listGatherings(at),
    found ? guestsOf(at, found.id) : [],
    found ? devicesOf(at, found.id) : [],
  ]);
  const coordinates = role === 'coordinator';
  return {
    today: todayAtSchool(at),
    languages: school.languages.map((tag) => ({ value: tag, label: aboutLanguage(tag).name })),
    coordinates,
    all: all.map(({ id, name, onDay, came }) => ({ id, name, onDay, came })),
    table: found && {
      id: found.id,
      name: found.name,
      onDay: found.onDay,
      open: found.closedAt === null && found.expiresAt > new Date(),
      until: showTime(at, found.expiresAt),
    },
    guests: guests.map(({ id, name, language, group, byFamily, at: moment }) => ({
      id,
      name,
      language,
      group,
      byFamily,
      at: moment && showTime(at, moment),
    })),
    devices: devices.map(({ createdAt, ...one }) => ({ ...one, since: showTime(at, createdAt) })),
    came: coordinates && found ? cameShares(guests, found.onDay) : [],
  };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  const form = await request.formData();
  const id = form.get('table');
  const known = isId(id) ? await findGathering(at, id) : undefined;
  const answer = (more: { errors?: FieldErrors; link?: string }, status = 200) =>
    data({ errors: {}, link: undefined, ...more }, { status });
  const gone = () => answer({ errors: { '': 'This table is not there any more.' } }, 404);
  const familyId = form.get('family');
  return byIntent(form, {
    '': async () => {
      const name = visible(textIn(form, 'name')).trim();
      const onDay = readDay(form.get('onDay'));
      const errors: FieldErrors = {};
      if (!name || name.length > 80) errors.name = 'Give it a name of up to 80 characters.';
      if (!onDay || Math.abs(daysBetween(todayAtSchool(at), onDay)) > 366)
        errors.onDay = 'Choose a day within a year.';
      if (!onDay || Object.keys(errors).length) return answer({ errors }, 400);
      const made = await openGathering(at, {
        name,
        onDay,
        keyHash: hashOf(newReaderKey()),
        expiresAt: new Date(),
        personId: person.id,
      });
      throw redirect(`/lend/tables?table=${made}`);
    },
    open: async () => {
      if (!known) return gone();
      askAgain(request, person);
      const key = newReaderKey();
      await noteSecurity(at, 'keyMade', person.id);
      await renewKey(at, known.id, hashOf(key), until());
      // The key is shown this once; only its hash is kept.
      return answer({ link: tableLinkOf(request, key) });
    },
    letIn: async () => {
      if (!known) return gone();
      const device = form.get('device');
      if (isId(device)) await letDeviceIn(at, known.id, device, form.get('in') === 'yes');
      throw redirect(`/lend/tables?table=${known.id}`);
    },
    close: async () => {
      if (!known) return gone();
      await closeGathering(at, known.id);
      throw redirect(`/lend/tables?table=${known.id}`);
    },
    tick: async () => {
      if (!known || !isId(familyId)) return gone();
      await tickIn(at, known.id, familyId, false);
      throw redirect(`/lend/tables?table=${known.id}`);
    },
    enter: async () => {
      if (!known) return gone();
      const newName = visible(textIn(form, 'newName')).trim();
      const language = languageNamed(visible(textIn(form, 'language')))?.tag;
      const errors: FieldErrors = {};
      if (!newName || newName.length > 80) errors.newName = 'Give it a name of up to 80 characters.';
      if (!language || !person.school.languages.includes(language))
        errors.language = 'Choose one of the languages of your school.';
      if (!language || Object.keys(errors).length) return answer({ errors }, 400);
      const made = await createFamily(at, { name: newName, language }, person.id);
      if (!made)
        return answer(
          { errors: { newName: 'A family of this name is known already: tick it in below.' } },
          409,
        );
      await tickIn(at, known.id, made.id, false);
      throw redirect(`/lend/tables?table=${known.id}`);
    },
    untick: async () => {
      if (!known || !isId(familyId)) return gone();
      await tickOut(at, known.id, familyId);
      throw redirect(`/lend/tables?table=${known.id}`);
    },
  });
}

export default function Tables({ loaderData, actionData }: Route.ComponentProps) {
  const { all, table, guests, devices, today, languages, coordinates, came: shown } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const errors: FieldErrors = actionData?.errors ?? {};
  const came = guests.filter(({ at }) => at !== null);
  return (
    <Wide>
      <Stack>
        <LendWays coordinates={coordinates} />
        <Heading
          title={table ? table.name : 'Sign-in table'}
          action={
            table && (
              <Row $gap="0.6rem">
                <ButtonLink quiet href={`/lend/tables/${table.id}.pdf`}>
                  Print the list to tick
                </ButtonLink>
                <ButtonLink quiet href="/lend/tables">
                  All tables
                </ButtonLink>
              </Row>
            )
          }
        >
          {table
            ? `${showDay(table.onDay)}. Families tick themselves in on a tablet, in their language, or on paper.`
            : 'For a day on which families come: who is here, and who takes a bag home at once?'}
        </Heading>
        <NotSaved errors={errors} />
        {table ? (
          <>
            <Panel aria-label="Tablet">
              <Stack $gap="0.6rem">
                {actionData?.link && (
                  <Said kind="done" word="Open this on the tablet" live>
                    <br />
                    <strong style={{ overflowWrap: 'anywhere' }}>{actionData.link}</strong>
                    <br />
                    It is shown this once, and opens nothing but this table. It belongs to the first tablet
                    that opens it; others wait here until you let them in.
                  </Said>
                )}
                <Form method="post">
                  <input type="hidden" name="table" value={table.id} />
                  <Row style={{ alignItems: 'center' }}>
                    {table.open ? (
                      <State tone="calm">open until {table.until}</State>
                    ) : (
                      <State tone="note">not open on a tablet</State>
                    )}
                    <Button type="submit" name="intent" value="open" isPending={busy}>
                      {table.open ? 'Make a new link' : 'Open it on a tablet'}
                    </Button>
                    {table.open && (
                      <Button type="submit" quiet name="intent" value="close">
                        Close it
                      </Button>
                    )}
                  </Row>
                </Form>
                {table.open && devices.length > 0 && (
                  <Table
                    label="Tablets at this table"
                    rows={devices}
                    rowKey={({ id }) => id}
                    columns={[
                      { head: 'Tablet', cell: ({ number }) => `Number ${number}` },
                      { head: 'Since', cell: ({ since }) => since },
                      {
                        head: 'State',
                        cell: ({ letIn }) =>
                          letIn ? <State tone="calm">let in</State> : <State tone="wait">waits</State>,
                      },
                      {
                        head: 'What to do',
                        cell: ({ id, number, letIn }) => (
                          <Form method="post">
                            <input type="hidden" name="table" value={table.id} />
                            <input type="hidden" name="device" value={id} />
                            <input type="hidden" name="in" value={letIn ? 'no' : 'yes'} />
                            <Button type="submit" quiet name="intent" value="letIn" isPending={busy}>
                              {letIn ? `Shut number ${number} out` : `Let number ${number} in`}
                            </Button>
                          </Form>
                        ),
                      },
                    ]}
                  />
                )}
              </Stack>
            </Panel>
            <Panel aria-labelledby="here">
              <Stack $gap="0.6rem">
                <h2 id="here">
                  Here: {count(came.length, 'family', 'families')} of {guests.length}
                </h2>
                <details>
                  <summary>Somebody new, from the paper</summary>
                  <Form method="post" key={`new ${guests.length}`}>
                    <input type="hidden" name="table" value={table.id} />
                    <Row>
                      <TextBox
                        name="newName"
                        label="Name of the family"
                        maxLength={80}
                        error={errors.newName}
                      />
                      <Pick name="language" label="Reads" options={languages} error={errors.language} />
                      <Button type="submit" quiet name="intent" value="enter" isPending={busy}>
                        Enter and tick in
                      </Button>
                    </Row>
                  </Form>
                </details>
                <Table
                  label="Families"
                  rows={[...came, ...guests.filter(({ at }) => at === null)]}
                  rowKey={({ id }) => id}
                  columns={[
                    { head: 'Family', cell: ({ name }) => name },
                    { head: 'Class', cell: ({ group }) => group },
                    { head: 'Reads', cell: ({ language }) => aboutLanguage(language).name },
                    {
                      head: 'Here',
                      cell: ({ at, byFamily }) =>
                        at && (
                          <>
                            <State tone="calm">here</State> {byFamily ? 'by themselves' : 'ticked by us'},{' '}
                            {at}
                          </>
                        ),
                    },
                    {
                      head: <span className="visually-hidden">Tick</span>,
                      cell: ({ id, name, at }) => (
                        <Form method="post" preventScrollReset>
                          <input type="hidden" name="table" value={table.id} />
                          <input type="hidden" name="family" value={id} />
                          <Button
                            type="submit"
                            quiet
                            name="intent"
                            value={at ? 'untick' : 'tick'}
                            aria-label={at ? `${name} is not here` : `Tick in ${name}`}
                          >
                            {at ? 'Not here' : 'Tick in'}
                          </Button>
                        </Form>
                      ),
                    },
                  ]}
                />
              </Stack>
            </Panel>
            {shown.map(({ by, shares, sentence }) => (
              <ShareFigure
                key={by}
                id={`came-${by}`}
                title={`Families that came, ${DIMENSIONS[by]}`}
                sentence={sentence}
                shares={shares}
                how={`Of all families of the school. The line is the interval that holds the share with 95 in 100.${by === 'grade' ? ' A family counts in the grade of each of its children.' : ''}`}
              />
            ))}
          </>
        ) : (
          <>
            {search.has('table') && <Said kind="stop">This table is not there any more.</Said>}
            <Panel aria-labelledby="new">
              <Form method="post">
                <Stack>
                  <h2 id="new">Set a table up</h2>
                  <Row>
                    <TextBox
                      name="name"
                      label="What it is for"
                      defaultValue="Family evening"
                      error={errors.name}
                      maxLength={80}
                    />
                    <TextBox
                      name="onDay"
                      label="On"
                      inputType="date"
                      defaultValue={today}
                      error={errors.onDay}
                    />
                    <Button type="submit" isPending={busy}>
                      Set it up
                    </Button>
                  </Row>
                </Stack>
              </Form>
            </Panel>
            {all.length === 0 ? (
              <Empty title="No table yet">Who came is kept, so that it can be looked back on.</Empty>
            ) : (
              <Panel aria-labelledby="all">
                <h2 id="all">Tables</h2>
                <Table
                  rows={all}
                  rowKey={({ id }) => id}
                  columns={[
                    {
                      head: 'What for',
                      cell: ({ id, name }) => <Link to={`/lend/tables?table=${id}`}>{name}</Link>,
                    },
                    { head: 'Day', cell: ({ onDay }) => showDay(onDay) },
                    { head: 'Families that came', cell: ({ came: n }) => n },
                  ]}
                />
                {all.length === 50 && <Faint>Older ones are not shown.</Faint>}
              </Panel>
            )}
          </>
        )}
      </Stack>
    </Wide>
  );
}
