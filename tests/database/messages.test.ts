import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { daysAfter } from '~/core/lending/due';
import { USUAL_LENDING } from '~/core/lending/rules';
import { REMINDER_WORDS } from '~/core/words/reminders';
import { closeDatabase } from '~/data/pools';
import { familyFields, forgetFamily, updateFamily, type Family } from '~/data/queries/families';
import { askFor } from '~/data/queries/holds';
import { changeDue, findLoan } from '~/data/queries/lending';
import { takeBack } from '~/data/queries/returns';
import { askedBy, letMessagesGo, pageOfMessages, schoolOfMessage, sendOne } from '~/data/queries/outbox';
import { saveLendingRules } from '~/data/queries/rules';
import { addLineChecks } from '~/data/queries/words';
import { carried, message } from '~/data/schema';
import { evening } from '~/server/lending/evening';
import { send, useCarrier } from '~/server/lending/outbox';
import { comesOn, keepsLonger, tellsLost } from '~/server/reply';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { lendOut, smallSchool, type SmallSchool, answersOf } from '../world';

let world: SmallSchool;
let day: string;
beforeEach(async () => {
  world = await smallSchool();
  day = todayAt(world.at);
  useCarrier();
});
afterAll(closeDatabase);

const WORDED = { id: REMINDER_WORDS.id, words: REMINDER_WORDS };
const reach = async (one: Family, change: object): Promise<void> => {
  await updateFamily(
    world.at,
    one.id,
    { ...familyFields(one), channel: 'message', reach: '555-0100', ...change },
    1,
  );
};
const messages = async () => (await pageOfMessages(world.at, { first: 0, most: 100 })).messages;
const states = async () =>
  (await messages()).map(({ familyName, state, kind }) => `${familyName}: ${kind} ${state}`).sort();
const checkSpanish = () =>
  addLineChecks(
    world.at,
    WORDED,
    Object.keys(REMINDER_WORDS.en).map((messageId) => ({
      messageId,
      language: 'es',
      right: true,
      note: '',
      personId: world.people.reader.id,
    })),
  );
const due = (copy: number, family: number, dueOn: string): Promise<string> =>
  lendOut(world, { copy, family, lentOn: daysAfter(day, -30), dueOn });

describe('an evening', () => {
  it('says one thing for all bags of a family, once, however many servers do it', async () => {
    await reach(world.families[1]!, {});
    await due(0, 1, daysAfter(day, 1));
    await due(1, 1, day);
    await due(2, 1, daysAfter(day, 9));
    await Promise.all(Array.from({ length: 5 }, () => evening(world.at, day)));
    const [one, ...rest] = await messages();
    expect(rest).toEqual([]);
    expect(one!.text.match(/First splits|Splits/g)?.length ?? one!.text.split('\n').length).toBeGreaterThan(
      1,
    );
    expect(one!.said).toHaveLength(2);
    await evening(world.at, day);
    await evening(world.at, daysAfter(day, 1));
    // On the next evening the first bag is due: that is new, and the second has been said.
    expect((await messages()).map(({ said }) => said.length)).toEqual([1, 2]);
  });

  it('tells who reads messages how to answer by text, in their words, where one bag is meant', async () => {
    await reach(world.families[1]!, {});
    await due(0, 1, daysAfter(day, 1));
    await reach(world.families[2]!, { channel: 'mail' });
    await due(1, 2, daysAfter(day, 1));
    await evening(world.at, day);
    const texts = Object.fromEntries((await messages()).map(({ familyName, text }) => [familyName, text]));
    expect(texts['Family Dunlin']).toMatch(/easy, ok or hard, then the minutes\. 1 Two-Tone Spill/);
    expect(texts['Family Auk']).not.toMatch(/by text/);
  });

  it('says nothing to who never wants it, once a week to who would rather, and on paper to whom nobody can reach', async () => {
    await reach(world.families[0]!, { channel: 'never' });
    await reach(world.families[1]!, { weekly: true });
    await reach(world.families[2]!, { channel: 'mail', reach: '' });
    for (const [copy, family] of [
      [0, 0],
      [1, 1],
      [2, 2],
    ] as const)
      await due(copy, family, daysAfter(day, 1));
    for (let i = 0; i < 3; i++) await evening(world.at, daysAfter(day, i));
    expect(await states()).toEqual([
      'Family Auk: reminder paper',
      'Family Auk: reminder paper',
      'Family Dunlin: reminder waiting',
    ]);
  });

  it('holds back what no fluent reader has checked, or marks it, as the school decides', async () => {
    await reach(world.families[0]!, {});
    const loanId = await due(0, 0, day);
    await evening(world.at, day);
    expect(await states()).toEqual(['Familia Vela: reminder held']);
    expect((await messages())[0]!.text).toContain('Hola, Familia Vela');
    // Checked by the next evening: what is true then is said, and what was held is not.
    await checkSpanish();
    await changeDue(world.at, loanId, daysAfter(day, 1), world.people.helper.id);
    await evening(world.at, daysAfter(day, 1));
    expect(await states()).toEqual(['Familia Vela: reminder dropped', 'Familia Vela: reminder waiting']);
    expect((await messages()).map(({ unchecked }) => unchecked)).toEqual([false, true]);
  });

  it('sends it marked where the school says so', async () => {
    await reach(world.families[0]!, {});
    await saveLendingRules(world.at, { ...USUAL_LENDING, unchecked: 'send' }, 1, world.people.coordinator.id);
    await due(0, 0, day);
    await evening(world.at, day);
    const [one] = await messages();
    expect(one).toMatchObject({ state: 'waiting', unchecked: true });
    expect(one!.text.split('\n')).toHaveLength(6);
  });

  it('tells of a bag that is set aside, once for each bag', async () => {
    await reach(world.families[1]!, {});
    await askFor(world.at, {
      familyId: world.families[1]!.id,
      kitId: world.kitId,
      personId: null,
      today: day,
    });
    await evening(world.at, day);
    await evening(world.at, day);
    expect(await states()).toEqual(['Family Dunlin: offer waiting']);
  });
});

