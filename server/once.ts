/** What several parts of one page ask for is looked up once for each request. */
import { AsyncLocalStorage } from 'node:async_hooks';
import type { SchoolHandle } from '~/data/db';
import { copiesNow, type CopiesNow } from '~/data/queries/desk';
import { today } from './today';

const known = new AsyncLocalStorage<Map<string, Promise<unknown>>>();

/** Does `work` for one request. */
export const forOneRequest = <T>(work: () => T): T => known.run(new Map(), work);

/** What `look` finds, which the rest of this request finds too. */
export function once<T>(key: string, look: () => Promise<T>): Promise<T> {
  const here = known.getStore();
  if (!here) return look();
  const before = here.get(key) as Promise<T> | undefined;
  if (before) return before;
  const found = look();
  here.set(key, found);
  return found;
}

/** Where the copies of a school are now. Only for what reads: a change in the same request is not seen. */
export const copiesOf = (at: SchoolHandle): Promise<CopiesNow> =>
  once(`copies ${at.schoolId}`, () => copiesNow(at, today(at)));
