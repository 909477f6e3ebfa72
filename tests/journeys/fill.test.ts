import { describe, expect, it } from 'vitest';
import { listCopies, markPrinted } from '~/data/queries/copies';
import { findKit } from '~/data/queries/kits';
import { addVariant } from '../world';
import { smallSchoolForEach, expectAccessible, open, signIn, visitor } from './browser';

const world = smallSchoolForEach();

describe('a kit', () => {
  it('keeps a change that was not finished, says what is wrong, and leaves built copies alone', async () => {
    await addVariant(world, 'harvest-mat', 'Mat to six');
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    await open(page, `/fill/${world.kitId}`);
    await page.getByRole('link', { name: 'Change this kit' }).click();
    const name = page.getByLabel('Name of the kit');
    await name.fill('Splits and mats');
    await page.getByText('Mat to six').click();
    const tray = page.getByRole('list', { name: 'The tray' });
    await expect.poll(() => tray.innerText()).toMatch(/1\s+(mat|die)/);
    // Interrupted: the tab is closed and opened again.
    await open(page, `/fill/${world.kitId}`);
    expect((await findKit(world.at, world.kitId))!.name).toBe('First splits');
    await page.getByRole('link', { name: 'Change this kit' }).click();
    expect(await name.inputValue()).toBe('Splits and mats');
    expect(await page.getByRole('checkbox', { name: /Mat to six/ }).isChecked()).toBe(true);
    await expectAccessible(page);

    // Wrong input: each place is named and nothing is lost.
    await name.fill('   ');
    await page.getByRole('checkbox', { name: /Mat to six/ }).press('Space');
    await page.getByRole('checkbox', { name: /^Six/ }).press('Space');
    await page.getByRole('button', { name: 'Save the changes' }).click();
    await page.getByText('Not saved yet').waitFor();
    await page.getByText('Name of the kit must not be empty.').waitFor();
    // The first marked field is in sight and has the focus.
    await expect.poll(() => name.evaluate((input) => input === document.activeElement)).toBe(true);
    expect(await page.getByText('Not saved yet').isVisible()).toBe(true);
    await expectAccessible(page);
    expect(await page.getByRole('checkbox', { name: /^Six/ }).isChecked()).toBe(false);
    expect(await name.inputValue()).toBe('   ');
    await name.fill('Splits and mats');
    await page.getByRole('checkbox', { name: /Mat to six/ }).press('Space');
    await page.getByRole('checkbox', { name: /^Six/ }).press('Space');
    await page.getByRole('button', { name: 'Save the changes' }).click();
    await page.getByRole('heading', { name: 'Splits and mats', level: 1 }).waitFor();
    await page.getByText('Copies built before stay as they were').waitFor();
    const kit = (await findKit(world.at, world.kitId))!;
    expect(kit.variants.map((one) => one.name).sort()).toEqual(['Mat to six', 'Six']);
    const [built] = await listCopies(world.at, { kitId: world.kitId });
    expect(built!.plan.variants.map((one) => one.gameId)).toEqual(['two-tone-spill']);
    expect(complaints).toEqual([]);
  });

  it('forgets a change that is given up', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, `/fill/${world.kitId}`);
    await page.getByRole('link', { name: 'Change this kit' }).click();
    await page.getByLabel('Name of the kit').fill('Nothing');
    await page.getByRole('link', { name: 'Leave it as it was' }).click();
    await page.getByRole('heading', { name: 'First splits', level: 1 }).waitFor();
    await page.getByRole('link', { name: 'Change this kit' }).click();
    expect(await page.getByLabel('Name of the kit').inputValue()).toBe('First splits');
    expect(complaints).toEqual([]);
  });

  it('is built by a helper, who may not change it, and unbuilt only while nothing is printed', async () => {
    const { page, complaints } = await visitor({ expected: /409/ });
    await signIn(page, 'Helper');
    await open(page, '/fill');
    await page.getByText('3 copies, 0 out').waitFor();
    expect(await page.getByRole('link', { name: 'Start a new kit' }).count()).toBe(0);
    await page.getByRole('link', { name: 'First splits' }).click();
    await page.getByRole('heading', { name: 'First splits', level: 1 }).waitFor();
    expect(await page.getByRole('link', { name: 'Change this kit' }).count()).toBe(0);
    await page.getByRole('textbox', { name: 'How many' }).fill('2');
    await page.getByRole('button', { name: 'Build and tag these copies' }).click();
    await page.getByText('2 copies have a tag now').waitFor();
    await expectAccessible(page);
    const copies = await listCopies(world.at, { kitId: world.kitId });
    expect(copies).toHaveLength(5);
    const fresh = copies.filter(({ printedAt }) => printedAt === null);
    expect(new Set(copies.map(({ tag }) => tag)).size).toBe(5);
    // Somebody else says meanwhile that one of them is printed.
    await markPrinted(world.at, [fresh[0]!.id]);
    await page.getByRole('button', { name: 'Undo this build' }).click();
    await page.getByText('One of these copies was printed or lent meanwhile, so they stay.').waitFor();
    expect(await listCopies(world.at, { kitId: world.kitId })).toHaveLength(5);
    expect(complaints).toEqual([]);
  });

  it('is started anew by keyboard alone, and counts what several games share once', async () => {
    await addVariant(world, 'harvest-mat', 'Mat to six');
    await addVariant(world, 'skyline-rolls', 'Towers');
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/fill/new');
    await page.getByLabel('Name of the kit').focus();
    await page.keyboard.type('Rolls');
    const reached = async (name: RegExp): Promise<void> => {
      for (let i = 0; i < 40; i++) {
        await page.keyboard.press('Tab');
        const label = await page.evaluate(() => {
          const element = document.activeElement as HTMLElement | null;
          return element?.closest('label')?.textContent ?? element?.textContent ?? '';
        });
        if (name.test(label)) return;
      }
      throw new Error(`${name} is not reached by Tab`);
    };
    await reached(/Mat to six/);
    await page.keyboard.press('Space');
    await reached(/Towers/);
    await page.keyboard.press('Space');
    const tray = page.getByRole('list', { name: 'The tray' });
    // Both games roll one die; one is enough.
    await expect.poll(() => tray.innerText()).toMatch(/1\s+die/);
    await reached(/Save this kit/);
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Rolls', level: 1 }).waitFor();
    await page.getByText('No copy yet').waitFor();
    await open(page, '/fill');
    await page.getByText('not built yet').waitFor();
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });
});
