/**
 * Who is let in when more is asked for than can be answered: those who are inside finish, the rest are told at once to
 * come again. The desk and families have places of their own, which no other page takes.
 */

export type Lane = 'family' | 'desk' | 'other';

/** So many requests of each kind are worked at; who finds no place waits a moment for one. */
const PLACES: Readonly<Record<Lane, number>> = { family: 24, desk: 24, other: 16 };
const MOST_WAITING: Readonly<Record<Lane, number>> = { family: 60, desk: 40, other: 40 };
const WAIT_MS = 800;

/** Where bags are lent and taken back, and families waited for. */
const DESK = /^\/(lend|lend\/hall|lend\/hall\/act|scan|take-back(\/[^/]+)?(\/verdict)?)(\.data)?$/;

export const laneOf = (pathname: string): Lane =>
  /^\/(p|a|in)\//.test(pathname) ? 'family' : DESK.test(pathname) ? 'desk' : 'other';

const inside: Record<Lane, number> = { family: 0, desk: 0, other: 0 };
const waiting: Record<Lane, Set<() => void>> = { family: new Set(), desk: new Set(), other: new Set() };

/** How many are inside, and how many wait. */
export const crowd = (): { inside: number; waiting: number } => ({
  inside: inside.family + inside.desk + inside.other,
  waiting: waiting.family.size + waiting.desk.size + waiting.other.size,
});

/** Does `work` when there is a place for it; answers `full` where there is none within a moment, or nobody waits any more. */
export async function admitted(
  lane: Lane,
  gone: AbortSignal,
  work: () => Promise<void>,
): Promise<'full' | undefined> {
  if (inside[lane] >= PLACES[lane] && !(await place(lane, gone))) return 'full';
  inside[lane]++;
  try {
    await work();
    return undefined;
  } finally {
    inside[lane]--;
    const [next] = waiting[lane];
    next?.();
  }
}

/** Waits for a place; false where none became free. */
function place(lane: Lane, gone: AbortSignal): Promise<boolean> {
  if (waiting[lane].size >= MOST_WAITING[lane]) return Promise.resolve(false);
  return new Promise((done) => {
    const end = (found: boolean): void => {
      clearTimeout(late);
      waiting[lane].delete(goOn);
      gone.removeEventListener('abort', left);
      done(found);
    };
    const goOn = (): void => end(true);
    const left = (): void => end(false);
    const late = setTimeout(() => end(false), WAIT_MS);
    waiting[lane].add(goOn);
    gone.addEventListener('abort', left);
  });
}
