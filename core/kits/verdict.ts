/** Whether a copy can go out again as it came back: for each of its games, and for the copy. */
import { Type, type Static } from '@sinclair/typebox';
import { DECK, deckWithout, readCards, type Card } from '~/core/cards/deck';
import { Whole } from '~/core/check/schema';
import { faultsOf, settle, type Game, type Variant } from '~/core/games/kit/game';
import type { Knob } from '~/core/games/kit/knobs';
import { suffices } from '~/core/games/kit/reckoning';
import { read } from '~/core/games/kit/shown';
import { assume, type AgeBand, type Params, type ParamValue, type PartNeed } from '~/core/games/kit/types';
import type { AnyMaterialId, MaterialId } from '~/core/materials/catalogue';
import { SHIPPED, type Catalogue } from '~/core/materials/school';
import { open, type GameRef } from '~/core/own/open';
import { capital, count, listed, shareOf } from '~/core/words/numbers';
import { forPlayers, inBagFor, type KitPlan, type Swaps } from './recipe';

const counts = Type.Record(
  Type.String({ minLength: 1, maxLength: 80 }),
  Type.Number({ minimum: 0, maximum: 1_000_000, title: 'Quantity' }),
);
export const verdictSchema = Type.Object(
  {
    variants: Type.Array(
      Type.Object(
        {
          game: Type.String({ minLength: 1, maxLength: 80, title: 'Game' }),
          params: Type.Record(Type.String(), Type.Unknown(), { title: 'Parameters', default: {} }),
        },
        { additionalProperties: false },
      ),
      { maxItems: 100, title: 'Games of the copy' },
    ),
    players: Whole(1, 12, { title: 'Players' }),
    held: { ...counts, title: 'What is there' },
    printed: Type.Optional({ ...counts, title: 'Printed parts that are there' }),
    deckLacks: Type.Array(Type.String({ maxLength: 8 }), {
      maxItems: 52,
      title: 'Cards the deck lacks',
      default: [],
    }),
  },
  { additionalProperties: false },
);
export type VerdictAsked = Static<typeof verdictSchema>;

/** What there is of a copy. */
export interface Held {
  held: Readonly<Partial<Record<AnyMaterialId, number>>>;
  /** Printed parts; where nothing is said, all of them are there. */
  printed?: Readonly<Partial<Record<MaterialId, number>>>;
  deckLacks?: readonly Card[];
}
/** The same with what stands in for what, and the school's names of the parts. */
interface Bag extends Held {
  swaps?: Swaps | undefined;
  catalogue?: Catalogue;
}

export type GameVerdict = 'plays' | 'playsWithNote' | 'doesNotPlay';
export interface Judged {
  verdict: GameVerdict;
  /** The chance that what is there suffices for one play. */
  enough: number;
  /** The chance that it suffices in each of the plays that are expected of a loan, where some would fall short. */
  loan?: { plays: number; enough: number };
  note: string;
  /** The nearest setting that plays with what is there. */
  change?: Params;
}

export interface CopyVerdict {
  copy: 'asItIs' | 'withNote' | 'mendFirst';
  games: Judged[];
  /** What brings the copy back to its recipe. */
  restock: Partial<Record<AnyMaterialId, number>>;
}

/** From here on a game plays as it is, and from there with a note. */
const PLAYS = 0.95;
const WITH_NOTE = 0.5;

/** How many of a part there are: what is found at home and printed parts that nobody counts are there. */
function there(material: MaterialId, { held, printed, swaps, catalogue = SHIPPED }: Bag): number {
  const { kind } = catalogue.of(material);
  if (kind === 'home') return Infinity;
  if (kind === 'printed') return printed ? (printed[material] ?? 0) : Infinity;
  return held[inBagFor(material, { swaps })] ?? 0;
}

interface State {
  enough: number;
  parts: readonly PartNeed[];
  /** What the deck that is there does to the game. */
  deck?: { verdict: GameVerdict; note: string };
  /** It cannot be played at all, whatever is there. */
  stopped: boolean;
}

