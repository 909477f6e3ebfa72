/** The signs a game allows, as a parameter and as a ladder. */
import { SIGNS, type Sign } from '~/core/cards/facts';
import { SomeOf } from '~/core/check/schema';
import type { Ladder, Params } from './types';

const ALL = Object.keys(SIGNS) as Sign[];

/** A parameter: some of the four signs. */
export const Signs = (byDefault: readonly Sign[]) =>
  SomeOf(Object.fromEntries(ALL.map((sign) => [sign, sign])) as Record<Sign, string>, {
    title: 'Signs',
    default: byDefault,
  });

/** One sign less is easier, one more is harder; from + and − to × and ÷. */
export function signLadder<P extends Params & { ops: readonly Sign[] }>(params: P): Ladder {
  const now = ALL.filter((sign) => params.ops.includes(sign));
  const fewer = now.slice(0, -1);
  const next = ALL.find((sign) => !now.includes(sign));
  return {
    easier: fewer.length
      ? { params: { ...params, ops: fewer }, label: `Use only ${fewer.join(' ')}` }
      : undefined,
    harder: next
      ? {
          params: { ...params, ops: ALL.filter((sign) => now.includes(sign) || sign === next) },
          label: `Allow ${next} too`,
        }
      : undefined,
  };
}
