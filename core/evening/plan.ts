/** The plan of an evening as it is kept: who is expected, in which groups, at which tables with which games, with which helpers. */
import { Type, type Static } from '@sinclair/typebox';
import { betaBinomial } from '~/core/chance/binomial';
import { atMost, quantile, type Pmf } from '~/core/chance/pmf';
import { Line, OneOf, Whole } from '~/core/check/schema';
import { AGE_BANDS, type AgeBand, type Params } from '~/core/games/kit/types';
import { LEVEL_OF } from '~/core/lending/children';
import { aboutLanguage, languageNamed, type Language } from '~/core/words/languages';
import { listed } from '~/core/words/numbers';
import { searchable } from '~/core/words/search';
import type { Help } from './help';
import type { EveningAsked, Rotation } from './rotation';

const text = (maxLength: number, title: string) => Type.String({ minLength: 1, maxLength, title });
const languages = Type.Array(text(20, 'Language'), { maxItems: 20, title: 'Languages' });

export const MOST = { tables: 20, groups: 40, helpers: 40, rounds: 12 } as const;

/** When and how long: the form on top of a plan. */
export const whenSchema = Type.Object({
  name: Line(80, { title: 'Name of the evening' }),
  startsAt: Type.String({
    pattern: '^([01]?\\d|2[0-3]):[0-5]\\d$',
    title: 'Start',
    description: 'write a time such as 17:30.',
    default: '17:30',
  }),
  rounds: Whole(1, MOST.rounds, { title: 'Rounds', default: 3 }),
  roundMinutes: Whole(5, 60, { title: 'Minutes of a round', default: 12 }),
  changeMinutes: Whole(0, 15, { title: 'Minutes to change', default: 3 }),
});
export type When = Static<typeof whenSchema>;
/** How many rounds there are, and how long they take. */
export type Times = Pick<When, 'rounds' | 'roundMinutes' | 'changeMinutes'>;

const game = Type.Object({
  gameId: text(80, 'Game'),
  name: text(120, 'Name of a game'),
  params: Type.Unsafe<Params>(Type.Record(Type.String(), Type.Unknown())),
  ageBand: OneOf<AgeBand>(AGE_BANDS, { title: 'Grade' }),
});
export const planSchema = Type.Object({
  rounds: Whole(1, MOST.rounds, { title: 'Rounds' }),
  roundMinutes: Whole(5, 60, { title: 'Minutes of a round' }),
  changeMinutes: Whole(0, 15, { title: 'Minutes to change' }),
  /** Of 100 families that are invited so many come. */
  come: Whole(1, 100, { title: 'How many come of 100' }),
  /** The guess may be off by so many of 100 either way; nine in ten times it is not off by more. */
  spread: Type.Optional(Whole(0, 40, { title: 'How far off that may be' })),
  /** What the district asks of the hall: said before the usual cautions. */
  hallRules: Type.Optional(Type.String({ maxLength: 1000, title: 'Rules of your district for the hall' })),
  seats: Whole(2, 40, { title: 'Seats of a table' }),
  tables: Type.Array(
    Type.Object({
      id: text(40, 'Table'),
      seats: Whole(1, 60, { title: 'Seats' }),
      game: Type.Optional(game),
    }),
    {
      maxItems: MOST.tables,
    },
  ),
  groups: Type.Array(
    Type.Object({
      id: text(60, 'Group'),
      size: Whole(1, 60, { title: 'Size of a group' }),
      languages,
      band: OneOf<AgeBand>(AGE_BANDS, { title: 'Grade' }),
    }),
    { maxItems: MOST.groups },
  ),
  helpers: Type.Array(Type.Object({ id: text(60, 'Helper'), languages }), { maxItems: MOST.helpers }),
  pins: Type.Array(
    Type.Object({
      group: text(60, 'Group'),
      table: text(40, 'Table'),
      round: Whole(1, MOST.rounds, { title: 'Round' }),
    }),
    {
      maxItems: 500,
    },
  ),
  hosts: Type.Array(Type.Object({ table: text(40, 'Table'), helper: text(60, 'Helper') }), {
    maxItems: MOST.tables,
  }),
});
export type EveningPlan = Static<typeof planSchema>;

