import { Link, useSearchParams } from 'react-router';
import { playedSentence } from '~/core/looking/played';
import { count, money } from '~/core/words/numbers';
import { playedIn, periodOf } from '~/server/looking/figures';
import { requireRole } from '~/server/people/session';
import { AmountBars, Figure, ShareBars } from '~/app/desk/Charts';
import { LookWays, PeriodBar, tableFile } from '~/app/desk/LookWays';
import { ButtonLink } from '~/app/ui/Button';
import { Empty, Heading, Stack, Wide } from '~/app/ui/Page';
import type { Route } from './+types/play';

export const meta: Route.MetaFunction = () => [{ title: 'What plays · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const search = new URL(request.url).searchParams;
  const { period, offered } = await periodOf(at, search);
  const withCost = search.has('cost');
  return { period, offered, withCost, ...(await playedIn(at, period, withCost)) };
}

export default function WhatPlays({ loaderData }: Route.ComponentProps) {
  const { period, offered, withCost, kits, grades, words } = loaderData;
  const [search] = useSearchParams();
  const withIt = new URLSearchParams(search);
  withIt.set('cost', '1');
  const timed = kits.filter(({ minutesSaid }) => minutesSaid !== undefined);
  const right = grades.reduce((sum, { n }) => sum + n, 0);
  return (
    <Wide>
      <Stack>
        <LookWays />
        <Heading title="What plays">
          How long and how often are kits played, for whom are they right, what does a play cost?
        </Heading>
        <PeriodBar period={period} offered={offered} />
        {words === 0 && timed.length === 0 ? (
          <Empty
            title="Nobody told of these days yet"
            action={<ButtonLink href="/listen">Listen</ButtonLink>}
          >
            What families answer is put together here.
          </Empty>
        ) : (
          <>
            <Figure
              id="kits"
              title="Kits side by side"
              sentence={playedSentence(kits)}
              how={`Minutes said are the middle of what families said of one time; minutes reckoned are of one play of one of its games. Plays are the mean of what families told, so of families that answer.${withCost ? ' A play costs what a loan costs (wear of parts and paper, what is used up, work where it is paid) over the plays of a loan.' : ''}`}
              csv={tableFile('play', period)}
              rows={kits}
              rowKey={({ kitId }) => kitId}
              columns={[
                { head: 'Kit', cell: ({ name }) => name },
                { head: 'Loans', cell: ({ loans }) => loans },
                { head: 'Told of', cell: ({ answers }) => answers },
                { head: 'Plays in a loan', cell: ({ playsPerLoan }) => playsPerLoan?.toFixed(1) ?? '–' },
                {
                  head: 'Minutes said',
                  cell: ({ minutesSaid, reckonedMinutes }) =>
                    minutesSaid === undefined
                      ? '–'
                      : `${minutesSaid} (a game is reckoned with ${reckonedMinutes})`,
                },
                {
                  head: 'Just right',
                  cell: ({ right: found }) =>
                    found
                      ? `${found.n} of ${found.of} (${Math.round(found.low * 100)} to ${Math.round(found.high * 100)} in 100)`
                      : '–',
                },
                ...(withCost
                  ? [
                      {
                        head: 'A play costs',
                        cell: ({ playCents }: (typeof kits)[number]) =>
                          playCents === undefined ? '–' : money(Math.round(playCents)),
                      },
                    ]
                  : []),
              ]}
            >
              {timed.length > 0 && (
                <AmountBars
                  labelWidth={170}
                  rows={timed.map(({ name, minutesSaid, reckonedMinutes }) => ({
                    label: name,
                    amount: minutesSaid!,
                    told: `${minutesSaid} min, reckoned ${reckonedMinutes}`,
                  }))}
                />
              )}
            </Figure>
            {!withCost && (
              <p>
                <Link to={`?${withIt}`} preventScrollReset>
                  Reckon what a play costs
                </Link>{' '}
                (takes a moment: every pack is laid out)
              </p>
            )}
            {grades.length > 0 && (
              <Figure
                id="grades"
                title="Just right, by grade"
                sentence={`${right} of ${count(words, 'word')} on a game ${right === 1 ? 'was' : 'were'} “just right”.`}
                how="The line is the interval that holds the share with 95 in 100 (Wilson). A word counts for the grade of the child that played, or of the family where nobody said who."
                csv={tableFile('right-by-grade', period)}
                rows={grades}
                rowKey={({ id }) => id}
                columns={[
                  { head: 'Grade', cell: ({ label }) => label },
                  { head: 'Just right', cell: ({ n }) => n },
                  { head: 'Of', cell: ({ of }) => of },
                  {
                    head: 'Between',
                    cell: ({ low, high }) => `${Math.round(low * 100)} and ${Math.round(high * 100)} in 100`,
                  },
                ]}
              >
                <ShareBars
                  rows={grades.map(({ label, share, low, high, n, of }) => ({
                    label,
                    share,
                    low,
                    high,
                    told: `${n} of ${of}`,
                  }))}
                />
              </Figure>
            )}
          </>
        )}
      </Stack>
    </Wide>
  );
}