describe('sending', () => {
  const waitingOne = async (): Promise<string> => {
    await reach(world.families[1]!, {});
    await due(0, 1, day);
    const [id] = await evening(world.at, day);
    return id!;
  };

  it('is done once when several servers hold the same job', async () => {
    const id = await waitingOne();
    let handed = 0;
    useCarrier(async (tx, { id: of }) => {
      handed++;
      await tx.insert(carried).values({ messageId: of });
    });
    await Promise.all(Array.from({ length: 6 }, () => send(world.at, id, false)));
    expect(handed).toBe(1);
    expect(await states()).toEqual(['Family Dunlin: reminder sent']);
  });

  it('is tried again after a failure, with what was handed over known by its id, and given up at last', async () => {
    const id = await waitingOne();
    useCarrier(() => Promise.reject(new Error('nobody answers')));
    await expect(send(world.at, id, false)).rejects.toThrow();
    expect((await messages())[0]).toMatchObject({ state: 'waiting', tries: 1 });
    await expect(send(world.at, id, true)).rejects.toThrow();
    expect((await messages())[0]).toMatchObject({ state: 'failed', tries: 2 });
    useCarrier();
    await send(world.at, id, false);
    expect((await messages())[0]).toMatchObject({ state: 'failed' });
    expect(await letMessagesGo(world.at, [id])).toEqual({ moved: 1, waiting: [id] });
    expect(await letMessagesGo(world.at, [id])).toEqual({ moved: 0, waiting: [] });
    await send(world.at, id, false);
    expect((await messages())[0]).toMatchObject({ state: 'sent', problem: '' });
    expect(await everything().select().from(carried)).toHaveLength(1);
  });

  it('leaves nothing half done when the process ends between handing over and writing it down', async () => {
    const id = await waitingOne();
    await expect(
      sendOne(world.at, id, async (tx, { id: of }) => {
        await tx.insert(carried).values({ messageId: of });
        throw new Error('killed');
      }),
    ).rejects.toThrow('killed');
    expect(await everything().select().from(carried)).toEqual([]);
    await send(world.at, id, false);
    expect(await everything().select().from(carried)).toHaveLength(1);
  });
});

describe('an answer', () => {
  const asked = async () => {
    await reach(world.families[1]!, {});
    const loanId = await due(0, 1, day);
    await evening(world.at, day);
    const { linkKey } = (await messages())[0]!;
    expect((await schoolOfMessage(linkKey))!.id).toBe(world.at.schoolId);
    return { loanId, asked: (await askedBy(world.at, linkKey))!, linkKey };
  };

  it('says when they come, keeps a bag longer, or tells what is lost', async () => {
    const { loanId, asked: about, linkKey } = await asked();
    expect(about.bags).toHaveLength(1);
    await comesOn(world.at, about, daysAfter(day, 2));
    expect((await messages())[0]).toMatchObject({ answered: 'coming', answeredDay: daysAfter(day, 2) });
    expect(await keepsLonger(world.at, about)).toMatchObject({
      kind: 'longer',
      bags: [{ kitName: 'First splits' }],
    });
    expect((await findLoan(world.at, loanId))!.dueOn > day).toBe(true);
    await tellsLost(world.at, about, loanId, 'one counter');
    await tellsLost(world.at, about, loanId, 'one counter');
    expect((await answersOf(world.at)).map(({ answer }) => answer.missing)).toEqual(['one counter']);
    expect(await tellsLost(world.at, about, crypto.randomUUID(), 'x')).toBeUndefined();
    await takeBack(world.at, { loanId, returnedOn: day, counts: [], personId: null });
    expect((await askedBy(world.at, linkKey))!.bags).toEqual([]);
  });

  it('goes with the family when it is forgotten', async () => {
    const { loanId, linkKey } = await asked();
    await takeBack(world.at, { loanId, returnedOn: day, counts: [], personId: null });
    await forgetFamily(world.at, world.families[1]!.id);
    expect(await askedBy(world.at, linkKey)).toBeUndefined();
    expect(await everything().select().from(message)).toEqual([]);
  });
});
