import { describe, expect, it } from 'vitest';
import { findSchool } from '~/data/queries/schools';
import { lineNow } from '~/data/queries/wording';
import { AROUND } from '~/core/pack/sources';
import { ADDRESS, expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();

describe('wording', () => {
  it('takes a language from the list to a printed sheet, refuses one that cannot be printed, and words a line', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    await open(page, '/school');
    const another = page.getByRole('combobox', { name: 'Add another language' });
    const choose = async (name: string): Promise<void> => {
      await another.click();
      await page.keyboard.press('Control+a');
      await page.keyboard.type(name);
      await page.getByRole('option', { name, exact: true }).waitFor();
      await page.keyboard.press('ArrowDown');
      await page.keyboard.press('Enter');
    };
    await choose('Thai');
    await page.getByText('Thai is written in Thai, and no font here has that script').waitFor();
    await choose('Somali');
    await page.getByRole('checkbox', { name: 'Somali' }).waitFor();
    expect(await page.getByRole('checkbox', { name: 'Somali' }).isChecked()).toBe(true);
    await expectAccessible(page);
    await page.getByRole('button', { name: /^Save/ }).click();
    await page.waitForURL(/saved=1/);
    expect((await findSchool(world.at)).languages).toEqual(['en', 'es', 'so']);

    // A pack in it is in English, line by line, and says so; then one line is worded.
    await open(page, `/print?copy=${world.copies[0]!.id}&home=so`);
    await page.getByText(/There is no Somali wording yet for/).waitFor();
    await open(page, '/word/family?language=so');
    await page.getByRole('link', { name: /^its story: line 1$/ }).click();
    await page.getByRole('heading', { name: 'Family pages and slips in Somali' }).waitFor();
    await expectAccessible(page);
    await open(page, '/word/family/minutes?language=so');
    // A sentence for each form that the language has, with the number where it belongs.
    const one = page.getByRole('textbox', { name: 'minutes: 1', exact: true });
    const more = page.getByRole('textbox', { name: 'minutes: 0, 2, 3 …' });
    await one.fill('Ilaa 10 daqiiqo');
    await page.getByText(/Write every one of the sentences\. .*“10” is typed by hand/).waitFor();
    await page.getByRole('button', { name: 'Save this line' }).click();
    await page.getByText('Not saved').waitFor();
    expect((await lineNow(world.at, AROUND[0]!, 'minutes', 'so')).message).toBeUndefined();
    await one.fill('Ilaa  daqiiqo');
    await one.press('Home');
    for (let i = 0; i < 5; i++) await one.press('ArrowRight');
    await page.getByRole('button', { name: 'Put in {minutes}' }).click();
    expect(await one.inputValue()).toBe('Ilaa {minutes} daqiiqo');
    await more.fill('Ilaa {minutes} daqiiqadood');
    await page.getByLabel('Try another value for minutes').selectOption('11');
    await page.getByText('Ilaa 11 daqiiqadood').waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Save this line' }).click();
    await page.getByText('Sheets, labels and pages say it so from now on.').waitFor();
    await expectAccessible(page);
    await page.goto(`${ADDRESS}/p/${world.copies[0]!.linkKey}?lang=so`);
    await page.getByText(/Ilaa \d+ daqiiqadood/).waitFor();
    await page.getByRole('link', { name: 'Soomaali' }).waitFor();
    // And on the printed sheet, as it is drawn.
    const sheet = await page.request.get(`/print/page.svg?copy=${world.copies[0]!.id}&home=so&page=1`);
    expect([sheet.status(), await sheet.text()]).toEqual([200, expect.stringMatching(/daqiiqadood/)]);

    // Back to what ships, where something ships.
    await open(page, '/word/family/send?language=es');
    await page.getByRole('textbox', { name: 'The line in Spanish' }).fill('Mandar');
    await page.getByRole('button', { name: 'Save this line' }).click();
    await page.getByText('Sheets, labels and pages say it so from now on.').waitFor();
    await page.getByRole('button', { name: 'Go back to what ships' }).click();
    await page.getByRole('cell', { name: 'as it ships' }).waitFor();

    // Another word for the same thing is pointed out, and how easily the line reads is said.
    await page.getByRole('textbox', { name: 'The line in Spanish' }).fill('Junten las fichas en una pila.');
    await page.getByText('this line says “pila”, the others say “montón”').waitFor();
    await page.getByText(/6 words, reads easy \(INFLESZ \d+\)/).waitFor();
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });

  it('is checked on the desk as the sheet has it: turned, worded in place, read, in doubt, and stale', async () => {
    const { page, complaints } = await visitor({ expected: /400|409/ });
    await signIn(page);
    await open(page, '/word');
    await page.getByText(/lines to make .* sound in Spanish for 1 family/).waitFor();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Two-Tone Spill' }).first().click();
    await page.getByRole('heading', { name: 'At the top of the sheet' }).waitFor();
    await page.getByRole('heading', { name: 'Get ready' }).waitFor();
    await expectAccessible(page);

    // The arguments are turned, never typed: both wordings follow.
    await page.getByRole('button', { name: /^counters 6: read line 3 with 1$/ }).click();
    await page.getByText('Pongan 1 ficha de dos colores en el vaso.').waitFor();

    // Worded in place: checked while it is typed, and kept.
    await page.getByRole('button', { name: /^Word it anew: line 2$/ }).click();
    const box = page.getByRole('textbox', { name: 'Line 2 in Spanish' });
    const before = await box.inputValue();
    await box.fill('Encuentren las 6 maneras.');
    await page.getByText(/“6” is typed by hand/).waitFor();
    await page.getByRole('button', { name: 'Save this line' }).click();
    // What is too long for its sheet is named, and nothing is saved by looking.
    await box.fill(before.replace('Encuentren', 'Hallen una y otra vez '.repeat(60)));
    await page
      .getByText(/Too long for its sheet: .* would take 3 pages in Spanish/)
      .first()
      .waitFor();
    await box.fill(before.replace('Encuentren', 'Hallen'));
    await page.getByRole('button', { name: 'See it on the sheet and the phone' }).click();
    await page.getByRole('img', { name: /^Page 1 of / }).waitFor();
    await page.getByRole('region', { name: 'The page on a phone' }).getByText('Hallen las maneras').waitFor();
    await page.getByText(/Too long/).waitFor({ state: 'detached' });
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Save this line' }).click();
    await box.waitFor({ state: 'detached' });
    await page.getByText('Hallen las maneras de formar 6 con dos partes.').waitFor();

    // Right, in doubt; then the English changes, and what was read is stale.
    await page.getByRole('checkbox', { name: /, line 2$/ }).press('Space');
    await page.getByRole('textbox', { name: 'Note on line 1', exact: true }).fill('Vuelca suena brusco');
    await page.getByRole('button', { name: 'Save what was checked' }).click();
    await page.getByText('2 lines were noted.').waitFor();
    await page.getByText('in doubt, Coordinator').waitFor();
    await page.getByText('read by Coordinator').waitFor();
    await open(page, '/word/two-tone-spill/goal?language=en');
    const english = page.getByRole('textbox', { name: 'The line in English' });
    await english.fill((await english.inputValue()).replace('Find', 'Look for'));
    await page.getByRole('button', { name: 'Save this line' }).click();
    await page.getByText('Sheets, labels and pages say it so from now on.').waitFor();
    await open(page, '/word/two-tone-spill?language=es');
    await page.getByText('stale', { exact: true }).waitFor();
    expect(await page.locator('del').first().textContent()).toContain('Find');
    expect(await page.locator('ins').first().textContent()).toContain('Look');
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });

  it('is read on a family page in every language that ships, on a narrow phone', async () => {
    const { page, complaints } = await visitor();
    await page.setViewportSize({ width: 360, height: 780 });
    const { everything } = await import('../owner');
    const { school } = await import('~/data/schema');
    await everything()
      .update(school)
      .set({ languages: ['en', 'es', 'pt', 'ar', 'vi', 'zh-Hans'] });
    for (const [language, name] of [
      ['pt', 'Vira e Separa'],
      ['ar', 'أقراص بلونين'],
      ['vi', 'Đổ ra hai màu'],
      ['zh-Hans', '倒一倒，分一分'],
    ] as const) {
      await page.goto(`${ADDRESS}/p/${world.copies[0]!.linkKey}?lang=${language}`);
      await page.getByRole('heading', { name, level: 1 }).waitFor();
      expect(await page.locator('html').getAttribute('lang')).toBe(language);
      expect(await page.locator('html').getAttribute('dir')).toBe(language === 'ar' ? 'rtl' : 'ltr');
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect([language, wide]).toEqual([language, 360]);
      await expectAccessible(page);
    }
    expect(complaints).toEqual([]);
  });
});