/** How far off a first guess may be, of 100. */
export const USUAL_SPREAD = 15;

/** A plan that has just begun. */
export const emptyPlan = ({ rounds, roundMinutes, changeMinutes }: Times): EveningPlan => ({
  rounds,
  roundMinutes,
  changeMinutes,
  come: 60,
  spread: USUAL_SPREAD,
  seats: 12,
  tables: [],
  groups: [],
  helpers: [],
  pins: [],
  hosts: [],
});

/** Families that are invited, by home language and the grade of their children. */
export interface Invited {
  language: Language;
  band: AgeBand;
  families: number;
}
/** People of a family that come along, as a rule. */
export const PEOPLE = 3;

/** Nine in ten of a normal distribution lie within so many standard deviations. */
const NINE_IN_TEN = 1.6449;
/** How many of the invited families come, when `come` of 100 do, give or take `spread`. */
export const comingPmf = (invited: number, come: number, spread: number): Pmf =>
  betaBinomial(invited, come / 100, spread / 100 / NINE_IN_TEN);

/** A chance that differs from certainty by rounding only is certain. */
const sure = (chance: number): number => (chance > 1 - 1e-9 ? 1 : chance);

/** How many of the invited come: the middle, and nine in ten between; and how likely all of them have a seat. */
export function coming(
  invited: number,
  come: number,
  spread = 0,
  seats = Infinity,
): { middle: number; low: number; high: number; seated: number } {
  const pmf = comingPmf(invited, come, spread);
  return {
    middle: quantile(pmf, 0.5),
    low: quantile(pmf, 0.05),
    high: quantile(pmf, 0.95),
    seated: seats === Infinity ? 1 : sure(atMost(pmf, Math.floor(seats / PEOPLE))),
  };
}

const BANDS = Object.keys(AGE_BANDS) as AgeBand[];

/**
 * Groups of families that read one language and are near in grade, none larger than a table. Of each language so many
 * families are expected as its share of the invited; one family at least where any was invited.
 */
export function groupsOf(
  invited: readonly Invited[],
  come: number,
  mostPeople: number,
): EveningPlan['groups'] {
  const families = Math.max(1, Math.floor(mostPeople / PEOPLE));
  const groups: EveningPlan['groups'] = [];
  for (const language of new Set(invited.map((one) => one.language))) {
    const mine = invited.filter((one) => one.language === language && one.families > 0);
    const all = mine.reduce((sum, one) => sum + one.families, 0);
    if (all === 0) continue;
    const expected = Math.max(1, Math.round((all * come) / 100));
    // In the order of grades, so that a group is of one age as far as can be.
    const row = mine
      .slice()
      .sort((a, b) => LEVEL_OF[a.band] - LEVEL_OF[b.band])
      .flatMap(({ band, families: n }) => Array.from({ length: n }, () => band));
    const seated = Array.from({ length: expected }, (_, i) => row[Math.floor((i * row.length) / expected)]!);
    const count = Math.ceil(seated.length / families);
    for (let i = 0; i < count; i++) {
      const part = seated.slice(
        Math.round((i * seated.length) / count),
        Math.round(((i + 1) * seated.length) / count),
      );
      const level = part.reduce((sum, band) => sum + LEVEL_OF[band], 0) / part.length;
      groups.push({
        id: count > 1 ? `${aboutLanguage(language).name} ${i + 1}` : aboutLanguage(language).name,
        size: part.length * PEOPLE,
        languages: [language],
        band: BANDS[Math.round(level)]!,
      });
    }
  }
  return groups;
}

