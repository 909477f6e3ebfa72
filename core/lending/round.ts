/**
 * One hand-out of many copies: which family gets which. Safety, language, what a family had before and what was ruled
 * out are walls; as many families as possible, then fairness between home languages, then wait, wishes and fit. Exact:
 * an assignment with whole numbers, solved by HiGHS in three steps, each holding what the step before it reached.
 */
import { Type, type Static } from '@sinclair/typebox';
import { byId } from '~/core/check/ids';
import { solve, type Condition, type Programme } from '~/core/solver/milp';
import { count } from '~/core/words/numbers';

const name = (title: string) => Type.String({ minLength: 1, maxLength: 80, title });
const names = (title: string) => Type.Array(name(title), { maxItems: 500, title });
const level = (title: string) => Type.Number({ minimum: -100, maximum: 100, title });

/** What counts how much: a week of waiting, a wish, a level that fits just so; and whether languages get their share first. */
export const weightsSchema = Type.Object(
  {
    wait: Type.Integer({ minimum: 0, maximum: 20, title: 'A week of waiting' }),
    wish: Type.Integer({ minimum: 0, maximum: 100, title: 'A wish' }),
    fit: Type.Integer({ minimum: 0, maximum: 100, title: 'A level that fits' }),
    languages: Type.Boolean({ title: 'Each language gets its share first' }),
  },
  { additionalProperties: false },
);
export type Weights = Static<typeof weightsSchema>;
export const USUAL_WEIGHTS: Weights = { wait: 2, wish: 10, fit: 10, languages: true };

export const roundSchema = Type.Object(
  {
    copies: Type.Array(
      Type.Object({ id: name('Copy'), kit: name('Kit of a copy') }, { additionalProperties: false }),
      {
        maxItems: 1000,
        title: 'Copies',
      },
    ),
    kits: Type.Array(
      Type.Object(
        {
          id: name('Kit'),
          level: level('Level of a kit'),
          underThree: Type.Boolean({ title: 'May go where a child under three lives' }),
          allergens: names('Allergens of a kit'),
          languages: names('Languages with checked wording'),
        },
        { additionalProperties: false },
      ),
      { maxItems: 1000, title: 'Kits' },
    ),
    families: Type.Array(
      Type.Object(
        {
          id: name('Family'),
          language: name('Home language'),
          level: level('Level of a family'),
          underThree: Type.Boolean({ title: 'A child under three lives there' }),
          allergens: names('Allergens of a family'),
          had: names('Kits it had'),
          weeksSince: Type.Union([Type.Number({ minimum: 0, maximum: 100_000 }), Type.Null()], {
            title: 'Weeks since it had one',
          }),
          wishes: names('Kits it wishes for'),
        },
        { additionalProperties: false },
      ),
      { maxItems: 2000, title: 'Families' },
    ),
    pins: Type.Optional(
      Type.Array(
        Type.Object({ family: name('Family'), copy: name('Copy') }, { additionalProperties: false }),
        {
          maxItems: 1000,
          title: 'Pins',
        },
      ),
    ),
    vetoes: Type.Optional(
      Type.Array(Type.Object({ family: name('Family'), kit: name('Kit') }, { additionalProperties: false }), {
        maxItems: 5000,
        title: 'Vetoes',
      }),
    ),
    weights: Type.Optional(weightsSchema),
  },
  { additionalProperties: false },
);
export type RoundAsked = Static<typeof roundSchema>;
export type RoundKit = RoundAsked['kits'][number];
export type RoundFamily = RoundAsked['families'][number];

export interface Match {
  family: string;
  copy: string;
  score: number;
  why: string;
}
export interface Round {
  matches: Match[];
  served: number;
  /** The sum over home languages of families served, none beyond its fair number. */
  fairness: number;
  score: number;
  without: { family: string; why: string }[];
}

/** What it is looking for: as many families as possible, the shares of languages, the best score. */
export type RoundStep = 'families' | 'languages' | 'score';

/** Weeks of waiting beyond which nobody waits longer; who never had anything waits so long. */
const LONGEST_WAIT = 26;

/** Half is rounded up, as it is written in decimals: 5 · |1.2 − 0.9| is 1.5, though a little less is stored. */
const halfUp = (value: number): number => Math.floor(value + 0.5 + 1e-9);

/** How well a kit suits a family now. What fits loses half of its weight for each school year beside it. */
export function scoreOf(
  kit: RoundKit,
  family: RoundFamily,
  { wait, wish, fit }: Omit<Weights, 'languages'> = USUAL_WEIGHTS,
): number {
  const waited = Math.min(family.weeksSince ?? LONGEST_WAIT, LONGEST_WAIT);
  const wished = family.wishes.includes(kit.id) ? wish : 0;
  const off = Math.abs(kit.level - family.level);
  return wait * waited + wished + Math.max(0, fit - halfUp((fit / 2) * off));
}

