import { Link } from 'react-router';
import { showDay } from '~/core/lending/due';
import { listMakings } from '~/data/queries/making';
import { requireRole } from '~/server/people/session';
import { ButtonLink } from '~/app/ui/Button';
import { Empty, Heading, Row, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/runs';

export const meta: Route.MetaFunction = () => [{ title: 'Build runs · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  return { runs: await listMakings(at) };
}

export default function Runs({ loaderData: { runs } }: Route.ComponentProps) {
  const start = <ButtonLink href="/fill/runs/new">Plan a build run</ButtonLink>;
  return (
    <Wide>
      <Stack>
        <Heading
          title="Build runs"
          action={
            <Row>
              {start}
              <ButtonLink quiet href="/fill">
                All kits
              </ButtonLink>
            </Row>
          }
        >
          What is being made, and how far is it?
        </Heading>
        {runs.length === 0 ? (
          <Empty title="No build run yet" action={start}>
            A build run makes several copies, also of several kits: what to buy, print, cut, count and bag,
            step by step, over several days and helpers.
          </Empty>
        ) : (
          <Table
            rows={runs}
            rowKey={({ id }) => id}
            columns={[
              {
                head: 'Run',
                cell: ({ id, startedOn, kits }) => (
                  <Link to={`/fill/runs/${id}`}>
                    {showDay(startedOn)}: {kits || 'nothing is left of it'}
                  </Link>
                ),
              },
              { head: 'Begun by', cell: ({ startedBy }) => startedBy ?? '' },
              { head: 'Made', cell: ({ ready, copies }) => `${ready} of ${copies}` },
              {
                head: 'State',
                cell: ({ endedAt }) =>
                  endedAt ? <State tone="calm">over</State> : <State tone="wait">under way</State>,
              },
            ]}
          />
        )}
      </Stack>
    </Wide>
  );
}
