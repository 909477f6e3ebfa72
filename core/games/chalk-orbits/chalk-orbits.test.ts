import { describe, expect, it } from 'vitest';
import { mean } from '~/core/chance/pmf';
import { seeded } from '~/core/chance/random';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { numbersIn, plays } from '~/core/games/kit/plays.testing';
import {
  apart,
  figuresOf,
  noticesOf,
  printed,
  reckoningOf,
  refusals,
  sample,
  setting,
} from '~/core/games/kit/testing';
import { assume, type Params } from '~/core/games/kit/types';
import { circles, saidOn } from '~/core/paper/testing';
import { chalkOrbits, type OrbitParams } from '.';
import { bagScore, roundsOf, teamScore } from './odds';

holdsTheShelfLaws(chalkOrbits, { gives: [['areaM2 score.mean score.p10 score.p90 draw.chance']] });

describe('Chalk Orbits', () => {
  const base = reckoningOf('chalk-orbits', {});
  const params: OrbitParams = {
    circles: 12,
    diameterMm: 800,
    gapMm: 200,
    numbers: Array.from({ length: 12 }, (_, i) => i + 1),
    bags: 3,
    op: 'add',
    miss: 'zero',
    hit: 0.6,
    bestOf: 3,
    sizes: 'same',
    smallMm: 500,
    plans: 'one',
    sides: 'teams',
    counts: 'inside',
  };
  it('scores as throwing does', () => {
    for (const op of ['add', 'multiply'] as const)
      for (const miss of ['zero', 'again'] as const) {
        const exact = figuresOf('chalk-orbits', { ...params, op, miss });
        const random = seeded(4);
        const bag = (): number => (miss === 'again' || random.chance(0.6) ? random.whole(1, 12) : 0);
        const team = (): number => [bag(), bag(), bag()].reduce((a, b) => (op === 'add' ? a + b : a * b));
        expect(apart(exact['score.mean']!, sample(20_000, team))).toBeLessThan(4);
        expect(
          apart(
            exact['draw.chance']!,
            sample(20_000, () => (team() === team() ? 1 : 0)),
          ),
        ).toBeLessThan(4);
      }
    expect(mean(bagScore(params))).toBeCloseTo(0.6 * 6.5, 10);
    expect(mean(teamScore(params))).toBeCloseTo(3 * 0.6 * 6.5, 10);
    expect(base.figures['score.p10']).toBeLessThanOrEqual(base.figures['score.p90'] as number);
  });
  it('lays twelve circles in three rows of four, and ends a best of three', () => {
    expect(figuresOf('chalk-orbits', { ...params }).areaM2).toBeCloseTo(3.8 * 2.8, 10);
    // Without draws: two rounds half of the time, else three.
    expect(mean(roundsOf(3, 0))).toBeCloseTo(2.5, 10);
    expect(mean(roundsOf(1, 0.5))).toBeCloseTo(2, 6);
  });
  it('scores circles of two sizes and several fields as throwing does', () => {
    const random = seeded(9);
    // 1 and 2 in wide circles, 3 and 4 in narrow ones of half the width: a quarter of the area.
    const narrow = {
      circles: 4,
      numbers: [1, 4, 2, 3],
      bags: 3,
      sizes: 'two',
      diameterMm: 800,
      smallMm: 400,
    };
    const hits = [1, 1, 1, 1, 2, 2, 2, 2, 3, 4];
    const bag = (): number => (random.chance(0.6) ? hits[random.whole(0, 9)]! : 0);
    expect(
      apart(
        figuresOf('chalk-orbits', narrow)['score.mean']!,
        sample(20_000, () => bag() + bag() + bag()),
      ),
    ).toBeLessThan(4);
    // Three fields: as set, halves (rounded up), twice.
    const three = { circles: 3, numbers: [3, 4, -5], bags: 4, plans: 'both', miss: 'again' };
    const fields = [
      [3, 4, -5],
      [2, 2, -3],
      [6, 8, -10],
    ];
    const team = (): number =>
      [0, 1, 2, 0].reduce((total, of) => total + fields[of]![random.whole(0, 2)]!, 0);
    const exact = figuresOf('chalk-orbits', three);
    expect(apart(exact['score.mean']!, sample(20_000, team))).toBeLessThan(4);
    expect(
      apart(
        exact['draw.chance']!,
        sample(20_000, () => Number(team() === team())),
      ),
    ).toBeLessThan(4);
    expect(
      printed('chalk-orbits', three).map((sheet) => saidOn(sheet).filter((t) => /^−?\d+$/.test(t))),
    ).toEqual([
      ['3', '4', '−5'],
      ['2', '2', '−3'],
      ['6', '8', '−10'],
    ]);
  });

  it('lets one child compare two sums', () => {
    const { practice, players, length } = reckoningOf('chalk-orbits', { sides: 'alone', bags: 2, bestOf: 4 });
    const compared = practice.filter(({ fact }) => fact.op === 'compare');
    expect(compared.reduce((total, one) => total + one.meetings, 0)).toBeCloseTo(4, 9);
    expect(players).toMatchObject({ fewest: 1, most: 1, alone: true });
    expect(mean(length.turns)).toBe(8);
    for (const { turns } of plays(chalkOrbits, { ...BASE, sides: 'alone' }, 20))
      for (const { id, args } of turns)
        if (id === 'play.sign') {
          const [a, b] = [Number(args.a), Number(args.b)];
          expect(args.sign).toBe(a < b ? '<' : a > b ? '>' : '=');
          expect(args.b).toBe(args.answer);
        }
    expect(refusals('chalk-orbits', { sides: 'alone', op: 'multiply', bags: 2 }).op).toMatch(/compares sums/);
    expect(refusals('chalk-orbits', { plans: 'both', bags: 2 }).bags).toMatch(/at least 3 bags/);
    expect(noticesOf('chalk-orbits', { counts: 'touch', gapMm: 50 })).toContain('touches-two');
  });

  it('refuses products nobody can work out', () => {
    expect(refusals('chalk-orbits', { op: 'multiply', bags: 5 }).bags).toMatch(/at most 4 bags/);
    expect(noticesOf('chalk-orbits', { op: 'multiply', bags: 2, miss: 'zero' })).toContain('zero-product');
  });
});

