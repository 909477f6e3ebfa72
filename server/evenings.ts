/** Evenings: who can be expected, which games stand at the tables, who plays where. */
import { askedOf, coming, type EveningPlan, type Invited, type Solved } from '~/core/evening/plan';
import { gamesForTables, type TablesFound } from '~/core/evening/tables';
import type { AgeBand } from '~/core/games/kit/types';
import { findGame, SHELF } from '~/core/games/shelf';
import { readChildren } from '~/core/lending/children';
import { bandOf } from '~/core/listening/meaning';
import { nameOf } from '~/core/words/reading';
import type { SchoolHandle } from '~/data/db';
import { toInvite } from '~/data/queries/evenings';
import { offeredGames, rotationOf } from './threads';

/** The families of a school by home language and grade: a family stands in the middle of its children. */
export async function invitedOf(at: SchoolHandle): Promise<Invited[]> {
  const rows = await toInvite(at);
  const counted = new Map<string, Invited>();
  for (const { language, children } of rows) {
    const read = readChildren(children);
    const band = bandOf(read.ok ? read.children : []);
    const key = `${language} ${band}`;
    const there = counted.get(key) ?? { language, band, families: 0 };
    counted.set(key, { ...there, families: there.families + 1 });
  }
  return [...counted.values()].sort((a, b) => b.families - a.families);
}

export const expectedOf = (invited: readonly Invited[], come: number) =>
  coming(
    invited.reduce((sum, { families }) => sum + families, 0),
    come,
  );

/** Games for so many tables, for the groups of a plan. Throws RangeError where there are too few. */
export async function gamesFor(plan: EveningPlan, tables: number): Promise<TablesFound> {
  const bands = new Map<AgeBand, number>();
  for (const { band, size } of plan.groups) bands.set(band, (bands.get(band) ?? 0) + size);
  return gamesForTables({
    games: await offeredGames(),
    expected: [...bands].map(([band, children]) => ({ band, children })),
    tables,
    roundMinutes: plan.roundMinutes,
  });
}

/** The games that a table can have, setting by setting: their ids and names. */
export const tableGames = (): { id: string; name: string }[] =>
  SHELF.flatMap((game) =>
    game.presets.map(({ id, name }) => ({ id: `${game.id} ${id}`, name: `${nameOf(game)}, ${name}` })),
  );
/** The game with the setting that such an id names. */
export function tableGame(id: string): NonNullable<EveningPlan['tables'][number]['game']> | undefined {
  const [gameId = '', presetId = ''] = id.split(' ');
  const game = findGame(gameId);
  const preset = game?.presets.find((one) => one.id === presetId);
  return game && preset
    ? { gameId, name: `${nameOf(game)}, ${preset.name}`, params: preset.params, ageBand: preset.ageBand }
    : undefined;
}

/** Solves a plan; nothing where nobody comes yet, or there is no table. */
export async function solvedOf(plan: EveningPlan): Promise<Solved | null> {
  if (plan.groups.length === 0 || plan.tables.length === 0) return null;
  const found = await rotationOf(askedOf(plan));
  return found.ok ? { rotation: found.rotation } : { why: found.why };
}
