import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { oneMoreHelper, unheard } from './help';
import { evening, type EveningAsked, type Rotation } from './rotation';

const LANGUAGES = ['en', 'es', 'ar', 'pt'];
const some = fc.subarray(LANGUAGES, { minLength: 1, maxLength: 2 });

/** What must be true of every plan; what is heard is counted anew. */
function holds(asked: EveningAsked, { plan, hosts, heard, of }: Rotation): void {
  const { groups, tables, rounds, helpers } = asked;
  for (const { id } of groups) {
    const at = plan.filter((one) => one.groups.includes(id));
    expect(at.map(({ round }) => round).sort((a, b) => a - b)).toEqual(
      Array.from({ length: rounds }, (_, i) => i + 1),
    );
    expect(new Set(at.map(({ table }) => table)).size).toBe(rounds);
  }
  for (const { table, groups: here } of plan) {
    const people = here.reduce((sum, id) => sum + groups.find((one) => one.id === id)!.size, 0);
    expect(people).toBeLessThanOrEqual(tables.find(({ id }) => id === table)!.seats);
  }
  expect(new Set(hosts.map(({ table }) => table)).size).toBe(hosts.length);
  expect(new Set(hosts.map(({ helper }) => helper)).size).toBe(hosts.length);
  const counted = plan.flatMap(({ table, groups: here }) => {
    const helper = helpers.find(({ id }) => id === hosts.find((one) => one.table === table)?.helper);
    return here.filter((id) =>
      helper?.languages.some((one) => groups.find((g) => g.id === id)!.languages.includes(one)),
    );
  });
  expect(heard).toBe(counted.length);
  expect(of).toBe(groups.length * rounds);
}

/** The most that can be heard, by trying everything. */
function byTrying({ groups, tables, rounds, helpers }: EveningAsked): number | undefined {
  let best: number | undefined;
  const hosts: (number | undefined)[] = tables.map(() => undefined);
  const speaks = (g: number, t: number): boolean => {
    const h = hosts[t];
    return h !== undefined && helpers[h]!.languages.some((one) => groups[g]!.languages.includes(one));
  };
  const used = Array.from({ length: rounds }, () => tables.map(() => 0));
  const seat = (g: number, r: number, been: Set<number>, heard: number): void => {
    if (g === groups.length) {
      best = Math.max(best ?? 0, heard);
      return;
    }
    if (r === rounds) {
      seat(g + 1, 0, new Set(), heard);
      return;
    }
    tables.forEach(({ seats }, t) => {
      const { size } = groups[g]!;
      if (been.has(t) || used[r]![t]! + size > seats) return;
      used[r]![t]! += size;
      seat(g, r + 1, new Set([...been, t]), heard + (speaks(g, t) ? 1 : 0));
      used[r]![t]! -= size;
    });
  };
  const choose = (t: number, free: number[]): void => {
    if (t === tables.length) {
      seat(0, 0, new Set(), 0);
      return;
    }
    hosts[t] = undefined;
    choose(t + 1, free);
    for (const h of free) {
      hosts[t] = h;
      choose(
        t + 1,
        free.filter((one) => one !== h),
      );
    }
    hosts[t] = undefined;
  };
  choose(
    0,
    helpers.map((_, h) => h),
  );
  return best;
}

const small = fc
  .record({
    groups: fc.array(fc.record({ size: fc.integer({ min: 1, max: 4 }), languages: some }), {
      minLength: 1,
      maxLength: 3,
    }),
    tables: fc.array(fc.record({ seats: fc.integer({ min: 2, max: 7 }) }), { minLength: 1, maxLength: 3 }),
    rounds: fc.integer({ min: 1, max: 3 }),
    helpers: fc.array(fc.record({ languages: some }), { maxLength: 3 }),
  })
  .map(({ groups, tables, helpers, rounds }): EveningAsked => ({
    groups: groups.map((one, i) => ({ id: `g${i}`, ...one })),
    tables: tables.map((one, i) => ({ id: `t${i}`, ...one })),
    helpers: helpers.map((one, i) => ({ id: `h${i}`, ...one })),
    rounds,
  }));

