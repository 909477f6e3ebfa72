/** Making a copy step by step: what is open, what waits for what, and what a helper does next. */
import type { AnyMaterialId } from '~/core/materials/catalogue';

export const STAGES = {
  print: { does: 'print', done: 'printed', caution: '' },
  laminate: {
    does: 'laminate',
    done: 'laminated',
    caution: 'For grown-ups: the rollers are hot. Let each pouch cool before it is cut.',
  },
  cut: {
    does: 'cut',
    done: 'cut',
    caution: 'Blades away from the body, and closed when nobody cuts. Round the corners of pouches.',
  },
  count: {
    does: 'count the parts for',
    done: 'counted',
    caution: 'Small parts stay out of the reach of children under three.',
  },
  bag: { does: 'fill the bag of', done: 'in the bag', caution: '' },
  label: { does: 'label', done: 'labeled', caution: '' },
  check: { does: 'check', done: 'checked', caution: '' },
} as const;
export type StageId = keyof typeof STAGES;
export const STAGE_IDS = Object.keys(STAGES) as StageId[];

/** What must be settled before a stage of the same copy begins. */
export const AFTER: Record<StageId, readonly StageId[]> = {
  print: [],
  laminate: ['print'],
  cut: ['print', 'laminate'],
  count: [],
  bag: ['print', 'laminate', 'cut', 'count'],
  label: ['bag'],
  check: ['print', 'laminate', 'cut', 'count', 'bag', 'label'],
};

/** One step of one copy: a stage, and for counting a material. */
export type StepId = Exclude<StageId, 'count'> | `count ${AnyMaterialId}`;

export interface MakingStep {
  id: StepId;
  /** Pages to print, pouches, cuts, pieces to count; one of all else. */
  quantity: number;
  /** Of one person's work. */
  seconds: number;
}

export const stageOf = (id: string): StageId => id.split(' ', 1)[0] as StageId;
/** The material that a step counts. */
export const countedBy = (id: string): AnyMaterialId | undefined =>
  id.startsWith('count ') ? (id.slice('count '.length) as AnyMaterialId) : undefined;

/** What can be written down about a step. */
export const OUTCOMES = ['begun', 'done', 'tooFew', 'broken', 'wrongLabel', 'undone'] as const;
export type Outcome = (typeof OUTCOMES)[number];

export interface StepEvent {
  step: string;
  outcome: Outcome;
  /** How many there were, of too few; how many broke. */
  quantity: number | null;
  personId: string | null;
  by: string | null;
  at: Date;
}

/** `short`: counted, with fewer than the recipe holds; what follows goes on. */
export type Standing = 'waits' | 'open' | 'begun' | 'done' | 'short';

export interface StandingStep extends MakingStep {
  standing: Standing;
  /** Who has begun or settled it. */
  personId?: string | null;
  by?: string | null;
  /** Of a short one: how many there are. */
  have?: number;
  /** What went wrong with it while it is open. */
  trouble?: 'broken' | 'wrongLabel';
}

/** After so long without another word, what somebody has begun can be taken up by anybody. */
export const BEGUN_MS = 15 * 60_000;

const settled = ({ standing }: { standing: Standing }): boolean =>
  standing === 'done' || standing === 'short';
export const isSettled = settled;

/** How the steps of a copy stand after what was written down, oldest first. Printing is settled by the pack. */
export function standingOf(
  steps: readonly MakingStep[],
  events: readonly StepEvent[],
  { printed, now }: { printed: boolean; now: number },
): StandingStep[] {
  const bare = steps.map((step): StandingStep => {
    if (step.id === 'print') return { ...step, standing: printed ? 'done' : 'open' };
    const mine = events.filter((event) => event.step === step.id);
    const last = mine.at(-1);
    if (!last) return { ...step, standing: 'open' };
    const { personId, by } = last;
    switch (last.outcome) {
      case 'done':
        return { ...step, standing: 'done', personId, by };
      case 'tooFew':
        return { ...step, standing: 'short', have: last.quantity ?? 0, personId, by };
      case 'broken':
      case 'wrongLabel':
        return { ...step, standing: 'begun', trouble: last.outcome, personId, by };
      case 'begun':
        return now - last.at.getTime() < BEGUN_MS
          ? { ...step, standing: 'begun', personId, by }
          : { ...step, standing: 'open' };
      case 'undone':
        return { ...step, standing: 'open' };
    }
  });
  return bare.map((step) =>
    settled(step) ||
    bare.every((other) => !AFTER[stageOf(step.id)].includes(stageOf(other.id)) || settled(other))
      ? step
      : { ...step, standing: 'waits' },
  );
}

export interface MakingCopy {
  id: string;
  steps: readonly StandingStep[];
}

export interface NextAsked {
  /** Who asks. */
  personId: string;
  laminators: number;
  cutters: number;
  /** Only steps of this stage. */
  stage?: StageId | undefined;
  /** What they did last: they go on with the same where they can. */
  last?: string | undefined;
}

/**
 * What a person does next: first what they have begun, then more of what they did last, then the earliest stage and, in
 * counting, one material for all copies before the next. What another has begun is left to them, and a machine that is
 * in use too. Printing is not among it: a pack is printed for many copies at once.
 */
export function nextStep(
  copies: readonly MakingCopy[],
  { personId, laminators, cutters, stage, last }: NextAsked,
): { copyId: string; step: StepId } | undefined {
  const all = copies.flatMap(({ id, steps }) => steps.map((step) => ({ copyId: id, step })));
  const byOthers = (of: StageId): number =>
    all.filter(
      ({ step }) => stageOf(step.id) === of && step.standing === 'begun' && step.personId !== personId,
    ).length;
  const busy = new Set<StageId>([
    ...(byOthers('laminate') >= laminators ? (['laminate'] as const) : []),
    ...(byOthers('cut') >= cutters ? (['cut'] as const) : []),
  ]);
  const mine = (step: StandingStep): boolean => step.standing === 'begun' && step.personId === personId;
  const free = all.filter(
    ({ step }) =>
      step.id !== 'print' &&
      (stage === undefined || stageOf(step.id) === stage) &&
      (mine(step) || (step.standing === 'open' && !busy.has(stageOf(step.id)))),
  );
  const order = (step: StandingStep): number[] => [
    mine(step) ? 0 : 1,
    step.id === last ? 0 : 1,
    last !== undefined && stageOf(step.id) === stageOf(last) ? 0 : 1,
    STAGE_IDS.indexOf(stageOf(step.id)),
  ];
  // The sort keeps the order of parts and copies: one material for all copies, then the next.
  const place = new Map<string, number>();
  for (const { step } of all) if (!place.has(step.id)) place.set(step.id, place.size);
  const [first] = free.toSorted((a, b) => {
    const [x, y] = [order(a.step), order(b.step)];
    const i = x.findIndex((one, at) => one !== y[at]);
    return i >= 0 ? x[i]! - y[i]! : place.get(a.step.id)! - place.get(b.step.id)!;
  });
  return first && { copyId: first.copyId, step: first.step.id };
}

/** How far a copy is: settled steps of all, and the parts that were short. */
export const progressOf = (
  steps: readonly StandingStep[],
): { settled: number; of: number; short: StandingStep[] } => ({
  settled: steps.filter(settled).length,
  of: steps.length,
  short: steps.filter(({ standing }) => standing === 'short'),
});
