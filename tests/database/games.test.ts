import { settle, startOf } from '~/core/games/kit/game';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { SHELF } from '~/core/games/shelf';
import { gameFor } from '~/core/own/open';
import { AROUND } from '~/core/pack/sources';
import { newOwnGame, type OwnGame } from '~/core/own/definition';
import { ownGameId } from '~/core/own/ids';
import { closeDatabase } from '~/data/pools';
import { addOwnGame, archiveOwnGame, changeOwnGame, findOwnGame, listOwnGames } from '~/data/queries/games';
import { createVariant, findKit, findVariant, planOf, saveKit } from '~/data/queries/kits';
import { addLineChecks, checkedLanguages, uncheckedLines, wordedGames } from '~/data/queries/words';
import { requireGame } from '~/server/games/find';
import { keepOwnGame } from '~/server/games/own';
import { shelfEntries } from '~/server/games/shelf';
import { smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
afterAll(closeDatabase);

const named = (en: string): OwnGame => ({
  ...newOwnGame(),
  name: { en, es: `${en} en español` },
  goal: { en: 'Collect {goal}.', es: 'Junten {goal}.' },
});
const keep = async (en: string): Promise<string> =>
  (await addOwnGame(world.at, named(en), world.people.coordinator.id))!;

describe('games of the school', () => {
  it('are kept under a name of their own, changed, and put away', async () => {
    const id = await keep('Ferry Load');
    await keep('Barge');
    expect((await listOwnGames(world.at)).map((game) => game.definition.name.en)).toEqual([
      'Barge',
      'Ferry Load',
    ]);
    expect(await addOwnGame(world.at, named('FERRY LOAD'), world.people.coordinator.id)).toBeUndefined();
    const changed = { ...named('Ferry Load'), players: { fewest: 2, most: 3 } };
    expect(await changeOwnGame(world.at, id, changed, 1, world.people.coordinator.id)).toMatchObject({
      ok: true,
      version: 2,
    });
    expect((await findOwnGame(world.at, id))!.definition.players).toEqual({ fewest: 2, most: 3 });
    await archiveOwnGame(world.at, id);
    expect(await findOwnGame(world.at, id)).toBeUndefined();
    expect((await listOwnGames(world.at)).map((game) => game.definition.name.en)).toEqual(['Barge']);
    // The name is free again.
    expect(await keep('Ferry Load')).not.toBe(id);
  });

  it('are found by their address, and nothing else is', async () => {
    const id = await keep('Ferry Load');
    expect(gameFor(await requireGame(world.at, ownGameId(id))).words.en.name).toBe('Ferry Load');
    expect(await requireGame(world.at, 'tide-pairs')).toEqual({ gameId: 'tide-pairs' });
    for (const wrong of ['own-', 'own-nothing', `own-${world.kitId}`, 'no-such-game'])
      await expect(requireGame(world.at, wrong)).rejects.toBeTruthy();
  });

  it('are refused with the place when a file is not right, and nothing is kept', async () => {
    const by = world.people.coordinator.id;
    const refused = async (text: string) => {
      const kept = await keepOwnGame(world.at, text, by);
      return kept.ok ? {} : kept.errors;
    };
    expect((await refused('{\n "format": oops }'))['']).toBe(
      'This is not JSON: something is wrong at line 2, character 12.',
    );
    expect(await refused('[]')).toHaveProperty(['']);
    expect(await refused(JSON.stringify({ ...named('A'), make: 'magic' }))).toHaveProperty(['make']);
    expect(await refused(JSON.stringify({ ...named('A'), cells: [99] }))).toHaveProperty(['cells.0']);
    expect(await listOwnGames(world.at)).toEqual([]);
    await keep('Barge');
    expect(await refused(JSON.stringify(named('Barge')))).toEqual({
      'name.en': 'There is a game called “Barge” already. Choose another name.',
    });
  });

  it('stay in variants and kits as they were saved', async () => {
    const id = await keep('Ferry Load');
    const { definition } = (await findOwnGame(world.at, id))!;
    const variant = (await createVariant(world.at, {
      gameId: ownGameId(id),
      name: 'Ferry to 20',
      params: gameFor({ gameId: ownGameId(id), own: definition }).presets[0]!.params,
      own: definition,
      ageBand: 'K',
      createdBy: world.people.coordinator.id,
    }))!;
    await changeOwnGame(
      world.at,
      id,
      { ...definition, end: { when: 'reached', number: 50 } },
      1,
      world.people.coordinator.id,
    );
    await archiveOwnGame(world.at, id);
    expect((await findVariant(world.at, variant.id))!.own!.end.number).toBe(20);
    const kitId = (await saveKit(world.at, {
      name: 'Ferry basket',
      ageBand: 'K',
      players: 2,
      paper: 'a4',
      assurance: 'usual',
      variantIds: [variant.id],
    }))!;
    const plan = planOf((await findKit(world.at, kitId))!);
    expect(plan.variants[0]!.own).toEqual(definition);
    // Variants of the shelf carry no rules of their own.
    expect(planOf((await findKit(world.at, world.kitId))!).variants[0]).not.toHaveProperty('own');
  });

  it('stand on the words desk beside the shelf, and are checked line by line', async () => {
    const id = await keep('Ferry Load');
    expect(await wordedGames(world.at)).toHaveLength(SHELF.length + 1 + AROUND.length);
    const game = gameFor(await requireGame(world.at, ownGameId(id)));
    const lines = Object.keys(game.words.en);
    expect((await uncheckedLines(world.at)).find((one) => one.gameId === game.id)).toMatchObject({
      name: 'Ferry Load',
      unchecked: lines.length,
    });
    await addLineChecks(
      world.at,
      game,
      lines.map((messageId) => ({
        messageId,
        language: 'es' as const,
        right: true,
        note: '',
        personId: world.people.reader.id,
      })),
    );
    expect(await checkedLanguages(world.at, [game])).toEqual({ [game.id]: ['es'] });
    // A line that is worded anew is to be checked anew.
    await changeOwnGame(
      world.at,
      id,
      { ...named('Ferry Load'), goal: { en: 'Load {goal}.', es: 'Suban {goal}.' } },
      1,
      world.people.coordinator.id,
    );
    const anew = gameFor(await requireGame(world.at, game.id));
    expect(await checkedLanguages(world.at, [anew])).toEqual({ [game.id]: [] });
    // A kit that was filled before has the wording that was checked; both together are not.
    expect(await checkedLanguages(world.at, [game])).toEqual({ [game.id]: ['es'] });
    expect(await checkedLanguages(world.at, [game, anew])).toEqual({ [game.id]: [] });
    expect((await uncheckedLines(world.at)).find((one) => one.gameId === game.id)!.unchecked).toBe(1);
  });
});

describe('the entries of the shelf', () => {
  it('say of each preset what its bench says', async () => {
    const entries = await shelfEntries();
    expect(entries.map((entry) => entry.gameId)).toEqual(SHELF.map((game) => game.id));
    const spill = entries[0]!.presets[0]!;
    const { length, skills } = settle(SHELF[0]!, startOf(SHELF[0]!)).reckon({
      ageBand: spill.ageBand,
      secondsPerTurn: 30,
    });
    expect(spill).toMatchObject({ minutes: length.minutes.mean, skills });
    expect(await shelfEntries()).toBe(entries);
  });
});
