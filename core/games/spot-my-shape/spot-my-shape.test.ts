import { describe, expect, it } from 'vitest';
import { sample, apart } from '~/core/games/kit/testing';
import { seeded } from '~/core/chance/random';
import { fittingAfter } from './reckon';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays } from '~/core/games/kit/plays.testing';
import { spotMyShape } from '.';

holdsTheShelfLaws(spotMyShape, { gives: [] });

describe('a play of Spot My Shape', () => {
  it('gives clues until one thing is left, and a hint when they are used up', () => {
    for (const { turns, outcome } of plays(
      spotMyShape,
      { clues: ['shape', 'number', 'colour'], rounds: 8, players: 4, things: 20 },
      40,
    )) {
      expect(turns).toHaveLength(8);
      expect(inTurn(turns, 4)).toBe(true);
      let all = 0;
      for (const turn of turns) {
        const [told, left] = numbersIn(turn, 'told', 'left') as [number, number];
        expect([told >= 1 && told <= 3, left >= 1 && left <= 20]).toEqual([true, true]);
        expect(turn.id).toBe(left === 1 ? 'play.found' : 'play.hint');
        if (left > 1) expect(told).toBe(3);
        expect(['shape', 'number', 'colour']).toContain(turn.args.clue);
        all += left;
      }
      expect(outcome.left).toBeCloseTo(all / 8, 12);
    }
  });

  it('finds more with finer clues', () => {
    const left = (each: number) => {
      const all = plays(
        spotMyShape,
        { clues: ['shape', 'number', 'colour'], each, things: 20, rounds: 20 },
        60,
      ).map(({ outcome }) => outcome.left!);
      return all.reduce((a, b) => a + b, 0) / all.length;
    };
    const [two, three, four] = [left(2), left(3), left(4)] as [number, number, number];
    expect(two).toBeGreaterThan(three);
    expect(three).toBeGreaterThan(four);
    // Three clues that halve leave one in eight of the others, beside the thing itself.
    expect(Math.abs(two - (1 + 19 / 8))).toBeLessThan(0.25);
  });
});

it('leaves as many things in view as giving clues does', () => {
  const random = seeded(10);
  const left = sample(20_000, () => {
    let fits = 1;
    for (let i = 1; i < 12; i++) if (random.whole(1, 3) === 1 && random.whole(1, 3) === 1) fits++;
    return fits;
  });
  expect(apart(fittingAfter({ things: 12, each: 3 }, 2), left)).toBeLessThan(4);
});
