import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { randomTag } from '~/core/kits/tag';
import { listShortages, mend, undoMend } from '~/data/queries/counts';
import { buildCopies, undoBuild } from '~/data/queries/building';
import { findKit } from '~/data/queries/kits';
import { takeBack } from '~/data/queries/returns';
import { copy } from '~/data/schema';
import { newLinkKey } from '~/server/links';
import { secureRandom } from '~/server/random';
import {
  addOffer,
  bringIn,
  countStock,
  listMoves,
  listStock,
  moveStock,
  offersOf,
  onHandNow,
  placeStock,
  removeOffer,
  undoMove,
} from '~/data/queries/store';
import { storeFromCsv, storeToCsv } from '~/server/kits/store-csv';
import { lendOut, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeAll(async () => {
  world = await smallSchool();
});

/** The sum of all moves of a material, and what the last of them left. */
async function ledger(material: string): Promise<{ sum: number; leaves: number | undefined }> {
  const moves = await listMoves(world.at, material, 1000);
  return { sum: moves.reduce((total, { quantity }) => total + quantity, 0), leaves: moves[0]?.leaves };
}
const onHand = async (material: string): Promise<number | null | undefined> =>
  (await onHandNow(world.at))[material];

describe('the ledger of the store', () => {
  it('leaves the sum of its moves on hand after any moves and any undoing, and never less than nothing', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.oneof(
            fc.record({ kind: fc.constant('bought' as const), n: fc.integer({ min: 1, max: 40 }) }),
            fc.record({
              kind: fc.constantFrom('lost' as const, 'worn' as const),
              n: fc.integer({ min: -30, max: -1 }),
            }),
            fc.record({ kind: fc.constant('counted' as const), n: fc.nat(60) }),
            fc.record({ kind: fc.constant('undo' as const), n: fc.nat(9) }),
          ),
          { minLength: 1, maxLength: 9 },
        ),
        async (steps) => {
          for (const { kind, n } of steps) {
            const before = (await onHand('chip')) ?? 0;
            if (kind === 'counted') await countStock(world.at, [{ material: 'chip', counted: n }], null);
            else if (kind === 'undo') {
              const moves = await listMoves(world.at, 'chip', 10);
              const move = moves[n % Math.max(1, moves.length)];
              const undone = move && (await undoMove(world.at, move.id, null));
              if (move && (move.undone || move.kind === 'undone')) expect(undone).toBeUndefined();
              else if (move && before - move.quantity < 0) expect(undone).toMatchObject({ ok: false });
              else if (move) expect(undone).toEqual({ ok: true, leaves: before - move.quantity });
            } else {
              const moved = await moveStock(world.at, { material: 'chip', kind, quantity: n }, null);
              if (before + n < 0)
                expect(moved).toEqual({ ok: false, material: 'chip', need: -n, onHand: before });
              else expect(moved).toEqual({ ok: true, leaves: before + n });
            }
            const { sum, leaves } = await ledger('chip');
            const there = (await onHand('chip')) ?? 0;
            if (leaves !== undefined) expect([sum, leaves]).toEqual([there, there]);
          }
        },
      ),
      { numRuns: 12 },
    );
  });

  it('gives the last pack to one of two desks, and tells the other', async () => {
    await countStock(world.at, [{ material: 'card-deck', counted: 1 }], null);
    const taken = await Promise.all(
      Array.from({ length: 6 }, () =>
        moveStock(world.at, { material: 'card-deck', kind: 'lost', quantity: -1 }, null),
      ),
    );
    expect(taken.filter(({ ok }) => ok)).toHaveLength(1);
    expect(await onHand('card-deck')).toBe(0);
    const [move] = await listMoves(world.at, 'card-deck', 1);
    const undone = await Promise.all(Array.from({ length: 4 }, () => undoMove(world.at, move!.id, null)));
    expect(undone.filter(Boolean)).toHaveLength(1);
    expect(await onHand('card-deck')).toBe(1);
  });

  it('counts as not counted again when its first count is undone', async () => {
    const [told] = await countStock(world.at, [{ material: 'peg', counted: 4 }], null);
    expect(await undoMove(world.at, told!.moveId, null)).toEqual({ ok: true, leaves: 0 });
    expect(await onHand('peg')).toBeNull();
  });

  it('says what it expected only after it was counted', async () => {
    const { coordinator } = world.people;
    expect(await countStock(world.at, [{ material: 'cup', counted: 7 }], coordinator.id)).toMatchObject([
      { expected: null, counted: 7 },
    ]);
    expect(await countStock(world.at, [{ material: 'cup', counted: 5 }], coordinator.id)).toMatchObject([
      { expected: 7, counted: 5 },
    ]);
    expect((await listMoves(world.at, 'cup', 2)).map(({ quantity, by }) => [quantity, by])).toEqual([
      [-2, 'Coordinator'],
      [7, 'Coordinator'],
    ]);
  });
});