/** Why a family cannot get a kit; undefined where it can. */
export type Wall = 'underThree' | 'allergen' | 'language' | 'had' | 'veto';
export function wallBetween(kit: RoundKit, family: RoundFamily, vetoed: boolean): Wall | undefined {
  if (family.underThree && !kit.underThree) return 'underThree';
  if (kit.allergens.some((one) => family.allergens.includes(one))) return 'allergen';
  if (!kit.languages.includes(family.language)) return 'language';
  if (family.had.includes(kit.id)) return 'had';
  return vetoed ? 'veto' : undefined;
}
const WALLS: Readonly<Record<Wall, string>> = {
  underThree: 'not safe where a child under three lives',
  allergen: 'with something that the family cannot have near',
  language: 'not worded and checked in its language',
  had: 'had already',
  veto: 'ruled out',
};

const SENTENCES: Readonly<Record<Wall, string>> = {
  underThree: 'it is not safe where a child under three lives',
  allergen: 'it holds something that the family cannot have near',
  language: 'it is not worded and checked in their language',
  had: 'they have had it already',
  veto: 'it was ruled out',
};

/** Why a family cannot get a kit in a hand-out, vetoes aside: "they have had it already"; undefined where it can. Throws RangeError for ids that are not in it. */
export function wallWords(
  { kits, families }: Pick<RoundAsked, 'kits' | 'families'>,
  kit: string,
  family: string,
): string | undefined {
  const [one, whom] = [byId('kit', kits).get(kit), byId('family', families).get(family)];
  if (!one || !whom) throw new RangeError('This kit or this family is not in the hand-out.');
  const wall = wallBetween(one, whom, false);
  return wall && SENTENCES[wall];
}

/** The fair number of each home language: its share of the copies, rounded down. */
export function fairShares({
  copies,
  families,
}: Pick<RoundAsked, 'copies' | 'families'>): Map<string, number> {
  const speaking = new Map<string, number>();
  for (const { language } of families) speaking.set(language, (speaking.get(language) ?? 0) + 1);
  return new Map(
    [...speaking].map(([language, n]) => [language, Math.floor((copies.length * n) / families.length)]),
  );
}

/** How many families are served in their language's share: none counts beyond its fair number. */
export function fairnessOf(
  asked: Pick<RoundAsked, 'copies' | 'families'>,
  served: readonly string[],
): number {
  const got = new Set(served);
  return [...fairShares(asked)].reduce(
    (total, [language, most]) =>
      total +
      Math.min(most, asked.families.filter((one) => one.language === language && got.has(one.id)).length),
    0,
  );
}

/**
 * The best hand-out. Throws RangeError for a pin that names what is not there, that stands against another one, or that
 * would go through a wall: no pin sends a bag where it is not safe.
 */
