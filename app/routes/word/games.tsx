import { Link } from 'react-router';
import { LANGUAGES } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { uncheckedLines } from '~/data/queries/words';
import { requireRole } from '~/server/people/session';
import { Heading, Stack, State, TableFrame, Wide } from '~/app/ui/Page';
import type { Route } from './+types/games';

export const meta: Route.MetaFunction = () => [{ title: 'Word · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'reader');
  return { games: await uncheckedLines(at) };
}

export default function Games({ loaderData }: Route.ComponentProps) {
  return (
    <Wide>
      <Stack>
        <Heading title="Word the games">
          Which wording still needs a fluent reader? What nobody has checked is marked so on every sheet.
        </Heading>
        <TableFrame>
          <table>
            <thead>
              <tr>
                <th>Game</th>
                <th>Language</th>
                <th>Lines</th>
                <th>Checked</th>
              </tr>
            </thead>
            <tbody>
              {loaderData.games.map((game) => (
                <tr key={`${game.gameId} ${game.language}`}>
                  <td>
                    <Link to={`/word/${game.gameId}?language=${game.language}`}>{game.name}</Link>
                  </td>
                  <td>{LANGUAGES[game.language].name}</td>
                  <td>{game.lines}</td>
                  <td>
                    {game.unchecked === 0 ? (
                      <State tone="calm">all lines</State>
                    ) : (
                      <State tone="wait">{count(game.unchecked, 'line')} to check</State>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </TableFrame>
      </Stack>
    </Wide>
  );
}
