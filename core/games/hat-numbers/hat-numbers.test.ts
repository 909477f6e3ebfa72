import { describe, expect, it } from 'vitest';
import { DECK, deckWithout } from '~/core/cards/deck';
import { fact } from '~/core/cards/facts';
import { settle, startOf } from '~/core/games/kit/game';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, paramsOf, plays, strangeMeetings, tally } from '~/core/games/kit/plays.testing';
import { figuresOf, noticesOf } from '~/core/games/kit/testing';
import type { Params } from '~/core/games/kit/types';
import { gameOf } from '~/core/games/shelf';
import { hatNumbers, type HatParams } from '.';
import { values } from './reckon';

holdsTheShelfLaws(hatNumbers, { gives: [['rounds call.min call.max distinctFacts undetermined.chance']] });

describe('Hat Numbers', () => {
  it('has the calls and facts of listing every pair', () => {
    const values = DECK.map((card) => {
      const size = card.startsWith('A') ? 1 : Number.parseInt(card, 10);
      return 'HD'.includes(card.at(-1)!) ? -size : size;
    }).filter((value) => Number.isFinite(value));
    const pairs = new Set<string>();
    let [least, most] = [Infinity, -Infinity];
    for (let i = 0; i < values.length; i++)
      for (let j = i + 1; j < values.length; j++) {
        const [a, b] = [values[i]!, values[j]!].sort((x, y) => x - y) as [number, number];
        pairs.add(`${a} ${b}`);
        [least, most] = [Math.min(least, a + b), Math.max(most, a + b)];
      }
    expect(figuresOf('hat-numbers', { signed: true })).toMatchObject({
      rounds: 20,
      'call.min': least,
      'call.max': most,
      distinctFacts: pairs.size,
      'undetermined.chance': 0,
    });
  });
  it('knows how often a zero hides the other hat', () => {
    // At least one of two cards is one of the four kings among 44.
    expect(figuresOf('hat-numbers', { op: 'multiply', faces: 'zero' })['undetermined.chance']).toBeCloseTo(
      1 - (40 * 39) / (44 * 43),
      12,
    );
    expect(noticesOf('hat-numbers', { op: 'multiply', faces: 'zero' })).toContain('zero-hides');
    expect(figuresOf('hat-numbers', { op: 'add', faces: 'zero' })['undetermined.chance']).toBe(0);
  });
  it('is audited by rounds', () => {
    const game = gameOf('hat-numbers');
    expect(settle(game, startOf(game)).audit(deckWithout(['2S', '3S']))).toEqual({
      verdict: 'playsWithNote',
      note: '1 round fewer: 19.',
    });
  });
});

const CHANGES: Params[] = [{}, { op: 'multiply' }, { signed: true }, { op: 'multiply', faces: 'zero' }];

describe('a play of Hat Numbers', () => {
  it('calls what both hats make, each card once, the caller going round', () => {
    for (const change of CHANGES) {
      const params = paramsOf(hatNumbers, change) as unknown as HatParams;
      const deck = tally(values(params));
      for (const { turns, outcome } of plays(hatNumbers, change, 10)) {
        expect(turns).toHaveLength(Math.floor(values(params).length / 2));
        expect(inTurn(turns, 3)).toBe(true);
        for (const [value, times] of tally(turns.flatMap((turn) => numbersIn(turn, 'a', 'b'))))
          expect(times).toBeLessThanOrEqual(deck.get(value)!);
        for (const turn of turns) {
          const [a, b, said] = numbersIn(turn, 'a', 'b', 'said') as [number, number, number];
          expect(said).toBe(params.op === 'add' ? a + b : a * b);
          // A zero on one hat leaves the other open: nobody can work it out.
          expect(turn.id === 'play.unknown').toBe(params.op === 'multiply' && a * b === 0);
        }
        const unknown = turns.filter(({ id }) => id === 'play.unknown').length;
        expect(outcome.unknown).toBeCloseTo(unknown / turns.length, 12);
      }
    }
  });

  it('has red cards below zero, as many as black ones above', () => {
    const all = values(paramsOf(hatNumbers, { signed: true }) as unknown as HatParams);
    expect(all.filter((value) => value < 0)).toHaveLength(all.filter((value) => value > 0).length);
  });

  it('meets sums as often as it reckons', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => {
      const [a, b] = numbersIn(turn, 'a', 'b').sort((x, y) => x - y) as [number, number];
      return [fact('add', a, b)];
    };
    // Pairs are reckoned with the smaller number first.
    expect(strangeMeetings(hatNumbers, {}, ['add'], met, 1500)).toEqual([]);
  });
});
