import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings, tally } from '~/core/games/kit/plays.testing';
import { figuresOf, reckoningOf, refusals } from '~/core/games/kit/testing';
import { numberNests } from '.';

holdsTheShelfLaws(numberNests, { gives: [['cards cardsPerNest.min cardsPerNest.max']] });

const range = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);

describe('Number Nests', () => {
  /** Counts pairs one by one. */
  const count = (nest: number, ordered: boolean, least: number) =>
    range(least, nest).flatMap((a) => range(least, nest).filter((b) => a + b === nest && (ordered || a <= b)))
      .length;
  it.each([
    [4, 6, 'ordered', true],
    [5, 7, 'unordered', true],
    [7, 10, 'ordered', false],
  ] as const)('counts the cards of nests %i to %i by hand', (from, to, order, zero) => {
    const each = range(from, to).map((nest) => count(nest, order === 'ordered', zero ? 0 : 1));
    expect(figuresOf('number-nests', { from, to, order, zero, mixIn: 0 })).toEqual({
      cards: each.reduce((a, b) => a + b),
      'cardsPerNest.min': Math.min(...each),
      'cardsPerNest.max': Math.max(...each),
    });
  });
  it('mixes strays in that belong to no nest', () => {
    const { practice, figures } = reckoningOf('number-nests', { from: 5, to: 6, mixIn: 4 });
    const strays = practice.filter(({ fact }) => fact.answer < 5 || fact.answer > 6);
    expect(strays).toHaveLength(4);
    expect(figures.cards).toBe(practice.length);
  });
  it('refuses nests that run backwards', () => {
    expect(refusals('number-nests', { from: 8, to: 5 })).toEqual({
      to: 'Largest nest must be at least the smallest, 8.',
    });
  });
});

describe('a play of Number Nests', () => {
  it('lays every card once, in its nest when there is one', () => {
    const change = { from: 6, to: 8, mixIn: 5, players: 3, order: 'ordered' };
    for (const { turns } of plays(numberNests, change, 20)) {
      const cards = turns.map((turn) => numbersIn(turn, 'a', 'b', 'answer') as [number, number, number]);
      for (const [a, b, answer] of cards) expect(a + b).toBe(answer);
      expect(Math.max(...tally(cards.map(([a, b]) => `${a} ${b}`)).values())).toBe(1);
      for (const { id, args } of turns)
        expect([args.answer, id]).toEqual([
          args.answer,
          Number(args.answer) >= 6 && Number(args.answer) <= 8 ? 'play.home' : 'play.stray',
        ]);
      expect(turns.filter(({ id }) => id === 'play.stray')).toHaveLength(5);
      expect(inTurn(turns, 3)).toBe(true);
    }
  });

  it('mixes its cards', () => {
    const orders = plays(numberNests, {}, 12).map(({ turns }) => turns.map(({ args }) => args.answer).join());
    expect(new Set(orders).size).toBe(12);
  });

  it('meets each sum once, with zero or without', () => {
    for (const zero of [true, false])
      expect(
        strangeMeetings(
          numberNests,
          { from: 4, to: 10, mixIn: 3, zero },
          ['add'],
          (turn) => {
            const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
            return [fact('add', a, b)];
          },
          3,
        ),
      ).toEqual([]);
  });
});
