import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { waitingOf, type StationKey } from '~/core/lending/day';
import { daysAfter } from '~/core/lending/due';
import { randomTag } from '~/core/kits/tag';
import { linesIn } from '~/core/words/needs';
import { closeDatabase } from '~/data/pools';
import { createFamily, forgetFamily, listFamilies } from '~/data/queries/families';
import { buildCopies } from '~/data/queries/building';
import { listCopies, markPrinted } from '~/data/queries/copies';
import {
  archiveVariant,
  changeKit,
  findKit,
  findVariant,
  listKits,
  listVariants,
  saveKit,
} from '~/data/queries/kits';
import { mend, undoMend } from '~/data/queries/counts';
import { arrive, takeBack, undoReturn } from '~/data/queries/returns';
import { findLoan, listClosed, listLoansOfFamily, listOut, undoLoan } from '~/data/queries/lending';
import { strandOf } from '~/data/queries/strand';
import { addAnswer, markRead } from '~/data/queries/listening';
import { answeredSince, reachSince } from '~/data/queries/reach';
import { dayFacts } from '~/data/queries/day';
import { needsAt } from '~/data/queries/needs';
import { countStock } from '~/data/queries/store';
import { lineNow, writeLine } from '~/data/queries/wording';
import { addLineChecks } from '~/data/queries/words';
import { family } from '~/data/schema';
import { secureRandom } from '~/server/random';
import { newLinkKey } from '~/server/links';
import { everything } from '../owner';
import { addVariant, lendOut, smallSchool, type SmallSchool, answersOf, aWord } from '../world';

const TODAY = '2026-11-24';
let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
afterAll(closeDatabase);

const lent = (copy = 0, family = 0, lentOn = TODAY, dueOn = daysAfter(lentOn, 21)): Promise<string> =>
  lendOut(world, { copy, family, lentOn, dueOn });
const home = (loanId: string, counted = 6, returnedOn = TODAY) =>
  takeBack(world.at, {
    loanId,
    returnedOn,
    personId: world.people.helper.id,
    counts: [{ material: 'two-colour-counter', expected: 6, counted }],
  });
const answered = (loanId: string) => addAnswer(world.at, aWord(loanId, { childDid: 'laughed' }));
/** What waits now. */
const waits = async (today = TODAY): Promise<Record<StationKey, number>> =>
  waitingOf(await dayFacts(world.at, today), 'coordinator');
const NOTHING = {
  choose: 0,
  fill: 0,
  word: 0,
  print: 0,
  lend: 0,
  takeBack: 0,
  listen: 0,
  lookBack: 0,
};

const build = async (kitId: string, count: number) =>
  buildCopies(world.at, {
    kit: (await findKit(world.at, kitId))!,
    count,
    builtOn: TODAY,
    builtBy: world.people.helper.id,
    newTag: () => randomTag(secureRandom),
    newLinkKey,
  });

