/**
 * An evening of tables, rounds and hosts: which group plays at which table in which round, and who hosts it. Every
 * group is somewhere in every round and nowhere twice; nobody stands; as many groups as possible hear their language.
 * Exact, by whole numbers (HiGHS): hosts first against what could be heard at most, then who plays where; where the two
 * differ, both together.
 */
import { Type, type Static } from '@sinclair/typebox';
import { sharedId } from '~/core/check/ids';
import { Whole } from '~/core/check/schema';
import { solveFor, valueOf, type Condition, type Terms } from '~/core/solver/milp';
import { count } from '~/core/words/numbers';

const name = (title: string) => Type.String({ minLength: 1, maxLength: 80, title });
const languages = Type.Array(name('Language'), { maxItems: 40, title: 'Languages' });
const closed = { additionalProperties: false } as const;

export const eveningSchema = Type.Object(
  {
    groups: Type.Array(
      Type.Object(
        { id: name('Group'), size: Whole(1, 1000, { title: 'Size of a group' }), languages },
        closed,
      ),
      { maxItems: 60, title: 'Groups' },
    ),
    tables: Type.Array(
      Type.Object({ id: name('Table'), seats: Whole(1, 1000, { title: 'Seats of a table' }) }, closed),
      { maxItems: 40, title: 'Tables' },
    ),
    rounds: Whole(1, 20, { title: 'Rounds' }),
    helpers: Type.Array(Type.Object({ id: name('Helper'), languages }, closed), {
      maxItems: 60,
      title: 'Helpers',
    }),
    /** Held as they are: a group at a table in a round, a helper at a table. */
    pins: Type.Optional(
      Type.Array(
        Type.Object(
          { group: name('Group'), table: name('Table'), round: Whole(1, 20, { title: 'Round' }) },
          closed,
        ),
        { maxItems: 500, title: 'Pins' },
      ),
    ),
    hosts: Type.Optional(
      Type.Array(Type.Object({ table: name('Table'), helper: name('Helper') }, closed), {
        maxItems: 60,
        title: 'Hosts that are settled',
      }),
    ),
    /** Helpers who have rehearsed the game of a table: of equal plans they host it. */
    rehearsed: Type.Optional(
      Type.Array(Type.Object({ table: name('Table'), helper: name('Helper') }, closed), {
        maxItems: 2400,
        title: 'What helpers have rehearsed',
      }),
    ),
  },
  closed,
);
export type EveningAsked = Static<typeof eveningSchema>;

export interface Rotation {
  /** Rounds are counted from 1; tables at which nobody plays in a round are left out. */
  plan: { round: number; table: string; groups: string[] }[];
  hosts: { table: string; helper: string }[];
  /** Pairs of a group and a round in which the host speaks a language of the group; of how many. */
  heard: number;
  of: number;
  /** No plan can be better than this; left out where the plan is the best there is. */
  bound?: number;
}

const speaks = (a: readonly string[], b: readonly string[]): boolean => a.some((one) => b.includes(one));

/** Why no plan can be, in a sentence; undefined where nothing speaks against it at first sight. */
function refusal({
  groups,
  tables,
  rounds,
  helpers,
  pins = [],
  hosts = [],
}: EveningAsked): string | undefined {
  for (const [what, list] of [
    ['group', groups],
    ['table', tables],
    ['helper', helpers],
  ] as const) {
    const shared = sharedId(what, list);
    if (shared) return shared;
  }
  if (groups.length === 0) return undefined;
  if (rounds > tables.length)
    return `There are ${count(rounds, 'round')} and ${count(tables.length, 'table')}: no group could be at another table every time.`;
  const people = groups.reduce((sum, { size }) => sum + size, 0);
  const seats = tables.reduce((sum, one) => sum + one.seats, 0);
  if (people > seats)
    return `${count(people, 'person comes', 'people come')}, and there ${seats === 1 ? 'is' : 'are'} ${count(seats, 'seat')}.`;
  for (const { id, size } of groups) {
    const fits = tables.filter((one) => one.seats >= size).length;
    if (fits < rounds)
      return `The group ${id} of ${size} fits at ${count(fits, 'table')}, and there ${rounds === 1 ? 'is' : 'are'} ${count(rounds, 'round')}.`;
  }
  for (const { group, table, round } of pins) {
    if (!groups.some(({ id }) => id === group)) return `There is no group ${group}.`;
    if (!tables.some(({ id }) => id === table)) return `There is no table ${table}.`;
    if (round > rounds) return `There is no round ${round}.`;
  }
  for (const { table, helper } of hosts) {
    if (!tables.some(({ id }) => id === table)) return `There is no table ${table}.`;
    if (!helpers.some(({ id }) => id === helper)) return `There is no helper ${helper}.`;
  }
  return undefined;
}

