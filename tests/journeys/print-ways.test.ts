import { describe, expect, it } from 'vitest';
import { showTag } from '~/core/kits/tag';
import { listCopies } from '~/data/queries/copies';
import { USUAL_PRINTING } from '~/core/pack/cost';
import { schoolPrinting } from '~/data/queries/schools';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
const packOf = (...copies: number[]): string =>
  `/print?${copies.map((i) => `copy=${world.copies[i]!.id}`).join('&')}`;

describe('printing for several copies', () => {
  it('once for all leaves out what belongs to one copy, and counts nothing as printed', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, packOf(0, 1, 2));
    await page.getByRole('button', { name: 'Draw 3 packs as PDF' }).waitFor();
    const margin = page.getByRole('complementary', { name: 'Reckonings' });
    expect(await margin.innerText()).toMatch(/for 3 copies/);
    await page.getByText('Once, shared by all copies').click();
    await page.getByRole('button', { name: 'Draw these pages as PDF' }).waitFor();
    await expect.poll(() => margin.innerText()).not.toMatch(/for 3 copies/);
    expect(await page.getByRole('button', { name: 'They are printed' }).count()).toBe(0);
    // The tag of no copy stands on a page that all share.
    const titles = await page
      .getByRole('img', { name: /^Page \d+: / })
      .evaluateAll((images) => images.map((image) => image.getAttribute('alt') ?? ''));
    expect(
      titles.filter((title) => title.startsWith('Page') && title.includes(world.copies[0]!.tag)),
    ).toEqual([]);
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });

  it('is reckoned anew when a copy is left out', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, packOf(0, 1));
    const margin = page.getByRole('complementary', { name: 'Reckonings' });
    await expect.poll(() => margin.innerText()).toMatch(/for 2 copies/);
    await page.getByRole('checkbox', { name: new RegExp(showTag(world.copies[1]!.tag)) }).press('Space');
    await page.getByRole('button', { name: 'Draw the pack as PDF' }).waitFor();
    await expect.poll(() => margin.innerText()).not.toMatch(/copies/);
    expect(complaints).toEqual([]);
  });
});

describe('a helper', () => {
  it('prints, and sees the prices but does not change them', async () => {
    const { page, complaints } = await visitor({ expected: /403/ });
    await signIn(page, 'Helper');
    await open(page, packOf(0));
    await page.getByText('Prices these are reckoned with').click();
    await page.getByText('Laminating pouches: $19.00 for 100').waitFor();
    expect(await page.getByRole('link', { name: 'Change prices and times' }).count()).toBe(0);
    const answer = await page.request.post('/print/prices', {
      form: { paperCents: '0' },
      headers: { Origin: new URL(page.url()).origin },
    });
    expect(answer.status()).toBe(403);
    expect(await schoolPrinting(world.at)).toEqual(USUAL_PRINTING);
    await page.getByRole('button', { name: 'It is printed' }).click();
    await page.getByText('their copies are ready to be lent').waitFor();
    expect((await listCopies(world.at)).every(({ printedAt }) => printedAt !== null)).toBe(true);
    expect(complaints).toEqual([]);
  });
});

describe('a page by itself', () => {
  it('is a file to scale, and there is none beyond the last', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, packOf(0));
    const query = new URL(page.url()).search;
    const file = (number: string) => page.request.get(`/print/page.svg${query}&page=${number}`);
    const first = await file('1');
    expect([first.status(), first.headers()['content-type']]).toEqual([200, 'image/svg+xml; charset=utf-8']);
    expect(await first.text()).toContain('width="210mm" height="297mm"');
    for (const number of ['0', '99', '-1', 'one', '1.5'])
      expect([number, (await file(number)).status()]).toEqual([number, 404]);
    const letter = await page.request.get(`/print/page.svg${query}&paper=letter&page=1`);
    expect(await letter.text()).toContain('width="215.9mm" height="279.4mm"');
    expect(complaints).toEqual([]);
  });

  it('of a copy shows its labels whole, with the tag that is read aloud', async () => {
    const { page, complaints } = await visitor();
    await signIn(page, 'Helper');
    const { id, tag } = world.copies[0]!;
    await open(page, `/copies/${id}`);
    const labels = page.getByRole('img', { name: `Labels of ${showTag(tag)}, sheet 1` });
    await labels.waitFor();
    // Directions, contents and tag are all on what is shown.
    const said = await labels.textContent();
    expect(said).toContain('How this bag works');
    expect(said).toMatch(/6 two-color\s*counters/);
    expect(said).toContain('This bag belongs to Tern Rock School.');
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Print its pack' }).click();
    await page.getByRole('heading', { name: 'Print a pack' }).waitFor();
    await page.getByText('printed before').first().waitFor();
    expect(complaints).toEqual([]);
  });
});
