import { describe, expect, it } from 'vitest';
import { figuresOf, reckoningOf } from '~/core/games/kit/testing';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, plays } from '~/core/games/kit/plays.testing';
import { clapACount } from '.';

holdsTheShelfLaws(clapACount, { gives: [] });

describe('a play of Clap a Count', () => {
  it.each([2, 5, 10])('counts in %is, group after group, the players in turn', (unit) => {
    for (const { turns } of plays(clapACount, { unit, groups: 4, patterns: 5, players: 3 }, 2)) {
      expect(turns).toHaveLength(5);
      expect(inTurn(turns, 3)).toBe(true);
      for (const { args } of turns) {
        expect(args.unit).toBe(unit);
        expect(String(args.spoken).split(', ').map(Number)).toEqual([unit, 2 * unit, 3 * unit, 4 * unit]);
      }
      // Once by the groups, once by what comes next.
      expect(turns.map(({ coach }) => coach!.id)).toEqual([
        'play.groups',
        'play.next',
        'play.groups',
        'play.next',
        'play.groups',
      ]);
      expect(turns[1]!.coach!.args.end).toBe(4 * unit);
    }
  });
});

it('counts claps and needs no parts', () => {
  expect(figuresOf(clapACount, { unit: 5, groups: 4 })).toEqual({ claps: 20, spoken: 4 });
  expect(reckoningOf(clapACount).parts).toEqual([]);
});
