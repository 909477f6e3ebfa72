import { data } from 'react-router';
import styled from 'styled-components';
import { open } from '~/core/own/open';
import { sheetLines } from '~/core/pack/instructions';
import { onPhone } from '~/core/pack/phone';
import { hearing } from '~/core/games/kit/hearing';
import { placesOf } from '~/core/games/kit/types';
import { catalogueOf } from '~/core/materials/school';
import { FAMILY_WORDS } from '~/core/words/family';
import { REMINDER_WORDS } from '~/core/words/reminders';
import { say } from '~/core/words/reading';
import { listMaterials } from '~/data/queries/materials';
import { heardVoices } from '~/data/queries/voices';
import { checkedLanguages } from '~/data/queries/words';
import { stateNow } from '~/server/kits/held';
import { familyPage, readAsOf, shownOf } from '~/server/play';
import { wordsFor } from '~/server/reply';
import { recipeOf } from '~/server/threads';
import { FamilyList, FamilySection, FamilySteps } from '~/app/game/FamilySteps';
import type { PageHandle } from '~/app/root';
import { color } from '~/app/ui/theme';
import { familyButton, FamilyFrame, FamilyNote, familyWords } from './FamilyPage';
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
  const frame = { ...shownOf(page, `/p/${params.linkKey}`), reading: wordsFor(reading) };
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
  const phones = variants.map((variant) => onPhone(variant, reading));
  const voices = await heardVoices(
    page.at,
    language,
    phones.flatMap(({ steps }) => steps.map(({ text }) => text)),
  );
  const shown = {
    ...frame,
    others: page.others,
    contact: page.contact,
    asOf: readAsOf(page.at, language),
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
        ...phones[i]!,
        steps: phones[i]!.steps.map((step) => {
          const voice = voices.get(step.text);
          return { ...step, voice: voice && `/p/${params.linkKey}/voice/${voice}` };
        }),
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
      };
    }),
  };
  return data(shown, { headers: page.headers });
}

const Answer = styled.a`
  ${familyButton}
  margin-top: 2rem;
`;

const Next = styled(Answer)`
  margin-top: 0.8rem;
  background: ${color.sheet};
  color: ${color.deepFern};
  border: 1.5px solid ${color.fern};
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
  const { games, parts, mayAnswer, others, contact, asOf } = loaderData;
  return (
    <FamilyFrame reading={reading} path={path} languages={languages}>
      {asOf && <FamilyNote>{words('asOf', { time: asOf })}</FamilyNote>}
      <span hidden data-say-listen={words('listen')} data-say-stop={words('stopListening')} />
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
            <FamilySection>
              <h2>{words('inBag')}</h2>
              <FamilyList>
                {parts.map((part) => (
                  <li key={part}>
                    <span>{part}</span>
                  </li>
                ))}
              </FamilyList>
            </FamilySection>
          )}
          <FamilySteps
            language={language}
            steps={game.steps}
            heard={game.heard}
            car={game.car}
            words={words}
          />
          {game.unchecked && <p style={{ marginTop: '1rem', fontSize: '1rem' }}>{words('unchecked')}</p>}
        </article>
      ))}
      <p style={{ marginTop: '1.5rem' }}>{words('backToSchool')}</p>
      {contact && <p style={{ marginTop: '0.5rem' }}>{words('reachUs', { contact })}</p>}
      {mayAnswer ? (
        <>
          <Answer href={`${path}/answer?lang=${language}`}>{words('tell')}</Answer>
          <Next href={`${path}/next?lang=${language}`}>{say(reading, REMINDER_WORDS, 'wish.title')}</Next>
        </>
      ) : (
        <FamilyNote>{words(others ? 'refuse.others' : 'refuse.notOut')}</FamilyNote>
      )}
      {others && (
        <p style={{ marginTop: '1rem' }}>
          <a href={`${path}?lang=${language}&now=1`}>{words('haveItNow')}</a>
        </p>
      )}
      <script src="/say-aloud.js" defer />
    </FamilyFrame>
  );
}
