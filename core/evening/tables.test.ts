import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { point } from '~/core/chance/pmf';
import { fitOf, gamesForTables, type TableGame } from './tables';

const game = (id: string, change: Partial<TableGame> = {}): TableGame => ({
  id,
  gameId: id,
  name: id,
  demand: 1.5,
  minutes: point(10),
  skills: [id],
  quiet: true,
  moves: false,
  joinLate: false,
  ...change,
});
const EXPECTED = [
  { band: 'K' as const, children: 10 },
  { band: 'g1' as const, children: 20 },
];
const ask = (games: readonly TableGame[], tables: number, roundMinutes = 15) =>
  gamesForTables({ games, expected: EXPECTED, tables, roundMinutes });
const ids = async (games: readonly TableGame[], tables: number, roundMinutes = 15) =>
  (await ask(games, tables, roundMinutes)).tables.map((one) => one.game.id);

describe('the fit of a game', () => {
  it('is best where the children are, and nothing where nobody comes', () => {
    expect(fitOf(1.7, EXPECTED)).toBeGreaterThan(fitOf(4, EXPECTED));
    expect(fitOf(1.7, EXPECTED)).toBeGreaterThan(fitOf(-1, EXPECTED));
    expect(fitOf(1.7, [])).toBe(0);
    const only = fitOf(2, [{ band: 'g1', children: 7 }]);
    expect(only).toBeCloseTo(fitOf(2, [{ band: 'g1', children: 1 }]), 12);
  });
});

describe('games for tables', () => {
  it('are such as fit and end in time', async () => {
    const games = [
      game('right', { joinLate: true }),
      game('also', { moves: true, demand: 1.8 }),
      game('far', { demand: 4.5 }),
      game('long', { minutes: point(40) }),
    ];
    expect((await ids(games, 2)).sort()).toEqual(['also', 'right']);
    const { tables, lacks } = await ask(games, 2);
    expect(lacks).toEqual([]);
    expect(tables[0]!.why).toMatch(
      /^\d\d in 100 children find it just right.*100 in 100 plays end within a round/,
    );
    await expect(ask(games, 4)).rejects.toThrow('There are 3 games that end within 15 minutes, and 4 tables');
  });

  it('hold a place for moving about and for who comes late, though others fit better', async () => {
    const games = [
      ...['a', 'b', 'c'].map((id) => game(id, { demand: 1.7 })),
      game('hop', { moves: true, quiet: false, demand: 3.4 }),
      game('late', { joinLate: true, demand: 3.4 }),
    ];
    expect((await ids(games, 3)).filter((id) => id === 'hop' || id === 'late').sort()).toEqual([
      'hop',
      'late',
    ]);
    const without = await ask(games.slice(0, 3), 3);
    expect(without.lacks).toEqual([
      'No game at these tables can be joined late: let who comes late watch one play.',
      'No game at these tables is for moving about.',
    ]);
  });

  it('set a quiet one between noisy ones, and say where that cannot be', async () => {
    const noisy = ['n1', 'n2', 'n3'].map((id) => game(id, { quiet: false, moves: true, joinLate: true }));
    const quiet = ['q1', 'q2'].map((id) => game(id, { demand: 3 }));
    const row = (await ask([...noisy, ...quiet], 5)).tables.map((one) => one.game.quiet);
    expect(row).toEqual([false, true, false, true, false]);
    const loud = await ask([...noisy, game('n4', { quiet: false }), quiet[0]!], 5);
    expect(loud.lacks).toContain(
      'Two noisy tables stand side by side: put a wall, a rug or a corridor between them.',
    );
  });

  it('practise different things, and hold one setting of a game', async () => {
    const same = ['a', 'b', 'c'].map((id) =>
      game(id, { skills: ['counting to 10'], demand: 1.7, moves: true, joinLate: true }),
    );
    const other = game('other', { skills: ['comparing'], demand: 3 });
    expect(await ids([...same, other], 3)).toContain('other');
    const twice = [
      game('x easy', { gameId: 'x' }),
      game('x hard', { gameId: 'x' }),
      game('y', { demand: 3.5 }),
    ];
    expect((await ids(twice, 2)).filter((id) => id.startsWith('x'))).toHaveLength(1);
  });

  it('are never more than one of a game, in time, and as many as there are tables', async () => {
    const some = fc.array(
      fc.record({
        kind: fc.integer({ min: 0, max: 6 }),
        demand: fc.double({ min: -0.5, max: 5, noNaN: true }),
        long: fc.integer({ min: 2, max: 30 }),
        skill: fc.constantFrom('a', 'b', 'c'),
        quiet: fc.boolean(),
        moves: fc.boolean(),
        joinLate: fc.boolean(),
      }),
      { minLength: 1, maxLength: 14 },
    );
    await fc.assert(
      fc.asyncProperty(some, fc.integer({ min: 1, max: 5 }), async (list, tables) => {
        const games = list.map(({ kind, long, skill, ...one }, i) =>
          game(`v${i}`, { gameId: `k${kind}`, minutes: point(long), skills: [skill], ...one }),
        );
        const kinds = new Set(
          games.filter((one) => list[Number(one.id.slice(1))]!.long <= 15).map(({ gameId }) => gameId),
        ).size;
        if (kinds < tables) {
          await expect(ask(games, tables)).rejects.toThrow(/fewer tables would help/);
          return;
        }
        const { tables: found } = await ask(games, tables);
        expect(found).toHaveLength(tables);
        expect(new Set(found.map((one) => one.game.gameId)).size).toBe(tables);
        for (const { inTime } of found) expect(inTime).toBe(1);
      }),
      { numRuns: 60 },
    );
  });
});
