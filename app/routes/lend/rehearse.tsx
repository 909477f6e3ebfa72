import { Link } from 'react-router';
import { showDay } from '~/core/lending/due';
import { REHEARSE_WORDS } from '~/core/words/rehearse';
import { excerpt } from '~/core/words/reading';
import { nextEvening, rehearsals } from '~/data/queries/evenings';
import { showTime } from '~/server/changes';
import { gamesToRehearse, tongueOf } from '~/server/games/rehearse';
import { requireRole } from '~/server/people/session';
import { today as todayAtSchool } from '~/server/today';
import { LendWays } from '~/app/desk/LendWays';
import { Tongues, rehearseWords } from '~/app/game/Tongues';
import { ButtonLink } from '~/app/ui/Button';
import { Heading, Panel, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/rehearse';

export const meta: Route.MetaFunction = () => [{ title: 'Rehearse · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at, school } = person;
  const { reading, languages, direction } = await tongueOf(request, at, school.languages);
  const [done, next] = await Promise.all([rehearsals(at), nextEvening(at, todayAtSchool(at))]);
  const tables = (gameId: string): string[] =>
    (next?.plan.tables ?? []).filter(({ game }) => game?.gameId === gameId).map(({ id }) => id);
  return {
    coordinates: person.role === 'coordinator',
    reading: excerpt(reading, REHEARSE_WORDS),
    languages,
    direction,
    evening: next && { id: next.id, name: next.name, onDay: next.onDay },
    games: gamesToRehearse(reading)
      .map((game) => ({ ...game, tables: tables(game.id) }))
      // What stands on the tables of the next evening comes first.
      .sort((a, b) => Number(b.tables.length > 0) - Number(a.tables.length > 0))
      .map((game) => ({
        ...game,
        by: done
          .filter(({ gameId }) => gameId === game.id)
          .map(({ helper, turns, well, at: moment }) => ({ helper, turns, well, at: showTime(at, moment) })),
      })),
  };
}

/** The games to rehearse, and who has rehearsed them. */
export default function Rehearse({ loaderData }: Route.ComponentProps) {
  const { coordinates, reading, languages, direction, games, evening } = loaderData;
  const words = rehearseWords(reading);
  const lang = `?lang=${reading.language}`;
  return (
    <Wide>
      <Stack>
        <LendWays coordinates={coordinates} />
        <Heading
          title="Rehearse"
          action={
            <ButtonLink quiet href={`/lend/rehearse/look${lang}`}>
              <span lang={reading.language}>{words('look.title')}</span>
            </ButtonLink>
          }
        >
          <span lang={reading.language} dir={direction}>
            {words('why')}
          </span>
        </Heading>
        <Tongues languages={languages} current={reading.language} />
        <Panel aria-label="Games">
          <Table
            label="Games to rehearse"
            rows={games}
            rowKey={({ id }) => id}
            columns={[
              {
                head: 'Game',
                cell: ({ id, name, tables }) => (
                  <Link
                    to={`/lend/rehearse/${id}${lang}${evening && tables[0] ? `&evening=${evening.id}&table=${encodeURIComponent(tables[0])}` : ''}`}
                    lang={reading.language}
                  >
                    {name}
                  </Link>
                ),
              },
              {
                head: evening ? `${evening.name}, ${showDay(evening.onDay)}` : 'Next evening',
                cell: ({ tables }) => tables.join(', ') || '–',
              },
              {
                head: 'Rehearsed by',
                cell: ({ by }) =>
                  by.length === 0
                    ? '–'
                    : by.map(({ helper, well, turns, at }) => (
                        <span key={helper} style={{ marginInlineEnd: '0.8rem' }}>
                          <State tone="calm">{helper}</State> {well} of {turns} went well, {at}
                        </span>
                      )),
              },
            ]}
          />
        </Panel>
      </Stack>
    </Wide>
  );
}
