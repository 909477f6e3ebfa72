import { data, Form, Link } from 'react-router';
import styled from 'styled-components';
import { visible } from '~/core/check/keepable';
import { LEVELS } from '~/core/pack/questions';
import { showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { count } from '~/core/words/numbers';
import { markRead } from '~/data/queries/listening';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { heardLately, heardOfKit } from '~/server/listening/heard';
import { keepSlip } from '~/server/listening/slip';
import { requireRole } from '~/server/people/session';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Row, Panel, Stack, State, Tag, Wide } from '~/app/ui/Page';
import { firstOf, Pager } from '~/app/ui/Table';
import { color } from '~/app/ui/theme';
import { SlipForm, type SlipAnswered } from './SlipForm';
import type { Route } from './+types/answers';

export const meta: Route.MetaFunction = () => [{ title: 'Listen · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const search = new URL(request.url).searchParams;
  const kitId = search.get('kit');
  const first = firstOf(search, SIZE);
  return {
    ...(kitId && isId(kitId)
      ? { kitId, ...(await heardOfKit(at, kitId, first, SIZE)) }
      : { kitId: undefined, baskets: await heardLately(at, SIZE), found: 0 }),
    first,
    slip: search.get('slip') ?? '',
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const mark = async (read: boolean): Promise<null> => {
    await markRead(at, form.getAll('answer').filter(isId), read);
    return null;
  };
  return byIntent(form, {
    slip: async () => {
      const slip = visible(String(form.get('slip') ?? ''));
      const words = visible(String(form.get('words') ?? ''), true);
      const { status, ...answered } = await keepSlip(at, slip, words);
      return data<SlipAnswered>(status === 200 ? answered : { ...answered, slip, words }, { status });
    },
    unread: () => mark(false),
    '': () => mark(true),
  });
}

/** So many answers of one basket are shown at once. */
const SIZE = 40;

const Voice = styled.article<{ $new: boolean }>`
  padding: 0.7rem 0 0.7rem 1rem;
  border-inline-start: 5px solid ${({ $new }) => ($new ? color.straw : color.line)};
  display: grid;
  gap: 0.3rem;
  blockquote {
    margin: 0;
    font-size: 1.08rem;
  }
`;
const Sentence = styled.p`
  font-family: 'Young Serif', serif;
  font-size: 1.35rem;
  font-variant-numeric: lining-nums;
  line-height: 1.35;
  color: ${color.deepFern};
`;

export default function Answers({ loaderData, actionData }: Route.ComponentProps) {
  const { baskets, kitId, first, found, slip } = loaderData;
  const fresh = baskets.flatMap((one) => one.rows).filter((row) => row.isNew);
  return (
    <Wide>
      <Stack $gap="1.6rem">
        <Heading
          title="Listen"
          action={
            fresh.length > 0 && (
              <Form method="post">
                {fresh.map((row) => (
                  <input key={row.id} type="hidden" name="answer" value={row.id} />
                ))}
                <Button type="submit" quiet>
                  I have read {fresh.length === 1 ? 'the new answer' : `the ${fresh.length} new answers`}
                </Button>
              </Form>
            )
          }
        >
          What did families say, and what does it mean for the next basket?
        </Heading>
        <SlipForm key={actionData?.kept ?? slip} answered={actionData ?? undefined} start={slip} />
        {kitId && <Link to="/listen">All baskets</Link>}
        {baskets.length === 0 && (
          <Empty title="Nobody has answered yet" action={<ButtonLink href="/lend">Lend a copy</ButtonLink>}>
            Families answer on the page behind the QR code of the label, or on the paper slip in the bag.
          </Empty>
        )}
        {baskets.map((one) => (
          <Panel key={one.kitName + one.rows[0]!.id} aria-label={one.kitName}>
            <Stack>
              <h2>{one.kitName}</h2>
              {one.sentence && <Sentence>{one.sentence}</Sentence>}
              {one.next && (
                <Said
                  kind="know"
                  word="For the next basket"
                  action={
                    one.next.gameId && (
                      <ButtonLink quiet href={`/choose/${one.next.gameId}`}>
                        Open the game bench
                      </ButtonLink>
                    )
                  }
                >
                  {one.next.reason} One step {one.next.direction}
                  {one.next.rung ? `: ${one.next.rung.toLowerCase()}` : ''}.
                </Said>
              )}
              {one.rows.map((row) => (
                <Voice key={row.id} $new={row.isNew}>
                  <Row $gap="0.7rem">
                    <strong>{row.familyName}</strong>
                    <Tag>{showTag(row.tag)}</Tag>
                    <Faint as="span">{showDay(row.sentAt)}</Faint>
                    {row.level && (
                      <State tone={row.level === 'justRight' ? 'calm' : 'wait'}>{LEVELS[row.level]}</State>
                    )}
                    {row.isNew && <State tone="note">new</State>}
                  </Row>
                  <p>
                    {[
                      row.times !== null && `played ${count(row.times, 'time')}`,
                      row.minutes !== null && `about ${count(row.minutes, 'minute')}`,
                      row.children !== null && count(row.children, 'child', 'children'),
                      row.grownUps !== null && count(row.grownUps, 'grown-up'),
                    ]
                      .filter(Boolean)
                      .join(', ')}
                  </p>
                  {row.childDid && <blockquote lang={row.language}>“{row.childDid}”</blockquote>}
                  {row.missing && (
                    <p lang={row.language}>
                      <State tone="hand">missing or broken</State> {row.missing}
                    </p>
                  )}
                  {row.anythingElse && <p lang={row.language}>{row.anythingElse}</p>}
                </Voice>
              ))}
              {!kitId && one.older > 0 && (
                <p>
                  <Link to={`/listen?kit=${one.kitId}`}>
                    Read {count(one.older, 'older answer')} of {one.kitName}
                  </Link>
                </p>
              )}
            </Stack>
          </Panel>
        ))}
        {kitId && (
          <Pager first={first} shown={baskets.flatMap((one) => one.rows).length} found={found} size={SIZE} />
        )}
      </Stack>
    </Wide>
  );
}