export async function round(
  asked: RoundAsked,
  seconds?: number,
  progress: (step: RoundStep) => void = () => undefined,
): Promise<Round> {
  const { copies, kits, families, pins = [], vetoes = [], weights = USUAL_WEIGHTS } = asked;
  const [kitOf, familyOf, copyOf] = [byId('kit', kits), byId('family', families), byId('copy', copies)];
  for (const { id, kit } of copies)
    if (!kitOf.has(kit)) throw new RangeError(`Copy ${id} is of the kit ${kit}, which is not in the list.`);
  const vetoed = new Set(vetoes.map(({ family, kit }) => JSON.stringify([family, kit])));
  const wall = (kit: RoundKit, family: RoundFamily): Wall | undefined =>
    wallBetween(kit, family, vetoed.has(JSON.stringify([family.id, kit.id])));

  const given = new Map<string, string>();
  for (const pin of pins) {
    const [family, copy] = [familyOf.get(pin.family), copyOf.get(pin.copy)];
    if (!family || !copy)
      throw new RangeError(
        `A pin names ${family ? `the copy ${pin.copy}` : `the family ${pin.family}`}, which is not in the list.`,
      );
    const stands = wall(kitOf.get(copy.kit)!, family);
    if (stands)
      throw new RangeError(
        `Copy ${copy.id} cannot be pinned to family ${family.id}: it is ${WALLS[stands]}.`,
      );
    if (given.has(family.id) || [...given.values()].includes(copy.id))
      throw new RangeError(
        `Two pins give away the same copy, or give one family two: ${copy.id}, ${family.id}.`,
      );
    given.set(family.id, copy.id);
  }

  const pinned = new Set(given.values());
  /** Copies of a kit are alike: it is decided which kit a family gets, and then which copy of it. */
  const left = new Map<string, string[]>();
  for (const { id, kit } of copies) if (!pinned.has(id)) left.set(kit, [...(left.get(kit) ?? []), id]);
  const waiting = families.filter(({ id }) => !given.has(id));
  const pairs = waiting.flatMap((family, f) =>
    [...left.keys()].flatMap((id) => {
      const kit = kitOf.get(id)!;
      return wall(kit, family)
        ? []
        : [{ name: `${f} ${id}`, f, family, kit, score: scoreOf(kit, family, weights) }];
    }),
  );

  const fair = fairShares(asked);
  const served = new Map<string, number>();
  for (const id of given.keys()) {
    const { language } = familyOf.get(id)!;
    served.set(language, (served.get(language) ?? 0) + 1);
  }
  /** How many more of a language are served before it has its fair number. */
  const room = new Map(
    [...fair].map(([language, most]) => [language, Math.max(0, most - (served.get(language) ?? 0))]),
  );
  const whole = new Map<string, number>(pairs.map((pair) => [pair.name, 1]));
  for (const [language, n] of room) whole.set(`fair ${language}`, n);
  const sum = (list: readonly (typeof pairs)[number][], factor = 1): [string, number][] =>
    list.map((pair) => [pair.name, factor]);
  const grouped = <K>(of: (pair: (typeof pairs)[number]) => K): Map<K, typeof pairs> => {
    const groups = new Map<K, typeof pairs>();
    for (const pair of pairs) groups.set(of(pair), [...(groups.get(of(pair)) ?? []), pair]);
    return groups;
  };
  const languages = grouped(({ family }) => family.language);
  const walls: Condition[] = [
    ...[...grouped(({ f }) => f).values()].map((list): Condition => ({
      terms: new Map(sum(list)),
      is: '<=',
      bound: 1,
    })),
    ...[...grouped(({ kit }) => kit.id)].map(([id, list]): Condition => ({
      terms: new Map(sum(list)),
      is: '<=',
      bound: left.get(id)!.length,
    })),
    // What counts as fair is not more than who is served.
    ...[...room.keys()].map((language): Condition => ({
      terms: new Map([[`fair ${language}`, 1], ...sum(languages.get(language) ?? [], -1)]),
      is: '<=',
      bound: 0,
    })),
  ];
  const best = async (aim: Programme['aim'], conditions: readonly Condition[]) => {
    const solved = await solve({ direction: 'max', aim, conditions, whole }, seconds);
    if (solved.status !== 'optimal') throw new RangeError('This hand-out cannot be made.');
    return solved;
  };
  progress('families');
  const everybody = new Map(sum(pairs));
  const most = await best(everybody, walls);
  const many: Condition[] = [...walls, { terms: everybody, is: '=', bound: most.aim }];
  if (weights.languages) {
    progress('languages');
    const shares = new Map([...room.keys()].map((language) => [`fair ${language}`, 1]));
    const fairest = await best(shares, many);
    many.push({ terms: shares, is: '=', bound: fairest.aim });
  }
  progress('score');
  const { values } = await best(new Map(pairs.map((pair) => [pair.name, pair.score])), many);

  for (const pair of pairs)
    if (values.get(pair.name)) given.set(pair.family.id, left.get(pair.kit.id)!.shift()!);
  const got = families.flatMap((family) => {
    const copy = given.get(family.id);
    if (copy === undefined) return [];
    const kit = kitOf.get(copyOf.get(copy)!.kit)!;
    return [{ family, copy, kit, score: scoreOf(kit, family, weights) }];
  });
  return {
    matches: got.map(({ family, copy, kit, score }) => ({
      family: family.id,
      copy,
      score,
      why: pinned.has(copy) ? `Pinned. ${whyThis(kit, family)}` : whyThis(kit, family),
    })),
    served: got.length,
    fairness: fairnessOf(
      asked,
      got.map(({ family }) => family.id),
    ),
    score: got.reduce((total, one) => total + one.score, 0),
    without: families
      .filter(({ id }) => !given.has(id))
      .map((family) => ({
        family: family.id,
        why: whyNot(
          family,
          [...left.keys()].map((id) => kitOf.get(id)!),
          wall,
        ),
      })),
  };
}

function whyThis(kit: RoundKit, family: RoundFamily): string {
  const waited =
    family.weeksSince === null
      ? 'has had none yet'
      : `has waited ${count(Math.round(family.weeksSince), 'week')}`;
  const off = Math.abs(kit.level - family.level);
  const fits =
    off <= 0.5 ? 'and it fits' : kit.level > family.level ? 'and it is a step up' : 'and it is an easy one';
  return `The family ${waited}, ${family.wishes.includes(kit.id) ? 'wished for this, ' : ''}${fits}.`;
}

function whyNot(
  family: RoundFamily,
  kits: readonly RoundKit[],
  wall: (kit: RoundKit, family: RoundFamily) => Wall | undefined,
): string {
  if (kits.length === 0) return 'Every copy is given away.';
  const stands = kits.map((kit) => wall(kit, family));
  const open = stands.filter((one) => one === undefined).length;
  if (open > 0) return 'Every copy that suits went to others this time.';
  const reasons = [...new Set(stands.flatMap((one) => one ?? []))];
  return `Nothing suits: what is left is ${reasons.map((one) => WALLS[one]).join(', or ')}.`;
}
