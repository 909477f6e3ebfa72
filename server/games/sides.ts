/** The two sides of a comparison, by their addresses. */
import { check } from '~/core/games/kit/check';
import type { AgeBand, Params } from '~/core/games/kit/types';
import { SHELF } from '~/core/games/shelf';
import { readJson } from '~/core/check/keepable';
import { gameFor, type GameRef } from '~/core/own/open';
import type { SchoolHandle } from '~/data/db';
import { findVariant } from '~/data/queries/kits';
import { isId } from '../ids';
import { notFound } from '../refusals';
import { requireGame } from './find';

export interface Side {
  key: string;
  ref: GameRef;
  label: string;
  ageBand: AgeBand;
  params: Params;
}

/** The address of a preset. */
export const presetKey = (gameId: string, presetId: string): string => `preset:${gameId}:${presetId}`;

/** A side by its address: a preset, a saved variant, or a setting as it lies on a bench. Throws a 404 page. */
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

/** Both sides; what nobody chose is the first game's usual setting, and what it is compared with best. */
export async function sidesOf(at: SchoolHandle, search: URLSearchParams): Promise<readonly [Side, Side]> {
  const a = await sideOf(at, search.get('a') ?? presetKey(SHELF[0]!.id, SHELF[0]!.presets[1]!.id));
  return [a, await sideOf(at, search.get('b') ?? counterpart(a))];
}
