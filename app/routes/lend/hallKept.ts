/** What the desk in the hall keeps in this browser: acts that the school has not heard of, and the page itself. */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { HallAct } from '~/core/lending/hall';
import { HALL_CACHE } from '~/app/desk/hallCache';

interface Kept extends DBSchema {
  acts: { key: number; value: { school: string; act: HallAct } };
}
let opened: Promise<IDBPDatabase<Kept>> | undefined;
const kept = (): Promise<IDBPDatabase<Kept>> =>
  (opened ??= openDB<Kept>('fern-hall', 1, {
    upgrade: (db) => void db.createObjectStore('acts', { autoIncrement: true }),
  }));

/** Acts of a school that wait to be sent, in the order in which they were done, each with its key. */
export async function waitingActs(school: string): Promise<{ key: number; act: HallAct }[]> {
  const db = await kept();
  const [keys, values] = await Promise.all([db.getAllKeys('acts'), db.getAll('acts')]);
  return keys.flatMap((key, i) => (values[i]!.school === school ? [{ key, act: values[i]!.act }] : []));
}
export const keepAct = async (school: string, act: HallAct): Promise<number> =>
  (await kept()).add('acts', { school, act });
/** The act was tried and did not get through: from now on it is one that was done without network. */
export const keepAway = async (school: string, key: number, act: HallAct): Promise<void> => {
  await (await kept()).put('acts', { school, act: { ...act, away: true } }, key);
};
export const letGo = async (key: number): Promise<void> => (await kept()).delete('acts', key);

const PAGE = '/lend/hall';

/** Lets this page open without network: keeps it and what it is made of. Browsers that cannot do it go on as they are. */
export async function keepPage(): Promise<boolean> {
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
  if (page.ok) await cache.put(PAGE, page);
  return page.ok;
}
