import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { lineNow } from '~/data/queries/wording';
import { lineStates } from '~/data/queries/words';
import { wordingLine } from '~/data/schema';
import { everything } from '../owner';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
const spill = gameOf('two-tone-spill');

describe('lines', () => {
  it('go out as XLIFF and as a table and come back: seen before they are written, refused with a reason, all or none', async () => {
    const { page, complaints } = await visitor({ expected: /4(00|09)/ });
    await signIn(page);
    await open(page, '/word');
    await page.getByRole('link', { name: 'Lines out and in' }).click();
    await page.getByRole('heading', { name: 'Lines out and in' }).waitFor();
    await expectAccessible(page);
    await page.getByLabel('Of what').selectOption({ label: 'First splits (kit)' });
    const download = async (name: string): Promise<string> => {
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name }).click(),
      ]);
      return readFileSync(await file.path(), 'utf8');
    };
    const bring = async (name: string, text: string): Promise<void> => {
      await page
        .getByLabel('The file')
        .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) });
      await page.getByRole('button', { name: 'Show what would change' }).click();
    };
    const file = await download('Take them out as XLIFF');
    expect(file).toContain('trgLang="es"');

    // As it went out nothing changes.
    await bring('lines.xlf', file);
    await page.getByText('0 lines would be worded anew in Spanish').waitFor();
    expect(await page.getByRole('button', { name: /^Word / }).count()).toBe(0);

    // One line said better, one that lost its number: nothing is written before it is ticked.
    const better = file
      .replace('Pongan <ph', 'Metan <ph')
      .replace(/(<unit id="goal".*?<target[^>]*>[^<]*)<ph[^>]*\/>/, '$1');
    expect(better).not.toBe(file);
    await bring('lines.xlf', better);
    await page.getByText('1 line would be worded anew in Spanish').waitFor();
    await page.getByText('{counters} is missing: the number or word would not be said.').waitFor();
    await page.getByText('Metan {counters} ficha').waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Word 1 line anew' }).click();
    await page.getByText('Some lines are refused. Nothing was written').waitFor();
    expect(await everything().$count(wordingLine)).toBe(0);
    await page.getByRole('checkbox', { name: 'Leave out the 1 line that is refused' }).press('Space');
    await page.getByRole('button', { name: 'Word 1 line anew' }).click();
    await page.getByText('1 line worded anew. They wait to be checked.').waitFor();
    expect(await everything().$count(wordingLine)).toBe(1);
    expect((await lineNow(world.at, spill, 'setUp.cup', 'es')).message).toContain('one {Metan # ficha');
    // The file is of an earlier wording now; what it says of the others is as it is.
    await bring('lines.xlf', file);
    await page.getByText('1 line would be worded anew in Spanish').waitFor();

    // A table with what was found right: a name makes it a check.
    const table = await download('as a table (CSV)');
    await bring('lines.csv', table.replace(/^(two-tone-spill,goal,.*),translated,/m, '$1,final,'));
    await page.getByRole('textbox', { name: /^1 line came back as final/ }).fill('Nadia');
    await page.getByRole('button', { name: 'Take what was found right' }).click();
    await page.getByText('0 lines worded anew.').waitFor();
    expect((await lineStates(world.at, spill, 'es')).goal).toMatchObject({
      kind: 'checked',
      voices: [{ by: 'Nadia' }],
    });

    // What cannot be read says so.
    for (const [text, says] of [
      ['', 'Choose a file first.'],
      ['<xliff', 'This file is not well formed'],
      ['<!DOCTYPE a><xliff/>', 'rules of its own'],
      ['a,b\n1,2\n', 'Missing: game, line, form'],
      [
        file.replace('trgLang="es"', 'trgLang="ar"'),
        'Arabic, which is not one of the languages of your school',
      ],
    ] as const) {
      await bring('lines', text);
      await page.getByText(says).waitFor();
    }
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });
});
