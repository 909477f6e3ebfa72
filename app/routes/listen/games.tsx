import { Link } from 'react-router';
import { change, count, hundredths, tenths as inTenths } from '~/core/words/numbers';
import { correctionSentence } from '~/core/listening/correction';
import { isOff } from '~/core/listening/calibration';
import { yearName } from '~/core/listening/demand';
import { sentenceFor } from '~/core/listening/sentence';
import { requireRole } from '~/server/people/session';
import { correctionOf, schoolWords } from '~/server/listening/levels';
import { ListenWays } from '~/app/desk/ListenWays';
import { Figure, ShareBars } from '~/app/desk/Charts';
import { Empty, Faint, Heading, Panel, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { ButtonLink } from '~/app/ui/Button';
import type { Route } from './+types/games';

export const meta: Route.MetaFunction = () => [{ title: 'How hard games are · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const words = await schoolWords(at);
  const games = [...words.variants.values()].map(({ id, name, gameName, ref }) => {
    const demand = words.demands.get(id)!;
    const correction = correctionOf(words, id);
    const heard = words.words.filter(({ variant }) => variant === id);
    return {
      id,
      name,
      gameName,
      gameId: ref.own ? undefined : ref.gameId,
      demand: demand.demand,
      asks: words.asks[id]!,
      reason: demand.reason,
      correction,
      moved: Math.abs(correction.shift) > correction.sd && correction.answers > 0,
      sentence: sentenceFor(
        heard.map(({ familyId, said, minutes }) => ({ familyId, level: said, minutes })),
        `“${name}”`,
      ),
    };
  });
  const moved = (one: (typeof games)[number]): number => (one.moved ? Math.abs(one.correction.shift) : 0);
  games.sort((a, b) => moved(b) - moved(a) || a.asks - b.asks || a.name.localeCompare(b.name));
  return { games, tenths: words.meaning.tenths };
}

/** What is told of a row adds up: each is rounded before it is added. */
const tenth = (n: number): number => Math.round(n * 10) / 10;

export default function Games({ loaderData }: Route.ComponentProps) {
  const { games, tenths } = loaderData;
  const answers = tenths.reduce((sum, one) => sum + one.answers, 0);
  const off = tenths.filter((one) => isOff(one, tenths.length));
  return (
    <Wide>
      <Stack>
        <ListenWays />
        <Heading title="How hard games are">
          What each game asks is reckoned from the arithmetic it practises, and moved by what families find.
        </Heading>
        {games.length === 0 ? (
          <Empty title="No bag yet" action={<ButtonLink href="/fill">Fill a kit</ButtonLink>}>
            The games of your bags are listed here.
          </Empty>
        ) : (
          <Panel aria-labelledby="asks">
            <Stack $gap="0.6rem">
              <h2 id="asks">What games ask, those that families find otherwise first</h2>
              <Table
                label="What games ask"
                rows={games}
                rowKey={({ id }) => id}
                columns={[
                  {
                    head: 'Game',
                    cell: ({ name, gameName, gameId }) => (
                      <div style={{ minWidth: '10rem' }}>
                        {gameId ? <Link to={`/choose/${gameId}`}>{name}</Link> : name}
                        <br />
                        <Faint as="span">{gameName}</Faint>
                      </div>
                    ),
                  },
                  { head: 'Reckoned', cell: ({ demand }) => inTenths(demand) },
                  {
                    head: 'Moved by',
                    cell: ({ correction, moved }) =>
                      correction.answers === 0 ? (
                        '–'
                      ) : moved ? (
                        <State tone="wait">{change(correction.shift)}</State>
                      ) : (
                        change(correction.shift)
                      ),
                  },
                  {
                    head: 'Now',
                    cell: ({ demand, correction, asks }) => (
                      <>
                        {inTenths(tenth(demand) + tenth(correction.shift))}
                        <br />
                        <Faint as="span">{yearName(asks)}</Faint>
                      </>
                    ),
                  },
                  {
                    head: 'Why',
                    cell: ({ reason, correction, sentence }) => (
                      <>
                        {reason} {correctionSentence(correction)} {sentence}
                      </>
                    ),
                  },
                ]}
              />
              <Faint>
                <a href="/look-back/demands.csv" download>
                  As a table for a spreadsheet (CSV)
                </a>
                . On the scale of school years: 0 is pre-K, 1 kindergarten, 2 grade 1, 3 grade 2, 4 grade 3.
                An answer counts half after half a year; a family counts once for each game.
              </Faint>
            </Stack>
          </Panel>
        )}
        {answers > 0 && (
          <Figure
            id="calibration"
            csv="/look-back/forecasts.csv"
            title="Can the forecasts be believed?"
            sentence={
              off.length === 0
                ? `Of ${count(answers, 'answer')}, as many were just right as was said beforehand, as far as so few can tell.`
                : `${count(off.length, 'tenth')} of ${tenths.length} came out otherwise than was said, by more than chance: ${off
                    .map(
                      (one) =>
                        `of ${count(one.answers, 'game')} said to be just right with ${Math.round(one.said * 100)} in 100, ${Math.round(one.share * 100)} in 100 were`,
                    )
                    .join('; ')}.`
            }
            how="For each answer it was reckoned, from the answers before it alone, how likely “just right” was; the answers are put together by tenths. The line is the interval that holds the share with 95 in 100 (Wilson)."
            rows={tenths}
            rowKey={({ from }) => String(from)}
            columns={[
              { head: 'Said, in 100', cell: ({ from, to }) => `${from * 100} to ${Math.round(to * 100)}` },
              { head: 'On average', cell: ({ said }) => hundredths(said) },
              { head: 'Answers', cell: (one) => one.answers },
              { head: 'Were just right, in 100', cell: ({ share }) => Math.round(share * 100) },
              {
                head: 'Between',
                cell: ({ low, high }) => `${Math.round(low * 100)} and ${Math.round(high * 100)}`,
              },
            ]}
          >
            <ShareBars
              labelWidth={170}
              rows={tenths.map(({ said, share, low, high, answers: n }) => ({
                label: `said ${Math.round(said * 100)} in 100`,
                share,
                low,
                high,
                told: count(n, 'answer'),
              }))}
            />
          </Figure>
        )}
      </Stack>
    </Wide>
  );
}
