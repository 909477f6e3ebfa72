/** Hand-outs of many copies: who and what belongs to one, and what comes of it. */
import { readChildren } from '~/core/lending/children';
import { firstCome, gainsOf, type RoundChoices } from '~/core/lending/choices';
import { daysBetween } from '~/core/lending/due';
import { limitReached } from '~/core/lending/rules';
import { wallBetween, type Round, type RoundAsked } from '~/core/lending/round';
import { against } from '~/core/kits/safety';
import type { SchoolHandle } from '~/data/db';
import {
  copiesForRound,
  familiesForRound,
  kitOfCopies,
  type FreeCopy,
  type RoundFamilyRow,
} from '~/data/queries/rounds';
import { cameTo } from '~/data/queries/gatherings';
import { lendingRules } from '~/data/queries/rules';
import { pageOfOut } from '~/data/queries/desk';
import { roundOf } from '../threads';
import { familyLevel, kitLevel, schoolWords } from '../listening/levels';
import { kitWalls, type KitWall } from './kits';

/** Where nothing is known of a family's children it is taken to be in the middle of the school: grade 1. */
const USUAL_LEVEL = 2;
const MOST_OUT = 1000;

export interface RoundInput {
  asked: RoundAsked;
  copies: FreeCopy[];
  families: RoundFamilyRow[];
  kits: KitWall[];
  /** Families that were meant and cannot have a bag now whatever there is, with the reason. */
  aside: { family: string; name: string; why: string }[];
  /** Pins of bags or families that are not free any more: they count no longer. */
  dropped: number;
  /** For each kit the days on which bags of it are due back, the next first. */
  dueBack: Map<string, string[]>;
}

const inBands = ({ children }: RoundFamilyRow, bands: readonly string[]): boolean => {
  if (bands.length === 0) return true;
  const read = readChildren(children);
  return read.ok && read.children.some(({ band }) => bands.includes(band));
};

/** What is asked of a hand-out by what was chosen for it, as things are now. */
export async function roundInput(
  at: SchoolHandle,
  choices: RoundChoices,
  today: string,
): Promise<RoundInput> {
  const [free, all, kits, rules, out, words, there] = await Promise.all([
    copiesForRound(at),
    familiesForRound(at),
    kitWalls(at),
    lendingRules(at),
    pageOfOut(at, 0, MOST_OUT),
    schoolWords(at),
    choices.gathering ? cameTo(at, choices.gathering) : undefined,
  ]);
  const copies = choices.copies.length ? free.filter(({ id }) => choices.copies.includes(id)) : free;
  const meant = all.filter(
    (one) =>
      (!there || there.has(one.id)) &&
      (choices.groups.length === 0 || choices.groups.includes(one.group)) &&
      inBands(one, choices.bands),
  );
  const aside: RoundInput['aside'] = [];
  const families = meant.filter((one) => {
    const why = one.promised
      ? 'A bag is promised to it in another hand-out.'
      : limitReached(rules, one.out, today);
    if (why) aside.push({ family: one.id, name: one.name, why });
    return why === undefined;
  });
  const pins = choices.pins.filter(
    ({ family, copy }) => families.some(({ id }) => id === family) && copies.some(({ id }) => id === copy),
  );
  const outOf = await kitOfCopies(
    at,
    out.map(({ copyId }) => copyId),
  );
  const dueBack = new Map<string, string[]>();
  for (const { copyId, dueOn } of out) {
    const kitId = outOf.get(copyId)!;
    dueBack.set(kitId, [...(dueBack.get(kitId) ?? []), dueOn]);
  }
  return {
    copies,
    families,
    kits,
    aside,
    dropped: choices.pins.length - pins.length,
    dueBack,
    asked: {
      copies: copies.map(({ id, kitId }) => ({ id, kit: kitId })),
      kits: kits.map(({ id, level, hazards, languages }) => ({
        id,
        level: kitLevel(id, words) ?? level,
        underThree: against(hazards, { underThree: true, allergens: '' }).length === 0,
        // A family names allergens in its own words; which kits that is about is known below.
        allergens: [id],
        languages,
      })),
      families: families.map((one) => {
        return {
          id: one.id,
          language: one.language,
          level: familyLevel(one, words) ?? USUAL_LEVEL,
          underThree: one.underThree,
          allergens: kits
            .filter(
              ({ hazards }) => against(hazards, { underThree: false, allergens: one.allergens }).length > 0,
            )
            .map(({ id }) => id),
          had: one.had,
          weeksSince:
            one.lastOn === null ? null : Math.max(0, Math.floor(daysBetween(one.lastOn, today) / 7)),
          wishes: one.wishes,
        };
      }),
      pins,
      vetoes: choices.vetoes.filter(({ family }) => families.some(({ id }) => id === family)),
      weights: choices.weights,
    },
  };
}

export interface SolvedRound {
  round: Round;
  /** The same families and bags in the order of the list. */
  first: { served: number; fairness: number; score: number };
  gains: string[];
  loses: string[];
  /** For each family without a bag, the day on which one that suits it is due back. */
  expects: Record<string, string>;
}

/** Solves a hand-out in a thread of its own. Throws RangeError for pins that cannot be. */
export async function solveRound(
  { asked, dueBack }: RoundInput,
  how: Parameters<typeof roundOf>[1] = {},
): Promise<SolvedRound> {
  const round = await roundOf(asked, how);
  const first = firstCome(asked);
  const expects: Record<string, string> = {};
  for (const { family: id } of round.without) {
    const family = asked.families.find((one) => one.id === id)!;
    const days = asked.kits
      .filter(
        (kit) =>
          !wallBetween(
            kit,
            family,
            (asked.vetoes ?? []).some((one) => one.family === id && one.kit === kit.id),
          ),
      )
      .flatMap((kit) => dueBack.get(kit.id) ?? [])
      .sort();
    if (days[0] !== undefined) expects[id] = days[0];
  }
  const { served, fairness, score } = first;
  return { round, first: { served, fairness, score }, ...gainsOf(first.matches, round.matches), expects };
}

/** So many pairs of a family and a kit are solved before a page is shown; more are solved while it is told how far it is. */
const AT_ONCE = 1000;
export const isLarge = ({ families, kits }: RoundAsked): boolean => families.length * kits.length > AT_ONCE;

/** What a page shows of a hand-out beside its solution. */
export const shownOf = ({ copies, families, kits, aside, dropped, asked }: RoundInput) => ({
  copies: copies.map(({ id, tag, kitId, kitName }) => ({ id, tag, kitId, kitName })),
  families: families.map(({ id, name, language, group }) => ({ id, name, language, group })),
  kits: kits.map(({ id, name }) => ({ id, name })),
  aside,
  dropped,
  pins: asked.pins ?? [],
});
