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

/** The earliest second at which each job can begin, were there helpers and machines without number. */
function heads(jobs: readonly Job[], stages: readonly Stage[]): number[] {
  const head: number[] = [];
  const opened = new Map<number, number>();
  // What a job waits for comes before it in the list.
  jobs.forEach(({ before, stage, batch }, i) => {
    const at = Math.max(
      0,
      batch === 1 ? 0 : opened.get(stage)!,
      ...before.map((one) => head[one]! + jobs[one]!.seconds),
    );
    head[i] = at;
    if (batch === 1) opened.set(stage, at + (stages[stage]!.setUpSeconds ?? 0));
  });
  return head;
}

/**
 * No plan is shorter: the longest chain; and for the helpers, and for each machine, what leads to the first of a set of
 * jobs, their work shared out, and what follows the last of them. The sets are those that begin no earlier than each of
 * them, and those that have no less to follow.
 */
function lowerBound(
  jobs: readonly Job[],
  stages: readonly Stage[],
  helpers: number,
  machines: ReadonlyMap<string, number>,
): number {
  const head = heads(jobs, stages);
  const places = new Map<string | undefined, number[]>([[undefined, jobs.map((_, i) => i)]]);
  jobs.forEach(({ machine }, i) => {
    if (machine !== undefined) places.set(machine, [...(places.get(machine) ?? []), i]);
  });
  let bound = Math.max(0, ...jobs.map(({ tail }, i) => head[i]! + tail));
  for (const [machine, list] of places) {
    const share = machine === undefined ? helpers : (machines.get(machine) ?? 1);
    const after = (i: number): number => jobs[i]!.tail - jobs[i]!.seconds;
    for (const of of [(i: number) => head[i]!, after]) {
      let work = 0;
      let [first, last] = [Infinity, Infinity];
      for (const i of [...list].sort((x, y) => of(y) - of(x))) {
        const { seconds, people } = jobs[i]!;
        work += seconds * (machine === undefined ? people : 1);
        [first, last] = [Math.min(first, head[i]!), Math.min(last, after(i))];
        bound = Math.max(bound, first + work / share + last);
      }
    }
  }
  return bound;
}

/** Tries until a plan reaches the bound: the more the better, and none takes long. */
const TRIES = 60;
const BRIEF_MS = 400;

/** Exchanges are tried where there are no more jobs than this, and so many of them that it takes no longer for many. */
const MOST_EXCHANGED = 400;
const EXCHANGES = 400;
const STEPS_OF_EXCHANGES = 500_000;

/**
 * Looks for a shorter plan than `shortest` by changing the order of what comes first: jobs are exchanged or moved to the
 * front, and an order is kept where its plan is no longer. Here a job may be put where helpers wait for it: an order
 * lists the jobs, and each begins at the earliest second at which it fits beside those before it. Undefined where none
 * is found.
 */
function exchanged(
  jobs: readonly Job[],
  stages: readonly Stage[],
  helpers: number,
  machines: ReadonlyMap<string, number>,
  from: { order: readonly number[]; shortest: number; bound: number },
  random: Random,
): Task[] | undefined {
  const place = placer(jobs, stages, helpers, machines);
  const longest = Math.max(1e-9, ...jobs.map(({ tail }) => tail));
  const begins = [from.order, jobs.map(({ tail }) => -tail / longest)];
  const tries = Math.min(EXCHANGES, Math.ceil(STEPS_OF_EXCHANGES / (jobs.length * jobs.length)));
  let found: { starts: number[]; end: number } | undefined;
  for (const begin of begins) {
    let rank = [...begin];
    let now = place(rank);
    for (let i = 0; i < tries; i++) {
      if (now.end < (found?.end ?? from.shortest) - 1e-9) found = now;
      if (now.end <= from.bound + 1e-6) break;
      const other = [...rank];
      const [a, b] = [random.whole(0, jobs.length - 1), random.whole(0, jobs.length - 1)];
      if (i % 3 === 0) {
        // All batches of a stage change places with those of another.
        const [one, two] = [jobs[a]!.stage, jobs[b]!.stage];
        const by = rank[b]! - rank[a]!;
        jobs.forEach(({ stage }, k) => (other[k]! += stage === one ? by : stage === two ? -by : 0));
      } else if (i % 3 === 1) [other[a], other[b]] = [rank[b]!, rank[a]!];
      else other[a] = rank[b]! + (random.whole(0, 1) ? 1e-6 : -1e-6);
      const tried = place(other);
      if (tried.end <= now.end + 1e-9) [rank, now] = [other, tried];
    }
    if (now.end < (found?.end ?? from.shortest) - 1e-9) found = now;
  }
  return found && tasksOf(jobs, stages, helpers, found.starts);
}