function stateOf(variant: Variant, held: Bag, ageBand: AgeBand): State {
  const { parts, stopped } = variant.needs(ageBand);
  const lacks = held.deckLacks ?? [];
  const decks = parts.some(({ material }) => material === 'card-deck');
  return {
    enough: variant.suffices(ageBand, (material) => there(material, held)),
    parts,
    stopped,
    ...(decks && lacks.length > 0 && variant.game.audits ? { deck: variant.audit(deckWithout(lacks)) } : {}),
  };
}

const playsSo = ({ enough, deck, stopped }: State): boolean =>
  enough >= PLAYS && !stopped && deck?.verdict !== 'doesNotPlay';

/** Judges one game of a copy. */
export function judge(variant: Variant, held: Bag, ageBand: AgeBand = 'g1'): Judged {
  const now = stateOf(variant, held, ageBand);
  const { enough, deck } = now;
  const whole = playsSo({ ...now, stopped: false });
  if (whole && (deck === undefined || deck.verdict === 'plays'))
    return { verdict: 'plays', enough, note: deck?.note ?? 'Everything is there.' };
  const shortage = missing(now.parts, held);
  // Each part may nearly always be enough, and all of them together not.
  if (shortage.length === 0 && enough < PLAYS)
    shortage.push(
      `Each part is nearly always enough; all of them together are in ${shareOf(enough, 'play')}.`,
    );
  if (whole) {
    // The deck plays on with fewer cards: the nearest setting is the one that knows of it.
    const known = knowing(variant, held, ageBand);
    return {
      verdict: 'playsWithNote',
      enough,
      note: deck!.note,
      ...(known ? { change: known.params } : {}),
    };
  }
  const change = nearest(variant, held, ageBand);
  const said = [...(deck && deck.verdict !== 'plays' ? [deck.note] : []), ...shortage];
  if (change)
    return {
      verdict: 'playsWithNote',
      enough,
      note: [...said, `It plays with ${told(variant, change)}.`].join(' '),
      change: change.params,
    };
  return {
    verdict: enough >= WITH_NOTE && deck?.verdict !== 'doesNotPlay' ? 'playsWithNote' : 'doesNotPlay',
    enough,
    note: said.join(' '),
  };
}

/** What is short, a sentence for each part. */
function missing(parts: readonly PartNeed[], held: Bag): string[] {
  return parts.flatMap((need) => {
    const { material, enough } = need;
    const have = there(material, held);
    const chance = suffices(need, have);
    if (chance >= PLAYS) return [];
    const { name, plural } = (held.catalogue ?? SHIPPED).of(inBagFor(material, held));
    const thing = enough === 1 ? name : plural;
    const is = have === 1 ? 'is' : 'are';
    return [
      chance > 0
        ? `${capital(count(have, name, plural))} ${is} there: enough in ${shareOf(chance, 'play')}; ${enough} would be enough in 95 of 100.`
        : `${enough} ${thing} ${enough === 1 ? 'is' : 'are'} needed, and ${have === 0 ? 'none' : have} ${is} there.`,
    ];
  });
}

/** What differs from the setting that the copy was built for. */
function told(variant: Variant, change: Variant): string {
  const knobs = variant.game.knobs.filter(
    ({ name }) => JSON.stringify(variant.params[name]) !== JSON.stringify(change.params[name]),
  );
  return listed(knobs.map((knob) => `“${knob.title}” at ${read(knob, change.params[knob.name]!)}`));
}

/** Settings that were looked at: while a count is typed, the same ones are asked for again and again. */
const lookedAt = new WeakMap<Game, Map<string, Variant | undefined>>();
const MOST_LOOKED_AT = 2000;

