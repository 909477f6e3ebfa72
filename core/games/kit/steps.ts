/** Lines of the instructions and of rehearsed plays: messages of the game with their numbers. */
import type { Args, Messages } from '~/core/words/message';
import type { Show, Step, StepPart, Turn } from './types';

/** Ids of a game's lines that are steps: the part of each stands before the dot. */
export type StepId<M extends Messages> = string extends keyof M
  ? string
  : Extract<keyof M, `${StepPart}.${string}`>;
export type Line<M extends Messages> = readonly [id: StepId<M>, args?: Args, show?: Show | undefined];
/** The steps of a game in their order; lines that are `false` are left out. */
export type Lines<M extends Messages> = readonly (Line<M> | false | undefined)[];

export const stepsOf = <M extends Messages>(lines: Lines<M>): Step[] =>
  lines
    .filter((line): line is Line<M> => Boolean(line))
    .map(([id, args = {}, show]) => ({
      part: id.slice(0, id.indexOf('.')) as StepPart,
      id,
      args,
      ...(show ? { show } : {}),
    }));

/** A turn of a rehearsed play, with what a grown-up might say. */
export const turn = <const I extends string, const C extends string = never>(
  player: number,
  id: I,
  args: Args,
  coach?: C,
  coachArgs: Args = {},
): Turn<I | C> => ({
  player,
  id,
  args: { player, ...args },
  ...(coach ? { coach: { id: coach, args: coachArgs } } : {}),
});

/** Whether a step is a line that a rehearsed play says. */
export const isCoaching = ({ part, id }: Step): boolean => part === 'say' && id.startsWith('play.');

/** Turns of one play that are looked at for what can be said. */
const LOOKED_AT = 40;
/** So many coaching lines stand on the sheet of a family. */
const COACHED = 2;
/** A line that is said in fewer of the turns than this belongs to a rare moment, not to the sheet. */
const COMMON = 0.15;

/** What a grown-up can say most often in this play, as steps, with the numbers of the first time it fits. */
export function coaching(play: Iterable<Turn>): Step[] {
  const heard = new Map<string, { args: Args; times: number }>();
  let turns = 0;
  for (const { coach } of play) {
    if (++turns > LOOKED_AT) break;
    if (!coach) continue;
    const before = heard.get(coach.id);
    if (before) before.times++;
    else heard.set(coach.id, { args: coach.args, times: 1 });
  }
  return [...heard]
    .filter(([, { times }]) => times >= COMMON * Math.min(turns, LOOKED_AT))
    .sort(([, a], [, b]) => b.times - a.times)
    .slice(0, COACHED)
    .map(([id, { args }]) => ({ part: 'say', id, args }));
}
