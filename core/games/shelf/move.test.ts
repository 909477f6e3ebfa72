import { LINES } from '~/core/games/kit/nine-cells';
import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { apply, type Sign } from '~/core/cards/facts';
import { bagScore, roundsOf, teamScore } from '~/core/games/chalk-orbits/odds';
import type { OrbitParams } from '~/core/games/chalk-orbits/rules';
import { fittingAfter } from '~/core/games/spot-my-shape/reckon';
import { SQUARE, TARGET } from '~/core/games/three-stones/rules';
import { mean } from '~/core/chance/pmf';
import { apart, figuresOf, noticesOf, reckoningOf, refusals, sample } from '~/core/games/kit/testing';

describe('Stepping Stones', () => {
  it('takes 7.588 turns on a path of 10 with one die and the exact roll', () => {
    expect(figuresOf('stepping-stones', { length: 10, dice: 1, finish: 'exact' })['turns.mean']).toBeCloseTo(
      7.588,
      3,
    );
  });
  it.each([
    { length: 20, dice: 1, finish: 'exact', back: 'subtract' },
    { length: 10, dice: 1, finish: 'reach', back: 'subtract' },
    { length: 20, dice: 2, finish: 'reach', back: 'none' },
  ])('walks as rolling does: %j', (params) => {
    const exact = figuresOf('stepping-stones', { ...params, players: 3 });
    const random = seeded(12);
    const walk = (): number => {
      let [turns, ways] = [0, params.back === 'none' ? 1 : 2];
      for (let left = params.length; ways > 0;) {
        let rolled = 0;
        for (let die = 0; die < params.dice; die++) rolled += random.whole(1, 6);
        turns++;
        if (params.finish === 'reach' || rolled <= left) left -= rolled;
        if (left <= 0) {
          ways--;
          left = params.length;
        }
      }
      return turns;
    };
    expect(apart(exact['turns.mean']!, sample(20_000, walk))).toBeLessThan(4);
    expect(
      apart(
        exact['firstHome.mean']!,
        sample(20_000, () => Math.min(walk(), walk(), walk())),
      ),
    ).toBeLessThan(4);
  });
  it('measures the path, and knows a path nobody can finish', () => {
    expect(figuresOf('stepping-stones', { length: 10, stoneMm: 300, gapMm: 100 }).pathMm).toBe(3900);
    const stuck = figuresOf('stepping-stones', { dice: 2, finish: 'exact' });
    const random = seeded(1);
    const arrives = sample(20_000, () => {
      let at = 0;
      while (at < 9) {
        const rolled = random.whole(1, 6) + random.whole(1, 6);
        if (at + rolled <= 10) at += rolled;
      }
      return at === 10 ? 1 : 0;
    });
    expect(apart(stuck['arrives.chance']!, arrives)).toBeLessThan(4);
  });
});

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
  it('refuses products nobody can work out', () => {
    expect(refusals('chalk-orbits', { op: 'multiply', bags: 5 }).bags).toMatch(/at most 3 bags/);
    expect(noticesOf('chalk-orbits', { op: 'multiply', bags: 2, miss: 'zero' })).toContain('zero-product');
  });
});

describe('Answer Hop', () => {
  it.each([[['+']], [['+', '−']], [['+', '−', '×', '÷']]] as [Sign[]][])(
    'counts every sentence with %j',
    (ops) => {
      const ways: Record<string, number> = {};
      for (let t = 1; t <= 20; t++) ways[`ways.${t}`] = 0;
      for (let a = 0; a <= 9; a++)
        for (let b = 0; b <= 9; b++)
          for (const sign of ops) {
            const answer = apply(sign, a, b);
            if (answer !== undefined && answer >= 1 && answer <= 20) ways[`ways.${answer}`]!++;
          }
      const { fewestWays, ...found } = figuresOf('answer-hop', { ops, to: 20 });
      expect(found).toEqual(ways);
      expect(ways[`ways.${fewestWays}`]).toBe(Math.min(...Object.values(ways)));
    },
  );
  it('names the hard targets, and those that cannot be hopped', () => {
    expect(noticesOf('answer-hop', { ops: ['×'], to: 20 })).toEqual(
      expect.arrayContaining(['hard-targets', 'never']),
    );
    expect(refusals('answer-hop', { ops: ['×'], digits: [0, 7] }).ops).toMatch(/No target/);
  });
});

describe('Pebble Court', () => {
  it('measures each layout by hand', () => {
    expect(figuresOf('pebble-court', { cells: 10, layout: 'straight', cellMm: 400 })).toEqual({
      areaM2: expect.closeTo(1.6, 10),
      hops: 20,
    });
    // 1, 2-3, 4, 5-6, 7, 8-9, 10: seven landings, two cells wide.
    expect(figuresOf('pebble-court', { cells: 10, layout: 'branching', cellMm: 400 })).toEqual({
      areaM2: expect.closeTo(0.8 * 2.8, 10),
      hops: 14,
    });
    expect(figuresOf('pebble-court', { cells: 16, layout: 'spiral', cellMm: 500 })).toEqual({
      areaM2: expect.closeTo(4, 10),
      hops: 32,
    });
  });
});

describe('Three Stones', () => {
  it('has a square in which every line makes 15', () => {
    expect([...SQUARE].sort((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
    for (const line of LINES) expect(line.reduce<number>((sum, cell) => sum + SQUARE[cell]!, 0)).toBe(TARGET);
  });
  it('tosses rows as often as a count over all boards says', () => {
    const row = (cells: readonly number[], player: number) =>
      LINES.some((line) => line.every((cell) => cells[cell] === player));
    const known = new Map<string, number>();
    const chance = (cells: readonly number[], count: number): number => {
      if (count === 10 || cells.every((cell) => cell !== 0)) return 0;
      const key = `${cells.join('')}${count}`;
      const before = known.get(key);
      if (before !== undefined) return before;
      const player = (count % 2) + 1;
      let total = 0;
      for (let cell = 0; cell < 9; cell++) {
        if (cells[cell] !== 0) total += chance(cells, count + 1) / 9;
        else {
          const next = cells.map((owner, i) => (i === cell ? player : owner));
          total += (row(next, player) ? 1 : chance(next, count + 1)) / 9;
        }
      }
      known.set(key, total);
      return total;
    };
    const figure = reckoningOf('three-stones', { by: 'tossing' }).explained.find(
      (one) => one.name === 'row.chance',
    )!;
    expect(
      apart(chance(new Array<number>(9).fill(0), 0), { mean: figure.value, error: figure.error!, plays: 1 }),
    ).toBeLessThan(4);
  });
});

describe('the games without parts', () => {
  it('count calls, moves and beats', () => {
    expect(figuresOf('listen-and-move', { calls: 20, most: 9, without: 25 })).toEqual({
      calls: 20,
      'stops.mean': 5,
      'moves.mean': 75,
    });
    expect(figuresOf('clap-a-count', { unit: 5, groups: 4 })).toEqual({ claps: 20, spoken: 4 });
    expect(reckoningOf('clap-a-count').parts).toEqual([]);
  });
  it('leave as many things in view as giving clues does', () => {
    const random = seeded(10);
    const left = sample(20_000, () => {
      let fits = 1;
      for (let i = 1; i < 12; i++) if (random.whole(1, 3) === 1 && random.whole(1, 3) === 1) fits++;
      return fits;
    });
    expect(apart(fittingAfter({ things: 12, each: 3 }, 2), left)).toBeLessThan(4);
  });
});
