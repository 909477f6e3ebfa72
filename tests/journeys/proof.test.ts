import { describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { findKit, saveKit } from '~/data/queries/kits';
import { buildCopies } from '~/data/queries/building';
import { needsAt } from '~/data/queries/needs';
import { addLineChecks } from '~/data/queries/words';
import { lineNow } from '~/data/queries/wording';
import { everything } from '../owner';
import { proof } from '~/data/schema';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
const spill = gameOf('two-tone-spill');

describe('wording on paper', () => {
  it('is printed with numbers, and what comes back is typed in by number, by the keyboard alone', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    await open(page, '/word/proofs');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Make a proof' }).press('Enter');
    await page.getByRole('heading', { name: 'First splits in Spanish, on paper' }).waitFor();
    const [kept] = await everything().select().from(proof);
    const pdf = await page.request.get(`/word/proofs/${kept!.id}.pdf`);
    expect([pdf.status(), (await pdf.body()).subarray(0, 5).toString()]).toEqual([200, '%PDF-']);
    const number = kept!.lines.findIndex(({ messageId }) => messageId === 'turn.spill') + 1;
    const field = page.getByRole('textbox', { name: 'Number on the paper' });
    await field.press('Control+a');
    await page.keyboard.type(String(number));
    await page.keyboard.press('Enter');
    await page.getByText('Shake the cup and tip the counters out').waitFor();
    await expectAccessible(page);
    const box = page.getByRole('textbox', { name: `Line ${number} in Spanish` });
    await box.fill('Agiten 2 veces el vaso.');
    await page
      .getByText(/“2” is typed by hand/)
      .first()
      .waitFor();
    await box.fill('Agiten bien el vaso y viertan las fichas sobre la mesa.');
    await page.getByRole('button', { name: 'Save this line' }).press('Enter');
    await page.getByText('It has to be checked anew.').waitFor();
    await page.getByText('It was worded anew since this was printed.').waitFor();
    expect((await lineNow(world.at, spill, 'turn.spill', 'es')).message).toMatch(/^Agiten bien/);
    await page.getByRole('link', { name: `Number ${number + 1}` }).press('Enter');
    await page.getByText('Sort the counters by color').waitFor();
    expect(complaints).toEqual([]);
  });

  it('that is worded anew makes every kit that says it ask for a reader again', async () => {
    const { page, complaints } = await visitor();
    // Two kits play the game, and all that their sheets say was found right.
    const first = (await findKit(world.at, world.kitId))!;
    const second = (await saveKit(world.at, {
      name: 'Second splits',
      ageBand: 'g1',
      players: 2,
      paper: 'a4',
      assurance: 'usual',
      variantIds: first.variants.map(({ id }) => id),
    }))!;
    await buildCopies(world.at, {
      kit: (await findKit(world.at, second))!,
      count: 1,
      builtOn: '2026-01-05',
      builtBy: world.people.helper.id,
      newTag: () => 'ZZZZ-2222',
      newLinkKey: () => 'second-kit-of-a-school',
    });
    await addLineChecks(
      world.at,
      spill,
      Object.keys(spill.words.en).map((messageId) => ({
        messageId,
        language: 'es',
        right: true,
        note: '',
        personId: world.people.reader.id,
      })),
    );
    expect(await needsAt(world.at)).toEqual([]);
    await signIn(page);
    await open(page, '/word');
    await page.getByText('Every kit that was built is sound').waitFor();
    await open(page, '/word/two-tone-spill/turn.spill?language=en');
    const english = page.getByRole('textbox', { name: 'The line in English' });
    await english.fill('Shake the cup and pour the counters out gently on the table.');
    await page.getByRole('button', { name: 'Save this line' }).click();
    await page.getByText('Sheets, labels and pages say it so from now on.').waitFor();
    await open(page, '/word');
    for (const kit of ['First splits', 'Second splits'])
      await page.getByText(new RegExp(`1 line to make ${kit} sound in Spanish`)).waitFor();
    await page.getByRole('link', { name: 'Two-Tone Spill' }).first().click();
    await page.getByText('Changed since it was read:').waitFor();
    await page.locator('ins', { hasText: 'pour' }).waitFor();
    await page.locator('del', { hasText: 'tip' }).waitFor();
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });
});
