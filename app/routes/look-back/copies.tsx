import { showDay } from '~/core/lending/due';
import { count, money, share } from '~/core/words/numbers';
import { copiesIn, periodOf } from '~/server/looking/figures';
import { requireRole } from '~/server/people/session';
import { Figure, ShareBars } from '~/app/desk/Charts';
import { LookWays, PeriodBar, tableFile } from '~/app/desk/LookWays';
import { ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Empty, Heading, Stack, State, Wide } from '~/app/ui/Page';
import type { Route } from './+types/copies';

export const meta: Route.MetaFunction = () => [{ title: 'How many copies · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const { period, offered, termEnds } = await periodOf(at, new URL(request.url).searchParams);
  return { period, offered, ...(await copiesIn(at, period, termEnds)) };
}

export default function HowManyCopies({ loaderData }: Route.ComponentProps) {
  const { period, offered, kits, idle, stock, next, termEnds } = loaderData;
  const build = kits.filter(({ change }) => change > 0);
  const apart = kits.filter(({ change }) => change < 0);
  const short = stock.filter((one) => one.short > 0);
  return (
    <Wide>
      <Stack>
        <LookWays />
        <Heading title="How many copies">
          Which kit to build more of, which to take apart, and what the store needs?
        </Heading>
        <PeriodBar period={period} offered={offered} />
        {kits.length === 0 ? (
          <Empty
            title="Nothing was lent in these days"
            action={<ButtonLink href="/lend">Lend a copy</ButtonLink>}
          >
            How many copies are enough follows from what families ask for.
          </Empty>
        ) : (
          <>
            {idle.length > 0 && (
              <Said kind="know" word="Not asked for">
                {idle.map(({ name, copies }) => `${name} (${count(copies, 'copy', 'copies')})`).join(', ')}:
                nobody had them in these days.
              </Said>
            )}
            <Figure
              id="supply"
              title="The chance that no bag is home when a family asks"
              sentence={[
                build.length
                  ? `Build more of ${build.map(({ name, change }) => `${name} (${change})`).join(', ')}.`
                  : 'No kit needs more copies.',
                apart.length
                  ? `${apart.map(({ name, change }) => `${name} (${-change})`).join(', ')} could be taken apart for parts.`
                  : '',
              ]
                .filter(Boolean)
                .join(' ')}
              how="Asks are loans that began and wishes that came to nothing. A family has a kit once: asked for is what those who have not had it will ask for, if it goes on like this. Bags are away from lending until they are home, and two days more to be counted and mended; those still out count for as long as they have been. Where bags go out on one day of the week, families ask together; elsewhere one by one (Erlang’s loss formula). Enough means that one ask in ten finds none at home; in brackets what nine in ten schools with these numbers would need. Families that saw an empty shelf and asked for nothing are not counted, so the true need may be higher."
              csv={tableFile('copies', period)}
              rows={kits}
              rowKey={({ kitId }) => kitId}
              columns={[
                { head: 'Kit', cell: ({ name }) => name },
                { head: 'Copies', cell: ({ copies }) => copies },
                { head: 'Asks a week to come', cell: ({ asksPerWeek }) => asksPerWeek.toFixed(1) },
                { head: 'Weeks away', cell: ({ weeksOut }) => weeksOut.toFixed(1) },
                { head: 'None home', cell: ({ chanceNoneHome }) => share(chanceNoneHome) },
                {
                  head: 'Enough',
                  cell: ({ copiesNeeded, fewest, most }) =>
                    fewest === most ? copiesNeeded : `${copiesNeeded} (${fewest} to ${most})`,
                },
                {
                  head: 'What to do',
                  cell: ({ change }) =>
                    change > 0 ? (
                      <State tone="hand">build {change}</State>
                    ) : change < 0 ? (
                      <State tone="note">take {-change} apart</State>
                    ) : (
                      <State tone="calm">enough</State>
                    ),
                },
              ]}
            >
              <ShareBars
                labelWidth={170}
                rows={kits.map(({ name, chanceNoneHome, copies, copiesNeeded }) => ({
                  label: name,
                  share: chanceNoneHome,
                  low: chanceNoneHome,
                  high: chanceNoneHome,
                  told: `${(chanceNoneHome * 100).toFixed(1)} in 100: ${count(copies, 'copy', 'copies')}, ${copiesNeeded} enough`,
                }))}
              />
            </Figure>
            {termEnds ? (
              <Figure
                id="stock"
                title={`The store on ${showDay(termEnds)}`}
                sentence={
                  stock.length === 0
                    ? 'Nothing that goes is counted in the store.'
                    : short.length
                      ? `${count(short.length, 'part')} may run short before the term ends; buying ${short
                          .map(({ name, packs }) =>
                            packs.length ? `${packs.join(' and ')} of ${name}` : name,
                          )
                          .join(
                            ', ',
                          )} covers it, for ${money(short.reduce((sum, { costCents }) => sum + costCents, 0))}.`
                      : 'What is there covers the losses of the rest of the term.'
                }
                how={`${count(next, 'loan')} are expected until then, if lending goes on as in this period. What is put in for lost pieces goes out of the store; new copies are not reckoned in. Left is the middle; nine in ten lie between.`}
                csv={tableFile('stock', period)}
                rows={stock}
                rowKey={({ material }) => material}
                columns={[
                  { head: 'Part', cell: ({ name }) => name },
                  { head: 'On hand', cell: ({ onHand }) => onHand },
                  { head: 'Left', cell: ({ left }) => left },
                  { head: 'Between', cell: ({ low, high }) => `${low} and ${high}` },
                  {
                    head: 'To buy',
                    cell: (one) =>
                      one.short === 0 ? (
                        <State tone="calm">nothing</State>
                      ) : one.packs.length ? (
                        `${one.packs.join(', ')}, ${money(one.costCents)}`
                      ) : (
                        <State tone="hand">{one.short}; nobody sells it yet</State>
                      ),
                  },
                ]}
              />
            ) : (
              <Said kind="know" word="No term is on">
                Write your terms into the calendar, and the store is reckoned to the end of the one that is
                on.
              </Said>
            )}
          </>
        )}
      </Stack>
    </Wide>
  );
}
