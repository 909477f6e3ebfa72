import { beforeEach, describe, expect, it } from 'vitest';
import { recipeOf } from '~/core/kits/recipe';
import { changeBetween } from '~/core/kits/versions';
import { findCopy } from '~/data/queries/copies';
import { listShortages } from '~/data/queries/counts';
import { changeKit, findKit, planOf, type KitWithVariants } from '~/data/queries/kits';
import { takeBack } from '~/data/queries/returns';
import { countStock, listMoves, onHandNow } from '~/data/queries/store';
import { bringUpToDate, builtBatches } from '~/data/queries/versions';
import { addVariant, lendOut, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let kit: KitWithVariants;
beforeEach(async () => {
  world = await smallSchool();
  // A game that needs cubes and dice comes into the kit.
  const towers = await addVariant(world, 'skyline-rolls', 'Towers');
  const now = (await findKit(world.at, world.kitId))!;
  await changeKit(
    world.at,
    world.kitId,
    {
      name: now.name,
      ageBand: now.ageBand,
      players: now.players,
      paper: now.paper,
      assurance: now.assurance,
      variantIds: [...now.variants.map(({ id }) => id), towers.id],
    },
    now.version,
  );
  kit = (await findKit(world.at, world.kitId))!;
});
const update = async (batchId: string) =>
  bringUpToDate(world.at, { batchId, kit, parts: recipeOf(planOf(kit)).parts }, world.people.coordinator.id);
const cubes = (): number => recipeOf(planOf(kit)).parts.find(({ material }) => material === 'cube')!.quantity;

describe('copies of an earlier version', () => {
  it('are brought up to date from the store while they are at school, once', async () => {
    await lendOut(world, { copy: 2, lentOn: '2026-09-02', dueOn: '2026-09-23' });
    await countStock(world.at, [{ material: 'cube', counted: 3 * cubes() }], null);
    const [batch] = await builtBatches(world.at, world.kitId);
    expect(batch).toMatchObject({ out: 1 });
    expect(batch!.home).toHaveLength(2);
    const made = await Promise.all([update(batch!.id), update(batch!.id)]);
    expect(made.map(({ tags }) => tags.length).sort()).toEqual([0, 2]);
    expect((await onHandNow(world.at)).cube).toBe(cubes());
    const copy = (await findCopy(world.at, { id: world.copies[0]!.id }))!;
    const parts = recipeOf(planOf(kit)).parts;
    expect(changeBetween(copy, { plan: planOf(kit), parts })).toBeUndefined();
    expect(copy.printedAt).toBeNull();
    expect(await listShortages(world.at)).toEqual([]);
    // The one that is out stays as it was, and is behind until it is home.
    const still = (await builtBatches(world.at, world.kitId)).find(({ id }) => id === batch!.id);
    expect(still).toMatchObject({ home: [], out: 1 });
  });

  it('keep what they lack, and are left as they are where the store has too little', async () => {
    const loanId = await lendOut(world, { copy: 0, lentOn: '2026-09-02', dueOn: '2026-09-23' });
    await takeBack(world.at, {
      loanId,
      returnedOn: '2026-09-10',
      counts: [{ material: 'two-colour-counter', expected: 6, counted: 4 }],
      personId: null,
    });
    await countStock(world.at, [{ material: 'cube', counted: 3 * cubes() - 1 }], null);
    const [batch] = await builtBatches(world.at, world.kitId);
    expect(await update(batch!.id)).toMatchObject({
      tags: [],
      lacks: { material: 'cube', need: 3 * cubes() },
    });
    expect(await listMoves(world.at, 'cube')).toHaveLength(1);
    expect((await findCopy(world.at, { id: world.copies[0]!.id }))!.buildRunId).toBe(batch!.id);
    await countStock(world.at, [{ material: 'cube', counted: 3 * cubes() }], null);
    expect((await update(batch!.id)).tags).toHaveLength(3);
    expect(await listShortages(world.at)).toMatchObject([
      { material: 'two-colour-counter', expected: 6, counted: 4 },
    ]);
  });
});
