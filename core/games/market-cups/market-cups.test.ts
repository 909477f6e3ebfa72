import { describe, expect, it } from 'vitest';
import { DECK } from '~/core/cards/deck';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, refusals } from '~/core/games/kit/testing';
import type { Params, Turn } from '~/core/games/kit/types';
import { marketCups } from '.';

holdsTheShelfLaws(marketCups, {
  gives: [['cups pieces.p95 pieces.max product.mean distinctFacts turnarounds']],
});

describe('Market Cups', () => {
  it('lists every pair of cups and pieces', () => {
    const products: number[] = [];
    for (let a = 1; a <= 6; a++) for (let b = 1; b <= 6; b++) products.push(a * b);
    // Eight turns in a play: so many pieces suffice when none of the eight takes more.
    const suffices = (pieces: number) => (products.filter((one) => one <= pieces).length / 36) ** 8;
    expect(figuresOf('market-cups', { cups: { from: 1, to: 6 }, pieces: { from: 1, to: 6 } })).toEqual({
      cups: 6,
      'pieces.p95': [...products].sort((a, b) => a - b).find((pieces) => suffices(pieces) >= 0.95),
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

const met = (turn: Turn) => {
  const [cups, pieces] = numbersIn(turn, 'cups', 'pieces') as [number, number];
  return [fact('groups', cups, pieces)];
};

describe('a play of Market Cups', () => {
  it('fills cups within both ranges, and says how many in all', () => {
    const change: Params = { cups: { from: 2, to: 4 }, pieces: { from: 3, to: 6 }, rounds: 5, players: 3 };
    for (const { turns, outcome } of plays(marketCups, change, 40)) {
      expect(turns).toHaveLength(15);
      expect(inTurn(turns, 3)).toBe(true);
      const answers = turns.map((turn) => {
        const [cups, pieces, answer] = numbersIn(turn, 'cups', 'pieces', 'answer') as [
          number,
          number,
          number,
        ];
        expect([cups >= 2 && cups <= 4, pieces >= 3 && pieces <= 6]).toEqual([true, true]);
        expect(answer).toBe(cups * pieces);
        return answer;
      });
      // The pieces of the fullest turn are what a kit must have.
      expect(outcome.most).toBe(Math.max(...answers));
    }
  });

  it('writes the sign only where it is asked for', () => {
    for (const symbol of [true, false])
      for (const { turns } of plays(marketCups, { symbol }, 2))
        expect(new Set(turns.map(({ id }) => id))).toEqual(new Set([symbol ? 'play.times' : 'play.groups']));
  });

  it('meets each product as often as it reckons, with dice and with a deck that lacks cards', () => {
    for (const change of [
      { cups: { from: 1, to: 3 }, pieces: { from: 1, to: 4 } },
      { source: 'cards', missing: ['2H', '2D', '5S'], cups: { from: 1, to: 3 }, pieces: { from: 4, to: 6 } },
    ] as Params[])
      expect(strangeMeetings(marketCups, change, ['groups'], met, 2000)).toEqual([]);
  });
});
