/** What a reckoning is put together with: figures, needs, notices and what follows from them. */
import { atMost, entries, mean, point, quantile, type Pmf } from '~/core/chance/pmf';
import type { Estimate, Simulated } from '~/core/chance/simulate';
import { fitsChokeTube, materialOf, type Material, type MaterialId } from '~/core/materials/catalogue';
import { CHOKE_TUBE_MM } from '~/core/materials/tube';
import { capital } from '~/core/words/numbers';
import { skillsOf } from './skills';
import {
  CHANCE,
  type Assumptions,
  type Figure,
  type Ladder,
  type Length,
  type Notice,
  type Params,
  type PartNeed,
  type Practised,
  type Reckoning,
  type Space,
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

/** A chance as a figure. */
export const chanceFigure = (
  name: string,
  label: string,
  value: number,
  reason: string,
  error?: number,
): Figure => figure(name, label, value, CHANCE, capital(reason), error);

/** A simulated mean as a figure; none when no play gave it. */
export const simulatedFigure = (
  name: string,
  label: string,
  estimate: Estimate | undefined,
  unit: string,
  reason: string,
): Figure[] => (estimate ? [figure(name, label, estimate.mean, unit, reason, estimate.error)] : []);

/** A part whose number never varies from play to play. */
export const need = (material: MaterialId, quantity: number, reason: string): PartNeed => ({
  material,
  expected: quantity,
  enough: quantity,
  worst: quantity,
  pmf: point(quantity),
  reason,
});

/** A part whose number varies: expected, enough in 95 of 100 plays, and the most the rules can need. */
export const needFrom = (material: MaterialId, pmf: Pmf, reason: string, worst?: number): PartNeed => ({
  material,
  expected: mean(pmf),
  // Where nearly all plays need the same, the few that need more can lift the mean above it.
  enough: Math.max(quantile(pmf, 0.95), Math.ceil(mean(pmf) - 1e-9)),
  worst: worst ?? entries(pmf).at(-1)![0],
  pmf,
  reason,
});

/** The chance that a play needs no more of a part than there is. */
export const suffices = ({ pmf }: Pick<PartNeed, 'pmf'>, quantity: number): number =>
  Math.min(1, atMost(pmf, Math.floor(quantity + 1e-9)));

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
  params: { ...params, ...change },
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

/** What a game answers; skills, length and the cautions about parts follow from it. */
export interface Answers {
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
  simulated?: Pick<Simulated, 'seed' | 'plays'> | undefined;
  pending?: string[];
}

/** The length of one play from the distribution of its turns; minutes are rounded up. */
export function lengthOf(turns: Pmf, secondsPerTurn: number, setUpMinutes: number): Length {
  const minutes = (count: number): number => Math.ceil((count * secondsPerTurn) / 60 + setUpMinutes - 1e-9);
  return {
    turns,
    secondsPerTurn,
    setUpMinutes,
    minutes: {
      mean: minutes(mean(turns)),
      p50: minutes(quantile(turns, 0.5)),
      p90: minutes(quantile(turns, 0.9)),
    },
  };
}

export const TABLE: Space = { place: 'table', widthMm: 900, depthMm: 700 };

/**
 * Puts a reckoning together; skills, length and the cautions about parts follow from what is given. Only changes that can
 * be `played` are offered.
 */
export function reckoned(
  answers: Answers,
  { secondsPerTurn }: Assumptions,
  played: (change: Params) => boolean = () => true,
): Reckoning {
  const practice = practised(answers.practice);
  const { simulated, ladder } = answers;
  const offered = <C extends { params: Params }>(change: C | undefined): C | undefined =>
    change && played(change.params) ? change : undefined;
  return {
    figures: {
      ...Object.fromEntries(answers.figures.map((one) => [one.name, one.value])),
      ...answers.tables,
    },
    explained: answers.figures,
    parts: answers.parts,
    prep: answers.prep ?? [],
    length: lengthOf(answers.turns, secondsPerTurn, answers.setUpMinutes ?? 2),
    practice,
    skills: skillsOf(practice),
    space: answers.space ?? TABLE,
    players: answers.players,
    notices: [
      ...(answers.notices ?? [])
        .filter((one): one is Notice => Boolean(one))
        .map(({ mend: change, ...notice }) => {
          const mends = offered(change);
          return mends ? { ...notice, mend: mends } : notice;
        }),
      ...cautions(answers.parts),
    ],
    ladder: { easier: offered(ladder.easier), harder: offered(ladder.harder) },
    ...(simulated ? { simulated: { seed: simulated.seed, plays: simulated.plays } } : {}),
    pending: answers.pending ?? [],
  };
}

/** The usual cautions about what is in the bag, each with its threshold and source. */
export const cautions = (parts: readonly { material: MaterialId }[]): Notice[] =>
  cautionsAbout(parts.map((part) => materialOf(part.material)));

/** The same about these materials. */
export function cautionsAbout(used: readonly Material[]): Notice[] {
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
