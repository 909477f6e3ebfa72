/** What a copy holds by its latest counts, and whether it can go out so. */
import { isCard } from '~/core/cards/deck';
import type { KitPart, KitPlan } from '~/core/kits/recipe';
import type { CopyVerdict, Held } from '~/core/kits/verdict';
import { materialOf } from '~/core/materials/catalogue';
import type { SchoolHandle } from '~/data/db';
import { latestCounts, type Count } from '~/data/queries/counts';
import { verdictOf } from '../threads';

/** Paper is written on and kept at home: it is not counted back. */
export const countedParts = (parts: readonly KitPart[]): KitPart[] =>
  parts.filter((part) => materialOf(part.material).kind !== 'printed');

/** What is there of the parts that are counted: as it was counted last, else as it went out. */
export function heldOf(parts: readonly KitPart[], counts: readonly Count[]): Held {
  const counted = countedParts(parts);
  return {
    held: Object.fromEntries(
      counted.map(({ material, quantity }) => [
        material,
        counts.find((one) => one.material === material)?.counted ?? quantity,
      ]),
    ),
    deckLacks: counts.flatMap(({ lacks = [] }) => lacks).filter(isCard),
  };
}

/** What was counted last of a copy, by material, and whether it can go out so: nothing is judged when nothing is missing. */
export async function stateNow(
  at: SchoolHandle,
  { id, plan, parts }: { id: string; plan: KitPlan; parts: readonly KitPart[] },
): Promise<{ holds: Readonly<Partial<Record<string, number>>>; verdict?: CopyVerdict }> {
  const counts = await latestCounts(at, id);
  const holds = Object.fromEntries(counts.map(({ material, counted }) => [material, counted]));
  const whole = counts.every(({ counted, expected, lacks }) => counted >= expected && !lacks?.length);
  return whole ? { holds } : { holds, verdict: await verdictOf({ plan, ...heldOf(parts, counts) }) };
}
