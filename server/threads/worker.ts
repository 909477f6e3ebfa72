/** What takes longer than a visitor may wait for the thread that answers: each export is one kind of work. */
import type { MessagePort } from 'node:worker_threads';
import { QUICK } from '~/core/chance/simulate';
import { SHELF } from '~/core/games/shelf';
import { faultsOf, settle } from '~/core/games/kit/game';
import { offered, type Offered } from '~/core/evening/offer';
import { rehearsal, type Scene } from '~/core/rehearse/rehearsal';
import { partsOfTables, type TableParts } from '~/core/evening/parts';
import type { EveningPlan } from '~/core/evening/plan';
import { oneMoreHelper, type Help } from '~/core/evening/help';
import { evening, type EveningAsked, type Rotation } from '~/core/evening/rotation';
import { gameFor, open, type GameRef, type VariantRef } from '~/core/own/open';
import type { ShelfEntry } from '~/core/games/shelf/catalogue';
import { entryOf } from '~/core/games/shelf/entry';
import { assume, type AgeBand, type Assumptions, type Params, type Reckoning } from '~/core/games/kit/types';
import { recipeOf, type KitPlan, type Recipe } from '~/core/kits/recipe';
import { catalogueOf, type SchoolMaterial } from '~/core/materials/school';
import { saferKit, type HazardId, type SaferKit } from '~/core/kits/safety';
import { verdictOfCopy, type CopyVerdict, type Held } from '~/core/kits/verdict';
import { canMake, type Can, type CanAsked } from '~/core/kits/can';
import { round, type Round, type RoundAsked } from '~/core/lending/round';
import { demandOf, demandOfBand, type Demand } from '~/core/listening/demand';
import type { LevelAsked } from '~/core/listening/level';
import { wear, type Wear, type WearAsked } from '~/core/looking/wear';
import { meaning, type Meaning, type Voice } from '~/core/listening/meaning';
import { mendedFor, type Mended } from '~/core/listening/next';
import type { MakingStep } from '~/core/kits/making';
import { planAfternoon, stepsOf, type AfternoonAsked, type Batch } from '~/core/pack/afternoon';
import { centsOf, printCost, workOf, type Printing } from '~/core/pack/cost';
import { USUAL_LOANS } from '~/core/pack/order';
import { packOf, type PackOrder, type PieceChoice } from '~/core/pack/pack';
import type { RunPlan } from '~/core/kits/run-plan';
import { CannotPrint, forTwoSides, type Paper, type Sheet } from '~/core/paper/sheet';
import { measure } from '../print/fonts';
import { sheetsOfPaper, type PaperName, type PaperOf } from '../print/papers';
import { pdfOf, type PdfAbout } from '../print/pdf';
import { layOut, piecesIn, type Asked, type Pieces, type Preview } from '../print/preview';
import { contextOf, sheetsOf, type Task } from '../print/task';

export type Rotated = { ok: true; rotation: Rotation; help?: Help } | { ok: false; why: string };
/** Somebody waits for the page: each step of a rotation takes no longer. */
const EVENING_SECONDS = 2;
/** What would help is told where it is found soon. */
const HELP_SECONDS = 0.7;

export interface DemandAsked {
  ref: VariantRef;
  ageBand: AgeBand;
}
export interface MeantAsked {
  voices: readonly Voice[];
  demands: Readonly<Record<string, number>>;
}
/** A game with its setting, the age of the child, and which of its plays. */
export interface RehearsalAsked {
  ref: VariantRef;
  band: AgeBand;
  seed: number;
}
export interface MendedAsked extends DemandAsked {
  asked: Pick<LevelAsked, 'band' | 'answers'>;
  shift: number;
}

export interface MakingTask {
  /** The kit with one copy that stands for all. */
  order: PackOrder;
  context: Task['context'];
  printing: Printing;
}
export type Making =
  /** The steps; what the paper of one copy costs in cents, a marker and a cloth beside it, and the paper of a loan. */
  | {
      steps: MakingStep[];
      paperCents: number;
      wipingCents: number;
      paperOfLoanCents: number;
      problem?: undefined;
    }
  | { problem: string };
export interface AfternoonTask extends Pick<AfternoonAsked, 'helpers' | 'laminators' | 'cutters'> {
  batches: Batch[];
  printing: Printing;
}
/** A plan and what came of solving it, where it could be. */
export interface TablesTask extends AtSchool {
  plan: EveningPlan;
  rotation: Rotation | undefined;
}

export type Drawn =
  | { kind: 'done'; pdf: Uint8Array; pages: number }
  /** It cannot be printed as it was asked for. */
  | { kind: 'problem'; sentence: string };

/** Draws a PDF, and tells through the port how many of how many pages are drawn. */
export async function draw({ task, port }: { task: Task | PaperTask; port: MessagePort }): Promise<Drawn> {
  try {
    const pages = 'packs' in task ? sheetsOf(task) : sheetsOn(task);
    const tell = (done: number): void => port.postMessage({ done, pages: pages.length });
    tell(0);
    const pdf = await pdfOf(pages, task.about, tell);
    return { kind: 'done', pdf, pages: pages.length };
  } catch (error) {
    if (error instanceof CannotPrint) return { kind: 'problem', sentence: error.message };
    throw error;
  } finally {
    port.close();
  }
}

