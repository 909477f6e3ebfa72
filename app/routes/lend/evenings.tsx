import { data, Form, Link, redirect } from 'react-router';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { emptyPlan, whenSchema } from '~/core/evening/plan';
import { daysBetween, showDay } from '~/core/lending/due';
import { createEvening, listEvenings } from '~/data/queries/evenings';
import { readDay } from '~/server/days';
import { requireRole } from '~/server/people/session';
import { today as todayAtSchool } from '~/server/today';
import { LendWays } from '~/app/desk/LendWays';
import { Button, useSending } from '~/app/ui/Button';
import { NumberBox, TextBox } from '~/app/ui/fields';
import { NotSaved } from '~/app/ui/NotSaved';
import { Empty, Heading, Panel, Row, Stack, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/evenings';

export const meta: Route.MetaFunction = () => [{ title: 'Evenings · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, role } = await requireRole(request, 'coordinator', 'helper');
  return { evenings: await listEvenings(at), today: todayAtSchool(at), coordinates: role === 'coordinator' };
}

export async function action({ request }: Route.ActionArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const checked = checkForm(whenSchema, form);
  const onDay = readDay(form.get('onDay'));
  const errors: FieldErrors = checked.ok ? {} : { ...checked.errors };
  if (!onDay || Math.abs(daysBetween(todayAtSchool(at), onDay)) > 366)
    errors.onDay = 'Choose a day within a year.';
  if (!checked.ok || Object.keys(errors).length) return data({ errors }, { status: 400 });
  const { name, startsAt } = checked.value;
  const id = await createEvening(at, {
    name,
    startsAt,
    onDay: onDay!,
    plan: emptyPlan(checked.value),
    personId,
  });
  throw redirect(`/lend/evenings/${id}`);
}

export default function Evenings({ loaderData, actionData }: Route.ComponentProps) {
  const { evenings, today, coordinates } = loaderData;
  const busy = useSending();
  const errors: FieldErrors = actionData?.errors ?? {};
  return (
    <Wide>
      <Stack>
        <LendWays coordinates={coordinates} />
        <Heading title="Evenings">
          Families come and play: who sits where in which round, with which game, and who hosts?
        </Heading>
        {evenings.length === 0 ? (
          <Empty title="No evening is planned">Say when it is; the rest follows on its page.</Empty>
        ) : (
          <Panel>
            <Table
              label="Evenings"
              rows={evenings}
              rowKey={({ id }) => id}
              columns={[
                { head: 'Evening', cell: ({ id, name }) => <Link to={`/lend/evenings/${id}`}>{name}</Link> },
                { head: 'Day', cell: ({ onDay }) => showDay(onDay) },
                { head: 'Begins', cell: ({ startsAt }) => startsAt },
              ]}
            />
          </Panel>
        )}
        {coordinates && (
          <Panel aria-labelledby="new">
            <Form method="post">
              <Stack $gap="0.8rem">
                <h2 id="new">Plan an evening</h2>
                <NotSaved errors={errors} />
                <Row>
                  <TextBox name="name" label="Name of the evening" maxLength={80} error={errors.name} />
                  <TextBox
                    name="onDay"
                    inputType="date"
                    label="Day"
                    defaultValue={today}
                    error={errors.onDay}
                  />
                  <TextBox
                    name="startsAt"
                    label="Start"
                    defaultValue="17:30"
                    maxLength={5}
                    error={errors.startsAt}
                  />
                </Row>
                <Row>
                  <NumberBox
                    name="rounds"
                    label="Rounds"
                    min={1}
                    max={12}
                    defaultValue={3}
                    error={errors.rounds}
                  />
                  <NumberBox
                    name="roundMinutes"
                    label="Minutes of a round"
                    min={5}
                    max={60}
                    defaultValue={12}
                    error={errors.roundMinutes}
                  />
                  <NumberBox
                    name="changeMinutes"
                    label="Minutes to change"
                    min={0}
                    max={15}
                    defaultValue={3}
                    error={errors.changeMinutes}
                  />
                </Row>
                <div>
                  <Button type="submit" isPending={busy}>
                    Plan this evening
                  </Button>
                </div>
              </Stack>
            </Form>
          </Panel>
        )}
      </Stack>
    </Wide>
  );
}
