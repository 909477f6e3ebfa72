import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings, tally } from '~/core/games/kit/plays.testing';
import { figuresOf, noticesOf } from '~/core/games/kit/testing';
import { storyPond } from '.';

holdsTheShelfLaws(storyPond, { gives: [['cards pieces']] });

describe('Story Pond', () => {
  it('has a card for every a and b', () => {
    let cards = 0;
    for (let a = 1; a < 8; a++) for (let b = 1; a + b <= 8; b++) cards++;
    expect(figuresOf('story-pond', { max: 8 })).toEqual({ cards, pieces: 7 });
    expect(noticesOf('story-pond', { max: 5, stories: 20 })).toContain('stories-repeat');
  });
});

describe('a play of Story Pond', () => {
  it('tells stories with some of both, and no more together than the pond holds', () => {
    for (const max of [5, 8, 10])
      for (const { turns } of plays(storyPond, { max, stories: 5, players: 2 }, 20)) {
        expect(turns).toHaveLength(10);
        expect(inTurn(turns, 2)).toBe(true);
        for (const turn of turns) {
          const [a, b, answer] = numbersIn(turn, 'a', 'b', 'answer') as [number, number, number];
          expect([a + b, a >= 1, b >= 1, answer <= max]).toEqual([answer, true, true, true]);
        }
      }
  });

  it('tells each card once before any is told again', () => {
    // Ten cards to five: twelve stories tell two of them twice.
    for (const { turns } of plays(storyPond, { max: 5, stories: 12, players: 1 }, 10)) {
      const times = [...tally(turns.map(({ args }) => `${args.a} ${args.b}`)).values()];
      expect(times.sort()).toEqual([1, 1, 1, 1, 1, 1, 1, 1, 2, 2]);
    }
  });

  it('meets each sum as often as the others', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => {
      const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
      return [fact('add', a, b)];
    };
    expect(strangeMeetings(storyPond, { max: 6, stories: 4 }, ['add'], met, 2000)).toEqual([]);
  });
});
