/** An afternoon of making: who does which batch of which stage when, with so many helpers and machines. */
import { Type, type Static } from '@sinclair/typebox';
import { seeded, shuffled, type Random } from '~/core/chance/random';
import { sharedId } from '~/core/check/ids';
import { Whole } from '~/core/check/schema';

const MOST_TASKS = 5000;

const stageSchema = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 80, title: 'Name of the stage' }),
    after: Type.Array(Type.String({ minLength: 1, maxLength: 80 }), {
      maxItems: 50,
      title: 'Stages before it',
      default: [],
    }),
    batches: Whole(1, 1000, { title: 'Batches' }),
    secondsEach: Type.Number({ minimum: 0, maximum: 1_000_000, title: 'Seconds for a batch' }),
    setUpSeconds: Type.Number({ minimum: 0, maximum: 1_000_000, title: 'Seconds to set up', default: 0 }),
    machine: Type.Optional(Type.String({ minLength: 1, maxLength: 80, title: 'Machine' })),
    people: Whole(1, 50, { title: 'People at once', default: 1 }),
  },
  { additionalProperties: false },
);
export const runPlanSchema = Type.Object(
  {
    stages: Type.Array(stageSchema, { maxItems: 100, title: 'Stages' }),
    helpers: Whole(1, 100, { title: 'Helpers' }),
    machines: Type.Record(
      Type.String({ minLength: 1, maxLength: 80 }),
      Whole(1, 100, { title: 'Machines' }),
      {
        title: 'Machines',
        default: {},
      },
    ),
  },
  { additionalProperties: false },
);
export type Stage = Pick<Static<typeof stageSchema>, 'id' | 'after' | 'batches' | 'secondsEach' | 'machine'> &
  Partial<Pick<Static<typeof stageSchema>, 'setUpSeconds' | 'people'>>;
export interface Afternoon {
  stages: readonly Stage[];
  helpers: number;
  /** How many there are of each machine; one where nothing is said. */
  machines?: Readonly<Record<string, number>>;
}

export interface Task {
  stage: string;
  /** From 1. */
  batch: number;
  /** From 1; several where a batch takes more than one person. */
  helper: number | number[];
  machine?: string;
  startSeconds: number;
  endSeconds: number;
}
export interface RunPlan {
  makespanSeconds: number;
  lowerBoundSeconds: number;
  tasks: Task[];
}

/** A batch of a stage, by its place in the list of all. */
interface Job {
  stage: number;
  batch: number;
  seconds: number;
  people: number;
  machine: string | undefined;
  /** Jobs that must have ended. */
  before: number[];
  /** Seconds from its start to the end of everything that follows it. */
  tail: number;
}

/** One sentence on what cannot be planned; undefined when all can. */
export function unplannable({ stages, helpers }: Afternoon): string | undefined {
  const ids = new Set(stages.map(({ id }) => id));
  const shared = sharedId('stage', stages);
  if (shared) return shared;
  for (const { id, after, people = 1 } of stages) {
    const unknown = after.find((one) => !ids.has(one));
    if (unknown !== undefined) return `The stage ${id} comes after ${unknown}, which is not there.`;
    if (people > helpers) return `The stage ${id} takes ${people} people at once, and there are ${helpers}.`;
  }
  if (ordered(stages) === undefined) return 'Stages wait for one another in a circle.';
  const all = stages.reduce((total, { batches }) => total + batches, 0);
  return all > MOST_TASKS ? `${all} batches are more than ${MOST_TASKS}.` : undefined;
}

/** Stages in an order in which each comes after those it waits for; undefined when there is none. */
function ordered(stages: readonly Stage[]): Stage[] | undefined {
  const done = new Set<string>();
  const order: Stage[] = [];
  while (order.length < stages.length) {
    const next = stages.filter(({ id, after }) => !done.has(id) && after.every((one) => done.has(one)));
    if (next.length === 0) return undefined;
    for (const stage of next) {
      done.add(stage.id);
      order.push(stage);
    }
  }
  return order;
}

