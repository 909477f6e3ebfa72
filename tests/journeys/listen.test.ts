import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { daysAfter } from '~/core/lending/due';
import { silent } from '~/core/listening/answer';
import { showTag } from '~/core/kits/tag';
import { sheetLines } from '~/core/pack/instructions';
import { open as openVariant } from '~/core/own/open';
import { createFamily, familyFields, findFamily, updateFamily } from '~/data/queries/families';
import { createVariant, saveKit } from '~/data/queries/kits';
import { addAnswer } from '~/data/queries/listening';
import { takeBack } from '~/data/queries/returns';
import { addLineChecks } from '~/data/queries/words';
import { school, workPicture } from '~/data/schema';
import { unclearNow } from '~/server/listening/unclear';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { answersOf, aWord, lendOut, printedCopies } from '../world';
import { expectAccessible, open, settled, signIn, smallSchoolForEach, unfolded, visitor } from './browser';

const world = smallSchoolForEach();
const day = (): string => todayAt(world.at);

/** A kit with one game, checked in Arabic. */
async function arabicKit(name: string, gameId: string, presetId: string) {
  const game = gameOf(gameId);
  const { params, ageBand } = game.presets.find(({ id }) => id === presetId)!;
  const { coordinator, reader, helper } = world.people;
  const variant = (await createVariant(world.at, {
    gameId,
    name,
    ageBand,
    params,
    createdBy: coordinator.id,
  }))!;
  await addLineChecks(
    world.at,
    game,
    sheetLines(openVariant({ gameId, params })).map((messageId) => ({
      messageId,
      language: 'ar',
      right: true,
      note: '',
      personId: reader.id,
    })),
  );
  const kitId = (await saveKit(
    world.at,
    { name, ageBand: 'g1', players: 2, paper: 'a4', assurance: 'usual', variantIds: [variant.id] },
    coordinator.id,
  ))!;
  return printedCopies(world.at, kitId, 2, helper.id);
}