describe('what waits at a station', () => {
  it('is nothing that can wait, and a copy until its pack is printed', async () => {
    expect(await waits()).toEqual(NOTHING);
    const made = await addVariant(world, 'harvest-mat', 'Mat');
    const kitId = (await saveKit(world.at, {
      name: 'Mats',
      ageBand: 'K',
      players: 2,
      paper: 'a4',
      assurance: 'usual',
      variantIds: [made.id],
    }))!;
    expect(await waits()).toEqual(NOTHING);
    await build(kitId, 2);
    expect(await waits()).toEqual({ ...NOTHING, print: 2 });
    const [one] = await listCopies(world.at, { kitId });
    await markPrinted(world.at, [one!.id]);
    expect(await waits()).toEqual({ ...NOTHING, print: 1 });
  });

  it('is a loan from the day it is due, and nothing once it is home or undone', async () => {
    const loanId = await lent(0, 0, TODAY, '2026-12-01');
    expect(await waits('2026-11-30')).toEqual({ ...NOTHING, word: expect.any(Number) as number });
    expect(await waits('2026-12-01')).toMatchObject({ takeBack: 1, lend: 0 });
    expect(await waits('2027-01-15')).toMatchObject({ takeBack: 1, lend: 0 });
    await undoLoan(world.at, loanId, world.people.helper.id);
    expect(await waits('2026-12-01')).toEqual(NOTHING);
  });

  it('is a copy that lacks parts once the store has them', async () => {
    await home(await lent(), 5);
    const by = world.people.helper.id;
    await countStock(world.at, [{ material: 'two-colour-counter', counted: 0 }], by);
    expect(await waits()).toEqual(NOTHING);
    await countStock(world.at, [{ material: 'two-colour-counter', counted: 1 }], by);
    expect(await waits()).toEqual({ ...NOTHING, takeBack: 1 });
    await mend(world.at, world.copies[0]!.id, by);
    expect(await waits()).toEqual(NOTHING);
  });

  it('is a bag that came home and is not counted, whenever it is due', async () => {
    const loanId = await lent(0, 1, TODAY, '2026-12-24');
    await arrive(world.at, { copyId: world.copies[0]!.id, arrivedOn: '2026-11-30', personId: null });
    expect((await waits()).takeBack).toBe(1);
    await home(loanId, 6);
    expect(await waits()).toEqual(NOTHING);
    expect((await findLoan(world.at, loanId))!.returnedOn).toBe('2026-11-30');
  });

  it('is a line that a family reads at home, and no other', async () => {
    expect((await waits()).word).toBe(0);
    await lent(0, 0);
    expect((await waits()).word).toBeGreaterThan(5);
  });

  it('is an answer until it is read, and again when that is taken back', async () => {
    await answered(await lent());
    const [{ answer }] = (await answersOf(world.at)) as [Awaited<ReturnType<typeof answersOf>>[0]];
    expect((await waits()).listen).toBe(1);
    await markRead(world.at, [answer.id], true);
    const read = (await answersOf(world.at))[0]!.answer.readAt;
    // Read twice: the first time counts.
    await markRead(world.at, [answer.id], true);
    expect((await answersOf(world.at))[0]!.answer.readAt).toEqual(read);
    expect((await waits()).listen).toBe(0);
    await markRead(world.at, [answer.id], false);
    expect((await waits()).listen).toBe(1);
    await markRead(world.at, [], true);
    expect((await waits()).listen).toBe(1);
  });

  it('is every kit that is not sound in a language of families', async () => {
    const word = async (): Promise<number> => (await needsAt(world.at)).length;
    const needs = await needsAt(world.at);
    expect(needs.map(({ kitId, language }) => [kitId, language])).toEqual([[world.kitId, 'es']]);
    expect(await word()).toBe(1);
    const game = gameOf('two-tone-spill');
    expect(needs[0]!.games).toMatchObject([{ gameId: game.id }]);
    const lines = linesIn(needs[0]!);
    const said = Object.keys(game.words.en).map((messageId) => ({
      messageId,
      language: 'es' as const,
      right: true,
      note: '',
      personId: world.people.reader.id,
    }));
    // All lines but one, and then that one: what a sheet does not say need not be checked.
    await addLineChecks(
      world.at,
      game,
      said.filter(({ messageId }) => messageId !== 'goal'),
    );
    expect(linesIn((await needsAt(world.at))[0]!)).toBe(1);
    expect(lines).toBeGreaterThan(5);
    expect(lines).toBeLessThan(said.length);
    await addLineChecks(
      world.at,
      game,
      said.filter(({ messageId }) => messageId === 'goal'),
    );
    expect(await word()).toBe(0);
    // Worded anew, it is to be checked anew.
    const had = (await lineNow(world.at, game, 'goal', 'es')).message!;
    await writeLine(world.at, game, {
      messageId: 'goal',
      language: 'es',
      message: had.replace('Encuentren', 'Hallen'),
      had,
      personId: world.people.reader.id,
    });
    expect(await word()).toBe(1);
  });

  it('asks first for what families have at home, and for nothing nobody reads', async () => {
    const spanish = world.families.findIndex(({ language }) => language === 'es');
    expect((await needsAt(world.at))[0]).toMatchObject({ families: 1, atHome: 0 });
    await lent(0, spanish);
    expect((await needsAt(world.at))[0]).toMatchObject({ families: 1, atHome: 1 });
    await everything().update(family).set({ language: 'en' });
    expect(await needsAt(world.at)).toEqual([]);
  });
});

