import { describe, expect, it } from 'vitest';
import { showTag } from '~/core/kits/tag';
import { findCopy } from '~/data/queries/copies';
import { listClosed, listOut } from '~/data/queries/lending';
import { smallSchoolForEach, expectAccessible, scan, signIn, visitor, open, toScanLine } from './browser';

const world = smallSchoolForEach();

describe('the desk', () => {
  it('lends and takes back by keyboard alone', async () => {
    const { page, complaints } = await visitor();
    const { keyboard } = page;
    const tag = world.copies[0]!.tag;
    await open(page, '/sign-in');
    await keyboard.type('Helper');
    await keyboard.press('Tab');
    await keyboard.type('a long enough password');
    await keyboard.press('Enter');
    await page.waitForURL('**/today');
    await toScanLine(page);
    await keyboard.type(tag);
    await keyboard.press('Enter');
    await page.waitForURL(`**/lend?copy=${tag}`);
    // Two families have an "a" and a "u": the arrow chooses.
    await keyboard.type('family');
    await page.getByRole('option', { name: /Family Dunlin/ }).waitFor();
    await keyboard.press('ArrowDown');
    await expect.poll(() => page.locator('[aria-selected="true"]').innerText()).toContain('Enter: ');
    const chosen = (await page.locator('[aria-selected="true"]').innerText())
      .replace(/^Enter: lend to /, '')
      .replace(/ \(.*/, '');
    await keyboard.press('Enter');
    await page.getByText(`Enter: lend ${showTag(tag)} to ${chosen}`).waitFor();
    await keyboard.press('Enter');
    await page.getByText(`is with ${chosen} until`).waitFor();
    expect(await listOut(world.at)).toMatchObject([{ tag, familyName: chosen }]);

    await keyboard.type(tag);
    await keyboard.press('Enter');
    await page.getByRole('heading', { name: `What came back in ${showTag(tag)}?` }).waitFor();
    await page.getByText(`Enter: take back ${showTag(tag)}, complete`).waitFor();
    await keyboard.press('F2');
    await keyboard.press('Enter');
    await page.getByText('complete.').waitFor();
    expect(await listOut(world.at)).toEqual([]);
    expect(complaints).toEqual([]);
  });

  it('does not lend one copy twice from two browsers', async () => {
    const desks = await Promise.all([visitor({ expected: /409/ }), visitor({ expected: /409/ })]);
    const tag = world.copies[0]!.tag;
    for (const [i, { page }] of desks.entries()) {
      await signIn(page);
      await open(page, `/lend?copy=${tag}&family=${world.families[i]!.id}`);
      await page.getByRole('button', { name: 'Lend this copy' }).waitFor();
    }
    await Promise.all(desks.map(({ page }) => page.getByRole('button', { name: 'Lend this copy' }).click()));
    const told = await Promise.all(
      desks.map(({ page }) =>
        page
          .getByRole('status')
          .filter({ hasText: /is with|went out a moment ago/ })
          .innerText(),
      ),
    );
    expect(told.filter((text) => text.includes('is with'))).toHaveLength(1);
    expect(told.filter((text) => text.includes('went out a moment ago'))).toHaveLength(1);
    expect(await listOut(world.at)).toHaveLength(1);
    for (const { complaints } of desks) expect(complaints).toEqual([]);
  });

  it('takes a tag, a family and Enter in one breath, as fast as a barcode reader sends them', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/lend');
    await toScanLine(page);
    await page.keyboard.type(world.copies[2]!.tag);
    await page.keyboard.press('Enter');
    await page.keyboard.type('dunlin');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');
    await page.getByText('is with Family Dunlin until').waitFor();
    expect(await listOut(world.at)).toMatchObject([
      { tag: world.copies[2]!.tag, familyName: 'Family Dunlin' },
    ]);
    expect(complaints).toEqual([]);
  });

  it('undoes a loan and a return, and changes the due date', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    const tag = world.copies[1]!.tag;
    await signIn(page);
    await open(page, `/lend?copy=${tag}&family=${world.families[0]!.id}`);
    await page.getByLabel('Due back on').fill('2020-01-01');
    await page.getByRole('button', { name: 'Lend this copy' }).click();
    await page.getByText('The due date must be a day from today').waitFor();
    const due = new Date(Date.now() + 5 * 86_400_000).toISOString().slice(0, 10);
    await page.getByLabel('Due back on').fill(due);
    await page.getByRole('button', { name: 'Lend this copy' }).click();
    await page.getByRole('button', { name: 'Undo this loan' }).waitFor();
    expect((await listOut(world.at))[0]!.dueOn).toBe(due);
    await page.getByRole('button', { name: 'Undo this loan' }).click();
    await page.getByText('as if it had not been lent').waitFor();
    expect(await listOut(world.at)).toEqual([]);
    await scan(page, tag);
    await page.waitForURL(`**/lend?copy=${tag}`);
    await scan(page, 'dunlin');
    await page.getByText('to Family Dunlin until').waitFor();
    await page.getByRole('button', { name: 'Lend this copy' }).click();
    await page.getByText('is with Family Dunlin').waitFor();
    await scan(page, tag);
    await page.getByLabel('Due back on').fill('2020-01-01');
    await page.getByRole('button', { name: 'Change the due date' }).click();
    await page.getByText('Choose a day from today to a year from now.').waitFor();
    await page.getByLabel('Due back on').fill(due);
    await page.getByRole('button', { name: 'Change the due date' }).click();
    await page.getByText('It is due on').waitFor();
    expect((await listOut(world.at))[0]!.dueOn).toBe(due);
    await page.getByRole('button', { name: 'Take it back, complete' }).click();
    await page.getByRole('button', { name: 'Undo this return' }).click();
    await page.getByText('counts as out again').waitFor();
    expect(await listOut(world.at)).toHaveLength(1);
    expect(await listClosed(world.at, 5)).toMatchObject([{ closedAs: 'undone' }]);
    expect(complaints).toEqual([]);
  });

  it('says what is wrong with what was scanned, and reads the label of a phone', async () => {
    const { page, complaints } = await visitor();
    const copy = world.copies[0]!;
    await signIn(page);
    await open(page, '/lend');
    await open(page, '/lend');
    await toScanLine(page);
    await page.keyboard.type(`${copy.tag.slice(0, 4)}${copy.tag[4] === '3' ? '4' : '3'}`);
    await page.getByText('one character is wrong or two are swapped').waitFor();
    await page.keyboard.press('Escape');
    await page.keyboard.type('zzz');
    await page.getByText('Nothing here is called “zzz”').waitFor();
    await page.keyboard.press('Escape');
    await page.keyboard.type(
      `http://school.invalid/p/${(await findCopy(world.at, { id: copy.id }))!.linkKey}`,
    );
    await page.keyboard.press('Enter');
    await page.waitForURL(`**/lend?copy=${copy.tag}`);
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });
});
