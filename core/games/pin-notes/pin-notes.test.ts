import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { seeded } from '~/core/chance/random';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { apart, figuresOf, printed, refusals, sample } from '~/core/games/kit/testing';
import { saidOn } from '~/core/paper/testing';
import { pinNotes } from '.';

holdsTheShelfLaws(pinNotes, { gives: [['facts lines spread.mean spread.p90']] });

describe('Pin Notes', () => {
  it('spreads as throwing at pins does', () => {
    const exact = figuresOf('pin-notes', { pins: 8, rolls: 4, cards: 3, knock: 0.35 });
    expect(exact).toMatchObject({ facts: 9, lines: 12 });
    const random = seeded(2);
    const counts: number[] = [];
    const fallen = sample(20_000, () => {
      let down = 0;
      for (let pin = 0; pin < 8; pin++) if (random.chance(0.35)) down++;
      counts.push(down);
      return down;
    });
    expect(apart(exact['spread.mean']!, fallen)).toBeLessThan(4);
    const below = (limit: number) => counts.filter((down) => down <= limit).length / counts.length;
    expect(below(exact['spread.p90']!)).toBeGreaterThan(0.89);
    expect(below(exact['spread.p90']! - 1)).toBeLessThan(0.91);
    expect(refusals('pin-notes', { knock: 0.123 }).knock).toMatch(/in steps of 0\.01/);
  });
});

describe('the sheets of Pin Notes', () => {
  it('score strips that are the same on both sides', () => {
    const [front, back] = printed('pin-notes', { pins: 6, rolls: 4, cards: 2 });
    // All three numbers are the child's to write: four rolls on each of two strips, and the signs over them.
    for (const sheet of [front!, back!]) {
      expect(saidOn(sheet).filter((text) => text === '6')).toEqual([]);
      expect(saidOn(sheet).filter((text) => text === '−')).toHaveLength(10);
    }
  });
});

describe('a play of Pin Notes', () => {
  it('writes for every roll what fell and what stands', () => {
    for (const { turns, outcome } of plays(pinNotes, { pins: 7, rolls: 4, cards: 3 }, 30)) {
      expect(turns).toHaveLength(12);
      expect(inTurn(turns, 3)).toBe(true);
      let fallen = 0;
      for (const turn of turns) {
        const [pins, down, answer] = numbersIn(turn, 'pins', 'down', 'answer') as [number, number, number];
        expect([pins, down + answer, down >= 0 && down <= 7]).toEqual([7, 7, true]);
        expect(turn.coach!.id).toBe(down === 0 ? 'play.none' : down === 7 ? 'play.all' : 'play.standing');
        fallen += down;
      }
      expect(outcome.down).toBeCloseTo(fallen / 12, 12);
    }
  });

  it('knocks down as many as the stated chance says', () => {
    for (const knock of [0.2, 0.5, 0.9]) {
      const all = plays(pinNotes, { pins: 10, rolls: 10, cards: 1, knock }, 200).map(
        ({ outcome }) => outcome.down!,
      );
      const mean = all.reduce((a, b) => a + b, 0) / all.length;
      expect(Math.abs(mean - 10 * knock)).toBeLessThan(4 * Math.sqrt((10 * knock * (1 - knock)) / 2000));
    }
  });

  it('meets each sentence as often as it reckons', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => {
      const [pins, down] = numbersIn(turn, 'pins', 'down') as [number, number];
      return [fact('subtract', pins, down)];
    };
    expect(strangeMeetings(pinNotes, { pins: 6, knock: 0.4 }, ['subtract'], met, 2000)).toEqual([]);
  });
});
