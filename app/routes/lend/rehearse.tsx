import { Link } from 'react-router';
import { REHEARSE_WORDS } from '~/core/words/rehearse';
import { excerpt } from '~/core/words/reading';
import { rehearsals } from '~/data/queries/evenings';
import { showTime } from '~/server/changes';
import { gamesToRehearse, tongueOf } from '~/server/games/rehearse';
import { requireRole } from '~/server/people/session';
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
  const done = await rehearsals(at);
  return {
    coordinates: person.role === 'coordinator',
    reading: excerpt(reading, REHEARSE_WORDS),
    languages,
    direction,
    games: gamesToRehearse(reading).map((game) => ({
      ...game,
      by: done
        .filter(({ gameId }) => gameId === game.id)
        .map(({ helper, turns, well, at: moment }) => ({ helper, turns, well, at: showTime(at, moment) })),
    })),
  };
}

/** The games to rehearse, and who has rehearsed them. */
export default function Rehearse({ loaderData }: Route.ComponentProps) {
  const { coordinates, reading, languages, direction, games } = loaderData;
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
                cell: ({ id, name }) => (
                  <Link to={`/lend/rehearse/${id}${lang}`} lang={reading.language}>
                    {name}
                  </Link>
                ),
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
