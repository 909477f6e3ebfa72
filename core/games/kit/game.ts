/**
 * What a game is. Each is made by `game({ knobs, presets, … })`, which takes the type of its parameters from its
 * knobs and the ids of its lines from its English words, and checks everything else by them. Nobody reckons, plays or
 * prints a game with bare parameters: they pass `settle`, `complete` or `check` first, which give a `Variant`.
 */
import { Object as Fields, type Static, type TObject, type TSchema } from '@sinclair/typebox';
import type { Card } from '~/core/cards/deck';
import { seeded, type Random } from '~/core/chance/random';
import { QUICK, type Effort, type Outcome } from '~/core/chance/simulate';
import type { FieldErrors } from '~/core/check/check';
import type { MaterialId } from '~/core/materials/catalogue';
import type { Shape, Sheet, SheetContext } from '~/core/paper/sheet';
import type { Args, Messages } from '~/core/words/message';
import type { Source } from '~/core/words/reading';
import { knobsOf, suits, type Knob } from './knobs';
import { excesses } from './limits';
import type { Pictures } from './pictures';
import { reckoned, suffices, type Answers } from './reckoning';
import { coaching, stepsOf, type Lines } from './steps';
import type {
  AgeBand,
  Assumptions,
  DeckVerdict,
  GameFamily,
  Layout,
  Params,
  PartNeed,
  Peek,
  Reckoning,
  Solution,
  Step,
  Traits,
  Turn,
} from './types';

export type Knobs = Record<string, TSchema>;
/** The parameters of a game with these knobs. */
export type ParamsOf<K extends Knobs> = Static<TObject<K>>;

/** A named setting of the knobs. */
export interface Preset<P = Params> {
  id: string;
  name: string;
  /** The accepted way to play that this preset follows, where practitioners differ. */
  tradition?: string;
  ageBand: AgeBand;
  params: P;
}

/** What every game says of itself before it is set. */
export type GameWords = Messages & { readonly name: string; readonly goal: string };

interface Definition<P, M extends GameWords> {
  /** Its id and its lines in English. */
  words: Source<M>;
  family: GameFamily;
  traits: Traits;
  /** Knobs that matter only while another has one of these values. */
  when?: { readonly [K in keyof P]?: { readonly [N in keyof P]?: readonly P[N][] } };
  /** Each says what differs from the defaults of the knobs. */
  presets: readonly (Omit<Preset, 'params'> & { params?: Partial<P> })[];
  /** Our own small picture of the mechanic, in a box of 100 by 60. */
  drawing: readonly Shape[];
  /** What no schema can say about the parameters: one sentence per parameter. */
  faults?(params: P): { readonly [K in keyof P]?: string };
  reckon(params: P, effort: Effort, ageBand: AgeBand): Answers;
  /**
   * The chance that one play takes no more of every part than `have` says is there. Wanted where several parts vary from
   * play to play and hang together; else they are taken to vary each by itself.
   */
  suffices?(params: P, have: (material: MaterialId) => number): number;
  play(params: P, random: Random): Generator<Turn<keyof M & string>, Outcome | void>;
  steps(params: P): Lines<M>;
  /** Small drawings of its steps. */
  pictures?: Pictures<P, M>;
  /** Arguments of the message `goal`. */
  about?(params: P): Args;
  /** What is played, in a few words of a sentence: "6 counters". */
  subject(params: P): string;
  sheets?(params: P, context: SheetContext): Sheet<MaterialId>[];
  /** Printed materials that its sheets do not hold: they are made by hand. */
  byHand?: readonly MaterialId[];
  /** Games with a target: every different way from the laid cards to it, those with the fewest cards first. */
  solve?(params: P, laid: readonly number[], target: number): Solution;
  /** Games with a target: a new layout. */
  deal?(params: P, random: Random): Layout;
  /** Games of seeing: one card to show for a moment, drawn in a box of 100 by 60. */
  peek?(params: P, random: Random): Peek<keyof M & string>;
  /** Games with the usual deck: what these cards (those of one deck, or of two together) do to it. */
  audit?(params: P, cards: readonly Card[]): DeckVerdict;
}

