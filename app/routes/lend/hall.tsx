import { useEffect, useRef, useState } from 'react';
import { redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import { showTag } from '~/core/kits/tag';
import { count } from '~/core/words/numbers';
import { clashes, settleClash } from '~/data/queries/hall';
import { showTime } from '~/server/changes';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { hallKnown } from '~/server/lending/hall';
import { requireRole } from '~/server/people/session';
import { LendWays } from '~/app/desk/LendWays';
import { BigWord } from '~/app/ui/BigWord';
import { Button, ButtonLink } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import {
  Entered,
  Entries,
  Faint,
  Heading,
  Margin,
  Panel,
  Row,
  Stack,
  State,
  Tag,
  Workplace,
} from '~/app/ui/Page';
import { color } from '~/app/ui/theme';
import { Camera } from './Camera';
import { keepPage } from '~/app/desk/hallKept';
import { useHall } from './useHall';
import type { Route } from './+types/hall';

export const meta: Route.MetaFunction = () => [
  { title: 'In the hall · Fern Basket' },
  { tagName: 'link', rel: 'manifest', href: '/hall.webmanifest' },
];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, id, role } = await requireRole(request, 'coordinator', 'helper');
  const [known, left] = await Promise.all([hallKnown(at), clashes(at)]);
  return {
    school: at.schoolId,
    person: id,
    coordinates: role === 'coordinator',
    known,
    clashes: left.map(({ id, heard, at: moment, by }) => ({ id, heard, by, at: showTime(at, moment) })),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const form = await request.formData();
  return byIntent(form, {
    seen: async () => {
      const id = form.get('act');
      if (isId(id)) await settleClash(at, id);
      throw redirect('/lend/hall');
    },
  });
}

const Scanned = styled.form`
  input {
    width: min(24rem, 80vw);
    min-height: 56px;
    font-size: 1.5rem;
    font-weight: 700;
    letter-spacing: 0.04em;
  }
`;
const Log = styled.ol`
  display: grid;
  gap: 0.3rem;
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.7rem;
    align-items: baseline;
    padding: 0.35rem 0;
    border-bottom: 1px solid ${color.line};
  }
  .undone {
    text-decoration: line-through;
  }
`;