describe('a list of the store', () => {
  it('comes in again as the same, also with places that a spreadsheet would run', async () => {
    await placeStock(world.at, 'cup', { place: '=SUM(1;2) "shelf, 2"', reorderAt: 6 }, null);
    await placeStock(world.at, 'die', { place: 'Lager · عربي', reorderAt: 0 }, null);
    const before = await listStock(world.at);
    const read = storeFromCsv(storeToCsv(before));
    if (!read.ok) throw new Error(read.problem);
    expect(read.rows.map(({ item }) => item)).toEqual(before);
    const moves = (await listMoves(world.at, undefined, 1000)).length;
    await bringIn(world.at, before, null);
    expect(await listStock(world.at)).toEqual(before);
    expect(await listMoves(world.at, undefined, 1000)).toHaveLength(moves);
  });

  it('says for each row what is wrong with it', () => {
    const read = storeFromCsv(
      'material,onHand,place,reorderAt\r\nchips,12,box,3\r\nunicorn,1,,\r\nchip,4,,\r\ndie,-1,,\r\ncube,1.5,,\r\npencil,,desk,2\r\n',
    );
    if (!read.ok) throw new Error(read.problem);
    expect(read.rows.map(({ item, problem }) => item?.material ?? problem)).toEqual([
      'chip',
      expect.stringMatching(/There is no such part/),
      'The same part stands in line 2.',
      expect.stringMatching(/How many you counted .*from 0 to 100000/),
      expect.stringMatching(/How many you counted .*whole number/),
      'pencil',
    ]);
    expect(storeFromCsv('name,count\r\nchip,3')).toMatchObject({ ok: false });
    // A comma too many would move every number into the next column.
    expect(storeFromCsv('material,onHand\r\nchip,1,200')).toMatchObject({
      rows: [{ problem: 'This line has more cells than the first one.' }],
    });
    expect(storeFromCsv(`material,onHand\r\n${'chip,1\r\n'.repeat(2001)}`)).toMatchObject({ ok: false });
  });

  it('leaves as it is what a list does not say', async () => {
    await placeStock(world.at, 'small-cup', { place: 'tin 4', reorderAt: 30 }, null);
    const read = storeFromCsv('material,onHand\r\nsmall-cup,77\r\n');
    if (!read.ok) throw new Error(read.problem);
    await bringIn(
      world.at,
      read.rows.map(({ item }) => item!),
      null,
    );
    expect((await listStock(world.at)).find(({ material }) => material === 'small-cup')).toMatchObject({
      onHand: 77,
      place: 'tin 4',
      reorderAt: 30,
    });
  });
});

describe('offers', () => {
  it('are the school’s own, and the pack of the catalogue where it has none', async () => {
    expect(await offersOf(world.at, ['cube'])).toMatchObject([
      { material: 'cube', size: 100, priceCents: 1600 },
    ]);
    const made = await addOffer(world.at, { material: 'cube', name: 'Crate', size: 500, priceCents: 6900 });
    expect(
      await addOffer(world.at, { material: 'cube', name: 'crate', size: 1, priceCents: 1 }),
    ).toBeUndefined();
    expect(await offersOf(world.at, ['cube'])).toEqual([
      { id: made!.id, material: 'cube', name: 'Crate', size: 500, priceCents: 6900 },
    ]);
    await removeOffer(world.at, made!.id);
    expect(await offersOf(world.at, ['cube'])).toHaveLength(1);
  });
});

