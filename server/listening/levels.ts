/** Where children are, how hard variants are found, and which bag would be just right next. */
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import type { KitPlan, KitVariant } from '~/core/kits/recipe';
import { readChildren } from '~/core/lending/children';
import { STILL, type Correction } from '~/core/listening/correction';
import type { Demand } from '~/core/listening/demand';
import { advise, standing, whyAdvised, type Standing } from '~/core/listening/next';
import {
  askedOf,
  bandOf,
  movedBy,
  whoKey,
  whoOf,
  type Meaning,
  type Voice,
  type Who,
} from '~/core/listening/meaning';
import { levelOf } from '~/core/lending/children';
import { nameOf } from '~/core/words/reading';
import { open } from '~/core/own/open';
import type { SchoolHandle } from '~/data/db';
import { plansOf } from '~/data/queries/copies';
import type { Family } from '~/data/queries/families';
import { builtKits } from '~/data/queries/kits';
import { gameWords, type GameWord } from '~/data/queries/listening';
import { listLoansOfFamily } from '~/data/queries/lending';
import { tapsSince } from '~/data/queries/gatherings';
import { copiesForRound } from '~/data/queries/rounds';
import { isSafeFor, kitWalls } from '../lending/kits';
import { demandsOf, meaningOf, mendedOf } from '../threads';
import { once } from '../once';

/** What is older than two years says next to nothing of a child. */
const WEEKS = 104;
const WEEK_MS = 7 * 86_400_000;
/** Weeks are counted in whole days, so that a day's answers are reckoned once. */
const weeksSince = (sentAt: Date): number =>
  Math.max(0, Math.round((Date.now() - sentAt.getTime()) / 86_400_000)) / 7;

/** A variant as a school lends it: the same game with the same setting is one, whichever bag it lies in. */
export interface Lent {
  id: string;
  name: string;
  gameName: string;
  ref: KitVariant;
  ageBand: AgeBand;
  /** Kits it lies in, by id. */
  kits: string[];
}
const variantId = ({ gameId, params }: Pick<KitVariant, 'gameId' | 'params'>): string =>
  `${gameId} ${JSON.stringify(params)}`;

export interface SchoolWords {
  words: (GameWord & { variant: string; who: Who })[];
  voices: Voice[];
  variants: Map<string, Lent>;
  demands: ReadonlyMap<string, Demand>;
  meaning: Meaning;
  /** What variants ask, as answers have moved it. */
  asks: Readonly<Record<string, number>>;
}

/** Every variant that lies in a bag, or was spoken of. */
async function variantsOf(
  at: SchoolHandle,
  words: readonly GameWord[],
): Promise<{ variants: Map<string, Lent>; plans: Map<string, { plan: KitPlan }> }> {
  const built = await builtKits(at);
  const runs = new Map(built.map(({ runId, id }) => [runId, id]));
  for (const { runId, kitId } of words) runs.set(runId, kitId);
  const plans = await plansOf(at, [...runs.keys()]);
  const variants = new Map<string, Lent>();
  for (const [runId, kitId] of runs) {
    const plan = plans.get(runId)?.plan;
    for (const ref of plan?.variants ?? []) {
      const id = variantId(ref);
      const known = variants.get(id);
      if (known) {
        if (!known.kits.includes(kitId)) known.kits.push(kitId);
      } else
        variants.set(id, {
          id,
          name: ref.name,
          gameName: nameOf(open(ref).game),
          ref,
          ageBand: plan!.ageBand,
          kits: [kitId],
        });
    }
  }
  return { variants, plans };
}

/** What all answers of a school mean; asked for by several parts of a page it is looked up once. */
export const schoolWords = (at: SchoolHandle): Promise<SchoolWords> =>
  once(`words ${at.schoolId}`, async () => {
    const since = new Date(Date.now() - WEEKS * WEEK_MS);
    const [raw, taps] = await Promise.all([gameWords(at, since), tapsSince(at, since)]);
    const { variants, plans } = await variantsOf(at, raw);
    // A game at a table of an evening is the same variant as in a bag, where one holds it.
    for (const { game } of taps) {
      const id = variantId(game);
      if (!variants.has(id))
        variants.set(id, {
          id,
          name: game.name,
          gameName: nameOf(open(game).game),
          ref: game,
          ageBand: game.ageBand,
          kits: [],
        });
    }
    const words = raw.flatMap((word) => {
      const ref = plans.get(word.runId)?.plan.variants[word.position];
      return ref
        ? [{ ...word, variant: variantId(ref), who: whoOf(word.familyId, word.children, word.child) }]
        : [];
    });
    const list = [...variants.values()];
    const found = await demandsOf(list.map(({ ref, ageBand }) => ({ ref, ageBand })));
    const demands = new Map(list.map(({ id }, i) => [id, found[i]!]));
    const voices = words.flatMap(({ said, who, variant, sentAt }): Voice[] =>
      said === null
        ? []
        : [{ who: whoKey(who), band: who.band, variant, said, weeksAgo: weeksSince(sentAt) }],
    );
    for (const { familyId, children, said, game, at: moment } of taps) {
      const who = whoOf(familyId, children, '');
      voices.push({
        who: whoKey(who),
        band: who.band,
        variant: variantId(game),
        said,
        weeksAgo: weeksSince(moment),
      });
    }
    const reckoned = Object.fromEntries([...demands].map(([id, { demand }]) => [id, demand]));
    const meaning = await meaningOf({ voices, demands: reckoned });
    return { words, voices, variants, demands, meaning, asks: movedBy(reckoned, meaning.corrections) };
  });

