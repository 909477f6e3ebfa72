/** The settings at which a game is tried. */
import { DECK } from '~/core/cards/deck';
import { pick, seeded, shuffled, type Random } from '~/core/chance/random';
import type { Sheet } from '~/core/paper/sheet';
import { SHIPPED_LANGUAGES } from '~/core/words/languages';
import { readingOf } from '~/core/words/readings';
import { check } from '../check';
import { settle, type Game, type Preset, type Variant } from '../game';
import type { Knob } from '../knobs';
import type { Params, ParamValue } from '../types';

/** Every language that ships. */
export const READINGS = SHIPPED_LANGUAGES.map((language) => readingOf(language));

/**
 * Where the settings of this run begin: other ones each time. A failed law names it (it stands in the title of the laws),
 * and `FERN_SEED` brings the same settings back.
 */
export const SEED = Number(process.env.FERN_SEED ?? Math.floor(Math.random() * 1e6));

export interface Expected {
  /** Figures that the game promises, with the parameters under which they apply. */
  gives: readonly (readonly [names: string, params?: Params])[];
  /** Knobs that change nothing a person gets at the settings that are tried, with a reason where they stand. */
  alike?: readonly string[];
  /** Shapes of the sheets that may lie across cuts. */
  across?: ((shape: Sheet['shapes'][number]) => boolean) | undefined;
}

/** A game under the laws: every setting that is tried of it. */
export interface Tried extends Required<Omit<Expected, 'across'>>, Pick<Expected, 'across'> {
  game: Game;
  good: readonly Variant[];
  bad: readonly Params[];
  presets: readonly { preset: Preset; variant: Variant }[];
}

/** The settings of one knob that are worth trying: its least, its most, something between, each choice. */
export function settings(knob: Knob, random: Random): ParamValue[] {
  switch (knob.kind) {
    case 'whole':
    case 'chance':
      return [knob.min, knob.max, knob.kind === 'whole' ? Math.round((knob.min + knob.max) / 2) : 0.5];
    case 'choice':
      return knob.values;
    case 'yes':
      return [true, false];
    case 'some':
      return [...knob.options.map(({ value }) => [value]), knob.options.map(({ value }) => value)];
    case 'span':
      return [
        { from: knob.min, to: knob.max },
        { from: knob.min, to: knob.min },
        { from: knob.max, to: knob.max },
        { from: knob.max, to: knob.min },
      ];
    case 'size':
      return [knob.min, knob.max, 60].map((side) => ({ w: side, h: side }));
    case 'cards':
      return [[], ['7H'], DECK.filter(() => random.chance(0.3)), DECK.slice(2), [...DECK]];
    case 'numbers':
      return [
        Array.from({ length: knob.least }, (_, i) => knob.min + i),
        Array.from({ length: Math.min(knob.most, knob.max - knob.min + 1) }, (_, i) => knob.max - i),
      ];
  }
}

/** A few other values of a knob, of which one at least should work beside the other settings. */
export function others(knob: Knob, now: ParamValue): ParamValue[] {
  switch (knob.kind) {
    case 'whole':
    case 'chance':
      return [knob.min, knob.max, (knob.min + knob.max) / 2].map((value) =>
        knob.kind === 'whole' ? Math.round(value) : value,
      );
    case 'choice':
      return knob.values;
    case 'yes':
      return [!now];
    case 'some':
      return [...knob.options.map(({ value }) => [value]), knob.options.map(({ value }) => value)];
    case 'span':
      return [
        { from: knob.min, to: knob.max },
        { from: knob.min, to: knob.min + 2 },
      ];
    case 'size':
      return [{ w: 50, h: 40 }];
    case 'cards':
      return [DECK.filter((_, i) => i % 9 === 0)];
    case 'numbers':
      return [
        Array.from({ length: knob.least }, (_, i) => knob.max - i),
        Array.from({ length: Math.max(knob.least, 3) }, (_, i) => knob.min + i),
      ];
  }
}

/** A value of a knob that nobody would choose. */
function atRandom(knob: Knob, random: Random): ParamValue {
  switch (knob.kind) {
    case 'whole':
      return random.whole(knob.min, knob.max);
    case 'chance':
      return random.whole(Math.ceil(knob.min * 100 - 1e-9), Math.floor(knob.max * 100 + 1e-9)) / 100;
    case 'choice':
      return pick(knob.values, random);
    case 'yes':
      return random.chance(0.5);
    case 'some': {
      const chosen = shuffled(knob.options, random).slice(0, random.whole(1, knob.options.length));
      return knob.options.filter((option) => chosen.includes(option)).map(({ value }) => value);
    }
    case 'span': {
      const [a, b] = [random.whole(knob.min, knob.max), random.whole(knob.min, knob.max)];
      return { from: Math.min(a, b), to: Math.max(a, b) };
    }
    case 'size':
      return { w: random.whole(knob.min, knob.max), h: random.whole(knob.min, knob.max) };
    case 'cards':
      return shuffled(DECK, random).slice(0, random.chance(0.5) ? random.whole(0, 8) : random.whole(9, 44));
    case 'numbers': {
      const all = Array.from({ length: knob.max - knob.min + 1 }, (_, i) => knob.min + i);
      const length = random.whole(knob.least, knob.most);
      return knob.unique
        ? shuffled(all, random).slice(0, length)
        : Array.from({ length }, () => pick(all, random));
    }
  }
}

/** So many settings of a game, each knob turned at random, that can be played. */
export function anySettings(game: Game, count: number, seed = SEED): Variant[] {
  const random = seeded(seed);
  const found: Variant[] = [];
  for (let tries = 0; found.length < count && tries < 40 * count; tries++) {
    const params = Object.fromEntries(game.knobs.map((knob) => [knob.name, atRandom(knob, random)]));
    // Beside a preset, so that knobs are met that agree.
    const change = tries % 3 ? params : { ...pick(game.presets, random).params, ...some(params, random) };
    if (check(game, change).ok) found.push(settle(game, change));
  }
  return found;
}

/** One or two of the values. */
const some = (params: Params, random: Random): Params =>
  Object.fromEntries(shuffled(Object.entries(params), random).slice(0, random.whole(1, 2)));

/** Each knob at each of its settings beside every preset, and a number of random mixtures. */
export function tried(game: Game, { gives, alike = [], across }: Expected): Tried {
  const random = seeded(SEED);
  const all: Params[] = [];
  for (const { params } of game.presets) {
    all.push(params);
    for (const knob of game.knobs)
      for (const value of settings(knob, random)) all.push({ ...params, [knob.name]: value });
  }
  for (let i = 0; i < 60; i++)
    all.push(Object.fromEntries(game.knobs.map((knob) => [knob.name, pick(settings(knob, random), random)])));
  const each = [...new Map(all.map((params) => [JSON.stringify(params), params])).values()];
  return {
    ...{ game, gives, alike, across },
    presets: game.presets.map((preset) => ({ preset, variant: settle(game, preset.params) })),
    good: each.filter((params) => check(game, params).ok).map((params) => settle(game, params)),
    bad: each.filter((params) => !check(game, params).ok),
  };
}
