/**
 * The desk in a noisy hall, by scanner alone: a bag, the card of a family, a bag, a bag, a card …  A bag that is out is
 * home when it is scanned; one that is at school waits for the next card. The same rules hold with network and without:
 * what the browser says from what it knew last is said again by the school when it is sent.
 */
import { Type, type Static } from '@sinclair/typebox';
import { readTag, showTag } from '~/core/kits/tag';
import { searchable } from '~/core/words/search';
import { readCard } from './card';
import { limitReached, type LendingRules } from './rules';

/** What is said to a scan: in a large word, and a sentence. */
export interface Heard {
  kind: 'right' | 'wrong' | 'next';
  word: string;
  text: string;
  /** The loan that came of it, so that it can be undone. */
  loanId?: string;
  dueOn?: string;
  /** The family that the next bag is for. */
  familyId?: string;
}

const id = Type.String({ format: 'uuid' });
const tag = Type.String({ minLength: 5, maxLength: 5 });

/** One thing that was done at the desk. */
export const hallActSchema = Type.Object(
  {
    id,
    kind: Type.Union([Type.Literal('lend'), Type.Literal('home'), Type.Literal('undo')]),
    /** The day on which it was done, as the desk knew it. */
    day: Type.String({ format: 'date' }),
    /** It was done without network. */
    away: Type.Boolean(),
    tag: Type.Optional(tag),
    card: Type.Optional(Type.String({ minLength: 7, maxLength: 7 })),
    /** What is undone. */
    of: Type.Optional(id),
  },
  { additionalProperties: false },
);
export type HallAct = Static<typeof hallActSchema>;

/** What a desk knows of the bags and families of its school, so that it can go on alone. */
export interface HallBag {
  tag: string;
  /** On its label, for a phone that reads the square. */
  linkKey: string;
  kitId: string;
  kitName: string;
  /** The card of the family that has it; an empty text where that family has no card. */
  with: string | null;
  /** It lies at school and is to be counted before it goes out again. */
  arrived: boolean;
  /** The card of the family that it is set aside for or promised to; an empty text where it has none. */
  meantFor: string | null;
}
export interface HallFamily {
  card: string;
  name: string;
  /** The days on which the bags that it has were lent. */
  out: string[];
  /** Kits that a person would have to decide about. */
  notSafe: string[];
}
export interface HallKnown {
  today: string;
  rules: Pick<LendingRules, 'bagsAtOnce' | 'backFirst'>;
  bags: HallBag[];
  families: HallFamily[];
}

/** A scan as the desk understands it. */
export type Scan =
  { kind: 'bag'; bag: HallBag } | { kind: 'card'; family: HallFamily } | { kind: 'unread'; text: string };

/** Families whose name has every word of a text. */
function familiesNamed(text: string, families: readonly HallFamily[]): HallFamily[] {
  const words = searchable(text).split(/\s+/).filter(Boolean);
  const found = families.filter(({ name }) => words.every((word) => searchable(name).includes(word)));
  const just = found.filter(({ name }) => searchable(name) === searchable(text));
  return (just.length === 1 ? just : found).slice(0, 6);
}

/** Reads what a scanner or a camera typed: a tag, the address on a label, or a card. */
export function readHall(text: string, { bags, families }: Pick<HallKnown, 'bags' | 'families'>): Scan {
  const linkKey = /\/p\/([\w-]{10,})/.exec(text)?.[1];
  const card = linkKey ? undefined : readCard(text);
  if (card) {
    const family = families.find((one) => one.card === card);
    return family
      ? { kind: 'card', family }
      : { kind: 'unread', text: 'No family of this school has this card.' };
  }
  const read = readTag(text);
  const bag = linkKey
    ? bags.find((one) => one.linkKey === linkKey)
    : read.kind === 'tag'
      ? bags.find((one) => one.tag === read.tag)
      : undefined;
  if (bag) return { kind: 'bag', bag };
  // Without its card a family is found by its name, where only one is meant.
  const named = read.kind === 'tag' || linkKey || text.trim().length < 3 ? [] : familiesNamed(text, families);
  if (named.length === 1) return { kind: 'card', family: named[0]! };
  if (named.length > 1)
    return {
      kind: 'unread',
      text: `Several families are called so: ${named.map(({ name }) => name).join(', ')}.`,
    };
  return {
    kind: 'unread',
    text:
      read.kind === 'misread'
        ? read.reason
        : read.kind === 'tag'
          ? `No bag of this school has the tag ${showTag(read.tag)}.`
          : 'This is neither the tag of a bag nor the card of a family.',
  };
}

/** Why a bag cannot wait for a card now; undefined where it can. */
export function notToLend(bag: HallBag): Heard | undefined {
  return bag.arrived
    ? {
        kind: 'wrong',
        word: 'Count first',
        text: `${showTag(bag.tag)} came home and is not counted yet. Put it with those to count.`,
      }
    : undefined;
}

/** Why a bag cannot go to a family, in a word and a sentence; undefined where it can. */
export function against(
  bag: HallBag,
  family: HallFamily,
  { rules, today }: Pick<HallKnown, 'rules' | 'today'>,
): Heard | undefined {
  const wrong = (word: string, text: string): Heard => ({ kind: 'wrong', word, text });
  const name = `${showTag(bag.tag)}, ${bag.kitName},`;
  if (bag.with !== null) return wrong('Is out', `${name} is out already. Scan it once more when it is home.`);
  if (family.notSafe.includes(bag.kitId))
    return wrong(
      'Not this one',
      `${name} is not for ${family.name} before somebody has decided it. Lend it at the desk, where the reason stands.`,
    );
  if (bag.meantFor !== null && bag.meantFor !== family.card)
    return wrong('Wrong bag', `${name} is meant for another family.`);
  const limit = limitReached(rules, family.out, today);
  return limit ? wrong('Has enough', `${family.name}: ${limit}`) : undefined;
}

/** What a desk knows, after something was done at it. */
export function after(known: HallKnown, act: HallAct, undone?: HallAct): HallKnown {
  const change = (tagged: string | undefined, how: (bag: HallBag) => HallBag): HallBag[] =>
    known.bags.map((bag) => (bag.tag === tagged ? how(bag) : bag));
  const families = (card: string | undefined, how: (out: string[]) => string[]): HallFamily[] =>
    known.families.map((family) =>
      family.card !== '' && family.card === card ? { ...family, out: how(family.out) } : family,
    );
  const holder = (tagged: string | undefined): string =>
    known.bags.find((bag) => bag.tag === tagged)?.with ?? '';
  const without = (out: string[]): string[] => out.slice(0, -1);
  if (act.kind === 'lend')
    return {
      ...known,
      bags: change(act.tag, (bag) => ({ ...bag, with: act.card!, meantFor: null })),
      families: families(act.card, (out) => [...out, act.day].sort()),
    };
  if (act.kind === 'home')
    return {
      ...known,
      bags: change(act.tag, (bag) => ({ ...bag, arrived: true })),
      families: families(holder(act.tag), (out) => out.slice(1)),
    };
  if (undone?.kind === 'lend')
    return {
      ...known,
      bags: change(undone.tag, (bag) => ({ ...bag, with: null })),
      families: families(undone.card, without),
    };
  if (undone?.kind === 'home')
    return { ...known, bags: change(undone.tag, (bag) => ({ ...bag, arrived: false })) };
  return known;
}