/** Helpers as they are written down: a line for each, "Tobin: English, Spanish". */
export function readHelpers(
  written: string,
): { ok: true; helpers: EveningPlan['helpers'] } | { ok: false; problem: string } {
  const helpers: EveningPlan['helpers'] = [];
  for (const line of written.split('\n').map((one) => one.trim())) {
    if (line === '') continue;
    const colon = line.search(/[:：]/);
    const [name, spoken] = colon < 0 ? [line, ''] : [line.slice(0, colon), line.slice(colon + 1)];
    const id = name.trim();
    if (id === '' || id.length > 60)
      return { ok: false, problem: `“${line.slice(0, 40)}”: write a name, a colon, and the languages.` };
    if (helpers.some((one) => one.id === id)) return { ok: false, problem: `${id} stands there twice.` };
    const tags: Language[] = [];
    for (const one of spoken
      .split(/[,;،、]/)
      .map((part) => part.trim())
      .filter(Boolean)) {
      const known = languageNamed(one);
      if (!known) return { ok: false, problem: `“${one.slice(0, 40)}” is no language that is known here.` };
      tags.push(known.tag);
    }
    helpers.push({ id, languages: [...new Set(tags)] });
  }
  return helpers.length > MOST.helpers
    ? { ok: false, problem: `There is room for ${MOST.helpers} helpers.` }
    : { ok: true, helpers };
}
export const writeHelpers = (helpers: EveningPlan['helpers']): string =>
  helpers
    .map(({ id, languages: tags }) => `${id}: ${tags.map((tag) => aboutLanguage(tag).name).join(', ')}`)
    .join('\n');

/** Which helper has rehearsed which game. */
export interface Rehearsed {
  helper: string;
  gameId: string;
}
const sameName = (a: string, b: string): boolean => searchable(a) === searchable(b);
/** The games a helper of a plan has rehearsed. */
export const rehearsedBy = (rehearsed: readonly Rehearsed[], helper: string): string[] =>
  rehearsed.filter((one) => sameName(one.helper, helper)).map(({ gameId }) => gameId);

/** What is asked of the rotation; pins of what is not there any more count no longer. */
export const askedOf = (
  { rounds, tables, groups, helpers, pins, hosts }: EveningPlan,
  rehearsed: readonly Rehearsed[] = [],
): EveningAsked => ({
  rehearsed: tables.flatMap(({ id, game: stands }) =>
    helpers
      .filter((helper) => stands && rehearsedBy(rehearsed, helper.id).includes(stands.gameId))
      .map((helper) => ({ table: id, helper: helper.id })),
  ),
  rounds,
  tables: tables.map(({ id, seats }) => ({ id, seats })),
  groups: groups.map(({ id, size, languages: tags }) => ({ id, size, languages: tags })),
  helpers,
  pins: pins.filter(
    ({ group, table, round }) =>
      round <= rounds && groups.some(({ id }) => id === group) && tables.some(({ id }) => id === table),
  ),
  hosts: hosts.filter(
    ({ table, helper }) => tables.some(({ id }) => id === table) && helpers.some(({ id }) => id === helper),
  ),
});

/** A seat is held: the group plays at this table in this round, and what stood against it gives way. */
export const withPin = (plan: EveningPlan, pin: EveningPlan['pins'][number]): Pick<EveningPlan, 'pins'> => ({
  pins: [
    ...plan.pins.filter(
      ({ group, round, table }) => group !== pin.group || (round !== pin.round && table !== pin.table),
    ),
    pin,
  ],
});

/** Two groups change places in a round, and both are held there. */
export function swapped(
  plan: EveningPlan,
  rotation: Rotation,
  { round, group, with: other }: { round: number; group: string; with: string },
): Pick<EveningPlan, 'pins'> | undefined {
  const at = (id: string) =>
    rotation.plan.find((one) => one.round === round && one.groups.includes(id))?.table;
  const [mine, theirs] = [at(group), at(other)];
  if (mine === undefined || theirs === undefined || mine === theirs) return undefined;
  const first = { ...plan, ...withPin(plan, { group, round, table: theirs }) };
  return withPin(first, { group: other, round, table: mine });
}

