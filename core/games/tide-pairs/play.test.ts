import { describe, expect, it } from 'vitest';
import { numbersIn, paramsOf, plays, tally } from '~/core/games/kit/plays.testing';
import { mostPairs, type TideParams } from './rules';
import { tidePairs } from '.';
import type { Params } from '~/core/games/kit/types';

const TEN: Params = { target: 10 };
const DECKS: Params[] = [
  TEN,
  { ...TEN, zeroCard: 'jack' },
  { ...TEN, missing: ['3H', '7S', '5D'] },
  { ...TEN, ownDecks: true, players: 3 },
];

describe('a play of Tide Pairs', () => {
  it('asks for what makes the target, and only for that', () => {
    for (const target of [5, 10, 15, 20])
      for (const { turns } of plays(
        tidePairs,
        { target, ...(target > 15 ? { players: 2, hand: 5 } : {}) },
        20,
      ))
        for (const turn of turns.filter(({ id }) => id !== 'play.laysAll')) {
          const [own, wanted] = numbersIn(turn, 'own', 'wanted') as [number, number];
          expect(own + wanted).toBe(target);
        }
    for (const { turns } of plays(tidePairs, { target: 'same' }, 20))
      for (const turn of turns.filter(({ id }) => id !== 'play.laysAll')) {
        const [own, wanted] = numbersIn(turn, 'own', 'wanted') as [number, number];
        expect(own).toBe(wanted);
      }
  });

  it('says the whole when a pair is got, and never gets more pairs than the cards allow', () => {
    for (const change of DECKS) {
      const params = paramsOf(tidePairs, change) as unknown as TideParams;
      const most = mostPairs(params) * (params.ownDecks ? params.players : 1);
      for (const { turns } of plays(tidePairs, change, 20)) {
        const got = turns.filter(({ id }) => id === 'play.gets');
        expect(got.length).toBeLessThanOrEqual(most);
        for (const { coach } of got) expect(coach).toMatchObject({ id: 'play.sum', args: { whole: 10 } });
      }
    }
  });

  it('never asks for a number of which every card has been laid', () => {
    // With one deck, a value is laid at most as often as it is there: four of each, or those not missing.
    for (const { turns } of plays(tidePairs, { ...TEN, players: 4, missing: ['AH', 'AS'] }, 40)) {
      const laid = tally(
        turns.filter(({ id }) => id === 'play.gets').flatMap((turn) => numbersIn(turn, 'own', 'wanted')),
      );
      for (const [value, times] of laid)
        expect([value, times <= (value === 1 || value === 9 ? 2 : 4)]).toEqual([value, true]);
    }
  });

  it('goes round the table, and ends with all paired when every card has a partner', () => {
    for (const players of [2, 3, 4, 5]) {
      const all = plays(tidePairs, { ...TEN, players }, 60);
      for (const { turns, outcome } of all) {
        expect(new Set(turns.map(({ player }) => player)).size).toBe(players);
        expect([0, 1]).toContain(outcome.paired);
        expect(turns[0]!.player).toBe(1);
      }
      // Drawing goes on until the pile is empty, so hardly ever is a pair left apart.
      expect(all.filter(({ outcome }) => outcome.paired === 1).length).toBeGreaterThan(54);
    }
  });

  it('lays a drawn pair at once, or a turn later, as the school has it', () => {
    const length = (drawnPair: string) => {
      const all = plays(tidePairs, { ...TEN, drawnPair }, 400);
      return all.reduce((sum, { turns }) => sum + turns.length, 0) / all.length;
    };
    // Waiting a turn never makes the game shorter.
    expect(length('nextTurn')).toBeGreaterThan(length('now'));
  });
});
