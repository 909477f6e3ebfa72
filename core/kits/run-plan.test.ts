import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runPlan, unplannable, type Afternoon, type RunPlan, type Stage } from './run-plan';

/** What is wrong with a plan: nothing, for a good one. */
function wrong({ stages, helpers, machines = {} }: Afternoon, { tasks, makespanSeconds }: RunPlan): string[] {
  const found: string[] = [];
  const of = (id: string, batch: number) => tasks.find((one) => one.stage === id && one.batch === batch);
  for (const stage of stages) {
    for (let batch = 1; batch <= stage.batches; batch++) {
      const task = of(stage.id, batch);
      if (!task) {
        found.push(`${stage.id} ${batch} is missing`);
        continue;
      }
      const seconds = stage.secondsEach + (batch === 1 ? (stage.setUpSeconds ?? 0) : 0);
      if (Math.abs(task.endSeconds - task.startSeconds - seconds) > 1e-6)
        found.push(`${stage.id} ${batch} takes another time`);
      for (const id of stage.after) {
        const other = stages.find((one) => one.id === id)!;
        const before =
          batch <= other.batches ? [batch] : Array.from({ length: other.batches }, (_, i) => i + 1);
        for (const one of before)
          if (of(id, one)!.endSeconds > task.startSeconds + 1e-6)
            found.push(`${stage.id} ${batch} begins before ${id} ${one} ends`);
      }
      if (batch > 1 && task.startSeconds + 1e-6 < of(stage.id, 1)!.startSeconds + (stage.setUpSeconds ?? 0))
        found.push(`${stage.id} ${batch} begins before it is set up`);
    }
  }
  if (tasks.length !== stages.reduce((total, { batches }) => total + batches, 0))
    found.push('a task too many');
  for (const one of tasks) {
    const long = tasks.filter(
      (other) => other.startSeconds < one.endSeconds - 1e-6 && one.startSeconds < other.endSeconds - 1e-6,
    );
    const hands = [one.helper].flat();
    if (hands.some((helper) => helper < 1 || helper > helpers)) found.push('an unknown helper');
    for (const other of long)
      if (other !== one && [other.helper].flat().some((helper) => hands.includes(helper)))
        found.push('a helper does two things');
    const atStart = tasks.filter(
      (other) =>
        other.machine === one.machine &&
        other.startSeconds <= one.startSeconds + 1e-6 &&
        other.endSeconds > one.startSeconds + 1e-6,
    );
    if (one.machine !== undefined && atStart.length > (machines[one.machine] ?? 1))
      found.push(`too many at the ${one.machine}`);
  }
  const end = Math.max(0, ...tasks.map(({ endSeconds }) => endSeconds));
  if (Math.abs(end - makespanSeconds) > 1e-6) found.push('the end is not the end');
  return found;
}

const afternoon = fc
  .tuple(
    fc.array(
      fc.record({
        batches: fc.integer({ min: 1, max: 9 }),
        secondsEach: fc.integer({ min: 1, max: 90 }),
        setUpSeconds: fc.integer({ min: 0, max: 60 }),
        machine: fc.option(fc.constantFrom('printer', 'laminator', 'cutter'), { nil: undefined }),
        people: fc.integer({ min: 1, max: 2 }),
        after: fc.array(fc.nat(7), { maxLength: 3 }),
      }),
      { minLength: 1, maxLength: 7 },
    ),
    fc.integer({ min: 2, max: 5 }),
    fc.integer({ min: 1, max: 2 }),
  )
  .map(([list, helpers, cutters]): Afternoon => ({
    helpers,
    machines: { cutter: cutters },
    stages: list.map(({ after, machine, ...stage }, i): Stage => ({
      ...stage,
      ...(machine ? { machine } : {}),
      id: `s${i}`,
      after: [...new Set(after.filter((one) => one < i).map((one) => `s${one}`))],
    })),
  }));

