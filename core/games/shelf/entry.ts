/** What the shelf says of a game, worked out. */
import { QUICK } from '~/core/chance/simulate';
import { settle, type Game } from '~/core/games/kit/game';
import type { Skill } from '~/core/games/kit/skills';
import { assume } from '~/core/games/kit/types';
import { isStored, materialOf } from '~/core/materials/catalogue';
import { nameOf } from '~/core/words/reading';
import { namesOf } from '~/core/words/readings';
import type { ShelfEntry } from './catalogue';

/** Everything the shelf shows of a game, as computed for each of its presets. */
export function entryOf(game: Game): ShelfEntry {
  return {
    gameId: game.id,
    family: game.family,
    name: nameOf(game),
    names: namesOf(game),
    drawing: game.drawing,
    traits: game.traits,
    presets: game.presets.map(({ id, name, tradition, ageBand, params }) => {
      const reckoning = settle(game, params).reckon(assume(ageBand), { ...QUICK, plays: 60 });
      return {
        id,
        name,
        tradition,
        ageBand,
        minutes: reckoning.length.minutes.mean,
        skills: reckoning.skills as Skill[],
        ...reckoning.players,
        parts: reckoning.parts
          .filter(({ material }) => isStored(materialOf(material)))
          .map(({ material, enough }) => ({ material, quantity: enough })),
      };
    }),
  };
}
