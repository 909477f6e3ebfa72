import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  AFTER,
  BEGUN_MS,
  isSettled,
  nextStep,
  standingOf,
  stageOf,
  STAGE_IDS,
  type MakingStep,
  type Outcome,
  type StepEvent,
} from './making';

const steps: MakingStep[] = [
  { id: 'print', quantity: 5, seconds: 15 },
  { id: 'laminate', quantity: 2, seconds: 72 },
  { id: 'cut', quantity: 6, seconds: 42 },
  { id: 'count cube', quantity: 83, seconds: 98 },
  { id: 'count die', quantity: 2, seconds: 17 },
  { id: 'bag', quantity: 1, seconds: 160 },
  { id: 'label', quantity: 1, seconds: 20 },
  { id: 'check', quantity: 1, seconds: 45 },
];
const NOW = Date.parse('2026-11-26T12:00:00Z');
const event = (step: string, outcome: Outcome, more: Partial<StepEvent> = {}): StepEvent => ({
  step,
  outcome,
  quantity: null,
  personId: 'tobin',
  by: 'Tobin',
  at: new Date(NOW - 1000),
  ...more,
});
const stand = (events: StepEvent[], printed = true) =>
  Object.fromEntries(
    standingOf(steps, events, { printed, now: NOW }).map(({ id, standing }) => [id, standing]),
  );

describe('the steps of a copy', () => {
  it('wait for what comes before them, and counting for nothing', () => {
    expect(stand([], false)).toEqual({
      print: 'open',
      laminate: 'waits',
      cut: 'waits',
      'count cube': 'open',
      'count die': 'open',
      bag: 'waits',
      label: 'waits',
      check: 'waits',
    });
    expect(stand([event('laminate', 'done')])).toMatchObject({ cut: 'open', bag: 'waits' });
  });

  it('go on after too few, and not after something broke', () => {
    const before = [event('laminate', 'done'), event('cut', 'done'), event('count die', 'done')];
    expect(stand([...before, event('count cube', 'tooFew', { quantity: 80 })])).toMatchObject({
      'count cube': 'short',
      bag: 'open',
    });
    expect(stand([...before, event('count cube', 'broken', { quantity: 1 })])).toMatchObject({
      'count cube': 'begun',
      bag: 'waits',
    });
  });

  it('are open again when they were taken back, or begun and left for long', () => {
    expect(stand([event('count die', 'done'), event('count die', 'undone')])).toMatchObject({
      'count die': 'open',
    });
    expect(stand([event('count die', 'begun')])).toMatchObject({ 'count die': 'begun' });
    expect(stand([event('count die', 'begun', { at: new Date(NOW - BEGUN_MS) })])).toMatchObject({
      'count die': 'open',
    });
  });

  it('are never settled in an order that does not work, whatever helpers do', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            who: fc.constantFrom('a', 'b', 'c'),
            outcome: fc.constantFrom<Outcome>('done', 'tooFew', 'broken', 'undone'),
          }),
          { maxLength: 80 },
        ),
        fc.integer({ min: 1, max: 2 }),
        (acts, laminators) => {
          const copies: { id: string; events: StepEvent[] }[] = [
            { id: 'x', events: [] },
            { id: 'y', events: [] },
          ];
          const now = () =>
            copies.map(({ id, events }) => ({
              id,
              steps: standingOf(steps, events, { printed: true, now: NOW }),
            }));
          for (const { who, outcome } of acts) {
            const next = nextStep(now(), { personId: who, laminators, cutters: 1 });
            if (!next) continue;
            const copy = copies.find(({ id }) => id === next.copyId)!;
            const made = now().find(({ id }) => id === next.copyId)!.steps;
            const step = made.find(({ id }) => id === next.step)!;
            // What is given to somebody can be done now, and nobody else has it.
            expect(['open', 'begun']).toContain(step.standing);
            if (step.standing === 'begun') expect(step.personId).toBe(who);
            for (const before of made.filter(({ id }) => AFTER[stageOf(step.id)].includes(stageOf(id))))
              expect(isSettled(before)).toBe(true);
            copy.events.push(event(next.step, 'begun', { personId: who }));
            const lamination = now()
              .flatMap((one) => one.steps)
              .filter(({ id, standing }) => id === 'laminate' && standing === 'begun');
            expect(new Set(lamination.map(({ personId }) => personId)).size).toBeLessThanOrEqual(laminators);
            if (outcome !== 'tooFew' || next.step.startsWith('count'))
              copy.events.push(event(next.step, outcome, { personId: who, quantity: 1 }));
          }
        },
      ),
    );
  });

  it('are all done by one helper who takes what comes next, each once', () => {
    const copies = ['x', 'y', 'z'].map((id) => ({ id, events: [] as StepEvent[] }));
    const done: string[] = [];
    for (;;) {
      const next = nextStep(
        copies.map(({ id, events }) => ({
          id,
          steps: standingOf(steps, events, { printed: true, now: NOW }),
        })),
        { personId: 'tobin', laminators: 1, cutters: 1, last: done.at(-1)?.slice(2) },
      );
      if (!next) break;
      done.push(`${next.copyId} ${next.step}`);
      copies.find(({ id }) => id === next.copyId)!.events.push(event(next.step, 'done'));
    }
    expect(done).toHaveLength(3 * (steps.length - 1));
    expect(new Set(done).size).toBe(done.length);
    // One material for all copies before the next.
    expect(done.filter((one) => one.includes('count'))).toEqual([
      'x count cube',
      'y count cube',
      'z count cube',
      'x count die',
      'y count die',
      'z count die',
    ]);
    expect(STAGE_IDS.map((stage) => done.findIndex((one) => stageOf(one.slice(2)) === stage))).toEqual([
      -1, 0, 3, 6, 12, 15, 18,
    ]);
  });
});
