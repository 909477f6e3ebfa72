/** The half-done build run of the demo: two kits, two helpers, one copy made, one counted short, the rest under way. */
import { randomBytes } from 'node:crypto';
import { seeded } from '~/core/chance/random';
import type { MakingStep } from '~/core/kits/making';
import { recipeOf } from '~/core/kits/recipe';
import { randomTag } from '~/core/kits/tag';
import { stepsOf } from '~/core/pack/afternoon';
import { USUAL_PRINTING } from '~/core/pack/cost';
import type { Language } from '~/core/words/languages';
import type { SchoolHandle } from '../db';
import { markPrinted } from '../queries/copies';
import { findKit, planOf } from '../queries/kits';
import { findMaking, startMaking } from '../queries/making';
import { beginStep, doStep } from '../queries/steps';

/** What the pack of such a kit takes, laminated. */
const PAPER: readonly MakingStep[] = [
  { id: 'print', quantity: 6, seconds: 18 },
  { id: 'laminate', quantity: 3, seconds: 108 },
  { id: 'cut', quantity: 8, seconds: 56 },
];

export async function halfMadeRun(
  at: SchoolHandle,
  {
    kitIds,
    startedOn,
    by,
    helpers,
  }: { kitIds: readonly string[]; startedOn: string; by: string; helpers: readonly string[] },
): Promise<void> {
  const [tobin, eskil] = helpers as [string, string];
  const random = seeded(8_128);
  const languages: Language[][] = [
    ['es', 'es', 'ar'],
    ['es', 'pt', 'ar'],
  ];
  const batches = await Promise.all(
    kitIds.map(async (id, i) => {
      const kit = (await findKit(at, id))!;
      const { parts } = recipeOf(planOf(kit));
      return {
        kit,
        languages: languages[i]!,
        finish: 'durable' as const,
        parts,
        steps: [...PAPER, ...stepsOf([], parts, { finish: 'durable', printing: USUAL_PRINTING })],
      };
    }),
  );
  const started = await startMaking(at, {
    batches,
    helpers: helpers.length,
    laminators: 1,
    cutters: 2,
    startedOn,
    startedBy: by,
    newTag: () => randomTag(random),
    newLinkKey: () => randomBytes(16).toString('base64url'),
  });
  if ('lacks' in started) throw new Error(`The demo has too few: ${started.lacks.material}.`);
  const run = (await findMaking(at, started.makingId))!;
  const [made, short, cut, counted] = run.copies;
  for (const copy of [made!, short!, cut!]) await markPrinted(at, [copy.id], copy.language ?? undefined);
  const steps = (copy: typeof made): string[] =>
    copy!.steps.map(({ id }) => id).filter((id) => id !== 'print');
  for (const step of steps(made))
    await doStep(at, { copyId: made!.id, step, outcome: 'done', personId: tobin });
  for (const step of steps(short).filter((id) => id !== 'check'))
    await doStep(
      at,
      step === 'count two-colour-counter'
        ? { copyId: short!.id, step, outcome: 'tooFew', quantity: 4, personId: eskil }
        : { copyId: short!.id, step, outcome: 'done', personId: eskil },
    );
  await doStep(at, { copyId: cut!.id, step: 'laminate', outcome: 'done', personId: tobin });
  await beginStep(at, { copyId: cut!.id, step: 'cut', personId: tobin });
  const [first] = steps(counted).filter((id) => id.startsWith('count '));
  await doStep(at, { copyId: counted!.id, step: first!, outcome: 'done', personId: eskil });
}
