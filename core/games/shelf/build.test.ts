import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { DECK } from '~/core/cards/deck';
import { apart, figuresOf, noticesOf, refusals, sample } from '~/core/games/kit/testing';

describe('Skyline Rolls', () => {
  it('needs 83 blocks for two players and five rolls of two dice, and at most 120', () => {
    expect(figuresOf('skyline-rolls', { dice: 2, goal: 'rolls', rolls: 5, players: 2 })).toMatchObject({
      'perPlayer.mean': expect.closeTo(35, 10) as number,
      'perPlayer.p95': 44,
      'kit.p95': 83,
      'kit.max': 120,
      'towerMm.p95': 44 * 20,
    });
    expect(figuresOf('skyline-rolls', { dice: 2, goal: 'rolls', rolls: 5, players: 1 })['kit.max']).toBe(60);
  });
  it('reaches 50 as fast as rolling does', () => {
    const exact = figuresOf('skyline-rolls', { dice: 2, goal: 'reach', reach: 50 });
    const random = seeded(6);
    let blocks = 0;
    const rolls = sample(20_000, () => {
      let [total, n] = [0, 0];
      for (; total < 50; n++) total += random.whole(1, 6) + random.whole(1, 6);
      blocks += total / 20_000;
      return n;
    });
    expect(apart(exact['rollsToReach.mean']!, rolls)).toBeLessThan(4);
    expect(exact['perPlayer.mean']).toBeCloseTo(blocks, 0);
    expect(exact['kit.max']).toBe(2 * (49 + 12));
  });
});

describe('Market Cups', () => {
  it('lists every pair of cups and pieces', () => {
    const products: number[] = [];
    for (let a = 1; a <= 6; a++) for (let b = 1; b <= 6; b++) products.push(a * b);
    products.sort((a, b) => a - b);
    expect(figuresOf('market-cups', { cups: { from: 1, to: 6 }, pieces: { from: 1, to: 6 } })).toEqual({
      cups: 6,
      'pieces.p95': products[Math.ceil(0.95 * 36) - 1],
      'pieces.max': 36,
      'product.mean': expect.closeTo(12.25, 10) as number,
      distinctFacts: 36,
      turnarounds: 15,
    });
    expect(
      figuresOf('market-cups', { cups: { from: 1, to: 2 }, pieces: { from: 3, to: 4 } }).turnarounds,
    ).toBe(0);
  });
  it('refuses ranges that run backwards, and a deck without red small cards', () => {
    expect(refusals('market-cups', { cups: { from: 4, to: 2 } })).toEqual({
      cups: 'The larger number must be at least 4.',
    });
    const missing = DECK.filter((card) => 'HD'.includes(card.at(-1)!));
    expect(refusals('market-cups', { source: 'cards', missing })).toHaveProperty('missing');
  });
});

describe('Dough Dots', () => {
  it('counts its sentences, and weighs its balls', () => {
    expect(figuresOf('dough-dots', { max: 10 }).cards).toBe(55);
    expect(figuresOf('dough-dots', { max: 10, zero: true }).cards).toBe(66);
    // A ball of 20 mm has 4.18879 cm³.
    expect(figuresOf('dough-dots', { max: 10, ballMm: 20 }).doughGrams).toBeCloseTo(10 * 4.18879 * 1.3, 3);
    expect(noticesOf('dough-dots')).toContain('allergen-wheat');
  });
});

describe('Pin Notes', () => {
  it('spreads as throwing at pins does', () => {
    const exact = figuresOf('pin-notes', { pins: 8, rolls: 4, cards: 3, knock: 0.35 });
    expect(exact).toMatchObject({ facts: 9, lines: 12 });
    const random = seeded(2);
    const counts: number[] = [];
    const fallen = sample(20_000, () => {
      let down = 0;
      for (let pin = 0; pin < 8; pin++) if (random.chance(0.35)) down++;
      counts.push(down);
      return down;
    });
    expect(apart(exact['spread.mean']!, fallen)).toBeLessThan(4);
    const below = (limit: number) => counts.filter((down) => down <= limit).length / counts.length;
    expect(below(exact['spread.p90']!)).toBeGreaterThan(0.89);
    expect(below(exact['spread.p90']! - 1)).toBeLessThan(0.91);
    expect(refusals('pin-notes', { knock: 0.123 }).knock).toMatch(/in steps of 0\.01/);
  });
});

describe('Cup Machine', () => {
  it('holds what its largest problem needs', () => {
    expect(figuresOf('cup-machine', { max: 7, op: 'add' })).toMatchObject({
      counters: 14,
      problemsAvailable: 49,
    });
    expect(figuresOf('cup-machine', { max: 7, op: 'subtract' })).toMatchObject({
      counters: 7,
      problemsAvailable: 28,
    });
  });
});
