import { describe, expect, it } from 'vitest';
import { split } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, refusals } from '~/core/games/kit/testing';
import { pegSlide } from '.';

holdsTheShelfLaws(pegSlide, { gives: [['ways pegs']] });

describe('Peg Slide', () => {
  it.each([3, 5, 10])('goes through every way of %i once', (whole) => {
    expect(figuresOf('peg-slide', { whole: [whole] })).toEqual({ ways: whole + 1, pegs: whole });
    expect(figuresOf('peg-slide', { whole, order: 'unordered' }).ways).toBe(Math.floor(whole / 2) + 1);
  });
  it('adds up the pegs of several cards', () => {
    expect(figuresOf('peg-slide', { whole: [6, 7, 8] })).toEqual({ ways: 7 + 8 + 9, pegs: 21 });
  });
  it('refuses a whole it has no card for', () => {
    expect(refusals('peg-slide', { whole: [11] })).toEqual({ whole: 'Wholes must be from 3 to 10.' });
    expect(refusals('peg-slide', { whole: [5, 5] })).toEqual({
      whole: 'Wholes must not name the same twice.',
    });
  });
});

describe('a play of Peg Slide', () => {
  it('goes from none on the left to all, one peg at a time', () => {
    const [{ turns }] = plays(pegSlide, { whole: [7] }, 1) as [ReturnType<typeof plays>[0]];
    expect(turns.map((turn) => numbersIn(turn, 'a', 'b'))).toEqual(
      Array.from({ length: 8 }, (_, a) => [a, 7 - a]),
    );
    expect(turns[0]!.coach!.id).toBe('play.none');
    expect(turns.slice(1).every(({ coach }) => coach!.id !== 'play.none')).toBe(true);
    expect(inTurn(turns, 2)).toBe(true);
  });

  it('takes card after card, and no turned pair where order does not count', () => {
    const [{ turns }] = plays(pegSlide, { whole: [6, 5], order: 'unordered', players: 3 }, 1) as [
      ReturnType<typeof plays>[0],
    ];
    expect(turns.map((turn) => numbersIn(turn, 'a', 'b', 'whole').join())).toEqual([
      '0,6,6',
      '1,5,6',
      '2,4,6',
      '3,3,6',
      '0,5,5',
      '1,4,5',
      '2,3,5',
    ]);
    // Halves are named: both sides are the same.
    expect(turns.filter(({ coach }) => coach!.id === 'play.same').map((turn) => turn.args.a)).toEqual([3]);
    expect(inTurn(turns, 3)).toBe(true);
  });

  it('meets each split once', () => {
    for (const order of ['ordered', 'unordered'])
      expect(
        strangeMeetings(
          pegSlide,
          { whole: [4, 9], order },
          ['split'],
          (turn) => {
            const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
            return [split(a, b)];
          },
          2,
        ),
      ).toEqual([]);
  });
});
