import { isNull } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { randomCard, showCard } from '~/core/lending/card';
import { showTag } from '~/core/kits/tag';
import { createFamily, giveCards, listFamilies } from '~/data/queries/families';
import { listOut } from '~/data/queries/lending';
import { listRounds, promisesOf } from '~/data/queries/rounds';
import { promise } from '~/data/schema';
import { secureRandom } from '~/server/random';
import { everything } from '../owner';
import { printedCopies } from '../world';
import { expectAccessible, open, settled, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();

describe('a hand-out', () => {
  it('of forty families keeps a pin and a veto, is undone as a whole, and hands over by scanning', async () => {
    for (let i = 0; i < 37; i++)
      await createFamily(world.at, {
        name: `Family ${String.fromCharCode(65 + (i % 26))}${i}`,
        language: 'en',
        group: `Room ${(i % 4) + 1}`,
        children: 'A., grade 1',
      });
    await printedCopies(world.at, world.kitId, 17, world.people.helper.id);
    const { page, complaints } = await visitor({ expected: /409/ });
    await signIn(page);
    await open(page, '/lend/rounds');
    await expectAccessible(page);
    await page.getByLabel('What it is called').fill('Thursday’s bags');
    await page.getByRole('button', { name: 'Match families and bags' }).click();
    await page.getByRole('button', { name: 'Promise 20 bags' }).waitFor();
    await page.getByText('No other way of handing out serves more of them').waitFor();
    await expectAccessible(page);
    const rows = page.getByRole('grid', { name: 'Who gets what' }).getByRole('row');
    expect(await rows.count()).toBe(20);
    // Ruled out: it has no other kit to get, so it gets none. Pinned: it keeps the very bag.
    const vetoed = (await rows.nth(3).locator('strong').first().innerText()).trim();
    await rows
      .nth(3)
      .getByRole('button', { name: /^Not this: no First splits for/ })
      .click();
    await page.getByRole('heading', { name: 'Ruled out' }).waitFor();
    await expect.poll(() => rows.filter({ hasText: vetoed }).count()).toBe(0);
    const pinned = (await rows.nth(5).locator('strong').first().innerText()).trim();
    const tag = (await rows.nth(5).locator('code').innerText()).trim();
    await rows
      .nth(5)
      .getByRole('button', { name: `Pin this bag to ${pinned}` })
      .click();
    await rows.filter({ hasText: pinned }).getByText('pinned', { exact: true }).waitFor();
    // A weight is turned: it is shown what would change, and nothing is kept before it is said so.
    await page.getByRole('textbox', { name: 'A wish' }).fill('40');
    await page.keyboard.press('Tab');
    await page.getByRole('button', { name: 'Keep it so' }).waitFor();
    await expect.poll(() => rows.filter({ hasText: pinned }).locator('code').innerText()).toBe(tag);
    // Two change bags, by keyboard alone and by hand; both are held fast so.
    const bagOf = async (family: string): Promise<string> =>
      (await rows.filter({ hasText: family }).locator('code').innerText()).trim();
    const nameIn = async (row: number): Promise<string> =>
      (await rows.nth(row).locator('strong').first().innerText()).trim();
    const [one, two, three] = [await nameIn(8), await nameIn(9), await nameIn(10)];
    const before = await Promise.all([one, two, three].map(bagOf));
    await rows.nth(8).focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    const under = (): Promise<string> =>
      page.evaluate(() => document.activeElement?.closest('[role=row]')?.textContent ?? '');
    for (let i = 0; i < 60 && !(await under()).includes(two); i++) await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await expect.poll(() => Promise.all([one, two].map(bagOf))).toEqual([before[1], before[0]]);
    await settled(page);
    await rows.filter({ hasText: two }).evaluate((row) => row.scrollIntoView({ block: 'center' }));
    await rows
      .filter({ hasText: three })
      .locator('strong')
      .first()
      .dragTo(rows.filter({ hasText: one }).locator('strong').first());
    await expect.poll(() => Promise.all([one, three].map(bagOf))).toEqual([before[2], before[1]]);
    await settled(page);
    await page.getByRole('button', { name: 'Promise 20 bags' }).click();
    await page.getByText('20 bags are still promised').waitFor();
    await expectAccessible(page);
    const [{ id }] = (await listRounds(world.at)) as unknown as [{ id: string }];
    expect(await promisesOf(world.at, id)).toHaveLength(20);
    expect((await promisesOf(world.at, id)).some(({ familyName }) => familyName === vetoed)).toBe(false);
    for (const paper of ['list.pdf', 'stickers.pdf']) {
      const answer = await page.request.get(`/lend/rounds/${id}/${paper}`);
      expect([answer.status(), answer.headers()['content-type']]).toEqual([200, 'application/pdf']);
    }
    await page.getByRole('button', { name: 'Undo this hand-out as a whole' }).click();
    await page.getByRole('button', { name: 'Promise 20 bags' }).click();
    await page.getByText('20 bags are still promised').waitFor();

    const promises = await promisesOf(world.at, id);
    const box = page.getByLabel('Scan a bag, or a family’s card and its bag');
    const scan = async (text: string): Promise<void> => {
      await box.fill(text);
      await page.keyboard.press('Enter');
    };
    await scan(promises[0]!.tag);
    await page.locator('.word', { hasText: promises[0]!.familyName }).waitFor();
    await page.getByText('19 bags are still promised').waitFor();
    await scan(promises[0]!.tag);
    await page.locator('.word', { hasText: 'Gone' }).waitFor();
    await giveCards(world.at, () => randomCard(secureRandom));
    const cards = new Map((await listFamilies(world.at)).map(({ id: one, card }) => [one, card!]));
    await scan(showCard(cards.get(promises[1]!.familyId)!));
    await page.locator('.word', { hasText: showTag(promises[1]!.tag) }).waitFor();
    await scan(promises[2]!.tag);
    await page.locator('.word', { hasText: 'Wrong bag' }).waitFor();
    await scan(promises[1]!.tag);
    await page.locator('.word', { hasText: promises[1]!.familyName }).waitFor();
    expect(await page.getByRole('button', { name: 'Undo this hand-out as a whole' }).count()).toBe(0);
    await page.getByRole('button', { name: 'End it: 18 bags stay at school' }).click();
    await page.getByText('This hand-out is over').waitFor();
    expect(await listOut(world.at)).toHaveLength(2);
    const left = await everything().select().from(promise).where(isNull(promise.endedAt));
    expect(left).toEqual([]);
    expect(complaints).toEqual([]);
  }, 90_000);
});
