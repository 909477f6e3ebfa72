/** What the shelf says of each game before it is opened, preset by preset; and what narrows it. */
import type { Shape } from '~/core/paper/sheet';
import { searchable } from '~/core/words/search';
import type { Skill } from '~/core/games/kit/skills';
import type { AgeBand, GameFamily, Place, Traits } from '~/core/games/kit/types';

export interface PresetEntry {
  id: string;
  name: string;
  tradition?: string | undefined;
  ageBand: AgeBand;
  minutes: number;
  skills: Skill[];
  fewest: number;
  most: number;
  alone: boolean;
  /** Parts that are not printed and not found at home, for one copy. */
  parts: { material: string; quantity: number }[];
}
export interface ShelfEntry {
  gameId: string;
  family: GameFamily;
  name: string;
  /** In every language in which it can be looked for. */
  names: string[];
  drawing: readonly Shape[];
  traits: Traits;
  presets: PresetEntry[];
}

/** What somebody looks for; everything is optional. */
export interface Wish {
  text: string;
  skill: Skill | '';
  ageBand: AgeBand | '';
  /** At most so many minutes; 0 for any. */
  minutes: number;
  /** So many players; 0 for any, 1 for alone. */
  players: number;
  place: Place | '';
  atHand: boolean;
  /** For so many copies the parts are to be at hand. */
  copies: number;
  byVideo: boolean;
  quiet: boolean;
  noReading: boolean;
}
export const ANYTHING: Wish = {
  text: '',
  skill: '',
  ageBand: '',
  minutes: 0,
  players: 0,
  place: '',
  atHand: false,
  copies: 1,
  byVideo: false,
  quiet: false,
  noReading: false,
};

/** What is on hand by material; null where there is some that nobody has counted. */
export type AtHand = Readonly<Record<string, number | null>>;

/** The parts of a preset that the store does not have for so many copies. What nobody counted is taken to be enough. */
export const lacking = (preset: PresetEntry, atHand: AtHand, copies = 1): string[] =>
  preset.parts
    .filter(({ material, quantity }) => {
      const there = atHand[material];
      return there !== null && (there ?? 0) < quantity * copies;
    })
    .map(({ material }) => material);

/** The presets of a game that meet a wish, in their order; none when the game does not. */
export function meeting(entry: ShelfEntry, wish: Wish, atHand: AtHand): PresetEntry[] {
  const { traits } = entry;
  const text = searchable(wish.text);
  if (text && !entry.names.some((name) => searchable(name).includes(text))) return [];
  if (wish.place && !traits.places.includes(wish.place)) return [];
  if (wish.byVideo && !traits.byVideo) return [];
  if (wish.quiet && !traits.quiet) return [];
  if (wish.noReading && !traits.noReading) return [];
  return entry.presets.filter(
    (preset) =>
      (!wish.skill || preset.skills.includes(wish.skill)) &&
      (!wish.ageBand || preset.ageBand === wish.ageBand) &&
      (!wish.minutes || preset.minutes <= wish.minutes) &&
      (!wish.players ||
        (wish.players === 1 ? preset.alone : preset.fewest <= wish.players && wish.players <= preset.most)) &&
      (!wish.atHand || lacking(preset, atHand, wish.copies).length === 0),
  );
}
