import { setTimeout as pause } from 'node:timers/promises';
import { and, eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { stockMove } from '~/data/schema';
import { everything } from '../owner';
import { open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
const bought = async (): Promise<number> =>
  (
    await everything()
      .select()
      .from(stockMove)
      .where(and(eq(stockMove.schoolId, world.at.schoolId), eq(stockMove.material, 'pencil')))
  ).length;

describe('a form', () => {
  it('that is sent again by a connection that broke is done once, and once more when it is meant', async () => {
    const { page, complaints } = await visitor({ expected: /ERR_|Failed to fetch/ });
    await signIn(page);
    await open(page, '/fill/store/pencil');
    const press = async (): Promise<void> => {
      await page.getByLabel('Note').fill('from the corner shop');
      await page.getByRole('button', { name: 'Write it down' }).click();
    };
    // What is sent arrives twice: the proxy heard nothing and sent it again.
    await page.route('**/*.data*', async (route) => {
      if (route.request().method() === 'POST') await route.fetch();
      await route.continue();
    });
    await press();
    await expect.poll(bought).toBe(1);
    await pause(300);
    expect(await bought()).toBe(1);
    await page.unrouteAll();
    // The same once more, because so many were bought once more.
    await open(page, '/fill/store/pencil');
    await press();
    await expect.poll(bought).toBe(2);
    // And on the page that answered, without opening it anew.
    await page.waitForURL(/done=/);
    await press();
    await expect.poll(bought).toBe(3);
    expect(complaints).toEqual([]);
  });
  it('without scripts is done once, also by somebody who goes back and presses again', async () => {
    const { page } = await visitor({ javaScript: false });
    await page.goto('/sign-in');
    await page.getByLabel('Name').fill('Coordinator');
    await page.getByLabel('Password').first().fill('a long enough password');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.goto('/fill/store/pencil');
    const sent = page.locator('form', { has: page.locator('[name=quantity]') });
    const body = await sent.evaluate((form) =>
      new URLSearchParams([...new FormData(form as HTMLFormElement)] as [string, string][]).toString(),
    );
    for (let times = 0; times < 3; times++) {
      const answer = await page.request.post('/fill/store/pencil', {
        data: body,
        headers: { 'Content-Type': 'application/x-www-form-urlencoded', Origin: new URL(page.url()).origin },
        maxRedirects: 0,
      });
      expect(answer.status()).toBe(302);
    }
    expect(await bought()).toBe(1);
  });
});
