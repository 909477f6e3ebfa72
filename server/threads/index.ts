/** Threads beside the one that answers people: some reckon, some draw PDFs, so that neither waits for the other. */
import { resolve } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { patient } from '~/data/pools';
import type { GameRef } from '~/core/own/open';
import type { ShelfEntry } from '~/core/games/shelf/catalogue';
import type { Assumptions, Params, Reckoning } from '~/core/games/kit/types';
import type { Can, CanAsked } from '~/core/kits/can';
import type { KitPlan, Recipe } from '~/core/kits/recipe';
import type { HazardId, SaferKit } from '~/core/kits/safety';
import type { RunPlan } from '~/core/kits/run-plan';
import type { CopyVerdict, Held } from '~/core/kits/verdict';
import type { Round, RoundAsked, RoundStep } from '~/core/lending/round';
import type { Offered } from '~/core/evening/offer';
import type { TableParts } from '~/core/evening/parts';
import type { EveningAsked } from '~/core/evening/rotation';
import type { Demand } from '~/core/listening/demand';
import type { Meaning } from '~/core/listening/meaning';
import type { Mended } from '~/core/listening/next';
import type { Scene } from '~/core/rehearse/rehearsal';
import type { PieceChoice } from '~/core/pack/pack';
import type { Asked, Pieces, Preview } from '../print/preview';
import type { PaperName } from '../print/papers';
import type { Task } from '../print/task';
import type { Wear, WearAsked } from '~/core/looking/wear';
import { rememberedBy } from './remembered';
import type {
  AfternoonTask,
  AtSchool,
  DemandAsked,
  Drawn,
  Making,
  MakingTask,
  MeantAsked,
  PaperTask,
  MendedAsked,
  RehearsalAsked,
  Rotated,
  TablesTask,
} from './worker';

// The built server has its threads built beside it; tests and commands start them from their sources.
const filename = resolve(import.meta.env?.PROD ? 'build/threads/worker.js' : 'server/threads/start.mjs');

/** Whoever waits for a reckoning is told after so long that it takes too long; a thread that starts from its sources reads them first. */
const LONGEST_MS = import.meta.env?.PROD ? patient(8000) : 60_000;

/** The cards of a large school take some seconds. */
const LONGEST_PAPER_MS = 55_000;

const made = new Map<'reckon' | 'draw', Piscina>();
/** The pool of a kind of work, with one thread that has read the code, from the first time it is asked for. */
function pool(name: 'reckon' | 'draw'): Piscina {
  const known = made.get(name);
  if (known) return known;
  const threads = new Piscina({
    filename,
    minThreads: 1,
    maxThreads: 2,
    idleTimeout: 120_000,
  });
  made.set(name, threads);
  return threads;
}

const reckon = <Q, A>(name: string, asked: Q): Promise<A> =>
  pool('reckon').run(asked, { name, signal: AbortSignal.timeout(LONGEST_MS) }) as Promise<A>;

