import { useState } from 'react';
import { data, Form, redirect } from 'react-router';
import { checkForm, checkJson, type FieldErrors } from '~/core/check/check';
import { visible } from '~/core/check/keepable';
import {
  clockTime,
  groupsOf,
  MOST,
  planSchema,
  readHelpers,
  shortfalls,
  timesOf,
  whenSchema,
  writeHelpers,
  type EveningPlan,
} from '~/core/evening/plan';
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { daysBetween, showDay } from '~/core/lending/due';
import { aboutLanguage, languageNamed } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { countBack, findEvening, removeEvening, saveEvening } from '~/data/queries/evenings';
import { catalogueNow } from '~/data/queries/materials';
import { readDay } from '~/server/days';
import {
  expectedOf,
  gamesFor,
  invitedOf,
  missingOf,
  partsFor,
  solvedOf,
  tableGame,
  tableGames,
} from '~/server/evenings';
import { byIntent, UNKNOWN_VERSION, versionIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { today as todayAtSchool } from '~/server/today';
import { EveningParts } from '~/app/desk/EveningParts';
import { LendWays } from '~/app/desk/LendWays';
import { Ribbons } from '~/app/desk/Ribbons';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox, Pick, TextBox } from '~/app/ui/fields';
import { NotSaved } from '~/app/ui/NotSaved';
import { Said } from '~/app/ui/Notices';
import { Empty, Entered, Entries, Heading, Margin, Panel, Row, Stack, State, Workplace } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/evening';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.name ?? 'Evening'} · Fern Basket` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const found = isId(params.eveningId) ? await findEvening(at, params.eveningId) : undefined;
  if (!found) throw notFound('This evening');
  const { id, name, onDay, startsAt, plan, solved, version, setAside } = found;
  const [invited, parts] = await Promise.all([
    invitedOf(at),
    partsFor(at, { plan, rotation: solved?.rotation, setAside }),
  ]);
  return {
    id,
    name,
    onDay,
    startsAt,
    plan,
    version,
    helpers: writeHelpers(plan.helpers),
    invited: invited.reduce((sum, { families }) => sum + families, 0),
    expected: expectedOf(invited, plan.come),
    games: tableGames(),
    rotation: solved?.rotation,
    lacks: solved?.rotation ? shortfalls(plan, solved.rotation) : [],
    why: solved?.why,
    parts,
    setAside,
    times: timesOf({ startsAt }, plan).map(({ from, to }) => `${clockTime(from)} to ${clockTime(to)}`),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator');
  const found = isId(params.eveningId) ? await findEvening(at, params.eveningId) : undefined;
  if (!found) throw notFound('This evening');
  const { id, plan, solved, setAside } = found;
  const form = await request.formData();
  const refuse = (errors: FieldErrors, status = 400) => data({ errors }, { status });
  const openedOn = versionIn(form);
  if (!openedOn) return refuse({ '': UNKNOWN_VERSION });
  const stale = () =>
    refuse(
      { '': 'Somebody else has changed this evening meanwhile. Load it again; nothing was changed.' },
      409,
    );
  const keep = async (
    change: Partial<EveningPlan>,
    about: Partial<Pick<typeof found, 'name' | 'onDay' | 'startsAt'>> = {},
  ) => {
    const checked = checkJson(planSchema, { ...plan, ...change });
    if (!checked.ok) return refuse({ '': Object.values(checked.errors).join(' ') });
    const saved = await saveEvening(at, id, openedOn, {
      ...about,
      plan: checked.value,
      solved: await solvedOf(checked.value),
    });
    if (!saved) return stale();
    throw redirect(`/lend/evenings/${id}`);
  };
  const word = (name: string): string => visible(String(form.get(name) ?? '')).trim();
  const number = (name: string, min: number, max: number): number | undefined => {
    const value = Number(word(name));
    return Number.isInteger(value) && value >= min && value <= max ? value : undefined;
  };
  return byIntent(form, {
    when: async () => {
      const checked = checkForm(whenSchema, form);
      const onDay = readDay(form.get('onDay'));
      const errors: FieldErrors = checked.ok ? {} : { ...checked.errors };
      if (!onDay || Math.abs(daysBetween(todayAtSchool(at), onDay)) > 366)
        errors.onDay = 'Choose a day within a year.';
      if (!checked.ok || Object.keys(errors).length) return refuse(errors);
      const { name, startsAt, ...times } = checked.value;
      return keep(times, { name, startsAt, onDay: onDay! });
    },
    groups: async () => {
      const [come, seats] = [number('come', 1, 100), number('seats', 2, 40)];
      if (!come) return refuse({ come: 'Of 100 families so many come: 1 to 100.' });
      if (!seats) return refuse({ seats: 'A table has 2 to 40 seats.' });
      const groups = groupsOf(await invitedOf(at), come, seats);
      if (groups.length > MOST.groups)
        return refuse({
          seats: `That would be ${groups.length} groups, and there is room for ${MOST.groups}: larger tables would help.`,
        });
      return keep({ come, seats, groups, pins: [], tables: plan.tables.map((one) => ({ ...one, seats })) });
    },
    addGroup: async () => {
      const [name, size, band] = [word('group'), number('size', 1, 60), word('band')];
      const language = languageNamed(word('language'))?.tag;
      if (!name || name.length > 60 || plan.groups.some((one) => one.id === name))
        return refuse({ group: 'A group needs a name of its own.' });
      if (!size) return refuse({ size: 'A group has 1 to 60 people.' });
      if (!language) return refuse({ language: 'This is no language that is known here.' });
      if (!Object.hasOwn(AGE_BANDS, band)) return refuse({ band: 'Choose a grade.' });
      return keep({
        groups: [...plan.groups, { id: name, size, languages: [language], band: band as AgeBand }],
      });
    },
    removeGroup: () => keep({ groups: plan.groups.filter((one) => one.id !== word('group')) }),
    tables: async () => {
      const tables = number('tables', 1, MOST.tables);
      if (!tables) return refuse({ tables: `An evening has 1 to ${MOST.tables} tables.` });
      if (plan.groups.length === 0)
        return refuse({ tables: 'Say who comes first: the games follow from it.' });
      try {
        const { tables: chosen } = await gamesFor(plan, tables);
        return await keep({
          pins: [],
          hosts: [],
          tables: chosen.map(({ game }, i) => ({
            id: `Table ${i + 1}`,
            seats: plan.seats,
            game: tableGame(game.id)!,
          })),
        });
      } catch (error) {
        if (error instanceof RangeError) return refuse({ tables: error.message });
        throw error;
      }
    },
    setTable: async () => {
      const seats = number('seats', 1, 60);
      const game = tableGame(word('game'));
      if (!seats) return refuse({ '': 'A table has 1 to 60 seats.' });
      return keep({
        tables: plan.tables.map((one) =>
          one.id !== word('table')
            ? one
            : {
                ...one,
                seats,
                ...(game ? { game } : {}),
              },
        ),
      });
    },
    helpers: async () => {
      const read = readHelpers(visible(String(form.get('helpers') ?? ''), true));
      return read.ok ? keep({ helpers: read.helpers, hosts: [] }) : refuse({ helpers: read.problem });
    },
    pin: () => {
      const [group, round, table] = [word('group'), number('round', 1, MOST.rounds), word('table')];
      const others = plan.pins.filter((one) => one.group !== group || one.round !== round);
      return keep({ pins: round && table ? [...others, { group, round, table }] : others });
    },
    host: () => {
      const [table, helper] = [word('table'), word('helper')];
      const others = plan.hosts.filter((one) => one.table !== table && one.helper !== helper);
      return keep({ hosts: helper ? [...others, { table, helper }] : others });
    },
    anew: () => keep({ pins: [], hosts: [] }),
    setAside: async () => {
      const { wanted } = await partsFor(at, { plan, rotation: solved?.rotation, setAside });
      if (Object.keys(wanted).length === 0)
        return refuse({ '': 'No table needs anything of the store: propose games for the tables first.' });
      return (await saveEvening(at, id, openedOn, { setAside: wanted }))
        ? redirect(`/lend/evenings/${id}#parts`)
        : stale();
    },
    freeAgain: async () =>
      (await saveEvening(at, id, openedOn, { setAside: null }))
        ? redirect(`/lend/evenings/${id}#parts`)
        : stale(),
    countBack: async () => {
      if (!setAside) return stale();
      const catalogue = await catalogueNow(at);
      const read = missingOf(setAside, (material) => word(`back ${material}`), catalogue);
      if (!read.ok) return refuse(read.errors);
      const done = await countBack(at, id, openedOn, read.missing, personId);
      if (done === 'stale') return stale();
      if (!done.ok)
        return refuse({
          [`back ${done.material}`]: `The store has ${done.onHand} on hand and cannot lose ${done.need}: count it first.`,
        });
      throw redirect(`/lend/evenings/${id}?back=1#parts`);
    },
    remove: async () => {
      await removeEvening(at, id);
      throw redirect('/lend/evenings');
    },
  });
}

