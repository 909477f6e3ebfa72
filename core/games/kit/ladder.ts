/** The next easier and the next harder setting. */
import type { Sign } from '~/core/cards/facts';
import { ALL_SIGNS } from './knobs';
import type { Ladder, Params, Rung } from './types';

/** A ladder along one parameter through the given levels, from easy to hard. */
export function levels<P extends Params, K extends keyof P & string>(
  params: P,
  name: K,
  list: readonly (P[K] & number)[],
  label: (level: number) => string,
): Ladder {
  const now = params[name] as number;
  const rung = (level: number | undefined): Rung | undefined =>
    level === undefined ? undefined : { params: { ...params, [name]: level }, label: label(level) };
  const ascending = list[0]! <= list.at(-1)!;
  const below = ascending ? list.findLast((level) => level < now) : list.findLast((level) => level > now);
  const above = ascending ? list.find((level) => level > now) : list.find((level) => level < now);
  return { easier: rung(below), harder: rung(above) };
}

/** A ladder along named settings, from easy to hard; a setting that is none of them has no neighbours. */
export function choices<P extends Params, K extends keyof P & string>(
  params: P,
  name: K,
  list: readonly (readonly [value: P[K], label: string])[],
): Ladder {
  const at = list.findIndex(([value]) => value === params[name]);
  const rung = (i: number): Rung | undefined =>
    at >= 0 && list[i] ? { params: { ...params, [name]: list[i][0] }, label: list[i][1] } : undefined;
  return { easier: rung(at - 1), harder: rung(at + 1) };
}

/** The first ladder that has a rung on each side; others step in where it ends. */
export const climb = (...ladders: Ladder[]): Ladder => ({
  easier: ladders.find((one) => one.easier)?.easier,
  harder: ladders.find((one) => one.harder)?.harder,
});

/** One sign less is easier, one more is harder; from + and − to × and ÷. */
export function signLadder<P extends Params & { ops: readonly Sign[] }>(params: P): Ladder {
  const now = ALL_SIGNS.filter((sign) => params.ops.includes(sign));
  const fewer = now.slice(0, -1);
  const next = ALL_SIGNS.find((sign) => !now.includes(sign));
  return {
    easier: fewer.length
      ? { params: { ...params, ops: fewer }, label: `Use only ${fewer.join(' ')}` }
      : undefined,
    harder: next
      ? {
          params: { ...params, ops: ALL_SIGNS.filter((sign) => now.includes(sign) || sign === next) },
          label: `Allow ${next} too`,
        }
      : undefined,
  };
}
