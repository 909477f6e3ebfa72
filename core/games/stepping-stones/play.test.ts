import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { numbersIn, paramsOf, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { assume, type Params, type Turn } from '~/core/games/kit/types';
import { steppingStones } from '.';

const read = (turn: Turn) => {
  const [rolled, before, stone] = numbersIn(turn, 'rolled', 'before', 'stone') as [number, number, number];
  return { rolled, before, stone };
};

describe('a play of Stepping Stones', () => {
  it('walks on by what was rolled, everyone from the stone they stood on', () => {
    for (const change of [{ players: 3 }, { length: 20, dice: 2 }, { finish: 'exact' }] as Params[]) {
      const { length, players, finish } = paramsOf(steppingStones, change) as {
        length: number;
        players: number;
        finish: string;
      };
      for (const { turns, outcome } of plays(steppingStones, change, 40)) {
        const at = new Array<number>(players).fill(0);
        turns.forEach((turn, i) => {
          expect(turn.player).toBe((i % players) + 1);
          const { rolled, before, stone } = read(turn);
          expect(before).toBe(at[turn.player - 1]);
          const wanted = before + rolled;
          if (wanted <= length) expect(stone).toBe(wanted);
          else expect(stone).toBe(finish === 'exact' ? before : length);
          expect(turn.id === 'play.waits').toBe(stone === before);
          expect(turn.id === 'play.home').toBe(i === turns.length - 1);
          at[turn.player - 1] = stone;
        });
        expect(outcome.rounds).toBe(Math.ceil(turns.length / players));
      }
    }
  });

  it('says what is needed when a roll would pass', () => {
    const waits = plays(steppingStones, { finish: 'exact' }, 60).flatMap(({ turns }) =>
      turns.filter(({ id }) => id === 'play.waits'),
    );
    expect(waits.length).toBeGreaterThan(20);
    for (const turn of waits) {
      const { rolled, before } = read(turn);
      expect(turn.coach).toEqual({ id: 'play.need', args: { need: 10 - before } });
      expect(rolled).toBeGreaterThan(10 - before);
    }
  });

  it('goes to the end and comes back, taking away', () => {
    for (const { turns } of plays(steppingStones, { back: 'subtract', players: 1 }, 40)) {
      const turned = turns.findIndex((turn) => read(turn).stone === 10);
      expect(turned).toBeGreaterThan(0);
      for (const [i, turn] of turns.entries()) {
        const { before, stone, rolled } = read(turn);
        if (i <= turned) expect(stone).toBe(Math.min(10, before + rolled));
        else expect(stone).toBe(Math.max(0, before - rolled));
      }
      expect(read(turns.at(-1)!).stone).toBe(0);
    }
  });

  it('meets each sum as often as it reckons, alone on the path', () => {
    const met = (turn: Turn) => {
      const { before, stone } = read(turn);
      return stone > before
        ? [fact('add', before, stone - before)]
        : stone < before
          ? [fact('subtract', before, before - stone)]
          : [];
    };
    for (const change of [
      { players: 1 },
      { players: 1, finish: 'exact' },
      { players: 1, back: 'subtract' },
    ] as Params[])
      expect([
        change,
        strangeMeetings(steppingStones, change, change.back ? ['add', 'subtract'] : ['add'], met, 3000),
      ]).toEqual([change, []]);
  });

  it('gets home as fast as it reckons', () => {
    const { figures } = steppingStones.reckon(
      paramsOf(steppingStones, { players: 3, finish: 'exact' }),
      assume('K'),
    );
    const rounds = plays(steppingStones, { players: 3, finish: 'exact' }, 3000).map(
      ({ outcome }) => outcome.rounds!,
    );
    const mean = rounds.reduce((a, b) => a + b, 0) / rounds.length;
    const spread = Math.sqrt(rounds.reduce((sum, n) => sum + (n - mean) ** 2, 0) / rounds.length);
    expect(Math.abs(mean - (figures['firstHome.mean'] as number))).toBeLessThan(
      (4 * spread) / Math.sqrt(rounds.length),
    );
  });
});
