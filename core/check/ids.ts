/** What is wrong where two things have the same id, in a sentence; undefined where each has its own. */
export function sharedId(what: string, list: readonly { id: string }[]): string | undefined {
  const seen = new Set<string>();
  for (const { id } of list) {
    if (seen.has(id)) return `Each ${what} needs an id of its own: ${id}.`;
    seen.add(id);
  }
  return undefined;
}

/** Throws RangeError where two things have the same id. */
export function ownIds(what: string, list: readonly { id: string }[]): void {
  const shared = sharedId(what, list);
  if (shared) throw new RangeError(shared);
}

/** Things by their ids. Throws RangeError for an id that stands twice. */
export function byId<T extends { id: string }>(what: string, list: readonly T[]): Map<string, T> {
  ownIds(what, list);
  return new Map(list.map((one) => [one.id, one]));
}
