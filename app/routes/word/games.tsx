import { Link } from 'react-router';
import styled from 'styled-components';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { linesIn } from '~/core/words/needs';
import { needsAt } from '~/data/queries/needs';
import { uncheckedLines } from '~/data/queries/words';
import { unclearNow } from '~/server/listening/unclear';
import { requireRole } from '~/server/people/session';
import { ButtonLink } from '~/app/ui/Button';
import { Faint, Heading, Row, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/games';

export const meta: Route.MetaFunction = () => [{ title: 'Word · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, role } = await requireRole(request, 'coordinator', 'reader');
  const [needs, games, unclear] = await Promise.all([needsAt(at), uncheckedLines(at), unclearNow(at)]);
  return { needs, games, unclear, mayInvite: role === 'coordinator' };
}

const Needs = styled.ol`
  display: grid;
  gap: 0.9rem;
  padding-inline-start: 1.6rem;
  list-style: decimal;
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1.6rem;
  }
`;

export default function Games({ loaderData }: Route.ComponentProps) {
  return (
    <Wide>
      <Stack>
        <Heading
          title="Word the games"
          action={
            <Row $gap="0.6rem">
              {loaderData.mayInvite && (
                <>
                  <ButtonLink quiet href="/word/readers">
                    Fluent readers
                  </ButtonLink>
                  <ButtonLink quiet href="/word/out-and-in">
                    Lines out and in
                  </ButtonLink>
                </>
              )}
              <ButtonLink quiet href="/word/proofs">
                Proofs on paper
              </ButtonLink>
            </Row>
          }
        >
          Which wording still needs a fluent reader? What nobody has checked is marked so on every sheet.
        </Heading>
        <h2>What families need first</h2>
        {loaderData.needs.length === 0 ? (
          <Faint>Every kit that was built is sound in the languages of your families.</Faint>
        ) : (
          <Needs>
            {loaderData.needs.map((need) => {
              const { name } = aboutLanguage(need.language);
              return (
                <li key={`${need.kitId} ${need.language}`}>
                  <b>{count(linesIn(need), 'line')}</b> to make <i>{need.kit}</i> sound in {name} for{' '}
                  {count(need.families, 'family', 'families')}
                  {need.atHome > 0 && (
                    <>
                      ; {need.atHome} of them {need.atHome === 1 ? 'has' : 'have'} it at home now
                    </>
                  )}
                  {loaderData.mayInvite && (
                    <>
                      ;{' '}
                      <Link to={`/word/readers?kit=${need.kitId}&language=${need.language}`}>
                        ask a reader
                        <span className="visually-hidden">
                          {' '}
                          of {name} about {need.kit}
                        </span>
                      </Link>
                    </>
                  )}
                  <ul>
                    {need.games.map((game) => (
                      <li key={game.gameId}>
                        <Link to={`/word/${game.gameId}?language=${need.language}&kit=${need.kitId}`}>
                          {game.name}
                        </Link>
                        , {count(game.lines, 'line')}
                      </li>
                    ))}
                  </ul>
                </li>
              );
            })}
          </Needs>
        )}
        {loaderData.unclear.length > 0 && (
          <>
            <h2>What families did not understand</h2>
            <ul>
              {loaderData.unclear.map(({ gameId, gameName, own, messageId, language, text, times }) => (
                <li key={`${gameId} ${messageId} ${language}`}>
                  {own ? (
                    gameName
                  ) : (
                    <Link to={`/word/${gameId}/${messageId}?language=${language}`}>{gameName}</Link>
                  )}
                  , in {aboutLanguage(language).name}: “{text}” ({count(times, 'family', 'families')})
                </li>
              ))}
            </ul>
          </>
        )}
        <h2>Everything there is</h2>
        <Table
          rows={loaderData.games}
          rowKey={(game) => `${game.gameId} ${game.language}`}
          columns={[
            {
              head: 'Game',
              cell: (game) => <Link to={`/word/${game.gameId}?language=${game.language}`}>{game.name}</Link>,
            },
            { head: 'Language', cell: (game) => aboutLanguage(game.language).name },
            { head: 'Lines', cell: (game) => game.lines },
            {
              head: 'Checked',
              cell: (game) =>
                game.missing > 0 ? (
                  <State tone="hand">{count(game.missing, 'line')} in English</State>
                ) : game.unchecked === 0 ? (
                  <State tone="calm">all lines</State>
                ) : (
                  <State tone="wait">{count(game.unchecked, 'line')} to check</State>
                ),
            },
          ]}
        />
      </Stack>
    </Wide>
  );
}