describe('who is reached', () => {
  it('had a copy since the day, by home language, whatever became of the loan but an undoing', async () => {
    await home(await lent(0, 0, '2026-09-10'), 6, '2026-10-01');
    await lent(1, 1, '2026-11-01');
    await undoLoan(world.at, await lent(2, 2, '2026-11-02'), world.people.helper.id);
    expect(await reachSince(world.at, '2026-09-01')).toEqual([
      { language: 'en', reached: 1, notYet: 1 },
      { language: 'es', reached: 1, notYet: 0 },
    ]);
    expect(await reachSince(world.at, '2026-09-11')).toEqual([
      { language: 'en', reached: 1, notYet: 1 },
      { language: 'es', reached: 0, notYet: 1 },
    ]);
  });

  it('leaves out families that were forgotten', async () => {
    expect(await forgetFamily(world.at, world.families[2]!.id)).toBe(true);
    expect((await reachSince(world.at, '2026-09-01')).find(({ language }) => language === 'en')).toEqual({
      language: 'en',
      reached: 0,
      notYet: 1,
    });
    expect((await listFamilies(world.at)).map(({ name }) => name)).not.toContain('Family Auk');
  });

  it('has answered when the loan is home and at least one answer came', async () => {
    const one = await lent(0, 0, '2026-11-01');
    const other = await lent(1, 1, '2026-11-01');
    await answered(one);
    await answered(one);
    expect(await answeredSince(world.at, '2026-11-01')).toEqual({ ended: 0, answered: 0 });
    await home(one);
    await home(other);
    expect(await answeredSince(world.at, '2026-11-01')).toEqual({ ended: 2, answered: 1 });
    expect(await answeredSince(world.at, '2026-11-02')).toEqual({ ended: 0, answered: 0 });
  });
});

describe('the life of a copy', () => {
  it('is told from its building on, day by day', async () => {
    const id = world.copies[0]!.id;
    await home(await lent(0, 0, '2026-09-05'), 5, '2026-09-20');
    await mend(world.at, id, world.people.helper.id);
    await home(await lent(0, 1, '2026-10-01'), 6, '2026-10-01');
    const strand = await strandOf(world.at, id);
    expect(strand.filter(({ kind }) => kind !== 'mended')).toEqual([
      { on: '2026-09-01', kind: 'built', note: 'Built' },
      { on: '2026-09-05', kind: 'lent', note: 'Lent to Familia Vela' },
      { on: '2026-09-20', kind: 'home', note: 'Home from Familia Vela' },
      { on: '2026-10-01', kind: 'lent', note: 'Lent to Family Dunlin' },
      { on: '2026-10-01', kind: 'home', note: 'Home from Family Dunlin' },
    ]);
    expect(strand.filter(({ kind }) => kind === 'mended')).toHaveLength(1);
    expect(await strandOf(world.at, crypto.randomUUID())).toEqual([]);
  });

  it('does not tell of what was undone', async () => {
    const id = world.copies[0]!.id;
    await undoLoan(world.at, await lent(), world.people.helper.id);
    const loanId = await lent();
    await home(loanId, 4);
    await undoReturn(world.at, loanId, world.people.helper.id);
    expect((await strandOf(world.at, id)).map(({ kind }) => kind)).toEqual(['built', 'lent']);
    await home(loanId, 4);
    await mend(world.at, id, world.people.helper.id);
    await undoMend(world.at, id, world.people.helper.id);
    expect((await strandOf(world.at, id)).map(({ kind }) => kind)).toEqual(['built', 'lent', 'home']);
  });
});

