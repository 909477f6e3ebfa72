import { beforeEach, describe, expect, it } from 'vitest';
import { emptyPlan } from '~/core/evening/plan';
import { SHIPPED } from '~/core/materials/school';
import { countBack, createEvening, findEvening, removeEvening, saveEvening } from '~/data/queries/evenings';
import { countStock, freeNow, listMoves, onHandNow, reservedNow } from '~/data/queries/store';
import { missingOf, partsFor, tableGame } from '~/server/evenings';
import { smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
const COUNTERS = 'two-colour-counter';
const me = () => world.people.coordinator.id;

const plan = {
  ...emptyPlan({ name: 'x', startsAt: '17:30', rounds: 2, roundMinutes: 12, changeMinutes: 3 }),
  groups: [{ id: 'A', size: 6, languages: ['en'], band: 'K' as const }],
  tables: [
    { id: 'T1', seats: 6, game: tableGame('two-tone-spill 5-ordered')! },
    { id: 'T2', seats: 6, game: tableGame('two-tone-spill 5-ordered')! },
  ],
};
const parts = async (setAside: Record<string, number> | null = null) =>
  partsFor(world.at, { plan, rotation: undefined, setAside });
const evening = () =>
  createEvening(world.at, {
    name: 'Game night',
    onDay: '2026-12-03',
    startsAt: '17:30',
    plan,
    personId: me(),
  });
const stands = async (id: string) => (await findEvening(world.at, id))!;
const count = (counted: number) => countStock(world.at, [{ material: COUNTERS, counted }], me());

describe('the parts of an evening', () => {
  it('are bought where the store is short, and others do not take what is set aside', async () => {
    const { wanted } = await parts();
    const need = wanted[COUNTERS]!;
    expect(need).toBeGreaterThan(0);
    await count(need - 1);
    expect((await parts()).parts.find(({ material }) => material === COUNTERS)).toMatchObject({
      short: 1,
      packs: [expect.stringMatching(/^1 × /) as string],
      tables: ['T1', 'T2'],
    });
    await count(need + 10);
    const [id, other] = [await evening(), await evening()];
    expect(await saveEvening(world.at, id, 1, { setAside: wanted })).toBe(true);
    expect((await reservedNow(world.at))[COUNTERS]).toBe(need);
    expect((await freeNow(world.at))[COUNTERS]).toBe(10);
    // For itself it is there; for another evening it is not.
    expect((await parts(wanted)).parts.find(({ material }) => material === COUNTERS)!.short).toBe(0);
    expect((await parts()).parts.find(({ material }) => material === COUNTERS)!.short).toBe(need - 10);
    expect(await saveEvening(world.at, other, 1, { setAside: { [COUNTERS]: 4 } })).toBe(true);
    expect((await reservedNow(world.at))[COUNTERS]).toBe(need + 4);
    // A plan that is deleted has nothing spoken for.
    await removeEvening(world.at, other);
    expect((await reservedNow(world.at))[COUNTERS]).toBe(need);
  });

  it('are counted back once: what is missing leaves the store, the rest is free', async () => {
    await count(100);
    const id = await evening();
    await saveEvening(world.at, id, 1, { setAside: { [COUNTERS]: 30, cube: 5 } });
    const { version } = await stands(id);
    const missing = [
      { material: COUNTERS, pieces: 3, kind: 'lost' as const },
      // Nobody has counted these yet: they cannot become less.
      { material: 'cube', pieces: 1, kind: 'lost' as const },
    ];
    const both = await Promise.all([
      countBack(world.at, id, version, missing, me()),
      countBack(world.at, id, version, missing, me()),
    ]);
    expect(both.filter((one) => one === 'stale')).toHaveLength(1);
    expect(await onHandNow(world.at)).toMatchObject({ [COUNTERS]: 97, cube: null });
    expect(await reservedNow(world.at)).toEqual({});
    expect((await listMoves(world.at, COUNTERS))[0]).toMatchObject({
      kind: 'lost',
      quantity: -3,
      note: 'Game night',
    });
    expect(await countBack(world.at, id, (await stands(id)).version, missing, me())).toBe('stale');
  });

  it('are not counted back where the store would have less than nothing', async () => {
    await count(30);
    const id = await evening();
    await saveEvening(world.at, id, 1, { setAside: { [COUNTERS]: 30 } });
    await count(2);
    expect(
      await countBack(world.at, id, 2, [{ material: COUNTERS, pieces: 5, kind: 'lost' }], me()),
    ).toMatchObject({ ok: false, need: 5, onHand: 2 });
    expect((await stands(id)).setAside).toEqual({ [COUNTERS]: 30 });
    expect((await onHandNow(world.at))[COUNTERS]).toBe(2);
  });

  it('are read from what was typed, and what is used up is not lost', () => {
    const aside = { [COUNTERS]: 10, chalk: 4 };
    const typed = (back: Record<string, string>) => missingOf(aside, (one) => back[one] ?? '', SHIPPED);
    expect(typed({ [COUNTERS]: '10', chalk: '1' })).toEqual({
      ok: true,
      missing: [
        { material: COUNTERS, pieces: 0, kind: 'lost' },
        { material: 'chalk', pieces: 3, kind: 'worn' },
      ],
    });
    for (const wrong of ['', '-1', '11', '2.5', 'ten', 'NaN'])
      expect(typed({ [COUNTERS]: wrong, chalk: '1' })).toEqual({
        ok: false,
        errors: { [`back ${COUNTERS}`]: '10 were set aside: 0 to 10 can come back.' },
      });
  });
});
