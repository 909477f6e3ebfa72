import { Link, useSearchParams } from 'react-router';
import { daysAfter, showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import { unheardLoans } from '~/data/queries/listening';
import { requireRole } from '~/server/people/session';
import { today } from '~/server/today';
import { ListenWays } from '~/app/desk/ListenWays';
import { ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Empty, Heading, Panel, Stack, Tag, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/calls';

export const meta: Route.MetaFunction = () => [{ title: 'Ask by phone · Fern Basket' }];

/** Loans of so many days are asked about, once a family has had some days to play. */
const DAYS_BACK = 42;
const DAYS_TO_PLAY = 5;

export async function loader({ request }: Route.LoaderArgs) {
  const { at, role } = await requireRole(request, 'coordinator', 'helper');
  const now = today(at);
  return {
    coordinates: role === 'coordinator',
    loans: await unheardLoans(at, daysAfter(now, -DAYS_BACK), daysAfter(now, -DAYS_TO_PLAY)),
  };
}

export default function Calls({ loaderData }: Route.ComponentProps) {
  const { loans, coordinates } = loaderData;
  const [search] = useSearchParams();
  return (
    <Wide>
      <Stack>
        <ListenWays coordinates={coordinates} />
        <Heading title="Ask by phone">
          Who has not told yet how it went? The longest out is first; the questions are the same as on the
          family page.
        </Heading>
        {search.has('kept') && (
          <Said kind="done" word="Kept" live>
            What the family said is an answer now.
          </Said>
        )}
        {loans.length === 0 ? (
          <Empty title="Nobody is left to ask">
            Everybody who had a bag in the last six weeks and can be reached has answered.
          </Empty>
        ) : (
          <Panel>
            <Table
              label="Families to ask"
              rows={loans}
              rowKey={({ loanId }) => loanId}
              columns={[
                {
                  head: 'Family',
                  cell: ({ familyId, familyName }) =>
                    coordinates ? <Link to={`/lend/families/${familyId}`}>{familyName}</Link> : familyName,
                },
                { head: 'Language', cell: ({ language }) => aboutLanguage(language).name },
                {
                  head: 'Bag',
                  cell: ({ tag, kitName }) => (
                    <>
                      <Tag>{showTag(tag)}</Tag> {kitName}
                    </>
                  ),
                },
                { head: 'Lent', cell: ({ lentOn }) => showDay(lentOn) },
                { head: 'Now', cell: ({ home }) => (home ? 'back at school' : 'at their home') },
                {
                  head: 'Ask',
                  cell: ({ loanId, familyName }) => (
                    <ButtonLink quiet href={`/listen/calls/${loanId}`} aria-label={`Ask them: ${familyName}`}>
                      Ask them
                    </ButtonLink>
                  ),
                },
              ]}
            />
          </Panel>
        )}
      </Stack>
    </Wide>
  );
}
