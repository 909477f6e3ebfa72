/** Two people change one thing: what each of them changed, and what only a person can decide. */

/** One field that both changed, each in another way. */
export interface Clash {
  field: string;
  /** As it was when the form was opened. */
  base: unknown;
  mine: unknown;
  theirs: unknown;
}

export interface Merge<T> {
  /** What stands when the clashes are decided for `mine`. */
  merged: T;
  clashes: Clash[];
  /** Fields that only the other one changed: they are taken as they are now. */
  taken: { field: string; from: unknown; to: unknown }[];
}

/** Whether two values that JSON can say are the same; the order of the names in an object does not matter. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const names = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...names].every((name) =>
    same((a as Record<string, unknown>)[name], (b as Record<string, unknown>)[name]),
  );
}

/**
 * Merges by field what `mine` and `theirs` made of `base`: a field that one of them changed is taken from them; one
 * that both changed alike is no clash. Fields in `sets` are lists without order of their own: what was added and
 * taken away by both counts. Without `base` nobody knows who changed what, and every difference is a clash.
 */
export function merge<T extends object>(
  base: T | undefined,
  mine: T,
  theirs: T,
  sets: readonly (keyof T & string)[] = [],
): Merge<T> {
  const merged = { ...theirs } as Record<string, unknown>;
  const clashes: Clash[] = [];
  const taken: Merge<T>['taken'] = [];
  for (const field of Object.keys({ ...theirs, ...mine }) as (keyof T & string)[]) {
    const [was, my, their] = [base?.[field], mine[field], theirs[field]];
    if (same(my, their)) continue;
    if (base && same(was, my)) taken.push({ field, from: was, to: their });
    else if (base && same(was, their)) merged[field] = my;
    else if (base && sets.includes(field))
      merged[field] = mergeSets(was as unknown[], my as unknown[], their as unknown[]);
    else {
      merged[field] = my;
      clashes.push({ field, base: was, mine: my, theirs: their });
    }
  }
  return { merged: merged as T, clashes, taken };
}

/** Theirs, with what was added here and without what was taken away here. */
export function mergeSets<V>(base: readonly V[], mine: readonly V[], theirs: readonly V[]): V[] {
  const gone = base.filter((one) => !mine.includes(one));
  return [
    ...theirs.filter((one) => !gone.includes(one)),
    ...mine.filter((one) => !base.includes(one) && !theirs.includes(one)),
  ];
}
