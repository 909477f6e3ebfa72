/** Saved settings as they are read: opened by today's games, or marked as what cannot be opened. */
import type { Params } from '~/core/games/kit/types';
import type { KitPlan } from '~/core/kits/recipe';
import { closedRules, isClosed, whyClosed } from '~/core/own/closed';
import type { OwnGame } from '~/core/own/definition';
import { gameFor, open } from '~/core/own/open';

interface Setting {
  gameId: string;
  name: string;
  params: Params;
  own?: OwnGame | null | undefined;
}

/** The setting with the parameters its game is opened with; where it cannot be, with rules that say so. */
export function sound<S extends Setting>(setting: S): S {
  const { game, params } = open(setting);
  if (!isClosed(game)) return { ...setting, params };
  const closed = setting.own && isClosed(gameFor(setting));
  return { ...setting, params, ...(closed ? {} : { own: closedRules(setting.name, whyClosed(game)) }) };
}

/** A plan with settings that can be opened, as a copy was built by it. */
export const soundPlan = (plan: KitPlan): KitPlan => ({
  ...plan,
  variants: (plan.variants ?? []).map((one) => sound(one)),
});