export default function EveningPage({ loaderData, actionData }: Route.ComponentProps) {
  const {
    id,
    name,
    onDay,
    startsAt,
    plan,
    version,
    helpers,
    invited,
    expected,
    games,
    rotation,
    lacks,
    why,
    times,
    parts,
    setAside,
  } = loaderData;
  const busy = useSending();
  const [removing, setRemoving] = useState(false);
  const errors: FieldErrors = actionData?.errors ?? {};
  const hidden = <input type="hidden" name="version" value={version} />;
  const people = plan.groups.reduce((sum, { size }) => sum + size, 0);
  const seats = plan.tables.reduce((sum, one) => sum + one.seats, 0);
  return (
    <Workplace>
      <Stack>
        <LendWays coordinates />
        <Heading
          title={name}
          action={
            <Row $gap="0.6rem">
              {rotation && (
                <ButtonLink href={`/lend/evenings/${id}/clock`} target="_blank">
                  Open the clock for the wall
                </ButtonLink>
              )}
              <ButtonLink quiet href="/lend/evenings">
                All evenings
              </ButtonLink>
            </Row>
          }
        >
          {showDay(onDay)}, {times[0]?.replace(/ to .*/, '')}: who sits where in which round, and who hosts?
        </Heading>
        <NotSaved errors={errors} />
        <Panel aria-labelledby="comes" key={`comes ${version}`}>
          <Form method="post">
            {hidden}
            <Stack $gap="0.7rem">
              <h2 id="comes">1. Who comes</h2>
              <p>
                {count(invited, 'family', 'families')} of the school can be invited. If {plan.come} of 100
                come, that is {expected.middle}; nine in ten times between {expected.low} and {expected.high}.
              </p>
              <Row>
                <NumberBox
                  name="come"
                  label="Of 100 families come"
                  min={1}
                  max={100}
                  defaultValue={plan.come}
                  error={errors.come}
                />
                <NumberBox
                  name="seats"
                  label="Seats of a table"
                  min={2}
                  max={40}
                  defaultValue={plan.seats}
                  error={errors.seats}
                />
                <Button type="submit" name="intent" value="groups" isPending={busy}>
                  Make groups of them
                </Button>
              </Row>
            </Stack>
          </Form>
          {plan.groups.length > 0 && (
            <Table
              label="Groups"
              rows={plan.groups}
              rowKey={(one) => one.id}
              columns={[
                { head: 'Group', cell: (one) => one.id },
                { head: 'People', cell: ({ size }) => size },
                {
                  head: 'Reads',
                  cell: ({ languages }) => languages.map((tag) => aboutLanguage(tag).name).join(', '),
                },
                { head: 'Around', cell: ({ band }) => AGE_BANDS[band] },
                {
                  head: <span className="visually-hidden">Action</span>,
                  cell: (one) => (
                    <Form method="post">
                      {hidden}
                      <input type="hidden" name="group" value={one.id} />
                      <Button
                        type="submit"
                        quiet
                        name="intent"
                        value="removeGroup"
                        aria-label={`Take ${one.id} out`}
                      >
                        Take out
                      </Button>
                    </Form>
                  ),
                },
              ]}
            />
          )}
          <details>
            <summary>Add a group by hand</summary>
            <Form method="post">
              {hidden}
              <Row>
                <TextBox name="group" label="Name of the group" maxLength={60} error={errors.group} />
                <NumberBox name="size" label="People" min={1} max={60} defaultValue={6} error={errors.size} />
                <TextBox
                  name="language"
                  label="Language"
                  defaultValue="English"
                  maxLength={40}
                  error={errors.language}
                />
                <Pick
                  name="band"
                  label="Grade"
                  options={Object.entries(AGE_BANDS).map(([value, label]) => ({ value, label }))}
                />
                <Button type="submit" quiet name="intent" value="addGroup" isPending={busy}>
                  Add this group
                </Button>
              </Row>
            </Form>
          </details>
        </Panel>
        <Panel aria-labelledby="tables" key={`tables ${version}`}>
          <Stack $gap="0.7rem">
            <h2 id="tables">2. Tables and their games</h2>
            <Form method="post">
              {hidden}
              <Row>
                <NumberBox
                  name="tables"
                  label="Tables"
                  min={1}
                  max={MOST.tables}
                  defaultValue={
                    plan.tables.length || Math.max(plan.rounds, Math.ceil(people / plan.seats) || plan.rounds)
                  }
                  error={errors.tables}
                />
                <Button type="submit" name="intent" value="tables" isPending={busy}>
                  Propose games for them
                </Button>
              </Row>
            </Form>
            {plan.tables.map((table) => (
              <Form method="post" key={table.id}>
                {hidden}
                <input type="hidden" name="table" value={table.id} />
                <Row>
                  <strong style={{ minWidth: '5rem' }}>{table.id}</strong>
                  <Pick
                    name="game"
                    label={`Game of ${table.id}`}
                    labelHidden
                    defaultValue={games.find((game) => game.name === table.game?.name)?.id ?? ''}
                    options={[
                      { value: '', label: table.game?.name ?? 'no game yet' },
                      ...games.map((game) => ({ value: game.id, label: game.name })),
                    ]}
                  />
                  <NumberBox
                    name="seats"
                    label={`Seats of ${table.id}`}
                    labelHidden
                    min={1}
                    max={60}
                    defaultValue={table.seats}
                  />
                  <Button
                    type="submit"
                    quiet
                    name="intent"
                    value="setTable"
                    aria-label={`Change ${table.id}`}
                  >
                    Change it
                  </Button>
                </Row>
              </Form>
            ))}
          </Stack>
        </Panel>
        <Panel aria-labelledby="helpers" key={`helpers ${version}`}>
          <Form method="post">
            {hidden}
            <Stack $gap="0.7rem">
              <h2 id="helpers">3. Helpers</h2>
              <TextBox
                name="helpers"
                label="Helpers and their languages"
                lines={4}
                defaultValue={helpers}
                maxLength={3000}
                error={errors.helpers}
                hint="A line for each: “Tobin: English, Spanish”."
              />
              <div>
                <Button type="submit" name="intent" value="helpers" isPending={busy}>
                  Keep these helpers
                </Button>
              </div>
            </Stack>
          </Form>
        </Panel>
        <Panel aria-labelledby="rotation" key={`rotation ${version}`}>
          <Stack $gap="0.7rem">
            <h2 id="rotation">4. Who sits where</h2>
            {why && (
              <Said kind="stop" word="It cannot be so">
                {why}
              </Said>
            )}
            {!rotation && !why && (
              <Empty title="Nothing to plan yet">Say who comes and how many tables there are.</Empty>
            )}
            {rotation && <Turns plan={plan} rotation={rotation} hidden={hidden} />}
            {lacks.length > 0 && (
              <Said kind="mind" word="What cannot be had">
                <ul>
                  {lacks.map((one) => (
                    <li key={one}>{one}</li>
                  ))}
                </ul>
              </Said>
            )}
          </Stack>
        </Panel>
        {plan.tables.some(({ game }) => game) && (
          <EveningParts
            key={`parts ${version}`}
            parts={parts}
            setAside={setAside}
            hidden={hidden}
            errors={errors}
          />
        )}
        <Panel aria-labelledby="when" key={`when ${version}`}>
          <Form method="post">
            {hidden}
            <Stack $gap="0.7rem">
              <h2 id="when">When it is</h2>
              <Row>
                <TextBox
                  name="name"
                  label="Name of the evening"
                  defaultValue={name}
                  maxLength={80}
                  error={errors.name}
                />
                <TextBox
                  name="onDay"
                  inputType="date"
                  label="Day"
                  defaultValue={onDay}
                  error={errors.onDay}
                />
                <TextBox
                  name="startsAt"
                  label="Start"
                  defaultValue={startsAt}
                  maxLength={5}
                  error={errors.startsAt}
                />
              </Row>
              <Row>
                <NumberBox
                  name="rounds"
                  label="Rounds"
                  min={1}
                  max={MOST.rounds}
                  defaultValue={plan.rounds}
                  error={errors.rounds}
                />
                <NumberBox
                  name="roundMinutes"
                  label="Minutes of a round"
                  min={5}
                  max={60}
                  defaultValue={plan.roundMinutes}
                  error={errors.roundMinutes}
                />
                <NumberBox
                  name="changeMinutes"
                  label="Minutes to change"
                  min={0}
                  max={15}
                  defaultValue={plan.changeMinutes}
                  error={errors.changeMinutes}
                />
                <Button type="submit" quiet name="intent" value="when" isPending={busy}>
                  Keep these times
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
        <Form method="post">
          {hidden}
          {removing ? (
            <Row $gap="0.6rem">
              <Button type="submit" clay name="intent" value="remove">
                Delete this plan for good
              </Button>
              <Button quiet onPress={() => setRemoving(false)}>
                Keep it
              </Button>
            </Row>
          ) : (
            <Button quiet clay onPress={() => setRemoving(true)}>
              Delete this plan …
            </Button>
          )}
        </Form>
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="People"
            number={String(people)}
            unit={`for ${count(seats, 'seat')}`}
            reason={`${count(plan.groups.length, 'group')} at ${count(plan.tables.length, 'table')}.`}
          />
          {rotation && (
            <Entered
              label="Heard in their language"
              number={`${rotation.heard} of ${rotation.of}`}
              reason={
                rotation.bound === undefined
                  ? 'Pairs of a group and a round in which the host speaks a language of the group. No plan does better.'
                  : `No plan does better than ${rotation.bound}.`
              }
            />
          )}
          <Entered
            label="It lasts"
            number={String(plan.rounds * plan.roundMinutes + (plan.rounds - 1) * plan.changeMinutes)}
            unit="minutes"
            reason={times.map((one, i) => `Round ${i + 1}: ${one}.`).join(' ')}
          />
        </Entries>
        {rotation && (
          <>
            <h2>Print</h2>
            <p>
              <a href={`/lend/evenings/${id}/signs.pdf`}>Signs for the tables</a>
              <br />
              <a href={`/lend/evenings/${id}/hosts.pdf`}>A card for each host</a>
              <br />
              <a href={`/lend/evenings/${id}/ways.pdf`}>The way of each group</a>
            </p>
          </>
        )}
        <p>
          The usual caution: keep ways between tables free and doors open, tape or lift what lies on the
          floor, small parts away from little ones, and ask about allergies before there is food. Your
          district’s rules and licensed staff decide.
        </p>
      </Margin>
    </Workplace>
  );
}

