import { describe, expect, it } from 'vitest';
import { numbersIn, plays } from '~/core/games/kit/plays.testing';
import { pebbleCourt } from '.';

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
