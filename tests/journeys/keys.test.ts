import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { USUAL_PRINTING } from '~/core/pack/cost';
import { listVariants } from '~/data/queries/kits';
import { listFamilies } from '~/data/queries/families';
import { schoolPrinting } from '~/data/queries/schools';
import { uncheckedLines } from '~/data/queries/words';
import { smallSchoolForEach, open, signIn, visitor } from './browser';

/** The stations without a mouse: only keys are pressed. */
const world = smallSchoolForEach();

/** What has the focus, as a person would name it. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const element = document.activeElement as HTMLElement | null;
    if (!element || element === document.body) return '';
    const labelled = element.getAttribute('aria-labelledby')?.split(' ') ?? [];
    const labels = (element as HTMLInputElement).labels ?? [];
    return [
      element.getAttribute('aria-label') ?? '',
      ...labelled.map((id) => document.getElementById(id)?.textContent ?? ''),
      ...[...labels].map((label) => label.textContent ?? ''),
      element.closest('label')?.textContent ?? '',
      element.textContent ?? '',
    ].join(' ');
  });
/** Presses Tab until something of this name has the focus, which must be seen. */
async function tabTo(page: Page, name: RegExp, most = 90): Promise<void> {
  for (let i = 0; i < most; i++) {
    await page.keyboard.press('Tab');
    if (!name.test(await focused(page))) continue;
    const seen = await page.evaluate(() => {
      // The ring is round the thing itself, or round the label or the stepper it belongs to.
      let at = document.activeElement as HTMLElement | null;
      for (let up = 0; at && up < 4; up++, at = at.parentElement) {
        const { outlineStyle, outlineWidth } = getComputedStyle(at);
        if (outlineStyle !== 'none' && parseFloat(outlineWidth) > 0) return true;
        if (at.matches('[data-focus-visible]')) return true;
      }
      return false;
    });
    expect([await focused(page), seen]).toEqual([await focused(page), true]);
    return;
  }
  throw new Error(`${name} is not reached by Tab`);
}

describe('by keyboard alone', () => {
  it('a game is turned to what is wanted and kept as a variant', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/choose/peg-slide');
    await tabTo(page, /Players/);
    await page.keyboard.press('ArrowUp');
    await tabTo(page, /Name of the variant/);
    await page.keyboard.type('Pegs for three');
    await page.keyboard.press('Enter');
    await page.getByText('It can go into a kit now.').waitFor();
    const made = (await listVariants(world.at)).find(({ name }) => name === 'Pegs for three')!;
    expect([made.gameId, made.params.players]).toEqual(['peg-slide', 3]);
    expect(complaints).toEqual([]);
  });

  it('prices are changed, and the pack is there again', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, `/print?copy=${world.copies[0]!.id}`);
    await tabTo(page, /Change prices and times/);
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'What does printing cost you?' }).waitFor();
    await tabTo(page, /Price of a box of pouches/);
    // The whole of a box is marked when it is come to by Tab: typing replaces it.
    await page.keyboard.type('25');
    await page.keyboard.press('Tab');
    await page.keyboard.type('50');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Print a pack' }).waitFor();
    expect(await schoolPrinting(world.at)).toEqual({ ...USUAL_PRINTING, pouchCents: 2500, pouchSize: 50 });
    expect(complaints).toEqual([]);
  });

  it('a family is added', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/lend/families/new');
    // The first box waits already.
    await expect.poll(() => focused(page)).toMatch(/Family name/);
    await page.keyboard.type('Family Murre');
    await tabTo(page, /English/);
    await page.keyboard.press('ArrowRight');
    await tabTo(page, /How to reach them/);
    await page.keyboard.type('at the ferry');
    await tabTo(page, /A child under three/);
    await page.keyboard.press('Space');
    await tabTo(page, /Add this family/);
    await page.keyboard.press('Enter');
    await page.waitForURL('**/lend/families?added=*');
    expect((await listFamilies(world.at)).find(({ name }) => name === 'Family Murre')).toMatchObject({
      language: 'es',
      reach: 'at the ferry',
      underThree: true,
    });
    expect(complaints).toEqual([]);
  });

  it('a reader finds a line right and writes a note on another', async () => {
    const { page, complaints } = await visitor();
    await signIn(page, 'Reader');
    await open(page, '/word/tile-sums?language=es');
    const before = (await uncheckedLines(world.at)).find(({ gameId }) => gameId === 'tile-sums')!.unchecked;
    await tabTo(page, /It is right, line 1/);
    await page.keyboard.press('Space');
    await tabTo(page, /Note on line 2/);
    await page.keyboard.type('más corto');
    // Enter in a note saves, as in any form.
    await page.keyboard.press('Enter');
    await page.getByText('2 lines were noted.').waitFor();
    expect((await uncheckedLines(world.at)).find(({ gameId }) => gameId === 'tile-sums')!.unchecked).toBe(
      before - 1,
    );
    expect(complaints).toEqual([]);
  });
});
