import { readFileSync } from 'node:fs';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { USUAL_PRINTING } from '~/core/pack/cost';
import { showTag } from '~/core/kits/tag';
import { listCopies } from '~/data/queries/copies';
import { lend } from '~/data/queries/lending';
import { schoolMark, schoolPrinting } from '~/data/queries/schools';
import { school } from '~/data/schema';
import { smallSchoolForEach, expectAccessible, open, scan, signIn, visitor } from './browser';
import { answersOf } from '../world';

const world = smallSchoolForEach();

const folder = mkdtempSync(join(tmpdir(), 'print-'));
const copyQuery = () => `copy=${world.copies[0]!.id}`;

describe('printing', () => {
  it('shows each choice at once, keeps a page as a file, and draws the PDF', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, `/print?${copyQuery()}`);
    const margin = page.getByRole('complementary', { name: 'Reckonings' });
    await margin.getByText('Cost, plain').waitFor();
    await page.getByText('Durable: color, to laminate').click();
    await margin.getByText('Cost, durable').waitFor();
    await margin.getByText('Pouches', { exact: true }).waitFor();
    expect(page.url()).toContain('finish=durable');

    // Only what is ticked is there.
    const pages = page.getByRole('img', { name: /^Page \d+: / });
    const before = await pages.count();
    await page.getByText('Feedback slips').click();
    await expect.poll(() => page.url()).not.toContain('item=slip');
    await expect.poll(() => pages.count()).toBe(before - 1);
    await page.getByText('Calibration page, once for each printer').click();
    await expect.poll(() => page.url()).toContain('item=calibration');
    await expect.poll(() => pages.count()).toBe(before + 1);
    await page
      .getByRole('img', { name: /Calibration page$/ })
      .first()
      .waitFor();
    // Pictures come when they are looked at, each a page of the right form.
    const first = pages.first();
    await expect.poll(() => first.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(0);
    const form = await first.evaluate((img: HTMLImageElement) => img.naturalHeight / img.naturalWidth);
    expect(form).toBeCloseTo(297 / 210, 1);
    await expectAccessible(page);

    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Keep page 1 as SVG' }).click(),
    ]);
    const file = join(folder, 'page.svg');
    await download.saveAs(file);
    const svg = readFileSync(file, 'utf8');
    expect(svg).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg" width="210mm" height="297mm"/);
    expect(svg).toContain('@font-face');
    expect(svg).toContain('Agiten el vaso');

    await page.getByRole('button', { name: 'Draw the pack as PDF' }).click();
    await page.getByRole('heading', { name: 'Ready to print' }).waitFor({ timeout: 30_000 });
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Back to what is printed' }).click();
    await page.getByRole('heading', { name: 'Print a pack' }).waitFor();
    expect(page.url()).toContain('finish=durable');
    expect(complaints).toEqual([]);
  });

  it('says in a sentence what cannot be printed, and draws nothing', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    await open(page, `/print?${copyQuery()}`);
    await page.getByText('Cuts, spares, label sheets and loans').click();
    // Measures of one's own begin with those of a common sheet; wrong ones are named, and what was typed stays.
    await page.getByLabel('Labels on').selectOption({ label: 'A label sheet of other measures' });
    const across = page.getByLabel('Labels across');
    await across.waitFor();
    expect(await across.inputValue()).toBe('2');
    await across.fill('many');
    await page.getByText(/Labels across must be a whole number/).waitFor();
    expect(await page.getByRole('button', { name: /^Draw/ }).count()).toBe(0);
    await across.fill('4');
    await page.getByText(/4 × 3 labels of 99.1 × 93.1 mm do not lie on A4 paper/).waitFor();
    expect(await across.inputValue()).toBe('4');
    await across.fill('2');
    await page.getByRole('button', { name: 'Draw the pack as PDF' }).waitFor();
    await page.getByLabel('Labels of the first sheet used already').fill('6');
    await page.getByText(/a sheet has 6 labels/).waitFor();
    // No copy at all: there is nothing to draw but the page that belongs to a printer.
    await open(page, '/print');
    await page.getByText('Every pack is printed').waitFor();
    const calibration = page.getByRole('link', { name: 'Open the calibration page alone' });
    const pdf = await page.request.get((await calibration.getAttribute('href'))!);
    expect([pdf.status(), pdf.headers()['content-type']]).toEqual([200, 'application/pdf']);
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });

  it('prints a lost piece, tells of missing wording before it prints, and puts the school’s picture on labels', async () => {
    await world.at.update(school).set({ languages: ['en', 'es', 'so'] });
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    await open(page, `/print?${copyQuery()}`);
    await page.getByText('Spares of one lost piece').click();
    await page.getByLabel('Which piece was lost?').selectOption({ index: 2 });
    const pages = page.getByRole('img', { name: /^Page \d+: / });
    await expect.poll(() => pages.count()).toBe(1);
    expect(await page.getByRole('button', { name: 'They are printed' }).count()).toBe(0);
    await page.getByText('For every copy').click();
    await expect.poll(() => pages.count()).toBeGreaterThan(4);

    await page.getByLabel('Home language').selectOption('so');
    await page.getByText(/There is no Somali wording yet for \d+ lines of Two-Tone Spill/).waitFor();
    await expectAccessible(page);

    await page.getByText('The school’s picture on bag labels').click();
    await page.getByRole('button', { name: 'Put it on the labels' }).click();
    await page.getByText('Choose a picture first.').waitFor();
    const picture = Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    );
    await page.getByLabel('A picture').setInputFiles({
      name: 'mark.png',
      mimeType: 'image/png',
      buffer: picture,
    });
    await page.getByRole('button', { name: 'Put it on the labels' }).click();
    await page.getByRole('button', { name: 'Take it off the labels' }).waitFor();
    expect(await schoolMark(world.at)).toMatch(/^data:image\/png;base64,/);
    expect(complaints).toEqual([]);
  });

  it('is reckoned with the school’s own prices, once they are right', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    await open(page, `/print?${copyQuery()}&paper=letter`);
    await page.getByRole('link', { name: 'Change prices and times' }).click();
    const margin = page.getByRole('complementary', { name: 'Reckonings' });
    const price = page.getByLabel('Price of printing in black and white');
    await price.fill('60.00');
    await page.getByLabel('Pages in black and white for this price').fill('1500');
    await margin.getByText('4', { exact: true }).waitFor();
    const bag = page.getByLabel('Seconds to fill and label a bag');
    await bag.fill('a while');
    await page.getByRole('button', { name: 'Save these prices and times' }).click();
    await page.getByText('Seconds to fill and label a bag must be a whole number from 0 to 3600.').waitFor();
    await expect.poll(() => bag.evaluate((input) => input === document.activeElement)).toBe(true);
    expect([await bag.inputValue(), await price.inputValue()]).toEqual(['a while', '60.00']);
    await expectAccessible(page);
    expect((await schoolPrinting(world.at)).greyCents).toBe(USUAL_PRINTING.greyCents);
    await bag.fill('240');
    await page.keyboard.press('Enter');
    // Back at the same pack.
    await page.getByRole('heading', { name: 'Print a pack' }).waitFor();
    expect(page.url()).toContain('paper=letter');
    await margin.getByText(/36 a pouch, 240 a bag/).waitFor();
    expect(await schoolPrinting(world.at)).toEqual({
      ...USUAL_PRINTING,
      greyCents: 6000,
      greySize: 1500,
      bagSeconds: 240,
    });
    // A closed tab keeps what was typed; the usual ones are one press away.
    await page.getByRole('link', { name: 'Change prices and times' }).click();
    await page.getByLabel('Loans that a laminated part lasts').fill('12');
    await page.reload();
    await page.getByText(/typed before in this browser and was not saved/).waitFor();
    expect(await page.getByLabel('Loans that a laminated part lasts').inputValue()).toBe('12');
    await page.getByRole('button', { name: 'Fill in the usual ones' }).click();
    expect(await page.getByLabel('Loans that a laminated part lasts').inputValue()).toBe('30');
    await page.getByRole('button', { name: 'Save these prices and times' }).click();
    await page.getByRole('heading', { name: 'Print a pack' }).waitFor();
    expect(await schoolPrinting(world.at)).toEqual(USUAL_PRINTING);
    expect(complaints).toEqual([]);
  });

  it('goes by keyboard alone, from the choice to the finished file', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, `/print?${copyQuery()}`);
    const { keyboard } = page;
    const to = async (what: () => Promise<boolean>): Promise<void> => {
      for (let i = 0; i < 60; i++) {
        if (await what()) return;
        await keyboard.press('Tab');
      }
      throw new Error('not reached by Tab');
    };
    const focused = (test: string) =>
      page.evaluate((wanted) => {
        const element = document.activeElement?.closest<HTMLElement>('button, a, input');
        const label = element?.closest('label')?.textContent ?? element?.textContent ?? '';
        return `${label} ${element?.getAttribute('name') ?? ''}`.includes(wanted);
      }, test);
    await to(() =>
      page.evaluate(() => (document.activeElement as HTMLInputElement | null)?.name === 'paper'),
    );
    // The paper of the school is chosen; the other arrow goes to the other one.
    await keyboard.press('ArrowLeft');
    await expect.poll(() => page.url()).toContain('paper=letter');
    await to(() => focused('Draw the pack as PDF'));
    await keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Ready to print' }).waitFor({ timeout: 30_000 });
    await to(() => focused('It is printed'));
    await keyboard.press('Enter');
    await page.getByText('their copies are ready to be lent').waitFor();
    expect(
      (await listCopies(world.at)).find(({ id }) => id === world.copies[0]!.id)!.printedAt,
    ).not.toBeNull();
    expect(complaints).toEqual([]);
  });
});

