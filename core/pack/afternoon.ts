/** Making copies of a kit in an afternoon: the stages of the work with their minutes, from what the pack takes. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, Whole } from '~/core/check/schema';
import { runPlan, type RunPlan, type Stage, type Task } from '~/core/kits/run-plan';
import type { KitPart } from '~/core/kits/recipe';
import { isStored, materialOf } from '~/core/materials/catalogue';
import { FINISHES, papersOf, type Finish, type Sheet } from '~/core/paper/sheet';
import { cutsOf, type Printing } from './cost';

export const afternoonSchema = Type.Object({
  copies: Whole(1, 60, { title: 'Copies', default: 12 }),
  helpers: Whole(1, 12, { title: 'Helpers', default: 3 }),
  laminators: Whole(1, 4, { title: 'Laminators', default: 1 }),
  cutters: Whole(1, 8, { title: 'Cutters', default: 2 }),
  finish: OneOf<Finish>(FINISHES, { title: 'Finish', default: 'durable' }),
});
export type AfternoonAsked = Static<typeof afternoonSchema>;

/** What no school has measured for us: seconds to begin with, for a piece, for a kind of part, and to look a bag over. */
export const ASSUMED = {
  printerSeconds: 60,
  laminatorSeconds: 240,
  pieceSeconds: 1,
  partSeconds: 15,
  checkSeconds: 45,
} as const;

export const STAGES = {
  print: { does: 'print', caution: '' },
  laminate: {
    does: 'laminate',
    caution: 'For grown-ups: the rollers are hot. Let each pouch cool before it is cut.',
  },
  cut: {
    does: 'cut',
    caution: 'Blades away from the body, and closed when nobody cuts. Round the corners of pouches.',
  },
  count: {
    does: 'count the parts for',
    caution: 'Small parts stay out of the reach of children under three.',
  },
  bag: { does: 'fill and label', caution: '' },
  check: { does: 'check', caution: '' },
} as const;
export type StageId = keyof typeof STAGES;

/** The stages for so many copies of which one takes these pages and parts. A stage without work is left out. */
export function stagesOf(
  pages: readonly Sheet[],
  parts: readonly KitPart[],
  { copies, finish, printing }: Pick<AfternoonAsked, 'copies' | 'finish'> & { printing: Printing },
): Stage[] {
  const printed = pages.filter(({ shapes }) => shapes.length > 0).length;
  const pouches =
    finish === 'durable'
      ? papersOf(pages, true).filter((paper) =>
          paper.some((one) => one.lasting !== false && one.shapes.length > 0),
        ).length
      : 0;
  const cuts = pages.map(cutsOf);
  const cutting =
    cuts.reduce((sum, one) => sum + one.straight, 0) * printing.cutSeconds +
    cuts.reduce((sum, one) => sum + one.outline, 0) * printing.outlineSeconds;
  const counted = parts.filter(({ material }) => isStored(materialOf(material)));
  const counting = counted.reduce(
    (sum, { quantity }) => sum + ASSUMED.partSeconds + quantity * ASSUMED.pieceSeconds,
    0,
  );
  const all: (Stage & { id: StageId })[] = [
    {
      id: 'print',
      after: [],
      batches: copies,
      secondsEach: printed * printing.pageSeconds,
      setUpSeconds: ASSUMED.printerSeconds,
      machine: 'printer',
    },
    {
      id: 'laminate',
      after: ['print'],
      batches: copies,
      secondsEach: pouches * printing.pouchSeconds,
      setUpSeconds: ASSUMED.laminatorSeconds,
      machine: 'laminator',
    },
    { id: 'cut', after: ['print', 'laminate'], batches: copies, secondsEach: cutting, machine: 'cutter' },
    { id: 'count', after: [], batches: copies, secondsEach: counting },
    { id: 'bag', after: ['cut', 'count', 'print'], batches: copies, secondsEach: printing.bagSeconds },
    { id: 'check', after: ['bag'], batches: copies, secondsEach: ASSUMED.checkSeconds },
  ];
  const kept = all.filter(({ secondsEach }) => secondsEach > 0);
  const there = new Set(kept.map(({ id }) => id as string));
  return kept.map((stage) => ({ ...stage, after: stage.after.filter((id) => there.has(id)) }));
}

export const planAfternoon = (
  pages: readonly Sheet[],
  parts: readonly KitPart[],
  asked: AfternoonAsked & { printing: Printing },
): RunPlan =>
  runPlan({
    stages: stagesOf(pages, parts, asked),
    helpers: asked.helpers,
    machines: { printer: 1, laminator: asked.laminators, cutter: asked.cutters },
  });

/** One line of a job card: the same stage for copies one after the other. */
export interface Job {
  stage: StageId;
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
    if (last && last.stage === stage && last.to + 1 === batch) {
      last.to = batch;
      last.endSeconds = endSeconds;
    } else jobs.push({ stage: stage as StageId, from: batch, to: batch, startSeconds, endSeconds });
  }
  return jobs;
}

/** "1:05" hours and minutes after the beginning. */
export const clock = (seconds: number): string => {
  const minutes = Math.round(seconds / 60);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
};
