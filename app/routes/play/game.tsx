import { Fragment } from 'react';
import { data } from 'react-router';
import styled from 'styled-components';
import { open } from '~/core/own/open';
import { sheetLines } from '~/core/pack/instructions';
import { hearing } from '~/core/games/kit/hearing';
import { NUMBERED_PARTS, placesOf, STEP_PARTS, type StepPart } from '~/core/games/kit/types';
import { catalogueOf } from '~/core/materials/school';
import { FAMILY_WORDS, type FamilyMessage } from '~/core/words/family';
import { nameOf, say } from '~/core/words/reading';
import { listMaterials } from '~/data/queries/materials';
import { checkedLanguages } from '~/data/queries/words';
import { stateNow } from '~/server/kits/held';
import { familyPage, shownOf } from '~/server/play';
import { recipeOf } from '~/server/threads';
import { color } from '~/app/ui/theme';
import type { PageHandle } from '~/app/root';
import { familyButton, FamilyFrame, FamilyNote, familyWords } from './FamilyPage';
import type { Shape } from '~/core/paper/sheet';
import { GameDrawing } from '~/app/game/SheetView';
import type { Route } from './+types/game';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title:
      loaderData && 'games' in loaderData
        ? loaderData.games.map((game) => game.name).join(', ')
        : 'Fern Basket',
  },
  { name: 'robots', content: 'noindex' },
];

export async function loader({ request, params, context }: Route.LoaderArgs) {
  const page = await familyPage(request, params.linkKey, context.clientAddress);
  const { language, reading } = page;
  const frame = shownOf(page, `/p/${params.linkKey}`);
  if (page.refused) return data({ ...frame, refused: page.refused }, { status: page.status });
  const school = await listMaterials(page.at);
  const [recipe, { holds, verdict }] = await Promise.all([
    recipeOf({ plan: page.copy.plan, school }),
    stateNow(page.at, page.copy),
  ]);
  // As it is played with what the bag holds now.
  const variants = recipe.variants.map(({ variant }, i) => {
    const change = verdict?.games[i]?.change;
    return open(change ? { ...variant, params: change } : variant);
  });
  const checked = await checkedLanguages(
    page.at,
    variants.map((variant) => ({ ...variant.game, lines: sheetLines(variant) })),
  );
  const shown = {
    ...frame,
    others: page.others,
    contact: page.contact,
    mayAnswer: page.loanId !== undefined,
    parts: page.copy.parts
      .filter((part) => part.material !== 'instruction-sheet')
      .map((part) => ({ ...part, quantity: holds[part.material] ?? part.quantity }))
      .filter((part) => part.quantity > 0)
      .map((part) => say(reading, catalogueOf(school).words, part.material, { quantity: part.quantity })),
    games: recipe.variants.map(({ reckoning, players }, i) => {
      const judged = verdict?.games[i];
      // A bag that lacks parts tells its games so that they play with what is there.
      const variant = variants[i]!;
      const { game } = variant;
      return {
        name: nameOf(game, reading),
        goal: say(reading, game.words, 'goal', variant.about()),
        minutes: reckoning.length.minutes.mean,
        players,
        note:
          judged?.verdict === 'doesNotPlay'
            ? ('rests' as const)
            : judged?.verdict === 'playsWithNote'
              ? ('toldAnew' as const)
              : undefined,
        unchecked: language !== 'en' && !checked[game.id]?.includes(language),
        places: placesOf(game).map((id) => say(reading, FAMILY_WORDS, id)),
        car: game.traits.places.includes('car') ? say(reading, FAMILY_WORDS, 'inTheCar') : undefined,
        heard: hearing(reckoning.practice).map(({ id, args }) => say(reading, FAMILY_WORDS, id, args)),
        steps: variant.steps().map((step) => ({
          part: step.part,
          show: step.show,
          text: say(reading, game.words, step.id, step.args),
          sketch: variant.picture(step),
        })),
      };
    }),
  };
  return data(shown, { headers: page.headers });
}

const Section = styled.section`
  margin-top: 1.5rem;
  .sketch {
    display: block;
    margin-top: 0.4rem;
  }
  ol,
  ul {
    margin-top: 0.4rem;
    display: grid;
    gap: 0.7rem;
  }
  li {
    display: grid;
    grid-template-columns: 2.4rem minmax(0, 1fr);
    gap: 0.6rem;
    align-items: start;
  }
  .number {
    display: grid;
    place-items: center;
    width: 2.3rem;
    height: 2.3rem;
    background: ${color.sprout};
    border-radius: 50% 50% 50% 6px;
    font-weight: 700;
    color: ${color.deepFern};
  }
  .show {
    display: block;
    font-size: 1rem;
    color: ${color.faint};
  }
`;
const Plain = styled.ul`
  && li {
    grid-template-columns: 1rem minmax(0, 1fr);
  }
  li::before {
    content: '';
    width: 0.55rem;
    height: 0.55rem;
    margin-top: 0.6rem;
    border-radius: 50% 50% 50% 2px;
    background: ${color.fern};
  }
`;
const Answer = styled.a`
  ${familyButton}
  margin-top: 2rem;
`;