describe('loans', () => {
  it('are listed by what is due first, those that ended last first', async () => {
    await lent(0, 0, '2026-11-01', '2026-12-10');
    await lent(1, 1, '2026-11-02', '2026-11-25');
    const third = await lent(2, 2, '2026-10-01', '2026-12-01');
    expect((await listOut(world.at)).map(({ dueOn }) => dueOn)).toEqual([
      '2026-11-25',
      '2026-12-01',
      '2026-12-10',
    ]);
    await home(third, 6, '2026-11-20');
    expect((await listOut(world.at)).map(({ familyName }) => familyName)).toEqual([
      'Family Dunlin',
      'Familia Vela',
    ]);
    expect((await listClosed(world.at, 5)).map(({ familyName }) => familyName)).toEqual(['Family Auk']);
    await home(await lent(2, 1, '2026-11-21'), 6, '2026-11-23');
    expect((await listClosed(world.at, 5)).map(({ returnedOn }) => returnedOn)).toEqual([
      '2026-11-23',
      '2026-11-20',
    ]);
    expect(await listClosed(world.at, 1)).toHaveLength(1);
  });

  it('of a family are all it ever had', async () => {
    await home(await lent(0, 0, '2026-09-01'), 6, '2026-09-15');
    await lent(1, 0, '2026-10-01');
    await lent(2, 1, '2026-10-01');
    const loans = await listLoansOfFamily(world.at, world.families[0]!.id);
    expect(loans.map(({ tag }) => tag).sort()).toEqual([world.copies[0]!.tag, world.copies[1]!.tag].sort());
  });
});

describe('kits', () => {
  it('are listed with their games, their copies and how many are out', async () => {
    await lent();
    expect(await listKits(world.at)).toMatchObject([
      { name: 'First splits', variantNames: ['Six'], copies: 3, out: 1 },
    ]);
    await build(world.kitId, 2);
    expect(await listKits(world.at)).toMatchObject([{ copies: 5, out: 1 }]);
  });

  it('keep the order in which their games were put in', async () => {
    const mat = await addVariant(world, 'harvest-mat', 'Mat');
    const towers = await addVariant(world, 'skyline-rolls', 'Towers');
    const [six] = (await findKit(world.at, world.kitId))!.variants;
    const fields = { name: 'Mixed', ageBand: 'g1', players: 2, paper: 'a4', assurance: 'usual' } as const;
    let version = 1;
    for (const order of [
      [towers.id, six!.id, mat.id],
      [mat.id, towers.id, six!.id],
    ]) {
      expect(
        await changeKit(world.at, world.kitId, { ...fields, variantIds: order }, version++),
      ).toMatchObject({
        ok: true,
      });
      expect((await findKit(world.at, world.kitId))!.variants.map(({ id }) => id)).toEqual(order);
    }
    expect(await findKit(world.at, crypto.randomUUID())).toBeUndefined();
    expect(await findVariant(world.at, crypto.randomUUID())).toBeUndefined();
  });

  it('do not let go of a variant that is in them', async () => {
    const [six] = (await findKit(world.at, world.kitId))!.variants;
    expect(await archiveVariant(world.at, six!.id)).toEqual(['First splits']);
    expect((await listVariants(world.at)).map(({ id }) => id)).toContain(six!.id);
  });

  it('take a name of their own, in any case, and one of a family as often as it is given', async () => {
    const fields = { ageBand: 'g1', players: 2, paper: 'a4', assurance: 'usual', variantIds: [] } as const;
    expect(await saveKit(world.at, { ...fields, name: 'first SPLITS', variantIds: [] })).toBeUndefined();
    expect(
      await createFamily(world.at, {
        name: 'First splits',
        language: 'en',
        reach: '',
        underThree: false,
        allergens: '',
      }),
    ).toBeDefined();
  });
});
