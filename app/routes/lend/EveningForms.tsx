import { useState } from 'react';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { MOST } from '~/core/evening/plan';
import { AGE_BANDS } from '~/core/games/kit/types';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { Button, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick as PickOne } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Panel, Row, Stack } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { WhenFields } from './WhenFields';
import type { Route } from './+types/evening';

type Shown = Route.ComponentProps['loaderData'];
/** What each form of a plan carries and may be told. */
interface Sent {
  hidden: React.ReactNode;
  errors: FieldErrors;
}

/** Which families are expected, as groups. */
export function WhoComes({
  plan,
  invited,
  expected,
  hidden,
  errors,
}: Pick<Shown, 'plan' | 'invited' | 'expected'> & Sent) {
  const busy = useSending();
  return (
    <Panel aria-labelledby="comes">
      <Form method="post">
        {hidden}
        <Stack $gap="0.7rem">
          <h2 id="comes">1. Who comes</h2>
          <p>
            {count(invited, 'family', 'families')} of the school can be invited. If {plan.come} of 100 come,
            give or take {plan.spread ?? 0}, that is {expected.middle}; nine in ten times between{' '}
            {expected.low} and {expected.high}.
            {plan.tables.length > 0 &&
              ` In ${Math.floor(expected.seated * 100)} of 100 such evenings everybody has a seat.`}
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
              name="spread"
              label="Give or take"
              min={0}
              max={40}
              defaultValue={plan.spread ?? 0}
              error={errors.spread}
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
                    aria-label={`Take out ${one.id}`}
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
            <PickOne
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
  );
}

/** The tables, and the game at each. */
export function AtTables({
  plan,
  games,
  people,
  hidden,
  errors,
}: Pick<Shown, 'plan' | 'games'> & { people: number } & Sent) {
  const busy = useSending();
  /** The table whose game and seats are being changed: a list of all games is long, and wanted for one table at a time. */
  const [changing, setChanging] = useState<string>();
  return (
    <Panel aria-labelledby="tables">
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
        {plan.tables.map((table) =>
          changing === table.id ? (
            <Form method="post" key={table.id}>
              {hidden}
              <input type="hidden" name="table" value={table.id} />
              <Row>
                <strong style={{ minWidth: '5rem' }}>{table.id}</strong>
                <PickOne
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
                <Button type="submit" name="intent" value="setTable" isPending={busy}>
                  Keep {table.id} so
                </Button>
                <Button quiet onPress={() => setChanging(undefined)}>
                  Leave it
                </Button>
              </Row>
            </Form>
          ) : (
            <Row key={table.id} style={{ alignItems: 'center' }}>
              <strong style={{ minWidth: '5rem' }}>{table.id}</strong>
              <span style={{ minWidth: '20rem' }}>{table.game?.name ?? 'no game yet'}</span>
              <span style={{ minWidth: '5rem' }}>{count(table.seats, 'seat')}</span>
              <Button quiet onPress={() => setChanging(table.id)}>
                Change {table.id}
              </Button>
            </Row>
          ),
        )}
      </Stack>
    </Panel>
  );
}

/** Who helps, and in which languages. */
export function WhoHelps({ helpers, hidden, errors }: Pick<Shown, 'helpers'> & Sent) {
  const busy = useSending();
  return (
    <Panel aria-labelledby="helpers">
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
  );
}

/** The day, the start, and how long rounds are. */
export function WhenItIs({
  plan,
  name,
  onDay,
  startsAt,
  hidden,
  errors,
}: Pick<Shown, 'plan' | 'name' | 'onDay' | 'startsAt'> & Sent) {
  const busy = useSending();
  return (
    <Panel aria-labelledby="when">
      <Form method="post">
        {hidden}
        <Stack $gap="0.7rem">
          <h2 id="when">When it is</h2>
          <WhenFields {...{ name, onDay, startsAt, errors }} times={plan}>
            <Button type="submit" quiet name="intent" value="when" isPending={busy}>
              Keep these times
            </Button>
          </WhenFields>
        </Stack>
      </Form>
    </Panel>
  );
}
