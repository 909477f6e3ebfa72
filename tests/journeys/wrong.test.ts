import { describe, expect, it } from 'vitest';
import { showTag } from '~/core/kits/tag';
import { daysAfter } from '~/core/lending/due';
import { findKit, listVariants } from '~/data/queries/kits';
import { findFamily, listFamilies } from '~/data/queries/families';
import { listShortages } from '~/data/queries/counts';
import { findLoan, listOut } from '~/data/queries/lending';
import { today } from '~/server/today';
import { addVariant, lendOut } from '../world';
import { smallSchoolForEach, expectAccessible, open, signIn, visitor } from './browser';

/** What a tired person types: every form says what is wrong in a sentence, keeps it, and stores nothing. */
const world = smallSchoolForEach();

const out = (): Promise<string> =>
  lendOut(world, { lentOn: today(world.at), dueOn: daysAfter(today(world.at), 14) });

describe('wrong input', () => {
  it('on a bench: a variant without a name, or with one that is taken', async () => {
    const { page, complaints } = await visitor({ expected: /40[09]/ });
    await signIn(page);
    await open(page, '/choose/two-tone-spill');
    await page.getByRole('button', { name: 'One more: Counters' }).click();
    const name = page.getByLabel('Name of the variant');
    const save = page.getByRole('button', { name: 'Save this variant' });
    await save.click();
    await page.getByText('Name of the variant must not be empty.').waitFor();
    await expectAccessible(page);
    await name.fill('SIX');
    await save.click();
    await page.getByText('There is a variant called “SIX” already. Choose another name.').waitFor();
    expect(await name.inputValue()).toBe('SIX');
    // The knob that was turned is where it was left.
    const counters = await page.getByRole('textbox', { name: 'Counters' }).inputValue();
    expect(await listVariants(world.at)).toHaveLength(1);
    await name.fill('Another six');
    await save.click();
    await page.getByText('It can go into a kit now.').waitFor();
    const made = (await listVariants(world.at)).find((one) => one.name === 'Another six')!;
    expect(made.params.counters).toBe(Number(counters));
    expect(complaints).toEqual([]);
  });

  it('on a bench: a variant that is in a kit is not put away', async () => {
    const [six] = (await findKit(world.at, world.kitId))!.variants;
    const { page, complaints } = await visitor({ expected: /409/ });
    await signIn(page);
    await open(page, `/choose/two-tone-spill?variant=${six!.id}`);
    await page.getByRole('button', { name: 'Put this variant away' }).click();
    await page.getByText('It is in First splits. Take it out of there first; nothing was changed.').waitFor();
    expect((await listVariants(world.at)).map(({ name }) => name)).toEqual(['Six']);
    const spare = await addVariant(world, 'two-tone-spill', 'Spare');
    await open(page, `/choose/two-tone-spill?variant=${spare.id}`);
    await page.getByRole('button', { name: 'Put this variant away' }).click();
    await page.waitForURL('**/choose');
    expect((await listVariants(world.at)).map(({ name }) => name)).toEqual(['Six']);
    expect(complaints).toEqual([]);
  });

  it('about a family: no name, a name that is taken, a forgetting while something is out', async () => {
    await out();
    const { page, complaints } = await visitor({ expected: /40[09]/ });
    await signIn(page);
    await open(page, `/lend/families/${world.families[0]!.id}`);
    const name = page.getByLabel('Family name');
    const reach = page.getByLabel('How to reach them');
    const save = page.getByRole('button', { name: 'Save this family' });
    await reach.fill('at the gate');
    await name.fill(' ');
    await save.click();
    await page.getByText('Not saved yet').waitFor();
    await expect.poll(() => name.evaluate((input) => input === document.activeElement)).toBe(true);
    expect(await reach.inputValue()).toBe('at the gate');
    await name.fill('family auk');
    await save.click();
    await page.getByText('There is a family called “family auk” already.').waitFor();
    expect([await name.inputValue(), await reach.inputValue()]).toEqual(['family auk', 'at the gate']);
    expect(await findFamily(world.at, world.families[0]!.id)).toMatchObject({
      name: 'Familia Vela',
      reach: '',
    });
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Forget this family …' }).click();
    await page.getByRole('button', { name: 'Forget them for good' }).click();
    await page.getByText('A copy is still out with this family.').waitFor();
    expect(await listFamilies(world.at)).toHaveLength(3);
    expect(complaints).toEqual([]);
  });

  it('at the desk: a due date in the past', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page, 'Helper');
    await open(page, `/lend?copy=${world.copies[0]!.tag}&family=${world.families[1]!.id}`);
    const due = page.getByLabel('Due back on');
    await due.fill(daysAfter(today(world.at), -3));
    await page.getByRole('button', { name: /^Lend/ }).click();
    await page.getByText('The due date must be a day from today to a year from now.').waitFor();
    expect(await due.inputValue()).toBe(daysAfter(today(world.at), -3));
    expect(await listOut(world.at)).toEqual([]);
    await due.fill(daysAfter(today(world.at), 10));
    await page.getByRole('button', { name: /^Lend/ }).click();
    await page.getByText('is with Family Dunlin until').waitFor();
    expect(await listOut(world.at)).toMatchObject([{ dueOn: daysAfter(today(world.at), 10) }]);
    expect(complaints).toEqual([]);
  });

  it('at a return: a day long gone, and a count that was left for an hour', async () => {
    const loanId = await out();
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page, 'Helper');
    await open(page, `/take-back/${loanId}`);
    const counters = page.getByRole('textbox', { name: 'two-color counters that came back' });
    await counters.fill('4');
    await counters.press('Tab');
    await page.getByText('2 missing').waitFor();
    await page.getByLabel('Due back on').fill('2020-01-01');
    await page.getByRole('button', { name: 'Change the due date' }).click();
    await page.getByText('Choose a day from today to a year from now.').waitFor();
    expect((await findLoan(world.at, loanId))!.dueOn).toBe(daysAfter(today(world.at), 14));
    // The count beside it is still there, also when the page is opened again.
    expect(await counters.inputValue()).toBe('4');
    await open(page, `/take-back/${loanId}`);
    await expect.poll(() => counters.inputValue()).toBe('4');
    await page.getByRole('button', { name: 'Take it back with parts missing' }).click();
    await page.getByText(`missing: 2 of 6 two-color counters`).waitFor();
    expect(await listShortages(world.at)).toMatchObject([
      { tag: world.copies[0]!.tag, expected: 6, counted: 4 },
    ]);
    expect(complaints).toEqual([]);
  });

  it('at a return: another desk was quicker', async () => {
    const loanId = await out();
    const one = await visitor();
    const other = await visitor();
    for (const { page } of [one, other]) {
      await signIn(page, 'Helper');
      await open(page, `/take-back/${loanId}`);
    }
    await one.page.getByRole('button', { name: 'Take it back, complete' }).click();
    await one.page.waitForURL('**/take-back?home=*');
    await other.page.getByRole('button', { name: 'One less: two-color counters that came back' }).click();
    await other.page.getByRole('button', { name: 'Take it back with parts missing' }).click();
    await other.page.getByText('taken back already, at another desk').waitFor();
    await other.page.getByText(`${showTag(world.copies[0]!.tag)} is home already`).waitFor();
    expect(await listShortages(world.at)).toEqual([]);
  });
});
