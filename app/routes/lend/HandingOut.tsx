import { useState } from 'react';
import { Link } from 'react-router';
import { Form, useFetcher } from '~/app/ui/sending';
import type { Heard } from '~/core/lending/hall';
import { showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
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
import { Table } from '~/app/ui/Table';
import type { RoundData } from './useSolving';

type Promised = Extract<RoundData, { promises: unknown }>['promises'][number];

/** A settled hand-out: bags go out by scanning, the list ticks itself, and what is not fetched stays. */
export function HandingOut({
  round,
  promises,
  coordinates,
  problem,
}: {
  round: RoundData['round'];
  promises: readonly Promised[];
  coordinates: boolean;
  problem?: string | undefined;
}) {
  const open = round.state === 'promised';
  const gone = promises.filter(({ loanId }) => loanId !== null);
  const waiting = promises.filter(({ endedAt }) => endedAt === null);
  const classes = [...new Set(promises.map(({ group }) => group))];
  return (
    <Workplace>
      <Stack>
        <LendWays coordinates={coordinates} />
        <Heading
          title={round.name}
          action={
            <Row $gap="0.6rem">
              <ButtonLink quiet href={`/lend/rounds/${round.id}/list.pdf`}>
                Print the list
              </ButtonLink>
              <ButtonLink quiet href={`/lend/rounds/${round.id}/stickers.pdf`}>
                Print stickers
              </ButtonLink>
            </Row>
          }
        >
          {showDay(round.onDay)}.{' '}
          {open
            ? 'Scan a bag as it is handed over; with the card of a family first, its bag is checked.'
            : 'This hand-out is over. What was not fetched stayed at school.'}
        </Heading>
        {problem && (
          <Said kind="stop" live>
            {problem}
          </Said>
        )}
        {open && waiting.length > 0 && <Scanning />}
        {open && waiting.length === 0 && (
          <Said kind="done" word="All handed over">
            Every bag of this hand-out has gone.
          </Said>
        )}
        {classes.map((group) => (
          <Panel key={group} aria-label={group || 'Without a class'}>
            <Stack $gap="0.5rem">
              <h2>{group || 'Without a class'}</h2>
              <Table
                rows={promises.filter((one) => one.group === group)}
                rowKey={({ id }) => id}
                label={group || 'Without a class'}
                columns={[
                  { head: 'Bag', cell: ({ tag }) => <Tag>{showTag(tag)}</Tag> },
                  { head: 'Kit', cell: ({ kitName }) => kitName },
                  {
                    head: 'Family',
                    cell: ({ familyId, familyName }) =>
                      coordinates ? <Link to={`/lend/families/${familyId}`}>{familyName}</Link> : familyName,
                  },
                  { head: 'Reads', cell: ({ language }) => aboutLanguage(language).name },
                  {
                    head: '',
                    cell: ({ loanId, endedAt }) =>
                      loanId ? (
                        <State tone="calm">handed over</State>
                      ) : endedAt ? (
                        <State tone="note">stayed</State>
                      ) : (
                        <State tone="wait">to hand over</State>
                      ),
                  },
                ]}
              />
            </Stack>
          </Panel>
        ))}
        {open && coordinates && (
          <Form method="post">
            <Row $gap="0.6rem">
              {gone.length === 0 && (
                <Button type="submit" quiet name="intent" value="undoAll">
                  Undo this hand-out as a whole
                </Button>
              )}
              <Button type="submit" quiet clay name="intent" value="end">
                {waiting.length
                  ? `End it: ${count(waiting.length, 'bag stays', 'bags stay')} at school`
                  : 'End it'}
              </Button>
            </Row>
          </Form>
        )}
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Handed over"
            number={String(gone.length)}
            unit={`of ${count(promises.length, 'bag')}`}
            reason={
              waiting.length
                ? `${count(waiting.length, 'bag is', 'bags are')} still promised, and lent to nobody else.`
                : 'Nothing is promised any more.'
            }
          />
        </Entries>
      </Margin>
    </Workplace>
  );
}

/** The box to scan into. It answers in a large word, and stays ready. */
function Scanning() {
  const fetcher = useFetcher<{ heard?: Heard; problem?: string }>();
  const [text, setText] = useState('');
  const [scans, setScans] = useState(0);
  const heard = fetcher.data?.heard;
  return (
    <Panel aria-label="Hand over">
      <Stack $gap="0.8rem">
        <form
          method="post"
          onSubmit={(event) => {
            event.preventDefault();
            if (!text.trim()) return;
            setScans((n) => n + 1);
            void fetcher.submit(
              { intent: 'hand', text, ...(heard?.familyId ? { family: heard.familyId } : {}) },
              { method: 'post' },
            );
            setText('');
          }}
        >
          <input type="hidden" name="intent" value="hand" />
          <Row>
            <TextBox
              name="text"
              label="Scan a bag, or a family’s card and its bag"
              value={text}
              onChange={setText}
              autoComplete="off"
              autoFocus
              maxLength={300}
            />
            <Button type="submit" isPending={fetcher.state !== 'idle'}>
              Hand it over
            </Button>
          </Row>
        </form>
        {heard ? (
          <BigWord heard={heard} at={scans} />
        ) : (
          <Faint>A bag that is for another family, or for none, is noticed.</Faint>
        )}
        {heard?.loanId && (
          <Row>
            <Button
              quiet
              onPress={() =>
                void fetcher.submit({ intent: 'undoOne', loan: heard.loanId! }, { method: 'post' })
              }
            >
              Undo this one
            </Button>
          </Row>
        )}
        {fetcher.data?.problem && <Said kind="stop">{fetcher.data.problem}</Said>}
      </Stack>
    </Panel>
  );
}
