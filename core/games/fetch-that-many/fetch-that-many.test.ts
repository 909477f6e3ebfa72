import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, refusals } from '~/core/games/kit/testing';
import { fetchThatMany } from '.';

holdsTheShelfLaws(fetchThatMany, { gives: [['slips itemsOfOneKind itemsAll']] });

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

const numberOf = (turn: Parameters<typeof numbersIn>[0]): number => numbersIn(turn, 'number')[0]!;

describe('a play of Fetch That Many', () => {
  it('fetches every number once, and comes back from zero with nothing', () => {
    for (const [from, to] of [
      [0, 10],
      [1, 6],
    ] as const)
      for (const { turns } of plays(fetchThatMany, { from, to, players: 2 }, 20)) {
        expect(turns.map(numberOf).sort((a, b) => a - b)).toEqual(
          Array.from({ length: to - from + 1 }, (_, i) => from + i),
        );
        expect(inTurn(turns, 2)).toBe(true);
        for (const turn of turns) {
          expect(turn.id).toBe(numberOf(turn) === 0 ? 'play.zero' : 'play.fetch');
          // More than five is read as five and some.
          expect(turn.coach).toEqual(
            numberOf(turn) > 5 ? { id: 'play.fives', args: { five: 5 } } : { id: 'play.touch', args: {} },
          );
        }
      }
  });

  it('meets each number once', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => [
      fact('quantity', numberOf(turn)),
      fact('count', numberOf(turn)),
    ];
    expect(strangeMeetings(fetchThatMany, { to: 8 }, ['quantity', 'count'], met, 2)).toEqual([]);
  });
});