export const correctionOf = ({ meaning }: SchoolWords, variant: string): Correction =>
  meaning.corrections[variant] ?? STILL;

/** Everybody of a family of whom something can be said: each child, others that were named, and the family as one. */
function peopleOf(family: Pick<Family, 'id' | 'children'>, words: SchoolWords): Who[] {
  const read = readChildren(family.children);
  const children = read.ok ? read.children : [];
  const people: Who[] = children.map(({ name, band }) => ({ familyId: family.id, child: name, band }));
  for (const { who } of words.words)
    if (who.familyId === family.id && !people.some((one) => whoKey(one) === whoKey(who))) people.push(who);
  if (people.length === 0) people.push({ familyId: family.id, child: '', band: bandOf(children) });
  return people;
}

export interface NextBag {
  variant: string;
  name: string;
  gameName: string;
  justRight: number;
  why: string;
  kits: { id: string; name: string; home: number }[];
}
export interface PersonStanding {
  child: string;
  band: AgeBand;
  standing: Standing;
  next: NextBag[];
  /** What they had last that was not just right, and the change of a knob that would make it so. */
  mend?: { name: string; label: string; before: number; justRight: number; gameId: string };
}

/** Where the children of a family are, and the three variants that would be just right next: not had, safe, and worded for them. */
export async function standingsOf(at: SchoolHandle, family: Family): Promise<PersonStanding[]> {
  const [words, walls, loans, free] = await Promise.all([
    schoolWords(at),
    kitWalls(at),
    listLoansOfFamily(at, family.id),
    copiesForRound(at),
  ]);
  const had = new Set(loans.filter(({ closedAs }) => closedAs !== 'undone').map(({ kitName }) => kitName));
  const open = walls.filter(
    (kit) => isSafeFor(kit, family) && kit.languages.includes(family.language) && !had.has(kit.name),
  );
  const hadVariants = new Set(
    walls
      .filter(({ name }) => had.has(name))
      .flatMap(({ id }) => [...words.variants.values()].filter(({ kits }) => kits.includes(id)))
      .map(({ id }) => id),
  );
  const candidates = [...words.variants.values()].filter(
    ({ id, kits }) => !hadVariants.has(id) && kits.some((kit) => open.some((one) => one.id === kit)),
  );
  return Promise.all(
    peopleOf(family, words).map(async (who): Promise<PersonStanding> => {
      const mine = words.voices.filter((one) => one.who === whoKey(who));
      const asked = askedOf(who.band, mine, words.asks);
      const now = standing(asked, AGE_BANDS[who.band]);
      const advised = advise(
        asked,
        candidates.map(({ id }) => ({ id, demand: words.asks[id]! })),
      );
      const last = mine
        .filter(({ said, variant }) => said !== 'justRight' && words.variants.has(variant))
        .sort((a, b) => a.weeksAgo - b.weeksAgo)[0];
      const variant = last && words.variants.get(last.variant);
      const mended =
        variant &&
        (await mendedOf({
          ref: variant.ref,
          ageBand: variant.ageBand,
          asked,
          shift: correctionOf(words, variant.id).shift,
        }));
      return {
        child: who.child,
        band: who.band,
        standing: now,
        next: advised.map(({ id, justRight }) => {
          const one = words.variants.get(id)!;
          return {
            variant: id,
            name: one.name,
            gameName: one.gameName,
            justRight,
            why: whyAdvised(justRight, words.asks[id]!, now.mean),
            kits: open
              .filter((kit) => one.kits.includes(kit.id))
              .map((kit) => ({
                id: kit.id,
                name: kit.name,
                home: free.filter((copy) => copy.kitId === kit.id).length,
              })),
          };
        }),
        ...(variant && mended
          ? {
              mend: {
                name: variant.name,
                gameId: variant.ref.gameId,
                label: mended.label,
                before: mended.before,
                justRight: mended.justRight,
              },
            }
          : {}),
      };
    }),
  );
}

/** Where a family stands on the scale for a hand-out: the middle of its children, as their answers have it. Undefined where nothing is known. */
export function familyLevel(
  family: { id: string; children: string },
  words: SchoolWords,
): number | undefined {
  const read = readChildren(family.children);
  const known = words.voices.some(({ who }) => who.startsWith(`${family.id} `));
  if (!known) return levelOf(read.ok ? read.children : []);
  const people = peopleOf(family, words);
  const means = people.map((who) => {
    const mine = words.voices.filter((one) => one.who === whoKey(who));
    return standing(askedOf(who.band, mine, words.asks), '').mean;
  });
  return means.reduce((sum, one) => sum + one, 0) / means.length;
}

/** What a kit asks on the same scale: the middle of its games. Undefined where it holds none that is known. */
export function kitLevel(kitId: string, { variants, asks }: SchoolWords): number | undefined {
  const games = [...variants.values()].filter(({ kits }) => kits.includes(kitId));
  return games.length ? games.reduce((sum, { id }) => sum + asks[id]!, 0) / games.length : undefined;
}