function changedBy({ game, params: before }: Variant, change: Params): Variant | undefined {
  const params = { ...before, ...change };
  const known = lookedAt.get(game) ?? new Map<string, Variant | undefined>();
  lookedAt.set(game, known);
  const key = JSON.stringify(params);
  if (known.has(key)) return known.get(key);
  if (known.size >= MOST_LOOKED_AT) known.clear();
  const made = Object.keys(faultsOf(game, params)).length ? undefined : settle(game, params);
  known.set(key, made);
  return made;
}

/** The setting that knows which cards are missing, with the cards taken out that would be left over. */
function knowing(variant: Variant, held: Bag, ageBand: AgeBand): Variant | undefined {
  if (!('missing' in variant.params)) return undefined;
  const before = variant.params.missing as readonly Card[];
  const lacks = DECK.filter((card) => before.includes(card) || held.deckLacks?.includes(card));
  let known = changedBy(variant, { missing: lacks });
  // "Take the 3 of hearts out": followed as long as only the cards change.
  for (let i = 0; known && i < 4; i++) {
    const { notices } = known.reckon(assume(ageBand));
    const mend = notices.find(
      ({ severity, mend: one }) =>
        severity !== 'know' && one && same(one.params, { ...known!.params, missing: one.params.missing! }),
    )?.mend;
    if (!mend || (mend.params.missing as readonly string[]).length < lacks.length) break;
    known = changedBy(known, mend.params);
  }
  return known;
}
const same = (a: Params, b: Params): boolean => JSON.stringify(a) === JSON.stringify(b);

/** So many settings are tried at most: somebody waits for the answer. */
const MOST_TRIED = 250;
/** A setting that differs in more knobs than this is another game to a family. */
const MOST_KNOBS = 2;

/** A knob turned in one direction. */
interface Way {
  knob: Knob;
  values: readonly ParamValue[];
  steps: number;
}
const farAt = ({ steps }: Way, step: number): number => (step + 1) / steps;

/**
 * The nearest setting that plays with what is there: as few knobs turned as possible, and these as little as it takes,
 * measured by the sum of the shares of their ways. Else the next easier one that plays.
 */
function nearest(variant: Variant, held: Bag, ageBand: AgeBand): Variant | undefined {
  const from = (held.deckLacks?.length ? knowing(variant, held, ageBand) : undefined) ?? variant;
  const known = new Map<Variant, boolean>();
  const plays = (one: Variant | undefined): boolean => {
    if (one === undefined) return false;
    const before = known.get(one);
    if (before !== undefined) return before;
    if (known.size >= MOST_TRIED) return false;
    const now = playsSo(stateOf(one, held, ageBand));
    known.set(one, now);
    return now;
  };
  if (from !== variant && plays(from)) return from;
  const ways = from.game.knobs.flatMap((knob) =>
    waysOf(knob, from.params[knob.name]!).flatMap((way) => (way.values.length > 0 ? [{ knob, ...way }] : [])),
  );
  /** Ways that change what is needed, by themselves or with the knob on which they hang. */
  const telling = (): Way[] =>
    ways.filter(
      (way) =>
        way.knob.when !== undefined ||
        [0, way.values.length - 1].some((step) => {
          const one = changedBy(from, { [way.knob.name]: way.values[step]! });
          return one === undefined || needsText(one, ageBand) !== needsText(from, ageBand);
        }),
    );
  // A part of which none is there is needed less only by another way to play, not by less of the same.
  const gone = from.needs(ageBand).parts.some((need) => need.enough > 0 && there(need.material, held) === 0);
  for (let many = 1; many <= MOST_KNOBS; many++) {
    let best: { variant: Variant; far: number } | undefined;
    for (const chosen of together(many === 1 ? ways : telling(), many)) {
      if (gone && !chosen.some(({ knob: { kind } }) => kind === 'choice' || kind === 'yes')) continue;
      const found = nearestAlong(from, chosen, plays, best?.far ?? Infinity);
      if (found) best = found;
    }
    if (best) return best.variant;
  }
  let now: Variant | undefined = from;
  for (let i = 0; now && i < 12; i++) {
    const easier: Params | undefined = now.needs(ageBand).easier;
    now = easier && changedBy(now, easier);
    if (now && plays(now)) return now;
  }
  return undefined;
}

