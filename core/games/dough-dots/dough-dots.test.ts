import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, noticesOf } from '~/core/games/kit/testing';
import { doughDots } from '.';

holdsTheShelfLaws(doughDots, { gives: [['cards doughGrams']] });

describe('Dough Dots', () => {
  it('counts its sentences, and weighs its balls', () => {
    expect(figuresOf('dough-dots', { max: 10 }).cards).toBe(55);
    expect(figuresOf('dough-dots', { max: 10, zero: true }).cards).toBe(66);
    // A ball of 20 mm has 4.18879 cm³.
    expect(figuresOf('dough-dots', { max: 10, ballMm: 20 }).doughGrams).toBeCloseTo(10 * 4.18879 * 1.3, 3);
    expect(noticesOf('dough-dots')).toContain('allergen-wheat');
  });
});

describe('a play of Dough Dots', () => {
  it('squashes as many as the second number, never more than there are, no card twice for one player', () => {
    for (const zero of [true, false])
      for (const { turns } of plays(doughDots, { max: 6, zero, cards: 12, players: 2 }, 20)) {
        expect(turns).toHaveLength(24);
        expect(inTurn(turns, 2)).toBe(true);
        for (const player of [1, 2]) {
          const own = turns.filter((turn) => turn.player === player).map(({ args }) => `${args.a} ${args.b}`);
          expect(new Set(own).size).toBe(12);
        }
        for (const turn of turns) {
          const [a, b, answer] = numbersIn(turn, 'a', 'b', 'answer') as [number, number, number];
          expect([a - b, a <= 6, b >= (zero ? 0 : 1), answer >= 0]).toEqual([answer, true, true, true]);
          expect(turn.coach!.id).toBe(a === b ? 'play.none' : b === 0 ? 'play.all' : 'play.left');
        }
      }
  });

  it('plays no more cards than there are', () => {
    // Five and four and three and two and one.
    for (const { turns } of plays(doughDots, { max: 5, cards: 40, players: 1 }, 3))
      expect(turns).toHaveLength(15);
  });

  it('meets each sentence as often as the others', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => {
      const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
      return [fact('subtract', a, b)];
    };
    expect(
      strangeMeetings(doughDots, { max: 5, zero: true, cards: 7, players: 3 }, ['subtract'], met, 1500),
    ).toEqual([]);
  });
});
