/** When a play is longer than is good for a child, or more than a bag holds, and the change that helps. */
import { DECK, isRed } from '~/core/cards/deck';
import { materialOf } from '~/core/materials/catalogue';
import { plain } from '~/core/words/numbers';
import type { Knob } from './knobs';
import { mind } from './reckoning';
import { AGE_BANDS, type AgeBand, type Notice, type Params, type ParamValue, type Reckoning } from './types';

/** So many minutes of one game are good for a child; after that it is work. */
export const LONGEST_MINUTES: Record<AgeBand, number> = { preK: 10, K: 15, g1: 25, g2: 25, g3: 40 };
/** More loose pieces of one kind than a family counts back into a bag. */
export const MOST_PIECES = 150;
/** More printed pieces of one kind than anybody cuts, holds and puts in order. */
export const MOST_PRINTED = 120;
/** A tenth of what a child of five weighs. */
export const HEAVIEST_G = 2000;

/** Nobody waits for more settings to be reckoned. */
const MOST_TRIES = 24;

type Judged = Pick<Reckoning, 'length' | 'parts'>;

interface Limit {
  code: string;
  /** How far over it a play is: 1 is just at it. */
  over: (play: Judged) => number;
  text: (play: Judged) => string;
}

const tooLong = (ageBand: AgeBand): Limit => ({
  code: 'too-long',
  over: ({ length }) => length.minutes.mean / LONGEST_MINUTES[ageBand],
  text: ({ length }) =>
    `${length.minutes.mean} minutes are long for ${AGE_BANDS[ageBand]}: about ${LONGEST_MINUTES[ageBand]} are good. Stop earlier whenever the child has had enough.`,
});

/** The kind of part of which there are too many first, and how many would do. */
function fullest({ parts }: Judged): { name: string; enough: number; most: number; share: number } {
  const counted = parts.flatMap(({ material, enough }) => {
    const { kind, plural } = materialOf(material);
    if (kind === 'consumable' || kind === 'home') return [];
    const most = kind === 'printed' ? MOST_PRINTED : MOST_PIECES;
    return [{ name: plural, enough, most, share: enough / most }];
  });
  return counted.reduce((a, b) => (b.share > a.share ? b : a), { name: '', enough: 0, most: 1, share: 0 });
}

const weightG = ({ parts }: Judged): number =>
  parts
    .filter(({ material }) => materialOf(material).kind !== 'home')
    .reduce((total, { material, enough }) => total + enough * materialOf(material).massG, 0);

const tooMany: Limit = {
  code: 'too-many',
  over: (play) => fullest(play).share,
  text: (play) => {
    const { name, enough, most } = fullest(play);
    return `${plain(enough)} ${name} are more than a bag holds: about ${most} can still be counted and put in order.`;
  },
};

const tooHeavy: Limit = {
  code: 'too-heavy',
  over: (play) => weightG(play) / HEAVIEST_G,
  text: (play) =>
    `The parts weigh ${plain(weightG(play) / 1000)} kg; a small child carries ${plain(HEAVIEST_G / 1000)} kg at most.`,
};

/** What is too much about a setting; `again` reckons another one, or gives undefined where it cannot be played. */
export function excesses(
  play: Judged,
  ageBand: AgeBand,
  knobs: readonly Knob[],
  params: Params,
  again: (change: Params) => Judged | undefined,
): Notice[] {
  const known = new Map<string, Judged | undefined>();
  const tried = (change: Params): Judged | undefined => {
    const key = JSON.stringify(change);
    if (!known.has(key) && known.size < MOST_TRIES) known.set(key, again(change));
    return known.get(key);
  };
  return [tooLong(ageBand), tooMany, tooHeavy]
    .filter((limit) => limit.over(play) > 1)
    .map((limit) => mind(limit.code, limit.text(play), helped(limit, knobs, params, tried)));
}

/** The change of one knob that helps, and changes as little as it can: half of a deck first, fewer players last. */
function helped(
  limit: Limit,
  knobs: readonly Knob[],
  params: Params,
  tried: (change: Params) => Judged | undefined,
): Notice['mend'] {
  const works = (change: Params): boolean => {
    const play = tried(change);
    return play !== undefined && limit.over(play) <= 1;
  };
  const place = ({ kind, name }: Knob): number => (kind === 'cards' ? 0 : name === 'players' ? 2 : 1);
  for (const knob of [...knobs].sort((a, b) => place(a) - place(b))) {
    if (knob.when && Object.entries(knob.when).some(([name, values]) => !values?.includes(params[name])))
      continue;
    const change = smaller(knob, params, works);
    if (change) return change;
  }
  return undefined;
}

function smaller(knob: Knob, params: Params, works: (change: Params) => boolean): Notice['mend'] {
  const turned = (value: ParamValue): Params => ({ ...params, [knob.name]: value });
  const now = params[knob.name]!;
  if (knob.kind === 'cards') {
    // Half of a deck plays as the whole does, in half the time.
    const black = DECK.filter((card) => !isRed(card));
    const half = turned([...new Set([...(now as string[]), ...black])]);
    return works(half) ? { label: 'Play with the red cards only', params: half } : undefined;
  }
  if (knob.kind === 'numbers') {
    // The middle of a list of sums comes most often: what is left out are its ends.
    const list = [...(now as number[])].sort((a, b) => a - b);
    const middle = (length: number): number[] => {
      const from = Math.floor((list.length - length) / 2);
      return list.slice(from, from + length);
    };
    const length = mostThat(knob.least, list.length - 1, (some) => works(turned(middle(some))));
    return length === undefined
      ? undefined
      : { label: `${knob.title}: ${middle(length).join(', ')}`, params: turned(middle(length)) };
  }
  const values =
    knob.kind === 'whole'
      ? Array.from({ length: (now as number) - knob.min }, (_, i) => knob.min + i)
      : knob.kind === 'choice'
        ? knob.values.filter((value): value is number => typeof value === 'number' && value < (now as number))
        : [];
  const at = mostThat(0, values.length - 1, (i) => works(turned(values[i]!)));
  if (at === undefined) return undefined;
  const value = values[at]!;
  const label = knob.kind === 'choice' ? knob.options[knob.values.indexOf(value)]!.label : String(value);
  return { label: `${knob.title}: ${label}`, params: turned(value) };
}

/** The largest whole number of a range that helps, where what is smaller helps too; undefined when the least does not. */
function mostThat(from: number, to: number, helps: (value: number) => boolean): number | undefined {
  if (from > to || !helps(from)) return undefined;
  let [low, high] = [from, to];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (helps(middle)) low = middle;
    else high = middle - 1;
  }
  return low;
}
