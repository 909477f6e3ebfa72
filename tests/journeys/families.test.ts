import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { closeDatabase } from '~/data/pools';
import { listFamilies } from '~/data/queries/families';
import { smallSchool, type SmallSchool } from '../world';
import { closeBrowser, expectAccessible, signIn, visitor, open } from './browser';

let world: SmallSchool;
beforeAll(async () => {
  world = await smallSchool();
});
afterAll(async () => {
  await closeBrowser();
  await closeDatabase();
});

describe('families', () => {
  it('are added, corrected, imported with a preview, exported and forgotten', async () => {
    const { page, complaints } = await visitor({ expected: /400|409/ });
    await signIn(page);
    await open(page, '/lend/families');
    await page.getByRole('link', { name: 'Add a family' }).click();
    await page.getByRole('button', { name: 'Add this family' }).click();
    await page.getByText('write how the family wants to be called').waitFor();
    await page.getByLabel('Family name').fill('Family Dunlin');
    await page.getByRole('button', { name: 'Add this family' }).click();
    await page.getByText('There is a family called “Family Dunlin” already.').waitFor();
    await page.getByLabel('Family name').fill('Família Maré');
    await page.getByLabel('How to reach them').fill('at the gate');
    await page.getByLabel('Children').fill('Ana Maria Maré, grade 1');
    await page.getByRole('button', { name: 'Add this family' }).click();
    await page.getByText('a nickname or an initial is enough').first().waitFor();
    await page.getByLabel('Children').fill('A., 1st grade\nBo, K');
    await page.getByLabel('Class or group').fill('Room 4');
    await page.getByLabel('Other languages').fill('español');
    await page.getByRole('radio', { name: 'a message to the phone' }).check({ force: true });
    await page.getByText('A child under three lives at home').click();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Add this family' }).click();
    await page.getByText('Família Maré is on the list.').waitFor();
    await page.getByRole('cell', { name: 'A., grade 1; Bo, kindergarten' }).waitFor();

    // What is typed survives a closed tab.
    await open(page, '/lend/families/new');
    await page.getByLabel('Family name').fill('Half typed');
    await page.reload();
    await page.locator('html[data-ready]').waitFor();
    await expect.poll(() => page.getByLabel('Family name').inputValue()).toBe('Half typed');

    await open(page, '/lend/families/import');
    const csv =
      'name,language,underThree\r\nFamily Tern,English,no\r\nFamily Dunlin,en,no\r\nFamily Knot,Klingon,no\r\n';
    await page
      .getByLabel('The file')
      .setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
    await page.getByRole('button', { name: 'Show what is in it' }).click();
    await page.getByText('1 family can be added').waitFor();
    await page.getByText('A family of this name is there already.').waitFor();
    await page.getByText('“Klingon” is not one of the languages').waitFor();
    expect((await listFamilies(world.at)).map((family) => family.name)).not.toContain('Family Tern');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Add 1 family' }).click();
    await page.getByText('1 family was added.').waitFor();

    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Export as CSV' }).click();
    const exported = readFileSync(await (await download).path(), 'utf8');
    expect(exported.split('\r\n')[0]).toBe(
      'name,language,speaks,children,group,reach,channel,weekly,underThree,allergens,pictures',
    );
    expect(exported).toContain(
      'Família Maré,en,Spanish,"A., grade 1; Bo, kindergarten",Room 4,at the gate,message,no,yes,,no',
    );

    await page.getByRole('link', { name: 'Família Maré' }).click();
    await page.getByLabel('Allergens').fill('latex');
    await page.getByRole('button', { name: 'Save this family' }).click();
    await page.getByText('What changed is kept.').waitFor();
    await page.getByRole('button', { name: 'Forget this family' }).click();
    await page.getByRole('button', { name: 'Forget them for good' }).click();
    await page.getByText('Nothing about this family is kept any more.').waitFor();
    expect((await listFamilies(world.at)).map((family) => family.name).sort()).toEqual([
      'Familia Vela',
      'Family Auk',
      'Family Dunlin',
      'Family Tern',
    ]);
    expect(complaints).toEqual([]);
  });
});
