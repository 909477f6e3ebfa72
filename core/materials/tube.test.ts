import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { fitsTube, isSmallBall, type Body } from './tube';

const box = (...sizes: [number, number, number]): Body => ({
  form: 'box',
  sizesMm: [...sizes].sort((a, b) => a - b) as [number, number, number],
});

describe('the cylinder for small parts', () => {
  it('takes what it is known to take, and nothing that is too wide or too long', () => {
    expect(fitsTube({ form: 'disc', sizesMm: [2, 25, 25] })).toBe(true);
    expect(fitsTube({ form: 'disc', sizesMm: [2, 32, 32] })).toBe(false);
    expect(fitsTube({ form: 'ball', sizesMm: [31, 31, 31] })).toBe(true);
    expect(fitsTube({ form: 'ball', sizesMm: [32, 32, 32] })).toBe(false);
    expect(fitsTube(box(16, 16, 16))).toBe(true);
    // A cube of 30 mm is 42 mm from corner to corner.
    expect(fitsTube(box(30, 30, 30))).toBe(false);
    // A stick of 60 mm leans from the rim to the deepest point; one of 66 mm sticks out.
    expect(fitsTube({ form: 'rod', sizesMm: [2, 2, 60] })).toBe(true);
    expect(fitsTube({ form: 'rod', sizesMm: [2, 2, 66] })).toBe(false);
    expect(fitsTube({ form: 'rod', sizesMm: [7, 7, 120] })).toBe(false);
  });

  it('takes everything smaller than what it takes', () => {
    fc.assert(
      fc.property(
        fc.tuple(
          fc.integer({ min: 1, max: 34 }),
          fc.integer({ min: 1, max: 40 }),
          fc.integer({ min: 1, max: 66 }),
        ),
        fc.tuple(fc.nat(6), fc.nat(6), fc.nat(6)),
        (sizes, less) => {
          if (!fitsTube(box(...sizes))) return;
          const smaller = sizes.map((size, i) => Math.max(1, size - less[i]!)) as [number, number, number];
          // A thinner thing may be turned between two steps of the search: a hair less is always taken.
          expect([
            sizes,
            smaller,
            fitsTube(box(...(smaller.map((one) => one * 0.97) as [number, number, number]))),
          ]).toEqual([sizes, smaller, true]);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('takes every box that lies in it when it is thrown in at random', () => {
    const random = seeded(11);
    const real = (from: number, to: number): number =>
      from + (random.whole(0, 1_000_000) / 1_000_000) * (to - from);
    const [radius, rim] = [31.7 / 2, 25.4];
    let thrown = 0;
    for (let i = 0; i < 60_000 && thrown < 120; i++) {
      const sizes: [number, number, number] = [real(2, 30), real(2, 34), real(2, 60)];
      const [roll, tilt, yaw] = [real(0, 2 * Math.PI), real(0, 2 * Math.PI), real(0, 2 * Math.PI)];
      const corners = [-1, 1].flatMap((x) =>
        [-1, 1].flatMap((y) =>
          [-1, 1].map((z) => {
            const [px, py, pz] = [(x * sizes[0]) / 2, (y * sizes[1]) / 2, (z * sizes[2]) / 2];
            const [x1, y1] = [
              px * Math.cos(roll) - py * Math.sin(roll),
              px * Math.sin(roll) + py * Math.cos(roll),
            ];
            const [x2, z2] = [
              x1 * Math.cos(tilt) - pz * Math.sin(tilt),
              x1 * Math.sin(tilt) + pz * Math.cos(tilt),
            ];
            return [
              x2 * Math.cos(yaw) - y1 * Math.sin(yaw),
              x2 * Math.sin(yaw) + y1 * Math.cos(yaw),
              z2,
            ] as const;
          }),
        ),
      );
      const [dx, dy] = [real(-8, 8), real(-8, 8)];
      const top = Math.max(...corners.map(([, , z]) => z));
      const lies = corners.every(
        ([x, y, z]) => Math.hypot(x + dx, y + dy) <= radius && top - z <= rim + radius + x + dx,
      );
      if (!lies) continue;
      thrown++;
      // What lies in it with a hair to spare is found by the search.
      const found = fitsTube(box(...(sizes.map((one) => one * 0.97) as [number, number, number])));
      expect([sizes, found]).toEqual([sizes, true]);
    }
    expect(thrown).toBeGreaterThan(60);
  });
});

describe('the opening for small balls', () => {
  it('is passed by balls that are narrower, and by nothing else', () => {
    expect(isSmallBall({ form: 'ball', sizesMm: [44, 44, 44] })).toBe(true);
    expect(isSmallBall({ form: 'ball', sizesMm: [45, 45, 45] })).toBe(false);
    expect(isSmallBall(box(20, 20, 20))).toBe(false);
  });
});
