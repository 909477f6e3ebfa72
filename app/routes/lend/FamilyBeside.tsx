import { Form } from '~/app/ui/sending';
import { showDay } from '~/core/lending/due';
import { REPLY_WORDS, STATE_WORDS } from '~/core/lending/outbox';
import type { MessageState, ReplyKind } from '~/core/lending/reminders';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { Faint, Panel, Row, Stack, State } from '~/app/ui/Page';

interface Wishes {
  holds: readonly {
    id: string;
    kitName: string;
    place: number;
    tag: string | null;
    familyId: string;
    keptUntil: string | null;
    expectedOn: string | undefined;
  }[];
  open: readonly { id: string; name: string }[];
}

/** What a family waits for, and asking for it. */
export function Waits({ wishes: { holds, open } }: { wishes: Wishes }) {
  const busy = useSending();
  return (
    <Panel aria-labelledby="waits">
      <Stack $gap="0.7rem">
        <h2 id="waits">Waiting for</h2>
        {holds.length === 0 && <Faint>They have not asked for a kit.</Faint>}
        {holds.map(({ id, kitName, place, tag, familyId, keptUntil, expectedOn }) => (
          <Form method="post" key={id}>
            <input type="hidden" name="intent" value="withdraw" />
            <input type="hidden" name="hold" value={id} />
            <Row $gap="0.8rem" style={{ alignItems: 'center' }}>
              <strong>{kitName}</strong>
              {tag && keptUntil ? (
                <>
                  <State tone="hand">set aside until {showDay(keptUntil)}</State>
                  <ButtonLink quiet href={`/lend?copy=${tag}&family=${familyId}`}>
                    Lend it to them
                  </ButtonLink>
                </>
              ) : (
                <span>
                  {place === 1 ? 'next in line' : `place ${place}`}
                  {expectedOn && `, around ${showDay(expectedOn)}`}
                </span>
              )}
              <Button type="submit" quiet aria-label={`No more: they do not wait for ${kitName}`}>
                No more
              </Button>
            </Row>
          </Form>
        ))}
        {open.length > 0 && (
          <Form method="post">
            <input type="hidden" name="intent" value="wish" />
            <Row>
              <Pick
                name="kit"
                label="They would like"
                options={open.map(({ id, name }) => ({ value: id, label: name }))}
              />
              <Button type="submit" quiet isPending={busy}>
                Ask for it
              </Button>
            </Row>
          </Form>
        )}
      </Stack>
    </Panel>
  );
}

/** What was said to a family last, and what it answered. */
export const Written = ({
  said,
}: {
  said: readonly {
    id: string;
    state: MessageState;
    createdAt: string;
    text: string;
    answered: ReplyKind | null;
    answeredDay: string | null;
  }[];
}) =>
  said.length > 0 && (
    <Panel aria-labelledby="written">
      <Stack $gap="0.6rem">
        <h2 id="written">Said to them</h2>
        {said.map(({ id, state, createdAt, text, answered, answeredDay }) => (
          <details key={id}>
            <summary>
              {createdAt}: {STATE_WORDS[state].word}
              {answered && (
                <>
                  ; {REPLY_WORDS[answered]}
                  {answeredDay && ` on ${showDay(answeredDay)}`}
                </>
              )}
            </summary>
            <p style={{ whiteSpace: 'pre-line' }} dir="auto">
              {text}
            </p>
          </details>
        ))}
      </Stack>
    </Panel>
  );

/** Who looked at what about a family, and all that is known as a file. */
export const Looked = ({
  familyId,
  looks,
}: {
  familyId: string;
  looks: readonly { by: string; what: string; at: string }[];
}) => (
  <Panel aria-labelledby="looked">
    <Stack $gap="0.5rem">
      <h2 id="looked">Who looked</h2>
      {looks.map(({ by, what, at }) => (
        <p key={`${by} ${what} ${at}`}>
          {by}, at {what} <Faint as="span">{at}</Faint>
        </p>
      ))}
      <div>
        <ButtonLink quiet href={`/lend/families/${familyId}/known.txt`} download="family.txt">
          All that is known, as a file for them
        </ButtonLink>
      </div>
    </Stack>
  </Panel>
);
