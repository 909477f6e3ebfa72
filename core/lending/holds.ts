/** Families that wait for a kit: in the order in which they asked, and when each may expect a bag. */

/** Somebody who waits: with the copy that is set aside for it, where there is one. */
export interface Waiter {
  id: string;
  copyId: string | null;
}

/** Which free copies go to whom: the first who waits gets the first copy. Nobody who has one set aside gets another. */
export function setAside(
  queue: readonly Waiter[],
  free: readonly string[],
): { hold: string; copy: string }[] {
  const waiting = queue.filter(({ copyId }) => copyId === null);
  return free.slice(0, waiting.length).map((copy, i) => ({ hold: waiting[i]!.id, copy }));
}

/**
 * The day on which each of a queue may expect a bag, by its place: each takes the copy that is there first, and keeps it
 * for a loan. `free` are the days on which copies can go out, ISO 8601; `backAfter` says when one that goes out on a day
 * can go out again. Nobody expects anything where there is no copy.
 */
export function expectedOn(
  queue: readonly Waiter[],
  free: readonly string[],
  today: string,
  backAfter: (day: string) => string,
): Map<string, string> {
  const expected = new Map<string, string>();
  const days = [...free];
  for (const { id, copyId } of queue) {
    if (copyId !== null) {
      expected.set(id, today);
      continue;
    }
    if (days.length === 0) continue;
    const first = days.reduce((least, day, i) => (day < days[least]! ? i : least), 0);
    expected.set(id, days[first]!);
    days[first] = backAfter(days[first]!);
  }
  return expected;
}
