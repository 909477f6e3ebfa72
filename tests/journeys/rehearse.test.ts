import { describe, expect, it } from 'vitest';
import { rehearsals } from '~/data/queries/evenings';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();

describe('a helper', () => {
  it('rehearses a game in its own language by keyboard alone, and that is kept', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page, 'Helper');
    await open(page, '/lend/rehearse');
    await expectAccessible(page);
    const focused = (): Promise<string> =>
      page.evaluate(() => document.activeElement?.textContent?.trim() ?? '');
    /** Goes on by Tab until something that is called so has the focus. */
    const tabTo = async (name: RegExp): Promise<string> => {
      for (let i = 0; i < 80; i++) {
        await page.keyboard.press('Tab');
        if (name.test(await focused())) return focused();
      }
      throw new Error(`Tab never came to ${name}`);
    };
    await page
      .locator('main')
      .focus()
      .catch(() => undefined);
    await tabTo(/^Español$/);
    await page.keyboard.press('Enter');
    await page.getByRole('link', { name: 'Vuelca y separa' }).waitFor();
    await tabTo(/^Vuelca y separa$/);
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Ensayar: Vuelca y separa' }).waitFor();
    await expectAccessible(page);
    const turn = page.getByRole('heading', { name: /^Turno \d de 6$/ });
    const choices = page.locator('main ul button');
    for (let i = 1; i <= 6; i++) {
      await expect.poll(() => turn.innerText()).toBe(`Turno ${i} de 6`);
      // What is said is said with Enter; each word shows what it does, and why.
      const first = (await choices.first().innerText()).trim();
      if (i === 1) await tabTo(new RegExp(`^${first.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}$`));
      else await page.keyboard.press('Tab');
      expect(await focused()).toBe(first);
      await page.keyboard.press('Enter');
      await expect.poll(() => page.locator('.why').count()).toBe(1);
      if (i === 1) await expectAccessible(page);
      if ((await focused()) !== 'El siguiente turno') await tabTo(/^El siguiente turno$/);
      await page.keyboard.press('Enter');
    }
    await page.getByText(/^En \d de 6 turnos/).waitFor();
    await page.getByText('Queda anotado que Helper ensayó este juego.').waitFor();
    const [kept] = await rehearsals(world.at);
    expect(kept).toMatchObject({ helper: 'Helper', gameId: 'two-tone-spill', turns: 6 });
    expect(kept!.well).toBeGreaterThanOrEqual(0);

    // What no rehearsal can have come to is not kept.
    for (const [turns, well] of [
      ['6', '7'],
      ['0', '0'],
      ['six', '1'],
      ['600', '2'],
    ]) {
      const answer = await page.request.post('/lend/rehearse/tide-pairs', {
        form: { turns: turns!, well: well!, helper: 'Helper' },
        headers: { origin: new URL(page.url()).origin },
      });
      expect([turns, answer.status()]).toEqual([turns, 400]);
    }
    expect(await rehearsals(world.at)).toHaveLength(1);
    expect((await page.request.get('/lend/rehearse/no-such-game')).status()).toBe(404);
    expect(complaints).toEqual([]);
  }, 300_000);

  it('looks quickly: a start word, a cover, a second look, and more dots after two in a row', async () => {
    const { page, complaints } = await visitor();
    await signIn(page, 'Helper');
    await open(page, '/lend/rehearse/look');
    await expectAccessible(page);
    const look = page.getByRole('button', { name: 'Look', exact: true });
    /** The dots that are seen while the card is uncovered. */
    const dots = () => page.locator('main svg circle').count();
    for (let i = 0; i < 2; i++) {
      await look.press('Enter');
      await page.getByText('Ready …').waitFor();
      await expect.poll(dots, { timeout: 5000 }).toBeGreaterThan(0);
      let seen = await dots();
      await page.getByText('How many did you see?').waitFor();
      expect(await dots()).toBe(0);
      if (i === 0) {
        await page.getByRole('button', { name: 'Look a second time' }).press('Enter');
        await expect.poll(dots, { timeout: 5000 }).toBeGreaterThan(0);
        seen = await dots();
        await page.getByText('How many did you see?').waitFor();
        expect(await page.getByRole('button', { name: 'Look a second time' }).count()).toBe(0);
        await expectAccessible(page);
      }
      await page.getByRole('button', { name: String(seen), exact: true }).press('Enter');
      await page.getByText(`“${seen}”: yes. How did you see it?`).waitFor();
    }
    await page.getByText('Two in a row: now there are more.').waitFor();
    expect(complaints).toEqual([]);
  }, 300_000);
});
