import { describe, expect, it } from 'vitest';
import { DECK } from '~/core/cards/deck';
import { seeded, shuffled } from '~/core/chance/random';
import { settle } from '~/core/games/kit/game';
import { suffices } from '~/core/games/kit/reckoning';
import { assume, type Params } from '~/core/games/kit/types';
import { gameOf, SHELF } from '~/core/games/shelf';
import { startOf } from '~/core/games/kit/game';
import { materialOf, type MaterialId } from '~/core/materials/catalogue';
import { recipeOf, type KitPlan } from './recipe';
import { judge, verdict, verdictOfCopy, type Held } from './verdict';

const opened = (id: string, change: Params = {}) => settle(gameOf(id), { ...startOf(gameOf(id)), ...change });
/** All that a setting needs. */
const whole = (id: string, change: Params = {}): Record<string, number> =>
  Object.fromEntries(
    opened(id, change)
      .reckon(assume('g1'))
      .parts.map(({ material, enough }) => [material, enough]),
  );

describe('the chance that a part suffices', () => {
  it.each(SHELF)('never falls with more of it in $id, and fits what is said of it', (game) => {
    for (const { params } of game.presets)
      for (const need of settle(game, params).reckon(assume('g1')).parts) {
        let before = 0;
        for (let n = 0; n <= need.worst + 1; n++) {
          const now = suffices(need, n);
          expect(now).toBeGreaterThanOrEqual(before - 1e-12);
          before = now;
        }
        expect(before).toBeCloseTo(1, 7);
        expect(suffices(need, need.enough)).toBeGreaterThanOrEqual(0.95 - 1e-9);
      }
  });

  it('agrees with plays', () => {
    const variant = opened('skyline-rolls', { dice: 2, rolls: 5, players: 2 });
    const cubes = variant.reckon(assume('g1')).parts.find(({ material }) => material === 'cube')!;
    const random = seeded(3);
    const plays = Array.from({ length: 6000 }, () => {
      const play = variant.play(random);
      for (;;) {
        const next = play.next();
        if (next.done) return (next.value as { blocks: number }).blocks;
      }
    });
    for (const n of [55, 65, 70, 75, 83, 95]) {
      const share = plays.filter((blocks) => blocks <= n).length / plays.length;
      const chance = suffices(cubes, n);
      expect(Math.abs(share - chance)).toBeLessThan(
        4.5 * Math.sqrt((chance * (1 - chance)) / plays.length) + 1e-3,
      );
    }
  });
});

