/**
 * What the desk in the hall keeps in this browser: acts that the school has not heard of, each of the person who did it,
 * and the page itself. An act holds a tag and the number of a card and names nobody; the page names families, and goes
 * when its person does.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { HallAct, Heard } from '~/core/lending/hall';
import { HALL_CACHE } from './hallCache';

/** Whose acts they are: nobody else sends them, and they are of one school. */
export interface Mine {
  person: string;
  school: string;
}
interface Kept extends DBSchema {
  acts: { key: number; value: Mine & { act: HallAct } };
  page: { key: string; value: Mine };
}
let opened: Promise<IDBPDatabase<Kept>> | undefined;
const kept = (): Promise<IDBPDatabase<Kept>> =>
  (opened ??= openDB<Kept>('fern-hall', 2, {
    upgrade: (db, from) => {
      if (from < 1) db.createObjectStore('acts', { autoIncrement: true });
      db.createObjectStore('page');
    },
  }));
const isMine = ({ person, school }: Mine, of: Mine): boolean => of.person === person && of.school === school;

export interface Waiting {
  key: number;
  act: HallAct;
}
/** Acts of a person at a school that wait to be sent, in the order in which they were done, and how many of others wait here. */
export async function waitingActs(mine: Mine): Promise<{ own: Waiting[]; others: number }> {
  const db = await kept();
  const [keys, values] = await Promise.all([db.getAllKeys('acts'), db.getAll('acts')]);
  const own = keys.flatMap((key, i) => (isMine(mine, values[i]!) ? [{ key, act: values[i]!.act }] : []));
  return { own, others: keys.length - own.length };
}
export const keepAct = async (mine: Mine, act: HallAct): Promise<number> =>
  (await kept()).add('acts', { ...mine, act });
/** The act was tried and did not get through: from now on it is one that was done without network. */
export const keepAway = async (mine: Mine, key: number, act: HallAct): Promise<void> => {
  await (await kept()).put('acts', { ...mine, act: { ...act, away: true } }, key);
};
export const letGo = async (key: number): Promise<void> => (await kept()).delete('acts', key);

/** It would be refused again and again: it stays in sight here. */
const NOT_UNDERSTOOD: Heard = {
  kind: 'wrong',
  word: 'Not understood',
  text: 'The school did not understand this scan. Lend or take back this bag at the desk.',
};

/** So long the school has time to answer. */
const LONGEST_MS = 12_000;

/** Sends an act; `away` where the school does not answer, `door` where whoever is here has to sign in first. */
export async function send(act: HallAct): Promise<Heard | 'away' | 'door'> {
  try {
    const answer = await fetch('/lend/hall/act', {
      method: 'POST',
      body: new URLSearchParams({ act: JSON.stringify(act) }),
      redirect: 'manual',
      // A network that says nothing is none.
      signal: AbortSignal.timeout(LONGEST_MS),
    });
    if (answer.type === 'opaqueredirect' || answer.status === 403) return 'door';
    if (answer.status >= 500 || answer.status === 408 || answer.status === 429) return 'away';
    return answer.ok ? ((await answer.json()) as { heard: Heard }).heard : NOT_UNDERSTOOD;
  } catch {
    return 'away';
  }
}

/** Sends what waits, in its order, before its person signs out. Answers how many still wait: they stay for that person. */
export async function sendAll(mine: Mine): Promise<number> {
  const { own } = await waitingActs(mine);
  for (const [i, { key, act }] of own.entries()) {
    const answer = await send({ ...act, away: true });
    if (answer === 'away' || answer === 'door') return own.length - i;
    await letGo(key);
  }
  return 0;
}

const PAGE = '/lend/hall';

/** Lets this page open without network: keeps it and what it is made of. Browsers that cannot do it go on as they are. */
export async function keepPage(mine: Mine): Promise<boolean> {
  if (!('serviceWorker' in navigator) || !('caches' in window)) return false;
  await navigator.serviceWorker.register('/hall-worker.js', { scope: PAGE });
  // What reads labels is kept too, though nobody has opened the camera yet.
  await import('@zxing/browser').catch(() => undefined);
  const cache = await caches.open(HALL_CACHE);
  const parts = performance
    .getEntriesByType('resource')
    .map(({ name }) => new URL(name))
    .filter(({ origin, pathname }) => origin === location.origin && pathname.startsWith('/assets/'))
    .map(({ pathname }) => pathname);
  await cache.addAll([...new Set(parts)]);
  const page = await fetch(PAGE, { headers: { Accept: 'text/html' }, redirect: 'error' });
  if (page.ok) {
    await (await kept()).put('page', mine, PAGE);
    await cache.put(PAGE, page);
  }
  return page.ok;
}

/** Throws the kept page away, unless it is this person's at this school. */
export async function dropPage(unless?: Mine): Promise<void> {
  if (!('caches' in window) || !(await caches.has(HALL_CACHE))) return;
  const whose = await (await kept()).get('page', PAGE);
  if (unless && whose && isMine(unless, whose)) return;
  await caches.delete(HALL_CACHE);
  await (await kept()).delete('page', PAGE);
}
