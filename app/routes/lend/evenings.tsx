import { data, Link, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { emptyPlan } from '~/core/evening/plan';
import { showDay } from '~/core/lending/due';
import { createEvening, listEvenings } from '~/data/queries/evenings';
import { whenIn } from '~/server/evening-changes';
import { requireRole } from '~/server/people/session';
import { today as todayAtSchool } from '~/server/today';
import { LendWays } from '~/app/desk/LendWays';
import { Button, useSending } from '~/app/ui/Button';
import { NotSaved } from '~/app/ui/NotSaved';
import { Empty, Heading, Panel, Stack, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { WhenFields } from './WhenFields';
import type { Route } from './+types/evenings';

export const meta: Route.MetaFunction = () => [{ title: 'Evenings · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, role } = await requireRole(request, 'coordinator', 'helper');
  return { evenings: await listEvenings(at), today: todayAtSchool(at), coordinates: role === 'coordinator' };
}

export async function action({ request }: Route.ActionArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const read = whenIn(at, form);
  if (!read.ok) return data({ errors: read.errors }, { status: 400 });
  const id = await createEvening(at, {
    ...read.about,
    plan: emptyPlan(read.times),
    personId,
  });
  throw redirect(`/lend/evenings/${id}`);
}

/** As most evenings are. */
const USUAL_TIMES = { rounds: 3, roundMinutes: 12, changeMinutes: 3 };

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
                <WhenFields name="" onDay={today} startsAt="17:30" times={USUAL_TIMES} errors={errors}>
                  <Button type="submit" isPending={busy}>
                    Plan this evening
                  </Button>
                </WhenFields>
              </Stack>
            </Form>
          </Panel>
        )}
      </Stack>
    </Wide>
  );
}
