import { binomial } from '~/core/chance/binomial';
import type { SpillParams } from '.';

/** A way to split the whole, the larger part first when order does not count. */
export interface Way {
  a: number;
  b: number;
  chance: number;
}

/**
 * Every way with its chance when all counters are tipped out and both sides are equally likely: N + 1 ways
 * with binomial odds when order counts; when it does not, mirrored ways are one.
 */
export function ways({ counters, order }: Pick<SpillParams, 'counters' | 'order'>): Way[] {
  const fair = binomial(counters, 0.5).p;
  if (order === 'ordered') return fair.map((chance, a) => ({ a, b: counters - a, chance }));
  const result: Way[] = [];
  for (let b = 0; b <= counters / 2; b++)
    result.push({ a: counters - b, b, chance: b * 2 === counters ? fair[b]! : 2 * fair[b]! });
  return result;
}
