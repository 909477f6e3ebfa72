import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { ALL } from '~/core/lending/choices';
import { randomCard } from '~/core/lending/card';
import { daysAfter } from '~/core/lending/due';
import type { HallAct } from '~/core/lending/hall';
import { closeDatabase } from '~/data/pools';
import { familyByCard, giveCards, listFamilies } from '~/data/queries/families';
import { clashes, settleClash } from '~/data/queries/hall';
import { lend, listOut, undoLoan } from '~/data/queries/lending';
import {
  createRound,
  endRound,
  findRound,
  promiseRound,
  promisesOf,
  saveChoices,
  undoRound,
} from '~/data/queries/rounds';
import { doAct, hallKnown } from '~/server/lending/hall';
import { handOver } from '~/server/lending/handover';
import { roundInput, solveRound } from '~/server/lending/rounds';
import { secureRandom } from '~/server/random';
import { today as todayAt } from '~/server/today';
import { lendOut, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let day: string;
beforeEach(async () => {
  world = await smallSchool();
  day = todayAt(world.at);
});
afterAll(closeDatabase);

const by = (): string => world.people.coordinator.id;
const planned = async () => {
  const id = await createRound(world.at, { name: 'Thursday', onDay: day, choices: ALL, personId: by() });
  const input = await roundInput(world.at, ALL, day);
  return { id, input, solved: await solveRound(input) };
};
const promised = async () => {
  const { id, solved } = await planned();
  expect(await promiseRound(world.at, id, solved.round.matches, by())).toBe('done');
  return { id, promises: await promisesOf(world.at, id) };
};

describe('a hand-out', () => {
  it('knows the walls of this school: languages that are checked, limits, what was had', async () => {
    const { solved, input } = await planned();
    expect(input.copies).toHaveLength(3);
    // Spanish is not checked here.
    expect(solved.round.served).toBe(2);
    expect(solved.round.without).toEqual([
      {
        family: world.families[0]!.id,
        why: 'Nothing suits: what is left is not worded and checked in its language.',
      },
    ]);
    await lendOut(world, { copy: 0, family: 1, lentOn: day, dueOn: daysAfter(day, 5) });
    const again = await solveRound(await roundInput(world.at, ALL, day));
    expect(again.round.served).toBe(1);
    expect(again.round.without.map(({ why }) => why)).toContain(
      'Nothing suits: what is left is had already.',
    );
    expect((await roundInput(world.at, { ...ALL, groups: ['Room 9'] }, day)).families).toEqual([]);
  }, 300_000);

  it('promises its bags to nobody else, hands them over by scanning, and can be undone until one has gone', async () => {
    const { id, promises } = await promised();
    const [one, two] = promises as [(typeof promises)[0], (typeof promises)[0]];
    expect(
      await lend(world.at, {
        copyId: one.copyId,
        familyId: two.familyId,
        lentOn: day,
        dueOn: day,
        personId: by(),
      }),
    ).toMatchObject({ ok: false, reason: 'others' });
    expect(await undoRound(world.at, id, by())).toBe(true);
    expect((await findRound(world.at, id))!.state).toBe('planned');
    expect(await promisesOf(world.at, id)).toEqual([]);

    const { solved } = await planned();
    await promiseRound(world.at, id, solved.round.matches, by());
    await giveCards(world.at, () => randomCard(secureRandom));
    const now = await promisesOf(world.at, id);
    const scan = (text: string, familyId?: string) =>
      handOver(world.at, { roundId: id, text, personId: by(), ...(familyId ? { familyId } : {}) });
    const stranger = world.copies.find(({ id: copy }) => !now.some(({ copyId }) => copyId === copy))!;
    expect(await scan(stranger.tag)).toMatchObject({ kind: 'wrong', word: 'Another bag' });
    expect(await scan('hello')).toMatchObject({ kind: 'wrong', word: 'Not read' });
    const next = await scan(now[0]!.card!);
    expect(next).toMatchObject({ kind: 'next', familyId: now[0]!.familyId });
    expect(await scan(now[1]!.tag, next.familyId)).toMatchObject({ kind: 'wrong', word: 'Wrong bag' });
    const right = await scan(now[0]!.tag, next.familyId);
    expect(right).toMatchObject({ kind: 'right', word: now[0]!.familyName });
    expect(await scan(now[0]!.tag)).toMatchObject({ kind: 'wrong', word: 'Gone' });
    expect(await scan(now[0]!.card!)).toMatchObject({ kind: 'wrong', word: 'Has it' });
    expect(await undoRound(world.at, id, by())).toBe(false);
    // One that is undone is promised as before.
    await undoLoan(world.at, right.loanId!, by());
    expect((await promisesOf(world.at, id)).every(({ endedAt }) => endedAt === null)).toBe(true);
    await scan(now[0]!.tag);
    expect(await endRound(world.at, id, by())).toBe(true);
    expect((await promisesOf(world.at, id)).filter(({ loanId }) => loanId)).toHaveLength(1);
    expect(
      await lend(world.at, {
        copyId: now[1]!.copyId,
        familyId: world.families[0]!.id,
        lentOn: day,
        dueOn: day,
        personId: by(),
      }),
    ).toMatchObject({ ok: true });
  }, 300_000);

  it('is settled by one, and not with a bag that went out meanwhile', async () => {
    const { id, solved } = await planned();
    expect(await saveChoices(world.at, id, { ...ALL, groups: ['A'] }, 1)).toBe(true);
    expect(await saveChoices(world.at, id, ALL, 1)).toBe(false);
    const both = await Promise.all([
      promiseRound(world.at, id, solved.round.matches, by()),
      promiseRound(world.at, id, solved.round.matches, by()),
    ]);
    expect([...both].sort()).toEqual(['changed', 'done']);
    await undoRound(world.at, id, by());
    const copy = world.copies.findIndex(({ id: one }) => one === solved.round.matches[0]!.copy);
    await lendOut(world, { copy, family: 0, lentOn: day, dueOn: day });
    expect(await promiseRound(world.at, id, solved.round.matches, by())).toBe('taken');
    expect((await findRound(world.at, id))!.state).toBe('planned');
    expect(await promisesOf(world.at, id)).toEqual([]);
  }, 300_000);
});

describe('the desk in the hall', () => {
  const act = (fields: Partial<HallAct> & Pick<HallAct, 'kind'>): HallAct => ({
    id: crypto.randomUUID(),
    day,
    away: false,
    ...fields,
  });
  it('does each act once, however often it is sent', async () => {
    const { bags, families } = await hallKnown(world.at);
    const lending = act({ kind: 'lend', tag: bags[0]!.tag, card: families[0]!.card });
    const heard = await Promise.all(Array.from({ length: 5 }, () => doAct(world.at, lending, by())));
    for (const one of heard) expect(one).toEqual(heard[0]);
    expect(heard[0]).toMatchObject({ kind: 'right', word: families[0]!.name });
    expect(await listOut(world.at)).toHaveLength(1);
    const undo = act({ kind: 'undo', of: lending.id });
    expect(await doAct(world.at, undo, by())).toMatchObject({ kind: 'right', word: 'Undone' });
    expect(await doAct(world.at, undo, by())).toMatchObject({ kind: 'right', word: 'Undone' });
    expect(await listOut(world.at)).toEqual([]);
  }, 300_000);

  it('takes a bag home to be counted, and puts a clash before a person instead of dropping it', async () => {
    const { bags, families } = await hallKnown(world.at);
    const tag = bags[0]!.tag;
    const card = families[0]!.card;
    await doAct(world.at, act({ kind: 'lend', tag, card }), by());
    const late = act({ kind: 'lend', tag, card: families[1]!.card, away: true });
    expect(await doAct(world.at, late, by())).toMatchObject({ kind: 'wrong' });
    const [clash, ...rest] = await clashes(world.at);
    expect(rest).toEqual([]);
    expect(clash!.heard.text).toContain('is out with');
    expect(await settleClash(world.at, clash!.id)).toBe(true);
    expect(await settleClash(world.at, clash!.id)).toBe(false);
    expect(await doAct(world.at, act({ kind: 'home', tag }), by())).toMatchObject({
      kind: 'right',
      word: 'Home',
    });
    expect((await hallKnown(world.at)).bags.find((bag) => bag.tag === tag)!.arrived).toBe(true);
    expect(await doAct(world.at, act({ kind: 'home', tag }), by())).toMatchObject({ kind: 'wrong' });
    expect(
      await doAct(world.at, act({ kind: 'lend', tag, card, day: daysAfter(day, 9) }), by()),
    ).toMatchObject({
      word: 'Clock',
    });
  }, 300_000);

  it('knows each family by a card of its own', async () => {
    await giveCards(world.at, () => randomCard(secureRandom));
    const cards = (await listFamilies(world.at)).map(({ card }) => card!);
    expect(new Set(cards).size).toBe(3);
    expect((await familyByCard(world.at, cards[1]!))!.card).toBe(cards[1]);
    await giveCards(world.at, () => randomCard(secureRandom));
    expect((await listFamilies(world.at)).map(({ card }) => card)).toEqual(cards);
  });
});
