/** The laws of the shelf: what holds for every game at every setting. Each game's own test calls them. */
import { describe } from 'vitest';
import type { Game } from './game';
import { holdsChanges } from './laws/changes.testing';
import { holdsPaper } from './laws/paper.testing';
import { holdsParts } from './laws/parts.testing';
import { holdsRules } from './laws/rules.testing';
import { SEED, tried, type Expected } from './laws/tried.testing';
import { holdsWords } from './laws/words.testing';

/** Describes every law for one game. */
export function holdsTheShelfLaws(game: Game, expected: Expected): void {
  const all = tried(game, expected);
  describe(`the laws of the shelf for ${game.id} (FERN_SEED=${SEED})`, () => {
    holdsRules(all);
    holdsWords(all);
    holdsChanges(all);
    holdsParts(all);
    holdsPaper(all);
  });
}
