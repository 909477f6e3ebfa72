import { useState } from 'react';
import { data, Link, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkJson, type FieldErrors } from '~/core/check/check';
import { visible } from '~/core/check/keepable';
import { AGE_BANDS } from '~/core/games/kit/types';
import { ALL, choicesSchema } from '~/core/lending/choices';
import { daysBetween, showDay } from '~/core/lending/due';
import { count } from '~/core/words/numbers';
import { copiesForRound, createRound, listRounds } from '~/data/queries/rounds';
import { classes } from '~/data/queries/rules';
import { textIn } from '~/server/forms';
import { readDay } from '~/server/days';
import { requireRole } from '~/server/people/session';
import { today as todayAtSchool } from '~/server/today';
import { LendWays } from '~/app/desk/LendWays';
import { Button, useSending } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { NotSaved } from '~/app/ui/NotSaved';
import { Empty, Faint, Heading, Panel, Row, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/rounds';

export const meta: Route.MetaFunction = () => [{ title: 'Hand-outs · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, role } = await requireRole(request, 'coordinator', 'helper');
  const coordinates = role === 'coordinator';
  const [rounds, free, groups] = await Promise.all([
    listRounds(at),
    coordinates ? copiesForRound(at) : [],
    coordinates ? classes(at) : [],
  ]);
  return {
    coordinates,
    rounds: coordinates ? rounds : rounds.filter(({ state }) => state === 'promised'),
    free: free.map(({ id, tag, kitName }) => ({ id, tag, kitName })),
    groups: groups.map(({ group, families }) => ({ group, families })),
    today: todayAtSchool(at),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  const name = visible(textIn(form, 'name')).trim();
  const onDay = readDay(form.get('onDay'));
  const errors: FieldErrors = {};
  if (!name || name.length > 80) errors.name = 'Give it a name of up to 80 characters, such as “Thursday”.';
  if (!onDay || Math.abs(daysBetween(todayAtSchool(at), onDay)) > 366)
    errors.onDay = 'Choose the day on which the bags go out, within a year.';
  const some = form.get('bags') === 'some';
  const copies = some ? form.getAll('copy') : [];
  if (some && copies.length === 0) errors.bags = 'Tick the bags that are to go out, or take all.';
  const choices = checkJson(choicesSchema, {
    ...ALL,
    copies,
    groups: form.getAll('group'),
    bands: form.getAll('band'),
  });
  if (!choices.ok || Object.keys(errors).length || !onDay)
    return data(
      { errors: choices.ok ? errors : { ...errors, '': 'This was not understood. Choose once more.' } },
      { status: 400 },
    );
  const id = await createRound(at, { name, onDay, choices: choices.value, personId: person.id });
  throw redirect(`/lend/rounds/${id}`);
}

const STATES = {
  planned: { tone: 'note', word: 'being planned' },
  promised: { tone: 'hand', word: 'to hand out' },
  ended: { tone: 'calm', word: 'over' },
} as const;

export default function Rounds({ loaderData, actionData }: Route.ComponentProps) {
  const { rounds, free, groups, coordinates, today } = loaderData;
  const busy = useSending();
  const [some, setSome] = useState(false);
  const errors: FieldErrors = actionData?.errors ?? {};
  const kits = [...new Set(free.map(({ kitName }) => kitName))];
  return (
    <Wide>
      <Stack>
        <LendWays coordinates={coordinates} />
        <Heading title="Hand-outs">
          Many bags for many families on one day: matched at once, so that nobody who can be served is left
          out.
        </Heading>
        {coordinates && (
          <Panel aria-labelledby="new">
            <Form method="post">
              <Stack>
                <h2 id="new">Plan a hand-out</h2>
                <NotSaved errors={errors} />
                <Row>
                  <TextBox
                    name="name"
                    label="What it is called"
                    defaultValue={`Bags of ${showDay(today)}`}
                    error={errors.name}
                    maxLength={80}
                  />
                  <TextBox
                    name="onDay"
                    label="The bags go out on"
                    inputType="date"
                    defaultValue={today}
                    error={errors.onDay}
                  />
                </Row>
                {groups.length > 0 && (
                  <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
                    <legend>
                      <strong>Classes</strong> (all, where none is ticked)
                    </legend>
                    <Row $gap="1.1rem">
                      {groups.map(({ group, families }) => (
                        <TickBox key={group} name="group" value={group}>
                          {group} ({families})
                        </TickBox>
                      ))}
                    </Row>
                  </fieldset>
                )}
                <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
                  <legend>
                    <strong>Families with a child in</strong> (all, where none is ticked)
                  </legend>
                  <Row $gap="1.1rem">
                    {Object.entries(AGE_BANDS).map(([band, label]) => (
                      <TickBox key={band} name="band" value={band}>
                        {label}
                      </TickBox>
                    ))}
                  </Row>
                </fieldset>
                <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
                  <legend>
                    <strong>Bags</strong>
                  </legend>
                  <input type="hidden" name="bags" value={some ? 'some' : 'all'} />
                  <TickBox isSelected={!some} onChange={(all) => setSome(!all)}>
                    All {count(free.length, 'bag')} that can go out now
                  </TickBox>
                  {errors.bags && <p role="alert">{errors.bags}</p>}
                  {some &&
                    kits.map((kit) => (
                      <Row key={kit} $gap="1rem" style={{ alignItems: 'center' }}>
                        <strong style={{ minWidth: '11rem' }}>{kit}</strong>
                        {free
                          .filter(({ kitName }) => kitName === kit)
                          .map(({ id, tag }) => (
                            <TickBox key={id} name="copy" value={id}>
                              {tag}
                            </TickBox>
                          ))}
                      </Row>
                    ))}
                </fieldset>
                <Row>
                  <Button type="submit" isPending={busy}>
                    Match families and bags
                  </Button>
                </Row>
              </Stack>
            </Form>
          </Panel>
        )}
        {rounds.length === 0 ? (
          <Empty title={coordinates ? 'No hand-out yet' : 'Nothing to hand out'}>
            {coordinates
              ? 'Plan one above. Nothing is promised before you say so.'
              : 'When a hand-out is settled, its bags are handed over here by scanning.'}
          </Empty>
        ) : (
          <Panel aria-labelledby="all">
            <Stack $gap="0.6rem">
              <h2 id="all">{coordinates ? 'All hand-outs' : 'To hand out'}</h2>
              <Table
                rows={rounds}
                rowKey={({ id }) => id}
                columns={[
                  { head: 'Name', cell: ({ id, name }) => <Link to={`/lend/rounds/${id}`}>{name}</Link> },
                  { head: 'Day', cell: ({ onDay }) => showDay(onDay) },
                  {
                    head: 'State',
                    cell: ({ state }) => <State tone={STATES[state].tone}>{STATES[state].word}</State>,
                  },
                  { head: 'Handed over', cell: ({ gone }) => gone },
                  { head: 'Still to go', cell: ({ waiting }) => waiting },
                ]}
              />
              {rounds.length === 100 && <Faint>Older ones are not shown.</Faint>}
            </Stack>
          </Panel>
        )}
      </Stack>
    </Wide>
  );
}
