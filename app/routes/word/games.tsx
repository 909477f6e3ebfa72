import { Link } from 'react-router';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { uncheckedLines } from '~/data/queries/words';
import { requireRole } from '~/server/people/session';
import { Heading, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
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