/** A game as the shelf knows it. What it computes is asked of its variants. */
export interface Game {
  readonly id: string;
  readonly words: Source;
  readonly family: GameFamily;
  readonly traits: Traits;
  readonly schema: TObject;
  readonly knobs: readonly Knob[];
  readonly presets: readonly Preset[];
  readonly drawing: readonly Shape[];
  readonly byHand: readonly MaterialId[];
  /** It can solve its layouts, show a card for a moment, judge a deck. */
  readonly solves: boolean;
  readonly peeks: boolean;
  readonly audits: boolean;
}

/** What a setting is played with, whether its rules stop, and the next easier setting. */
interface Needs {
  parts: readonly PartNeed[];
  stopped: boolean;
  easier?: Params | undefined;
}

/** A game with its parameters set and found right. */
export interface Variant {
  readonly game: Game;
  readonly params: Params;
  reckon(assumptions: Assumptions, effort?: Effort): Reckoning;
  /** Its parts, whether it cannot be played at all, and the next easier setting: what is asked of many settings at once. */
  needs(ageBand: AgeBand): Needs;
  /** The chance that one play takes no more of every part than is there: of all parts together. */
  suffices(ageBand: AgeBand, have: (material: MaterialId) => number): number;
  play(random: Random): Generator<Turn, Outcome | void>;
  steps(): Step[];
  /** The small drawing of a step, where there is one; it shows the numbers that the step says. */
  picture(step: Step): readonly Shape[] | undefined;
  about(): Args;
  subject(): string;
  sheets(context: SheetContext): Sheet[];
  /** The games that can; throws TypeError for the others. */
  solve(laid: readonly number[], target: number): Solution;
  deal(random: Random): Layout;
  peek(random: Random): Peek;
  audit(cards: readonly Card[]): DeckVerdict;
}

const DEFINITIONS = new WeakMap<Game, Definition<Params, GameWords>>();

/** A game from its parts. The parameters of all of them are those of its knobs. */
export function game<const K extends Knobs, const M extends GameWords>(
  parts: { knobs: K } & Definition<ParamsOf<K>, M>,
): Game {
  const { knobs, ...definition } = parts as unknown as { knobs: Knobs } & Definition<Params, GameWords>;
  const { words, family, traits, drawing, when, presets } = definition;
  const schema = Fields(knobs, { additionalProperties: false });
  const defaults = Object.fromEntries(
    Object.entries(knobs).map(([name, knob]) => [name, knob.default as Params[string]]),
  );
  const made: Game = {
    id: words.id,
    words,
    family,
    traits,
    schema,
    knobs: knobsOf(schema, when),
    presets: presets.map((preset) => ({ ...preset, params: { ...defaults, ...preset.params } as Params })),
    drawing,
    byHand: definition.byHand ?? [],
    solves: Boolean(definition.solve),
    peeks: Boolean(definition.peek),
    audits: Boolean(definition.audit),
  };
  DEFINITIONS.set(made, definition);
  return made;
}

/** The parameters a game starts with: its first preset. */
export const startOf = (game: Game): Params => game.presets[0]!.params;

/** What is wrong with parameters: one sentence per parameter; none when they can be played. */
export function faultsOf(game: Game, params: Params): FieldErrors {
  const errors: FieldErrors = {};
  for (const knob of game.knobs)
    if (!suits(knob, params[knob.name])) errors[knob.name] = `${knob.title} does not fit this game.`;
  for (const name of Object.keys(params))
    if (!(name in game.schema.properties)) errors[name] = `This game has no “${name}”.`;
  if (Object.keys(errors).length) return errors;
  return (DEFINITIONS.get(game)!.faults?.(params) as FieldErrors | undefined) ?? {};
}

/** The game with these parameters. Throws RangeError when they do not fit it. */
export function settle(game: Game, params: Params): Variant {
  const [fault] = Object.values(faultsOf(game, params));
  if (fault !== undefined) throw new RangeError(`params: ${fault}`);
  return variantOf(game, params);
}

/**
 * The game with parameters that were stored when it had other knobs: a knob of today that they do not name stands as
 * it is set by default (or as near to it as the others allow), and a name that is no knob any more is left out. A
 * value that the game does not take is not changed in silence: then there is no variant.
 */
