import { describe, expect, it } from 'vitest';
import { fact, type Fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings, tally } from '~/core/games/kit/plays.testing';
import { figuresOf, noticesOf } from '~/core/games/kit/testing';
import type { Turn } from '~/core/games/kit/types';
import { bondTriangles } from '.';

holdsTheShelfLaws(bondTriangles, { gives: [['cards sentences']] });

const range = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);

describe('Bond Triangles', () => {
  it('has a card for every pair of parts, and four sentences unless the parts are the same', () => {
    expect(figuresOf('bond-triangles', { wholes: [10] })).toEqual({ cards: 5, sentences: 18 });
    expect(figuresOf('bond-triangles', { wholes: [10], zero: true })).toEqual({ cards: 6, sentences: 22 });
    const wholes = [6, 7, 8];
    const sentences = new Set<string>();
    for (const whole of wholes)
      for (let a = 1; a < whole; a++) {
        sentences.add(`${a}+${whole - a}`);
        sentences.add(`${whole}-${a}`);
      }
    expect(figuresOf('bond-triangles', { wholes }).sentences).toBe(sentences.size);
  });
  it('says when there are too many for one sitting', () => {
    expect(noticesOf('bond-triangles', { wholes: range(3, 20) })).toContain('many-cards');
  });
});

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
