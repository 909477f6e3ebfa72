import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DECK, deckWithout } from '~/core/cards/deck';
import { seeded } from '~/core/chance/random';
import { FULL } from '~/core/chance/simulate';
import { settle } from '~/core/games/kit/game';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { numbersIn, paramsOf, plays, tally } from '~/core/games/kit/plays.testing';
import { apart, figuresOf, noticesOf, reckoningOf, refusals } from '~/core/games/kit/testing';
import type { Params } from '~/core/games/kit/types';
import { gameOf } from '~/core/games/shelf';
import { tidePairs, type TideParams } from '.';
import { mostPairs, pairing } from './rules';

holdsTheShelfLaws(tidePairs, {
  gives: [['kept removed pairs leftover dealable turns.mean turns.p90 allPaired.chance']],
});

/** The most pairs, by trying every pairing. */
function mostByTrying(values: readonly number[], target: number | undefined): number {
  const [first, ...rest] = values;
  if (first === undefined) return 0;
  let best = mostByTrying(rest, target);
  const tried = new Set<number>();
  rest.forEach((other, i) => {
    if (tried.has(other) || (target === undefined ? first !== other : first + other !== target)) return;
    tried.add(other);
    best = Math.max(best, 1 + mostByTrying([...rest.slice(0, i), ...rest.slice(i + 1)], target));
  });
  return best;
}