const terms = (...list: readonly (readonly [string, number])[]): Terms => new Map(list);
const host = (t: number, h: number): string => `host ${t} ${h}`;
const sits = (g: number, t: number, r: number): string => `sits ${g} ${t} ${r}`;

/**
 * What a host adds to a plan besides being understood: one point, and one more where the game was rehearsed. A pair
 * that is heard counts for more than all of it.
 */
function hostPoints({ tables, helpers, rehearsed = [] }: EveningAsked): {
  points: Map<string, number>;
  heard: number;
} {
  const points = new Map<string, number>();
  tables.forEach((table, t) =>
    helpers.forEach((helper, h) =>
      points.set(
        host(t, h),
        1 + Number(rehearsed.some((one) => one.table === table.id && one.helper === helper.id)),
      ),
    ),
  );
  return { points, heard: 2 * tables.length + 1 };
}

/** Every table has at most one helper, every helper at most one table; those that are settled stay. */
function hosting({ tables, helpers, hosts = [] }: EveningAsked): {
  whole: Map<string, number>;
  conditions: Condition[];
} {
  const whole = new Map<string, number>();
  tables.forEach((_, t) => helpers.forEach((_, h) => whole.set(host(t, h), 1)));
  const conditions: Condition[] = [
    ...tables.map((_, t): Condition => ({
      terms: terms(...helpers.map((_, h) => [host(t, h), 1] as const)),
      is: '<=',
      bound: 1,
    })),
    ...helpers.map((_, h): Condition => ({
      terms: terms(...tables.map((_, t) => [host(t, h), 1] as const)),
      is: '<=',
      bound: 1,
    })),
    ...hosts.map(({ table, helper }): Condition => {
      const t = tables.findIndex(({ id }) => id === table);
      const h = helpers.findIndex(({ id }) => id === helper);
      return { terms: terms([host(t, h), 1]), is: '=', bound: 1 };
    }),
  ];
  return { whole, conditions };
}

/** Who sits where: every group once in each round, at no table twice, within the seats; pins stay. */
function seating({ groups, tables, rounds, pins = [] }: EveningAsked): {
  whole: Map<string, number>;
  conditions: Condition[];
} {
  const whole = new Map<string, number>();
  const conditions: Condition[] = [];
  const all = Array.from({ length: rounds }, (_, r) => r);
  groups.forEach(({ size }, g) => {
    tables.forEach(({ seats }, t) => all.forEach((r) => whole.set(sits(g, t, r), size <= seats ? 1 : 0)));
    for (const r of all)
      conditions.push({
        terms: terms(...tables.map((_, t) => [sits(g, t, r), 1] as const)),
        is: '=',
        bound: 1,
      });
    tables.forEach((_, t) =>
      conditions.push({ terms: terms(...all.map((r) => [sits(g, t, r), 1] as const)), is: '<=', bound: 1 }),
    );
  });
  tables.forEach(({ seats }, t) =>
    all.forEach((r) =>
      conditions.push({
        terms: terms(...groups.map(({ size }, g) => [sits(g, t, r), size] as const)),
        is: '<=',
        bound: seats,
      }),
    ),
  );
  for (const { group, table, round } of pins)
    conditions.push({
      terms: terms([
        sits(
          groups.findIndex(({ id }) => id === group),
          tables.findIndex(({ id }) => id === table),
          round - 1,
        ),
        1,
      ]),
      is: '=',
      bound: 1,
    });
  // Rounds are alike while nothing is pinned: the first group goes through the tables in their order.
  if (pins.length === 0)
    for (const r of all.slice(1))
      conditions.push({
        terms: terms(
          ...tables.flatMap((_, t) => [[sits(0, t, r), t] as const, [sits(0, t, r - 1), -t] as const]),
        ),
        is: '>=',
        bound: 1,
      });
  return { whole, conditions };
}

