import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { linesOf } from '~/core/games/kit/shown';
import { SHELF } from '~/core/games/shelf';
import { gameFor } from '~/core/own/open';
import { AGE_BANDS, assume } from '~/core/games/kit/types';
import { ownGameId } from '~/core/own/ids';
import { nameOf } from '~/core/words/reading';
import { listOwnGames } from '~/data/queries/games';
import { listVariants } from '~/data/queries/kits';
import { presetKey, sidesOf, type Side } from '~/server/games/sides';
import { requireRole } from '~/server/people/session';
import { reckoningOf } from '~/server/threads';
import { ButtonLink } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { LengthRibbon } from '~/app/game/LengthRibbon';
import { Notices } from '~/app/ui/Notices';
import { Faint, Heading, Row, Panel, Stack, TableFrame, Wide } from '~/app/ui/Page';
import { GameDrawing } from '~/app/game/SheetView';
import { color } from '~/app/ui/theme';
import { OnceAlive } from '~/app/ui/OnceAlive';
import { useReckoning } from '~/app/game/useReckoning';
import { Weave } from '~/app/game/Weave';
import type { Route } from './+types/compare';

export const meta: Route.MetaFunction = () => [{ title: 'Side by side · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const [[a, b], ownGames, saved] = await Promise.all([
    sidesOf(at, new URL(request.url).searchParams),
    listOwnGames(at),
    listVariants(at),
  ]);
  const own = ownGames.map(({ id, definition }) => gameFor({ gameId: ownGameId(id), own: definition }));
  const options = [...SHELF, ...own].flatMap((game) =>
    game.presets.map((preset) => ({
      value: presetKey(game.id, preset.id),
      label: `${nameOf(game)}: ${preset.name}${preset.tradition ? ` (${preset.tradition})` : ''}`,
    })),
  );
  const variants = saved.map(({ id, name }) => ({
    value: `variant:${id}`,
    label: `Your variant “${name}”`,
  }));
  const firstOf = ({ ref, params, ageBand }: Side) =>
    reckoningOf({ ref, params, assumptions: assume(ageBand) });
  const firsts = await Promise.all([firstOf(a), firstOf(b)]);
  const shown = ({ ref }: Side) => {
    const { id, knobs, drawing, ...game } = gameFor(ref);
    return { id, name: nameOf(game), knobs, drawing };
  };
  return { sides: [a, b] as const, games: [shown(a), shown(b)], firsts, options: [...variants, ...options] };
}

const Pair = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 1.2rem;
  @media (max-width: 820px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Table = styled(TableFrame)`
  th:not(:first-child),
  td:not(:first-child) {
    width: 38%;
  }
  tr.differs td {
    background: #faefcf80;
  }
  .mark {
    color: ${color.clay};
    font-weight: 700;
    margin-inline-end: 0.4rem;
  }
`;

export default function Compare({ loaderData }: Route.ComponentProps) {
  const { sides, games, firsts, options } = loaderData;
  const [a, b] = sides;
  const left = useReckoning(a.ref, a.params, assume(a.ageBand), { ...a, reckoning: firsts[0] }).reckoning!;
  const right = useReckoning(b.ref, b.params, assume(b.ageBand), { ...b, reckoning: firsts[1] }).reckoning!;
  const navigate = useNavigate();
  const go = (keys: readonly string[]): void =>
    void navigate(
      `/choose/compare?${keys.map((key, i) => `${'ab'[i]}=${encodeURIComponent(key)}`).join('&')}`,
    );
  const lines = linesOf(
    [
      { ...games[0]!, params: a.params },
      { ...games[1]!, params: b.params },
    ],
    [left, right],
  );
  const differing = lines.filter(({ of }) => of[0] !== of[1]).length;
  return (
    <Wide>
      <Stack>
        <Heading title="Two side by side">
          Where practitioners differ, or between two games: what changes, marked line by line.
        </Heading>
        <Pair>
          {sides.map((side, i) => {
            const reckoning = i === 0 ? left : right;
            const game = games[i]!;
            return (
              <Panel key={i} aria-label={i === 0 ? 'Left' : 'Right'}>
                <Stack $gap="0.8rem">
                  <Pick
                    name={i === 0 ? 'left' : 'right'}
                    label={i === 0 ? 'On the left' : 'On the right'}
                    value={side.key}
                    onChange={(key) => go(i === 0 ? [key, b.key] : [a.key, key])}
                    options={
                      options.some((option) => option.value === side.key)
                        ? options
                        : [{ value: side.key, label: `${game.name}: ${side.label}` }, ...options]
                    }
                  />
                  <Row style={{ alignItems: 'center', justifyContent: 'space-between' }}>
                    <div>
                      <h2>{game.name}</h2>
                      <Faint>
                        {side.label}, {AGE_BANDS[side.ageBand]}
                      </Faint>
                    </div>
                    <GameDrawing shapes={game.drawing} width={90} />
                  </Row>
                  <LengthRibbon length={reckoning.length} />
                  <OnceAlive height={320}>
                    <Weave practice={reckoning.practice} />
                  </OnceAlive>
                  <Notices notices={reckoning.notices.filter((notice) => notice.severity !== 'know')} />
                  <ButtonLink
                    quiet
                    href={
                      side.key.startsWith('variant:')
                        ? `/choose/${game.id}?variant=${side.key.slice(8)}`
                        : `/choose/${game.id}?preset=${side.key.split(':')[2]}`
                    }
                  >
                    Open it on its bench
                  </ButtonLink>
                </Stack>
              </Panel>
            );
          })}
        </Pair>
        <p role="status">
          <strong>
            {differing} of {lines.length} lines differ.
          </strong>
        </p>
        <Table>
          <table>
            <thead>
              <tr>
                <th>What</th>
                <th>Left</th>
                <th>Right</th>
              </tr>
            </thead>
            <tbody>
              {lines.map(({ what, of }) => {
                const differs = of[0] !== of[1];
                return (
                  <tr key={what} className={differs ? 'differs' : undefined}>
                    <td>
                      {differs && (
                        <span className="mark">
                          ≠<span className="visually-hidden"> differs: </span>
                        </span>
                      )}
                      {what}
                    </td>
                    <td>{of[0]}</td>
                    <td>{of[1]}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </Table>
      </Stack>
    </Wide>
  );
}