describe('an afternoon of making', () => {
  it('breaks no order, and gives nobody and no machine two things at once', () => {
    fc.assert(
      fc.property(afternoon, (one) => {
        const plan = runPlan(one);
        expect(wrong(one, plan)).toEqual([]);
        expect(plan.makespanSeconds).toBeGreaterThanOrEqual(plan.lowerBoundSeconds - 1e-6);
      }),
      { numRuns: 150 },
    );
  });

  /** Copies of a kit as they are made: print, laminate, cut, count, bag, label, check. */
  const ordinary = (copies: number, helpers: number): Afternoon => ({
    helpers,
    machines: { printer: 1, laminator: 1, cutter: 2 },
    stages: [
      { id: 'print', after: [], batches: copies, secondsEach: 40, setUpSeconds: 60, machine: 'printer' },
      {
        id: 'laminate',
        after: ['print'],
        batches: copies,
        secondsEach: 150,
        setUpSeconds: 240,
        machine: 'laminator',
      },
      { id: 'cut', after: ['laminate'], batches: copies, secondsEach: 180, machine: 'cutter' },
      { id: 'count', after: [], batches: copies, secondsEach: 240 },
      { id: 'bag', after: ['cut', 'count'], batches: copies, secondsEach: 60 },
      { id: 'label', after: ['bag'], batches: copies, secondsEach: 30 },
      { id: 'check', after: ['label'], batches: copies, secondsEach: 45 },
    ],
  });

  it('is at most a tenth longer than it must be on ordinary runs', () => {
    for (const copies of [6, 12, 20, 40])
      for (const helpers of [1, 2, 3, 4, 6]) {
        const one = ordinary(copies, helpers);
        const { makespanSeconds, lowerBoundSeconds } = runPlan(one);
        // The laminator waits for the first print, and what it did last is still cut, bagged, labeled and checked.
        const laminator = 60 + 40 + 240 + copies * 150 + 180 + 60 + 30 + 45;
        const least = Math.max(lowerBoundSeconds, laminator);
        expect([copies, helpers, makespanSeconds / least <= 1.1]).toEqual([copies, helpers, true]);
        // Where hands are what is scarce, the bound itself is reached.
        if (helpers <= 2 && copies >= 12) expect(makespanSeconds / lowerBoundSeconds).toBeLessThan(1.1);
      }
  });

  it('is laid out for forty copies', () => {
    const plan = runPlan(ordinary(40, 3));
    expect(wrong(ordinary(40, 3), plan)).toEqual([]);
  });

  it('says what cannot be planned', () => {
    const stage = (id: string, after: string[], people = 1): Stage => ({
      id,
      after,
      batches: 1,
      secondsEach: 1,
      people,
    });
    expect(unplannable({ helpers: 1, stages: [stage('a', ['b']), stage('b', ['a'])] })).toMatch(/circle/);
    expect(unplannable({ helpers: 1, stages: [stage('a', ['x'])] })).toMatch(
      /comes after x, which is not there/,
    );
    expect(unplannable({ helpers: 1, stages: [stage('a', [], 2)] })).toMatch(/takes 2 people at once/);
    expect(unplannable({ helpers: 1, stages: [stage('a', []), stage('a', [])] })).toMatch(/id of its own/);
    expect(runPlan({ helpers: 2, stages: [] })).toEqual({
      makespanSeconds: 0,
      lowerBoundSeconds: 0,
      tasks: [],
    });
  });

  it('lets helpers wait for a machine where that is shorter, and its bound knows what leads to a machine', () => {
    const press = (id: string, after: string[], secondsEach: number): Stage => ({
      id,
      after,
      batches: 1,
      secondsEach,
      machine: 'press',
    });
    // The press has 60 seconds of work; ten must pass before it and ten after it.
    const one: Afternoon = {
      helpers: 3,
      stages: [
        { id: 'cut', after: [], batches: 1, secondsEach: 10 },
        press('one', ['cut'], 20),
        press('two', ['cut'], 40),
        { id: 'bag', after: ['one', 'two'], batches: 1, secondsEach: 10 },
      ],
    };
    expect(runPlan(one)).toMatchObject({ makespanSeconds: 80, lowerBoundSeconds: 80 });
    // Beginning the long stage at once keeps the one helper from what the press waits for.
    const waits: Afternoon = {
      helpers: 2,
      stages: [
        { id: 'long', after: [], batches: 1, secondsEach: 100, people: 2 },
        { id: 'first', after: [], batches: 1, secondsEach: 10 },
        press('soak', ['first'], 100),
        { id: 'short', after: [], batches: 1, secondsEach: 100 },
      ],
    };
    const plan = runPlan(waits);
    expect(wrong(waits, plan)).toEqual([]);
    expect(plan.makespanSeconds).toBe(210);
  });
});
