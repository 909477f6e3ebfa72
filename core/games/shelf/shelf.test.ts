import { describe, expect, it } from 'vitest';
import { findGame, gameOf, SHELF } from '.';

describe('the shelf', () => {
  it('has every game once, with a picture of its own, and says so of one it has not', () => {
    expect(new Set(SHELF.map((game) => game.id)).size).toBe(SHELF.length);
    expect(new Set(SHELF.map((game) => JSON.stringify(game.drawing))).size).toBe(SHELF.length);
    for (const game of SHELF) expect(gameOf(game.id)).toBe(game);
    expect(findGame('nope')).toBeUndefined();
    expect(() => gameOf('nope')).toThrow(/There is no game called "nope"/);
  });
});