describe('Tide Pairs', () => {
  it('keeps the cards that have a partner', () => {
    expect(figuresOf('tide-pairs', { target: 10 })).toMatchObject({
      kept: 36,
      removed: 16,
      pairs: 18,
      leftover: 0,
      dealable: 1,
    });
    expect(figuresOf('tide-pairs', { target: 10, zeroCard: 'jack' })).toMatchObject({ kept: 44, pairs: 22 });
    expect(figuresOf('tide-pairs', { target: 'same' })).toMatchObject({ kept: 52, removed: 0, pairs: 26 });
    expect(figuresOf('tide-pairs', { target: 15 })).toMatchObject({ kept: 24, pairs: 12 });
  });

  it('pairs as many as trying everything does', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 10 }), { maxLength: 11 }),
        fc.constantFrom(undefined, 5, 8, 10),
        (values, target) => {
          const { pairs, leftover } = pairing(values, target);
          expect(pairs).toBe(mostByTrying(values, target));
          expect(leftover).toHaveLength(values.length - 2 * pairs);
        },
      ),
    );
  });

  it('says which card is left over, and mends it by taking one out', () => {
    const { notices, figures } = reckoningOf('tide-pairs', { target: 10, missing: ['7H'] });
    expect(figures.leftover).toBe(1);
    const notice = notices.find((one) => one.code === 'leftover')!;
    expect(notice.text).toMatch(/\(3\) can never pair/);
    expect(notice.mend!.label).toBe('Take 3♠ out');
    expect(figuresOf('tide-pairs', notice.mend!.params).leftover).toBe(0);
  });

  it('agrees with itself under another seed, within four standard errors', () => {
    const one = reckoningOf('tide-pairs', { target: 10 }, { ...FULL, seed: 5 });
    const other = reckoningOf('tide-pairs', { target: 10 }, { ...FULL, seed: 77 });
    for (const name of ['turns.mean', 'allPaired.chance']) {
      const [a, b] = [one, other].map((of) => of.explained.find((figure) => figure.name === name)!);
      expect(apart(a!.value, { mean: b!.value, error: b!.error!, plays: 1 }, a!.error)).toBeLessThan(4);
    }
  });

  it('with everything dealt out and nothing drawn needs exactly one turn for each pair that was split', () => {
    // Ten cards, five pairs of aces and nines and so on, two hands of five: each asks for what the other has.
    const missing = DECK.filter(
      (card) => !['AS', '9S', '2S', '8S', '3S', '7S', '4S', '6S', '5S', '5H'].includes(card),
    );
    const game = gameOf('tide-pairs');
    const params = {
      ...game.presets.find((one) => one.id === 'ten')!.params,
      missing,
    } as unknown as TideParams;
    for (let seed = 0; seed < 200; seed++) {
      const turns = [...settle(game, params).play(seeded(seed))];
      const asked = turns.filter((turn) => turn.id === 'play.gets').length;
      expect(asked).toBeLessThanOrEqual(5);
      expect(turns.every((turn) => turn.id === 'play.gets' || turn.id === 'play.laysAll')).toBe(true);
    }
    expect(figuresOf('tide-pairs', { target: 10, missing })['allPaired.chance']).toBe(1);
  });

  it('refuses a target no two cards make, and says when hands cannot be dealt', () => {
    expect(refusals('tide-pairs', { target: 20, missing: ['10S', '10H', '10D', '10C'] })).toEqual({
      target: 'No two cards of this deck make this target.',
    });
    expect(noticesOf('tide-pairs', { target: 20 })).toContain('not-dealable');
    expect(refusals('tide-pairs', { target: 4 }).target).toMatch(/^Target must be one of: same/);
  });

  it('is audited with cards missing, and with two decks', () => {
    const game = gameOf('tide-pairs');
    const params = game.presets.find((one) => one.id === 'ten')!.params;
    expect(settle(game, params).audit(DECK)).toEqual({
      verdict: 'plays',
      note: '18 pairs, nothing left over.',
    });
    expect(settle(game, params).audit(deckWithout(['7H']))).toMatchObject({
      verdict: 'playsWithNote',
      note: expect.stringMatching(/17 pairs\. Take out 3/),
    });
    expect(settle(game, params).audit(DECK.slice(0, 9)).verdict).toBe('doesNotPlay');
    const two = [...deckWithout(['7H']), ...deckWithout(['3C'])];
    expect(settle(game, params).audit(two)).toEqual({
      verdict: 'plays',
      note: '35 pairs, nothing left over.',
    });
  });
});

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

  it('with own decks goes on while somebody can draw, and no pile keeps a game alive whose player is done', () => {
    for (const players of [2, 3, 5])
      for (const { outcome } of plays(tidePairs, { ...TEN, ownDecks: true, players }, 40))
        expect(outcome.paired).toBe(1);
    for (const { turns } of plays(tidePairs, { ...TEN, ownDecks: true, refill: 0 }, 60)) {
      // Who has laid the last card says nothing more, and every turn draws one of 31 cards or lays some.
      for (const player of [1, 2]) {
        const done = turns.findIndex((turn) => turn.player === player && turn.id === 'play.laysAll');
        if (done >= 0) expect(turns.slice(done + 1).some((turn) => turn.player === player)).toBe(false);
      }
      expect(turns.length).toBeLessThan(110);
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

it('leaves turns.mean out where there is none, and says why', () => {
  const { figures, notices } = reckoningOf(tidePairs, { target: 20, players: 4 }, { ...FULL, plays: 200 });
  expect(figures).not.toHaveProperty(['turns.mean']);
  expect(notices.filter(({ severity }) => severity === 'stop').map(({ code }) => code)).toContain(
    'not-dealable',
  );
});

describe('the simulated figures of Tide Pairs', () => {
  it('say how, and come out the same for the same seed', () => {
    const once = reckoningOf(tidePairs, {}, { ...FULL, plays: 500 });
    expect(once.simulated).toEqual({ seed: 1, plays: 500 });
    expect(once.explained.find((one) => one.name === 'turns.mean')!.error).toBeGreaterThan(0);
    expect(reckoningOf(tidePairs, {}, { ...FULL, plays: 500 }).figures).toEqual(once.figures);
    expect(reckoningOf(tidePairs, {}, { ...FULL, plays: 500, seed: 2 }).figures).not.toEqual(once.figures);
  });
  it('tell how far they are', () => {
    const shares: number[] = [];
    reckoningOf(tidePairs, {}, { ...FULL, plays: 1000, progress: (share) => shares.push(share) });
    expect(shares.length).toBeGreaterThan(2);
    expect(shares.every((share) => share > 0 && share <= 1)).toBe(true);
  });
});
