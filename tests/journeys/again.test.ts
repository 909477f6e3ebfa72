import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { findCopy } from '~/data/queries/copies';
import { securityEvents } from '~/data/queries/security';
import { everything } from '../owner';
import { PASSWORD } from '../world';
import { ADDRESS, expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
/** Ten minutes have gone by since the password was typed. */
const later = () => everything().execute(sql`update session set proven_at = now() - interval '11 minutes'`);

describe('what takes something away from others, or out of the school', () => {
  it('asks for the password again after ten minutes, changes nothing before, and goes on where one was', async () => {
    const { page, complaints } = await visitor({ expected: /401|ERR_ABORTED/ });
    await signIn(page);
    await later();
    // To read and to lend nobody is asked.
    await open(page, '/people');
    const before = await securityEvents(world.at);
    const row = page.getByRole('row', { name: /Helper/ });
    await row.getByRole('button', { name: /End/ }).first().click();
    await page.getByRole('heading', { name: 'Is it you?' }).waitFor();
    await page.getByText('Nothing was changed. You come back to your page').waitFor();
    await expectAccessible(page);
    expect(await securityEvents(world.at)).toEqual(before);
    await page.getByLabel('Your password').fill('not this one');
    await page.keyboard.press('Enter');
    await page.getByText('This is not your password.').waitFor();
    expect((await securityEvents(world.at)).map(({ kind }) => kind)).toContain('confirmFailed');
    await page.getByLabel('Your password').fill(PASSWORD);
    await page.keyboard.press('Enter');
    await page.waitForURL(/\/people/);
    await page
      .getByRole('row', { name: /Helper/ })
      .getByRole('button', { name: /End/ })
      .first()
      .click();
    await page.waitForURL(/ended=1/);
    await page.getByText('The last').click();
    await page.getByText('Coordinator ended somebody’s access').waitFor();
    expect(complaints).toEqual([]);
  });
  it('makes a new square for a label: the old one opens nothing, and the bag waits for its label', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    const copy = world.copies[0]!;
    await open(page, `/copies/${copy.id}`);
    expect((await page.request.get(`/p/${copy.linkKey}`)).status()).toBe(200);
    await page.getByRole('button', { name: 'Make a new square for this label' }).click();
    await page.getByText('The old label opens nothing any more.').waitFor();
    await expectAccessible(page);
    expect((await page.request.get(`/p/${copy.linkKey}`)).status()).toBe(404);
    const now = (await findCopy(world.at, { id: copy.id }))!;
    expect(now.printedAt).toBeNull();
    expect((await page.request.get(`/p/${now.linkKey}`)).status()).toBe(200);
    expect(complaints).toEqual([]);
  });
  it('keeps what was typed into a form while it asks', async () => {
    const { page, complaints } = await visitor({ expected: /401/ });
    await signIn(page);
    await open(page, '/people');
    await page.getByLabel('Name', { exact: true }).fill('Wil of the quay');
    await page.getByLabel('Password', { exact: true }).fill('ferns by the quay');
    await later();
    await page.getByRole('button', { name: 'Add this person' }).click();
    const mine = page.getByLabel('Your own password, once more');
    await mine.waitFor();
    await page.getByText('Type it here once more; nothing was changed yet.').first().waitFor();
    await expectAccessible(page);
    expect(await page.getByLabel('Name', { exact: true }).inputValue()).toBe('Wil of the quay');
    expect(await page.getByLabel('Password', { exact: true }).inputValue()).toBe('ferns by the quay');
    await mine.fill(PASSWORD);
    await page.getByRole('button', { name: 'Add this person' }).click();
    await page.waitForURL(/added=/);
    expect(complaints).toEqual([]);
  });
  it('gives a file only then, and each way out of the school is held so', async () => {
    const { page } = await visitor();
    await signIn(page);
    await later();
    const family = world.families[0]!.id;
    for (const path of ['/lend/families.csv', `/lend/families/${family}/known.txt`]) {
      const answer = await page.request.get(path, { maxRedirects: 0 });
      expect([path, answer.status(), answer.headers().location]).toEqual([
        path,
        302,
        `/confirm?next=${encodeURIComponent(path)}`,
      ]);
    }
    for (const [path, form] of [
      [`/lend/families/${family}`, { intent: 'forget' }],
      ['/lend/families/keeping', { intent: 'forget', family }],
      ['/people', { intent: 'password', person: world.people.helper.id, number: '123456' }],
      ['/me', { intent: 'endOthers' }],
    ] as const) {
      const answer = await page.request.post(path, {
        form,
        headers: { Origin: ADDRESS },
        maxRedirects: 0,
      });
      expect([path, answer.status()]).toEqual([path, 302]);
      expect([path, answer.headers().location]).toEqual([
        path,
        expect.stringMatching(/^\/confirm\?next=.*&sent=1$/),
      ]);
    }
    await open(page, '/confirm?next=%2Flend%2Ffamilies.csv');
    await page.getByLabel('Your password').fill(PASSWORD);
    const [file] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('Enter')]);
    expect(file.suggestedFilename()).toBe('families.csv');
  });
});
