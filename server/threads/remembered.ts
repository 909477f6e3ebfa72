import { LRUCache } from 'lru-cache';

/** Remembers the last answers to questions that are plain data; two who ask at the same time wait for one answer. */
export function rememberedBy<Q, A>(
  work: (question: Q) => Promise<A>,
  most: number,
): (question: Q) => Promise<A> {
  const known = new LRUCache<string, Promise<A>>({ max: most });
  return (question) => {
    const key = JSON.stringify(question);
    const before = known.get(key);
    if (before) return before;
    const answer = work(question);
    known.set(key, answer);
    answer.catch(() => known.delete(key));
    return answer;
  };
}
