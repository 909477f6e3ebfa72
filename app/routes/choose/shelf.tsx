import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { gameFor, type GameRef } from '~/core/own/open';
import {
  ANYTHING,
  lacking,
  meeting,
  type PresetEntry,
  type ShelfEntry,
  type Wish,
} from '~/core/games/shelf/catalogue';
import { SKILLS } from '~/core/games/kit/skills';
import { AGE_BANDS, GAME_FAMILIES, PLACES, type GameFamily } from '~/core/games/kit/types';
import { isClosed } from '~/core/own/closed';
import { ownGameId, storedId } from '~/core/own/ids';
import { nameOf, say, ENGLISH } from '~/core/words/reading';
import { count } from '~/core/words/numbers';
import { listOwnGames } from '~/data/queries/games';
import { freeNow } from '~/data/queries/store';
import { listVariants } from '~/data/queries/kits';
import { ownEntry, shelfEntries } from '~/server/games/shelf';
import { requireRole } from '~/server/people/session';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Row, Panel, Stack, Wide } from '~/app/ui/Page';
import { useRemembered } from '~/app/ui/remember';
import { GameDrawing } from '~/app/game/SheetView';
import { color } from '~/app/ui/theme';
import type { Route } from './+types/shelf';

export const meta: Route.MetaFunction = () => [{ title: 'Choose · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const [ownGames, saved, atHand, shipped] = await Promise.all([
    listOwnGames(at),
    listVariants(at),
    freeNow(at),
    shelfEntries(),
  ]);
  const own = ownGames.map(({ id, definition }): GameRef => ({
    gameId: ownGameId(id),
    own: definition,
  }));
  // What cannot be opened is never hidden by a wish: somebody should look after it.
  const shut = own
    .map(gameFor)
    .filter(isClosed)
    .map((game) => ({ gameId: game.id, name: nameOf(game), why: say(ENGLISH, game.words, 'goal') }));
  const open = own.filter(({ gameId }) => !shut.some((one) => one.gameId === gameId));
  const entries = [...shipped, ...(await Promise.all(open.map(ownEntry)))];
  const variants = saved.map(({ id, gameId, name, ageBand, own: definition }) => ({
    id,
    gameId,
    name,
    ageBand,
    game: nameOf(gameFor({ gameId, own: definition })),
  }));
  return { entries, shut, variants, atHand };
}

