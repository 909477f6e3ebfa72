/** Which browsers may ask for a family: opened by its message, or by the number of the loan, and no others. */
import { forgetCodeTries, mayTryCode } from '~/server/limits';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { daysAfter } from '~/core/lending/due';
import { closeDatabase } from '~/data/pools';
import { isOpenedFor, mayAnswerFrom, openBrowserFor, openWithCode, renewCode } from '~/data/queries/browsers';
import { findLoan } from '~/data/queries/lending';
import { takeBack } from '~/data/queries/returns';
import { today as todayAt } from '~/server/today';
import { lendOut, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let loanId: string;
const code = async (): Promise<string> => (await findLoan(world.at, loanId))!.code;

beforeEach(async () => {
  world = await smallSchool();
  const day = todayAt(world.at);
  loanId = await lendOut(world, { copy: 0, family: 1, lentOn: day, dueOn: daysAfter(day, 5) });
});
afterAll(closeDatabase);

describe('the number of a loan', () => {
  it('opens one browser, whoever types it first', async () => {
    const number = await code();
    const tried = await Promise.all(
      ['a', 'b', 'c', 'd'].map((hash) => openWithCode(world.at, loanId, number, hash)),
    );
    expect(tried.filter(Boolean)).toHaveLength(1);
    expect(await code()).toBe('');
    const open = await Promise.all(['a', 'b', 'c', 'd'].map((hash) => isOpenedFor(world.at, loanId, hash)));
    expect(open).toEqual(tried);
  });
  it('is no other number, and never the empty one that was used', async () => {
    const number = await code();
    for (const odd of [
      '',
      '0',
      number.slice(1),
      `${number}0`,
      '١٢٣٤٥',
      'null',
      String(99_999 - Number(number)),
    ])
      if (odd !== number) expect([odd, await openWithCode(world.at, loanId, odd, 'x')]).toEqual([odd, false]);
    expect(await openWithCode(world.at, loanId, number, 'a')).toBe(true);
    expect(await openWithCode(world.at, loanId, '', 'b')).toBe(false);
  });
  it('closes the browsers that were opened, when there is a new one', async () => {
    await openBrowserFor(world.at, loanId, 'a');
    const before = await code();
    await renewCode(world.at, loanId);
    expect(await isOpenedFor(world.at, loanId, 'a')).toBe(false);
    expect(await openWithCode(world.at, loanId, before, 'a')).toBe(before === (await code()));
  });
  it('opens nothing of the next loan of the same bag', async () => {
    await openBrowserFor(world.at, loanId, 'a');
    const day = todayAt(world.at);
    await takeBack(world.at, {
      loanId,
      returnedOn: day,
      counts: world.copies[0]!.parts.map(({ material, quantity }) => ({
        material,
        expected: quantity,
        counted: quantity,
      })),
      personId: world.people.helper.id,
    });
    const next = await lendOut(world, { copy: 0, family: 2, lentOn: day, dueOn: daysAfter(day, 5) });
    expect(await isOpenedFor(world.at, next, 'a')).toBe(false);
    await renewCode(world.at, loanId);
    // A loan that is over has no number to type.
    expect(await openWithCode(world.at, loanId, await code(), 'a')).toBe(false);
  });

  it('has tries of its own: those at the number before do not count against another one', async () => {
    const day = todayAt(world.at);
    const loanId = await lendOut(world, { copy: 1, family: 1, lentOn: day, dueOn: daysAfter(day, 5) });
    while (await mayTryCode(loanId));
    expect(await mayTryCode(loanId)).toBe(false);
    expect(await renewCode(world.at, loanId)).toBe(true);
    await forgetCodeTries(loanId);
    expect(await mayTryCode(loanId)).toBe(true);
    // Nobody makes room for tries at a loan that is not theirs.
    expect(await renewCode(world.at, crypto.randomUUID())).toBe(false);
  });
});

describe('the label', () => {
  const answering = (hash: string): Promise<boolean> => mayAnswerFrom(world.at, loanId, hash);
  it('lets one browser answer, whichever comes first, and asks nothing for the family', async () => {
    const hashes = ['a', 'b', 'c', 'd'];
    const may = await Promise.all(hashes.map(answering));
    expect(may.filter(Boolean)).toHaveLength(1);
    expect(await Promise.all(hashes.map(answering))).toEqual(may);
    expect(await Promise.all(hashes.map((hash) => isOpenedFor(world.at, loanId, hash)))).toEqual(
      hashes.map(() => false),
    );
  });
  it('leaves the way open for browsers that were opened, before and after', async () => {
    await openBrowserFor(world.at, loanId, 'opened');
    expect(await answering('opened')).toBe(true);
    // Whoever was opened has not taken the place of the label.
    expect(await answering('first')).toBe(true);
    expect(await answering('second')).toBe(false);
    expect(await openWithCode(world.at, loanId, await code(), 'second')).toBe(true);
    expect([await answering('second'), await isOpenedFor(world.at, loanId, 'second')]).toEqual([true, true]);
    // The first one opens too, and still nobody else answers by the label.
    await openBrowserFor(world.at, loanId, 'first');
    expect([await answering('third'), await isOpenedFor(world.at, loanId, 'first')]).toEqual([false, true]);
  });
  it('begins anew with the next loan', async () => {
    expect(await answering('a')).toBe(true);
    const day = todayAt(world.at);
    const next = await lendOut(world, { copy: 1, family: 2, lentOn: day, dueOn: daysAfter(day, 5) });
    expect(await mayAnswerFrom(world.at, next, 'b')).toBe(true);
  });
});