describe('the verdict on a copy', () => {
  it.each(SHELF)('of $id with everything in it is “as it is”', (game) => {
    for (const { params } of game.presets) {
      const plan = {
        ageBand: 'g1' as const,
        players: 2,
        assurance: 'usual' as const,
        variants: [{ gameId: game.id, name: 'x', params }],
      };
      const held = Object.fromEntries(
        recipeOf(plan).parts.map(({ material, quantity }) => [material, quantity]),
      );
      const found = verdict({ variants: plan.variants, players: 2, held, printed: held });
      expect([params, found.copy, found.restock]).toEqual([params, 'asItIs', {}]);
    }
  });

  it('offers the nearest setting that plays with what is there', () => {
    const spill = judge(opened('two-tone-spill', { counters: 6 }), {
      held: { ...whole('two-tone-spill'), 'two-colour-counter': 5 },
    });
    expect(spill).toMatchObject({ verdict: 'playsWithNote', enough: 0, change: { counters: 5 } });
    expect(spill.note).toBe(
      '6 two-color counters are needed, and 5 are there. It plays with “Counters” at 5.',
    );
    const towers = { goal: 'reach', reach: 100, dice: 2, players: 1 };
    const held: Held = { held: { ...whole('skyline-rolls', towers), cube: 70 } };
    expect(judge(opened('skyline-rolls', towers), held).change).toMatchObject({ reach: 50 });
    // Nothing plays without a die.
    expect(judge(opened('skyline-rolls'), { held: { cube: 100 } })).toMatchObject({
      verdict: 'doesNotPlay',
      enough: 0,
    });
    expect(judge(opened('skyline-rolls'), { held: { cube: 100 } }).note).toMatch(
      /^1 die is needed, and none are there\./,
    );
  });

  it('never offers a setting that does not play itself, at losses nobody would choose', () => {
    const random = seeded(8);
    let offered = 0;
    for (const game of SHELF)
      for (const { params } of game.presets.slice(0, 2)) {
        const variant = settle(game, params);
        const { parts } = variant.reckon(assume('g1'));
        const countable = parts.filter(({ material }) => materialOf(material).kind !== 'home');
        if (countable.length === 0) continue;
        const held: Partial<Record<MaterialId, number>> = {};
        for (const { material, enough } of countable) held[material] = enough;
        const one = countable[random.whole(0, countable.length - 1)]!;
        held[one.material] = random.whole(0, Math.max(0, one.enough - 1));
        const deckLacks = shuffled(DECK, random).slice(0, random.whole(0, 4));
        const there: Held = { held, printed: held, deckLacks };
        const found = judge(variant, there);
        expect(found.note).toMatch(/^[A-Z0-9“].*[.]$/s);
        if (!found.change) continue;
        offered++;
        const again = judge(settle(game, found.change), there);
        // With the change everything is there; what a deck lacks may still be told.
        expect([game.id, found.note, again.enough >= 0.95, again.verdict !== 'doesNotPlay']).toEqual([
          game.id,
          found.note,
          true,
          true,
        ]);
      }
    expect(offered).toBeGreaterThan(12);
  }, 300_000);

  it('takes the odd card out of a deck', () => {
    const found = verdict({
      variants: [{ gameId: 'tide-pairs', params: startOf(gameOf('tide-pairs')) }],
      players: 2,
      held: { 'card-deck': 1 },
      deckLacks: ['7H'],
    });
    expect(found.copy).toBe('withNote');
    expect(found.games[0]!.note).toMatch(/then everything pairs/);
    expect(found.games[0]!.change!.missing).toHaveLength(2);
    expect(found.restock).toEqual({ 'card-deck': 1 });
  });

  it('is only as good as its worst game, and is brought back to its recipe', () => {
    const variants = ['two-tone-spill', 'cup-machine'].map((id) => ({
      gameId: id,
      params: startOf(gameOf(id)),
    }));
    const held = { ...whole('two-tone-spill'), ...whole('cup-machine') };
    expect(verdict({ variants, players: 2, held }).copy).toBe('asItIs');
    const short = verdict({ variants, players: 2, held: { ...held, 'small-cup': 1, chip: 4 } });
    expect(short.copy).toBe('mendFirst');
    expect(short.games.map((one) => one.verdict)).toEqual(['plays', 'doesNotPlay']);
    expect(short.restock).toEqual({ 'small-cup': 2, chip: held.chip! - 4 });
  });

  it('is told over the plays of a loan, where one play of several falls short more often than one', () => {
    const params = { ...startOf(gameOf('skyline-rolls')), dice: 2, rolls: 5 };
    const plan: KitPlan = {
      ageBand: 'g1',
      players: 2,
      assurance: 'usual',
      plays: 4,
      variants: [{ gameId: 'skyline-rolls', name: 'Skyline', params }],
    };
    const needs = whole('skyline-rolls', { ...params, players: 2 });
    const of = (cube: number, plays = 4) =>
      verdictOfCopy({ plan: { ...plan, plays }, held: { ...needs, cube } }).games[0]!;
    // A bag that is as its recipe says is spoken of as before.
    expect(of(needs.cube!).loan).toBeUndefined();
    expect(of(needs.cube!).verdict).toBe('plays');
    expect(of(0).loan).toBeUndefined();
    expect(of(70, 1).loan).toBeUndefined();
    const short = of(70);
    expect(short.loan!.plays).toBe(4);
    // Loans of four plays, played.
    const random = seeded(11);
    const variant = opened('skyline-rolls', { ...params, players: 2 });
    const blocks = (): number => {
      const play = variant.play(random);
      for (;;) {
        const next = play.next();
        if (next.done) return (next.value as { blocks: number }).blocks;
      }
    };
    const loans = 3000;
    const held = Array.from({ length: loans }, () => [1, 2, 3, 4].every(() => blocks() <= 70)).filter(
      Boolean,
    );
    const { enough } = short.loan!;
    expect(Math.abs(held.length / loans - enough)).toBeLessThan(
      4.5 * Math.sqrt((enough * (1 - enough)) / loans) + 2e-3,
    );
  });
});
