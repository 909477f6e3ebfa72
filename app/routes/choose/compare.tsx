import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { check } from '~/core/games/kit/check';
import type { Knob } from '~/core/games/kit/knobs';
import { SHELF } from '~/core/games/shelf';
import { gameFor, type GameRef } from '~/core/own/open';
import { readJson } from '~/core/check/keepable';
import {
  AGE_BANDS,
  assume,
  type AgeBand,
  type Params,
  type ParamValue,
  type Reckoning,
} from '~/core/games/kit/types';
import { materialOf } from '~/core/materials/catalogue';
import { ownGameId } from '~/core/own/ids';
import { nameOf } from '~/core/words/reading';
import { plain } from '~/core/words/numbers';
import type { SchoolHandle } from '~/data/db';
import { listOwnGames } from '~/data/queries/games';
import { findVariant, listVariants } from '~/data/queries/kits';
import { requireGame } from '~/server/games/find';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { reckoningOf } from '~/server/threads';
import { notFound } from '~/server/refusals';
import { ButtonLink } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields';
import { LengthRibbon } from '~/app/game/LengthRibbon';
import { Notices } from '~/app/ui/Notices';
import { Faint, Heading, Row, Panel, Stack, TableFrame, Wide } from '~/app/ui/Page';
import { roomOf, shown } from '~/app/game/Reckonings';
import { GameDrawing } from '~/app/game/SheetView';
import { color } from '~/app/ui/theme';
import { OnceAlive } from '~/app/ui/OnceAlive';
import { useReckoning } from '~/app/game/useReckoning';
import { Weave } from '~/app/game/Weave';
import type { Route } from './+types/compare';

export const meta: Route.MetaFunction = () => [{ title: 'Side by side · Fern Basket' }];

interface Side {
  key: string;
  ref: GameRef;
  label: string;
  ageBand: AgeBand;
  params: Params;
}

const presetKey = (gameId: string, presetId: string): string => `preset:${gameId}:${presetId}`;

/** A side of the comparison by its address: a preset, a saved variant, or a setting as it lies on a bench. */
async function sideOf(at: SchoolHandle, key: string): Promise<Side> {
  const [kind, id = '', ...rest] = key.split(':');
  const more = rest.join(':');
  if (kind === 'variant') {
    const variant = isId(id) ? await findVariant(at, id) : undefined;
    if (!variant) throw notFound('This variant');
    const { gameId, own, ageBand, params, name } = variant;
    return { key, ref: { gameId, own }, label: `“${name}”`, ageBand, params };
  }
  const ref = await requireGame(at, id);
  const game = gameFor(ref);
  if (kind === 'set') {
    let input: unknown;
    try {
      input = readJson(more);
    } catch {
      throw notFound('This setting');
    }
    const checked = check(game, input);
    if (!checked.ok) throw notFound('This setting');
    return {
      key,
      ref,
      label: 'as it lies on the bench',
      ageBand: game.presets[0]!.ageBand,
      params: checked.value.params,
    };
  }
  const preset = game.presets.find((one) => one.id === more);
  if (!preset) throw notFound('This preset');
  const label = [preset.name, preset.tradition && `where ${preset.tradition}`].filter(Boolean).join(', ');
  return { key, ref, label, ageBand: preset.ageBand, params: preset.params };
}

/** Another preset of the same game, one of another tradition first. */
function counterpart(side: Side): string {
  const game = gameFor(side.ref);
  const now = game.presets.find((preset) => side.key === presetKey(game.id, preset.id));
  const others = game.presets.filter((preset) => preset !== now);
  const other =
    others.find((preset) => preset.tradition !== now?.tradition && preset.name === now?.name) ??
    others.find((preset) => preset.tradition !== now?.tradition) ??
    others[0];
  return other ? presetKey(game.id, other.id) : side.key;
}

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const search = new URL(request.url).searchParams;
  const a = await sideOf(at, search.get('a') ?? presetKey(SHELF[0]!.id, SHELF[0]!.presets[1]!.id));
  const b = await sideOf(at, search.get('b') ?? counterpart(a));
  const own = (await listOwnGames(at)).map(({ id, definition }) =>
    gameFor({ gameId: ownGameId(id), own: definition }),
  );
  const options = [...SHELF, ...own].flatMap((game) =>
    game.presets.map((preset) => ({
      value: presetKey(game.id, preset.id),
      label: `${nameOf(game)}: ${preset.name}${preset.tradition ? ` (${preset.tradition})` : ''}`,
    })),
  );
  const variants = (await listVariants(at)).map(({ id, name }) => ({
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

interface Line {
  what: string;
  of: [string, string];
}

/** How a parameter's value is read. */
function read(knob: Knob, value: ParamValue): string {
  const label = (one: string | number): string =>
    'options' in knob
      ? (knob.options.find((option) => option.value === String(one))?.label ?? String(one))
      : String(one);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length ? value.map(label).join(', ') : 'none';
  if (typeof value === 'object') {
    const pair = value as Readonly<Record<string, number>>;
    return 'w' in pair ? `${pair.w} × ${pair.h}` : `${pair.from} to ${pair.to}`;
  }
  return label(value as string | number);
}

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
  const lines = linesOf(sides, games, [left, right]);
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

const NONE = '–';

/** Line by line: settings, length, practice, room, figures and parts of both. */
function linesOf(
  sides: readonly [Side, Side],
  games: readonly { knobs: readonly Knob[] }[],
  reckonings: readonly [Reckoning, Reckoning],
): Line[] {
  const both = (what: string, of: (reckoning: Reckoning) => string): Line => ({
    what,
    of: [of(reckonings[0]), of(reckonings[1])],
  });
  const union = (of: (i: 0 | 1) => string[]): string[] => [...new Set([...of(0), ...of(1)])];
  const knobsOf = games.map(({ knobs }) => knobs);
  const settings = union((i) => knobsOf[i]!.map((knob) => knob.title)).map((title): Line => {
    const value = (i: 0 | 1): string => {
      const knob = knobsOf[i]!.find((one) => one.title === title);
      return knob ? read(knob, sides[i].params[knob.name]!) : NONE;
    };
    return { what: title, of: [value(0), value(1)] };
  });
  const figures = union((i) => reckonings[i].explained.map((figure) => figure.name)).map((name): Line => {
    const of = (i: 0 | 1) => reckonings[i].explained.find((figure) => figure.name === name);
    const value = (i: 0 | 1): string => {
      const figure = of(i);
      if (!figure) return NONE;
      const { number, unit } = shown(figure);
      return `${number} ${unit}`.trim();
    };
    return { what: (of(0) ?? of(1))!.label, of: [value(0), value(1)] };
  });
  const parts = union((i) => reckonings[i].parts.map((part) => part.material)).map((material): Line => {
    const value = (i: 0 | 1): string => {
      const part = reckonings[i].parts.find((one) => one.material === material);
      return part ? plain(part.enough) : NONE;
    };
    return { what: `Enough ${materialOf(material).plural}`, of: [value(0), value(1)] };
  });
  const lines = [
    both('Minutes of one play', ({ length }) => `${length.minutes.mean}; 90 in 100 by ${length.minutes.p90}`),
    both('Practises', ({ skills }) => skills.join(', ')),
    both('Players and room', roomOf),
    ...settings,
    ...figures,
    ...parts,
  ];
  // A setting and a figure may have the same name; each line keeps its own.
  return lines.filter((line, i) => lines.findIndex((one) => one.what === line.what) === i);
}
