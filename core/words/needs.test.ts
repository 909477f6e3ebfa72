import { describe, expect, it } from 'vitest';
import { byNeed, linesIn, type Need } from './needs';

const need = (kit: string, atHome: number, families: number, ...lines: number[]): Need => ({
  kitId: kit,
  kit,
  language: 'es',
  atHome,
  families,
  games: lines.map((n, i) => ({ gameId: `game ${i}`, name: `Game ${i}`, lines: n })),
});

describe('what is to be read first', () => {
  it('is what most families have at home, then what most can read, then what is quickly done', () => {
    const [a, b, c, d] = [
      need('A', 0, 9, 30),
      need('B', 2, 3, 40),
      need('C', 0, 9, 5, 6),
      need('D', 0, 2, 1),
    ];
    expect(byNeed([a, b, c, d]).map(({ kit }) => kit)).toEqual(['B', 'C', 'A', 'D']);
    expect(linesIn(c)).toBe(11);
  });

  it('is nothing where all is sound or nobody reads the language', () => {
    expect(byNeed([need('A', 0, 0, 4), need('B', 1, 2, 0), need('C', 1, 2)])).toEqual([]);
  });
});
