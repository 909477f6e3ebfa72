import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { stackAndFind } from '.';

const numberOf = (turn: Parameters<typeof numbersIn>[0]): number => numbersIn(turn, 'number')[0]!;

describe('a play of Stack and Find', () => {
  it('builds each card once', () => {
    for (const to of [5, 10])
      for (const { turns } of plays(stackAndFind, { to, source: 'cards', players: 3 }, 10)) {
        expect(turns.map(numberOf).sort((a, b) => a - b)).toEqual(
          Array.from({ length: to + 1 }, (_, i) => i),
        );
        expect(inTurn(turns, 3)).toBe(true);
      }
  });

  it('spins until every number has come, and says when one comes again', () => {
    for (const { turns } of plays(stackAndFind, { to: 10, source: 'spinner' }, 40)) {
      const seen = new Set<number>();
      for (const turn of turns) {
        const number = numberOf(turn);
        expect([number, turn.coach!.id]).toEqual([
          number,
          number === 0 ? 'play.zero' : seen.has(number) ? 'play.again' : 'play.check',
        ]);
        seen.add(number);
      }
      expect(seen.size).toBe(11);
      // The last spin is the one that was waited for.
      expect(turns.slice(0, -1).map(numberOf)).not.toContain(numberOf(turns.at(-1)!));
    }
  });

  it('takes as many spins as the collector of all numbers', () => {
    const all = plays(stackAndFind, { to: 10, source: 'spinner' }, 1500).map(({ turns }) => turns.length);
    const mean = all.reduce((a, b) => a + b, 0) / all.length;
    const wanted = 11 * Array.from({ length: 11 }, (_, i) => 1 / (i + 1)).reduce((a, b) => a + b, 0);
    // Their standard deviation is below 14.
    expect(Math.abs(mean - wanted)).toBeLessThan((4 * 14) / Math.sqrt(all.length));
  });

  it('tells each direction in its own words', () => {
    for (const [direction, id] of [
      ['numeralToFrame', 'play.find'],
      ['frameToNumeral', 'play.stack'],
      ['buildOnly', 'play.build'],
      ['towers', 'play.tower'],
    ] as const)
      for (const { turns } of plays(stackAndFind, { direction }, 2))
        expect(new Set(turns.map((turn) => turn.id))).toEqual(new Set([id]));
  });

  it('meets each number as often as it reckons', () => {
    for (const source of ['cards', 'spinner'])
      expect(
        strangeMeetings(
          stackAndFind,
          { to: 5, source },
          ['quantity'],
          (turn) => [fact('quantity', numberOf(turn))],
          1500,
        ),
      ).toEqual([]);
  });
});
