import { Link } from 'react-router';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import type { Unclear } from '~/server/listening/unclear';
import { Button, useSending } from '~/app/ui/Button';
import { Panel, Row, Stack } from '~/app/ui/Page';

const List = styled.ul`
  display: grid;
  gap: 0.7rem;
`;

interface Counted {
  unread: number;
  missing: number;
  asking: number;
  unclear: number;
  texts: number;
}

/** What the answers ask for now, each with its one act; nothing where they ask for nothing. */
export function Asks({ asks, unclear }: { asks: Counted; unclear: readonly Unclear[] }) {
  const busy = useSending();
  const { unread, missing, asking, texts } = asks;
  if (unread + missing + asking + texts + unclear.length === 0) return null;
  return (
    <Panel aria-labelledby="asks">
      <Stack $gap="0.7rem">
        <h2 id="asks">What it asks for now</h2>
        <List>
          {unread > 0 && (
            <li>
              <Link to="/listen?new">{count(unread, 'answer is', 'answers are')} new</Link>
            </li>
          )}
          {texts > 0 && (
            <li>
              <Link to="/listen/texts">
                {count(texts, 'text was', 'texts were')} not understood: say what{' '}
                {texts === 1 ? 'it means' : 'they mean'}
              </Link>
            </li>
          )}
          {missing > 0 && (
            <li>
              <Link to="/take-back/tasks">
                {count(missing, 'family tells', 'families tell')} of something missing or broken
              </Link>
            </li>
          )}
          {asking > 0 && (
            <li>{count(asking, 'answer says', 'answers say')} something of its own: read it below</li>
          )}
          {unclear.length > 0 && (
            <li>
              <details>
                <summary>
                  {count(
                    unclear.reduce((sum, { times }) => sum + times, 0),
                    'family',
                    'families',
                  )}{' '}
                  did not understand a step: see which
                </summary>
                <List>
                  {unclear.map((one) => (
                    <li key={`${one.gameId} ${one.messageId} ${one.language}`}>
                      <Form method="post">
                        <input
                          type="hidden"
                          name="line"
                          value={`${one.gameId} ${one.messageId} ${one.language}`}
                        />
                        <p>
                          {count(one.times, 'family', 'families')} did not understand a step of{' '}
                          {one.own ? (
                            one.gameName
                          ) : (
                            <Link to={`/word/${one.gameId}/${one.messageId}?language=${one.language}`}>
                              {one.gameName}
                            </Link>
                          )}
                          , in {aboutLanguage(one.language).name}: “{one.text}”
                        </p>
                        <Row $gap="0.6rem">
                          {/* English is the source: it is worded anew, not doubted. */}
                          {one.language !== 'en' && (
                            <Button type="submit" quiet name="intent" value="doubt" isPending={busy}>
                              Mark its line as in doubt
                            </Button>
                          )}
                          <Button type="submit" quiet name="intent" value="setAside" isPending={busy}>
                            Set it aside
                          </Button>
                        </Row>
                      </Form>
                    </li>
                  ))}
                </List>
              </details>
            </li>
          )}
        </List>
      </Stack>
    </Panel>
  );
}
