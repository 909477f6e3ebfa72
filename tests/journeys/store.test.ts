import { beforeEach, describe, expect, it } from 'vitest';
import { showTag } from '~/core/kits/tag';
import { findCopy, pageOfCopies } from '~/data/queries/copies';
import { findKit } from '~/data/queries/kits';
import { onHandNow } from '~/data/queries/store';
import { listShortages } from '~/data/queries/counts';
import { takeBack } from '~/data/queries/returns';
import { school } from '~/data/schema';
import { today } from '~/server/today';
import { everything } from '../owner';
import { addVariant, lendOut } from '../world';
import { ADDRESS, expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
let there: () => Promise<Readonly<Record<string, number | null>>>;
beforeEach(() => {
  there = () => onHandNow(world.at);
});

describe('the store', () => {
  it('is counted by keyboard alone, builds with a shortage and a purchase, and takes a build back', async () => {
    const { page, complaints } = await visitor({ expected: /4\d\d/ });
    await signIn(page, 'Helper');
    await open(page, '/fill/store');
    await page.getByText('Nothing has been counted yet').waitFor();
    await expectAccessible(page);
    // The walk: what is expected is told only after a number was typed.
    await open(page, '/fill/store/count?of=two-colour-counter');
    await page.getByRole('heading', { name: 'How many two-color counters are there?' }).waitFor();
    await page.keyboard.type('9');
    await page.keyboard.press('Enter');
    await page.getByText('9 two-color counters, counted for the first time.').waitFor();
    await open(page, '/fill/store/count?of=two-colour-counter');
    expect(await page.getByRole('main').innerText()).not.toMatch(/\b9\b/);
    await page.keyboard.type('8');
    await page.keyboard.press('Enter');
    await page.getByText('8 two-color counters; the ledger expected 9.').waitFor();
    await page.getByRole('button', { name: 'Undo this count' }).click();
    await page.getByText('The count was taken back.').waitFor();
    expect((await there())['two-colour-counter']).toBe(9);
    await expectAccessible(page);

    // Two copies take twelve: the page says what is short, and the build is refused until they are bought.
    await open(page, `/fill/${world.kitId}`);
    const many = page.getByRole('textbox', { name: 'How many' });
    await many.fill('2');
    await many.press('Tab');
    await page.getByText(/3 two-color counters: 9 of 12 are there; buy 1 × pack of 200 for/).waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Build and tag these copies' }).click();
    await page.getByText(/The store has 9 two-color counters, and these copies take 12/).waitFor();
    await open(page, '/fill/store/two-colour-counter');
    const quantity = page.getByRole('textbox', { name: 'How many' });
    await quantity.fill('20000000');
    await quantity.press('Tab');
    await quantity.fill('200');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByText('It is in the ledger; it can be undone below.').waitFor();
    await expectAccessible(page);
    await open(page, `/fill/${world.kitId}`);
    await many.fill('2');
    await many.press('Tab');
    await page.getByRole('button', { name: 'Build and tag these copies' }).click();
    await page.getByText('2 copies have a tag now').waitFor();
    expect((await there())['two-colour-counter']).toBe(197);
    await page.getByRole('button', { name: 'Undo this build' }).click();
    await page.getByText('These copies and their tags are gone').waitFor();
    expect((await there())['two-colour-counter']).toBe(209);

    // More than there is cannot be lost; nothing is changed by trying.
    await open(page, '/fill/store/two-colour-counter');
    await page.getByLabel('What happened').selectOption('lost');
    await quantity.fill('500');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByText('Only 209 are on hand by the ledger.').waitFor();
    expect((await there())['two-colour-counter']).toBe(209);
    expect(complaints).toEqual([]);
  });

  it('plans the afternoon in which copies are made, and says in a sentence what cannot be read', async () => {
    const { page, complaints } = await visitor();
    await signIn(page, 'Helper');
    await open(page, `/fill/${world.kitId}`);
    await page.getByRole('link', { name: 'Plan the afternoon' }).click();
    await page.getByRole('heading', { name: 'An afternoon with First splits' }).waitFor();
    await page.getByRole('region', { name: 'Helper 3' }).waitFor();
    await expectAccessible(page);
    const done = async (): Promise<number> => {
      const told = await page.getByRole('complementary', { name: 'Reckonings' }).innerText();
      const [, hours, minutes] = /Done after\s+(\d+):(\d\d)/.exec(told)!;
      return 60 * Number(hours) + Number(minutes);
    };
    const three = await done();
    await open(page, `/fill/${world.kitId}/afternoon?copies=4&helpers=1`);
    const alone = await done();
    expect(alone).toBeGreaterThan(three);
    expect(await page.getByRole('region', { name: 'Helper 2' }).count()).toBe(0);
    await open(page, `/fill/${world.kitId}/afternoon?copies=4000&helpers=x`);
    await page.getByText('Copies must be from 1 to 60.').waitFor();
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });

  it('shows a list row by row before it takes it over, and says in a sentence what cannot be read', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    await open(page, '/fill/store');
    await page.getByRole('link', { name: 'Bring a list in' }).click();
    const choose = async (bytes: Buffer): Promise<void> => {
      await page
        .getByLabel('The file')
        .setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: bytes });
      await page.getByRole('button', { name: 'Show what is in it' }).click();
    };
    await choose(Buffer.from([0x6d, 0xff, 0xfe]));
    await page.getByText('This file is not written in UTF-8').waitFor();
    await choose(Buffer.from('part,count\r\nchips,3\r\n'));
    await page.getByText('Missing: material, onHand.').waitFor();
    await choose(
      Buffer.from('material,onHand,place\r\nunicorn,4,\r\nchips,48,tin 2\r\ntwo-color counters,,\r\n'),
    );
    await page.getByText('1 part will change').waitFor();
    await page.getByText('1 row has a problem and will be left out').waitFor();
    await page.getByText('There is no such part.').waitFor();
    await page.getByText('48 on hand, in tin 2').waitFor();
    expect((await there()).chip).toBeUndefined();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Change 1 part' }).click();
    await page.getByText('The list was brought in').waitFor();
    expect((await there()).chip).toBe(48);
    expect(complaints).toEqual([]);
  });

  it('mends a copy from what it has, and takes that back', async () => {
    const loanId = await lendOut(world, {
      copy: 0,
      family: 0,
      lentOn: today(world.at),
      dueOn: today(world.at),
    });
    await takeBack(world.at, {
      loanId,
      returnedOn: today(world.at),
      personId: world.people.helper.id,
      counts: [{ material: 'two-colour-counter', expected: 6, counted: 4 }],
    });
    const tag = showTag(world.copies[0]!.tag);
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/look-back');
    expect(await page.getByRole('button', { name: `Put them in from the store: ${tag}` }).count()).toBe(0);
    await open(page, '/fill/store/count?of=two-colour-counter');
    await page.getByRole('textbox', { name: /as you counted them/ }).fill('5');
    await page.getByRole('button', { name: 'Note this count' }).click();
    await page.getByText('5 two-color counters, counted for the first time.').waitFor();
    await open(page, '/look-back');
    await page.getByRole('button', { name: `Put them in from the store: ${tag}` }).click();
    await page.getByText('The copy counts as complete again.').waitFor();
    expect((await there())['two-colour-counter']).toBe(3);
    expect(await listShortages(world.at)).toEqual([]);
    await page.getByRole('button', { name: 'Undo this mending' }).click();
    await page.getByText('The parts count as missing again.').waitFor();
    expect((await there())['two-colour-counter']).toBe(5);
    expect(complaints).toEqual([]);
  });
});