describe('the sheets of Chalk Orbits', () => {
  it('plans with their measures in both languages', () => {
    const [orbits] = printed('chalk-orbits');
    const said = saidOn(orbits!).join(' ');
    expect(said).toContain('80 cm');
    expect(said).toMatch(/Radius on the string: 40 cm/);
    expect(said).toMatch(/Radio en la cuerda: 40 cm/);
    expect(said).toContain('Throwing line');
    const round = circles(orbits!.shapes);
    expect(round).toHaveLength(6);
    // To scale: the gap is a quarter of a circle.
    const [a, b] = round as [(typeof round)[0], (typeof round)[0]];
    expect((b.x - a.x - 2 * a.radius) / (2 * a.radius)).toBeCloseTo(200 / 800, 6);
    const [court] = printed('pebble-court', { place: 'paper' });
    expect(saidOn(court!).join(' ')).not.toContain('Throwing line');
    const [hop] = printed('answer-hop');
    expect(saidOn(hop!)).toEqual(expect.arrayContaining(['0', '9', '+', '=']));
  });
});

const BASE: Params = { circles: 6, numbers: [1, 2, 3, 4, 5, 6], bags: 3, bestOf: 3 };

describe('a play of Chalk Orbits', () => {
  it('adds or multiplies what the bags of a team hit, a miss being nothing', () => {
    for (const op of ['add', 'multiply'])
      for (const { turns, outcome } of plays(chalkOrbits, { ...BASE, op, bags: 2 }, 40)) {
        turns.forEach((turn, i) => {
          const thrown = String(turn.args.thrown)
            .split(op === 'add' ? ' + ' : ' × ')
            .map(Number);
          expect(thrown).toHaveLength(2);
          expect(thrown.every((n) => n >= 0 && n <= 6)).toBe(true);
          expect(turn.args.answer).toBe(thrown.reduce((a, b) => (op === 'add' ? a + b : a * b)));
          // The teams throw in turn.
          expect(turn.player).toBe((i % 2) + 1);
        });
        expect(outcome.score).toBe(turns[0]!.args.answer);
      }
  });

  it.each([1, 3, 5, 7])('ends the best of %i when one team has won the greater half', (bestOf) => {
    for (const { turns } of plays(chalkOrbits, { ...BASE, bestOf }, 40)) {
      expect(turns.length % 2).toBe(0);
      const wins = [0, 0];
      for (let i = 0; i < turns.length; i += 2) {
        // Nobody had won before this round.
        expect(Math.max(...wins)).toBeLessThan((bestOf + 1) / 2);
        const [a, b] = [numbersIn(turns[i]!, 'answer')[0]!, numbersIn(turns[i + 1]!, 'answer')[0]!];
        if (a !== b) wins[a > b ? 0 : 1]!++;
      }
      expect(Math.max(...wins)).toBe((bestOf + 1) / 2);
    }
  });

  it('misses as often as it is told, and never where a miss is thrown again', () => {
    const misses = (change: Params) => {
      const bags = plays(chalkOrbits, { ...BASE, ...change }, 300).flatMap(({ turns }) =>
        turns.flatMap(({ args }) => String(args.thrown).split(' + ')),
      );
      return { share: bags.filter((bag) => bag === '0').length / bags.length, of: bags.length };
    };
    expect(misses({ miss: 'again', hit: 0.2 }).share).toBe(0);
    for (const hit of [0.3, 0.6, 1]) {
      const { share, of } = misses({ hit });
      expect(Math.abs(share - (1 - hit))).toBeLessThan(5 * Math.sqrt((hit * (1 - hit)) / of) + 1e-9);
    }
  });

  it('scores as it reckons', () => {
    const change: Params = { ...BASE, bags: 4, hit: 0.5 };
    const { figures } = setting(chalkOrbits, change).reckon(assume('g2'));
    const scores = plays(chalkOrbits, change, 3000).map(({ outcome }) => outcome.score!);
    const mean = scores.reduce((a, b) => a + b, 0) / scores.length;
    const spread = Math.sqrt(scores.reduce((sum, n) => sum + (n - mean) ** 2, 0) / scores.length);
    expect(Math.abs(mean - (figures['score.mean'] as number))).toBeLessThan(
      (4 * spread) / Math.sqrt(scores.length),
    );
    const below = scores.filter((n) => n <= (figures['score.p90'] as number)).length / scores.length;
    expect(below).toBeGreaterThan(0.9 - 0.022);
  });
});
