import { describe, expect, it } from 'vitest';
import { seeded, shuffled } from '~/core/chance/random';
import { FULL } from '~/core/chance/simulate';
import { gameOf } from '.';
import { meanCalls, tieChance, callsToFirst } from '~/core/games/blanket-board/odds';
import { boardsOf, type BlanketParams } from '~/core/games/blanket-board/rules';
import { rollsToCover } from '~/core/games/harvest-mat/reckon';
import { matched, type MatParams } from '~/core/games/harvest-mat/rules';
import { apart, figuresOf, noticesOf, reckoningOf, refusals, sample } from '~/core/games/kit/testing';
import { mean } from '~/core/chance/pmf';

const permutations = (items: number[]): number[][] =>
  items.length <= 1
    ? [items]
    : items.flatMap((one, i) =>
        permutations([...items.slice(0, i), ...items.slice(i + 1)]).map((rest) => [one, ...rest]),
      );

describe('Row Call', () => {
  it('leaves 4 cards to call for four players and one deck, and offers the second deck', () => {
    expect(figuresOf('row-call', { players: 4, callFrom: 'rest' }).callsAvailable).toBe(4);
    const { notices, figures } = reckoningOf('row-call', { players: 4, callFrom: 'rest' });
    expect(figures['finish.chance']).toBeLessThan(0.9);
    const notice = notices.find((one) => one.code === 'often-unfinished')!;
    expect(notice.mend!.params.callFrom).toBe('secondDeck');
    expect(figuresOf('row-call', notice.mend!.params)['finish.chance']).toBeGreaterThan(0.99);
  });

  it('fills a whole grid as an independent count of last calls says', () => {
    const random = seeded(42);
    const numbers = Array.from({ length: 40 }, (_, i) => (i % 10) + 1);
    const calls = sample(20_000, () => {
      const cards = shuffled(numbers, random);
      const grids = [cards.slice(0, 9), cards.slice(9, 18)];
      const order = shuffled(numbers, random);
      // Turning all matches: a grid is full when the last of its different numbers is first called.
      return Math.min(...grids.map((grid) => Math.max(...grid.map((card) => order.indexOf(card) + 1))));
    });
    const figure = reckoningOf('row-call', {
      callFrom: 'secondDeck',
      win: 'full',
      turn: 'all',
    }).explained.find((one) => one.name === 'calls.mean')!;
    expect(apart(figure.value, calls, figure.error)).toBeLessThan(4);
  });

  it('refuses grids that cannot be laid', () => {
    expect(refusals('row-call', { players: 4, missing: '2S 3S 4S 5S' } as never).missing).toMatch(
      /36 number cards are left/,
    );
  });
});

describe('Blanket the Board', () => {
  it('counts calls and ties exactly as every order of the slips does', () => {
    const boards = [
      [1, 2, 3],
      [2, 3, 4],
      [5, 6, 1],
    ];
    let [first, last, ties] = [0, 0, 0];
    const orders = permutations([1, 2, 3, 4, 5, 6]);
    const atFirst = new Map<number, number>();
    for (const order of orders) {
      const done = boards.map((board) => Math.max(...board.map((number) => order.indexOf(number) + 1)));
      const now = Math.min(...done);
      first += now;
      last += Math.max(...done);
      if (done.filter((one) => one === now).length > 1) ties++;
      atFirst.set(now, (atFirst.get(now) ?? 0) + 1);
    }
    expect(meanCalls(boards, 6).first).toBeCloseTo(first / orders.length, 10);
    expect(meanCalls(boards, 6).last).toBeCloseTo(last / orders.length, 10);
    expect(tieChance(boards)).toBeCloseTo(ties / orders.length, 10);
    const pmf = callsToFirst(boards, 6);
    for (const [call, times] of atFirst)
      expect(pmf.p[call - pmf.from]).toBeCloseTo(times / orders.length, 10);
    expect(mean(pmf)).toBeCloseTo(first / orders.length, 10);
  });

  it('draws boards that all differ, the same for the same draw', () => {
    const game = gameOf('blanket-board');
    for (const { params } of game.presets) {
      const boards = boardsOf(params as unknown as BlanketParams);
      expect(new Set(boards.map((board) => [...board].sort().join())).size).toBe(boards.length);
      expect(boards.every((board) => new Set(board).size === board.length)).toBe(true);
      expect(boardsOf({ ...params } as unknown as BlanketParams)).toEqual(boards);
      expect(boardsOf({ ...params, draw: 2 } as unknown as BlanketParams)).not.toEqual(boards);
    }
  });

  it('plays a line as its simulation says, and refuses more cells than numbers', () => {
    const one = reckoningOf(
      'blanket-board',
      { win: 'line', cells: 9, from: 1, to: 12 },
      { ...FULL, seed: 3 },
    );
    const other = reckoningOf(
      'blanket-board',
      { win: 'line', cells: 9, from: 1, to: 12 },
      { ...FULL, seed: 4 },
    );
    const [a, b] = [one, other].map((of) =>
      of.explained.find((figure) => figure.name === 'callsToFirst.mean')!,
    );
    expect(apart(a!.value, { mean: b!.value, error: b!.error!, plays: 1 }, a!.error)).toBeLessThan(4);
    expect(refusals('blanket-board', { from: 1, to: 8, cells: 9 }).cells).toMatch(
      /needs 9 different numbers; from 1 to 8 there are 8/,
    );
    expect(noticesOf('blanket-board', { from: 1, to: 9, cells: 9 })).toContain('too-few-boards');
  });
});

