import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readTag, showTag } from '~/core/kits/tag';
import { closeDatabase } from '~/data/pools';
import { findCopy, listCopies } from '~/data/queries/copies';
import { listKits } from '~/data/queries/kits';
import { listShortages } from '~/data/queries/counts';
import { listOut } from '~/data/queries/lending';
import { smallSchool, type SmallSchool, answersOf } from '../world';
import {
  closeBrowser,
  expectAccessible,
  expectPlainPage,
  scan,
  signInByHand as signIn,
  visitor,
  unfolded,
} from './browser';

let world: SmallSchool;
beforeAll(async () => {
  world = await smallSchool();
});
afterAll(async () => {
  await closeBrowser();
  await closeDatabase();
});

describe('from choosing a game to hearing how it was played', () => {
  it('goes through every station in one go', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await page.getByRole('link', { name: 'Choose', exact: true }).click();

    // Choose: turn knobs, take a mend, keep the variant.
    await page.getByRole('link', { name: 'Two-Tone Spill', exact: true }).click();
    await page.getByRole('heading', { name: 'Two-Tone Spill', level: 1 }).waitFor();
    await page.getByRole('link', { name: '6 counters, order counts' }).click();
    const margin = page.getByRole('complementary', { name: 'Reckonings' });
    await expect.poll(() => margin.innerText()).toContain('97');
    await page.getByRole('button', { name: 'One more: Counters' }).click();
    await expect.poll(() => margin.innerText()).toContain('8 ways');
    await page.getByRole('button', { name: 'Easier: use 6 counters' }).click();
    await expect.poll(() => margin.innerText()).toContain('7 ways');
    await page.getByRole('button', { name: 'Turn counters over at the end' }).click();
    await page.getByText('Now turn counters over, one at a time').waitFor();
    await expectAccessible(page);
    await page.getByLabel('Name of the variant').fill('Six, turned over');
    await page.getByRole('button', { name: 'Save this variant' }).click();
    await page.getByText('It can go into a kit now.').waitFor();

    // Fill: name, players, the variant; the tray counts along.
    await page.getByRole('link', { name: 'Fill a kit with it' }).click();
    await page.getByLabel('Name of the kit').fill('Turned over');
    await page.getByText('Six, turned over').click();
    await page.getByRole('button', { name: 'One more: Players' }).click();
    await expect
      .poll(() => page.getByRole('list', { name: 'The tray' }).innerText())
      .toMatch(/18\s+record sheets/);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Save this kit' }).click();
    await page.getByRole('heading', { name: 'Turned over', level: 1 }).waitFor();

    // Build: two copies, each with a tag.
    await page.getByRole('textbox', { name: 'How many' }).fill('2');
    await page.getByRole('button', { name: 'Build and tag these copies' }).click();
    await page.getByText('2 copies have a tag now').waitFor();
    await page.getByRole('button', { name: 'Undo this build' }).click();
    await page.getByText('as if they had not been built').waitFor();
    await page.getByRole('textbox', { name: 'How many' }).fill('2');
    await page.getByRole('button', { name: 'Build and tag these copies' }).click();
    await page.getByText('2 copies have a tag now').waitFor();
    const kitId = (await listKits(world.at)).find((kit) => kit.name === 'Turned over')!.id;
    const built = await listCopies(world.at, { kitId });
    expect(built.map((copy) => readTag(copy.tag).kind)).toEqual(['tag', 'tag']);
    await expectAccessible(page);

    // Print: every page is seen first, then the PDF, then the packs count as printed.
    await page.getByRole('link', { name: 'Print 2 packs', exact: true }).click();
    await page.getByRole('img', { name: /^Page 1: / }).waitFor();
    expect(await page.getByRole('img', { name: /^Page / }).count()).toBeGreaterThanOrEqual(7);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Draw 2 packs as PDF' }).click();
    const ready = page.getByRole('link', { name: 'Open the PDF' });
    await ready.waitFor({ timeout: 30_000 });
    await expectAccessible(page);
    const pdf = await page.request.get((await ready.getAttribute('href'))!);
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    const file = join(mkdtempSync(join(tmpdir(), 'journey-')), 'pack.pdf');
    writeFileSync(file, await pdf.body());
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
    for (const copy of built) expect(text).toContain(showTag(copy.tag));
    expect(text).toMatch(/Ahora volteen las fichas.*Now turn counters over/);
    await page.getByRole('button', { name: 'They are printed' }).click();
    await page.getByText('their copies are ready to be lent').waitFor();

    // Lend: tag, family, Enter.
    const tag = built[0]!.tag;
    await page.getByRole('link', { name: /^Lend/ }).click();
    await scan(page, tag);
    await page.getByText(showTag(tag)).first().waitFor();
    await scan(page, 'vela');
    await page.getByText(`Enter: lend ${showTag(tag)} to Familia Vela`).waitFor();
    await expectAccessible(page);
    await page.keyboard.press('Enter');
    await page.getByText(`is with Familia Vela until`).waitFor();
    const loan = (await listOut(world.at)).find((one) => one.tag === tag)!;
    expect(loan.familyName).toBe('Familia Vela');

    // Play: the family's page, on a phone without JavaScript, in the family's language.
    const phone = await visitor({ width: 360, height: 760, javaScript: false });
    const link = `/p/${(await findCopy(world.at, { tag }))!.linkKey}`;
    await phone.page.goto(link);
    await phone.page.getByRole('heading', { name: 'Vuelca y separa', level: 1 }).waitFor();
    expect(await phone.page.locator('html').getAttribute('lang')).toBe('es');
    await expectPlainPage(phone.page);
    expect(await phone.page.content()).not.toMatch(/Vela|Familia/);
    expect(await phone.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
    await phone.page.getByRole('link', { name: 'English' }).click();
    await phone.page.getByText('Shake the cup and tip the counters out').waitFor();
    await phone.page.getByRole('link', { name: 'Español' }).click();
    await phone.page.getByRole('link', { name: '¿Cómo les fue?' }).click();
    await unfolded(phone.page);
    await phone.page.getByLabel('¿Cuántos niños y niñas jugaron?').fill('2');
    await phone.page.getByLabel('¿Como cuántos minutos cada vez?').fill('12');
    await phone.page.getByLabel('ni fácil ni difícil').check();
    await phone.page.getByLabel('¿Qué dijo?').fill('Rieron y contaron.');
    await phone.page.getByRole('button', { name: 'Enviar la respuesta' }).click();
    await phone.page.getByRole('heading', { name: 'Gracias' }).waitFor();
    // Back in the browser and sent again: still one answer.
    await phone.page.goBack();
    await phone.page.getByRole('button', { name: 'Enviar la respuesta' }).click();
    await phone.page.getByRole('heading', { name: 'Gracias' }).waitFor();
    expect(await answersOf(world.at)).toMatchObject([
      {
        answer: { children: 2, minutes: 12, language: 'es' },
        games: [{ position: 0, said: 'justRight', childSaid: 'Rieron y contaron.' }],
      },
    ]);

    // Take back: scan, count, one counter short.
    await scan(page, showTag(tag).toLowerCase());
    await page.getByRole('heading', { name: `What came back in ${showTag(tag)}?` }).waitFor();
    await page.getByRole('button', { name: 'One less: two-color counters that came back' }).click();
    await page.getByText('1 missing').waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Take it back with parts missing' }).click();
    await page.getByText('missing: 1 of 6 two-color counters').waitFor();
    expect(await listShortages(world.at)).toMatchObject([
      { tag, material: 'two-colour-counter', expected: 6, counted: 5 },
    ]);

    // Listen: the sentence that matters.
    await page.getByRole('link', { name: /^Listen/ }).click();
    await page.getByText('Rieron y contaron.').waitFor();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'How hard games are' }).click();
    await page.getByText(/1 of 1 family found “.+” just right; 12 minutes/).waitFor();

    // Look back: put the counter in.
    await page.getByRole('link', { name: /^Look back/ }).click();
    await page.getByRole('button', { name: `The parts are back in ${showTag(tag)}` }).click();
    await page.getByText('The copy counts as complete again.').waitFor();
    await page.getByRole('button', { name: 'Undo this mending' }).click();
    await page.getByText('The parts count as missing again.').waitFor();
    await page.getByRole('button', { name: `The parts are back in ${showTag(tag)}` }).click();
    await page.getByText('The copy counts as complete again.').waitFor();
    await expectAccessible(page);
    expect(await listShortages(world.at)).toEqual([]);
    expect(complaints).toEqual([]);
  });
});
