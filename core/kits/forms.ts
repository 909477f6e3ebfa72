/** The forms of variants and kits. */
import { Type, type Static } from '@sinclair/typebox';
import { Line, OneOf, Tongue, Whole } from '~/core/check/schema';
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { FINISHES, PAPERS, type Finish, type Paper } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import type { Swaps } from './recipe';
import { ASSURANCES, type Assurance } from './assurance';
import { LOAN_DAYS, USUAL_PLAYS } from './loan';

const ageBand = OneOf<AgeBand>(AGE_BANDS, { title: 'Grade band' });

export const variantSchema = Type.Object({
  name: Line(60, { title: 'Name of the variant' }),
  ageBand,
});

export const kitSchema = Type.Object({
  name: Line(60, { title: 'Name of the kit' }),
  ageBand,
  players: Whole(1, 6, { title: 'Players' }),
  paper: OneOf<Paper>({ letter: PAPERS.letter.name, a4: PAPERS.a4.name }, { title: 'Paper' }),
  assurance: OneOf<Assurance>(ASSURANCES, { title: 'Assurance' }),
  finish: OneOf<Finish>(FINISHES, { title: 'Finish', default: 'plain' }),
  daysOut: Whole(1, 120, { title: 'Days a loan lasts', default: LOAN_DAYS }),
  playsAWeek: Whole(1, 21, { title: 'Plays a week', default: USUAL_PLAYS }),
  languages: Type.Array(Tongue({ title: 'Language packs' }), {
    maxItems: 40,
    uniqueItems: true,
    default: [],
    title: 'Language packs',
  }),
  swaps: Type.Unsafe<Swaps>({
    type: 'object',
    maxProperties: 20,
    additionalProperties: { type: 'string', maxLength: 40 },
    default: {},
    title: 'What stands in',
  }),
});
export type KitAbout = Static<typeof kitSchema>;

/** What a kit says of itself, without its games. */
export const kitAbout = ({
  name,
  ageBand,
  players,
  paper,
  assurance,
  finish,
  daysOut,
  playsAWeek,
  languages,
  swaps,
}: KitAbout): KitAbout => ({
  name,
  ageBand,
  players,
  paper,
  assurance,
  finish,
  daysOut,
  playsAWeek,
  languages,
  swaps,
});

/** The languages beside English in which packs of a kit are printed at a school with these. */
export const packLanguages = (
  { languages }: Pick<KitAbout, 'languages'>,
  school: readonly string[],
): Language[] => {
  const here = school.filter((one) => one !== 'en');
  const mine = here.filter((one) => languages.includes(one));
  return mine.length ? mine : here;
};

/** More games are no basket any more. */
export const MOST_GAMES = 12;
export const MOST_COPIES = 60;
export const buildSchema = Type.Object({ copies: Whole(1, MOST_COPIES, { title: 'Copies' }) });

/** Who and what there is to make copies with. */
export const handsSchema = Type.Object({
  helpers: Whole(1, 12, { title: 'Helpers', default: 3 }),
  laminators: Whole(1, 4, { title: 'Laminators', default: 1 }),
  cutters: Whole(1, 8, { title: 'Cutters', default: 2 }),
});
/** In which finish the copies of a run are made. */
export const RUN_FINISHES = { own: 'As each kit says', ...FINISHES };
export type RunFinish = keyof typeof RUN_FINISHES;

/** What is asked before a build run. */
export const runSchema = Type.Object({
  ...handsSchema.properties,
  finish: OneOf<RunFinish>(RUN_FINISHES, { title: 'Finish', default: 'own' }),
  budget: Whole(0, 100_000, { title: 'Money to buy with (dollars)', default: 0 }),
});
/** Copies of one kit in a run, and of all kits together. */
export const MOST_IN_RUN = 60;

/** What is laid on the scale that stands in for a real one. */
export const scaleSchema = Type.Object({
  pieces: Whole(0, 2000, { title: 'Pieces' }),
  cupG: Type.Number({ minimum: 0, maximum: 5000, title: 'Cup or bag (grams)' }),
  resolutionG: Type.Number({ minimum: 0.1, maximum: 50, title: 'Step of the scale (grams)' }),
});
