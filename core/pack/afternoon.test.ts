import { describe, expect, it } from 'vitest';
import { startOf } from '~/core/games/kit/game';
import { gameOf } from '~/core/games/shelf';
import { recipeOf } from '~/core/kits/recipe';
import { materialOf } from '~/core/materials/catalogue';
import { contextOf } from '~/core/paper/testing';
import { clock, jobsOf, planAfternoon, stagesOf, stepsOf } from './afternoon';
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
const batch = (finish: 'plain' | 'durable', copies = 6) => ({
  steps: stepsOf(pages, parts, { finish, printing: USUAL_PRINTING }),
  copies,
});
const hands = { helpers: 2, laminators: 1, cutters: 1 };

describe('an afternoon of making', () => {
  it('has the stages that the pack asks for, in an order that works', () => {
    const durable = stagesOf([batch('durable')], USUAL_PRINTING);
    expect(durable.map(({ id }) => id)).toEqual([
      'setUp printer',
      'setUp laminator',
      ...['print', 'laminate', 'cut', 'count', 'bag', 'label', 'check'].map((stage) => `${stage} 1`),
    ]);
    const plain = stagesOf([batch('plain')], USUAL_PRINTING);
    expect(plain.map(({ id, after }) => [id, after])).toEqual([
      ['setUp printer', []],
      ['print 1', ['setUp printer']],
      ['cut 1', ['print 1']],
      ['count 1', []],
      ['bag 1', ['print 1', 'cut 1', 'count 1']],
      ['label 1', ['bag 1']],
      ['check 1', ['print 1', 'cut 1', 'count 1', 'bag 1', 'label 1']],
    ]);
    expect(durable.find(({ id }) => id === 'print 1')!.secondsEach).toBe(
      pages.length * USUAL_PRINTING.pageSeconds,
    );
  });

  it('makes a step of every part that comes from the store, and of nothing else', () => {
    const counted = batch('plain')
      .steps.filter(({ id }) => id.startsWith('count '))
      .map(({ id, quantity }) => [id.slice(6), quantity]);
    expect(counted).toEqual(
      parts
        .filter(({ material }) => materialOf(material).kind !== 'printed')
        .map(({ material, quantity }) => [material, quantity]),
    );
  });

  it('tells the batches of several kits apart', () => {
    const { tasks } = planAfternoon([batch('plain', 2), batch('durable', 3)], hands, USUAL_PRINTING);
    const jobs = [1, 2].flatMap((helper) => jobsOf(tasks, helper));
    const made = (of: number, stage: string): number =>
      jobs
        .filter((job) => job.of === of && job.stage === stage)
        .reduce((sum, { from, to }) => sum + to - from + 1, 0);
    expect([made(1, 'count'), made(2, 'count'), made(1, 'laminate'), made(2, 'laminate')]).toEqual([
      2, 3, 0, 3,
    ]);
  });

  it('gives every helper a card on which every batch stands once, one after the other', () => {
    const { tasks, makespanSeconds, lowerBoundSeconds } = planAfternoon(
      [batch('durable')],
      hands,
      USUAL_PRINTING,
    );
    const cards = [1, 2].map((helper) => jobsOf(tasks, helper));
    let batches = 0;
    for (const jobs of cards) {
      jobs
        .slice(1)
        .forEach((job, i) => expect(job.startSeconds).toBeGreaterThanOrEqual(jobs[i]!.endSeconds - 1e-6));
      for (const { from, to } of jobs) batches += to - from + 1;
    }
    expect(batches).toBe(tasks.length);
    expect(tasks).toHaveLength(6 * 7 + 2);
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