describe('the catalogue of the school', () => {
  it('takes a kind of part of its own, which stands in for another in a kit and on its sheets', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await addVariant(world, 'skyline-rolls', 'Towers');
    await everything()
      .update(school)
      .set({ languages: ['en', 'es', 'pt'] });
    await signIn(page);
    await open(page, '/fill/store');
    await page.getByRole('link', { name: 'Add a kind of part' }).click();
    await page.getByRole('heading', { name: 'Add a kind of part' }).waitFor();
    await page.getByText(/It fits the small-parts tube/).waitFor();
    await expectAccessible(page);
    // Without a name nothing is added, and what was typed stays.
    const box = (name: string) => page.getByRole('textbox', { name, exact: true });
    await box('Spanish, for 1').fill('gorrito de bellota');
    await page.getByRole('button', { name: 'Add it to the store' }).click();
    await page.getByText('Name of one: write a name').waitFor();
    expect(await box('Spanish, for 1').inputValue()).toBe('gorrito de bellota');
    await box('Name of one').fill('acorn cap');
    await box('Name of several').fill('acorn caps');
    for (const [name, size] of [
      ['Smallest (mm)', '20'],
      ['Middle (mm)', '45'],
      ['Largest (mm)', '45'],
    ] as const) {
      await box(name).fill(size);
      await box(name).press('Tab');
    }
    await page.getByText(/It does not fit the small-parts tube/).waitFor();
    await page.getByLabel('It can also stand in for').selectOption({ label: 'connecting cubes' });
    await box('What changes then').fill('They do not lock: towers are lower.');
    await box('Spanish, for 2').fill('gorritos de bellota');
    await page.getByText('2 gorritos de bellota').waitFor();
    await page.getByRole('button', { name: 'Add it to the store' }).click();
    await page.getByText('It is in the store now.').waitFor();
    await page.getByRole('heading', { name: 'acorn caps', exact: true }).waitFor();
    await expectAccessible(page);
    const id = new URL(page.url()).pathname.split('/').at(-1)!;
    expect(await there()).toMatchObject({ [id]: null });

    // In a kit they take the place of cubes: the tray, the margin and the store follow.
    await open(page, `/fill/${world.kitId}?change=1`);
    await page.getByRole('checkbox', { name: /^Towers/ }).check({ force: true });
    await page.getByLabel('For connecting cubes').selectOption({ label: 'acorn caps' });
    await page.getByText('They do not lock: towers are lower.', { exact: true }).waitFor();
    await page.getByRole('list', { name: 'The tray' }).getByText('acorn caps').waitFor();
    await page.getByRole('checkbox', { name: 'Portuguese' }).check({ force: true });
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Save the changes' }).click();
    await page.getByText('Copies built before stay as they were').waitFor();
    expect(await findKit(world.at, world.kitId)).toMatchObject({ swaps: { cube: id }, languages: ['pt'] });
    const many = page.getByRole('textbox', { name: 'How many' });
    await many.fill('1');
    await many.press('Tab');
    await page.getByRole('button', { name: 'Build and tag these copies' }).click();
    await page.getByText('One copy has a tag now').waitFor();
    await page.getByRole('link', { name: 'Print its pack' }).click();
    await page.waitForURL(/home=pt/);
    const { copies } = await pageOfCopies(world.at, world.kitId, 0, 50);
    const built = await Promise.all(copies.map(({ id: one }) => findCopy(world.at, { id: one })));
    const copy = built.find((one) => one!.plan.variants.length === 2);
    await page.goto(`${ADDRESS}/p/${copy!.linkKey}?lang=es`);
    await page.getByText(/gorritos de bellota/).waitFor();

    // Put away, it stands in for nothing new; the kit keeps what it has until somebody changes it.
    await open(page, `/fill/store/${id}/about`);
    await page.getByRole('button', { name: 'Put it away' }).click();
    await page.getByText('It is chosen for nothing new.').waitFor();
    await open(page, '/fill/store');
    await page.getByRole('region', { name: 'Put away' }).getByRole('link', { name: 'acorn caps' }).click();
    await page.getByRole('button', { name: 'Bring it back' }).click();
    await page.getByText('It can be chosen again.').waitFor();
    expect(complaints).toEqual([]);
  });

  it('decides over safety by what the parts are at this school', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    const safety = async (): Promise<string> => {
      await open(page, `/fill/${world.kitId}`);
      return page.getByRole('region', { name: /Who must not have it|Safety|What can hurt/ }).innerText();
    };
    expect(await safety()).toMatch(/Small parts/);
    await open(page, '/fill/store/two-colour-counter/about');
    for (const [name, size] of [
      ['Middle (mm)', '50'],
      ['Largest (mm)', '50'],
    ] as const) {
      const box = page.getByRole('textbox', { name, exact: true });
      await box.fill(size);
      await box.press('Tab');
    }
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByText('Safety, names and tasks follow it from now on.').waitFor();
    await page.getByText('Who changed what').click();
    await page.getByText(/Largest dimension \(mm\): 25 → 50/).waitFor();
    await expectAccessible(page);
    expect(await safety()).not.toMatch(/Small parts/);
    expect(complaints).toEqual([]);
  });
});
