import { describe, expect, it } from 'vitest';
import { seeded, shuffled } from '~/core/chance/random';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { numbersIn, paramsOf, plays, tally } from '~/core/games/kit/plays.testing';
import { apart, figuresOf, reckoningOf, refusals, sample } from '~/core/games/kit/testing';
import type { Params } from '~/core/games/kit/types';
import { rowCall, type RowParams } from '.';
import { callsAvailable, numbers } from './rules';

holdsTheShelfLaws(rowCall, { gives: [['callsAvailable finish.chance calls.mean tie.chance']] });

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

  it('turns the card that the tradition says', () => {
    const calls = (choose: string) => {
      const { value, error, reason } = reckoningOf('row-call', {
        turn: 'one',
        callFrom: 'secondDeck',
        choose,
      }).explained.find(({ name }) => name === 'calls.mean')!;
      return { mean: value, error: error!, plays: 1, reason };
    };
    const [fullest, any, reading] = ['fullest', 'any', 'reading'].map(calls);
    // A line is full soonest when each card goes where most are turned already.
    expect(fullest!.mean).toBeLessThan(any!.mean);
    expect(fullest!.mean).toBeLessThan(reading!.mean);
    expect(fullest!.reason).toContain('Of several, the one in the fullest line is turned.');
    expect(reading!.reason).toContain('the first, as one reads');
    expect(calls('any')).toEqual(any);
  });

  it('meets a number when it is called and on each card that is turned', () => {
    for (const change of [
      { players: 3 },
      { turn: 'one', callFrom: 'secondDeck', choose: 'any' },
    ] as Params[]) {
      const { practice, simulated } = reckoningOf('row-call', change);
      const all = plays(rowCall, change, 1500);
      const met = all.map(({ turns, outcome }) => turns.length + outcome.matched!);
      const average = met.reduce((a, b) => a + b, 0) / met.length;
      expect(simulated).toBeDefined();
      expect(practice.reduce((sum, { meetings }) => sum + meetings, 0) / average).toBeCloseTo(1, 1);
    }
  });

  it('refuses grids that cannot be laid', () => {
    expect(refusals('row-call', { players: 4, missing: '2S 3S 4S 5S' }).missing).toMatch(
      /36 number cards are left/,
    );
  });
});

const CHANGES: Params[] = [
  {},
  { players: 4, callFrom: 'secondDeck' },
  { win: 'full', callFrom: 'secondDeck' },
  { turn: 'one', callFrom: 'secondDeck', players: 3 },
  { players: 4 },
];

describe('a play of Row Call', () => {
  it.each(CHANGES)(
    'calls cards that there are, and ends with a finished grid or with none left, with %j',
    (change) => {
      const params = paramsOf(rowCall, change) as unknown as RowParams;
      const most = callsAvailable(params, numbers(params).length);
      for (const { turns, outcome } of plays(rowCall, change, 40)) {
        expect(turns.length).toBeLessThanOrEqual(most);
        for (const [value, times] of tally(turns.flatMap((turn) => numbersIn(turn, 'number')))) {
          expect(times).toBeLessThanOrEqual(4);
          expect(value >= 1 && value <= 10).toBe(true);
        }
        const finished = turns.filter(({ id }) => id === 'play.finishes');
        if (outcome.finished === 1) {
          expect(finished).toEqual([turns.at(-1)]);
          expect(outcome.calls).toBe(turns.length);
          expect(turns.at(-1)!.args.calls).toBe(turns.length);
          expect(turns.at(-1)!.player).toBeLessThanOrEqual(params.players);
        } else {
          expect(finished).toEqual([]);
          expect(turns).toHaveLength(most);
          expect(outcome.calls).toBeUndefined();
        }
      }
    },
  );

  it('takes three matches at least for a line, and nine for all', () => {
    for (const [win, least] of [
      ['line', 2],
      ['full', 8],
    ] as const)
      for (const { turns, outcome } of plays(rowCall, { win, turn: 'one', callFrom: 'secondDeck' }, 40)) {
        if (outcome.finished !== 1) continue;
        const matched = turns.slice(0, -1).reduce((sum, { args }) => sum + Number(args.matches), 0);
        expect(matched).toBeGreaterThanOrEqual(least);
      }
  });

  it('says that nobody has a card of it when nobody has', () => {
    for (const { turns } of plays(rowCall, {}, 20))
      for (const { id, args, coach } of turns)
        if (id === 'play.call') expect(coach!.id).toBe(Number(args.matches) > 0 ? 'play.look' : 'play.none');
  });
});
