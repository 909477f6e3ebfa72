import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { leafTwins } from '.';

describe('a play of Leaf Twins', () => {
  it('finds every twin once, in a mixed order', () => {
    const all = plays(leafTwins, { count: 12, players: 2 }, 20).map(({ turns }) => {
      expect(inTurn(turns, 2)).toBe(true);
      return turns.map((turn) => numbersIn(turn, 'number')[0]!);
    });
    for (const numbers of all)
      expect([...numbers].sort((a, b) => a - b)).toEqual(Array.from({ length: 12 }, (_, i) => i + 1));
    expect(new Set(all.map(String)).size).toBe(20);
  });

  it('asks to see small numbers, and to count larger ones', () => {
    for (const { turns } of plays(leafTwins, { count: 9 }, 3))
      for (const turn of turns)
        expect(turn.coach!.id).toBe(numbersIn(turn, 'number')[0]! <= 4 ? 'play.see' : 'play.count');
  });

  it('meets each number as numeral and as dots', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => {
      const [number] = numbersIn(turn, 'number') as [number];
      return [fact('quantity', number), fact('count', number)];
    };
    expect(
      strangeMeetings(leafTwins, { count: 20, shapeMm: { w: 40, h: 40 } }, ['quantity', 'count'], met, 2),
    ).toEqual([]);
  });
});
