import { Link, data, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { dueWords, showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { catalogueNow } from '~/data/queries/materials';
import { listShortages } from '~/data/queries/counts';
import { pageOfOut } from '~/data/queries/desk';
import { findLoan, listClosed, type Undone } from '~/data/queries/lending';
import { undoReturn } from '~/data/queries/returns';
import { isId } from '~/server/ids';
import { lackOf } from '~/core/kits/lacking';
import { findCopy } from '~/data/queries/copies';
import { stateNow } from '~/server/kits/held';
import { copiesOf } from '~/server/once';
import { requireRole } from '~/server/people/session';
import { today } from '~/server/today';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Empty, Entered, Entries, Faint, Heading, Margin, Panel, Stack, Tag, Workplace } from '~/app/ui/Page';
import { firstOf, Pager, Table } from '~/app/ui/Table';
import { Verdict } from '~/app/desk/Verdict';
import { DueFlag } from '~/app/desk/DueFlag';
import type { Route } from './+types/out';

export const meta: Route.MetaFunction = () => [{ title: 'Take back · Fern Basket' }];

const SIZE = 50;

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const search = new URL(request.url).searchParams;
  const homeId = search.get('home');
  const first = firstOf(search, SIZE);
  const [home, now, out, closed, longest] = await Promise.all([
    isId(homeId) ? findLoan(at, homeId) : undefined,
    copiesOf(at),
    pageOfOut(at, first, SIZE),
    listClosed(at, 6),
    pageOfOut(at, 0, 1),
  ]);
  const [short, homeCopy, catalogue] = await Promise.all([
    home ? listShortages(at, home.copyId) : [],
    home ? findCopy(at, { id: home.copyId }) : undefined,
    catalogueNow(at),
  ]);
  return {
    now,
    out,
    first,
    longest: longest[0],
    closed: closed.filter((loan) => loan.closedAs === 'returned'),
    home: home?.closedAs === 'returned' ? home : undefined,
    lacking: short.map((one) => lackOf(one, catalogue)),
    verdict: homeCopy && short.length ? (await stateNow(at, homeCopy)).verdict : undefined,
    games: homeCopy?.plan.variants.map(({ name }) => name) ?? [],
    today: today(at),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  const loanId = (await request.formData()).get('loan');
  const undone: Undone = isId(loanId)
    ? await undoReturn(at, loanId, person.id)
    : { ok: false, why: 'There is no such loan.' };
  return data(undone, { status: undone.ok ? 200 : 409 });
}

export default function Out({ loaderData, actionData }: Route.ComponentProps) {
  const { now, out, first, longest, closed, home, lacking, verdict, games, today } = loaderData;
  const [search] = useSearchParams();
  const due = now.overdue + now.dueToday;
  return (
    <Workplace>
      <Stack>
        <Heading
          title="Take back"
          action={
            <ButtonLink quiet href="/take-back/tasks">
              What the bags need
            </ButtonLink>
          }
        >
          Which basket came home? Scan its tag, and count what is in it.
        </Heading>
        {actionData && (
          <Said kind={actionData.ok ? 'done' : 'stop'} word={actionData.ok ? 'Undone' : 'Not undone'} live>
            {actionData.ok
              ? 'The copy counts as out again, with the same family and due date.'
              : actionData.why}
          </Said>
        )}
        {home && !actionData && search.has('home') && (
          <Said
            kind="done"
            word="Home"
            live
            action={
              <Form method="post" action="/take-back">
                <input type="hidden" name="loan" value={home.id} />
                <Button type="submit" quiet>
                  Undo this return
                </Button>
              </Form>
            }
          >
            {showTag(home.tag)} is back from {home.familyName}
            {lacking.length ? `; missing: ${lacking.join(', ')}.` : ', complete.'}
          </Said>
        )}
        {home && verdict && !actionData && search.has('home') && <Verdict verdict={verdict} names={games} />}
        {now.out === 0 ? (
          <Empty title="No copy is out" action={<ButtonLink href="/lend">Lend a copy</ButtonLink>}>
            Everything is at school.
          </Empty>
        ) : (
          <Panel aria-labelledby="out">
            <h2 id="out">Out now: those that wait to be counted, then the one due first</h2>
            <Table
              rows={out}
              rowKey={({ id }) => id}
              columns={[
                { head: 'Tag', cell: ({ tag }) => <Tag>{showTag(tag)}</Tag> },
                { head: 'Kit', cell: ({ kitName }) => kitName },
                { head: 'Family', cell: ({ familyName }) => familyName },
                {
                  head: 'Due',
                  cell: ({ dueOn, arrivedOn }) => (
                    <DueFlag dueOn={dueOn} arrivedOn={arrivedOn} today={today} />
                  ),
                },
                {
                  head: <span className="visually-hidden">Action</span>,
                  cell: ({ id, tag }) => (
                    <Link to={`/take-back/${id}`} aria-label={`Count it: ${showTag(tag)}`}>
                      Count it
                    </Link>
                  ),
                },
              ]}
            />
            <Pager first={first} shown={out.length} found={now.out} size={SIZE} />
          </Panel>
        )}
        {closed.length > 0 && (
          <Panel aria-labelledby="closed">
            <h2 id="closed">Came home last</h2>
            <Table
              rows={closed}
              rowKey={(loan) => loan.id}
              columns={[
                {
                  head: 'Tag',
                  cell: (loan) => (
                    <Link to={`/copies/${loan.copyId}`}>
                      <Tag>{showTag(loan.tag)}</Tag>
                    </Link>
                  ),
                },
                { head: 'Kit', cell: (loan) => loan.kitName },
                { head: 'Family', cell: (loan) => loan.familyName },
                { head: 'Came home', cell: (loan) => loan.returnedOn && showDay(loan.returnedOn) },
              ]}
            />
          </Panel>
        )}
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Due by today"
            number={String(due)}
            unit={`of ${now.out} out`}
            reason={
              due > 0 && longest
                ? `The longest: ${showTag(longest.tag)}, ${dueWords(longest.dueOn, today)}.`
                : 'Nothing is late.'
            }
          />
        </Entries>
        <Faint>Parts go missing; nobody is fined.</Faint>
      </Margin>
    </Workplace>
  );
}