describe('copies and the store', () => {
  const build = async (count: number, take: 'all' | 'whatIsThere') =>
    buildCopies(world.at, {
      kit: (await findKit(world.at, world.kitId))!,
      count,
      builtOn: '2026-09-02',
      builtBy: world.people.helper.id,
      take,
      newTag: () => randomTag(secureRandom),
      newLinkKey,
    });

  it('takes the parts of a build out of the store, refuses what is not there, and puts them back when it is undone', async () => {
    await countStock(world.at, [{ material: 'two-colour-counter', counted: 20 }], null);
    const { runId, tags } = await build(3, 'all');
    expect(tags).toHaveLength(3);
    expect(await onHand('two-colour-counter')).toBe(2);
    const copies = await world.at.$count(copy);
    expect(await build(1, 'all')).toMatchObject({
      tags: [],
      lacks: { material: 'two-colour-counter', need: 6, onHand: 2 },
    });
    expect(await world.at.$count(copy)).toBe(copies);
    expect(await onHand('two-colour-counter')).toBe(2);
    // What is short comes from elsewhere: the store gives what it has.
    const rest = await build(1, 'whatIsThere');
    expect(await onHand('two-colour-counter')).toBe(0);
    expect(await undoBuild(world.at, rest.runId, world.kitId, null)).toBe(true);
    expect(await undoBuild(world.at, runId, world.kitId, null)).toBe(true);
    expect(await onHand('two-colour-counter')).toBe(20);
    const { sum } = await ledger('two-colour-counter');
    expect(sum).toBe(20);
  });

  it('gives what is there to two builds at one moment, and refuses neither', async () => {
    await countStock(world.at, [{ material: 'two-colour-counter', counted: 8 }], null);
    const runs = await Promise.all([
      build(1, 'whatIsThere'),
      build(1, 'whatIsThere'),
      build(1, 'whatIsThere'),
    ]);
    expect(runs.map(({ tags }) => tags.length)).toEqual([1, 1, 1]);
    expect(await onHand('two-colour-counter')).toBe(0);
    // What belongs to a build is not undone in the ledger, behind its back.
    const taken = (await listMoves(world.at, 'two-colour-counter', 2)).find(({ kind }) => kind === 'taken')!;
    expect(await undoMove(world.at, taken.id, null)).toBeUndefined();
    for (const { runId } of runs) expect(await undoBuild(world.at, runId, world.kitId, null)).toBe(true);
    expect(await onHand('two-colour-counter')).toBe(8);
  });

  it('mends a copy from the store, takes that back, and changes nothing when the store has too few', async () => {
    await countStock(world.at, [{ material: 'two-colour-counter', counted: 3 }], null);
    const { id } = world.copies[0]!;
    const { helper } = world.people;
    const home = async (counted: number): Promise<void> => {
      const loanId = await lendOut(world, { copy: 0, family: 0, lentOn: '2026-09-03', dueOn: '2026-09-10' });
      await takeBack(world.at, {
        loanId,
        returnedOn: '2026-09-09',
        personId: helper.id,
        counts: [{ material: 'two-colour-counter', expected: 6, counted }],
      });
    };
    await home(4);
    expect(await mend(world.at, id, helper.id, true)).toBe(1);
    expect(await onHand('two-colour-counter')).toBe(1);
    expect(await undoMend(world.at, id, helper.id)).toBe(true);
    expect(await onHand('two-colour-counter')).toBe(3);
    expect(await mend(world.at, id, helper.id, true)).toBe(1);
    await home(0);
    expect(await mend(world.at, id, helper.id, true)).toBeUndefined();
    expect(await onHand('two-colour-counter')).toBe(1);
    expect(await listShortages(world.at, id)).toMatchObject([{ expected: 6, counted: 0 }]);
  });

  it('exchanges a deck that lacks cards', async () => {
    const { id } = world.copies[1]!;
    const { helper } = world.people;
    await countStock(world.at, [{ material: 'card-deck', counted: 2 }], null);
    const loanId = await lendOut(world, { copy: 1, family: 1, lentOn: '2026-09-03', dueOn: '2026-09-10' });
    await takeBack(world.at, {
      loanId,
      returnedOn: '2026-09-09',
      personId: helper.id,
      counts: [{ material: 'card-deck', expected: 1, counted: 1, lacks: ['7H', 'QS'] }],
    });
    expect(await listShortages(world.at, id)).toMatchObject([{ material: 'card-deck', lacks: ['7H', 'QS'] }]);
    expect(await mend(world.at, id, helper.id, true)).toBe(1);
    expect(await listShortages(world.at, id)).toEqual([]);
    expect(await onHand('card-deck')).toBe(1);
    expect(await undoMend(world.at, id, helper.id)).toBe(true);
    expect(await listShortages(world.at, id)).toMatchObject([{ lacks: ['7H', 'QS'] }]);
  });
});
