import { setTimeout as pause } from 'node:timers/promises';
import { and, eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { showTag } from '~/core/kits/tag';
import { listShortages } from '~/data/queries/counts';
import { takeBack } from '~/data/queries/returns';
import { stockMove } from '~/data/schema';
import { everything } from '../owner';
import { lendOut } from '../world';
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
  it('that is pressed, undone and pressed again before the page is read anew is done again', async () => {
    const counts = [{ material: 'two-colour-counter', expected: 6, counted: 4 }];
    const loanId = await lendOut(world, { lentOn: '2026-11-24', dueOn: '2026-12-15' });
    await takeBack(world.at, { loanId, returnedOn: '2026-12-01', counts, personId: null });
    const { page, complaints } = await visitor({ expected: /ERR_ABORTED/ });
    await signIn(page);
    await open(page, '/look-back');
    // The page is read slowly, again and again: the answers come before it.
    await page.route('**/*.data*', async (route) => {
      if (route.request().method() !== 'POST') await pause(3000);
      await route.continue().catch(() => undefined);
    });
    const back = `The parts are back in ${showTag(world.copies[0]!.tag)}`;
    const pressed = (name: string): Promise<void> =>
      page.evaluate((name) => {
        const named = [...document.querySelectorAll('button')].find(
          (one) => (one.getAttribute('aria-label') ?? one.textContent) === name,
        )!;
        named.form!.requestSubmit(named);
      }, name);
    await pressed(back);
    await expect.poll(() => listShortages(world.at)).toEqual([]);
    await page.getByText('The copy counts as complete again.').waitFor();
    await pressed('Undo this mending');
    await page.getByText('The parts count as missing again.').waitFor();
    expect(await listShortages(world.at)).toHaveLength(1);
    await pressed(back);
    await page.getByText('The copy counts as complete again.').waitFor();
    expect(await listShortages(world.at)).toEqual([]);
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
