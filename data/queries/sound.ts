/** Saved settings as they are read: checked and completed by today's schema, or marked as what cannot be opened. */
import { LRUCache } from 'lru-cache';
import { gameFor } from '~/core/own/open';
import { checkParams } from '~/core/games/kit/params';
import type { Params } from '~/core/games/kit/types';
import type { KitPlan } from '~/core/kits/recipe';
import { closedRules, isClosed } from '~/core/own/closed';
import type { OwnGame } from '~/core/own/definition';

interface Setting {
  gameId: string;
  name: string;
  params: Params;
  own?: OwnGame | null;
}

const WHY = 'its saved setting does not fit the game any more. Save it anew on the game bench.';
const known = new LRUCache<string, { params: Params; own?: OwnGame }>({ max: 2000 });

/** The setting with parameters that its game takes; where there are none, with rules that say that it cannot be opened. */
export function sound<S extends Setting>(setting: S): S {
  const { gameId, name, params, own } = setting;
  const key = JSON.stringify([gameId, name, params, own ?? null]);
  let read = known.get(key);
  if (!read) {
    read = soundOf(setting);
    known.set(key, read);
  }
  return { ...setting, ...read };
}

function soundOf({ gameId, name, params, own }: Setting): { params: Params; own?: OwnGame } {
  const ref = own ? { gameId, own } : { gameId };
  const game = gameFor(ref);
  if (isClosed(game)) return own ? { params: {} } : { params: {}, own: closedRules(name, WHY) };
  try {
    const checked = checkParams(game, params);
    if (checked.ok) return { params: checked.value };
  } catch {
    // Its own rules cannot make sense of it.
  }
  return { params: {}, own: closedRules(name, WHY) };
}

/** A plan with settings that can be opened, as a copy was built by it. */
export const soundPlan = (plan: KitPlan): KitPlan => ({
  ...plan,
  variants: (plan.variants ?? []).map(sound),
});