export default function Hall({ loaderData }: Route.ComponentProps) {
  const { school, person, coordinates, clashes: left } = loaderData;
  const { known, pending, heard, online, signedOut, done, waiting, others, enter, undo } = useHall(
    { person, school },
    loaderData.known,
  );
  const [text, setText] = useState('');
  const [kept, setKept] = useState(false);
  const box = useRef<HTMLFormElement>(null);
  const focus = (): void => box.current?.querySelector('input')?.focus();
  useEffect(() => {
    void keepPage({ person, school })
      .then(setKept)
      .catch(() => undefined);
  }, [person, school]);
  // F2 leads to the box from anywhere; F4 takes back what was done last.
  useEffect(() => {
    const pressed = (event: KeyboardEvent): void => {
      if (event.key !== 'F4' && event.key !== 'F2') return;
      event.preventDefault();
      if (event.key === 'F4') void undo();
      focus();
    };
    addEventListener('keydown', pressed);
    return () => removeEventListener('keydown', pressed);
  });
  const out = known.bags.filter((bag) => bag.with !== null && !bag.arrived).length;
  const toCount = known.bags.filter(({ arrived }) => arrived).length;
  return (
    <Workplace>
      <Stack>
        <LendWays coordinates={coordinates} />
        <Heading title="In the hall">
          Scan a bag, then the card of its family; a bag, a card … A bag that is out is home when it is
          scanned.
        </Heading>
        {others > 0 && (
          <Said kind="mind" word="Scanned by somebody else">
            {count(others, 'scan waits', 'scans wait')} in this browser for whoever did them here without
            network. They are sent when that person signs in on this device and opens this page.
          </Said>
        )}
        {signedOut && (
          <Said
            kind="stop"
            word="You are signed out"
            live
            action={<ButtonLink href="/sign-in?next=/lend/hall">Sign in again</ButtonLink>}
          >
            {count(waiting, 'scan is', 'scans are')} kept in this browser, and sent once you are back.
          </Said>
        )}
        {!online && !signedOut && (
          <Said kind="mind" word="Without network" live>
            The desk goes on. {waiting === 0 ? 'What you scan' : count(waiting, 'scan')}{' '}
            {waiting === 1 ? 'is' : 'are'} kept in this browser, and sent in order when the connection is
            back.
          </Said>
        )}
        {left.map(({ id, heard: what, at, by }) => (
          <Said
            key={id}
            kind="stop"
            word={`Scanned without network, and not so any more (${by ?? 'somebody'}, ${at})`}
            action={
              <Form method="post">
                <input type="hidden" name="intent" value="seen" />
                <input type="hidden" name="act" value={id} />
                <Button type="submit" quiet>
                  I have seen to it
                </Button>
              </Form>
            }
          >
            {what.text}
          </Said>
        ))}
        <Panel aria-label="Desk">
          <Stack $gap="0.8rem">
            <Scanned
              ref={box}
              onSubmit={(event) => {
                event.preventDefault();
                const entered = text.trim();
                setText('');
                if (entered) void enter(entered);
                focus();
              }}
            >
              <Row>
                <TextBox
                  name="scan"
                  label="Scan a bag or a card"
                  value={text}
                  onChange={setText}
                  autoComplete="off"
                  autoFocus
                  maxLength={300}
                />
                <Button type="submit">Enter</Button>
                <Button
                  quiet
                  onPress={() => {
                    void undo();
                    focus();
                  }}
                >
                  Undo the last (F4)
                </Button>
              </Row>
            </Scanned>
            {heard ? (
              <BigWord heard={heard.heard} at={heard.n} />
            ) : (
              <Faint>A tag, the square of a label, a family’s card, or a part of a family’s name.</Faint>
            )}
            {pending.length > 0 && (
              <Row $gap="0.5rem" style={{ alignItems: 'center' }}>
                <strong>Waiting for a card:</strong>
                {pending.map((tag) => (
                  <State key={tag} tone="wait">
                    {showTag(tag)}
                  </State>
                ))}
              </Row>
            )}
            <div>
              <Camera onRead={(read) => void enter(read)} />
            </div>
          </Stack>
        </Panel>
        {done.length > 0 && (
          <Panel aria-labelledby="done">
            <h2 id="done">Done here</h2>
            <Log>
              {done.map(({ act, heard: what, waiting: waits, undone }) => (
                <li key={act.id}>
                  {act.tag && <Tag>{showTag(act.tag)}</Tag>}
                  <span className={undone ? 'undone' : undefined}>
                    {act.kind === 'home' ? 'home' : what.word}
                  </span>
                  {waits ? (
                    <State tone="wait">waiting to be sent</State>
                  ) : what.kind === 'wrong' ? (
                    <State tone="hand">not done: {what.text}</State>
                  ) : (
                    <State tone="calm">kept at school</State>
                  )}
                </li>
              ))}
            </Log>
          </Panel>
        )}
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="To be sent"
            number={String(waiting)}
            unit={waiting === 1 ? 'scan' : 'scans'}
            reason={online ? 'The school hears of each at once.' : 'Kept here until the connection is back.'}
          />
          <Entered label="Out" number={String(out)} unit={out === 1 ? 'bag' : 'bags'} />
          <Entered
            label="Home, to count"
            number={String(toCount)}
            unit={toCount === 1 ? 'bag' : 'bags'}
            reason="Count them when it is quiet; until then they go out to nobody."
          />
          <Entered
            label="Without network"
            number={kept ? 'ready' : 'not yet'}
            reason={
              kept
                ? 'This page opens on this device without network too, until you sign out.'
                : 'Leave this page open: it goes on if the connection drops.'
            }
          />
        </Entries>
      </Margin>
    </Workplace>
  );
}