describe('listening', () => {
  it('to an answer in Arabic on a phone changes the next bag of the child', async () => {
    await everything()
      .update(school)
      .set({ languages: ['en', 'es', 'ar'] })
      .where(eq(school.id, world.at.schoolId));
    const family = (await createFamily(world.at, {
      name: 'عائلة حداد',
      language: 'ar',
      children: 'Noor, grade 1',
      pictures: true,
    }))!;
    await arabicKit('Pairs of ten', 'tide-pairs', 'ten');
    await arabicKit('Dots', 'peek-and-say', 'five');
    world.families.push(family);
    await lendOut(world, { copy: 0, family: 3, lentOn: daysAfter(day(), -3), dueOn: daysAfter(day(), 9) });

    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, `/listen/families/${family.id}`);
    const noor = page.getByRole('region', { name: 'Noor' });
    await noor.getByText('Nobody has answered yet').waitFor();
    await expectAccessible(page);
    const first = () => noor.locator('tbody tr').first().locator('strong').innerText();
    const before = await first();
    expect(before).toBe('Pairs of ten');

    // Two taps are a full answer; the rest is folded away.
    const phone = await visitor({ width: 360, height: 740 });
    await phone.page.goto(`/p/${world.copies[0]!.linkKey}/answer`);
    await phone.page.getByRole('heading', { name: 'كيف كان اللعب؟' }).waitFor();
    expect(await phone.page.locator('html').getAttribute('dir')).toBe('rtl');
    expect(await phone.page.content()).not.toMatch(/حداد|Noor/);
    await expectAccessible(phone.page);
    await phone.page.getByLabel('صعبة جدًا').check();
    // Typed, and the phone loses its network: nothing is lost.
    await unfolded(phone.page);
    await phone.page.getByLabel('ماذا قال الطفل؟').fill('هذا كثير');
    await phone.context.setOffline(true);
    await phone.page.getByRole('button', { name: 'أرسلوا الجواب' }).click();
    await phone.page.getByText('لا توجد شبكة الآن').waitFor();
    await phone.context.setOffline(false);
    await phone.page.reload();
    await phone.page.getByText('ما كتبتموه من قبل ما زال هنا').waitFor();
    expect(await phone.page.getByLabel('صعبة جدًا').isChecked()).toBe(true);
    expect(await phone.page.getByLabel('ماذا قال الطفل؟').inputValue()).toBe('هذا كثير');
    await unfolded(phone.page);
    await phone.page.getByLabel('صورة لما صنعه الطفل').setInputFiles({
      name: 'work.png',
      mimeType: 'image/png',
      buffer: await sharp({ create: { width: 1600, height: 1200, channels: 3, background: '#E3B64B' } })
        .png()
        .toBuffer(),
    });
    await phone.page.getByRole('button', { name: 'أرسلوا الجواب' }).click();
    await phone.page.getByRole('heading', { name: 'شكرًا' }).waitFor();
    expect(await phone.page.evaluate(() => Object.keys(localStorage).length)).toBe(0);
    expect(await answersOf(world.at)).toMatchObject([
      { answer: { language: 'ar', via: 'page' }, games: [{ said: 'tooHard', childSaid: 'هذا كثير' }] },
    ]);

    await open(page, `/listen/families/${family.id}`);
    await noor.getByText('1 too hard').waitFor();
    // It was too hard: the easier one is the next, and the game they had would do with less.
    expect(await first()).toBe('Dots');
    await noor.getByText(/The one they had/).waitFor();

    await open(page, '/listen');
    const voice = page.getByRole('article', { name: 'Answer of عائلة حداد' });
    await voice.getByText('“هذا كثير”').waitFor();
    expect(await voice.getByText('“هذا كثير”').getAttribute('dir')).toBe('rtl');
    const picture = await page.request.get((await voice.locator('img').getAttribute('src'))!);
    expect([picture.status(), picture.headers()['content-type'], picture.headers()['cache-control']]).toEqual(
      [200, 'image/jpeg', 'private, no-store'],
    );
    const stranger = await phone.page.request.get((await voice.locator('img').getAttribute('src'))!, {
      maxRedirects: 0,
    });
    expect(stranger.status()).not.toBe(200);
    await page.getByLabel('A new theme').fill('Says it is much');
    await page.getByRole('button', { name: 'Add this theme' }).click();
    await voice.getByRole('button', { name: 'Says it is much' }).click();
    await settled(page);
    await voice.getByRole('button', { name: 'Thank عائلة حداد' }).click();
    await page.getByRole('textbox', { name: /A line to/ }).fill('شكرًا لكم.');
    await page.getByRole('button', { name: 'Say it to them' }).click();
    await page.getByText('It is on a strip').waitFor();
    await voice.getByRole('button', { name: 'Delete this picture' }).click();
    await expect.poll(() => world.at.$count(workPicture)).toBe(0);
    await expectAccessible(page);
    await page.getByRole('searchbox', { name: 'Words they used' }).fill('كثير');
    await page.keyboard.press('Enter');
    await page.waitForURL(/q=/);
    await voice.waitFor();
    await page.getByRole('searchbox', { name: 'Words they used' }).fill('nobody said this');
    await page.keyboard.press('Enter');
    await page.getByText('Nobody said so').waitFor();
    expect([...complaints, ...phone.complaints.filter((one) => !/ERR_INTERNET/.test(one))]).toEqual([]);
  }, 90_000);

  it('to what was unclear stands on its line at the words desk until it is worded anew', async () => {
    await lendOut(world, { copy: 0, family: 0, lentOn: daysAfter(day(), -3), dueOn: daysAfter(day(), 9) });
    const phone = await visitor({ width: 360, height: 740 });
    await phone.page.goto(`/p/${world.copies[0]!.linkKey}/answer?lang=es`);
    await unfolded(phone.page);
    const step = phone.page.getByLabel('¿Hubo un paso poco claro?');
    await step.selectOption({ index: 1 });
    const said = await step.locator('option:checked').innerText();
    await phone.page.getByRole('button', { name: 'Enviar la respuesta' }).click();
    await phone.page.getByRole('heading', { name: 'Gracias' }).waitFor();

    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/word');
    await page.getByRole('heading', { name: 'What families did not understand' }).waitFor();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Two-Tone Spill' }).first().waitFor();
    await open(page, '/word/two-tone-spill?language=es');
    const line = page.getByRole('listitem').filter({ hasText: 'unclear to 1 family' });
    await line.getByText(said, { exact: false }).first().waitFor();
    await line.getByRole('link', { name: /^its story: line/ }).click();
    await page.getByText('1 family did not understand this step').waitFor();
    await expectAccessible(page);
    const field = page.getByRole('group', { name: 'The line in Spanish' }).getByRole('textbox').last();
    await field.fill(`${await field.inputValue()} Así.`);
    await page.getByRole('button', { name: 'Save this line' }).click();
    await page.getByText('Sheets, labels and pages say it so from now on.').waitFor();
    expect(await page.getByText('did not understand this step').count()).toBe(0);
    expect(await unclearNow(world.at)).toEqual([]);
    await open(page, '/word');
    expect(await page.getByText('What families did not understand').count()).toBe(0);
    expect([...complaints, ...phone.complaints]).toEqual([]);
  });

  it('to twenty slips takes the keyboard alone', async () => {
    const { helper } = world.people;
    const copies = [...world.copies, ...(await printedCopies(world.at, world.kitId, 17, helper.id))];
    for (const [i, copy] of copies.entries()) {
      world.copies[i] = copy;
      const loanId = await lendOut(world, {
        copy: i,
        family: i % 3,
        lentOn: daysAfter(day(), -20),
        dueOn: daysAfter(day(), -6),
      });
      await takeBack(world.at, { loanId, returnedOn: daysAfter(day(), -5), counts: [], personId: null });
    }
    const { page, complaints } = await visitor({ expected: /40[09]/ });
    await signIn(page);
    await open(page, '/listen');
    await page.keyboard.press('F9');
    await page.getByRole('heading', { name: 'Type in slips' }).waitFor();
    const box = page.getByLabel('Number and ticks');
    await expect.poll(() => box.evaluate((one) => one === document.activeElement)).toBe(true);
    for (const [i, { tag }] of copies.entries()) {
      await page.keyboard.type(`${tag}2134${1 + (i % 3)}0`);
      if (i === 4) {
        await page.keyboard.press('Tab');
        await page.keyboard.type('Otra vez, dijo.');
      }
      await page.keyboard.press('Enter');
      await page.getByText(`${i + 1} ${i === 0 ? 'slip' : 'slips'}`, { exact: true }).waitFor();
      await expect.poll(() => box.inputValue()).toBe('');
    }
    // A slip that is typed twice is kept once, and what was typed stays in sight.
    await page.keyboard.type(`${copies[0]!.tag}213410`);
    await page.getByText('This slip was typed in before.').waitFor();
    await page.keyboard.press('Enter');
    await page.getByText(/was typed in before; it was not kept twice/).waitFor();
    expect(await box.inputValue()).toBe(`${copies[0]!.tag}213410`);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Take it back' }).first().click();
    await page.getByText('19 slips', { exact: true }).waitFor();
    const kept = await answersOf(world.at);
    expect(kept).toHaveLength(19);
    expect(kept.filter(({ answer }) => answer.childDid === 'Otra vez, dijo.')).toHaveLength(1);
    expect(new Set(kept.map(({ games }) => games[0]!.said)).size).toBe(3);
    expect(complaints).toEqual([]);
  }, 300_000);

  it('to a text that is not understood puts it before a person, who says what it means', async () => {
    const [vela] = world.families;
    await updateFamily(
      world.at,
      vela!.id,
      { ...familyFields(vela!), reach: '555-0177', channel: 'message' },
      1,
    );
    await lendOut(world, { copy: 0, family: 0, lentOn: daysAfter(day(), -9), dueOn: daysAfter(day(), 5) });
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    await open(page, '/listen/texts');
    await page.getByText('No text waits').waitFor();
    const comesIn = async (from: string, line: string): Promise<void> => {
      await page.getByLabel('From the number').fill(from);
      await page.getByLabel('What it says').fill(line);
      await page.getByRole('button', { name: 'Let it come in' }).click();
      await page.getByText('It came in.').waitFor();
      await settled(page);
    };
    await comesIn('555-0177', 'nos gustó mucho');
    const waiting = page.getByRole('region', { name: 'Text of Familia Vela' });
    await waiting.getByText('is not the number of a game').waitFor();
    await expectAccessible(page);
    await open(page, '/listen');
    await page.getByRole('link', { name: /1 text was not understood/ }).click();
    await waiting
      .getByRole('link', { name: new RegExp(`It is about ${showTag(world.copies[0]!.tag)}`) })
      .click();
    await page.getByText('nos gustó mucho').waitFor();
    await page.getByRole('button', { name: 'Keep what they said' }).click();
    await page.getByText('Nothing is answered yet').first().waitFor();
    await page.getByText('just right · ni fácil ni difícil').click();
    await page.getByRole('checkbox', { name: 'by counting on' }).press(' ');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Keep what they said' }).click();
    await page.getByRole('heading', { name: 'Texts that came in' }).waitFor();
    await page.getByText('No text waits').waitFor();
    expect(await answersOf(world.at)).toMatchObject([
      { answer: { via: 'text' }, games: [{ said: 'justRight', how: ['countingOn'] }] },
    ]);
    // A line that says exactly what it means needs nobody.
    await comesIn('(555) 0177', '1 difícil 10');
    await page.getByText('It was read, and is an answer now.').waitFor();
    expect((await answersOf(world.at))[1]).toMatchObject({ games: [{ said: 'tooHard', minutes: 10 }] });
    await comesIn('555-0000', '1 ok');
    await page
      .getByRole('region', { name: 'Text of 555-0000' })
      .getByRole('button', { name: 'Set it aside' })
      .click();
    await page.getByText('set aside').waitFor();
    expect(complaints).toEqual([]);
  }, 300_000);

  it('by phone asks the same questions, for helpers too', async () => {
    await updateFamily(
      world.at,
      world.families[1]!.id,
      { ...familyFields((await findFamily(world.at, world.families[1]!.id))!), reach: '555-0188' },
      1,
    );
    await lendOut(world, { copy: 1, family: 1, lentOn: daysAfter(day(), -9), dueOn: daysAfter(day(), 5) });
    const { page, complaints } = await visitor();
    await signIn(page, 'Helper');
    await open(page, '/listen/calls');
    await page.getByRole('link', { name: 'Ask them: Family Dunlin' }).click();
    await page.getByText('555-0188').waitFor();
    await expectAccessible(page);
    await page.getByText('too easy', { exact: true }).click();
    await page.getByLabel('What did the child say?').fill('Again!');
    await page.getByRole('button', { name: 'Keep what they said' }).click();
    await page.getByText('What the family said is an answer now.').waitFor();
    await page.getByText('Nobody is left to ask').waitFor();
    expect(await answersOf(world.at)).toMatchObject([
      { answer: { via: 'phone', personId: world.people.helper.id }, games: [{ said: 'tooEasy' }] },
    ]);
    expect(complaints).toEqual([]);
  });

  it('shows by how much families find a game harder than reckoned, and how far forecasts hold', async () => {
    for (const copy of [0, 1, 2]) {
      const loanId = await lendOut(world, {
        copy,
        family: copy,
        lentOn: daysAfter(day(), -9),
        dueOn: daysAfter(day(), 5),
      });
      await addAnswer(
        world.at,
        aWord(loanId, { language: 'es', games: [{ ...silent(0), said: 'tooHard', unclear: 'spill' }] }),
      );
    }
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/listen/games');
    await page.getByText(/Families find it harder than reckoned, by 0\.\d of a school year/).waitFor();
    await page.getByRole('heading', { name: 'Can the forecasts be believed?' }).waitFor();
    await page.getByText('Show as a table').click();
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });
});
