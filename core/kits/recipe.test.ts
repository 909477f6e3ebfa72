import { SMALL_BALL_MM } from '~/core/materials/tube';
import { describe, expect, it } from 'vitest';
import { gameOf, SHELF } from '~/core/games/shelf';
import { newOwnGame } from '~/core/own/definition';
import { ownGame } from '~/core/own/game';
import { ownGameId } from '~/core/own/ids';
import { say } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { fitsChokeTube, materialOf, materials, type MaterialId } from '~/core/materials/catalogue';
import { MATERIAL_WORDS } from '~/core/materials/words';
import { forPlayers, hasSmallParts, recipeOf, type KitPlan } from './recipe';

const params = gameOf('two-tone-spill').presets[1]!.params;
const six = { gameId: 'two-tone-spill', name: 'Six', params };
const ten = { gameId: 'two-tone-spill', name: 'Ten', params: { ...params, counters: 10, spills: 12 } };
const plan: KitPlan = { ageBand: 'g1', players: 2, assurance: 'usual', variants: [six, ten] };
const quantities = (of: KitPlan) =>
  Object.fromEntries(recipeOf(of).parts.map((part) => [part.material, part.quantity]));

describe('a recipe', () => {
  it('shares what lasts and adds up what is written on', () => {
    expect(quantities(plan)).toEqual({
      'two-colour-counter': 10,
      cup: 1,
      'record-sheet': 4,
      pencil: 2,
      mat: 2,
      'instruction-sheet': 2,
      bag: 1,
    });
  });

  it('is made for the players of the kit, within what the game takes', () => {
    expect(quantities({ ...plan, players: 3, variants: [six] })['record-sheet']).toBe(3);
    expect(forPlayers(six, 6).params.players).toBe(4);
  });

  it('gives each number its reason, once when all games say the same', () => {
    const { parts } = recipeOf(plan);
    expect(parts.find((part) => part.material === 'cup')!.reasons).toEqual([
      'One cup to shake, passed on after each spill.',
    ]);
    expect(parts.find((part) => part.material === 'two-colour-counter')!.reasons).toEqual([
      expect.stringContaining('Six: 6 counters'),
      expect.stringContaining('Ten: 10 counters'),
      expect.stringContaining('share'),
    ]);
  });

  it('says the caution about small parts once', () => {
    expect(recipeOf(plan).notices.filter((notice) => notice.code === 'small-parts')).toHaveLength(1);
    expect(hasSmallParts(recipeOf(plan).parts)).toBe(true);
    expect(hasSmallParts([{ material: 'cup' }])).toBe(false);
  });

  it('says which paper parts the pack cannot draw: some of a game of one’s own, none of the shelf', () => {
    const part = (material: MaterialId, times: number) => ({ material, times, each: 'game' as const });
    const own = {
      ...newOwnGame(),
      name: { en: 'Spin', es: 'Giro' },
      goal: { en: 'Spin.', es: 'Giren.' },
      parts: [part('board', 2), part('number-card', 8)],
    };
    const mine = { gameId: ownGameId('x'), own, name: 'Mine', params: ownGame(own, 'x').presets[0]!.params };
    const notice = recipeOf({ ...plan, variants: [six, mine] }).notices.find(
      (one) => one.code === 'by-hand',
    )!;
    expect(notice.text).toMatch(/Make them by hand: 2 boards\.$/);
    for (const game of SHELF) {
      const variant = { gameId: game.id, name: game.id, params: game.presets[0]!.params };
      const codes = recipeOf({ ...plan, variants: [variant] }).notices.map((one) => one.code);
      expect([game.id, codes.includes('by-hand')]).toEqual([game.id, false]);
    }
  });

  it('counts what each game alone uses, and how many play it', () => {
    const hats = gameOf('hat-numbers');
    const { variants } = recipeOf({
      ...plan,
      variants: [six, { gameId: hats.id, name: 'Hats', params: hats.presets[0]!.params }],
    });
    expect(variants.map(({ players }) => players)).toEqual([2, 3]);
    expect(variants[1]!.parts).toEqual([{ material: 'card-deck', quantity: 1 }]);
    expect(variants[0]!.parts).toContainEqual({ material: 'two-colour-counter', quantity: 6 });
  });

  it('of nothing is empty', () => {
    expect(recipeOf({ ...plan, variants: [] })).toMatchObject({
      parts: [],
      notices: [],
      minutes: 0,
      costCents: 0,
    });
  });

  it('costs its share of the packs', () => {
    // 6 of 200 counters, 1 of 12 cups, 2 of 72 pencils, 1 of 10 bags; paper is told with printing.
    expect(recipeOf({ ...plan, variants: [six] }).costCents).toBe(Math.round(43.5 + 75 + 30 + 220));
  });
});

describe('the catalogue', () => {
  it('names each material once, with sizes in order', () => {
    expect(new Set(materials().map((one) => one.id)).size).toBe(materials().length);
    for (const one of materials()) expect(one.smallestMm).toBeLessThanOrEqual(one.largestMm);
    expect(() => materialOf('gold')).toThrow(/gold/);
  });

  it('knows what fits the small-parts tube', () => {
    const fits = materials()
      .filter(fitsChokeTube)
      .map((one) => one.id);
    expect(fits).toEqual(expect.arrayContaining(['two-colour-counter', 'chip', 'die', 'paper-clip']));
    for (const id of ['cup', 'pin', 'ball', 'bean-bag', 'bag', 'number-card']) expect(fits).not.toContain(id);
    expect(materialOf('ball').smallestMm).toBeGreaterThan(SMALL_BALL_MM);
  });

  it('names every material in both languages, counted', () => {
    for (const { id } of materials())
      for (const language of ['en', 'es'] as const) {
        expect(say(readingOf(language), MATERIAL_WORDS, id, { quantity: 1 })).toMatch(/^1 /);
        expect(say(readingOf(language), MATERIAL_WORDS, id, { quantity: 2 })).not.toBe(
          say(readingOf(language), MATERIAL_WORDS, id, { quantity: 1 }).replace('1', '2'),
        );
      }
  });

  it('says each caution with its threshold or its source, and who decides', () => {
    for (const { cautions } of materials())
      for (const { text } of cautions) expect(text).toMatch(/district's rules and licensed staff decide\.$/);
  });
});
