/** The clock of an evening: rounds and changes one after the other; it can be halted, go on, and be given a minute. */
export interface Course {
  rounds: number;
  roundMinutes: number;
  changeMinutes: number;
}
export interface Clock {
  /** Milliseconds that have gone by, without the halts. */
  gone: number;
  /** When it was last set going; undefined while it is halted. */
  since?: number;
  /** Milliseconds that were given beyond the course, and at which point of it. */
  given: readonly { at: number; ms: number }[];
}
export const START: Clock = { gone: 0, given: [] };

const MINUTE = 60_000;

export type Phase =
  | { kind: 'round'; round: number; leftMs: number }
  /** Between two rounds: the next one is named. */
  | { kind: 'change'; round: number; leftMs: number }
  | { kind: 'over' };

/** Milliseconds that have gone by at a moment. */
export const goneAt = ({ gone, since }: Clock, now: number): number =>
  gone + (since === undefined ? 0 : Math.max(0, now - since));

/** The parts of the course, each with its end; what was given lengthens the part it was given in. */
function parts({ rounds, roundMinutes, changeMinutes }: Course, { given }: Clock) {
  const list: { kind: 'round' | 'change'; round: number; end: number }[] = [];
  let end = 0;
  const add = (kind: 'round' | 'change', round: number, minutes: number): void => {
    const begin = end;
    end += minutes * MINUTE;
    // In the order in which they were given: each lengthens the part that was on then.
    for (const { at, ms } of given) if (at >= begin && at < end) end += ms;
    if (end > begin) list.push({ kind, round, end });
  };
  for (let round = 1; round <= rounds; round++) {
    add('round', round, roundMinutes);
    if (round < rounds) add('change', round + 1, changeMinutes);
  }
  return list;
}

/** What is on at a moment, and how long it still is. */
export function phaseAt(course: Course, clock: Clock, now: number): Phase {
  const gone = goneAt(clock, now);
  const here = parts(course, clock).find(({ end }) => gone < end);
  return here ? { kind: here.kind, round: here.round, leftMs: here.end - gone } : { kind: 'over' };
}

export const go = (clock: Clock, now: number): Clock =>
  clock.since === undefined ? { ...clock, since: now } : clock;
export const halt = ({ given, ...clock }: Clock, now: number): Clock => ({
  gone: goneAt({ given, ...clock }, now),
  given,
});
/** A minute more for what is on now. */
export const giveMinute = (clock: Clock, now: number): Clock => ({
  ...clock,
  given: [...clock.given, { at: goneAt(clock, now), ms: MINUTE }],
});
/** On to the next part at once. */
export function skip(course: Course, clock: Clock, now: number): Clock {
  const phase = phaseAt(course, clock, now);
  return phase.kind === 'over'
    ? clock
    : {
        ...clock,
        gone: goneAt(clock, now) + phase.leftMs,
        ...(clock.since === undefined ? {} : { since: now }),
      };
}

/** "9:05". */
export const shown = (ms: number): string => {
  const seconds = Math.ceil(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
};