/** The most that could be heard if the seats of all rounds were one: hosts, and which tables each group visits. */
async function hostsFirst(
  asked: EveningAsked,
  seconds: number,
): Promise<{ bound: number; hostOf: number[] } | undefined> {
  const { groups, tables, rounds, helpers } = asked;
  const { whole, conditions } = hosting(asked);
  const visits = (g: number, t: number): string => `visits ${g} ${t}`;
  const hears = (g: number, t: number): string => `hears ${g} ${t}`;
  const { points, heard } = hostPoints(asked);
  const aim = new Map(points);
  groups.forEach(({ size, languages: mine }, g) => {
    tables.forEach(({ seats }, t) => {
      whole.set(visits(g, t), size <= seats ? 1 : 0).set(hears(g, t), 1);
      aim.set(hears(g, t), heard);
      conditions.push(
        { terms: terms([hears(g, t), 1], [visits(g, t), -1]), is: '<=', bound: 0 },
        {
          terms: terms(
            [hears(g, t), 1],
            ...helpers.flatMap(({ languages: theirs }, h) =>
              speaks(mine, theirs) ? [[host(t, h), -1] as const] : [],
            ),
          ),
          is: '<=',
          bound: 0,
        },
      );
    });
    conditions.push({
      terms: terms(...tables.map((_, t) => [visits(g, t), 1] as const)),
      is: '=',
      bound: rounds,
    });
  });
  tables.forEach(({ seats }, t) =>
    conditions.push({
      terms: terms(...groups.map(({ size }, g) => [visits(g, t), size] as const)),
      is: '<=',
      bound: seats * rounds,
    }),
  );
  const solved = await solveFor({ direction: 'max', aim, conditions, whole }, seconds);
  if (solved.status === 'infeasible') return undefined;
  const { values } = solved;
  return {
    // Unproved, nothing better is known than that everybody hears their language every time.
    bound: solved.status === 'optimal' ? Math.floor(solved.aim / heard + 1e-6) : groups.length * rounds,
    hostOf: tables.map((_, t) => helpers.findIndex((_, h) => values?.get(host(t, h)) === 1)),
  };
}

/** Both together; undefined where the best cannot be proved in time. Whether it is the best is said. */
async function together(asked: EveningAsked, seconds: number) {
  const { groups, tables, rounds, helpers } = asked;
  const seats = seating(asked);
  const { whole, conditions } = hosting(asked);
  const { points, heard } = hostPoints(asked);
  const aim = new Map(points);
  for (const [id, most] of seats.whole) whole.set(id, most);
  conditions.push(...seats.conditions);
  groups.forEach(({ languages: mine }, g) =>
    tables.forEach((_, t) =>
      Array.from({ length: rounds }, (_, r) => {
        const hears = `hears ${g} ${t} ${r}`;
        whole.set(hears, 1);
        aim.set(hears, heard);
        conditions.push(
          { terms: terms([hears, 1], [sits(g, t, r), -1]), is: '<=', bound: 0 },
          {
            terms: terms(
              [hears, 1],
              ...helpers.flatMap(({ languages: theirs }, h) =>
                speaks(mine, theirs) ? [[host(t, h), -1] as const] : [],
              ),
            ),
            is: '<=',
            bound: 0,
          },
        );
      }),
    ),
  );
  const solved = await solveFor({ direction: 'max', aim, conditions, whole }, seconds);
  return solved.status === 'optimal'
    ? { hostOf: tables.map((_, t) => helpers.findIndex((_, h) => solved.values.get(host(t, h)) === 1)) }
    : undefined;
}

