/** What a copy holds by its latest counts, and whether it can go out so. */
import { isCard } from '~/core/cards/deck';
import type { KitPart, KitPlan } from '~/core/kits/recipe';
import type { Finish } from '~/core/paper/sheet';
import type { CopyVerdict, Held } from '~/core/kits/verdict';
import { isPrinted } from '~/core/materials/school';
import type { SchoolHandle } from '~/data/db';
import { listMaterials } from '~/data/queries/materials';
import { latestCounts, type Count } from '~/data/queries/counts';
import { verdictOf } from '../threads';

/** What a copy holds, as its row says. */
type OfCopy = { parts: readonly KitPart[]; finish: Finish };

/**
 * What is counted when a copy comes home: what lasts. Plain paper is written on and kept at home; laminated boards, cards
 * and mats come back, and of them all but the sheets that say how to play.
 */
export const countedParts = ({ parts, finish }: OfCopy): KitPart[] =>
  parts.filter(
    ({ material }) => !isPrinted(material) || (finish === 'durable' && material !== 'instruction-sheet'),
  );

/** What is there of the parts that are counted: as it was counted last, else as it went out. */
export function heldOf(copy: OfCopy, counts: readonly Count[]): Held {
  const there = (printed: boolean): [string, number][] =>
    countedParts(copy)
      .filter(({ material }) => isPrinted(material) === printed)
      .map(({ material, quantity }) => [
        material,
        counts.find((one) => one.material === material)?.counted ?? quantity,
      ]);
  return {
    held: Object.fromEntries(there(false)),
    ...(copy.finish === 'durable' ? { printed: Object.fromEntries(there(true)) } : {}),
    deckLacks: counts.flatMap(({ lacks = [] }) => lacks).filter(isCard),
  };
}

/** What was counted last of a copy, by material, and whether it can go out so: nothing is judged when nothing is missing. */
export async function stateNow(
  at: SchoolHandle,
  copy: OfCopy & { id: string; plan: KitPlan },
): Promise<{ holds: Readonly<Partial<Record<string, number>>>; verdict?: CopyVerdict }> {
  const [counts, school] = await Promise.all([latestCounts(at, copy.id), listMaterials(at)]);
  const holds = Object.fromEntries(counts.map(({ material, counted }) => [material, counted]));
  const whole = counts.every(({ counted, expected, lacks }) => counted >= expected && !lacks?.length);
  return whole
    ? { holds }
    : { holds, verdict: await verdictOf({ plan: copy.plan, school, ...heldOf(copy, counts) }) };
}
