import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { randomCard, showCard } from '~/core/lending/card';
import { daysAfter } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { createFamily, giveCards, listFamilies } from '~/data/queries/families';
import { listOut } from '~/data/queries/lending';
import { hallAct } from '~/data/schema';
import { secureRandom } from '~/server/random';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { lendOut } from '../world';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
const day = (): string => todayAt(world.at);

describe('the desk in the hall', () => {
  it('goes on by scanner when the network is cut, also after a reload, and sends each scan once', async () => {
    await giveCards(world.at, () => randomCard(secureRandom));
    const families = await listFamilies(world.at);
    const card = (name: string): string => families.find((one) => one.name === name)!.card!;
    const [one, two, three] = world.copies.map(({ tag }) => tag) as [string, string, string];
    const { page, context, complaints } = await visitor({
      expected: /ERR_INTERNET_DISCONNECTED|ERR_FAILED|offline/i,
    });
    await signIn(page, 'Helper');
    await open(page, '/lend/hall');
    await page.getByText('This page opens on this device without network too').waitFor();
    await expectAccessible(page);
    const scan = async (text: string): Promise<void> => {
      await page.getByLabel('Scan a bag or a card').fill(text);
      await page.keyboard.press('Enter');
    };
    const word = (text: string): Promise<void> => page.locator('.word', { hasText: text }).waitFor();
    await scan(one);
    await word(showTag(one));
    await scan(card('Family Dunlin'));
    await word('Family Dunlin');
    await page.getByText('kept at school').waitFor();
    expect(await listOut(world.at)).toMatchObject([{ tag: one, familyName: 'Family Dunlin' }]);

    await context.setOffline(true);
    await page.getByText('The desk goes on.').waitFor();
    await scan(two);
    await scan(card('Family Auk'));
    await word('Family Auk');
    await page.getByText('waiting to be sent').waitFor();
    // Without network it is judged by what was known: a bag that went out here is out.
    await scan(three);
    await scan(showCard(card('Family Dunlin')));
    await word('Family Dunlin');
    // While it is cut, another desk lends the third bag.
    await lendOut(world, { copy: 2, family: 0, lentOn: day(), dueOn: daysAfter(day(), 5) });
    await page.reload();
    await page.locator('html[data-ready]').waitFor();
    await page.getByText('2 scans are kept in this browser').waitFor();
    expect(await listOut(world.at)).toHaveLength(2);

    await context.setOffline(false);
    await expect
      .poll(async () => (await everything().select().from(hallAct)).length, { timeout: 20_000 })
      .toBe(3);
    const out = (await listOut(world.at)).map(({ tag, familyName }) => `${tag} ${familyName}`).sort();
    expect(out).toEqual([`${one} Family Dunlin`, `${two} Family Auk`, `${three} Familia Vela`].sort());
    // The clash is put before a person, and stays until somebody has seen to it.
    await page.getByText('Scanned without network, and not so any more').waitFor();
    await open(page, '/today');
    await page.getByRole('heading', { name: 'Look at 1 scan from the hall' }).waitFor();
    await open(page, '/lend/hall');
    await page.getByRole('button', { name: 'I have seen to it' }).click();
    await expect.poll(() => page.getByText('Scanned without network').count()).toBe(0);
    // A bag that is out is home when it is scanned; the last thing is taken back by one key.
    await scan(two);
    await word('Home');
    await page.getByText('kept at school').first().waitFor();
    await page.keyboard.press('F4');
    await word('Undone');
    await expect
      .poll(async () => (await listOut(world.at)).find(({ tag }) => tag === two)?.arrivedOn)
      .toBeNull();
    expect(complaints).toEqual([]);
  }, 90_000);
});

describe('the sign-in table', () => {
  it('lets families tick themselves in on a tablet in their language, and take a bag that may go with them', async () => {
    const chick = (await createFamily(world.at, {
      name: 'Familia Polluelo',
      language: 'es',
      underThree: true,
    }))!;
    const { page, complaints } = await visitor({ expected: /409/ });
    await signIn(page, 'Helper');
    await open(page, '/lend/tables');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Set it up' }).click();
    await page.getByRole('heading', { name: 'Family evening', level: 1 }).waitFor();
    await page.getByRole('button', { name: 'Open it on a tablet' }).click();
    const link = await page.getByText('/in/').innerText();
    await page.getByText('open until').waitFor();
    await expectAccessible(page);
    const tablet = await visitor({ width: 820, height: 1100, expected: /40[0-9]|410/ });
    await tablet.page.goto(`${link}?lang=es`);
    await tablet.page.getByLabel('El nombre de su familia o su tarjeta').fill('fa');
    await tablet.page.getByRole('button', { name: 'Buscarnos' }).click();
    await tablet.page.getByText('No los encontramos').waitFor();
    await tablet.page.getByLabel('El nombre de su familia o su tarjeta').fill('vela');
    await tablet.page.getByRole('button', { name: 'Buscarnos' }).click();
    await expectAccessible(tablet.page);
    await tablet.page.getByRole('button', { name: 'Familia Vela' }).click();
    await tablet.page.getByText('Ya están registrados').waitFor();
    await tablet.page.getByLabel('El código de la bolsa').fill(world.copies[0]!.tag);
    await tablet.page.getByRole('button', { name: 'Llevarnos esta bolsa' }).click();
    await tablet.page.getByText('First splits es suya hasta el').waitFor();
    // Small parts, and a child under three: a person has to look at it first.
    await tablet.page.getByRole('link', { name: 'Listo. La siguiente familia, por favor' }).click();
    await tablet.page.getByLabel('El nombre de su familia o su tarjeta').fill('polluelo');
    await tablet.page.getByRole('button', { name: 'Buscarnos' }).click();
    await tablet.page.getByRole('button', { name: 'Familia Polluelo' }).click();
    await tablet.page.getByLabel('El código de la bolsa').fill(world.copies[1]!.tag);
    await tablet.page.getByRole('button', { name: 'Llevarnos esta bolsa' }).click();
    await tablet.page.getByText('no puede ir con ustedes ahora').waitFor();
    expect(await listOut(world.at)).toMatchObject([{ familyName: 'Familia Vela' }]);

    await page.reload();
    await page.getByText('Here: 2 families of 4').waitFor();
    await page.getByRole('button', { name: 'Tick in Family Auk' }).click();
    await page.getByText('Here: 3 families of 4').waitFor();
    // Somebody new is typed in from the paper: name and language, and nothing else.
    await page.getByText('Somebody new, from the paper').click();
    await page.getByLabel('Name of the family').fill('Family Auk');
    await page.getByRole('button', { name: 'Enter and tick in' }).click();
    await page.getByText('A family of this name is known already').first().waitFor();
    await page.getByLabel('Name of the family').fill('Family Skerry');
    await page.getByLabel('Reads', { exact: true }).selectOption({ label: 'Spanish' });
    await page.getByRole('button', { name: 'Enter and tick in' }).click();
    await page.getByText('Here: 4 families of 5').waitFor();
    const paper = await page.request.get(
      `${new URL(page.url()).pathname}/${new URL(page.url()).searchParams.get('table')}.pdf`,
    );
    expect(paper.headers()['content-type']).toBe('application/pdf');
    await page.getByRole('button', { name: 'Close it' }).click();
    await page.getByText('not open on a tablet').waitFor();
    await tablet.page.goto(link);
    await tablet.page.getByText('This table is closed.').waitFor();
    expect(chick.underThree).toBe(true);
    for (const visit of [tablet]) expect(visit.complaints).toEqual([]);
    expect(complaints).toEqual([]);
  });
});

