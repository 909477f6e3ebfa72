import { describe, expect, it } from 'vitest';
import { showTag } from '~/core/kits/tag';
import { silent } from '~/core/listening/answer';
import { addAnswer } from '~/data/queries/listening';
import { listShortages } from '~/data/queries/counts';
import { takeBack } from '~/data/queries/returns';
import { today } from '~/server/today';
import { lendOut, answersOf, aWord } from '../world';
import { smallSchoolForEach, expectAccessible, open, signIn, visitor } from './browser';

const world = smallSchoolForEach();

/** A loan of a copy to a family, due today. */
const out = (copy: number, family: number): Promise<string> =>
  lendOut(world, { copy, family, lentOn: today(world.at), dueOn: today(world.at) });
/** The copy is home again with so many of its six counters. */
const home = (loanId: string, counted: number) =>
  takeBack(world.at, {
    loanId,
    returnedOn: today(world.at),
    personId: world.people.helper.id,
    counts: world.copies[0]!.parts.map(({ material, quantity }) => ({
      material,
      expected: quantity,
      counted: material === 'two-colour-counter' ? counted : quantity,
    })),
  });

describe('looking back', () => {
  it('shows what a copy lacks, mends it, undoes that, and not when it was counted again', async () => {
    await home(await out(0, 0), 4);
    const tag = showTag(world.copies[0]!.tag);
    const { page, complaints } = await visitor({ expected: /409/ });
    await signIn(page);
    await open(page, '/look-back');
    await page.getByText('2 of 6').waitFor();
    const margin = page.getByRole('complementary', { name: 'Reckonings' });
    expect(await margin.innerText()).toMatch(/1\s+of 3/);
    await expectAccessible(page);

    // The copy tells its life and what is missing.
    await page.getByRole('link', { name: tag }).click();
    await page.getByRole('heading', { name: `Copy ${tag}`, level: 1 }).waitFor();
    await expect.poll(() => margin.innerText()).toMatch(/2\s+parts/);
    expect(await page.getByRole('region', { name: 'Life' }).innerText()).toMatch(/Lent to Familia Vela/);
    await expectAccessible(page);

    await page.goBack();
    await page.getByRole('button', { name: `The parts are back in ${tag}` }).click();
    await page.getByText('The copy counts as complete again.').waitFor();
    expect(await listShortages(world.at)).toEqual([]);
    await page.getByRole('button', { name: 'Undo this mending' }).click();
    await page.getByText('The parts count as missing again.').waitFor();
    expect(await listShortages(world.at)).toMatchObject([{ expected: 6, counted: 4 }]);
    await page.getByRole('button', { name: `The parts are back in ${tag}` }).click();
    await page.getByText('The copy counts as complete again.').waitFor();
    // It goes out and comes home with five before anybody presses Undo.
    await home(await out(0, 1), 5);
    await page.getByRole('button', { name: 'Undo this mending' }).click();
    await page.getByText('This copy was counted again meanwhile. Nothing was changed.').waitFor();
    expect(await listShortages(world.at)).toMatchObject([{ expected: 6, counted: 5 }]);
    expect(complaints).toEqual([]);
  });

  it('judges a return while it is counted, and tells the next family the game that plays with what is there', async () => {
    const loanId = await out(0, 1);
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, `/take-back/${loanId}`);
    const verdict = page.getByRole('region', { name: 'Can it go out again?' });
    expect(await verdict.count()).toBe(0);
    const less = page.getByRole('button', { name: 'One less: two-color counters that came back' });
    await less.click();
    await verdict.getByText('lend it with a note').waitFor();
    await verdict.getByText('It plays with “Counters” at 5.').waitFor();
    await expectAccessible(page);
    // Without a single counter nothing plays.
    for (let i = 0; i < 5; i++) await less.click();
    await verdict.getByText('mend it first').waitFor();
    const more = page.getByRole('button', { name: 'One more: two-color counters that came back' });
    for (let i = 0; i < 5; i++) await more.click();
    await verdict.getByText('lend it with a note').waitFor();
    await page.getByRole('button', { name: 'Take it back with parts missing' }).click();
    await page.getByText('missing: 1 of 6 two-color counters').waitFor();
    await page
      .getByRole('region', { name: 'Can it go out again?' })
      .getByText('lend it with a note')
      .waitFor();
    await expectAccessible(page);

    // The next family reads Spanish: the game is told for five counters, and the bag holds five.
    await out(0, 0);
    const phone = await visitor({ width: 360 });
    await phone.page.goto(`/p/${world.copies[0]!.linkKey}`);
    await phone.page.getByText('Faltan algunas piezas de este juego en la bolsa.').waitFor();
    await phone.page.getByText('5 fichas de dos colores', { exact: true }).waitFor();
    await phone.page.getByText(/Pongan 5 fichas de dos colores en el vaso/).waitFor();
    await expectAccessible(phone.page);
    expect([...complaints, ...phone.complaints]).toEqual([]);
  });

  it('says so when there is nothing to mend and nobody was reached', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/look-back');
    await page.getByText('Nothing to mend').waitFor();
    const margin = page.getByRole('complementary', { name: 'Reckonings' });
    expect(await margin.innerText()).toMatch(/0\s+of 3/);
    await open(page, '/listen');
    await page.getByText('Nobody has answered yet').waitFor();
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });
});

describe('listening', () => {
  it('says what answers mean for the next basket, and which are new until they are read', async () => {
    for (const [copy, family, level, minutes] of [
      [0, 0, 'tooEasy', 6],
      [1, 1, 'tooEasy', 5],
      [2, 2, 'tooEasy', 7],
    ] as const)
      await addAnswer(
        world.at,
        aWord(await out(copy, family), {
          language: family === 0 ? 'es' : 'en',
          childDid: family === 0 ? 'Lo hizo sola.' : '',
          missing: family === 1 ? 'one counter' : '',
          games: [{ ...silent(0), said: level }],
          minutes,
          times: 2,
          children: 1,
          grownUps: 1,
        }),
      );
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/lend');
    const leaf = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /^Listen/ });
    await expect.poll(() => leaf.innerText()).toMatch(/3/);
    await open(page, '/listen');
    await page.getByText('3 answers are new').waitFor();
    await page.getByText('1 family tells of something missing or broken').waitFor();
    await page.getByText('“Lo hizo sola.”').waitFor();
    await page.getByText('missing or broken', { exact: true }).waitFor();
    expect(await page.getByText('played 2 times, about 5 minutes, 1 child, 1 grown-up').count()).toBe(1);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'I have read the 3 new answers' }).click();
    await expect.poll(() => page.getByText('new', { exact: true }).count()).toBe(0);
    expect((await answersOf(world.at)).every(({ answer }) => answer.readAt !== null)).toBe(true);
    await expect.poll(() => leaf.innerText()).not.toMatch(/3/);
    expect(complaints).toEqual([]);
  });
});