const needsText = (variant: Variant, ageBand: AgeBand): string => {
  const { parts, stopped } = variant.needs(ageBand);
  return JSON.stringify([stopped, parts.map(({ material, enough, pmf }) => [material, enough, pmf])]);
};

/** Every choice of so many ways, each of another knob. */
function* together(ways: readonly Way[], many: number, from = 0): Generator<Way[]> {
  if (many === 0) return yield [];
  for (let i = from; i < ways.length; i++)
    for (const others of together(ways, many - 1, i + 1))
      if (!others.some(({ knob }) => knob.name === ways[i]!.knob.name)) yield [ways[i]!, ...others];
}

/**
 * The nearest setting along these ways that plays and is nearer than `limit`; all of them are turned. The first ways are
 * gone along step by step; the last is halved where its end plays, since what helps there helps from some step on, and
 * gone along where it does not.
 */
function nearestAlong(
  from: Variant,
  ways: readonly Way[],
  plays: (one: Variant | undefined) => boolean,
  limit: number,
): { variant: Variant; far: number } | undefined {
  let best: { variant: Variant; far: number } | undefined;
  const at = (steps: readonly number[]): Variant | undefined =>
    changedBy(from, Object.fromEntries(ways.map((way, i) => [way.knob.name, way.values[steps[i]!]!])));
  const last = ways.at(-1)!;
  // What does not help where all are turned as far as they go does not help before.
  if (ways.length > 1 && !plays(at(ways.map(({ values }) => values.length - 1)))) return undefined;
  const look = (steps: readonly number[], far: number): void => {
    const most = (): number => Math.min(limit, best?.far ?? Infinity) - 1e-9;
    if (steps.length < ways.length - 1) {
      const way = ways[steps.length]!;
      for (let step = 0; step < way.values.length && far + farAt(way, step) < most(); step++)
        look([...steps, step], far + farAt(way, step));
      return;
    }
    let high = last.values.length - 1;
    while (high >= 0 && (far + farAt(last, high) >= most() || at([...steps, high]) === undefined)) high--;
    let low = 0;
    if (high >= 0 && plays(at([...steps, high])))
      while (low < high) {
        const middle = Math.floor((low + high) / 2);
        if (plays(at([...steps, middle]))) high = middle;
        else low = middle + 1;
      }
    else if (ways.length === 1) while (low <= high && !plays(at([...steps, low]))) low++;
    else return;
    const found = low <= high ? at([...steps, low]) : undefined;
    if (found && plays(found)) best = { variant: found, far: far + farAt(last, low) };
  };
  look([], 0);
  return best;
}

/** Values of a knob away from where it stands, nearest first, in each direction; and how many steps the knob has. */
function waysOf(knob: Knob, now: ParamValue): { values: ParamValue[]; steps: number }[] {
  // For how many it is played is not a matter of the parts.
  if (knob.name === 'players') return [];
  switch (knob.kind) {
    case 'whole': {
      const at = now as number;
      const steps = Math.max(1, knob.max - knob.min);
      return [
        { values: Array.from({ length: at - knob.min }, (_, i) => at - 1 - i), steps },
        { values: Array.from({ length: knob.max - at }, (_, i) => at + 1 + i), steps },
      ];
    }
    case 'choice':
      return knob.values
        .filter((value) => value !== now)
        .map((value) => ({
          values: [value],
          // A path of 10 instead of 20 is nearer than a path of 5; other choices are as far as they come.
          steps:
            typeof value === 'number' && typeof now === 'number'
              ? Math.max(
                  1,
                  knob.values.length / Math.abs(knob.values.indexOf(value) - knob.values.indexOf(now)),
                )
              : 1,
        }));
    case 'yes':
      return [{ values: [!now], steps: 1 }];
    case 'span': {
      const { from, to } = now as { from: number; to: number };
      const steps = Math.max(1, knob.max - knob.min);
      return [
        { values: Array.from({ length: to - from }, (_, i) => ({ from, to: to - 1 - i })), steps },
        { values: Array.from({ length: to - from }, (_, i) => ({ from: from + 1 + i, to })), steps },
      ];
    }
    case 'numbers': {
      const list = now as readonly number[];
      return [
        {
          values: Array.from({ length: list.length - knob.least }, (_, i) =>
            list.slice(0, list.length - 1 - i),
          ),
          steps: Math.max(1, list.length),
        },
      ];
    }
    case 'some': {
      const list = now as readonly string[];
      return [
        {
          values: Array.from({ length: list.length - 1 }, (_, i) => list.slice(0, list.length - 1 - i)),
          steps: Math.max(1, list.length),
        },
      ];
    }
    default:
      return [];
  }
}

