/** What making a copy of a kit takes: its parts, and the steps with their quantities. */
import type { KitPart } from '~/core/kits/recipe';
import type { Finish } from '~/core/paper/sheet';
import type { SchoolHandle } from '~/data/db';
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
  const [{ parts }, printing, school] = await Promise.all([
    recipeOf(plan),
    schoolPrinting(at),
    findSchool(at),
  ]);
  const made = await makingOf({
    order: {
      kitName: kit.name,
      schoolName: school.name,
      plan,
      parts,
      copies: [{ tag: '22222', link: 'https://localhost/p/plan' }],
      items: ['instructions', 'parts', 'records'],
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
