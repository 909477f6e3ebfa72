import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, printed } from '~/core/games/kit/testing';
import type { Shape } from '~/core/paper/sheet';
import { circles, saidOn } from '~/core/paper/testing';
import { stackAndFind } from '.';

holdsTheShelfLaws(stackAndFind, {
  gives: [['blocksAllTowers'], ['sectors spinsToCover.mean spinsToCover.p95', { source: 'spinner' }]],
});

describe('Stack and Find', () => {
  it('needs 55 blocks for towers to ten, and the harmonic number of spins', () => {
    expect(figuresOf('stack-and-find', { to: 10, direction: 'towers' }).blocksAllTowers).toBe(55);
    const harmonic = Array.from({ length: 11 }, (_, i) => 1 / (i + 1)).reduce((a, b) => a + b);
    expect(figuresOf('stack-and-find', { to: 10, source: 'spinner' })).toMatchObject({
      sectors: 11,
      'spinsToCover.mean': expect.closeTo(11 * harmonic, 8) as number,
    });
    expect(figuresOf('stack-and-find', { to: 10, source: 'cards' })).not.toHaveProperty('sectors');
  });
});

describe('the sheets of Stack and Find', () => {
  it('frames with as many dots as their name', () => {
    for (const to of [5, 10]) {
      const sheets = printed('stack-and-find', { to, direction: 'numeralToFrame' });
      const frames = sheets.filter((sheet) =>
        sheet.pieces?.some(({ material }) => material === 'frame-card'),
      );
      const all = frames.flatMap((sheet) => circles(sheet.shapes));
      expect(all).toHaveLength((to * (to + 1)) / 2);
    }
  });

  it('a spinner with equal sectors, every number once', () => {
    const [spinner] = printed('stack-and-find', { to: 10, source: 'spinner', direction: 'numeralToFrame' });
    const [rim] = circles(spinner!.shapes) as [Extract<Shape, { kind: 'circle' }>];
    const spokes = spinner!.shapes
      .filter((shape) => shape.kind === 'line' && Math.abs(shape.x1 - rim.x) < 1e-9)
      .map((shape) => shape as Extract<Shape, { kind: 'line' }>);
    const angles = spokes.map(({ x2, y2 }) => Math.atan2(y2 - rim.y, x2 - rim.x)).sort((a, b) => a - b);
    expect(spokes).toHaveLength(11);
    for (let i = 1; i < angles.length; i++)
      expect(angles[i]! - angles[i - 1]!).toBeCloseTo((2 * Math.PI) / 11, 6);
    expect(saidOn(spinner!).filter((text) => /^\d+$/.test(text))).toEqual(
      Array.from({ length: 11 }, (_, i) => String(i)),
    );
  });
});

const numberOf = (turn: Parameters<typeof numbersIn>[0]): number => numbersIn(turn, 'number')[0]!;

describe('a play of Stack and Find', () => {
  it('builds each card once', () => {
    for (const to of [5, 10])
      for (const { turns } of plays(stackAndFind, { to, source: 'cards', players: 3 }, 10)) {
        expect(turns.map(numberOf).sort((a, b) => a - b)).toEqual(
          Array.from({ length: to + 1 }, (_, i) => i),
        );
        expect(inTurn(turns, 3)).toBe(true);
      }
  });

  it('spins until every number has come, and says when one comes again', () => {
    for (const { turns } of plays(stackAndFind, { to: 10, source: 'spinner' }, 40)) {
      const seen = new Set<number>();
      for (const turn of turns) {
        const number = numberOf(turn);
        expect([number, turn.coach!.id]).toEqual([
          number,
          number === 0 ? 'play.zero' : seen.has(number) ? 'play.again' : 'play.check',
        ]);
        seen.add(number);
      }
      expect(seen.size).toBe(11);
      // The last spin is the one that was waited for.
      expect(turns.slice(0, -1).map(numberOf)).not.toContain(numberOf(turns.at(-1)!));
    }
  });

  it('takes as many spins as the collector of all numbers', () => {
    const all = plays(stackAndFind, { to: 10, source: 'spinner' }, 1500).map(({ turns }) => turns.length);
    const mean = all.reduce((a, b) => a + b, 0) / all.length;
    const wanted = 11 * Array.from({ length: 11 }, (_, i) => 1 / (i + 1)).reduce((a, b) => a + b, 0);
    // Their standard deviation is below 14.
    expect(Math.abs(mean - wanted)).toBeLessThan((4 * 14) / Math.sqrt(all.length));
  });

  it('tells each direction in its own words', () => {
    for (const [direction, id] of [
      ['numeralToFrame', 'play.find'],
      ['frameToNumeral', 'play.stack'],
      ['buildOnly', 'play.build'],
      ['towers', 'play.tower'],
    ] as const)
      for (const { turns } of plays(stackAndFind, { direction }, 2))
        expect(new Set(turns.map((turn) => turn.id))).toEqual(new Set([id]));
  });

  it('meets each number as often as it reckons', () => {
    for (const source of ['cards', 'spinner'])
      expect(
        strangeMeetings(
          stackAndFind,
          { to: 5, source },
          ['quantity'],
          (turn) => [fact('quantity', numberOf(turn))],
          1500,
        ),
      ).toEqual([]);
  });
});