type Turned = NonNullable<Route.ComponentProps['loaderData']['rotation']>;

/** The picture of the rotation, and the table in which each seat and host can be held as it is. */
function Turns({ plan, rotation, hidden }: { plan: EveningPlan; rotation: Turned; hidden: React.ReactNode }) {
  const at = (group: string, round: number): string =>
    rotation.plan.find((one) => one.round === round && one.groups.includes(group))?.table ?? '';
  const rounds = Array.from({ length: plan.rounds }, (_, i) => i + 1);
  const names = plan.tables.map(({ id }) => id);
  const pinned = plan.pins.length + plan.hosts.length;
  return (
    <Stack $gap="0.7rem">
      <Ribbons
        tables={names}
        ribbons={plan.groups.map(({ id }) => ({
          group: id,
          tables: rounds.map((round) => names.indexOf(at(id, round))),
        }))}
      />
      <Table
        label="Who sits where"
        rows={plan.groups}
        rowKey={({ id }) => id}
        columns={[
          { head: 'Group', cell: ({ id }) => id },
          ...rounds.map((round) => ({
            head: `Round ${round}`,
            cell: ({ id }: { id: string }) => {
              const held = plan.pins.some((one) => one.group === id && one.round === round);
              return (
                <Form method="post">
                  {hidden}
                  <input type="hidden" name="intent" value="pin" />
                  <input type="hidden" name="group" value={id} />
                  <input type="hidden" name="round" value={round} />
                  <Row $gap="0.3rem" style={{ flexWrap: 'nowrap', alignItems: 'center' }}>
                    <select
                      name="table"
                      aria-label={`Table of ${id} in round ${round}`}
                      defaultValue={at(id, round)}
                      onChange={(event) => event.currentTarget.form?.requestSubmit()}
                      style={{ minHeight: 40 }}
                    >
                      {names.map((table) => (
                        <option key={table}>{table}</option>
                      ))}
                    </select>
                    {held && <State tone="note">held</State>}
                  </Row>
                </Form>
              );
            },
          })),
        ]}
      />
      <Table
        label="Who hosts"
        rows={plan.tables}
        rowKey={({ id }) => id}
        columns={[
          { head: 'Table', cell: ({ id }) => id },
          { head: 'Game', cell: ({ game }) => game?.name ?? '–' },
          {
            head: 'Host',
            cell: ({ id }) => (
              <Form method="post">
                {hidden}
                <input type="hidden" name="intent" value="host" />
                <input type="hidden" name="table" value={id} />
                <select
                  name="helper"
                  aria-label={`Host of ${id}`}
                  defaultValue={rotation.hosts.find(({ table }) => table === id)?.helper ?? ''}
                  onChange={(event) => event.currentTarget.form?.requestSubmit()}
                  style={{ minHeight: 40 }}
                >
                  <option value="">whoever is best</option>
                  {plan.helpers.map((helper) => (
                    <option key={helper.id}>{helper.id}</option>
                  ))}
                </select>{' '}
                {plan.hosts.some(({ table }) => table === id) && <State tone="note">held</State>}
              </Form>
            ),
          },
        ]}
      />
      {pinned > 0 && (
        <Form method="post">
          {hidden}
          <Button type="submit" quiet name="intent" value="anew">
            Let go of {count(pinned, 'thing')} that {pinned === 1 ? 'is' : 'are'} held, and plan anew
          </Button>
        </Form>
      )}
    </Stack>
  );
}