describe('the rotation of an evening', () => {
  it('is never beaten by trying everything, and refuses only what cannot be', async () => {
    let planned = 0;
    await fc.assert(
      fc.asyncProperty(small, async (asked) => {
        const best = byTrying(asked);
        const found = await evening(asked).catch((error: unknown) => {
          expect(error).toBeInstanceOf(RangeError);
          expect((error as RangeError).message).toMatch(/^[A-Z0-9].*\.$/);
          return undefined;
        });
        expect(found?.heard).toBe(best);
        expect(found?.bound).toBeUndefined();
        if (!found) return;
        planned++;
        holds(asked, found);
      }),
      { numRuns: 80 },
    );
    expect(planned).toBeGreaterThan(15);
  }, 300_000);

  it('lets every group hear its language where there are hosts enough', async () => {
    const asked: EveningAsked = {
      rounds: 3,
      tables: Array.from({ length: 6 }, (_, i) => ({ id: `t${i}`, seats: 8 })),
      groups: Array.from({ length: 9 }, (_, i) => ({
        id: `g${i}`,
        size: 4,
        languages: [i < 6 ? 'en' : 'es'],
      })),
      helpers: Array.from({ length: 6 }, (_, i) => ({
        id: `h${i}`,
        languages: i < 3 ? ['en'] : ['en', 'es'],
      })),
    };
    const found = await evening(asked);
    holds(asked, found);
    expect([found.heard, found.of]).toEqual([27, 27]);
  });

  it('of a whole school is there in seconds: twelve groups, eight tables, five rounds', async () => {
    const asked: EveningAsked = {
      rounds: 5,
      tables: Array.from({ length: 8 }, (_, i) => ({ id: `t${i}`, seats: 10 })),
      groups: Array.from({ length: 12 }, (_, i) => ({
        id: `g${i}`,
        size: 3 + (i % 3),
        languages: [LANGUAGES[i % 4]!],
      })),
      helpers: Array.from({ length: 7 }, (_, i) => ({ id: `h${i}`, languages: ['en', LANGUAGES[i % 4]!] })),
    };
    const found = await evening(asked, 10);
    holds(asked, found);
    expect(found.heard).toBe(30);
    expect(found.bound).toBeUndefined();
  }, 300_000);

  it('keeps what is pinned, and who hosts', async () => {
    const asked: EveningAsked = {
      rounds: 2,
      tables: ['a', 'b', 'c'].map((id) => ({ id, seats: 6 })),
      groups: ['x', 'y'].map((id) => ({ id, size: 3, languages: ['pt'] })),
      helpers: [
        { id: 'one', languages: ['pt'] },
        { id: 'two', languages: ['en'] },
      ],
      pins: [{ group: 'x', table: 'c', round: 1 }],
      hosts: [{ table: 'b', helper: 'one' }],
    };
    const found = await evening(asked);
    holds(asked, found);
    expect(found.plan).toContainEqual(
      expect.objectContaining({ round: 1, table: 'c', groups: expect.arrayContaining(['x']) as string[] }),
    );
    expect(found.hosts).toContainEqual({ table: 'b', helper: 'one' });
    expect(found.heard).toBe(2);
  });

  it.each([
    [{ rounds: 3 }, /3 rounds and 2 tables/],
    [
      {
        groups: [
          { id: 'x', size: 9, languages: ['en'] },
          { id: 'y', size: 9, languages: ['en'] },
        ],
      },
      /18 people come, and there are 12 seats/,
    ],
    [
      { groups: [{ id: 'x', size: 7, languages: [] }] },
      /The group x of 7 fits at 0 tables, and there are 2 rounds/,
    ],
    [
      {
        groups: [
          { id: 'x', size: 1, languages: [] },
          { id: 'x', size: 1, languages: [] },
        ],
      },
      /id of its own: x/,
    ],
    [{ pins: [{ group: 'z', table: 'a', round: 1 }] }, /no group z/],
    [{ pins: [{ group: 'x', table: 'a', round: 4 }] }, /no round 4/],
    [{ hosts: [{ table: 'a', helper: 'nobody' }] }, /no helper nobody/],
    // Each fits alone, and not both: 4 and 4 at a table of 6, twice.
    [{ groups: ['x', 'y', 'z'].map((id) => ({ id, size: 4, languages: [] })) }, /cannot be seated/],
  ])('refuses with the reason what cannot be: %j', async (change, why) => {
    const asked = {
      rounds: 2,
      tables: [
        { id: 'a', seats: 6 },
        { id: 'b', seats: 6 },
      ],
      groups: [{ id: 'x', size: 2, languages: ['en'] }],
      helpers: [],
      ...change,
    } as EveningAsked;
    await expect(evening(asked)).rejects.toThrow(why);
  });

  it('of nobody is empty', async () => {
    expect(await evening({ groups: [], tables: [], rounds: 1, helpers: [] })).toEqual({
      plan: [],
      hosts: [],
      heard: 0,
      of: 0,
    });
  });
});

