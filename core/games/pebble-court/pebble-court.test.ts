import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf } from '~/core/games/kit/testing';
import { pebbleCourt } from '.';
import { grid, places } from './rules';

holdsTheShelfLaws(pebbleCourt, { gives: [['areaM2 hops']] });

describe('Pebble Court', () => {
  it('measures each layout by hand', () => {
    expect(figuresOf('pebble-court', { cells: 10, layout: 'straight', cellMm: 400 })).toEqual({
      areaM2: expect.closeTo(1.6, 10),
      hops: 20,
    });
    // 1, 2-3, 4, 5-6, 7, 8-9, 10: seven landings, two cells wide.
    expect(figuresOf('pebble-court', { cells: 10, layout: 'branching', cellMm: 400 })).toEqual({
      areaM2: expect.closeTo(0.8 * 2.8, 10),
      hops: 14,
    });
    expect(figuresOf('pebble-court', { cells: 16, layout: 'spiral', cellMm: 500 })).toEqual({
      areaM2: expect.closeTo(4, 10),
      hops: 32,
    });
  });
});

describe('the sheets of Pebble Court', () => {
  it('courts whose cells are neighbours and lie apart', () => {
    for (const layout of ['straight', 'branching', 'spiral'] as const)
      for (const cells of [5, 10, 16, 19]) {
        const court = places({ cells, layout });
        const { across, down } = grid({ cells, layout });
        expect(new Set(court.map(({ column, row }) => `${column} ${row}`)).size).toBe(cells);
        court.forEach(({ column, row }, i) => {
          expect(column).toBeGreaterThanOrEqual(0);
          expect(column).toBeLessThanOrEqual(across - 1);
          expect(row).toBeGreaterThanOrEqual(0);
          expect(row).toBeLessThanOrEqual(down - 1);
          const before = court[i - 1];
          if (before && layout !== 'branching')
            expect(Math.abs(before.column - column) + Math.abs(before.row - row)).toBe(1);
        });
      }
  });
});

describe('a spiral that grows', () => {
  it('goes round the middle: every cell beside the one before, none on another, never longer than it must be', () => {
    for (let cells = 5; cells <= 20; cells++) {
      const all = places({ cells, layout: 'growing' });
      expect(new Set(all.map(({ column, row }) => `${column} ${row}`)).size).toBe(cells);
      all.slice(1).forEach(({ column, row }, i) => {
        const before = all[i]!;
        expect(Math.abs(column - before.column) + Math.abs(row - before.row)).toBe(1);
      });
      // What has been chalked stays where it is when the court grows.
      const grown = places({ cells: cells + 1, layout: 'growing' }).slice(0, cells);
      const [dx, dy] = [grown[0]!.column - all[0]!.column, grown[0]!.row - all[0]!.row];
      expect(grown.map(({ column, row }) => [column - dx, row - dy])).toEqual(
        all.map(({ column, row }) => [column, row]),
      );
      const { across, down } = grid({ cells, layout: 'growing' });
      expect(Math.abs(across - down)).toBeLessThanOrEqual(1);
    }
  });
});

describe('a play of Pebble Court', () => {
  it('aims at the next cell, goes on from it only when it is hit, and ends with the first through', () => {
    for (const { turns, outcome } of plays(pebbleCourt, { cells: 7, players: 3, hit: 60 }, 40)) {
      const done = [0, 0, 0];
      turns.forEach((turn, i) => {
        expect(turn.player).toBe((i % 3) + 1);
        const [cell] = numbersIn(turn, 'cell') as [number];
        expect(cell).toBe(done[turn.player - 1]! + 1);
        if (turn.id === 'play.hops') done[turn.player - 1] = cell;
        expect(Math.max(...done) === 7).toBe(i === turns.length - 1);
      });
      expect(outcome.rounds).toBe(Math.ceil(turns.length / 3));
    }
  });

  it('needs one throw for each cell when every throw lands', () => {
    for (const { turns } of plays(pebbleCourt, { cells: 12, players: 1, hit: 100 }, 2)) {
      expect(turns).toHaveLength(12);
      expect(turns.every(({ id }) => id === 'play.hops')).toBe(true);
    }
  });

  it('lands as often as it is told', () => {
    const ids = plays(pebbleCourt, { players: 1, hit: 40 }, 300).flatMap(({ turns }) =>
      turns.map(({ id }) => id),
    );
    const hits = ids.filter((id) => id === 'play.hops').length / ids.length;
    // Each play ends with a hit, which lifts the share a little.
    expect(Math.abs(hits - 0.4)).toBeLessThan(5 * Math.sqrt(0.24 / ids.length) + 0.01);
  });
});

it('aims at each cell as often as its plays do, whose walks end with the first one home', () => {
  for (const players of [1, 2, 4])
    expect(
      strangeMeetings(
        pebbleCourt,
        { cells: 6, players, hit: 60 },
        ['quantity'],
        (turn) => [fact('quantity', numbersIn(turn, 'cell')[0]!)],
        2000,
      ),
    ).toEqual([]);
});
