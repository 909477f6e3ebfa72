/** Printing made ready before the first page is asked for: reading fonts and code takes longer than a page may. */
import { SHELF } from '~/core/games';
import { recipeOf, type KitPlan } from '~/core/kits/recipe';
import { PACK_ITEMS, type PackItem } from '~/core/print/choices';
import { LANGUAGES, type Language } from '~/core/words/message';
import { sheetsOf } from './task';

/** Lays out a pack of the first game in every language. */
export function warmPrinting(): void {
  const game = SHELF[0]!;
  const [preset] = game.presets;
  const plan: KitPlan = {
    ageBand: preset!.ageBand,
    players: 2,
    assurance: 'usual',
    variants: [{ gameId: game.id, name: preset!.name, params: preset!.params }],
  };
  const order = {
    kitName: '',
    schoolName: '',
    plan,
    parts: recipeOf(plan).parts,
    items: Object.keys(PACK_ITEMS) as PackItem[],
    scope: 'each' as const,
    labels: {},
    checked: {},
    copies: [{ tag: 'K7M4W', link: 'http://localhost/p/x' }],
  };
  for (const home of Object.keys(LANGUAGES) as Language[])
    sheetsOf({
      packs: [order],
      context: {
        paper: 'letter',
        languages: home === 'en' ? ['en'] : [home, 'en'],
        seed: 1,
        finish: 'plain',
        cuts: 'shared',
        fill: true,
      },
      twoSided: true,
    });
}
