/** What the games' own files are put together with. */
import { entries, mean, quantile, type Pmf } from '~/core/chance/pmf';
import type { Estimate, Simulated } from '~/core/chance/simulate';
import { CHOKE_TUBE_MM, fitsChokeTube, materialOf } from '~/core/materials/catalogue';
import type { Args, Messages, Wording } from '~/core/words/message';
import { lengthOf } from './length';
import { SHARED_WORDS, type SharedMessage } from './shared-words';
import { skillsOf } from './skills';
import type {
  Assumptions,
  Figure,
  Ladder,
  Notice,
  Params,
  PartNeed,
  Practised,
  Reckoning,
  Rung,
  Show,
  Space,
  Step,
  StepPart,
} from './types';

/** A figure with the sentence that says where it comes from. */
export const figure = (
  name: string,
  label: string,
  value: number,
  unit: string,
  reason: string,
  error?: number,
): Figure => ({ name, label, value, unit, reason, ...(error === undefined ? {} : { error }) });

/** The unit of chances: they stand as 0 to 1 in the reckoning, and are read in hundredths. */
export const CHANCE = 'of 1';

/** A chance as a figure. */
export const chanceFigure = (
  name: string,
  label: string,
  value: number,
  reason: string,
  error?: number,
): Figure => figure(name, label, value, CHANCE, reason.charAt(0).toUpperCase() + reason.slice(1), error);

/** A simulated mean as a figure; none when no play gave it. */
export const simulatedFigure = (
  name: string,
  label: string,
  estimate: Estimate | undefined,
  unit: string,
  reason: string,
): Figure[] => (estimate ? [figure(name, label, estimate.mean, unit, reason, estimate.error)] : []);

/** A part whose number never varies from play to play. */
export const need = (material: string, quantity: number, reason: string): PartNeed => ({
  material,
  expected: quantity,
  enough: quantity,
  worst: quantity,
  reason,
});

/** A part whose number varies: expected, enough in 95 of 100 plays, and the most the rules can need. */
export const needFrom = (material: string, pmf: Pmf, reason: string, worst?: number): PartNeed => ({
  material,
  expected: mean(pmf),
  enough: quantile(pmf, 0.95),
  worst: worst ?? entries(pmf).at(-1)![0],
  reason,
});

export const stop = (code: string, text: string, mend?: Notice['mend']): Notice =>
  tell('stop', code, text, mend);
export const mind = (code: string, text: string, mend?: Notice['mend']): Notice =>
  tell('mind', code, text, mend);
export const know = (code: string, text: string, mend?: Notice['mend']): Notice =>
  tell('know', code, text, mend);
const tell = (severity: Notice['severity'], code: string, text: string, mend?: Notice['mend']): Notice => ({
  code,
  severity,
  text,
  ...(mend ? { mend } : {}),
});

/** A mend: the change of parameters that takes the notice away. */
export const mend = <P extends Params>(label: string, params: P, change: Partial<P>): Notice['mend'] => ({
  label,
  params: { ...params, ...change } as Params,
});

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

/** Meetings with facts: equal ones are put together, and those never met are left out. */
export function practised(list: readonly Practised[]): Practised[] {
  const known = new Map<string, Practised>();
  for (const { fact, meetings } of list) {
    if (meetings <= 0) continue;
    const key = `${fact.op} ${fact.a} ${fact.b}`;
    known.set(key, { fact, meetings: (known.get(key)?.meetings ?? 0) + meetings });
  }
  return [...known.values()];
}

export interface Answers {
  assumptions: Assumptions;
  figures: Figure[];
  /** Figures over many answers. */
  tables?: Record<string, Record<string, number>>;
  parts: PartNeed[];
  prep?: string[];
  turns: Pmf;
  setUpMinutes?: number;
  practice: readonly Practised[];
  space?: Space;
  players: Reckoning['players'];
  notices?: (Notice | false | undefined)[];
  ladder: Ladder;
  simulated?: Pick<Simulated, 'seed' | 'plays'>;
  pending?: string[];
}

export const TABLE: Space = { place: 'table', widthMm: 900, depthMm: 700 };

/** Puts a reckoning together; skills, length and the cautions about parts follow from what is given. */
export function reckoned(answers: Answers): Reckoning {
  const practice = practised(answers.practice);
  const { simulated } = answers;
  return {
    figures: {
      ...Object.fromEntries(answers.figures.map((one) => [one.name, one.value])),
      ...answers.tables,
    },
    explained: answers.figures,
    parts: answers.parts,
    prep: answers.prep ?? [],
    length: lengthOf(answers.turns, answers.assumptions.secondsPerTurn, answers.setUpMinutes ?? 2),
    practice,
    skills: skillsOf(practice),
    space: answers.space ?? TABLE,
    players: answers.players,
    notices: [
      ...(answers.notices ?? []).filter((one): one is Notice => Boolean(one)),
      ...cautions(answers.parts),
    ],
    ladder: answers.ladder,
    ...(simulated ? { simulated: { seed: simulated.seed, plays: simulated.plays } } : {}),
    pending: answers.pending ?? [],
  };
}

/** The usual cautions about what is in the bag, each with its threshold and source. */
export function cautions(parts: readonly { material: string }[]): Notice[] {
  const used = parts.map((part) => materialOf(part.material));
  const small = used.filter(fitsChokeTube);
  const list: Notice[] = [];
  if (small.length)
    list.push(
      know(
        'small-parts',
        `Small parts: ${small.map((one) => one.plural).join(', ')} fit the small-parts tube (${CHOKE_TUBE_MM} mm wide, 16 CFR 1501): keep them from children under three. Your district's rules and licensed staff decide.`,
      ),
    );
  for (const material of used)
    for (const { code, text } of material.cautions)
      if (!list.some((one) => one.code === code)) list.push(know(code, text));
  return list;
}

export type StepLine = readonly [id: `${StepPart}.${string}`, args?: Args, show?: Show];

/** The steps of a game: the part of each stands before the dot of its id. Lines that are `false` are left out. */
export const steps = (...lines: (StepLine | false | undefined)[]): Step[] =>
  lines
    .filter((line): line is StepLine => Boolean(line))
    .map(([id, args = {}, show]) => ({
      part: id.slice(0, id.indexOf('.')) as StepPart,
      id,
      args,
      ...(show ? { show } : {}),
    }));

/** A game's wording: its own lines, and the shared ones it uses. */
export function wording<M extends Messages>(
  en: M,
  es: Record<keyof M, string>,
  ...shared: SharedMessage[]
): Wording {
  const of = (language: 'en' | 'es') =>
    Object.fromEntries(shared.map((id): [string, string] => [id, SHARED_WORDS[language][id]]));
  return { en: { ...of('en'), ...en }, es: { ...of('es'), ...es } };
}

/** Works something out once for the same parameters: a simulation asks ten thousand times. */
export function remembered<P extends object, R>(work: (params: P) => R): (params: P) => R {
  const known = new WeakMap<P, R>();
  return (params) => {
    const before = known.get(params);
    if (before !== undefined) return before;
    const made = work(params);
    known.set(params, made);
    return made;
  };
}

/** A turn of a rehearsed play, with what a grown-up might say. */
export const turn = (player: number, id: string, args: Args, coach?: string, coachArgs: Args = {}) => ({
  player,
  id,
  args: { player, ...args },
  ...(coach ? { coach: { id: coach, args: coachArgs } } : {}),
});
