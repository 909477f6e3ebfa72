import { sql } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { daysAfter } from '~/core/lending/due';
import { closeDatabase } from '~/data/pools';
import { lend } from '~/data/queries/lending';
import { takeBack } from '~/data/queries/returns';
import { today } from '~/server/today';
import { everything } from '../owner';
import { smallSchool, type SmallSchool, answersOf } from '../world';
import { ADDRESS, closeBrowser, expectAccessible, expectPlainPage, visitor, unfolded } from './browser';

let world: SmallSchool;
let link: string;
let loanId: string;
beforeEach(async () => {
  world = await smallSchool();
  link = `/p/${world.copies[0]!.linkKey}`;
  const made = await lend(world.at, {
    copyId: world.copies[0]!.id,
    familyId: world.families[0]!.id,
    lentOn: daysAfter(today(world.at), -30),
    dueOn: today(world.at),
    personId: null,
  });
  loanId = made.ok ? made.loanId : '';
});
afterAll(async () => {
  await closeBrowser();
  await closeDatabase();
});

const phone = (expected?: RegExp) => visitor({ width: 360, height: 760, expected });

describe('the family page', () => {
  it('is accessible, fits a small phone, and shows nothing about the family', async () => {
    const { page, complaints } = await phone();
    for (const path of [link, `${link}/answer`]) {
      await page.goto(path);
      await expectAccessible(page);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
      expect(await page.content()).not.toMatch(/Vela/);
      await unfolded(page);
      if (path === link) await expectPlainPage(page);
    }
    // Targets for a thumb: what is pressed, or the label around it, is 44 px high at least.
    const low = await page
      .locator('a, button, input:not([type=hidden]), textarea, select, summary')
      .evaluateAll((targets) =>
        targets
          .map((target) => ({
            html: target.outerHTML.slice(0, 80),
            height: Math.max(
              target.clientHeight,
              target.closest('label')?.clientHeight ?? 0,
              target.getBoundingClientRect().height,
            ),
          }))
          .filter((target) => target.height < 44),
      );
    expect(low).toEqual([]);
    expect(complaints).toEqual([]);
  });

  it('keeps what was typed when something is wrong, in the language of the family', async () => {
    const { page, complaints } = await phone(/400/);
    await page.goto(`${link}/answer`);
    await page.getByRole('button', { name: 'Enviar la respuesta' }).click();
    await page.getByText('Por favor, contesten al menos una pregunta.').waitFor();
    await unfolded(page);
    await page.getByLabel('¿Algo más?').fill('Otra vez, por favor.');
    await page.locator('form').evaluate((form: HTMLFormElement) => (form.noValidate = true));
    await page.getByLabel('¿Cuántas veces jugaron?').fill('99');
    await page.getByRole('button', { name: 'Enviar la respuesta' }).click();
    await page.getByText('Por favor, escriban un número de 0 a 60, o déjenlo en blanco.').waitFor();
    expect(await page.getByLabel('¿Algo más?').inputValue()).toBe('Otra vez, por favor.');
    expect(await answersOf(world.at)).toEqual([]);
    await page.getByLabel('¿Cuántas veces jugaron?').fill('3');
    await page.getByRole('button', { name: 'Enviar la respuesta' }).dblclick();
    await page.getByRole('heading', { name: 'Gracias' }).waitFor();
    expect(await answersOf(world.at)).toHaveLength(1);
    expect(complaints).toEqual([]);
  });

  it('takes answers until 14 days after the basket came home, and refuses kindly then', async () => {
    await takeBack(world.at, {
      loanId,
      returnedOn: daysAfter(today(world.at), -14),
      counts: [],
      personId: null,
    });
    const { page, complaints } = await phone(/403/);
    await page.goto(link);
    await page.getByRole('link', { name: '¿Cómo les fue?' }).waitFor();
    await page.goto(`${link}/answer`);
    await unfolded(page);
    await page.getByLabel('¿Cuántas veces jugaron?').fill('2');
    await everything().execute(
      sql`update loan set returned_on = ${daysAfter(today(world.at), -15)} where id = ${loanId}`,
    );
    await page.getByRole('button', { name: 'Enviar la respuesta' }).click();
    await page.getByText('no hay nada que contestar').waitFor();
    expect(await answersOf(world.at)).toEqual([]);
    await page.goto(link);
    expect(await page.getByRole('link', { name: /¿Cómo les fue\?|How did it go/ }).count()).toBe(0);
    expect(complaints).toEqual([]);
  });

  it('tells nothing about a link that belongs to no basket, and slows who tries many, but no right link', async () => {
    const wrong = (n: number) => fetch(`${ADDRESS}/p/${String(n).padStart(22, 'x')}`);
    const first = await wrong(0);
    expect([first.status, await first.text()]).toEqual([
      404,
      expect.stringContaining('does not belong to a basket'),
    ]);
    for (let n = 1; n < 20; n++) await wrong(n);
    const last = await wrong(20);
    expect([last.status, await last.text()]).toEqual([429, expect.stringContaining('Too many visits')]);
    // Families behind the same address are not kept from their baskets.
    expect((await fetch(ADDRESS + link)).status).toBe(200);
  });
});
