import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings, tally } from '~/core/games/kit/plays.testing';
import { figuresOf, printed, reckoningOf } from '~/core/games/kit/testing';
import type { Params } from '~/core/games/kit/types';
import { saidOn } from '~/core/paper/testing';
import { frameTrail } from '.';

holdsTheShelfLaws(frameTrail, { gives: [['frames counters problemsAvailable']] });

describe('Frame Trail', () => {
  it('counts its sentences one by one', () => {
    for (const max of [10, 20]) {
      let [add, subtract] = [0, 0];
      for (let a = 1; a <= max; a++)
        for (let b = 1; b <= max; b++) {
          if (a + b <= max) add++;
          if (b <= a) subtract++;
        }
      expect(figuresOf('frame-trail', { max, op: 'add', problems: 6 })).toEqual({
        frames: (6 * max) / 10,
        counters: max,
        problemsAvailable: add,
      });
      expect(figuresOf('frame-trail', { max, op: 'subtract' }).problemsAvailable).toBe(subtract);
    }
  });
});

describe('a play of Frame Trail', () => {
  it('fills on and lifts off within its frames', () => {
    for (const max of [10, 20])
      for (const op of ['add', 'subtract'])
        for (const { turns } of plays(frameTrail, { max, op, problems: 12, players: 2 }, 20)) {
          expect(turns).toHaveLength(12);
          expect(inTurn(turns, 2)).toBe(true);
          for (const turn of turns) {
            const [a, b, answer] = numbersIn(turn, 'a', 'b', 'answer') as [number, number, number];
            expect(answer).toBe(op === 'add' ? a + b : a - b);
            expect([a >= 1 && a <= max, b >= 1, answer >= 0 && answer <= max]).toEqual([true, true, true]);
          }
        }
  });

  it('fills on and lifts the same off again on one frame', () => {
    for (const { turns } of plays(frameTrail, { max: 10, op: 'both', problems: 12 }, 10))
      for (const turn of turns) {
        const [a, b, answer] = numbersIn(turn, 'a', 'b', 'answer') as [number, number, number];
        expect([turn.id, a + b, answer <= 10]).toEqual(['play.both', answer, true]);
      }
    const { practice } = reckoningOf('frame-trail', { op: 'both' });
    for (const { fact: one, meetings } of practice) {
      const back = practice.find(({ fact: other }) =>
        one.op === 'add'
          ? other.op === 'subtract' && other.a === one.answer && other.b === one.b
          : other.op === 'add' && other.answer === one.a && other.b === one.b,
      );
      expect(back?.meetings).toBeCloseTo(meetings, 12);
    }
  });

  it('prints problem sheets that differ, and the same ones for the same mixture', () => {
    const texts = (change: Params) =>
      printed('frame-trail', { problems: 4, problemSheets: 2, ...change })
        .filter(({ use }) => use === 'record')
        .map((sheet) => saidOn(sheet).join(' '));
    const [one, two] = texts({});
    expect(one).not.toBe(two);
    expect(texts({})).toEqual([one, two]);
    expect(texts({ mixed: 2 })).not.toContain(one);
  });

  it('repeats a sentence only when all others have been', () => {
    for (const { turns } of plays(frameTrail, { max: 10, op: 'add', problems: 40 }, 10)) {
      const times = [...tally(turns.map(({ args }) => `${args.a} ${args.b}`)).values()];
      expect(Math.max(...times)).toBe(1);
    }
  });

  it('meets each sentence as often as the others', () => {
    for (const op of ['add', 'subtract'] as const)
      expect(
        strangeMeetings(
          frameTrail,
          { op, problems: 10 },
          [op],
          (turn) => {
            const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
            return [fact(op, a, b)];
          },
          2500,
        ),
      ).toEqual([]);
  });
});
