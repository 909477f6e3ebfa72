import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { seeded } from '~/core/chance/random';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { apart, figuresOf, printed, reckoningOf, sample, setting } from '~/core/games/kit/testing';
import { assume, type Params } from '~/core/games/kit/types';
import { skylineRolls } from '.';

holdsTheShelfLaws(skylineRolls, {
  gives: [
    ['perPlayer.mean perPlayer.p95 kit.p95 kit.max towerMm.p95'],
    ['rollsToReach.mean rollsToReach.p90', { goal: 'reach' }],
  ],
});

describe('Skyline Rolls', () => {
  it('needs 83 blocks for two players and five rolls of two dice, and at most 120', () => {
    expect(figuresOf('skyline-rolls', { dice: 2, goal: 'rolls', rolls: 5, players: 2 })).toMatchObject({
      'perPlayer.mean': expect.closeTo(35, 10) as number,
      'perPlayer.p95': 44,
      'kit.p95': 83,
      'kit.max': 120,
      'towerMm.p95': 44 * 20,
    });
    expect(figuresOf('skyline-rolls', { dice: 2, goal: 'rolls', rolls: 5, players: 1 })['kit.max']).toBe(60);
  });
  it('reaches 50 as fast as rolling does', () => {
    const exact = figuresOf('skyline-rolls', { dice: 2, goal: 'reach', reach: 50 });
    const random = seeded(6);
    let blocks = 0;
    const rolls = sample(20_000, () => {
      let [total, n] = [0, 0];
      for (; total < 50; n++) total += random.whole(1, 6) + random.whole(1, 6);
      blocks += total / 20_000;
      return n;
    });
    expect(apart(exact['rollsToReach.mean']!, rolls)).toBeLessThan(4);
    expect(exact['perPlayer.mean']).toBeCloseTo(blocks, 0);
    expect(exact['kit.max']).toBe(2 * (49 + 12));
  });
});

const figures = (change: Params) =>
  setting(skylineRolls, change).reckon(assume('g1')).figures as Record<string, number>;

describe('tens of another kind', () => {
  it('needs as many ten-rods and loose cubes as trading does', () => {
    const params = { dice: 2, rolls: 6, players: 3, trade: 'rods' };
    const parts = reckoningOf('skyline-rolls', params).parts;
    const rods = parts.find(({ material }) => material === 'ten-rod')!;
    const cubes = parts.find(({ material }) => material === 'cube')!;
    const random = seeded(4);
    let most = 0;
    const traded = sample(20_000, () => {
      const ones = [0, 0, 0];
      let tens = 0;
      for (let round = 0; round < 6; round++)
        for (let player = 0; player < 3; player++) {
          ones[player]! += random.whole(1, 6) + random.whole(1, 6);
          most = Math.max(
            most,
            ones.reduce((a, b) => a + b, 0),
          );
          tens += Math.floor(ones[player]! / 10);
          ones[player]! %= 10;
        }
      return tens;
    });
    expect(apart(rods.expected, traded)).toBeLessThan(4);
    expect(most).toBeLessThanOrEqual(cubes.worst);
    expect(cubes.worst).toBe(9 * 3 + 12);
  });

  it('prints strips that go on where the one before ends, to the length of a skyline', () => {
    const strips = printed('skyline-rolls', { measure: true, rolls: 10, blockMm: 20 }).flatMap((sheet) =>
      (sheet.pieces ?? []).filter(({ material, spare }) => material === 'measuring-strip' && !spare),
    );
    const { figures } = reckoningOf('skyline-rolls', { measure: true, rolls: 10, blockMm: 20 });
    expect(strips.length * 180).toBeGreaterThanOrEqual(figures['towerMm.p95'] as number);
    expect((strips.length - 1) * 180).toBeLessThan(figures['towerMm.p95'] as number);
    for (const { w } of strips) expect(w).toBe(180);
  });
});

describe('a play of Skyline Rolls', () => {
  it.each([1, 2, 3])('adds up what %i dice show, and reads it as tens and ones', (dice) => {
    for (const { turns, outcome } of plays(skylineRolls, { dice, rolls: 6, players: 3 }, 30)) {
      expect(turns).toHaveLength(18);
      expect(inTurn(turns, 3)).toBe(true);
      const totals = [0, 0, 0];
      for (const turn of turns) {
        const [rolled, total, tens, ones] = numbersIn(turn, 'rolled', 'total', 'tens', 'ones') as [
          number,
          number,
          number,
          number,
        ];
        expect(rolled >= dice && rolled <= 6 * dice).toBe(true);
        totals[turn.player - 1]! += rolled;
        expect(total).toBe(totals[turn.player - 1]);
        expect([10 * tens + ones, ones < 10]).toEqual([total, true]);
        expect(turn.coach!.id).toBe(ones === 0 ? 'play.full' : 'play.tens');
      }
      expect(outcome.blocks).toBe(totals.reduce((a, b) => a + b, 0));
    }
  });

  it.each([50, 100])('ends as soon as one player has %i', (reach) => {
    for (const { turns } of plays(skylineRolls, { goal: 'reach', reach, players: 2 }, 40)) {
      expect(turns.slice(0, -1).every(({ args }) => Number(args.total) < reach)).toBe(true);
      expect(Number(turns.at(-1)!.args.total)).toBeGreaterThanOrEqual(reach);
    }
  });

  it('has blocks enough in 95 of 100 plays, and at most in every one', () => {
    const change = { dice: 2, rolls: 5, players: 2 };
    const { 'kit.p95': enough, 'kit.max': most, 'perPlayer.mean': each } = figures(change);
    const blocks = plays(skylineRolls, change, 4000).map(({ outcome }) => outcome.blocks!);
    const within = blocks.filter((n) => n <= enough!).length / blocks.length;
    expect(within).toBeGreaterThan(0.95 - 4 * Math.sqrt((0.95 * 0.05) / blocks.length));
    expect(blocks.filter((n) => n < enough!).length / blocks.length).toBeLessThan(0.95 + 0.014);
    expect(Math.max(...blocks)).toBeLessThanOrEqual(most!);
    const mean = blocks.reduce((a, b) => a + b, 0) / blocks.length;
    // Twenty dice with a variance of 35/12 each.
    expect(Math.abs(mean - 2 * each!)).toBeLessThan(4 * Math.sqrt((20 * 35) / 12 / blocks.length));
  });

  it('reaches its number in as many rolls as it reckons', () => {
    const change = { goal: 'reach', reach: 50, players: 1 };
    const { 'rollsToReach.mean': mean, 'rollsToReach.p90': p90 } = figures(change);
    const rolls = plays(skylineRolls, change, 3000).map(({ turns }) => turns.length);
    expect(Math.abs(rolls.reduce((a, b) => a + b, 0) / rolls.length - mean!)).toBeLessThan(
      4 * (1 / Math.sqrt(3000)) * 1.2,
    );
    expect(rolls.filter((n) => n <= p90!).length / rolls.length).toBeGreaterThan(0.9 - 0.022);
  });
});

it('reads each height as often as its plays do, in a number of rolls and on the way to a number', () => {
  for (const change of [
    { dice: 2, rolls: 4, players: 3 },
    { dice: 1, goal: 'reach', reach: 50, players: 3 },
  ] as Params[])
    expect(
      strangeMeetings(
        skylineRolls,
        change,
        ['tens'],
        (turn) => {
          const [tens, ones] = numbersIn(turn, 'tens', 'ones') as [number, number];
          return [fact('tens', tens, ones)];
        },
        3000,
      ),
    ).toEqual([]);
});
