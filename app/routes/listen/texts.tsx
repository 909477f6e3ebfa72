import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { randomUUID } from 'node:crypto';
import { visible } from '~/core/check/keepable';
import { mayAnswer } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { count } from '~/core/words/numbers';
import { listFamilies } from '~/data/queries/families';
import { findText, loansToAnswer, settleText, textsNow } from '~/data/queries/texts';
import { showTime } from '~/server/changes';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { receive } from '~/server/listening/texts';
import { requireRole } from '~/server/people/session';
import { today } from '~/server/today';
import { ListenWays } from '~/app/desk/ListenWays';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Margin, Panel, Row, Stack, State, Workplace } from '~/app/ui/Page';
import type { Route } from './+types/texts';

export const meta: Route.MetaFunction = () => [{ title: 'Texts · Fern Basket' }];

const MOST = 300;

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const [{ waiting, done }, families] = await Promise.all([textsNow(at), listFamilies(at)]);
  const now = today(at);
  return {
    waiting: await Promise.all(
      waiting.map(async ({ id, reach, text, why, familyId, familyName, receivedAt }) => ({
        id,
        reach,
        text,
        why,
        familyId,
        familyName,
        at: showTime(at, receivedAt),
        bags: familyId
          ? (await loansToAnswer(at, familyId))
              .filter(({ returnedOn }) => mayAnswer(returnedOn, now))
              .map(({ loanId, tag, kitName }) => ({ loanId, tag, kitName }))
          : [],
      })),
    ),
    done: done.map(({ id, text, familyName, state, receivedAt }) => ({
      id,
      text,
      familyName,
      state,
      at: showTime(at, receivedAt),
    })),
    families: families.map(({ id, name }) => ({ id, name })),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const refuse = (problem: string, status = 409) => data({ problem }, { status });
  const id = form.get('text');
  const text = isId(id) ? await findText(at, id) : undefined;
  const settled = 'Somebody has settled this text already. Nothing was changed.';
  return byIntent(form, {
    play: async () => {
      const from = visible(textIn(form, 'from'));
      const line = visible(textIn(form, 'line'), true);
      if (from === '' || line === '')
        return refuse('Say from which number it comes, and what it says. Nothing came in.', 400);
      if (line.length > MOST || from.length > 120)
        return refuse(`A text has up to ${MOST} characters. Nothing came in.`, 400);
      const came = await receive(at, { id: `played ${randomUUID()}`, from, text: line });
      throw redirect(`/listen/texts?came=${came}`);
    },
    family: async () => {
      const familyId = form.get('family');
      if (!text || text.state !== 'waiting') return refuse(settled);
      if (!isId(familyId) || !(await listFamilies(at)).some((one) => one.id === familyId))
        return refuse('Choose the family first. Nothing was changed.', 400);
      await settleText(at, text.id, { familyId, why: 'Somebody said which family it is from.' });
      return data({ problem: undefined });
    },
    aside: async () => {
      if (!text || text.state !== 'waiting') return refuse(settled);
      await settleText(at, text.id, { state: 'aside', personId });
      return data({ problem: undefined });
    },
  });
}

export default function Texts({ loaderData, actionData }: Route.ComponentProps) {
  const { waiting, done, families } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  return (
    <Workplace>
      <Stack>
        <ListenWays />
        <Heading title="Texts that came in">
          A text such as “2 ok 10” is read by itself: the number of the game, how it was, the minutes.
          Everything else waits here; nothing is guessed.
        </Heading>
        {actionData?.problem && (
          <Said kind="stop" word="Not done" live>
            {actionData.problem}
          </Said>
        )}
        {!actionData && search.has('came') && (
          <Said kind="done" word="It came in" live>
            {search.get('came') === 'read'
              ? 'It was read, and is an answer now.'
              : 'It waits below for a person.'}
          </Said>
        )}
        {waiting.length === 0 ? (
          <Empty title="No text waits">What could not be read by itself is put here.</Empty>
        ) : (
          waiting.map((one) => (
            <Panel key={one.id} aria-label={`Text of ${one.familyName ?? one.reach}`}>
              <Stack $gap="0.6rem">
                <Row $gap="0.7rem" style={{ alignItems: 'center' }}>
                  <State tone="hand">not understood</State>
                  <strong>{one.familyName ?? 'Nobody is known'}</strong>
                  <Faint>
                    {one.reach}, {one.at}
                  </Faint>
                </Row>
                <blockquote style={{ margin: 0, fontSize: '1.2rem', whiteSpace: 'pre-line' }} dir="auto">
                  {one.text}
                </blockquote>
                <p>{one.why}</p>
                <Row $gap="0.6rem">
                  {one.bags.map((bag) => (
                    <ButtonLink key={bag.loanId} quiet href={`/listen/calls/${bag.loanId}?text=${one.id}`}>
                      It is about {showTag(bag.tag)}, {bag.kitName}: say what it means
                    </ButtonLink>
                  ))}
                  {one.familyId && one.bags.length === 0 && (
                    <Faint>They have had no bag lately that it could be about.</Faint>
                  )}
                </Row>
                <Form method="post">
                  <input type="hidden" name="text" value={one.id} />
                  <Row $gap="0.6rem">
                    {!one.familyId && (
                      <>
                        <Pick
                          name="family"
                          label="It is from"
                          options={[
                            { value: '', label: 'choose a family' },
                            ...families.map(({ id, name }) => ({ value: id, label: name })),
                          ]}
                        />
                        <Button type="submit" quiet name="intent" value="family" isPending={busy}>
                          It is from this family
                        </Button>
                      </>
                    )}
                    <Button type="submit" quiet name="intent" value="aside" isPending={busy}>
                      Set it aside
                    </Button>
                  </Row>
                </Form>
              </Stack>
            </Panel>
          ))
        )}
        {done.length > 0 && (
          <Panel aria-labelledby="done">
            <Stack $gap="0.4rem">
              <h2 id="done">The last {count(done.length, 'text')} that are settled</h2>
              {done.map((one) => (
                <p key={one.id}>
                  <State tone={one.state === 'read' ? 'calm' : 'note'}>
                    {one.state === 'read' ? 'an answer' : 'set aside'}
                  </State>{' '}
                  {one.familyName ?? 'somebody'}: <span dir="auto">{one.text}</span>{' '}
                  <Faint as="span">{one.at}</Faint>
                </p>
              ))}
            </Stack>
          </Panel>
        )}
      </Stack>
      <Margin label="The stand-in">
        <h2>Play a text that comes in</h2>
        <p>
          No service for texts is called: this inbox stands in for one. What is typed here comes in as it
          would from there.
        </p>
        <Form method="post" key={search.get('came') ?? ''}>
          <Stack $gap="0.6rem">
            <TextBox name="from" label="From the number" maxLength={120} autoComplete="off" />
            <TextBox name="line" label="What it says" lines={2} maxLength={MOST} />
            <div>
              <Button type="submit" quiet name="intent" value="play" isPending={busy}>
                Let it come in
              </Button>
            </div>
          </Stack>
        </Form>
      </Margin>
    </Workplace>
  );
}