/** Pages and costs of a print order. */
export const laidOut = rememberedBy<Asked, Preview>((asked) => reckon('preview', asked), 16);
/** Pieces that can be printed again by themselves. */
export const piecesOf = rememberedBy<Pieces, PieceChoice[]>((asked) => reckon('pieces', asked), 16);
/** What goes into one copy of a kit. */
export const recipeOf = rememberedBy<{ plan: KitPlan } & AtSchool, Recipe>(
  (asked) => reckon('recipe', asked),
  64,
);
/** Whether a copy can go out again with what it holds. */
export const verdictOf = rememberedBy<{ plan: KitPlan } & Held & AtSchool, CopyVerdict>(
  (asked) => reckon('verdict', asked),
  200,
);
/** The steps of making one copy of a kit. */
export const makingOf = rememberedBy<MakingTask, Making>((asked) => reckon('making', asked), 64);
/** The nearest version of a kit without some hazards. */
export const saferOf = rememberedBy<{ plan: KitPlan; without: HazardId[] } & AtSchool, SaferKit | undefined>(
  (asked) => reckon('safer', asked),
  64,
);
/** Whether so many copies can be made, what to buy, and what can be made now. */
export const canOf = rememberedBy<CanAsked & AtSchool, Can>((asked) => reckon('can', asked), 32);
/** An afternoon of making copies. */
export const afternoonOf = rememberedBy<AfternoonTask, RunPlan>((asked) => reckon('afternoon', asked), 16);
/** What the shelf says of a game of the school's own. */
export const entryOf = rememberedBy<GameRef, ShelfEntry>((ref) => reckon('entry', ref), 200);
let offering: Promise<Offered[]> | undefined;
/** Every game as a table of an evening would have it: it changes with the code alone. */
export const offeredGames = (): Promise<Offered[]> => {
  offering ??= reckon<undefined, Offered[]>('offeredGames', undefined);
  offering.catch(() => (offering = undefined));
  return offering;
};
/** Which group plays where in which round, and who hosts. */
export const rotationOf = rememberedBy<EveningAsked, Rotated>((asked) => reckon('rotation', asked), 64);
/** What stands on each table of an evening. */
export const tablePartsOf = rememberedBy<TablesTask, TableParts[]>(
  (asked) => reckon('tableParts', asked),
  64,
);
/** The scenes of a rehearsal. */
export const rehearsalOf = rememberedBy<RehearsalAsked, Scene[]>((asked) => reckon('rehearsed', asked), 64);
/** What each of these variants asks of a child. */
export const demandsOf = rememberedBy<readonly DemandAsked[], Demand[]>(
  (asked) => reckon('demands', asked),
  32,
);
/** What all answers of a school mean together. */
export const meaningOf = rememberedBy<MeantAsked, Meaning>((asked) => reckon('meant', asked), 16);
/** How fast these parts go. */
export const wearsOf = rememberedBy<readonly WearAsked[], Wear[]>((asked) => reckon('wears', asked), 32);
/** The rung of a variant that makes it likelier to be just right for a child. */
export const mendedOf = rememberedBy<MendedAsked, Mended | undefined>(
  (asked) => reckon('mended', asked),
  200,
);
/** A hand-out, solved in a thread; `signal` gives it up, `progress` is told each step. */
export async function roundOf(
  asked: RoundAsked,
  { signal, progress }: { signal?: AbortSignal; progress?: (step: RoundStep) => void } = {},
): Promise<Round> {
  const { port1, port2 } = new MessageChannel();
  if (progress) port1.on('message', progress);
  const late = AbortSignal.timeout(LONGEST_MS);
  try {
    return (await pool('reckon').run(
      { asked, port: port2 },
      { name: 'handOut', transferList: [port2], signal: signal ? AbortSignal.any([signal, late]) : late },
    )) as Round;
  } finally {
    port1.close();
  }
}
export const shelf = (): Promise<ShelfEntry[]> =>
  pool('reckon').run(undefined, { name: 'shelf' }) as Promise<ShelfEntry[]>;
/** What a bench shows at first. */
export const reckoningOf = rememberedBy<
  { ref: GameRef; params: Params; assumptions: Assumptions },
  Reckoning | undefined
>((asked) => reckon('reckoning', asked), 64);

export type { PaperTask };
/** Draws a paper from a list, one of two at a time; undefined where there is nothing on it. */
export const paperDrawn = <K extends PaperName>(task: PaperTask<K>): Promise<Uint8Array | undefined> =>
  pool('draw').run(task, { name: 'paper', signal: AbortSignal.timeout(LONGEST_PAPER_MS) }) as Promise<
    Uint8Array | undefined
  >;

/** Starts a thread that draws before it is needed: reading the code takes longer than drawing a pack. */
export const warmUp = (): void => void pool('draw');

/** Draws a task. `progress` may answer false: then the thread is ended and the promise gives undefined. Throws what broke it. */
export async function drawn(
  task: Task | PaperTask,
  progress: (done: number, pages: number) => Promise<boolean> | boolean = () => true,
): Promise<Drawn | undefined> {
  const { port1, port2 } = new MessageChannel();
  const stop = new AbortController();
  port1.on('message', ({ done, pages }: { done: number; pages: number }) => {
    // Who cannot be told goes on: a database that is away for a moment does not stop the drawing.
    Promise.resolve(progress(done, pages)).then(
      (goOn) => goOn || stop.abort(),
      () => undefined,
    );
  });
  try {
    return (await pool('draw').run(
      { task, port: port2 },
      { name: 'draw', transferList: [port2], signal: stop.signal },
    )) as Drawn;
  } catch (error) {
    if (stop.signal.aborted) return undefined;
    throw error;
  } finally {
    port1.close();
  }
}
