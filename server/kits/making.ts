/** What making a copy of a kit takes: its parts, and the steps with their quantities. */
import { copyCost, type CopyCost, type CostAsked } from '~/core/kits/cost';
import { nextStep, type NextAsked, type StepId } from '~/core/kits/making';
import { USUAL_ITEMS } from '~/core/pack/choices';
import { USUAL_LOANS } from '~/core/pack/order';
import type { KitPart } from '~/core/kits/recipe';
import type { Finish } from '~/core/paper/sheet';
import type { SchoolHandle } from '~/data/db';
import { catalogueNow, listMaterials } from '~/data/queries/materials';
import { findMaking } from '~/data/queries/making';
import { beginStep } from '~/data/queries/steps';
import { planOf, type KitWithVariants } from '~/data/queries/kits';
import { findSchool, schoolPrinting } from '~/data/queries/schools';
import { makingOf, recipeOf } from '../threads';
import type { Making } from '../threads/worker';

/** The parts of one copy and the steps of making it; a sentence where its pack cannot be laid out. */
export async function stepsOfKit(
  at: SchoolHandle,
  kit: KitWithVariants,
  finish: Finish,
): Promise<Making & { parts: KitPart[] }> {
  const plan = planOf(kit);
  const written = await listMaterials(at);
  const [{ parts }, printing, school] = await Promise.all([
    recipeOf({ plan, school: written }),
    schoolPrinting(at),
    findSchool(at),
  ]);
  const made = await makingOf({
    order: {
      kitName: kit.name,
      schoolName: school.name,
      plan,
      school: written,
      parts,
      copies: [{ tag: '22222', link: 'https://localhost/p/plan' }],
      items: [...USUAL_ITEMS],
      scope: 'each',
      labels: {},
      checked: {},
    },
    context: {
      paper: kit.paper,
      languages: ['es', 'en'],
      seed: 1,
      finish,
      cuts: 'shared',
      fill: false,
    },
    printing,
  });
  return { ...made, parts };
}

/**
 * What somebody does next in a build run, written down as begun by them. Undefined when nothing is left that they could
 * do now: all is done, waits for something, or is in others' hands.
 */
export async function claimNext(
  at: SchoolHandle,
  makingId: string,
  personId: string,
  { stage, last }: Pick<NextAsked, 'stage' | 'last'> = {},
): Promise<{ copyId: string; step: StepId } | undefined> {
  // Somebody else may be quicker: then the next one after theirs.
  for (let tries = 0; tries < 8; tries++) {
    const now = await findMaking(at, makingId);
    if (!now) return undefined;
    const open = now.copies.filter(({ readyAt }) => readyAt === null);
    const { laminators, cutters } = now;
    const next = nextStep(open, { personId, laminators, cutters, stage, last });
    if (!next || (await beginStep(at, { ...next, personId }))) return next;
  }
  return undefined;
}

/** What one copy of a kit costs, and a loan of it, at the school's own offers and prices; a sentence where it cannot be laid out. */
export async function costOfKit(
  at: SchoolHandle,
  kit: KitWithVariants,
  offers: CostAsked['offers'],
): Promise<
  | (CopyCost & { problem?: undefined; paperLoans: number; partLoans: number; expected: number })
  | { problem: string }
> {
  const [made, printing, catalogue] = await Promise.all([
    stepsOfKit(at, kit, kit.finish),
    schoolPrinting(at),
    catalogueNow(at),
  ]);
  if (made.problem !== undefined) return { problem: made.problem };
  const { hourCents, partLoans } = printing;
  const paperLoans = kit.finish === 'durable' ? printing.durableLoans : printing.plainLoans;
  return {
    paperLoans,
    partLoans,
    expected: USUAL_LOANS,
    ...copyCost(
      {
        parts: made.parts,
        offers,
        paperCents: made.paperCents,
        wipingCents: made.wipingCents,
        paperOfLoanCents: made.paperOfLoanCents,
        seconds: made.steps.reduce((sum, { seconds }) => sum + seconds, 0),
        hourCents,
        paperLoans,
        partLoans,
      },
      catalogue,
    ),
  };
}