/** All batches with what they wait for. The set-up belongs to the first batch of a stage, and the others wait for it. */
function jobsOf(stages: readonly Stage[]): Job[] {
  const order = ordered(stages)!;
  const first = new Map<string, number>();
  const jobs: Job[] = [];
  for (const stage of order) {
    first.set(stage.id, jobs.length);
    for (let batch = 1; batch <= stage.batches; batch++) {
      const before = stage.after.flatMap((id) => {
        const other = order.find((one) => one.id === id)!;
        const from = first.get(id)!;
        return batch <= other.batches
          ? [from + batch - 1]
          : Array.from({ length: other.batches }, (_, i) => from + i);
      });
      jobs.push({
        stage: stages.indexOf(stage),
        batch,
        seconds: stage.secondsEach + (batch === 1 ? (stage.setUpSeconds ?? 0) : 0),
        people: stage.people ?? 1,
        machine: stage.machine,
        before,
        tail: 0,
      });
    }
  }
  // Backwards: what a job waits for comes before it in the list.
  for (let i = jobs.length - 1; i >= 0; i--) {
    const job = jobs[i]!;
    job.tail += job.seconds;
    for (const one of job.before) jobs[one]!.tail = Math.max(jobs[one]!.tail, job.tail);
  }
  return jobs;
}

/** No plan is shorter: all work shared out, the work of each machine, the longest chain. */
function lowerBound(jobs: readonly Job[], helpers: number, machines: ReadonlyMap<string, number>): number {
  const work = jobs.reduce((total, { seconds, people }) => total + seconds * people, 0);
  const onMachine = new Map<string, number>();
  for (const { machine, seconds } of jobs)
    if (machine !== undefined) onMachine.set(machine, (onMachine.get(machine) ?? 0) + seconds);
  return Math.max(
    0,
    work / helpers,
    ...[...onMachine].map(([machine, seconds]) => seconds / (machines.get(machine) ?? 1)),
    ...jobs.map(({ tail }) => tail),
  );
}

/** Tries until a plan reaches the bound: the more the better, and none takes long. */
const TRIES = 60;
const BRIEF_MS = 400;

/**
 * A plan for the afternoon, at the latest at the end of the fewest seconds found: batches are begun as soon as a helper
 * and a machine are free, those with the longest way to the end first, and other orders are tried while it can be
 * shorter. The same afternoon gives the same plan. Throws RangeError for what cannot be planned.
 */
export function runPlan(afternoon: Afternoon): RunPlan {
  const wrong = unplannable(afternoon);
  if (wrong !== undefined) throw new RangeError(wrong);
  const { stages, helpers } = afternoon;
  const machines = new Map(Object.entries(afternoon.machines ?? {}));
  const jobs = jobsOf(stages);
  const bound = lowerBound(jobs, helpers, machines);
  const random = seeded(1);
  let best: Task[] | undefined;
  let shortest = Infinity;
  const began = Date.now();
  for (const rank of ranks(jobs, machines, helpers, random)) {
    const tasks = laidOut(jobs, stages, helpers, machines, rank);
    const span = tasks.reduce((end, { endSeconds }) => Math.max(end, endSeconds), 0);
    if (span < shortest - 1e-9) [best, shortest] = [tasks, span];
    if (shortest <= bound + 1e-6 || (best && jobs.length > 400 && Date.now() - began > BRIEF_MS)) break;
  }
  return { makespanSeconds: best ? shortest : 0, lowerBoundSeconds: bound, tasks: best ?? [] };
}

