/** Lines of the instructions and of rehearsed plays: messages of the game with their numbers. */
import type { Args, Messages } from '~/core/words/message';
import type { Show, Step, StepPart, Turn } from './types';

/** Ids of a game's lines that are steps: the part of each stands before the dot. */
export type StepId<M extends Messages> = string extends keyof M
  ? string
  : Extract<keyof M, `${StepPart}.${string}`>;
export type Line<M extends Messages> = readonly [id: StepId<M>, args?: Args, show?: Show];
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