describe('a paper slip', () => {
  it('is typed in with a few keys, says what it means first, and counts once', async () => {
    const [copy] = world.copies;
    const [family] = world.families;
    await lend(world.at, {
      copyId: copy!.id,
      familyId: family!.id,
      lentOn: '2026-03-02',
      dueOn: '2026-03-16',
      personId: world.people.helper.id,
    });
    const { page, complaints } = await visitor({ expected: /409|400/ });
    await signIn(page);
    await open(page, '/listen');
    await page.keyboard.press('F9');
    await page.getByRole('heading', { name: 'Type in slips' }).waitFor();
    const box = page.getByLabel('Number and ticks');
    await box.fill(`${copy!.tag} 91342`);
    await page.getByRole('button', { name: 'Keep this slip' }).click();
    await page
      .getByText(/There are 6 questions, and 5 digits/)
      .first()
      .waitFor();
    expect(await box.inputValue()).toBe(`${copy!.tag} 91342`);
    await box.fill(`${copy!.tag.toLowerCase()} 213420`);
    await page.getByText('2 children, 1 grown-up, played 3 times').waitFor();
    await page.getByLabel('What they wrote').fill('Otra vez, dijo.');
    await page.keyboard.press('Enter');
    await page.getByText(`${showTag(copy!.tag)}, Familia Vela: 2 children`).waitFor();
    await expectAccessible(page);
    expect(await box.inputValue()).toBe('');
    await box.fill(`${copy!.tag} 113420`);
    await page.keyboard.press('Enter');
    await page.getByText(/was typed in before; it was not kept twice/).waitFor();
    expect(await answersOf(world.at)).toMatchObject([
      {
        answer: { children: 2, grownUps: 1, times: 3, minutes: 20, via: 'slip', childDid: 'Otra vez, dijo.' },
        games: [{ said: 'justRight' }],
      },
    ]);

    // From the scan line too.
    await scan(page, `${world.copies[1]!.tag} 200000`);
    await page.waitForURL(/slip=/);
    await page.getByRole('button', { name: 'Keep this slip' }).click();
    await page
      .getByText(/was never lent/)
      .first()
      .waitFor();
    expect(complaints).toEqual([]);
  });
});