/** A paper to draw from a list. */
export interface PaperTask<K extends PaperName = PaperName> {
  name: K;
  given: PaperOf<K>;
  paper: Paper;
  about: PdfAbout;
}
/** A paper that is drawn at once; undefined where there is nothing on it. */
export async function paper(task: PaperTask): Promise<Uint8Array | undefined> {
  const sheets = sheetsOn(task);
  return sheets.length ? pdfOf(sheets, task.about) : undefined;
}
const sheetsOn = ({ name, given, paper: on, about }: PaperTask): Sheet[] =>
  sheetsOfPaper(name, given, { paper: on, measure, school: about.author });

export const preview = (asked: Asked): Preview => layOut(asked);
/** A hand-out, that tells through the port which of its steps it has come to. */
export async function handOut({ asked, port }: { asked: RoundAsked; port: MessagePort }): Promise<Round> {
  try {
    return await round(asked, undefined, (step) => port.postMessage(step));
  } finally {
    port.close();
  }
}
export const pieces = (asked: Pieces): PieceChoice[] => piecesIn(asked);
/** What a school wrote of its materials, beside what is asked. */
export interface AtSchool {
  school: readonly SchoolMaterial[];
}
export const recipe = ({ plan, school }: { plan: KitPlan } & AtSchool): Recipe =>
  recipeOf(plan, catalogueOf(school));
/** Whether a copy can go out again with what it holds. */
export const verdict = ({ school, ...asked }: { plan: KitPlan } & Held & AtSchool): CopyVerdict =>
  verdictOfCopy(asked, catalogueOf(school));
/** The steps of making one copy of a kit; a sentence where its pack cannot be laid out. */
export function making({ order, context, printing }: MakingTask): Making {
  try {
    const pack = packOf(order, contextOf(context));
    const pages = forTwoSides([...pack.of(order.copies[0]), ...pack.together(order.copies)]);
    const finish = context.finish ?? 'plain';
    const { costCents } = workOf(pages, { finish, twoSided: true, copies: 0, printing });
    const wiping = finish === 'durable' ? centsOf(printing, 'marker') + centsOf(printing, 'cloth') : 0;
    const loan = printCost(pages, USUAL_LOANS, { twoSided: true, printing });
    return {
      steps: stepsOf(pages, order.parts, { finish, printing }, catalogueOf(order.school ?? [])),
      paperCents: costCents,
      wipingCents: Math.ceil(wiping),
      paperOfLoanCents: finish === 'durable' ? loan.durableCents : loan.plainCents,
    };
  } catch (error) {
    // A saved setting that fits its game no more must not take the page down.
    const problem =
      error instanceof CannotPrint || error instanceof RangeError
        ? error.message
        : 'This kit cannot be laid out: a game in it was changed. Save its variant anew.';
    return { problem };
  }
}
/** The nearest version of a kit without some hazards. */
export const safer = ({
  plan,
  without,
  school,
}: { plan: KitPlan; without: HazardId[] } & AtSchool): SaferKit | undefined =>
  saferKit(plan, without, catalogueOf(school));
/** Whether so many copies can be made, and what to buy. */
export const can = ({ school, ...asked }: CanAsked & AtSchool): Promise<Can> =>
  canMake(asked, catalogueOf(school));
/** Who does what when. */
export const afternoon = ({ batches, printing, ...how }: AfternoonTask): RunPlan =>
  planAfternoon(batches, how, printing);

/** Every game as a table of an evening would have it. */
export const offeredGames = (): Offered[] => offered();
/** What stands on each table of a plan. */
export const tableParts = ({ plan, rotation: turned, school }: TablesTask): TableParts[] =>
  partsOfTables(plan, turned, catalogueOf(school));
/** Which group plays where in which round, and who hosts; the reason where that cannot be. */
export async function rotation(asked: EveningAsked): Promise<Rotated> {
  try {
    const found = await evening(asked, EVENING_SECONDS);
    const help = await oneMoreHelper(asked, found, HELP_SECONDS);
    return { ok: true, rotation: found, ...(help ? { help } : {}) };
  } catch (error) {
    if (error instanceof RangeError) return { ok: false, why: error.message };
    throw error;
  }
}
/** The scenes of a rehearsal. */
export const rehearsed = ({ ref, band, seed }: RehearsalAsked): Scene[] => rehearsal(open(ref), band, seed);
/** What each of these variants asks of a child. */
export const demands = (asked: readonly DemandAsked[]): Demand[] =>
  asked.map(({ ref, ageBand }) => {
    const practice = open(ref).reckon(assume(ageBand)).practice;
    return demandOf(practice) ?? demandOfBand(ageBand);
  });
/** What all answers of a school mean together. */
export const meant = ({ voices, demands: asks }: MeantAsked): Meaning => meaning(voices, asks);
/** How fast each of these parts goes. */
export const wears = (asked: readonly WearAsked[]): Wear[] => asked.map(wear);
/** The rung of a variant that makes it likelier to be just right for a child. */
export const mended = ({ ref, ageBand, asked, shift }: MendedAsked): Mended | undefined =>
  mendedFor(open(ref), ageBand, asked, shift);

export const shelf = (): ShelfEntry[] => SHELF.map(entryOf);
export const entry = (ref: GameRef): ShelfEntry => entryOf(gameFor(ref));

/** The reckoning of a setting, as a bench shows it at first; undefined where the setting does not work. */
export function reckoning(asked: {
  ref: GameRef;
  params: Params;
  assumptions: Assumptions;
}): Reckoning | undefined {
  const game = gameFor(asked.ref);
  return Object.keys(faultsOf(game, asked.params)).length
    ? undefined
    : settle(game, asked.params).reckon(asked.assumptions, QUICK);
}
