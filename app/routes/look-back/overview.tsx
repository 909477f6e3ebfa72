import { Form, Link, data } from 'react-router';
import { materialOf } from '~/core/materials/catalogue';
import { daysAfter, showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { LANGUAGES } from '~/core/words/languages';
import { listShortages, mend, undoMend } from '~/data/queries/counts';
import { answeredSince, reachSince } from '~/data/queries/reach';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { today } from '~/server/today';
import { Button } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import {
  Empty,
  Entered,
  Entries,
  Heading,
  Margin,
  Panel,
  Stack,
  State,
  TableFrame,
  Tag,
  Workplace,
} from '~/app/ui/Page';
import { ReachChart } from '~/app/desk/ReachChart';
import type { Route } from './+types/overview';

export const meta: Route.MetaFunction = () => [{ title: 'Look back · Fern Basket' }];

const DAYS_BACK = 90;

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const since = daysAfter(today(at), -DAYS_BACK);
  return {
    since,
    reach: await reachSince(at, since),
    answered: await answeredSince(at, since),
    shortages: await listShortages(at),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  const copyId = form.get('copy');
  if (!isId(copyId)) return data({ said: 'nothing' as const, copyId: '' }, { status: 400 });
  if (form.get('intent') === 'undo') {
    const undone = await undoMend(at, copyId, person.id);
    const said = undone ? ('undone' as const) : ('tooLate' as const);
    return data({ said, copyId }, { status: undone ? 200 : 409 });
  }
  const mended = await mend(at, copyId, person.id);
  return data({ said: mended ? ('mended' as const) : ('nothing' as const), copyId });
}

export default function Overview({ loaderData, actionData }: Route.ComponentProps) {
  const { since, reach, answered, shortages } = loaderData;
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
              <ReachChart bars={reach.map((one) => ({ ...one, language: LANGUAGES[one.language].name }))} />
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
              <TableFrame>
                <table>
                  <thead>
                    <tr>
                      <th>Tag</th>
                      <th>Kit</th>
                      <th>Missing</th>
                      <th>
                        <span className="visually-hidden">Action</span>
                      </th>
                    </tr>
                  </thead>
                  <tbody>
                    {copies.map((copy) => (
                      <tr key={copy.copyId}>
                        <td>
                          <Link to={`/copies/${copy.copyId}`}>
                            <Tag>{showTag(copy.tag)}</Tag>
                          </Link>
                        </td>
                        <td>{copy.kitName}</td>
                        <td>
                          {shortages
                            .filter((one) => one.copyId === copy.copyId)
                            .map((one) => (
                              <div key={one.material}>
                                <State tone="hand">
                                  {one.expected - one.counted} of {one.expected}
                                </State>{' '}
                                {materialOf(one.material).plural}
                              </div>
                            ))}
                        </td>
                        <td>
                          <Form method="post">
                            <input type="hidden" name="copy" value={copy.copyId} />
                            <Button
                              type="submit"
                              quiet
                              aria-label={`The parts are back in ${showTag(copy.tag)}`}
                            >
                              The parts are back in
                            </Button>
                          </Form>
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </TableFrame>
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
