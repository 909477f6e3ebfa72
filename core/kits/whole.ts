/** Incomplete copies out of which whole ones can be made. */
import type { KitPart } from './recipe';

export interface IncompleteCopy {
  id: string;
  /** Copies of one kit that hold the same parts can lend each other what they lack. */
  alike: string;
  parts: readonly Pick<KitPart, 'material' | 'quantity'>[];
  /** What is missing, by material. */
  missing: Readonly<Record<string, number>>;
  /** Cards that its deck lacks. */
  lacks: readonly string[];
}

/** Whether `from` has all that `into` lacks. */
function completes(from: IncompleteCopy, into: IncompleteCopy): boolean {
  const has = (material: string): number =>
    (from.parts.find((part) => part.material === material)?.quantity ?? 0) - (from.missing[material] ?? 0);
  return (
    from.id !== into.id &&
    from.alike === into.alike &&
    // A deck that lacks cards makes no copy whole.
    (!into.missing['card-deck'] || from.lacks.length === 0) &&
    Object.entries(into.missing).every(([material, short]) => has(material) >= short) &&
    (into.lacks.length === 0 ||
      (has('card-deck') > 0 && into.lacks.every((card) => !from.lacks.includes(card))))
  );
}

const piecesMissing = ({ missing, lacks }: IncompleteCopy): number =>
  Object.values(missing).reduce((sum, short) => sum + short, 0) + lacks.length;

/**
 * Pairs of which one makes the other whole, as many as can be found one after the other: the copy that lacks least is
 * completed first, from the one that lacks most and can do it. Each copy is in one pair at most.
 */
export function pairsThatMakeOne(copies: readonly IncompleteCopy[]): { from: string; into: string }[] {
  const order = copies.toSorted((a, b) => piecesMissing(a) - piecesMissing(b) || a.id.localeCompare(b.id));
  const used = new Set<string>();
  const pairs: { from: string; into: string }[] = [];
  for (const into of order) {
    if (used.has(into.id)) continue;
    const from = order.findLast((one) => !used.has(one.id) && completes(one, into));
    if (!from) continue;
    used.add(into.id).add(from.id);
    pairs.push({ from: from.id, into: into.id });
  }
  return pairs;
}