/** The rounds go on by one: what was second is first, what was first comes last; hosts and tables stay. */
export const turned = (plan: EveningPlan, rotation: Rotation): Pick<EveningPlan, 'pins' | 'hosts'> => ({
  pins: rotation.plan.flatMap(({ round, table, groups }) =>
    groups.map((group) => ({ group, table, round: round === 1 ? plan.rounds : round - 1 })),
  ),
  hosts: rotation.hosts.map(({ table, helper }) => ({ table, helper })),
});

/** A plan for the next evening, from one that was held: who is asked and what stands at the tables; nobody is seated yet. */
export const startFrom = ({ pins: _pins, hosts: _hosts, ...plan }: EveningPlan): EveningPlan => ({
  ...plan,
  pins: [],
  hosts: [],
});

/** What came of solving a plan. */
export type Solved =
  | { rotation: Rotation; help?: Help; why?: undefined }
  | { rotation?: undefined; help?: undefined; why: string };

/** What cannot be had, and what would help, each in a sentence. */
export function shortfalls(plan: EveningPlan, rotation: Rotation, help?: Help): string[] {
  const missing: string[] = [];
  const spoken = new Set(plan.helpers.flatMap(({ languages: tags }) => tags));
  const read = [...new Set(plan.groups.flatMap(({ languages: tags }) => tags))];
  const unheard = read.filter((tag) => !spoken.has(tag));
  if (unheard.length)
    missing.push(
      `No helper speaks ${listed(unheard.map((tag) => aboutLanguage(tag).name))}: ask one who does, or print the host’s card in it.`,
    );
  if (help)
    missing.push(
      `One more helper who speaks ${aboutLanguage(help.language).name} would help most: ${help.heard} of ${rotation.of} would hear their language, instead of ${rotation.heard}.`,
    );
  const hostOf = new Map(
    rotation.hosts.map(({ table, helper }) => [table, plan.helpers.find(({ id }) => id === helper)]),
  );
  for (const { id, languages: tags } of plan.groups) {
    if (!tags.some((tag) => spoken.has(tag))) continue;
    const rounds = rotation.plan
      .filter(
        ({ groups, table }) =>
          groups.includes(id) && !hostOf.get(table)?.languages.some((tag) => tags.includes(tag)),
      )
      .map(({ round }) => round);
    if (rounds.length)
      missing.push(
        `${id}: nobody at the table speaks ${listed(tags.map((tag) => aboutLanguage(tag).name))} in round ${listed(rounds.map(String))}.`,
      );
  }
  const empty = plan.tables.filter(({ id }) => !rotation.hosts.some(({ table }) => table === id));
  if (empty.length)
    missing.push(
      `${listed(empty.map(({ id }) => id))} ${empty.length === 1 ? 'has' : 'have'} no host: ${empty.length === 1 ? 'one more helper' : `${empty.length} more helpers`} would fill ${empty.length === 1 ? 'it' : 'them'}.`,
    );
  if (rotation.bound !== undefined)
    missing.push(
      `There was no time to prove that nothing better can be: ${rotation.bound} of ${rotation.of} at the most.`,
    );
  return missing;
}

/** When each round begins and ends, as minutes after midnight. */
export function timesOf(
  { startsAt }: Pick<When, 'startsAt'>,
  plan: EveningPlan,
): { from: number; to: number }[] {
  const [hours = 0, minutes = 0] = startsAt.split(':').map(Number);
  const step = plan.roundMinutes + plan.changeMinutes;
  return Array.from({ length: plan.rounds }, (_, i) => {
    const from = hours * 60 + minutes + i * step;
    return { from, to: from + plan.roundMinutes };
  });
}
/** "5:30 PM", from minutes after midnight. */
export const clockTime = (minutes: number): string => {
  const of = ((Math.floor(minutes / 60) + 11) % 12) + 1;
  return `${of}:${String(minutes % 60).padStart(2, '0')} ${minutes % 1440 < 720 ? 'AM' : 'PM'}`;
};
