import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, printed, reckoningOf } from '~/core/games/kit/testing';
import type { Params } from '~/core/games/kit/types';
import { cupMachine } from '.';

holdsTheShelfLaws(cupMachine, { gives: [['counters']] });

describe('Cup Machine', () => {
  it('holds what its largest problem needs', () => {
    expect(figuresOf('cup-machine', { max: 7, op: 'add' })).toMatchObject({
      counters: 14,
      problemsAvailable: 49,
    });
    expect(figuresOf('cup-machine', { max: 7, op: 'subtract' })).toMatchObject({
      counters: 7,
      problemsAvailable: 28,
    });
  });
});

describe('a play of Cup Machine', () => {
  it('pours together, or back out, within what its cups hold', () => {
    for (const op of ['add', 'subtract'])
      for (const { turns } of plays(cupMachine, { op, max: 6, problems: 9, players: 2 }, 30)) {
        expect(turns).toHaveLength(9);
        expect(inTurn(turns, 2)).toBe(true);
        for (const turn of turns) {
          const [a, b, answer] = numbersIn(turn, 'a', 'b', 'answer') as [number, number, number];
          expect(turn.id).toBe(op === 'add' ? 'play.add' : 'play.subtract');
          expect(answer).toBe(op === 'add' ? a + b : a - b);
          expect([a >= 1 && a <= 6, b >= 1 && b <= 6, answer >= 0]).toEqual([true, true, true]);
          // First a guess, then the counting.
          expect(turn.coach!.id).toBe('play.guess');
        }
      }
  });

  it('draws from a deck, and lays sentences with the signs of its operation', () => {
    const parts = (change: Params) =>
      reckoningOf('cup-machine', change).parts.map(({ material }) => material);
    expect(parts({ source: 'deck' })).toContain('card-deck');
    expect(parts({ source: 'deck' })).not.toContain('number-card');
    for (const [op, sign] of [
      ['add', '+'],
      ['subtract', '−'],
    ]) {
      const cards = printed('cup-machine', { op: op!, signs: true, source: 'deck' }).flatMap((sheet) =>
        (sheet.pieces ?? []).filter(({ material }) => material === 'operation-card').map(({ name }) => name),
      );
      expect(cards).toEqual([sign, '=']);
    }
  });

  it('meets each pair of cards as often as the others', () => {
    for (const op of ['add', 'subtract'] as const)
      expect(
        strangeMeetings(
          cupMachine,
          { op, max: 4 },
          [op],
          (turn) => {
            const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
            return [fact(op, a, b)];
          },
          2000,
        ),
      ).toEqual([]);
  });
});
