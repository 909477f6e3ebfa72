import { Link } from 'react-router';
import { AGE_BANDS } from '~/core/games/kit/types';
import { findFamily } from '~/data/queries/families';
import { noteLook } from '~/data/queries/privacy';
import { isId } from '~/server/ids';
import { heard } from '~/server/listening/heard';
import { schoolWords, standingsOf } from '~/server/listening/levels';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { LevelRuler } from '~/app/desk/LevelRuler';
import { ListenWays } from '~/app/desk/ListenWays';
import { ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import {
  Empty,
  Entered,
  Entries,
  Faint,
  Heading,
  Margin,
  Panel,
  Stack,
  State,
  Workplace,
} from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/family';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `The next bag of ${loaderData?.family.name ?? 'a family'} · Fern Basket` },
];

const LAST = 6;

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator');
  const family = isId(params.familyId) ? await findFamily(at, params.familyId) : undefined;
  if (!family) throw notFound('This family');
  const [people, said, words] = await Promise.all([
    standingsOf(at, family),
    heard(at, { familyId: family.id, first: 0, most: LAST }),
    schoolWords(at),
    noteLook(at, family.id, personId, 'level'),
  ]);
  return {
    family: { id: family.id, name: family.name },
    people: people.map((one) => ({
      ...one,
      next: one.next.map((bag) => ({ ...bag, asks: words.asks[bag.variant]! })),
    })),
    said,
  };
}

export default function NextBag({ loaderData }: Route.ComponentProps) {
  const { family, people, said } = loaderData;
  return (
    <Workplace>
      <Stack>
        <ListenWays />
        <Heading
          title={`The next bag of ${family.name}`}
          action={
            <ButtonLink quiet href={`/lend/families/${family.id}`}>
              Open their page
            </ButtonLink>
          }
        >
          Where are the children, and which game would be just right for them?
        </Heading>
        {people.map(({ child, band, standing, next, mend }) => {
          const name = child || 'The children together';
          return (
            <Panel key={name} aria-label={name}>
              <Stack $gap="0.7rem">
                <h2>
                  {name}, {AGE_BANDS[band]}
                </h2>
                <LevelRuler
                  {...standing}
                  label={`${name}: ${standing.sentence}`}
                  asks={next.map((bag) => ({ label: bag.name, level: bag.asks }))}
                />
                <p>{standing.sentence}</p>
                {mend && (
                  <Said
                    kind="know"
                    word="The one they had"
                    action={
                      <ButtonLink quiet href={`/choose/${mend.gameId}`}>
                        Open the game bench
                      </ButtonLink>
                    }
                  >
                    {mend.name}: {mend.label.toLowerCase()}, and it is just right with{' '}
                    {Math.round(mend.justRight * 100)} in 100 instead of {Math.round(mend.before * 100)}.
                  </Said>
                )}
                {next.length === 0 ? (
                  <Empty title="No other bag for them now">
                    They have had every game that is safe for them and worded in their language.
                  </Empty>
                ) : (
                  <Table
                    label={`What would be just right for ${name}`}
                    rows={next}
                    rowKey={({ variant }) => variant}
                    columns={[
                      {
                        head: 'Game',
                        cell: ({ name: of, gameName }) => (
                          <>
                            <strong>{of}</strong>
                            <br />
                            <Faint as="span">{gameName}</Faint>
                          </>
                        ),
                      },
                      { head: 'Why', cell: ({ why }) => why },
                      {
                        head: 'In the bag',
                        cell: ({ kits }) =>
                          kits.map((kit) => (
                            <p key={kit.id}>
                              {kit.name}{' '}
                              {kit.home > 0 ? (
                                <State tone="calm">{kit.home} at school</State>
                              ) : (
                                <State tone="wait">all out</State>
                              )}
                            </p>
                          )),
                      },
                    ]}
                  />
                )}
              </Stack>
            </Panel>
          );
        })}
      </Stack>
      <Margin label="What they said">
        <Entries>
          <Entered
            label="Answers"
            number={String(said.found)}
            unit={said.found === 1 ? 'answer' : 'answers'}
            reason={<Link to={`/listen?family=${family.id}`}>Read what they said</Link>}
          />
        </Entries>
        {said.voices.map((voice) => (
          <p key={voice.id}>
            <Faint as="span">{voice.at}:</Faint>{' '}
            {voice.games
              .filter(({ said: word }) => word)
              .map(({ name, said: word, child }) => `${name} ${word!.word}${child ? ` (${child})` : ''}`)
              .join(', ') || 'no word on a game'}
          </p>
        ))}
        <Faint>It helps to choose a game; it is no test of a child.</Faint>
      </Margin>
    </Workplace>
  );
}
