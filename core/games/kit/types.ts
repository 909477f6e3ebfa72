/** What games, their variants and their reckonings are made of. */
import type { Fact } from '~/core/cards/facts';
import type { Pmf } from '~/core/chance/pmf';
import type { FamilyMessage } from '~/core/words/family';
import type { Args } from '~/core/words/message';
import type { MaterialId } from '~/core/materials/catalogue';
import type { Shape } from '~/core/paper/sheet';

export const AGE_BANDS = {
  preK: 'pre-K',
  K: 'kindergarten',
  g1: 'grade 1',
  g2: 'grade 2',
  g3: 'grade 3 and up',
} as const;
export type AgeBand = keyof typeof AGE_BANDS;

/** Seconds one turn takes, by age band: a visible assumption that can be changed. */
export const SECONDS_PER_TURN: Record<AgeBand, number> = { preK: 40, K: 30, g1: 25, g2: 20, g3: 15 };

export interface Assumptions {
  ageBand: AgeBand;
  secondsPerTurn: number;
}
export const assume = (ageBand: AgeBand): Assumptions => ({
  ageBand,
  secondsPerTurn: SECONDS_PER_TURN[ageBand],
});

/** The families of games, in the order of the shelf. */
export const GAME_FAMILIES = {
  split: 'Splitting a whole',
  target: 'Making a target with cards',
  compare: 'Comparing',
  call: 'Calling and covering',
  build: 'Dice and building',
  see: 'Seeing without counting',
  move: 'On the floor and outside',
  talk: 'No parts at all',
  own: 'Your own games',
} as const;
export type GameFamily = keyof typeof GAME_FAMILIES;

/** Where a game can be played. */
export const PLACES = {
  table: 'at a table',
  floor: 'on the floor',
  outdoors: 'outdoors',
  rainyDay: 'on a rainy day',
  car: 'in the car, without any pieces',
} as const;
export type Place = keyof typeof PLACES;

/** What a coordinator asks of a game that its numbers do not tell. */
export interface Traits {
  places: readonly Place[];
  /** Works over a video call. */
  byVideo?: boolean;
  /** Makes little noise. */
  quiet?: boolean;
  /** The child needs to read no word and no numeral. */
  noReading?: boolean;
}

/** Where a game can be played, as families read it. */
export const placesOf = ({ traits }: { traits: Traits }): FamilyMessage[] => [
  ...traits.places.map((place): FamilyMessage => `place.${place}`),
  ...(traits.byVideo ? (['place.video'] as const) : []),
];

/** The unit of chances: they stand as 0 to 1 in the reckoning, and are read in hundredths. */
export const CHANCE = 'of 1';

/** A figure as the margin shows it. */
export interface Figure {
  /** Name under which it stands in the reckoning's JSON. */
  name: string;
  label: string;
  value: number;
  unit: string;
  /** One sentence: where the number comes from. */
  reason: string;
  /** Standard error, where the number was simulated. */
  error?: number;
}

/** How many of a material one play needs. Quantities in the material's unit. */
export interface PartNeed {
  material: MaterialId;
  expected: number;
  /** Suffices in 95 of 100 plays. */
  enough: number;
  /** The most the rules can ever need. */
  worst: number;
  /** How many a play needs, with its chances. */
  pmf: Pmf;
  reason: string;
}

export interface Notice {
  code: string;
  /** `stop`: it does not work so. `mind`: it works, but look. `know`: worth knowing. */
  severity: 'stop' | 'mind' | 'know';
  text: string;
  mend?: { label: string; params: Params };
}

export interface Length {
  turns: Pmf;
  secondsPerTurn: number;
  setUpMinutes: number;
  /** Whole minutes, rounded up: expected, middle and 90 in 100. */
  minutes: { mean: number; p50: number; p90: number };
}

export interface Practised {
  fact: Fact;
  /** Expected number of meetings in one play, all players together. */
  meetings: number;
}

export interface Rung {
  params: Params;
  /** What changes, for a button: "Use 5 counters". */
  label: string;
}
export interface Ladder {
  easier?: Rung | undefined;
  harder?: Rung | undefined;
}

export interface Space {
  place: 'table' | 'floor' | 'outdoors';
  widthMm: number;
  depthMm: number;
}

export interface Reckoning {
  /** Named numbers; a figure over many answers is a table of numbers. */
  figures: Record<string, number | Readonly<Record<string, number>>>;
  explained: Figure[];
  parts: PartNeed[];
  prep: string[];
  length: Length;
  practice: Practised[];
  skills: string[];
  space: Space;
  players: { fewest: number; most: number; alone: boolean };
  notices: Notice[];
  ladder: Ladder;
  /** Present when a number is simulated: how. The errors stand with the figures. */
  simulated?: { seed: number; plays: number };
  /** Names of figures that take longer than a frame and are not here yet. */
  pending: string[];
}

/** The parts of the instructions, in the order in which a family reads them. */
export const STEP_PARTS = [
  'setUp',
  'turn',
  'end',
  'say',
  'easier',
  'harder',
  'sideBySide',
  'younger',
  'atHome',
  'caution',
] as const;
export type StepPart = (typeof STEP_PARTS)[number];
/** The parts whose steps are numbered, in one run. */
export const NUMBERED_PARTS: ReadonlySet<StepPart> = new Set(['setUp', 'turn', 'end']);
export type Show = 'pieces' | 'drawing' | 'symbols';

/** One line of the instructions: a message with its arguments, and the way it shows the number. */
export interface Step {
  part: StepPart;
  id: string;
  args: Args;
  show?: Show;
}

/** One turn of a rehearsed play. `coach` is what a grown-up might say. */
export interface Turn<Id extends string = string> {
  player: number;
  id: Id;
  args: Args;
  coach?: { id: Id; args: Args };
}

export type ParamValue =
  string | number | boolean | readonly string[] | readonly number[] | Readonly<Record<string, number>>;
export type Params = Record<string, ParamValue>;

/** What a deck with cards missing (or two of them together) does to a game. */
export interface DeckVerdict {
  verdict: 'plays' | 'playsWithNote' | 'doesNotPlay';
  /** One sentence, or several. */
  note: string;
}

export interface Layout {
  laid: number[];
  target: number;
}
export interface Solution {
  ways: { text: string; cards: number[] }[];
  /** There are more ways than are listed. */
  more: boolean;
}
export interface Peek<Id extends string = string> {
  shapes: Shape[];
  seconds: number;
  /** What there is to say, in both languages. */
  says: { id: Id; args: Args };
}