export default function Game({ loaderData }: Route.ComponentProps) {
  const { language, reading, path, languages } = loaderData;
  const words = familyWords(reading);
  if ('refused' in loaderData) {
    return (
      <FamilyFrame reading={reading} path={path} languages={languages}>
        <h1>Fern Basket</h1>
        <FamilyNote>{words(`refuse.${loaderData.refused}`)}</FamilyNote>
      </FamilyFrame>
    );
  }
  const { games, parts, mayAnswer, others, contact } = loaderData;
  return (
    <FamilyFrame reading={reading} path={path} languages={languages}>
      {games.map((game) => (
        <article key={game.name + game.goal}>
          <h1>{game.name}</h1>
          <p>{game.goal}</p>
          <p>
            {words('players', { players: game.players })} · {words('minutes', { minutes: game.minutes })}
          </p>
          <p>{game.places.join(' · ')}</p>
          {game.note && <FamilyNote>{words(`lacks.${game.note}`)}</FamilyNote>}
          {game === games[0] && (
            <Section>
              <h2>{words('inBag')}</h2>
              <Plain>
                {parts.map((part) => (
                  <li key={part}>
                    <span>{part}</span>
                  </li>
                ))}
              </Plain>
            </Section>
          )}
          <Steps steps={game.steps} heard={game.heard} car={game.car} words={words} />
          {game.unchecked && <p style={{ marginTop: '1rem', fontSize: '1rem' }}>{words('unchecked')}</p>}
        </article>
      ))}
      <p style={{ marginTop: '1.5rem' }}>{words('backToSchool')}</p>
      {contact && <p style={{ marginTop: '0.5rem' }}>{words('reachUs', { contact })}</p>}
      {mayAnswer ? (
        <Answer href={`${path}/answer?lang=${language}`}>{words('tell')}</Answer>
      ) : (
        <FamilyNote>{words(others ? 'refuse.others' : 'refuse.notOut')}</FamilyNote>
      )}
      {others && (
        <p style={{ marginTop: '1rem' }}>
          <a href={`${path}?lang=${language}&now=1`}>{words('haveItNow')}</a>
        </p>
      )}
    </FamilyFrame>
  );
}

interface ShownStep {
  part: StepPart;
  show?: 'pieces' | 'drawing' | 'symbols';
  text: string;
  sketch?: readonly Shape[];
}

function Steps({
  steps,
  heard,
  car,
  words,
}: {
  steps: ShownStep[];
  heard: string[];
  car?: string;
  words: (id: FamilyMessage) => string;
}) {
  // Numbers run on through getting ready, playing and finishing.
  const before = (part: StepPart): number =>
    steps.filter(
      (step) => NUMBERED_PARTS.has(step.part) && STEP_PARTS.indexOf(step.part) < STEP_PARTS.indexOf(part),
    ).length;
  return STEP_PARTS.map((part) => {
    const own = steps.filter((step) => step.part === part);
    if (own.length === 0) return null;
    return (
      <Fragment key={part}>
        {part === 'say' && heard.length > 0 && (
          <Section>
            <h2>{words('part.hear')}</h2>
            <Plain>
              {heard.map((text) => (
                <li key={text}>
                  <span>{text}</span>
                </li>
              ))}
            </Plain>
          </Section>
        )}
        <Section>
          <h2>{words(`part.${part}`)}</h2>
          {NUMBERED_PARTS.has(part) ? (
            <ol>
              {own.map((step, i) => (
                <li key={step.text}>
                  <span className="number">{before(part) + i + 1}</span>
                  <span>
                    {step.text}
                    {step.show && <span className="show">{words(`show.${step.show}`)}</span>}
                    {step.sketch && (
                      <span className="sketch">
                        <GameDrawing shapes={step.sketch} width={150} />
                      </span>
                    )}
                  </span>
                </li>
              ))}
            </ol>
          ) : (
            <Plain>
              {own.map((step) => (
                <li key={step.text}>
                  <span>{step.text}</span>
                </li>
              ))}
              {part === 'atHome' && car && (
                <li>
                  <span>{car}</span>
                </li>
              )}
            </Plain>
          )}
        </Section>
      </Fragment>
    );
  });
}
