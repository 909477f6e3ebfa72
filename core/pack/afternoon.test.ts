import { describe, expect, it } from 'vitest';
import { startOf } from '~/core/games/kit/game';
import { gameOf } from '~/core/games/shelf';
import { recipeOf } from '~/core/kits/recipe';
import { contextOf } from '~/core/paper/testing';
import { clock, jobsOf, planAfternoon, stagesOf } from './afternoon';
import { USUAL_PRINTING } from './cost';
import { packOf } from './pack';

const plan = {
  ageBand: 'g1' as const,
  players: 2,
  assurance: 'usual' as const,
  variants: ['row-call', 'blanket-board'].map((id) => ({
    gameId: id,
    name: id,
    params: startOf(gameOf(id)),
  })),
};
const { parts } = recipeOf(plan);
const copy = { tag: 'K7M4R', link: 'https://example.test/p/x' };
const context = contextOf({ finish: 'durable' });
const pages = packOf(
  {
    kitName: 'Two',
    schoolName: 'School',
    plan,
    parts,
    copies: [copy],
    items: ['instructions', 'parts'],
    scope: 'each',
    labels: {},
    checked: {},
  },
  context,
).of(copy);
const asked = { copies: 6, helpers: 2, laminators: 1, cutters: 1, printing: USUAL_PRINTING };

describe('an afternoon of making', () => {
  it('has the stages that the pack asks for, in an order that works', () => {
    const durable = stagesOf(pages, parts, { ...asked, finish: 'durable' });
    expect(durable.map(({ id }) => id)).toEqual(['print', 'laminate', 'cut', 'count', 'bag', 'check']);
    const plain = stagesOf(pages, parts, { ...asked, finish: 'plain' });
    expect(plain.map(({ id, after }) => [id, after])).toEqual([
      ['print', []],
      ['cut', ['print']],
      ['count', []],
      ['bag', ['cut', 'count', 'print']],
      ['check', ['bag']],
    ]);
    expect(durable.find(({ id }) => id === 'print')!.secondsEach).toBe(
      pages.length * USUAL_PRINTING.pageSeconds,
    );
  });

  it('gives every helper a card on which every batch stands once, one after the other', () => {
    const { tasks, makespanSeconds, lowerBoundSeconds } = planAfternoon(pages, parts, {
      ...asked,
      finish: 'durable',
    });
    const cards = [1, 2].map((helper) => jobsOf(tasks, helper));
    let batches = 0;
    for (const jobs of cards) {
      jobs
        .slice(1)
        .forEach((job, i) => expect(job.startSeconds).toBeGreaterThanOrEqual(jobs[i]!.endSeconds - 1e-6));
      for (const { from, to } of jobs) batches += to - from + 1;
    }
    expect(batches).toBe(tasks.length);
    expect(tasks).toHaveLength(6 * 6);
    expect(Math.max(...cards.flat().map(({ endSeconds }) => endSeconds))).toBeCloseTo(makespanSeconds, 6);
    expect(makespanSeconds).toBeGreaterThanOrEqual(lowerBoundSeconds - 1e-6);
  });

  it('says a time after the beginning in hours and minutes', () => {
    expect([0, 59, 90, 3600, 3660 + 29, 36_000].map(clock)).toEqual([
      '0:00',
      '0:01',
      '0:02',
      '1:00',
      '1:01',
      '10:00',
    ]);
  });
});
