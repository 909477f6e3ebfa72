import { describe, expect, it } from 'vitest';
import { SHELF } from '.';
import { checkParams } from '~/core/games/kit/params';
import { assume, type Game, type Params, type Rung } from '~/core/games/kit/types';

/** More rungs than any game has. */
const MOST = 80;

const rung = (game: Game, params: Params, way: 'easier' | 'harder'): Rung | undefined =>
  game.reckon(params, assume('g1')).ladder[way];

/** Every setting on the way up or down, to where there is no rung more. */
function climbed(game: Game, from: Params, way: 'easier' | 'harder'): Params[] {
  const way_: Params[] = [from];
  for (let i = 0; i < MOST; i++) {
    const next = rung(game, way_.at(-1)!, way);
    if (!next) return way_;
    way_.push(next.params);
  }
  throw new Error(`${game.id} has no end ${way}`);
}

describe.each(SHELF.map((game): [string, Game] => [game.id, game]))('the ladder of %s', (_, game) => {
  it('ends above and below, comes by no setting twice, and every rung can be played', () => {
    for (const { params } of game.presets)
      for (const way of ['easier', 'harder'] as const) {
        const steps = climbed(game, params, way);
        expect(new Set(steps.map((one) => JSON.stringify(one))).size).toBe(steps.length);
        for (const step of steps) {
          const checked = checkParams(game, step);
          expect([step, checked.ok]).toEqual([step, true]);
          expect(game.play(step, { chance: () => true, whole: (low: number) => low } as never)).toBeDefined();
        }
      }
  });

  it('has a step down after every step up', () => {
    for (const { params } of game.presets) {
      const up = rung(game, params, 'harder');
      if (up) expect([up.label, rung(game, up.params, 'easier') !== undefined]).toEqual([up.label, true]);
      const down = rung(game, params, 'easier');
      if (down)
        expect([down.label, rung(game, down.params, 'harder') !== undefined]).toEqual([down.label, true]);
    }
  });

  it('has mends that lead to where nothing stops', () => {
    for (const { params } of game.presets) {
      const seen = new Set<string>();
      let now = params;
      for (let i = 0; i < MOST; i++) {
        const key = JSON.stringify(now);
        // Mends never lead round in a circle.
        expect([key, seen.has(key)]).toEqual([key, false]);
        seen.add(key);
        const { notices } = game.reckon(now, assume('g1'));
        const next = notices.find(({ mend, severity }) => mend && severity !== 'know')?.mend;
        if (!next || !checkParams(game, next.params).ok) break;
        now = next.params;
      }
      expect(game.reckon(now, assume('g1')).notices.filter(({ severity }) => severity === 'stop')).toEqual(
        [],
      );
    }
  });
});