describe('hosts', () => {
  const asked: EveningAsked = {
    rounds: 2,
    groups: ['A', 'B', 'C'].map((id) => ({ id, size: 3, languages: ['en'] })),
    tables: ['T1', 'T2', 'T3'].map((id) => ({ id, seats: 6 })),
    helpers: ['H1', 'H2', 'H3'].map((id) => ({ id, languages: ['en'] })),
  };
  const hostOf = ({ hosts }: Rotation, table: string) => hosts.find((one) => one.table === table)?.helper;

  it('stand at the tables whose games they have rehearsed, where nobody hears less for it', async () => {
    const rehearsed = [
      { table: 'T1', helper: 'H3' },
      { table: 'T2', helper: 'H1' },
    ];
    const found = await evening({ ...asked, rehearsed });
    expect([hostOf(found, 'T1'), hostOf(found, 'T2'), hostOf(found, 'T3')]).toEqual(['H3', 'H1', 'H2']);
    expect(found.heard).toBe(6);
  });

  it('are where they are understood before they are where they have rehearsed', async () => {
    const two: EveningAsked = {
      rounds: 1,
      groups: [{ id: 'A', size: 5, languages: ['ar'] }],
      tables: [
        { id: 'T1', seats: 5 },
        { id: 'T2', seats: 4 },
      ],
      helpers: [
        { id: 'H1', languages: ['ar'] },
        { id: 'H2', languages: ['en'] },
      ],
      rehearsed: [
        { table: 'T2', helper: 'H1' },
        { table: 'T1', helper: 'H2' },
      ],
    };
    const found = await evening(two);
    expect(hostOf(found, 'T1')).toBe('H1');
    expect(found.heard).toBe(1);
  });

  it('stand at every table while there are enough of them', async () => {
    const mute = await evening({
      ...asked,
      helpers: asked.helpers.map(({ id }) => ({ id, languages: ['pt'] })),
    });
    expect(mute.heard).toBe(0);
    expect(mute.hosts).toHaveLength(3);
  });
});

describe('what would help', () => {
  const asked: EveningAsked = {
    rounds: 2,
    groups: [
      { id: 'A', size: 3, languages: ['ar'] },
      { id: 'B', size: 3, languages: ['ar'] },
      { id: 'C', size: 3, languages: ['en'] },
    ],
    tables: ['T1', 'T2', 'T3'].map((id) => ({ id, seats: 6 })),
    helpers: [{ id: 'H1', languages: ['en'] }],
  };

  it('is one more helper of the language that is heard least, and really helps as much', async () => {
    const found = await evening(asked);
    expect(unheard(asked, found).get('ar')).toBe(4);
    const help = (await oneMoreHelper(asked, found, 5))!;
    expect(help.language).toBe('ar');
    const better = await evening({
      ...asked,
      helpers: [...asked.helpers, { id: 'H2', languages: ['ar'] }],
    });
    expect(help.heard).toBe(better.heard);
    expect(help.heard).toBeGreaterThan(found.heard);
  });

  it('is nothing where everybody is heard, or where no table is left for anybody', async () => {
    const all = { ...asked, helpers: ['H1', 'H2', 'H3'].map((id) => ({ id, languages: ['ar', 'en'] })) };
    expect(await oneMoreHelper(all, await evening(all), 5)).toBeUndefined();
    const settled: EveningAsked = {
      ...asked,
      helpers: ['H1', 'H2', 'H3'].map((id) => ({ id, languages: ['en'] })),
      hosts: ['1', '2', '3'].map((n) => ({ table: `T${n}`, helper: `H${n}` })),
    };
    expect(await oneMoreHelper(settled, await evening(settled), 5)).toBeUndefined();
  });
});
