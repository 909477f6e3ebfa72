import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { showDay } from '~/core/lending/due';
import { REPLY_WORDS, STATE_WORDS } from '~/core/lending/outbox';
import type { MessageState } from '~/core/lending/reminders';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { letMessagesGo, messageCounts, moveMessages, pageOfMessages } from '~/data/queries/outbox';
import { showTime } from '~/server/changes';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { doEvening, enqueueMessages } from '~/server/lending/jobs';
import { messagesOf } from '~/server/lending/evening';
import { whenTold } from '~/server/lending/hour';
import { requireRole } from '~/server/people/session';
import { today as todayAtSchool } from '~/server/today';
import { LendWays } from '~/app/desk/LendWays';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import {
  Empty,
  Entered,
  Entries,
  Faint,
  Heading,
  Margin,
  Panel,
  Row,
  Stack,
  State,
  Workplace,
} from '~/app/ui/Page';
import { firstOf, Pager } from '~/app/ui/Table';
import type { Route } from './+types/messages';

export const meta: Route.MetaFunction = () => [{ title: 'Messages · Fern Basket' }];

const SIZE = 30;

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const first = firstOf(new URL(request.url).searchParams, SIZE);
  const today = todayAtSchool(at);
  const [{ messages, found }, tonight, { paper = 0, held = 0 }] = await Promise.all([
    pageOfMessages(at, { first, most: SIZE }),
    messagesOf(at, today),
    messageCounts(at),
  ]);
  return {
    first,
    found,
    messages: messages.map(({ createdAt, sentAt, answeredAt, linkKey, ...one }) => ({
      ...one,
      createdAt: showTime(at, createdAt),
      sentAt: sentAt && showTime(at, sentAt),
      answeredAt: answeredAt && showTime(at, answeredAt),
      address: `/a/${linkKey}`,
    })),
    tonight: tonight.length,
    when: whenTold(),
    paper,
    held,
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const ids = form.getAll('message').filter(isId);
  const change = async (from: MessageState[], to: MessageState, done: string) => {
    const moved = await moveMessages(at, ids, from, to);
    if (moved.length === 0)
      return data({ problem: 'It was settled meanwhile. Nothing was changed.' }, { status: 409 });
    throw redirect(`/lend/messages?${done}=${moved.length}`);
  };
  return byIntent(form, {
    now: async () => {
      await doEvening(at);
      throw redirect('/lend/messages?made=1');
    },
    printed: async () => {
      const { messages } = await pageOfMessages(at, { states: ['paper'], first: 0, most: 500 });
      await moveMessages(
        at,
        messages.map(({ id }) => id),
        ['paper'],
        'printed',
      );
      throw redirect('/lend/messages?printed=1');
    },
    send: async () => {
      const { moved, waiting } = await letMessagesGo(at, ids);
      if (moved === 0)
        return data({ problem: 'It was settled meanwhile. Nothing was changed.' }, { status: 409 });
      await enqueueMessages(at, waiting);
      throw redirect('/lend/messages?sent=1');
    },
    toPaper: () => change(['held', 'failed'], 'paper', 'onPaper'),
    drop: () => change(['held', 'failed', 'paper'], 'dropped', 'dropped'),
  });
}

type Message = Route.ComponentProps['loaderData']['messages'][number];

export default function Messages({ loaderData, actionData }: Route.ComponentProps) {
  const { messages, first, found, tonight, when, paper, held } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  return (
    <Workplace>
      <Stack>
        <LendWays coordinates />
        <Heading
          title="Messages"
          action={
            paper > 0 && (
              <Row $gap="0.6rem">
                <ButtonLink href="/lend/messages/strips.pdf">Print {count(paper, 'strip')}</ButtonLink>
                <Form method="post">
                  <input type="hidden" name="intent" value="printed" />
                  <Button type="submit" quiet>
                    They are in the bags
                  </Button>
                </Form>
              </Row>
            )
          }
        >
          What was said to families, word for word. This outbox stands in for a service that carries messages.
        </Heading>
        {actionData?.problem && <Said kind="stop">{actionData.problem}</Said>}
        {!actionData && search.has('made') && (
          <Said kind="done" word="Done" live>
            What there was to say is said. Nobody is told the same thing twice.
          </Said>
        )}
        {tonight > 0 && (
          <Said
            kind="know"
            word="Tonight"
            action={
              <Form method="post">
                <input type="hidden" name="intent" value="now" />
                <Button type="submit" quiet isPending={busy}>
                  Say it now
                </Button>
              </Form>
            }
          >
            {count(tonight, 'family is', 'families are')} told something {when}.
          </Said>
        )}
        {messages.length === 0 ? (
          <Empty title="Nothing was said yet">
            In the evening families are told what is due, in their own language.
          </Empty>
        ) : (
          messages.map((one) => <OneMessage key={one.id} message={one} />)
        )}
        <Pager first={first} shown={messages.length} found={found} size={SIZE} />
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Tonight"
            number={String(tonight)}
            unit={tonight === 1 ? 'family' : 'families'}
            reason="One message for all bags of a family; none for who never wants one."
          />
          <Entered
            label="Held back"
            number={String(held)}
            unit={held === 1 ? 'message' : 'messages'}
            reason={
              <>
                Their wording is not checked by a fluent reader. <Link to="/word/reminders">Check it</Link>,
                or say in the <Link to="/lend/rules">rules</Link> that it goes out marked.
              </>
            }
          />
          <Entered
            label="On paper"
            number={String(paper)}
            unit={paper === 1 ? 'strip' : 'strips'}
            reason="Printed by class, several to a sheet, and carried home in the bag."
          />
        </Entries>
      </Margin>
    </Workplace>
  );
}

function OneMessage({ message }: { message: Message }) {
  const { id, state, familyId, familyName, language, group, channel, reach, text, problem } = message;
  const { word, tone } = STATE_WORDS[state];
  const open = state === 'held' || state === 'failed' || state === 'paper';
  const { direction } = aboutLanguage(language);
  return (
    <Panel aria-label={`Message to ${familyName}`}>
      <Stack $gap="0.5rem">
        <Row $gap="0.7rem" style={{ alignItems: 'center' }}>
          <State tone={tone}>{word}</State>
          <strong>
            <Link to={`/lend/families/${familyId}`}>{familyName}</Link>
          </strong>
          <Faint>
            {[
              aboutLanguage(language).name,
              group,
              channel === 'paper' ? 'on paper' : `${channel} to ${reach || 'nobody knows where'}`,
              message.createdAt,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Faint>
        </Row>
        {problem && <p>{problem}</p>}
        <p style={{ whiteSpace: 'pre-line' }} lang={language} dir={direction}>
          {text}
        </p>
        {message.answered && (
          <Said kind="done" word="They answered">
            {REPLY_WORDS[message.answered]}
            {message.answeredDay && ` on ${showDay(message.answeredDay)}`} ({message.answeredAt}).
          </Said>
        )}
        {open && (
          <Form method="post">
            <input type="hidden" name="message" value={id} />
            <Row $gap="0.6rem">
              {state !== 'paper' && channel !== 'paper' && (
                <Button type="submit" quiet name="intent" value="send">
                  {state === 'held' ? 'Send it all the same' : 'Try once more'}
                </Button>
              )}
              {state !== 'paper' && (
                <Button type="submit" quiet name="intent" value="toPaper">
                  Put it on paper
                </Button>
              )}
              <Button type="submit" quiet name="intent" value="drop">
                Do not say it
              </Button>
            </Row>
          </Form>
        )}
      </Stack>
    </Panel>
  );
}