const Plank = styled.section`
  display: grid;
  grid-template-columns: 9.5rem minmax(0, 1fr);
  gap: 0 1.2rem;
  align-items: end;
  h2 {
    font-size: 1.15rem;
    text-align: end;
    padding-bottom: 5.2rem;
  }
  ul {
    display: flex;
    flex-wrap: wrap;
  }
  @media (max-width: 820px) {
    grid-template-columns: minmax(0, 1fr);
    h2 {
      text-align: start;
      padding: 0;
    }
  }
`;
const Standing = styled.li`
  width: 187px;
  a {
    display: grid;
    height: 100%;
    grid-template-rows: 100px 1fr;
    color: ${color.ink};
    text-decoration: none;
  }
  .thing {
    display: grid;
    place-items: end center;
    border-bottom: 7px solid #c9a862;
  }
  .label {
    padding: 0.35rem 0.5rem 0.9rem;
    line-height: 1.35;
  }
  strong {
    display: block;
    color: ${color.deepFern};
    font-size: 1.05rem;
  }
  a:hover .label,
  a:focus-visible .label {
    background: ${color.sprout};
  }
  .lacks {
    color: #8a3816;
  }
`;
const Narrow = styled.form`
  .wishes {
    display: grid;
    grid-template-columns: 1.3fr 1.4fr repeat(4, minmax(0, 1fr));
    gap: 0.7rem 1rem;
    align-items: end;
  }
  select {
    width: 100%;
    min-width: 0;
  }
  @media (max-width: 1000px) {
    .wishes {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
  }
`;
const Strips = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 0.5rem;
  a {
    display: block;
    padding: 0.5rem 0.8rem;
    border-inline-start: 5px solid ${color.straw};
    background: ${color.sheet};
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

const MINUTES = [5, 8, 10, 15, 20];
const any = (label: string) => ({ value: '', label });

export default function Shelf({ loaderData }: Route.ComponentProps) {
  const { entries, shut, variants, atHand } = loaderData;
  // What was wished for is still there when she comes back from a bench.
  const { value: kept, set: keep } = useRemembered<Wish>('shelf', ANYTHING, (found) => ({
    ...ANYTHING,
    ...found,
  }));
  const [text, setText] = useState('');
  const wish: Wish = { ...kept, text };
  const navigate = useNavigate();
  const change = (next: Partial<Wish>): void => keep((old) => ({ ...old, ...next }));
  const showAll = (): void => {
    keep(ANYTHING);
    setText('');
  };
  const found = entries
    .map((entry) => ({ entry, presets: meeting(entry, wish, atHand) }))
    .filter(({ presets }) => presets.length > 0);
  const narrowed = JSON.stringify(wish) !== JSON.stringify(ANYTHING);
  const first = found[0];
  return (
    <Wide>
      <Stack $gap="1.3rem">
        <Heading
          title="Choose a game"
          action={
            <Row $gap="0.5rem">
              <ButtonLink quiet href="/choose/deck">
                Check a donated deck
              </ButtonLink>
              <ButtonLink quiet href="/choose/compare">
                Lay two side by side
              </ButtonLink>
              <ButtonLink quiet href="/choose/own/new">
                Make a game of your own
              </ButtonLink>
            </Row>
          }
        >
          What should a child practise next?
        </Heading>
        <Panel aria-label="Narrow the shelf">
          <Narrow
            onSubmit={(event) => {
              event.preventDefault();
              if (first) void navigate(`/choose/${first.entry.gameId}?preset=${first.presets[0]!.id}`);
            }}
          >
            <div className="wishes">
              <TextBox
                name="text"
                label="Name, in either language"
                inputType="search"
                value={wish.text}
                onChange={setText}
                autoFocus
              />
              <Pick
                name="skill"
                label="Skill"
                value={wish.skill}
                onChange={(skill) => change({ skill: skill as Wish['skill'] })}
                options={[any('any skill'), ...SKILLS.map((skill) => ({ value: skill, label: skill }))]}
              />
              <Pick
                name="ageBand"
                label="Grade band"
                value={wish.ageBand}
                onChange={(ageBand) => change({ ageBand: ageBand as Wish['ageBand'] })}
                options={[
                  any('any grade'),
                  ...Object.entries(AGE_BANDS).map(([value, label]) => ({ value, label })),
                ]}
              />
              <Pick
                name="minutes"
                label="Minutes"
                value={wish.minutes ? String(wish.minutes) : ''}
                onChange={(minutes) => change({ minutes: Number(minutes) })}
                options={[
                  any('any length'),
                  ...MINUTES.map((n) => ({ value: String(n), label: `at most ${n}` })),
                ]}
              />
              <Pick
                name="players"
                label="Players"
                value={wish.players ? String(wish.players) : ''}
                onChange={(players) => change({ players: Number(players) })}
                options={[
                  any('any number'),
                  { value: '1', label: 'alone' },
                  ...[2, 3, 4, 5].map((n) => ({ value: String(n), label: String(n) })),
                ]}
              />
              <Pick
                name="place"
                label="Place"
                value={wish.place}
                onChange={(place) => change({ place: place as Wish['place'] })}
                options={[
                  any('anywhere'),
                  ...Object.entries(PLACES).map(([value, label]) => ({ value, label })),
                ]}
              />
            </div>
            <Row $gap="0 1.6rem" style={{ alignItems: 'center', marginTop: '0.5rem' }}>
              <TickBox isSelected={wish.atHand} onChange={(atHand) => change({ atHand })}>
                parts at hand
              </TickBox>
              <TickBox isSelected={wish.byVideo} onChange={(byVideo) => change({ byVideo })}>
                works by video call
              </TickBox>
              <TickBox isSelected={wish.quiet} onChange={(quiet) => change({ quiet })}>
                quiet
              </TickBox>
              <TickBox isSelected={wish.noReading} onChange={(noReading) => change({ noReading })}>
                no reading needed
              </TickBox>
              {wish.atHand && (
                <NumberBox
                  name="copies"
                  label="Copies"
                  value={wish.copies}
                  min={1}
                  max={99}
                  onChange={(copies) => change({ copies })}
                />
              )}
              <Link to="/fill/store">What is in the store ({Object.keys(atHand).length})</Link>
              <span aria-live="polite" style={{ marginInlineStart: 'auto' }}>
                <strong>{count(found.length, 'game')}</strong>
              </span>
              {narrowed && (
                <Button quiet onPress={showAll}>
                  Show all games
                </Button>
              )}
            </Row>
            <button type="submit" hidden aria-hidden tabIndex={-1} />
          </Narrow>
        </Panel>
        {found.length === 0 && (
          <Empty title="No game is like that" action={<Button onPress={showAll}>Show all games</Button>}>
            Take one wish back: the grade band or the minutes are often the ones that are too narrow.
          </Empty>
        )}
        {(Object.keys(GAME_FAMILIES) as GameFamily[]).map((family) => {
          const here = found.filter(({ entry }) => entry.family === family);
          return (
            here.length > 0 && (
              <Plank key={family} aria-labelledby={family}>
                <h2 id={family}>{GAME_FAMILIES[family]}</h2>
                <ul>
                  {here.map(({ entry, presets }) => (
                    <OnShelf
                      key={entry.gameId}
                      entry={entry}
                      preset={presets[0]!}
                      lacks={
                        wish.atHand || Object.keys(atHand).length === 0 ? [] : lacking(presets[0]!, atHand)
                      }
                    />
                  ))}
                </ul>
              </Plank>
            )
          );
        })}
        {shut.length > 0 && (
          <Said kind="mind" word="Cannot be opened">
            <ul>
              {shut.map(({ gameId, name, why }) => (
                <li key={gameId}>
                  <Link to={`/choose/own/${storedId(gameId)}`}>{name}</Link>: {why}
                </li>
              ))}
            </ul>
          </Said>
        )}
        <Stack $gap="0.6rem">
          <h2>Your variants</h2>
          {variants.length === 0 ? (
            <Empty
              title="No variant saved yet"
              action={<ButtonLink href={`/choose/${entries[0]!.gameId}`}>Open the first game</ButtonLink>}
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
                    {variant.game}, {AGE_BANDS[variant.ageBand]}
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

/** A game as it stands on its plank, with its minutes and skills as computed for the preset that was asked for. */
function OnShelf({
  entry: { gameId, name, drawing },
  preset,
  lacks,
}: {
  entry: ShelfEntry;
  preset: PresetEntry;
  lacks: string[];
}) {
  const catalogue = useCatalogue();
  return (
    <Standing>
      <Link
        to={`/choose/${gameId}?preset=${preset.id}`}
        aria-labelledby={`${gameId}-name`}
        aria-describedby={`${gameId}-about`}
      >
        <span className="thing">
          <GameDrawing shapes={drawing} width={150} />
        </span>
        <span className="label">
          <strong id={`${gameId}-name`}>{name}</strong>
          <span id={`${gameId}-about`}>
            {count(preset.minutes, 'minute')}, {AGE_BANDS[preset.ageBand]}
            <br />
            {preset.skills.slice(0, 2).join(', ')}
          </span>
          {lacks.length > 0 && (
            <Faint as="span" className="lacks" style={{ display: 'block' }}>
              to get: {lacks.map((id) => catalogue.of(id).plural).join(', ')}
            </Faint>
          )}
        </span>
      </Link>
    </Standing>
  );
}