/**
 * A plan without a solver, for where the time is over: groups are put into as many bunches as there are tables, the
 * large ones first, and the bunches go round. Undefined where a bunch is too large for a table it comes to.
 */
function roundabout({ groups, tables, rounds, pins = [] }: EveningAsked): Map<string, number> | undefined {
  if (pins.length) return undefined;
  const bunches = tables.map(() => ({ size: 0, groups: [] as number[] }));
  const bySize = groups.map(({ size }, g) => ({ size, g })).sort((a, b) => b.size - a.size);
  for (const { size, g } of bySize) {
    const least = bunches.reduce((best, one) => (one.size < best.size ? one : best));
    least.size += size;
    least.groups.push(g);
  }
  const values = new Map<string, number>();
  for (let r = 0; r < rounds; r++)
    for (const [i, bunch] of bunches.entries()) {
      const t = (i + r) % tables.length;
      if (bunch.size > tables[t]!.seats) return undefined;
      for (const g of bunch.groups) values.set(sits(g, t, r), 1);
    }
  return values;
}

/** Each step may take so long. */
const SECONDS = 15;

/** The rotation of an evening. Throws RangeError, with the reason in a sentence, for what cannot be. */
export async function evening(asked: EveningAsked, seconds = SECONDS): Promise<Rotation> {
  const why = refusal(asked);
  if (why) throw new RangeError(why);
  const { groups, tables, rounds, helpers } = asked;
  if (groups.length === 0) return { plan: [], hosts: [], heard: 0, of: 0 };
  const first = await hostsFirst(asked, seconds);
  const cannot = new RangeError(
    'The groups cannot be seated so that each is at another table in every round: more seats at a table, another table, or one round less would help.',
  );
  if (!first) throw cannot;
  const seated = async (hostOf: readonly number[]) => {
    const { whole, conditions } = seating(asked);
    const aim = new Map<string, number>();
    groups.forEach(({ languages: mine }, g) =>
      tables.forEach((_, t) => {
        const helper = helpers[hostOf[t]!];
        if (helper && speaks(mine, helper.languages))
          for (let r = 0; r < rounds; r++) aim.set(sits(g, t, r), 1);
      }),
    );
    const found = await solveFor({ direction: 'max', aim, conditions, whole }, seconds);
    if (found.status === 'infeasible') throw cannot;
    if (found.status === 'optimal') return { values: found.values, heard: found.aim, best: true };
    const values = found.values ?? roundabout(asked);
    if (!values)
      throw new RangeError(
        'This evening is too large to be planned in time: fewer groups, tables or rounds at once would help.',
      );
    return { values, heard: valueOf(aim, values), best: false };
  };
  let { hostOf } = first;
  let { values, heard, best } = await seated(hostOf);
  let bound: number | undefined;
  if (heard < first.bound - 1e-6) {
    // Other hosts may seat better.
    const both = best ? await together(asked, seconds) : undefined;
    if (both) {
      ({ hostOf } = both);
      ({ values, heard, best } = await seated(hostOf));
      if (!best) bound = first.bound;
    } else bound = first.bound;
  }
  return {
    plan: Array.from({ length: rounds }, (_, r) =>
      tables.map(({ id }, t) => ({
        round: r + 1,
        table: id,
        groups: groups.filter((_, g) => values.get(sits(g, t, r)) === 1).map((group) => group.id),
      })),
    )
      .flat()
      .filter((one) => one.groups.length > 0),
    hosts: tables.flatMap(({ id }, t) =>
      hostOf[t]! >= 0 ? [{ table: id, helper: helpers[hostOf[t]!]!.id }] : [],
    ),
    heard,
    of: groups.length * rounds,
    ...(bound === undefined ? {} : { bound }),
  };
}