describe('Harvest Mat', () => {
  const two = (cells: number[]): MatParams => ({ source: 'two-dice', cells, claim: false, cardsPerSum: 2 });
  it('takes 61.2174 rolls of two dice to cover 2 to 12', () => {
    const cells = Array.from({ length: 11 }, (_, i) => i + 2);
    expect(figuresOf('harvest-mat', { source: 'two-dice', cells })['rollsToCover.mean']).toBeCloseTo(
      61.2174,
      4,
    );
    expect(mean(rollsToCover(two(cells))!.turns)).toBeCloseTo(61.2174, 2);
  });
  it.each([
    ['one-die', [1, 2, 3, 4, 5, 6]],
    ['one-die', [6, 6, 1]],
    ['two-dice', [4, 5, 6, 6, 7, 7, 7, 8, 8, 9, 10]],
    ['cards', [3, 4, 4, 5]],
  ] as const)('covers as fast as its plays do: %s %j', (source, cells) => {
    const params = { source, cells: [...cells], claim: false, cardsPerSum: 2 };
    const exact = figuresOf('harvest-mat', params);
    const random = seeded(8);
    const game = gameOf('harvest-mat');
    const lengths: number[] = [];
    const played = sample(6000, () => {
      const turns = [...game.play(params, random)].length;
      lengths.push(turns);
      return turns;
    });
    expect(apart(exact['rollsToCover.mean']!, played)).toBeLessThan(4);
    const within = lengths.filter((turns) => turns <= exact['rollsToCover.p95']!).length / lengths.length;
    expect(within).toBeGreaterThan(0.95 - 4 * Math.sqrt((0.95 * 0.05) / lengths.length));
  });
  it('offers a matched mat that is quicker, and takes off what never comes', () => {
    const cells = Array.from({ length: 11 }, (_, i) => i + 2);
    const notice = reckoningOf('harvest-mat', { source: 'two-dice', cells }).notices.find(
      (one) => one.code === 'matched-mat',
    )!;
    expect(notice.mend!.params.cells).toHaveLength(11);
    expect(figuresOf('harvest-mat', notice.mend!.params)['rollsToCover.mean']).toBeLessThan(40);
    expect(matched(two(cells)).reduce((a, b) => a + b) / 11).toBeCloseTo(7, 0);
    expect(figuresOf('harvest-mat', { source: 'two-dice', cells: [1, 7, 13] })).toMatchObject({
      unreachable: 2,
    });
    expect(figuresOf('harvest-mat', { source: 'two-dice', cells: [7] })['wasted.chance']).toBeCloseTo(
      30 / 36,
      12,
    );
    expect(noticesOf('harvest-mat', { source: 'cards', cells: [5, 5, 5], cardsPerSum: 1 })).toContain(
      'too-few-cards',
    );
    expect(refusals('harvest-mat', { source: 'one-die', cells: [9, 10] }).cells).toMatch(
      /No roll gives any number/,
    );
  });
});

describe('Stack and Find', () => {
  it('needs 55 blocks for towers to ten, and the harmonic number of spins', () => {
    expect(figuresOf('stack-and-find', { to: 10, direction: 'towers' }).blocksAllTowers).toBe(55);
    const harmonic = Array.from({ length: 11 }, (_, i) => 1 / (i + 1)).reduce((a, b) => a + b);
    expect(figuresOf('stack-and-find', { to: 10, source: 'spinner' })).toMatchObject({
      sectors: 11,
      'spinsToCover.mean': expect.closeTo(11 * harmonic, 8) as number,
    });
    expect(figuresOf('stack-and-find', { to: 10, source: 'cards' })).not.toHaveProperty('sectors');
  });
});

describe('Tile Sums', () => {
  it('has 26 tiles up to ten, counted tile by tile', () => {
    const answers: Record<number, number> = {};
    for (let a = 0; a <= 6; a++)
      for (let b = a; b <= 6; b++) if (a + b <= 10) answers[a + b] = (answers[a + b] ?? 0) + 1;
    const { figures } = reckoningOf('tile-sums', { limit: 10 });
    expect(figures).toMatchObject({ tiles: 26, answers });
    expect(answers[figures.rarest as number]).toBe(Math.min(...Object.values(answers)));
    expect(figuresOf('tile-sums', { limit: 12 }).tiles).toBe(28);
  });
});
