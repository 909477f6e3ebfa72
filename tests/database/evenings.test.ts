import { beforeEach, describe, expect, it } from 'vitest';
import { emptyPlan } from '~/core/evening/plan';
import { ALL } from '~/core/lending/choices';
import { daysAfter } from '~/core/lending/due';
import type { Said } from '~/core/listening/level';
import { SHIPPED } from '~/core/materials/school';
import {
  countBack,
  createEvening,
  findEvening,
  keepRehearsal,
  rehearsals,
  removeEvening,
  saveEvening,
} from '~/data/queries/evenings';
import { deactivatePerson } from '~/data/queries/people';
import { forgetFamily } from '~/data/queries/families';
import {
  cameTo,
  findGathering,
  guestsOf,
  invitedTo,
  keepTaps,
  tapsAt,
  tickIn,
} from '~/data/queries/gatherings';
import { countStock, freeNow, listMoves, onHandNow, reservedNow } from '~/data/queries/store';
import { cameShares, missingOf, openDoor, partsFor, tableGame } from '~/server/evenings';
import { ENGLISH } from '~/core/words/reading';
import { knownText } from '~/server/families/known';
import { rehearsalFor, rehearsedIn } from '~/server/games/rehearse';
import { roundInput } from '~/server/lending/rounds';
import { inviteAll, thankAll } from '~/server/lending/invitations';
import { familyLevel, schoolWords } from '~/server/listening/levels';
import { today as todayAt } from '~/server/today';
import { smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
const COUNTERS = 'two-colour-counter';
const me = () => world.people.coordinator.id;

const plan = {
  ...emptyPlan({ rounds: 2, roundMinutes: 12, changeMinutes: 3 }),
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

describe('what follows from an evening', () => {
  const door = async () => {
    const id = await evening();
    return { id, door: await openDoor(world.at, { id, name: 'Game night', onDay: '2026-12-03' }, me()) };
  };
  const game = plan.tables[0]!.game;
  const tap = (said: Said, tableName = 'T1') => ({ tableName, game, said, again: null });

  it('counts for the level of the family: said anew, the last word counts', async () => {
    const { door: at } = await door();
    const family = world.families[0]!;
    const mean = async () => familyLevel(family, await schoolWords(world.at));
    await keepTaps(world.at, at.id, family.id, [tap('tooHard'), tap('tooHard', 'T2')]);
    const lower = await mean();
    await keepTaps(world.at, at.id, family.id, [tap('tooEasy'), tap('tooEasy', 'T2')]);
    const higher = await mean();
    expect(lower).toBeLessThan(higher!);
    expect(await tapsAt(world.at, at.id)).toHaveLength(2);
    expect([...(await cameTo(world.at, at.id))]).toEqual([family.id]);
  });

  it('has one door, which outlives its plan', async () => {
    const { id, door: at } = await door();
    const both = await Promise.all(
      [1, 2].map(() => openDoor(world.at, { id, name: 'x', onDay: '2026-12-03' }, me())),
    );
    expect(both).toEqual([at, at]);
    await removeEvening(world.at, id);
    expect(await findGathering(world.at, at.id)).toMatchObject({ eveningId: null });
  });

  it('is told to each family once, whatever is pressed twice at a time', async () => {
    const { id, door: at } = await door();
    const said = { id, name: 'Game night', onDay: '2026-12-03', startsAt: '17:30' };
    const today = todayAt(world.at);
    await Promise.all([inviteAll(world.at, said, today), inviteAll(world.at, said, today)]);
    const asked = await invitedTo(world.at, id);
    expect(new Set(asked.map(({ familyId }) => familyId)).size).toBe(asked.length);
    expect(asked.length).toBe(world.families.length);
    await keepTaps(world.at, at.id, world.families[0]!.id, []);
    // Never twice on one day: thanks wait until tomorrow.
    expect(await thankAll(world.at, said, at.id, today)).toMatchObject({ now: 0, later: 1 });
    expect(await thankAll(world.at, said, at.id, daysAfter(today, 1))).toMatchObject({ now: 1, later: 0 });
    expect(await thankAll(world.at, said, at.id, daysAfter(today, 2))).toMatchObject({ now: 0, later: 0 });
  });

  it('is not told of families that came before they were known, as if they had been asked', async () => {
    const { door: at } = await door();
    for (const { id } of world.families) await keepTaps(world.at, at.id, id, []);
    const guests = await guestsOf(world.at, at.id);
    expect(cameShares(guests, '2000-01-01')).toEqual([]);
    expect(cameShares(guests, '2999-01-01').map(({ by }) => by)).toEqual(['language', 'grade']);
  });

  it('keeps what helpers rehearse, the last time of each', async () => {
    await keepRehearsal(world.at, { helper: 'Tobin', gameId: 'tide-pairs', turns: 6, well: 2 });
    await keepRehearsal(world.at, { helper: 'Tobin', gameId: 'tide-pairs', turns: 6, well: 5 });
    expect(await rehearsals(world.at)).toMatchObject([{ helper: 'Tobin', well: 5 }]);
    // Who leaves the school leaves nothing of it.
    const { id, name } = world.people.helper;
    await keepRehearsal(world.at, { helper: name, gameId: 'tide-pairs', turns: 6, well: 6 });
    expect(await deactivatePerson(world.at, id, me())).toBe('ended');
    expect((await rehearsals(world.at)).map(({ helper }) => helper)).toEqual(['Tobin']);
  });
});

describe('a hand-out for those who are there', () => {
  it('leaves out whoever did not come', async () => {
    const id = await evening();
    const door = await openDoor(world.at, { id, name: 'Game night', onDay: '2026-12-03' }, me());
    const [came] = world.families;
    await tickIn(world.at, door.id, came!.id, true);
    const there = await roundInput(world.at, { ...ALL, gathering: door.id }, todayAt(world.at));
    expect(there.families.map((one) => one.id)).toEqual([came!.id]);
    expect((await roundInput(world.at, ALL, todayAt(world.at))).families.length).toBeGreaterThan(1);
  });
});

describe('what is known of a family', () => {
  it('tells the tables it spoke of, and is gone when it is forgotten but for numbers', async () => {
    const id = await evening();
    const door = await openDoor(world.at, { id, name: 'Game night', onDay: '2026-12-03' }, me());
    const family = world.families[0]!;
    await keepTaps(world.at, door.id, family.id, [
      { tableName: 'T1', game: plan.tables[0]!.game, said: 'justRight', again: true },
    ]);
    const text = (await knownText(world.at, 'Tern Rock', family.id))!;
    expect(text).toMatch(/T1, .*: just right/);
    expect(await forgetFamily(world.at, family.id, me())).toBe(true);
    expect((await cameTo(world.at, door.id)).size).toBe(0);
    expect(await tapsAt(world.at, door.id)).toMatchObject([{ said: 'justRight', children: '' }]);
  });
});

describe('a rehearsal', () => {
  const asked = (query: Record<string, string>) => new URLSearchParams(query);
  it('is of the game as it stands on a table, or at a setting; what is not known falls back', async () => {
    const id = await evening();
    const at = (query: Record<string, string>) =>
      rehearsalFor(world.at, 'two-tone-spill', asked(query), ENGLISH);
    expect(await at({ evening: id, table: 'T1' })).toMatchObject({ preset: '', band: 'K', seed: 1 });
    expect(await at({ evening: id, table: 'no such table' })).toMatchObject({ preset: '5-ordered' });
    expect(await at({ evening: 'x', preset: 'x', age: 'x', play: '-3' })).toMatchObject({
      preset: '5-ordered',
      seed: 1,
    });
    expect(await at({ age: 'g2', play: '12' })).toMatchObject({ band: 'g2', seed: 12 });
    expect(await rehearsalFor(world.at, 'no-such-game', asked({}), ENGLISH)).toBeUndefined();
  });

  it('is read in the languages of the school that have its lines', async () => {
    const readings = await rehearsedIn(world.at, ['es', 'en', 'tlh']);
    expect(readings.map(({ language }) => language)).toEqual(['en', 'es']);
    const shown = await rehearsalFor(world.at, 'two-tone-spill', asked({}), readings[1]!);
    expect(shown!.name).toBe('Vuelca y separa');
    expect(shown!.scenes).toHaveLength(6);
    expect(shown!.scenes[0]!.shown.length).toBeGreaterThan(0);
  });
});
