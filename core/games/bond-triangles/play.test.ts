import { describe, expect, it } from 'vitest';
import { fact, type Fact } from '~/core/cards/facts';
import { inTurn, numbersIn, plays, strangeMeetings, tally } from '~/core/games/kit/plays.testing';
import type { Turn } from '~/core/games/kit/types';
import { bondTriangles } from '.';

const met = (turn: Turn): Fact[] => {
  if (turn.id === 'play.whole') {
    const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
    return [fact('add', a, b)];
  }
  const [seen, whole] = numbersIn(turn, 'seen', 'whole') as [number, number];
  return [fact('missing', seen, whole)];
};

describe('a play of Bond Triangles', () => {
  it('shows every card once, and the two corners that are seen give the third', () => {
    for (const { turns } of plays(
      bondTriangles,
      { wholes: [7, 8], cover: 'any', zero: true, players: 2 },
      30,
    )) {
      const cards = turns.map((turn) => {
        const [x, y, whole] =
          turn.id === 'play.whole'
            ? numbersIn(turn, 'a', 'b', 'whole')
            : numbersIn(turn, 'seen', 'hidden', 'whole');
        expect(x! + y!).toBe(whole);
        return `${Math.min(x!, y!)} of ${whole}`;
      });
      expect(cards).toHaveLength(4 + 5);
      expect(new Set(cards).size).toBe(9);
      expect(inTurn(turns, 2)).toBe(true);
    }
  });

  it('covers what is asked for, each corner as often as the others', () => {
    const ids = (cover: string) =>
      tally(plays(bondTriangles, { cover }, 300).flatMap(({ turns }) => turns.map(({ id }) => id)));
    expect([...ids('whole').keys()]).toEqual(['play.whole']);
    expect([...ids('part').keys()]).toEqual(['play.part']);
    const any = ids('any');
    const all = any.get('play.whole')! + any.get('play.part')!;
    expect(Math.abs(any.get('play.whole')! / all - 1 / 3)).toBeLessThan(5 * Math.sqrt(2 / 9 / all));
  });

  it('meets facts as often as it reckons, whatever is covered', () => {
    for (const cover of ['part', 'whole', 'any'])
      expect([
        cover,
        strangeMeetings(bondTriangles, { wholes: [5, 6], cover }, ['add', 'missing'], met),
      ]).toEqual([cover, []]);
  });
});
