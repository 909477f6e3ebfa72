import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { listHolds, withdrawHold, type HoldRow } from '~/data/queries/holds';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { today as todayAtSchool } from '~/server/today';
import { LendWays } from '~/app/desk/LendWays';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Empty, Heading, Panel, Stack, State, Tag, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/waiting';

export const meta: Route.MetaFunction = () => [{ title: 'Who waits · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  return { holds: await listHolds(at, todayAtSchool(at)) };
}

export async function action({ request }: Route.ActionArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  return byIntent(form, {
    withdraw: async () => {
      const id = form.get('hold');
      if (!isId(id) || !(await withdrawHold(at, id, todayAtSchool(at))))
        return data({ problem: 'This family does not wait any more. Nothing was changed.' }, { status: 409 });
      throw redirect('/lend/waiting?withdrawn=1');
    },
  });
}

/** Where a family stands, in a few words. */
function Standing({ hold }: { hold: HoldRow }) {
  if (hold.tag && hold.keptUntil)
    return (
      <>
        <State tone="hand">set aside</State> <Tag>{showTag(hold.tag)}</Tag>, until {showDay(hold.keptUntil)}
      </>
    );
  return <>{hold.expectedOn ? `around ${showDay(hold.expectedOn)}` : 'no bag of it is out or whole'}</>;
}

export default function Waiting({ loaderData, actionData }: Route.ComponentProps) {
  const { holds } = loaderData;
  const [search] = useSearchParams();
  const kits = [...new Set(holds.map(({ kitId }) => kitId))].map((id) =>
    holds.filter(({ kitId }) => kitId === id),
  );
  return (
    <Wide>
      <Stack>
        <LendWays coordinates />
        <Heading title="Who waits">
          Which family gets the next bag of a kit? In the order of asking; what comes home complete is set
          aside for the first.
        </Heading>
        {actionData?.problem && <Said kind="stop">{actionData.problem}</Said>}
        {!actionData && search.has('withdrawn') && (
          <Said kind="done" word="Done" live>
            They do not wait any more. What was set aside for them goes to the next.
          </Said>
        )}
        {kits.length === 0 ? (
          <Empty
            title="Nobody waits"
            action={<ButtonLink href="/lend/families">Ask for a kit on the page of a family</ButtonLink>}
          >
            Families ask on the page of their bag, or you ask for them.
          </Empty>
        ) : (
          kits.map((queue) => (
            <Panel key={queue[0]!.kitId} aria-labelledby={queue[0]!.kitId}>
              <Stack $gap="0.5rem">
                <h2 id={queue[0]!.kitId}>
                  {queue[0]!.kitName}: {count(queue.length, 'family', 'families')}
                </h2>
                <Table
                  rows={queue}
                  rowKey={({ id }) => id}
                  label={`Who waits for ${queue[0]!.kitName}`}
                  columns={[
                    { head: 'Place', cell: ({ place }) => place },
                    {
                      head: 'Family',
                      cell: ({ familyId, familyName }) => (
                        <Link to={`/lend/families/${familyId}`}>{familyName}</Link>
                      ),
                    },
                    { head: 'Class', cell: ({ group }) => group },
                    { head: 'Language', cell: ({ language }) => aboutLanguage(language).name },
                    { head: 'May expect it', cell: (hold) => <Standing hold={hold} /> },
                    {
                      head: 'Asked',
                      cell: ({ personId }) => (personId === null ? 'by themselves' : 'at school'),
                    },
                    {
                      head: <span className="visually-hidden">What to do</span>,
                      cell: ({ id, copyId, familyId, tag, familyName }) => (
                        <Form method="post" style={{ display: 'flex', gap: '0.4rem' }}>
                          {copyId && tag && (
                            <ButtonLink quiet href={`/lend?copy=${tag}&family=${familyId}`}>
                              Lend it
                            </ButtonLink>
                          )}
                          <input type="hidden" name="intent" value="withdraw" />
                          <input type="hidden" name="hold" value={id} />
                          <Button type="submit" quiet aria-label={`No more: ${familyName} does not wait`}>
                            No more
                          </Button>
                        </Form>
                      ),
                    },
                  ]}
                />
              </Stack>
            </Panel>
          ))
        )}
      </Stack>
    </Wide>
  );
}
