import { money } from '~/core/words/numbers';
import { count } from '~/core/words/numbers';
import { wornSentence } from '~/core/looking/worn';
import { periodOf, wearIn } from '~/server/looking/figures';
import { requireRole } from '~/server/people/session';
import { AmountBars, Figure } from '~/app/desk/Charts';
import { LookWays, PeriodBar, tableFile } from '~/app/desk/LookWays';
import { ButtonLink } from '~/app/ui/Button';
import { Empty, Heading, Stack, State, Wide } from '~/app/ui/Page';
import type { Route } from './+types/wear';

export const meta: Route.MetaFunction = () => [{ title: 'What wears · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const { period, offered } = await periodOf(at, new URL(request.url).searchParams);
  return { period, offered, ...(await wearIn(at, period)) };
}

/** So many parts are drawn; the table has all of them. */
const MOST = 10;
const hundred = (perLoan: number): string => (perLoan * 100).toFixed(perLoan < 0.1 ? 1 : 0);

export default function WhatWears({ loaderData }: Route.ComponentProps) {
  const { period, offered, parts, kits, games, loans } = loaderData;
  const lost = parts.filter((one) => one.lost > 0);
  return (
    <Wide>
      <Stack>
        <LookWays />
        <Heading title="What wears">
          Which parts go, what do they cost, and how many spares are enough?
        </Heading>
        <PeriodBar period={period} offered={offered} />
        {loans === 0 ? (
          <Empty
            title="No bag came home in these days"
            action={<ButtonLink href="/take-back">Take back</ButtonLink>}
          >
            Losses are seen when bags are counted.
          </Empty>
        ) : (
          <>
            <Figure
              id="parts"
              title="Parts lost in 100 loans"
              sentence={wornSentence(parts)}
              how={`Losses per loan with a gamma prior of half a loss in one loan; the line holds the rate with 90 in 100. Spares suffice with 95 in 100 for as many loans again as in this period (negative binomial). ${count(loans, 'loan')} came home and were counted; parts that nobody counts are not here.`}
              csv={tableFile('wear', period)}
              rows={parts}
              rowKey={({ material }) => material}
              columns={[
                { head: 'Part', cell: ({ name }) => name },
                { head: 'Lost', cell: (one) => one.lost },
                { head: 'In loans', cell: (one) => one.loans },
                { head: 'Per 100 loans', cell: ({ perLoan }) => hundred(perLoan) },
                { head: 'Between', cell: ({ low, high }) => `${hundred(low)} and ${hundred(high)}` },
                { head: 'Spares to have', cell: ({ spares }) => spares },
                { head: 'Losses cost', cell: ({ lostCents }) => money(lostCents) },
                {
                  head: 'All in bags are worth',
                  cell: ({ bagsCents, dear }) => (
                    <>
                      {money(bagsCents)} {dear && <State tone="hand">less than its losses</State>}
                    </>
                  ),
                },
              ]}
            >
              {lost.length > 0 && (
                <AmountBars
                  rows={lost.slice(0, MOST).map(({ plural, perLoan, low, high, lost: n, spares }) => ({
                    label: plural,
                    amount: perLoan * 100,
                    low: low * 100,
                    high: high * 100,
                    told: `${n} lost, ${count(spares, 'spare')}`,
                  }))}
                />
              )}
            </Figure>
            <Figure
              id="kits"
              title="Kits that lose pieces"
              sentence={
                kits[0] && kits[0].lost > 0
                  ? `${kits[0].name} loses most: ${count(kits[0].lost, 'piece')} in ${count(kits[0].loans, 'loan')}.`
                  : 'No kit lost a piece.'
              }
              csv={tableFile('wear-kits', period)}
              rows={kits}
              rowKey={({ kitId }) => kitId}
              columns={[
                { head: 'Kit', cell: ({ name }) => name },
                { head: 'Pieces lost', cell: (one) => one.lost },
                { head: 'Loans', cell: (one) => one.loans },
                { head: 'Per 100 loans', cell: ({ perLoan }) => hundred(perLoan) },
                { head: 'Between', cell: ({ low, high }) => `${hundred(low)} and ${hundred(high)}` },
                { head: 'Cost', cell: ({ cents }) => money(cents) },
                { head: 'What', cell: ({ parts: what }) => what.join(', ') || '–' },
              ]}
            />
            <Figure
              id="games"
              title="Games that lose pieces"
              sentence={
                games[0]
                  ? `${games[0].name} loses pieces most: ${games[0].lost} in ${count(games[0].loans, 'loan')} of a bag it lies in.`
                  : 'No game lost a piece.'
              }
              how="A piece counts for every game of its bag that plays with it."
              csv={tableFile('wear-games', period)}
              rows={games}
              rowKey={({ name }) => name}
              columns={[
                { head: 'Game', cell: ({ name }) => name },
                { head: 'Pieces lost', cell: (one) => one.lost },
                { head: 'Loans', cell: (one) => one.loans },
                { head: 'Per 100 loans', cell: ({ perLoan }) => hundred(perLoan) },
                { head: 'Between', cell: ({ low, high }) => `${hundred(low)} and ${hundred(high)}` },
              ]}
            />
          </>
        )}
      </Stack>
    </Wide>
  );
}