/** Gives each job its earliest second, one after the other in the order of their ranks, none before what it waits for. */
function placer(
  jobs: readonly Job[],
  stages: readonly Stage[],
  helpers: number,
  machines: ReadonlyMap<string, number>,
): (rank: readonly number[]) => { starts: number[]; end: number } {
  const follows = jobs.map((): number[] => []);
  const firstOf = new Map<number, number>();
  jobs.forEach(({ batch, stage }, i) => batch === 1 && firstOf.set(stage, i));
  /** Those that must have their place before: what it waits for, and the set-up of its stage. */
  const needs = jobs.map(({ before, batch, stage }) =>
    batch === 1 ? before : [...before, firstOf.get(stage)!],
  );
  needs.forEach((list, i) => list.forEach((one) => follows[one]!.push(i)));
  return (rank) => {
    const waits = needs.map((list) => list.length);
    const ready = jobs.flatMap((_, i) => (waits[i] === 0 ? [i] : []));
    const starts = new Array<number>(jobs.length).fill(0);
    const placed: number[] = [];
    const until = new Array<number>(jobs.length).fill(0);
    let end = 0;
    /** Whether there are helpers and a machine for a job at a moment, beside those that are placed. */
    const roomAt = (i: number, moment: number): boolean => {
      const { people, machine } = jobs[i]!;
      let busy = people;
      let running = machine === undefined ? 0 : 1;
      for (const one of placed) {
        if (starts[one]! > moment + 1e-9 || until[one]! <= moment + 1e-9) continue;
        busy += jobs[one]!.people;
        if (machine !== undefined && jobs[one]!.machine === machine) running++;
      }
      return busy <= helpers && running <= (machine === undefined ? 0 : (machines.get(machine) ?? 1));
    };
    /** Whether a job fits from `at` on: at its beginning and wherever another one begins meanwhile. */
    const fits = (i: number, at: number): boolean => {
      const { seconds } = jobs[i]!;
      if (seconds === 0) return true;
      if (!roomAt(i, at)) return false;
      for (const one of placed)
        if (starts[one]! > at && starts[one]! < at + seconds - 1e-9 && !roomAt(i, starts[one]!)) return false;
      return true;
    };
    while (ready.length > 0) {
      let next = 0;
      for (let k = 1; k < ready.length; k++)
        if (
          rank[ready[k]!]! < rank[ready[next]!]! ||
          (rank[ready[k]!] === rank[ready[next]!] && ready[k]! < ready[next]!)
        )
          next = k;
      const [i] = ready.splice(next, 1) as [number];
      const { before, batch, stage } = jobs[i]!;
      let at = batch === 1 ? 0 : starts[firstOf.get(stage)!]! + (stages[stage]!.setUpSeconds ?? 0);
      for (const one of before) at = Math.max(at, until[one]!);
      // On to the next moment at which something ends, until it fits.
      while (!fits(i, at)) {
        let next = Infinity;
        for (const one of placed) if (until[one]! > at + 1e-9) next = Math.min(next, until[one]!);
        at = next;
      }
      starts[i] = at;
      until[i] = at + jobs[i]!.seconds;
      placed.push(i);
      end = Math.max(end, until[i]);
      for (const one of follows[i]!) if (--waits[one]! === 0) ready.push(one);
    }
    return { starts, end };
  };
}

/** Jobs that begin at these seconds, each with helpers who are free then. */
function tasksOf(
  jobs: readonly Job[],
  stages: readonly Stage[],
  helpers: number,
  starts: readonly number[],
): Task[] {
  const freeAt = new Array<number>(helpers).fill(0);
  return jobs
    .map((_, i) => i)
    .sort((a, b) => starts[a]! - starts[b]! || jobs[a]!.seconds - jobs[b]!.seconds || a - b)
    .map((i): Task => {
      const { stage, batch, people, machine, seconds } = jobs[i]!;
      const start = starts[i]!;
      const by = freeAt.flatMap((at, helper) => (at <= start + 1e-9 ? [helper] : [])).slice(0, people);
      for (const helper of by) freeAt[helper] = Math.max(freeAt[helper]!, start + seconds);
      return {
        stage: stages[stage]!.id,
        batch,
        helper: people === 1 ? by[0]! + 1 : by.map((helper) => helper + 1),
        ...(machine === undefined ? {} : { machine }),
        startSeconds: start,
        endSeconds: start + seconds,
      };
    });
}

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
  const bound = lowerBound(jobs, stages, helpers, machines);
  const random = seeded(1);
  let best: Task[] | undefined;
  let shortest = Infinity;
  let order: readonly number[] = [];
  const began = Date.now();
  const span = (tasks: readonly Task[]): number =>
    tasks.reduce((end, { endSeconds }) => Math.max(end, endSeconds), 0);
  const atBest = (): boolean => shortest <= bound + 1e-6;
  for (const rank of ranks(jobs, machines, helpers, random)) {
    const tasks = laidOut(jobs, stages, helpers, machines, rank);
    if (span(tasks) < shortest - 1e-9) [best, shortest, order] = [tasks, span(tasks), rank];
    if (atBest() || (best && jobs.length > 400 && Date.now() - began > BRIEF_MS)) break;
  }
  if (!atBest() && jobs.length <= MOST_EXCHANGED) {
    const found = exchanged(jobs, stages, helpers, machines, { order, shortest, bound }, random);
    if (found) [best, shortest] = [found, span(found)];
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
