import { Link } from 'react-router';
import styled from 'styled-components';
import { SHELF } from '~/core/games';
import { AGE_BANDS, assume, type Game, type Preset } from '~/core/games/types';
import { say } from '~/core/words/message';
import { count } from '~/core/words/numbers';
import { listVariants } from '~/data/queries/kits';
import { requireRole } from '~/server/people/session';
import { ButtonLink } from '~/app/ui/Button';
import { Empty, Faint, Heading, Stack, Wide } from '~/app/ui/Page';
import { GameDrawing } from '~/app/ui/SheetView';
import { color, cut } from '~/app/ui/theme';
import type { Route } from './+types/shelf';

export const meta: Route.MetaFunction = () => [{ title: 'Choose · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  return { variants: await listVariants() };
}

const Board = styled.article`
  ${cut}
  display: grid;
  grid-template-columns: 170px minmax(0, 1fr);
  gap: 1.4rem;
  padding: 1.1rem 1.3rem;
  background: ${color.sheet};
  border: 1px solid ${color.line};
  border-bottom: 5px solid #c9a862;
`;
const Strips = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 0.5rem;
  a {
    display: block;
    padding: 0.5rem 0.8rem;
    border-inline-start: 5px solid ${color.straw};
    background: ${color.paper};
    color: ${color.ink};
    text-decoration: none;
    min-height: 44px;
  }
  a:hover {
    background: ${color.sprout};
  }
  strong {
    display: block;
    color: ${color.deepFern};
  }
`;

export default function Shelf({ loaderData }: Route.ComponentProps) {
  const { variants } = loaderData;
  return (
    <Wide>
      <Stack $gap="1.6rem">
        <Heading title="Choose a game">
          What should a child practise next? Open a game on its bench, turn its knobs, and save it as you want
          it.
        </Heading>
        {SHELF.map((game) => (
          <GameBoard key={game.id} game={game} />
        ))}
        <Stack $gap="0.6rem">
          <h2>Your variants</h2>
          {variants.length === 0 ? (
            <Empty
              title="No variant saved yet"
              action={<ButtonLink href={`/choose/${SHELF[0]!.id}`}>Open the first game</ButtonLink>}
            >
              A variant is a game with its knobs set, saved under a name of yours. Kits are filled with
              variants.
            </Empty>
          ) : (
            <Strips>
              {variants.map((variant) => (
                <li key={variant.id}>
                  <Link to={`/choose/${variant.gameId}?variant=${variant.id}`}>
                    <strong>{variant.name}</strong>
                    {say(SHELF.find((game) => game.id === variant.gameId)!.words, 'en', 'name')},{' '}
                    {AGE_BANDS[variant.ageBand]}
                  </Link>
                </li>
              ))}
            </Strips>
          )}
        </Stack>
      </Stack>
    </Wide>
  );
}

function GameBoard({ game }: { game: Game }) {
  const first = game.reckon(game.presets[0]!.params, assume(game.presets[0]!.ageBand));
  const schools = [...new Set(game.presets.map((preset) => preset.school ?? ''))];
  return (
    <Board>
      <GameDrawing shapes={game.drawing} width={170} />
      <Stack $gap="0.7rem">
        <div>
          <h2>
            <Link to={`/choose/${game.id}`}>{say(game.words, 'en', 'name')}</Link>
          </h2>
          <Faint>
            {first.players.fewest}–{first.players.most} players, {first.space.place}, also alone
          </Faint>
        </div>
        {schools.map((school) => (
          <Stack key={school} $gap="0.35rem">
            {school && <h3>Where {school}</h3>}
            <Strips>
              {game.presets
                .filter((preset) => (preset.school ?? '') === school)
                .map((preset) => (
                  <PresetStrip key={preset.id} game={game} preset={preset} />
                ))}
            </Strips>
          </Stack>
        ))}
      </Stack>
    </Board>
  );
}

function PresetStrip({ game, preset }: { game: Game; preset: Preset }) {
  const { length, skills } = game.reckon(preset.params, assume(preset.ageBand));
  return (
    <li>
      <Link to={`/choose/${game.id}?preset=${preset.id}`}>
        <strong>{preset.name}</strong>
        {count(length.minutes.mean, 'minute')}, {AGE_BANDS[preset.ageBand]}
        <br />
        {skills.join(', ')}
      </Link>
    </li>
  );
}
