/** Making copies of a kit in an afternoon: the stages of the work with their minutes, from what the pack takes. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, Whole } from '~/core/check/schema';
import { handsSchema, RUN_FINISHES, type RunFinish } from '~/core/kits/forms';
import { AFTER, STAGE_IDS, stageOf, type MakingStep, type StageId } from '~/core/kits/making';
import { runPlan, type RunPlan, type Stage, type Task } from '~/core/kits/run-plan';
import type { KitPart } from '~/core/kits/recipe';
import { isStored } from '~/core/materials/catalogue';
import { SHIPPED, type Catalogue } from '~/core/materials/school';
import { papersOf, type Finish, type Sheet } from '~/core/paper/sheet';
import { cutsOf, type Printing } from './cost';

export const afternoonSchema = Type.Object({
  copies: Whole(1, 60, { title: 'Copies', default: 12 }),
  ...handsSchema.properties,
  finish: OneOf<RunFinish>(RUN_FINISHES, { title: 'Finish', default: 'own' }),
});
export type AfternoonAsked = Static<typeof afternoonSchema>;

/** The steps of making one copy that takes these pages and parts. A step without work is left out. */
export function stepsOf(
  pages: readonly Sheet[],
  parts: readonly KitPart[],
  { finish, printing }: { finish: Finish; printing: Printing },
  catalogue: Catalogue = SHIPPED,
): MakingStep[] {
  const printed = pages.filter(({ shapes }) => shapes.length > 0).length;
  const pouches =
    finish === 'durable'
      ? papersOf(pages, true).filter((paper) =>
          paper.some((one) => one.lasting !== false && one.shapes.length > 0),
        ).length
      : 0;
  const cuts = pages.map(cutsOf);
  const straight = cuts.reduce((sum, one) => sum + one.straight, 0);
  const outline = cuts.reduce((sum, one) => sum + one.outline, 0);
  const steps: MakingStep[] = [
    { id: 'print', quantity: printed, seconds: printed * printing.pageSeconds },
    { id: 'laminate', quantity: pouches, seconds: pouches * printing.pouchSeconds },
    {
      id: 'cut',
      quantity: straight + outline,
      seconds: straight * printing.cutSeconds + outline * printing.outlineSeconds,
    },
    ...parts
      .filter(({ material }) => isStored(catalogue.of(material)))
      .map(({ material, quantity }): MakingStep => ({
        id: `count ${material}`,
        quantity,
        seconds: printing.partSeconds + quantity * printing.pieceSeconds,
      })),
    { id: 'bag', quantity: 1, seconds: Math.max(1, printing.bagSeconds - printing.labelSeconds) },
    { id: 'label', quantity: 1, seconds: printing.labelSeconds },
    { id: 'check', quantity: 1, seconds: printing.checkSeconds },
  ];
  return steps.filter(({ quantity }) => quantity > 0);
}

/** So many copies whose steps are these. */
export interface Batch {
  steps: readonly MakingStep[];
  copies: number;
}

/**
 * The stages of making these batches: a stage of each, named by its number as in "count 2", and before them one in
 * which a machine is set up, as in "setUp laminator".
 */
export function stagesOf(batches: readonly Batch[], ready: Ready): Stage[] {
  const setUp = setUpOf(ready);
  const all = batches.flatMap(({ steps, copies }, i) => {
    const there = STAGE_IDS.filter((stage) => steps.some(({ id }) => stageOf(id) === stage));
    return there.map((stage): Stage => ({
      id: `${stage} ${i + 1}`,
      after: [
        ...(setUp[stage] ? [`setUp ${MACHINES[stage]!}`] : []),
        ...AFTER[stage].filter((before) => there.includes(before)).map((before) => `${before} ${i + 1}`),
      ],
      batches: copies,
      secondsEach: steps
        .filter(({ id }) => stageOf(id) === stage)
        .reduce((sum, { seconds }) => sum + seconds, 0),
      ...(MACHINES[stage] ? { machine: MACHINES[stage] } : {}),
    }));
  });
  const setUps = Object.entries(setUp).flatMap(([stage, secondsEach]): Stage[] => {
    const machine = MACHINES[stage as StageId]!;
    return secondsEach > 0 && all.some((one) => one.machine === machine)
      ? [{ id: `setUp ${machine}`, after: [], batches: 1, secondsEach, machine }]
      : [];
  });
  return [...setUps, ...all];
}
const MACHINES: Partial<Record<StageId, string>> = { print: 'printer', laminate: 'laminator', cut: 'cutter' };
/** Seconds until a machine is ready, once for all batches. */
type Ready = Pick<Printing, 'printerSeconds' | 'laminatorSeconds'>;
const setUpOf = ({ printerSeconds, laminatorSeconds }: Ready): Partial<Record<StageId, number>> => ({
  print: printerSeconds,
  laminate: laminatorSeconds,
});

/** Who does what when, for so many helpers and machines. */
export const planAfternoon = (
  batches: readonly Batch[],
  { helpers, laminators, cutters }: Pick<AfternoonAsked, 'helpers' | 'laminators' | 'cutters'>,
  ready: Ready,
): RunPlan =>
  runPlan({
    stages: stagesOf(batches, ready),
    helpers,
    machines: { printer: 1, laminator: laminators, cutter: cutters },
  });

/** One line of a job card: the same stage for copies one after the other. */
export interface Job {
  stage: StageId | 'setUp';
  /** Which of the batches, from 1; of setting up the machine. */
  of: number | string;
  from: number;
  to: number;
  startSeconds: number;
  endSeconds: number;
}

/** What one helper does in order; batches of one stage that follow each other are one job. */
export function jobsOf(tasks: readonly Task[], helper: number): Job[] {
  const mine = tasks
    .filter((task) => [task.helper].flat().includes(helper))
    .sort((a, b) => a.startSeconds - b.startSeconds);
  const jobs: Job[] = [];
  for (const { stage, batch, startSeconds, endSeconds } of mine) {
    const last = jobs.at(-1);
    const [name, which] = stage.split(' ') as [Job['stage'], string];
    const of = name === 'setUp' ? which : Number(which);
    if (last && last.stage === name && last.of === of && last.to + 1 === batch) {
      last.to = batch;
      last.endSeconds = endSeconds;
    } else jobs.push({ stage: name, of, from: batch, to: batch, startSeconds, endSeconds });
  }
  return jobs;
}

/** "1:05" hours and minutes after the beginning. */
export const clock = (seconds: number): string => {
  const minutes = Math.round(seconds / 60);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
};
