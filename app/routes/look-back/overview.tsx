import { Form, Link, data } from 'react-router';
import { daysAfter, showDay } from '~/core/lending/due';
import { lackOf } from '~/core/kits/lacking';
import { showTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import { listShortages, mend, undoMend } from '~/data/queries/counts';
import { answeredSince, reachSince } from '~/data/queries/reach';
import { isId } from '~/server/ids';
import { byIntent } from '~/server/forms';
import { copiesOf } from '~/server/once';
import { freeNow } from '~/data/queries/store';
import { requireRole } from '~/server/people/session';
import { today } from '~/server/today';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import {
  Empty,
  Entered,
  Entries,
  Heading,
  Margin,
  Panel,
  Row,
  Stack,
  State,
  Tag,
  Workplace,
} from '~/app/ui/Page';
import { firstOf, Pager, Table } from '~/app/ui/Table';
import { ReachChart } from '~/app/desk/ReachChart';
import type { Route } from './+types/overview';

export const meta: Route.MetaFunction = () => [{ title: 'Look back · Fern Basket' }];

const DAYS_BACK = 90;

/** Copies on one page. */
const SIZE = 40;

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const since = daysAfter(today(at), -DAYS_BACK);
  const first = firstOf(new URL(request.url).searchParams, SIZE);
  const [reach, answered, shortages, now] = await Promise.all([
    reachSince(at, since),
    answeredSince(at, since),
    listShortages(at, undefined, { first, most: SIZE }),
    copiesOf(at),
  ]);
  const onHand = await freeNow(at);
  /** What the store has to put into each copy, whole or not at all. */
  const inStore = (copyId: string): boolean =>
    shortages
      .filter((one) => one.copyId === copyId)
      .every(({ material, expected, counted, lacks }) => {
        const there = onHand[material];
        return typeof there === 'number' && there >= Math.max(expected - counted, lacks?.length ? 1 : 0);
      });
  return {
    since,
    reach,
    answered,
    shortages: shortages.map((one) => ({ ...one, inStore: inStore(one.copyId) })),
    first,
    short: now.short,
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { at, id } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const copyId = form.get('copy');
  if (!isId(copyId)) return data<Mended>({ said: 'nothing', copyId: '' }, { status: 400 });
  return byIntent(form, {
    undo: async () => {
      const undone = await undoMend(at, copyId, id);
      return data<Mended>({ said: undone ? 'undone' : 'tooLate', copyId }, { status: undone ? 200 : 409 });
    },
    store: async () => {
      const mended = await mend(at, copyId, id, true);
      const said = mended === undefined ? 'storeLacks' : mended ? 'mended' : 'nothing';
      return data<Mended>({ said, copyId }, { status: mended === undefined ? 409 : 200 });
    },
    '': async () => data<Mended>({ said: (await mend(at, copyId, id)) ? 'mended' : 'nothing', copyId }),
  });
}
interface Mended {
  said: 'mended' | 'undone' | 'tooLate' | 'storeLacks' | 'nothing';
  copyId: string;
}

export default function Overview({ loaderData, actionData }: Route.ComponentProps) {
  const catalogue = useCatalogue();
  const { since, reach, answered, shortages, first, short } = loaderData;
  const reached = reach.reduce((total, one) => total + one.reached, 0);
  const families = reached + reach.reduce((total, one) => total + one.notYet, 0);
  const copies = [...new Map(shortages.map((one) => [one.copyId, one])).values()];
  return (
    <Workplace>
      <Stack>
        <Heading title="Look back">
          Who was reached since {showDay(since)}, and who was not? Which baskets need a hand?
        </Heading>
        <Panel aria-labelledby="reach">
          <Stack $gap="0.6rem">
            <h2 id="reach">Families, by home language</h2>
            {families === 0 ? (
              <Empty title="No family yet">Add families at the lending desk first.</Empty>
            ) : (
              <ReachChart
                bars={reach.map((one) => ({ ...one, language: aboutLanguage(one.language).name }))}
              />
            )}
          </Stack>
        </Panel>
        {actionData?.said === 'mended' && (
          <Said
            kind="done"
            word="Mended"
            live
            action={
              <Form method="post">
                <input type="hidden" name="intent" value="undo" />
                <input type="hidden" name="copy" value={actionData.copyId} />
                <Button type="submit" quiet>
                  Undo this mending
                </Button>
              </Form>
            }
          >
            The copy counts as complete again.
          </Said>
        )}
        {actionData?.said === 'undone' && (
          <Said kind="done" word="Undone" live>
            The parts count as missing again.
          </Said>
        )}
        {actionData?.said === 'storeLacks' && (
          <Said kind="stop" word="Not mended" live>
            The store has not got all of them any more. Count what is there; nothing was changed.
          </Said>
        )}
        {actionData?.said === 'tooLate' && (
          <Said kind="stop" word="Not undone" live>
            This copy was counted again meanwhile. Nothing was changed.
          </Said>
        )}
        <Panel aria-labelledby="mend">
          <Stack $gap="0.6rem">
            <h2 id="mend">Copies that lack parts</h2>
            {copies.length === 0 ? (
              <Empty title="Nothing to mend">
                Every copy that came home was complete, or its parts were put back.
              </Empty>
            ) : (
              <>
                <Table
                  rows={copies}
                  rowKey={({ copyId }) => copyId}
                  columns={[
                    {
                      head: 'Tag',
                      cell: ({ copyId, tag }) => (
                        <Link to={`/copies/${copyId}`}>
                          <Tag>{showTag(tag)}</Tag>
                        </Link>
                      ),
                    },
                    { head: 'Kit', cell: ({ kitName }) => kitName },
                    {
                      head: 'Missing',
                      cell: ({ copyId }) =>
                        shortages
                          .filter((one) => one.copyId === copyId)
                          .map((one) => (
                            <div key={one.material}>
                              <State tone="hand">missing</State> {lackOf(one, catalogue)}
                            </div>
                          )),
                    },
                    {
                      head: <span className="visually-hidden">Action</span>,
                      cell: ({ copyId, tag, inStore }) => (
                        <Row $gap="0.5rem">
                          {inStore && (
                            <Form method="post">
                              <input type="hidden" name="intent" value="store" />
                              <input type="hidden" name="copy" value={copyId} />
                              <Button
                                type="submit"
                                quiet
                                aria-label={`Put them into ${showTag(tag)} from the store`}
                              >
                                Put them in from the store
                              </Button>
                            </Form>
                          )}
                          <Form method="post">
                            <input type="hidden" name="copy" value={copyId} />
                            <Button type="submit" quiet aria-label={`The parts are back in ${showTag(tag)}`}>
                              The parts are back in
                            </Button>
                          </Form>
                        </Row>
                      ),
                    },
                  ]}
                />
                <Pager first={first} shown={copies.length} found={short} size={SIZE} />
              </>
            )}
          </Stack>
        </Panel>
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Families reached"
            number={String(reached)}
            unit={`of ${families}`}
            reason={`At least one loan since ${showDay(since)}.`}
          />
          <Entered
            label="Loans answered"
            number={String(answered.answered)}
            unit={`of ${answered.ended}`}
            reason="Of the loans that came home since then."
          />
        </Entries>
      </Margin>
    </Workplace>
  );
}