export interface CopyAsked extends Bag {
  variants: readonly (GameRef & { name?: string; params: Params })[];
  players: number;
  ageBand?: AgeBand;
}

/** Judges a copy of a kit by what was counted in it; paper is not counted. */
export function verdictOfCopy(
  { plan, ...held }: { plan: KitPlan } & Held,
  catalogue: Catalogue = SHIPPED,
): CopyVerdict {
  const { variants, players, ageBand, swaps, plays = 1 } = plan;
  const judged = verdict({ variants, players, ageBand, ...held, swaps, catalogue });
  return { ...judged, games: judged.games.map((game) => ({ ...game, ...overLoan(game, plays) })) };
}

/** Plays are as many draws of what is needed: what nearly always lasts one of them may well not last them all. */
const overLoan = ({ enough }: Judged, plays: number): Pick<Judged, 'loan'> =>
  plays > 1 && enough > 0 && enough < PLAYS ? { loan: { plays, enough: enough ** plays } } : {};

/** Judges a copy. */
export function verdict({ variants, players, ageBand = 'g1', ...held }: CopyAsked): CopyVerdict {
  const opened = variants.map((one) => {
    const variant = open(forPlayers({ name: '', ...one }, players));
    return changedBy(variant, {}) ?? variant;
  });
  const games = opened.map((variant) => judge(variant, held, ageBand));
  const all = (fits: (verdict: GameVerdict) => boolean): boolean => games.every((one) => fits(one.verdict));
  return {
    copy: all((one) => one === 'plays')
      ? 'asItIs'
      : all((one) => one !== 'doesNotPlay')
        ? 'withNote'
        : 'mendFirst',
    games,
    restock: restock(opened, held, ageBand),
  };
}

/** What the recipe of these games holds and is not there: what lasts is shared, what is used up adds up. */
function restock(variants: readonly Variant[], held: Bag, ageBand: AgeBand): CopyVerdict['restock'] {
  const { catalogue = SHIPPED } = held;
  const wanted = new Map<MaterialId, number>();
  for (const variant of variants)
    for (const { material, enough } of variant.needs(ageBand).parts) {
      const before = wanted.get(material) ?? 0;
      wanted.set(
        material,
        catalogue.of(material).kind === 'durable' ? Math.max(before, enough) : before + enough,
      );
    }
  const short = new Map<AnyMaterialId, number>();
  for (const [material, quantity] of wanted) {
    const lacks = quantity - there(material, held);
    const put = inBagFor(material, held);
    if (lacks > 0) short.set(put, Math.max(short.get(put) ?? 0, Math.ceil(lacks)));
  }
  // A deck with cards missing is made whole by another one.
  if (wanted.has('card-deck') && held.deckLacks?.length && !short.has('card-deck')) short.set('card-deck', 1);
  return Object.fromEntries(short);
}

/** The cards that a list names, such as "7h". Throws RangeError for what is no card. */
export function cardsIn(list: readonly string[]): Card[] {
  const { cards, unread } = readCards(list.join(' '));
  if (unread.length) throw new RangeError(`There is no card “${unread[0]!}”: write it like 7H or QS.`);
  return [...cards];
}
