import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { daysAfter } from '~/core/lending/due';
import { silent } from '~/core/listening/answer';
import { addEntries } from '~/data/queries/calendar';
import { createFamily, findFamily } from '~/data/queries/families';
import { addAnswer } from '~/data/queries/listening';
import { takeBack } from '~/data/queries/returns';
import { countStock } from '~/data/queries/store';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { aWord, lendOut, printedCopies } from '../world';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
const day = (): string => todayAt(world.at);

/** A term: English-speaking families have bags, Portuguese-speaking ones do not; counters go. */
async function aTerm(): Promise<void> {
  const { coordinator, helper } = world.people;
  await addEntries(
    world.at,
    [{ kind: 'term', name: 'Herring term', from: daysAfter(day(), -80), to: daysAfter(day(), 30) }],
    coordinator.id,
  );
  for (let i = 0; i < 12; i++)
    world.families.push(
      (await createFamily(world.at, {
        name: `Family N${i}`,
        language: i < 6 ? 'en' : 'pt',
        children: 'Pip, grade 1',
      }))!,
    );
  world.copies.push(...(await printedCopies(world.at, world.kitId, 6, helper.id)));
  for (const [i, copy] of world.copies.entries()) {
    const loanId = await lendOut(world, {
      copy: i,
      family: i,
      lentOn: daysAfter(day(), -40),
      dueOn: daysAfter(day(), -20),
    });
    await addAnswer(
      world.at,
      aWord(loanId, {
        minutes: 10 + i,
        games: [{ ...silent(0), said: i % 3 ? 'justRight' : 'tooEasy', times: 3 }],
      }),
    );
    await takeBack(world.at, {
      loanId,
      returnedOn: daysAfter(day(), -22),
      counts: copy.parts
        .filter(({ material }) => material === 'two-colour-counter')
        .map(({ material, quantity }) => ({ material, expected: quantity, counted: quantity - (i % 2) })),
      personId: helper.id,
    });
  }
  await countStock(world.at, [{ material: 'two-colour-counter', counted: 2 }], coordinator.id);
}

describe('a term', () => {
  it('is looked back on: who is reached, what wears, how many copies, what plays, and a report that names nobody', async () => {
    await aTerm();
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/look-back');
    await page.getByText(/Herring term: /).waitFor();
    await page.getByText('What would close it.').waitFor();
    await page.getByText(/\d more bags to Portuguese-speaking families/).waitFor();
    await page.getByText(/Portuguese: 0 of 6 families had a bag.*more than chance/).waitFor();
    await page.getByText('Show as a table').first().click();
    await expectAccessible(page);
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page
        .getByRole('link', { name: /As a table for a spreadsheet/ })
        .first()
        .click(),
    ]);
    expect(file.suggestedFilename()).toBe('reached-language.csv');
    await page.getByRole('link', { name: 'by grade' }).click();
    await page.getByRole('heading', { name: 'Families that had a bag, by grade' }).waitFor();

    await page.getByRole('link', { name: 'What wears' }).click();
    await page.getByText(/Two-color counters go fastest: 4 were lost in 9 loans/).waitFor();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'How many copies' }).click();
    await page
      .getByText(/First splits \(\d\) could be taken apart for parts\.|No kit needs more copies/)
      .waitFor();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'What plays' }).click();
    await page.getByText('6 of 9 words on a game were “just right”.').waitFor();
    await page.getByRole('link', { name: 'Reckon what a play costs' }).click();
    await page.getByText('Show as a table').first().click();
    await page.getByRole('columnheader', { name: 'A play costs' }).waitFor();
    await expectAccessible(page);

    // Days of one's own.
    await page.getByLabel('From').fill(daysAfter(day(), -10));
    await page.getByLabel('To').fill(day());
    await page.getByRole('button', { name: 'Show these days' }).click();
    await page.getByText('days of your own: ').waitFor();
    await page.getByText('Nobody told of these days yet').waitFor();

    const report = await page.request.get('/look-back/report.pdf');
    expect(report.headers()['content-type']).toBe('application/pdf');
    const path = join(mkdtempSync(join(tmpdir(), 'report-')), 'report.pdf');
    writeFileSync(path, await report.body());
    const text = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });
    expect(text.split('\f').filter((one) => one.trim())).toHaveLength(2);
    expect(text).toMatch(/9 of 15 families took a bag/);
    expect(text).not.toMatch(/Vela|Dunlin|Family N/);
    expect(complaints).toEqual([]);
  }, 90_000);
});

describe('what is known of a family', () => {
  it('is theirs as a file, is looked at by name, and goes by a rule that is read before it acts', async () => {
    const [vela] = world.families;
    await everything().execute(
      sql`update family set created_at = now() - interval '2 years' where name = 'Family Auk'`,
    );
    const { page, complaints } = await visitor({ expected: /409/ });
    await signIn(page);
    await open(page, `/lend/families/${vela!.id}`);
    const looked = page.getByRole('region', { name: 'Who looked' });
    await looked.getByText('Coordinator, at its page').waitFor();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      looked.getByRole('link', { name: 'All that is known, as a file for them' }).click(),
    ]);
    expect(file.suggestedFilename()).toBe('family.txt');
    await open(page, `/lend/families/${vela!.id}`);
    await looked.getByText('Coordinator, at all that is known').waitFor();
    await expectAccessible(page);

    await open(page, '/lend/families');
    await page.getByRole('link', { name: 'How long they are kept' }).click();
    await page.getByRole('textbox', { name: 'Months after the last loan' }).fill('12');
    await page.keyboard.press('Tab');
    await page.getByRole('button', { name: 'Keep this rule' }).click();
    await page.getByText('The rule holds from now on.').waitFor();
    await page.getByRole('checkbox', { name: /Family Auk: never had a bag/ }).waitFor();
    await expectAccessible(page);
    expect(await page.getByText('Familia Vela').count()).toBe(0);
    await page.getByRole('button', { name: 'Forget those that are ticked …' }).click();
    await page.getByText('This cannot be undone.').waitFor();
    await page.getByRole('button', { name: 'Forget those that are ticked', exact: true }).click();
    await page.getByText('1 family is forgotten').waitFor();
    expect(await findFamily(world.at, world.families[2]!.id)).toBeUndefined();
    expect(await findFamily(world.at, vela!.id)).toBeDefined();
    expect(complaints).toEqual([]);
  });
});
