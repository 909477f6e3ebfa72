/**
 * Who is let in when more is asked for than can be answered: those who are inside finish, the rest are told at once to
 * come again. The desk and families have places of their own, which no other page takes.
 */

import { patient } from '~/data/pools';

export type Lane = 'family' | 'desk' | 'act' | 'slow' | 'other';

/**
 * So many requests of each kind are worked at; who finds no place waits a moment for one. Pages take the thread in long
 * pieces: a few of them at once are no slower than many, and leave time to answer the others. What is sent mostly
 * waits for the database.
 */
const PLACES: Readonly<Record<Lane, number>> = { family: 6, desk: 6, act: 30, slow: 8, other: 6 };
const MOST_WAITING: Readonly<Record<Lane, number>> = { family: 30, desk: 20, act: 60, slow: 60, other: 24 };
/** What is drawn is waited for longer: a pack is looked at page by page. */
const WAIT_MS: Readonly<Record<Lane, number>> = {
  family: 900,
  desk: 900,
  act: 3000,
  slow: 15_000,
  other: 900,
};

/** Where bags are lent and taken back, and families waited for. */
const DESK = /^\/(lend|lend\/hall|lend\/hall\/act|scan|take-back(\/[^/]+)?(\/verdict)?)(\.data)?$/;

/** What a thread draws or solves: it takes a while, and takes nothing from the pages. */
const SLOW = /\.(pdf|svg)$|\/solve(\.data)?$/;

/** What families see: the page of a bag, of a message, of the table at the door. */
export const isFamily = (pathname: string): boolean => /^\/(p|a|in)\//.test(pathname);

/** What is sent is somebody's work: it has places enough, whatever page it is sent from. */
export const laneOf = (method: string, pathname: string): Lane => {
  if (method === 'POST') return 'act';
  if (isFamily(pathname)) return 'family';
  if (DESK.test(pathname)) return 'desk';
  return SLOW.test(pathname) ? 'slow' : 'other';
};

const inside: Record<Lane, number> = { family: 0, desk: 0, act: 0, slow: 0, other: 0 };
const waiting: Record<Lane, Set<() => void>> = {
  family: new Set(),
  desk: new Set(),
  act: new Set(),
  slow: new Set(),
  other: new Set(),
};

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
    const late = setTimeout(() => end(false), patient(WAIT_MS[lane]));
    waiting[lane].add(goOn);
    gone.addEventListener('abort', left);
  });
}