/** Orders to try: smaller numbers are begun first. */
function* ranks(
  jobs: readonly Job[],
  machines: ReadonlyMap<string, number>,
  helpers: number,
  random: Random,
): Generator<readonly number[]> {
  const load = new Map<string, number>();
  for (const { machine, seconds } of jobs)
    if (machine !== undefined)
      load.set(machine, (load.get(machine) ?? 0) + seconds / (machines.get(machine) ?? 1));
  const work = jobs.reduce((total, { seconds, people }) => total + seconds * people, 0) / helpers;
  /** What leads to a machine that is busy nearly all the time must not wait. */
  const pressing = jobs.map(() => 0);
  for (let i = jobs.length - 1; i >= 0; i--) {
    const { machine, before } = jobs[i]!;
    if (machine !== undefined)
      pressing[i] = Math.max(pressing[i]!, load.get(machine)! / Math.max(work, 1e-9));
    for (const one of before) pressing[one] = Math.max(pressing[one]!, pressing[i]!);
  }
  const longest = Math.max(1e-9, ...jobs.map(({ tail }) => tail));
  const tails = jobs.map(({ tail }) => -tail / longest);
  yield tails;
  yield jobs.map((job, i) => tails[i]! - pressing[i]!);
  yield jobs.map(({ batch, tail }) => batch - tail / longest / 2);
  yield jobs.map((job, i) => job.batch - 10 * pressing[i]! - job.tail / longest);
  yield jobs.map(({ seconds, people }) => -seconds * people);
  for (let i = 0; i < TRIES; i++) {
    const order = shuffled(
      jobs.map((_, k) => k),
      random,
    );
    const place = new Array<number>(jobs.length);
    order.forEach((job, at) => (place[job] = at / jobs.length));
    const weight = random.whole(5, 60) / 100;
    yield jobs.map((_, k) => tails[k]! - (i % 2 ? pressing[k]! : 0) + weight * place[k]!);
  }
}

/** Begins whatever can be begun, in the order of its rank, whenever somebody or a machine becomes free. */
function laidOut(
  jobs: readonly Job[],
  stages: readonly Stage[],
  helpers: number,
  machines: ReadonlyMap<string, number>,
  rank: readonly number[],
): Task[] {
  const waits = jobs.map(({ before }) => before.length);
  const follows = jobs.map((): number[] => []);
  jobs.forEach(({ before }, i) => before.forEach((one) => follows[one]!.push(i)));
  const ready = jobs.flatMap((_, i) => (waits[i] === 0 ? [i] : []));
  const busy = new Array<boolean>(helpers).fill(false);
  const free = new Map<string, number>();
  for (const { machine } of jobs) if (machine !== undefined) free.set(machine, machines.get(machine) ?? 1);
  const running: { job: number; end: number; by: number[] }[] = [];
  const started = new Map<number, number>();
  const setUp = new Map<number, number>();
  const tasks: Task[] = [];
  let now = 0;
  let left = jobs.length;
  while (left > 0) {
    ready.sort((a, b) => rank[a]! - rank[b]! || a - b);
    for (let k = 0; k < ready.length;) {
      const i = ready[k]!;
      const { stage, batch, people, machine, seconds } = jobs[i]!;
      const idle = busy.flatMap((one, helper) => (one ? [] : [helper]));
      if (idle.length === 0) break;
      // Nothing of a stage begins before it has been set up with its first batch.
      const isSetUp = batch === 1 || (setUp.get(stage) ?? Infinity) <= now + 1e-9;
      if (idle.length < people || (machine !== undefined && free.get(machine)! < 1) || !isSetUp) {
        k++;
        continue;
      }
      ready.splice(k, 1);
      const by = idle.slice(0, people);
      for (const helper of by) busy[helper] = true;
      if (machine !== undefined) free.set(machine, free.get(machine)! - 1);
      if (batch === 1) setUp.set(stage, now + (stages[stage]!.setUpSeconds ?? 0));
      started.set(i, now);
      running.push({ job: i, end: now + seconds, by });
      tasks.push({
        stage: stages[stage]!.id,
        batch,
        helper: people === 1 ? by[0]! + 1 : by.map((helper) => helper + 1),
        ...(machine === undefined ? {} : { machine }),
        startSeconds: now,
        endSeconds: now + seconds,
      });
    }
    // On to the next moment at which something ends or has been set up.
    const next = Math.min(
      ...running.map(({ end }) => end),
      ...[...setUp.values()].filter((at) => at > now + 1e-9),
    );
    now = next;
    for (let k = running.length - 1; k >= 0; k--) {
      const { job, end, by } = running[k]!;
      if (end > now + 1e-9) continue;
      running.splice(k, 1);
      left--;
      for (const helper of by) busy[helper] = false;
      const { machine } = jobs[job]!;
      if (machine !== undefined) free.set(machine, free.get(machine)! + 1);
      for (const one of follows[job]!) if (--waits[one]! === 0) ready.push(one);
    }
  }
  return tasks;
}
