import { describe, expect, it } from 'vitest';
import { showTag } from '~/core/kits/tag';
import { findCopy, markPrinted } from '~/data/queries/copies';
import { listShortages } from '~/data/queries/counts';
import { findMaking, listMakings, type MakingNow } from '~/data/queries/making';
import { countStock, onHandNow, reservedNow } from '~/data/queries/store';
import { expectAccessible, open, scan, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();

/** All but the counters is there in plenty. */
const others = () =>
  countStock(
    world.at,
    ['cup', 'pencil', 'bag', 'cover'].map((material) => ({ material, counted: 40 })),
    null,
  );
const theRun = async (): Promise<MakingNow> =>
  (await findMaking(world.at, (await listMakings(world.at))[0]!.id))!;

describe('a build run', () => {
  it('goes from an empty store over a shortage and a purchase to six sealed bags, by keyboard alone and with a weighed count', async () => {
    const { page, complaints } = await visitor({ expected: /4\d\d/ });
    await signIn(page, 'Helper');
    await open(page, '/fill/runs');
    await page.getByText('No build run yet').waitFor();
    await expectAccessible(page);
    await open(page, '/fill/store/count?of=two-colour-counter');
    await page.keyboard.type('30');
    await page.keyboard.press('Enter');
    await page.getByText('30 two-color counters, counted for the first time.').waitFor();
    await others();

    await open(page, '/fill/runs/new');
    const six = page.getByRole('textbox', { name: 'First splits' });
    await six.fill('70');
    await six.press('Tab');
    await six.fill('6');
    await page.getByLabel('Finish').selectOption('plain');
    await page.getByRole('button', { name: 'Reckon this run' }).click();
    await page.getByText(/With what is free: 5 of 6 copies/).waitFor();
    await page.getByText(/1 × pack of 200/).waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Start this run' }).click();
    await page.getByText(/30 two-color counters are free in the store, and this run takes 36/).waitFor();
    expect(await listMakings(world.at)).toEqual([]);
    await open(page, '/fill/store/two-colour-counter');
    await page.getByRole('textbox', { name: 'How many' }).fill('200');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByText('It is in the ledger').waitFor();

    // The scale learns what a counter weighs, from readings that are typed.
    await page.getByRole('link', { name: 'Count them by weight' }).click();
    await page.getByLabel('What it showed, one after the other (g)').fill('none');
    await page.getByRole('button', { name: 'Learn this weight' }).click();
    await page.getByText(/From 2 to 20 readings in grams/).waitFor();
    const step = page.getByRole('textbox', { name: 'It shows steps of (g)' }).first();
    await step.fill('0.1');
    await step.press('Tab');
    await page.getByLabel('What it showed, one after the other (g)').fill('12.0 12.1 11.9 12.0 12.1');
    await page.getByRole('button', { name: 'Learn this weight' }).click();
    await page.getByText(/One two-color counter weighs 1.20 g/).waitFor();
    await expectAccessible(page);

    await open(page, '/fill/runs/new?finish=plain');
    await six.fill('6');
    await page.getByRole('button', { name: 'Reckon this run' }).click();
    await page.getByText('The store has enough for 6 copies.').waitFor();
    await page.getByRole('button', { name: 'Start this run' }).click();
    await page.getByText(/6 copies have a tag, and what they take is spoken for/).waitFor();
    await expectAccessible(page);
    expect((await reservedNow(world.at))['two-colour-counter']).toBe(36);
    await page.getByRole('link', { name: 'Print 6 packs in Spanish' }).waitFor();
    const run = await theRun();
    await markPrinted(
      world.at,
      run.copies.map(({ id }) => id),
      'es',
    );

    // From here on the keyboard alone.
    await page.getByRole('button', { name: 'Go on making' }).focus();
    await page.keyboard.press('Enter');
    let weighed = false;
    let misread = false;
    for (let presses = 0; presses < 90; presses++) {
      await page.waitForURL(/\/make\?.*step=|[?&]rest=1/);
      if (page.url().includes('rest=1')) break;
      const address = new URL(page.url());
      const [copyId, now] = [address.searchParams.get('copy')!, address.searchParams.get('step')!];
      const tag = run.copies.find(({ id }) => id === copyId)!.tag;
      const field = page.getByLabel(now === 'label' ? 'Scan the label' : 'Scan the bag, or press Enter');
      // The address is there a moment before the page: what is typed belongs to the bag that is shown.
      await page
        .locator(`form:has(input[name=copy][value='${copyId}']):has(input[name=step][value='${now}'])`)
        .first()
        .waitFor();
      await field.and(page.locator(':focus')).waitFor();
      if (presses === 0) await expectAccessible(page);
      if (now === 'count two-colour-counter' && !weighed) {
        weighed = true;
        const reading = page.getByRole('textbox', { name: 'Now it shows (g)' });
        await reading.focus();
        await page.keyboard.type('7.2');
        await page.keyboard.press('Tab');
        await page.getByText('As many as are wanted.').waitFor();
        // Enter there writes nothing down.
        await reading.focus();
        await page.keyboard.press('Enter');
        await field.focus();
      }
      if (now === 'label') {
        if (!misread) {
          misread = true;
          const other = run.copies.find(({ id }) => id !== copyId)!.tag;
          await page.keyboard.type(other);
          await page.keyboard.press('Enter');
          await page
            .getByText(`This label has the tag ${showTag(other)}; the bag is ${showTag(tag)}.`)
            .waitFor();
          await field.fill('');
        }
        await page.keyboard.type(tag);
      }
      const before = page.url();
      await page.keyboard.press('Enter');
      await page.waitForURL((url) => String(url) !== before);
    }
    expect([weighed, misread]).toEqual([true, true]);
    await page.getByText('Every copy of this run is made and checked.').waitFor();
    await expectAccessible(page);
    const after = await theRun();
    expect(after.copies.every(({ readyAt }) => readyAt !== null)).toBe(true);
    expect(after.endedAt).not.toBeNull();
    expect((await onHandNow(world.at))['two-colour-counter']).toBe(230 - 36);
    expect(await reservedNow(world.at)).toEqual({});
    await page.getByRole('link', { name: 'Lend them' }).waitFor();
    expect(complaints).toEqual([]);
  });

  it('is taken back step by step, tells what was short, is taken over, and ends by hand or by giving up', async () => {
    const { page, complaints } = await visitor({ expected: /4\d\d/ });
    await others();
    await countStock(world.at, [{ material: 'two-colour-counter', counted: 30 }], null);
    await signIn(page);
    await open(page, `/fill/${world.kitId}`);
    await page.getByRole('link', { name: 'Make them in a build run' }).click();
    await page.getByRole('heading', { name: 'Can I?' }).waitFor();
    // Packs in languages must be as many as copies.
    const spanish = page.getByRole('textbox', { name: 'Spanish' });
    await spanish.fill('1');
    await spanish.press('Tab');
    await page.getByRole('button', { name: 'Start this run' }).click();
    await page.getByText(/1 pack in these languages for 4 copies/).waitFor();
    await spanish.fill('4');
    await spanish.press('Tab');
    await page.getByRole('button', { name: 'Start this run' }).click();
    await page.getByText(/4 copies have a tag/).waitFor();
    const run = await theRun();
    // Printed in another language than it is meant for: Print says so.
    await open(page, `/print?copy=${run.copies[0]!.id}&home=ar`);
    await page.getByText(`${showTag(run.copies[0]!.tag)}: Spanish.`).waitFor();
    await open(page, `/fill/runs/${run.id}`);
    await page.getByRole('link', { name: 'Who does what when' }).click();
    await page.getByRole('region', { name: 'Helper 1' }).waitFor();
    await expectAccessible(page);

    // A copy that is being made is not lent; the desk and the scan line say so.
    const [first, second] = run.copies;
    await scan(page, first!.tag);
    await page.waitForURL(`**/fill/runs/${run.id}`);
    await open(page, `/lend?copy=${first!.tag}&family=${world.families[0]!.id}`);
    await page.getByText('It is still being made, and can be lent when its check is done.').waitFor();
    expect(await page.getByRole('button', { name: 'Lend this copy' }).count()).toBe(0);

    // Nothing is printed yet: there is counting to do.
    const here = `/fill/runs/${run.id}/make?copy=${first!.id}&step=count+two-colour-counter`;
    await open(page, here);
    const tagField = page.getByLabel('Scan the bag, or press Enter');
    await tagField.fill(second!.tag);
    await page.keyboard.press('Enter');
    await page.getByText(`You scanned the tag ${showTag(second!.tag)}`).waitFor();
    await page.getByRole('button', { name: 'One is broken' }).click();
    await page.getByText('One broke and was taken out of the store.').waitFor();
    expect((await onHandNow(world.at))['two-colour-counter']).toBe(29);
    const only = page.getByRole('textbox', { name: 'Only so many are there' });
    await only.fill('4');
    await only.press('Tab');
    await page.getByRole('button', { name: 'There are too few' }).click();
    await page.getByText('4 of 6 two-color counters').waitFor();
    expect((await onHandNow(world.at))['two-colour-counter']).toBe(25);
    await page.getByRole('button', { name: 'Take it back' }).click();
    await page.waitForURL(/\/make\?copy=[^&]*&step=[^&]*$/);
    await tagField.waitFor();
    expect((await onHandNow(world.at))['two-colour-counter']).toBe(29);
    await only.fill('5');
    await only.press('Tab');
    await page.getByRole('button', { name: 'There are too few' }).click();
    await page.getByText('5 of 6 two-color counters').waitFor();

    // Somebody else goes on: what the coordinator has begun is left to her.
    const helper = await visitor();
    await signIn(helper.page, 'Helper');
    await open(helper.page, `/fill/runs/${run.id}`);
    await helper.page.getByText('1 short').waitFor();
    await expectAccessible(helper.page);
    await helper.page.getByRole('button', { name: 'Go on making' }).click();
    await helper.page.waitForURL(/\/make\?copy=/);
    expect(new URL(helper.page.url()).search).not.toBe(new URL(page.url()).search);

    // The rest of the first copy is done by hand; what was short is noted on it.
    await open(page, `/fill/runs/${run.id}`);
    await page.getByLabel('Made by hand, and checked').selectOption(first!.id);
    await page.getByRole('button', { name: 'This copy is made' }).click();
    await page.getByText(`${showTag(first!.tag)} can be lent now.`).waitFor();
    expect(await listShortages(world.at, first!.id)).toMatchObject([{ expected: 6, counted: 5 }]);
    await page.getByRole('link', { name: 'Give up what is not made' }).click();
    await page.getByText('Copies that are made stay.').waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Give up 3 copies' }).click();
    await page.getByText('What was not made is gone').waitFor();
    expect(await findCopy(world.at, { id: second!.id })).toBeUndefined();
    expect((await onHandNow(world.at))['two-colour-counter']).toBe(24);
    // What the helper had in hand is not there any more.
    await helper.page.getByLabel('Scan the bag, or press Enter').press('Enter');
    await helper.page.getByText('This bag or this step is not there any more.').waitFor();
    expect(complaints).toEqual([]);
  });

  it('is told by the scale that stands in, and by the language of its packs at the desk', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    await open(page, '/fill/scale');
    await expectAccessible(page);
    const pieces = page.getByRole('textbox', { name: 'Pieces' });
    await pieces.fill('25');
    await page.getByRole('button', { name: 'Lay them on the scale' }).click();
    await page.getByText('25 connecting cubes, with what the cup weighs.').waitFor();
    await open(page, '/fill/store/cube/weigh');
    const read = page.getByRole('button', { name: 'Read the scale' });
    for (let i = 0; i < 3; i++) {
      await read.first().click();
      await page.waitForFunction(
        (n) => document.querySelector<HTMLInputElement>('[name=readings]')!.value.split(' ').length === n,
        i + 1,
      );
    }
    const each = page.getByRole('textbox', { name: 'Pieces each time' });
    await each.fill('25');
    await each.press('Tab');
    await page.getByRole('button', { name: 'Learn this weight' }).click();
    await page.getByText(/One connecting cube weighs/).waitFor();
    await read.nth(1).click();
    await page.getByText('25 connecting cubes.').waitFor();
    await page.getByText('15 too many.').waitFor();

    // A pack in Spanish does not go to a family that reads Arabic without a word.
    const [copy] = world.copies;
    await markPrinted(world.at, [copy!.id], 'ar');
    await open(page, `/lend?copy=${copy!.tag}&family=${world.families[0]!.id}`);
    await page.getByText(/in English and Arabic; this family reads Spanish/).waitFor();
    await page.getByRole('link', { name: 'Print them in Spanish' }).waitFor();
    await expectAccessible(page);
    await open(page, `/lend?copy=${copy!.tag}&family=${world.families[1]!.id}`);
    expect(await page.getByText('In another language').count()).toBe(0);
    expect(complaints).toEqual([]);
  });
});
