import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { gameOf } from '.';
import { groupsOf } from '~/core/games/peek-and-say/arrange';
import { cardsOf, type PeekParams } from '~/core/games/peek-and-say/rules';
import { puzzles, type PuzzleParams } from '~/core/games/puzzle-halves/rules';
import { figuresOf, noticesOf, refusals } from '~/core/games/kit/testing';

describe('Peek and Say', () => {
  it('makes every card once, and knows what is seen at a glance', () => {
    expect(figuresOf('peek-and-say', { groups: 1, max: 5, patterns: ['dice', 'line'] })).toEqual({
      cards: 10,
      'glance.share': 0.8,
    });
    // 1+1 2+1 2+2 3+1 3+2 4+1
    expect(figuresOf('peek-and-say', { groups: 2, max: 5, patterns: ['dice'] })).toEqual({
      cards: 6,
      pairs: 6,
      'glance.share': 1,
    });
    // The five-frame shows no more than five.
    expect(figuresOf('peek-and-say', { groups: 1, max: 10, patterns: ['five'] }).cards).toBe(5);
  });
  it('never lets two dots touch, and keeps two groups apart', () => {
    const random = seeded(5);
    const all = {
      groups: 1,
      max: 10,
      patterns: ['dice', 'five', 'ten-frame', 'line', 'scatter'],
      seconds: 3,
      written: false,
      players: 2,
    };
    for (const groups of [1, 2])
      for (const card of cardsOf({ ...all, groups } as PeekParams)) {
        const { radius, groups: lie } = groupsOf(card, random);
        expect(lie.map((group) => group.length)).toEqual(card.groups);
        const spots = lie.flat();
        spots.forEach((a, i) => {
          expect(a.x - radius).toBeGreaterThan(1);
          expect(a.x + radius).toBeLessThan(99);
          expect(a.y - radius).toBeGreaterThan(1);
          expect(a.y + radius).toBeLessThan(59);
          spots
            .slice(0, i)
            .forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(2 * radius));
        });
        if (groups === 2) {
          const right = Math.min(...lie[1]!.map((spot) => spot.x));
          expect(right - Math.max(...lie[0]!.map((spot) => spot.x))).toBeGreaterThan(3 * radius);
        }
      }
  });
  it('shows a card on the screen and can say what was on it', () => {
    const game = gameOf('peek-and-say');
    const { shapes, seconds, says } = game.peek!(game.presets.at(-1)!.params, seeded(3));
    expect(seconds).toBe(4);
    expect(shapes.filter((shape) => shape.kind === 'circle')).toHaveLength(Number(says.args.answer));
  });
});

describe('Fetch That Many', () => {
  it('adds up its slips', () => {
    expect(figuresOf('fetch-that-many', { from: 0, to: 10 })).toEqual({
      slips: 11,
      itemsOfOneKind: 10,
      itemsAll: 55,
    });
    expect(figuresOf('fetch-that-many', { from: 1, to: 5 })).toEqual({
      slips: 5,
      itemsOfOneKind: 5,
      itemsAll: 15,
    });
    expect(refusals('fetch-that-many', { from: 2 }).from).toMatch(/^Numbers must be one of/);
  });
});

describe('Frame Trail', () => {
  it('counts its sentences one by one', () => {
    for (const max of [10, 20]) {
      let [add, subtract] = [0, 0];
      for (let a = 1; a <= max; a++)
        for (let b = 1; b <= max; b++) {
          if (a + b <= max) add++;
          if (b <= a) subtract++;
        }
      expect(figuresOf('frame-trail', { max, op: 'add', problems: 6 })).toEqual({
        frames: (6 * max) / 10,
        counters: max,
        problemsAvailable: add,
      });
      expect(figuresOf('frame-trail', { max, op: 'subtract' }).problemsAvailable).toBe(subtract);
    }
  });
});

describe('Story Pond', () => {
  it('has a card for every a and b', () => {
    let cards = 0;
    for (let a = 1; a < 8; a++) for (let b = 1; a + b <= 8; b++) cards++;
    expect(figuresOf('story-pond', { max: 8 })).toEqual({ cards, pieces: 7 });
    expect(noticesOf('story-pond', { max: 5, stories: 20 })).toContain('stories-repeat');
  });
});

describe('Puzzle Halves', () => {
  it('cuts three pieces from each, and spreads its sums', () => {
    expect(figuresOf('puzzle-halves', { count: 8, max: 5 })).toEqual({ pieces: 24, sheets: 2 });
    const made = puzzles({ count: 10, max: 10, paper: 'a4', players: 1 } as PuzzleParams);
    expect(new Set(made.map(({ a, b }) => `${a} ${b}`)).size).toBe(10);
    expect(made.every(({ a, b }) => a + b <= 10 && b >= 1)).toBe(true);
    expect(noticesOf('puzzle-halves', { count: 20, max: 3 })).toContain('puzzles-repeat');
  });
});