describe('a tablet that is passed on', () => {
  const scanAt = async (page: Page, tag: string, card: string, name: string): Promise<void> => {
    const scan = async (text: string): Promise<void> => {
      await page.getByLabel('Scan a bag or a card').fill(text);
      await page.keyboard.press('Enter');
    };
    await scan(tag);
    await page.locator('.word', { hasText: showTag(tag) }).waitFor();
    await scan(card);
    await page.locator('.word', { hasText: name }).waitFor();
  };
  const inTheHall = async (page: Page, name: string): Promise<void> => {
    await signIn(page, name);
    await open(page, '/lend/hall');
    await page.getByText('This page opens on this device without network too').waitFor();
  };
  const keptPage = (page: Page): Promise<boolean> =>
    page.evaluate(async () => (await caches.match('/lend/hall')) !== undefined);

  it('sends what was scanned when its person signs out, on whatever page, and keeps no name', async () => {
    await giveCards(world.at, () => randomCard(secureRandom));
    const dunlin = (await listFamilies(world.at)).find(({ name }) => name === 'Family Dunlin')!;
    const { page, context } = await visitor({ expected: /ERR_INTERNET_DISCONNECTED|ERR_FAILED|offline/i });
    await inTheHall(page, 'Helper');
    await context.setOffline(true);
    await page.getByText('The desk goes on.').waitFor();
    await scanAt(page, world.copies[0]!.tag, dunlin.card!, 'Family Dunlin');
    await page.getByText('waiting to be sent').waitFor();
    // The desk itself sends nothing more: it is left before the connection is back.
    await page.goto('about:blank');
    await context.setOffline(false);
    await open(page, '/take-back');
    expect(await keptPage(page)).toBe(true);
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.waitForURL('**/sign-in**');
    expect(await listOut(world.at)).toMatchObject([
      { tag: world.copies[0]!.tag, familyName: 'Family Dunlin' },
    ]);
    expect(await keptPage(page)).toBe(false);
  }, 90_000);

  it('never sends it in the name of the next one', async () => {
    await giveCards(world.at, () => randomCard(secureRandom));
    const auk = (await listFamilies(world.at)).find(({ name }) => name === 'Family Auk')!;
    const { page, context } = await visitor({
      expected: /ERR_INTERNET_DISCONNECTED|ERR_FAILED|offline|50\d/i,
    });
    await inTheHall(page, 'Helper');
    await context.setOffline(true);
    await page.getByText('The desk goes on.').waitFor();
    await scanAt(page, world.copies[1]!.tag, auk.card!, 'Family Auk');
    await page.getByText('waiting to be sent').waitFor();
    // The school cannot be reached for scans while the person leaves: they are asked, and what was scanned stays.
    await page.route('**/lend/hall/act', (route) => route.fulfill({ status: 503, body: '' }));
    await context.setOffline(false);
    await open(page, '/take-back');
    const asked: string[] = [];
    page.once('dialog', (dialog) => {
      asked.push(dialog.message());
      void dialog.accept();
    });
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.waitForURL('**/sign-in**');
    expect(asked).toEqual([expect.stringMatching(/One scan from the hall could not be sent yet/)]);
    await page.unroute('**/lend/hall/act');
    // Somebody else signs in on the same device: nothing is sent as theirs, and it is said that something waits.
    await inTheHall(page, 'Coordinator');
    await page.getByText('1 scan waits in this browser for whoever did them here').waitFor();
    await expectAccessible(page);
    expect(await listOut(world.at)).toEqual([]);
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.waitForURL('**/sign-in**');
    await inTheHall(page, 'Helper');
    await expect
      .poll(async () => (await listOut(world.at)).map(({ familyName }) => familyName))
      .toEqual(['Family Auk']);
    const [act] = await everything().select().from(hallAct);
    expect(act!.personId).toBe(world.people.helper.id);
  }, 90_000);
});