export function complete(game: Game, stored: Params): Variant | undefined {
  const known = Object.fromEntries(
    Object.entries(stored).filter(([name]) => Object.hasOwn(game.schema.properties, name)),
  );
  if (game.knobs.some((knob) => knob.name in known && !suits(knob, known[knob.name]))) return undefined;
  const missing = game.knobs.filter((knob) => !(knob.name in known));
  for (const added of settings(game, missing)) {
    const params = { ...added, ...known };
    if (Object.keys(faultsOf(game, params)).length === 0) return variantOf(game, params);
  }
  return undefined;
}

/** Values for knobs that are not named, the most ordinary first; at most some hundreds. */
function* settings(game: Game, missing: readonly Knob[]): Generator<Params> {
  const chosen = (params: Params): Params =>
    Object.fromEntries(missing.map(({ name }) => [name, params[name]!]));
  const defaults = Object.fromEntries(
    game.knobs.map(({ name, byDefault }) => [name, byDefault as Params[string]]),
  );
  yield chosen(defaults);
  if (missing.length === 0) return;
  for (const { params } of game.presets) yield chosen(params);
  for (const knob of missing)
    for (const value of knob.others ?? []) yield chosen({ ...defaults, [knob.name]: value });
}

/** Plays enough to tell whether a change helps. */
const BRIEF = 400;

const may = <F>(can: F | undefined, what: string): F => {
  if (!can) throw new TypeError(`This game cannot ${what}.`);
  return can;
};

function variantOf(game: Game, params: Params): Variant {
  const parts = DEFINITIONS.get(game)!;
  let said: Step[] | undefined;
  const needed = new Map<AgeBand, Needs>();
  const variant: Variant = {
    game,
    params,
    suffices: (ageBand, have) =>
      parts.suffices?.(params, have) ??
      variant.needs(ageBand).parts.reduce((all, need) => all * suffices(need, have(need.material)), 1),
    reckon: (assumptions, effort = QUICK) => {
      const plays = (change: Params): boolean => Object.keys(faultsOf(game, change)).length === 0;
      const of = (change: Params, how: Effort): Reckoning =>
        reckoned(parts.reckon(change, how, assumptions.ageBand), assumptions, plays);
      const reckoning = of(params, effort);
      const brief = { ...effort, plays: Math.min(effort.plays, BRIEF), deep: false, progress: undefined };
      // What is simulated is looked for where there is time.
      const mayTry = effort.deep || !(reckoning.simulated ?? reckoning.pending.length);
      const excess = excesses(reckoning, assumptions.ageBand, mayTry ? game.knobs : [], params, (change) =>
        plays(change) ? of(change, brief) : undefined,
      );
      return { ...reckoning, notices: [...excess, ...reckoning.notices] };
    },
    needs: (ageBand) => {
      const before = needed.get(ageBand);
      if (before) return before;
      // No part depends on how many plays are simulated.
      const answers = parts.reckon(params, { ...QUICK, plays: 1 }, ageBand);
      const needs: Needs = {
        parts: answers.parts,
        stopped: (answers.notices ?? []).some((notice) => notice && notice.severity === 'stop'),
        easier: answers.ladder.easier?.params,
      };
      needed.set(ageBand, needs);
      return needs;
    },
    play: (random) => parts.play(params, random),
    steps: () => {
      const steps = stepsOf(parts.steps(params));
      said ??= coaching(parts.play(params, seeded(1)));
      const after = steps.findLastIndex(({ part }) => part === 'say') + 1;
      return [...steps.slice(0, after), ...said, ...steps.slice(after)];
    },
    picture: ({ id, args }) => {
      const said = Object.fromEntries(
        Object.entries(args).filter((one): one is [string, number] => typeof one[1] === 'number'),
      );
      return parts.pictures?.[id]?.(said, params);
    },
    about: () => parts.about?.(params) ?? {},
    subject: () => parts.subject(params),
    sheets: (context) => parts.sheets?.(params, context) ?? [],
    solve: (laid, target) => may(parts.solve, 'solve').call(parts, params, laid, target),
    deal: (random) => may(parts.deal, 'deal').call(parts, params, random),
    peek: (random) => may(parts.peek, 'show a card').call(parts, params, random),
    audit: (cards) => may(parts.audit, 'judge a deck').call(parts, params, cards),
  };
  return variant;
}
