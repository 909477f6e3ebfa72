import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { pinNotes } from '.';

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
