import { eq, isNull } from 'drizzle-orm';
import { afterEach, describe, expect, it } from 'vitest';
import { randomCard, showCard } from '~/core/lending/card';
import { daysAfter } from '~/core/lending/due';
import { USUAL_LENDING } from '~/core/lending/rules';
import { randomTag, showTag } from '~/core/kits/tag';
import { buildCopies } from '~/data/queries/building';
import { findCopy, listCopies, markPrinted } from '~/data/queries/copies';
import { createFamily, familyFields, giveCards, listFamilies, updateFamily } from '~/data/queries/families';
import { askFor, listHolds } from '~/data/queries/holds';
import { findKit, saveKit } from '~/data/queries/kits';
import { findLoan, lend, listOut } from '~/data/queries/lending';
import { listAnswers } from '~/data/queries/listening';
import { pageOfMessages } from '~/data/queries/outbox';
import { listRounds, promisesOf } from '~/data/queries/rounds';
import { saveLendingRules } from '~/data/queries/rules';
import { hallAct, promise, school } from '~/data/schema';
import { newLinkKey } from '~/server/links';
import { secureRandom } from '~/server/random';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { lendOut } from '../world';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor, type Visitor } from './browser';

const world = smallSchoolForEach();
const day = (): string => todayAt(world.at);
const held: Visitor[] = [];
afterEach(async () => {
  for (const { context } of held.splice(0)) await context.close();
});
const come = async (options: Parameters<typeof visitor>[0] = {}): Promise<Visitor> => {
  const visit = await visitor(options);
  held.push(visit);
  return visit;
};
const messages = async () => (await pageOfMessages(world.at, { first: 0, most: 50 })).messages;

describe('a hold', () => {
  it('is made on a phone without a word about the family, and filled by a return', async () => {
    // All three are out; the family that has the first asks for another kit of the same name only when it is not theirs.
    const [first] = world.copies;
    await lendOut(world, { copy: 0, family: 1, lentOn: day(), dueOn: daysAfter(day(), 5) });
    const kit = (await findKit(world.at, world.kitId))!;
    const second = await createKitLike('Small hands', kit);
    const other = (await listCopies(world.at, { kitId: second }))[0]!;
    const gone = await lend(world.at, {
      copyId: other.id,
      familyId: world.families[2]!.id,
      lentOn: day(),
      dueOn: daysAfter(day(), 3),
      personId: null,
    });
    const phone = await come({ width: 360, height: 740 });
    await phone.page.goto(`/p/${first!.linkKey}`);
    await phone.page.getByRole('link', { name: 'And next?' }).click();
    await phone.page.getByText('Small hands').click();
    await expectAccessible(phone.page);
    await phone.page.getByRole('button', { name: 'We would like this one' }).click();
    await phone.page.getByText('Small hands: you are next.').waitFor();
    expect(await phone.page.content()).not.toMatch(/Dunlin|Auk/);
    expect(await listHolds(world.at, day())).toMatchObject([{ familyName: 'Family Dunlin', personId: null }]);

    const desk = await come();
    await signIn(desk.page);
    await open(desk.page, `/take-back/${(gone as { loanId: string }).loanId}`);
    await desk.page
      .getByRole('button', { name: /Take it back|It is complete|Home/ })
      .first()
      .click();
    await desk.page.getByText('is back from Family Auk').waitFor();
    await open(desk.page, '/today');
    await desk.page.getByRole('heading', { name: 'Put 1 bag aside' }).waitFor();
    await desk.page.getByText(`${showTag(other.tag)}, Family Dunlin`).waitFor();
    await expectAccessible(desk.page);
    await phone.page.reload();
    await phone.page.getByText(/Small hands is set aside for you until/).waitFor();

    // At the desk it goes to nobody else without a decision.
    await open(desk.page, `/lend?copy=${other.tag}&family=${world.families[0]!.id}`);
    await desk.page.getByText('This copy is set aside for Family Dunlin').waitFor();
    await open(desk.page, '/lend/waiting');
    await expectAccessible(desk.page);
    await desk.page.getByRole('link', { name: 'Lend it' }).click();
    await desk.page.getByRole('button', { name: 'Lend this copy' }).click();
    await desk.page.getByText('is with Family Dunlin until').waitFor();
    expect(await listHolds(world.at, day())).toEqual([]);
    for (const { complaints } of [phone, desk]) expect(complaints).toEqual([]);
  });
});

/** Another kit of the same games, in one printed copy. */
async function createKitLike(
  name: string,
  like: NonNullable<Awaited<ReturnType<typeof findKit>>>,
): Promise<string> {
  const id = (await saveKit(world.at, {
    name,
    ageBand: like.ageBand,
    players: like.players,
    paper: like.paper,
    assurance: like.assurance,
    variantIds: like.variants.map((one) => one.id),
  }))!;
  await copiesOf(id, 1);
  return id;
}
async function copiesOf(kitId: string, count: number): Promise<void> {
  const { tags } = await buildCopies(world.at, {
    kit: (await findKit(world.at, kitId))!,
    count,
    builtOn: '2026-09-01',
    builtBy: world.people.helper.id,
    newTag: () => randomTag(secureRandom),
    newLinkKey,
  });
  const made = await Promise.all(tags.map(async (tag) => (await findCopy(world.at, { tag }))!));
  await markPrinted(
    world.at,
    made.map(({ id }) => id),
  );
}

describe('a hand-out', () => {
  it('of forty families keeps a pin and a veto, is undone as a whole, and hands over by scanning', async () => {
    for (let i = 0; i < 37; i++)
      await createFamily(world.at, {
        name: `Family ${String.fromCharCode(65 + (i % 26))}${i}`,
        language: 'en',
        group: `Room ${(i % 4) + 1}`,
        children: 'A., grade 1',
      });
    await copiesOf(world.kitId, 17);
    const { page, complaints } = await come({ expected: /409/ });
    await signIn(page);
    await open(page, '/lend/rounds');
    await expectAccessible(page);
    await page.getByLabel('What it is called').fill('Thursday’s bags');
    await page.getByRole('button', { name: 'Match families and bags' }).click();
    await page.getByRole('button', { name: 'Promise 20 bags' }).waitFor();
    await page.getByText('No other way of handing out serves more of them').waitFor();
    await expectAccessible(page);
    const rows = page.getByRole('grid', { name: 'Who gets what' }).getByRole('row');
    expect(await rows.count()).toBe(20);
    // Ruled out: it has no other kit to get, so it gets none. Pinned: it keeps the very bag.
    const vetoed = (await rows.nth(3).locator('strong').first().innerText()).trim();
    await rows
      .nth(3)
      .getByRole('button', { name: /^No First splits for/ })
      .click();
    await page.getByRole('heading', { name: 'Ruled out' }).waitFor();
    await expect.poll(() => rows.filter({ hasText: vetoed }).count()).toBe(0);
    const pinned = (await rows.nth(5).locator('strong').first().innerText()).trim();
    const tag = (await rows.nth(5).locator('code').innerText()).trim();
    await rows
      .nth(5)
      .getByRole('button', { name: `Pin this bag to ${pinned}` })
      .click();
    await rows.filter({ hasText: pinned }).getByText('pinned', { exact: true }).waitFor();
    // A weight is turned: it is shown what would change, and nothing is kept before it is said so.
    await page.getByRole('textbox', { name: 'A wish' }).fill('40');
    await page.keyboard.press('Tab');
    await page.getByRole('button', { name: 'Keep it so' }).waitFor();
    await expect.poll(() => rows.filter({ hasText: pinned }).locator('code').innerText()).toBe(tag);
    await page.getByRole('button', { name: 'Promise 20 bags' }).click();
    await page.getByText('20 bags are still promised').waitFor();
    await expectAccessible(page);
    const [{ id }] = (await listRounds(world.at)) as unknown as [{ id: string }];
    expect(await promisesOf(world.at, id)).toHaveLength(20);
    expect((await promisesOf(world.at, id)).some(({ familyName }) => familyName === vetoed)).toBe(false);
    for (const paper of ['list.pdf', 'stickers.pdf']) {
      const answer = await page.request.get(`/lend/rounds/${id}/${paper}`);
      expect([answer.status(), answer.headers()['content-type']]).toEqual([200, 'application/pdf']);
    }
    await page.getByRole('button', { name: 'Undo this hand-out as a whole' }).click();
    await page.getByRole('button', { name: 'Promise 20 bags' }).click();
    await page.getByText('20 bags are still promised').waitFor();

    const promises = await promisesOf(world.at, id);
    const box = page.getByLabel('Scan a bag, or a family’s card and its bag');
    const scan = async (text: string): Promise<void> => {
      await box.fill(text);
      await page.keyboard.press('Enter');
    };
    await scan(promises[0]!.tag);
    await page.locator('.word', { hasText: promises[0]!.familyName }).waitFor();
    await page.getByText('19 bags are still promised').waitFor();
    await scan(promises[0]!.tag);
    await page.locator('.word', { hasText: 'Gone' }).waitFor();
    await giveCards(world.at, () => randomCard(secureRandom));
    const cards = new Map((await listFamilies(world.at)).map(({ id: one, card }) => [one, card!]));
    await scan(showCard(cards.get(promises[1]!.familyId)!));
    await page.locator('.word', { hasText: showTag(promises[1]!.tag) }).waitFor();
    await scan(promises[2]!.tag);
    await page.locator('.word', { hasText: 'Wrong bag' }).waitFor();
    await scan(promises[1]!.tag);
    await page.locator('.word', { hasText: promises[1]!.familyName }).waitFor();
    expect(await page.getByRole('button', { name: 'Undo this hand-out as a whole' }).count()).toBe(0);
    await page.getByRole('button', { name: 'End it: 18 bags stay at school' }).click();
    await page.getByText('This hand-out is over').waitFor();
    expect(await listOut(world.at)).toHaveLength(2);
    const left = await everything().select().from(promise).where(isNull(promise.endedAt));
    expect(left).toEqual([]);
    expect(complaints).toEqual([]);
  }, 90_000);
});

describe('the desk in the hall', () => {
  it('goes on by scanner when the network is cut, also after a reload, and sends each scan once', async () => {
    await giveCards(world.at, () => randomCard(secureRandom));
    const families = await listFamilies(world.at);
    const card = (name: string): string => families.find((one) => one.name === name)!.card!;
    const [one, two, three] = world.copies.map(({ tag }) => tag) as [string, string, string];
    const { page, context, complaints } = await come({
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

describe('a reminder', () => {
  it('in Arabic waits in the outbox until its wording is let go, is answered on a phone, and nothing is said twice', async () => {
    await everything()
      .update(school)
      .set({ languages: ['en', 'es', 'ar'] })
      .where(eq(school.id, world.at.schoolId));
    const family = (await createFamily(world.at, {
      name: 'عائلة حداد',
      language: 'ar',
      channel: 'message',
      reach: '555-0117',
    }))!;
    await updateFamily(
      world.at,
      world.families[1]!.id,
      { ...familyFields(world.families[1]!), group: 'Room 4' },
      1,
    );
    await saveLendingRules(world.at, { ...USUAL_LENDING, renewals: 1 }, 1, world.people.coordinator.id);
    const due = daysAfter(day(), 1);
    const lent = async (copy: number, familyId: string): Promise<string> => {
      const made = await lend(world.at, {
        copyId: world.copies[copy]!.id,
        familyId,
        lentOn: day(),
        dueOn: due,
        personId: null,
      });
      return (made as { loanId: string }).loanId;
    };
    const loanId = await lent(0, family.id);
    await lent(1, world.families[1]!.id);

    const { page, complaints } = await come();
    await signIn(page);
    await open(page, '/today');
    await page.getByText('Tonight 2 families hear from us').waitFor();
    await open(page, '/lend/messages');
    await page.getByRole('button', { name: 'Say it now' }).click();
    await page.getByText('Nobody is told the same thing twice.').waitFor();
    const arabic = page.getByRole('region', { name: 'Message to عائلة حداد' });
    await arabic.getByText('held back').waitFor();
    expect(await arabic.locator('[lang=ar]').getAttribute('dir')).toBe('rtl');
    await expectAccessible(page);
    await arabic.getByRole('button', { name: 'Send it all the same' }).click();
    await expect
      .poll(
        async () => {
          await page.reload();
          return page.getByRole('region', { name: 'Message to عائلة حداد' }).innerText();
        },
        { timeout: 20_000 },
      )
      .toMatch(/^sent/);
    await page.getByRole('link', { name: 'Print 1 strip' }).waitFor();
    const strips = await page.request.get('/lend/messages/strips.pdf');
    expect(strips.headers()['content-type']).toBe('application/pdf');
    await page.getByRole('button', { name: 'They are in the bags' }).click();
    await page.getByText('printed').first().waitFor();

    const [{ linkKey }] = (await messages()).filter(({ language }) => language === 'ar') as unknown as [
      { linkKey: string },
    ];
    const phone = await come({ width: 360, height: 740 });
    await phone.page.goto(`/a/${linkKey}`);
    await phone.page.getByRole('heading', { name: 'حقائبكم' }).waitFor();
    expect(await phone.page.content()).not.toContain('حداد');
    await expectAccessible(phone.page);
    await phone.page.getByRole('button', { name: 'نود أن نبقيها مدة أطول' }).click();
    await phone.page.getByText('لتبقَ عندكم حتى').waitFor();
    expect((await findLoan(world.at, loanId))!.dueOn > due).toBe(true);
    // Somebody else waits now: it does not stay longer, and that is said kindly.
    await lendOut(world, { copy: 2, family: 2, lentOn: day(), dueOn: due });
    await askFor(world.at, {
      familyId: world.families[0]!.id,
      kitId: world.kitId,
      personId: null,
      today: day(),
    });
    await phone.page.getByRole('button', { name: 'نود أن نبقيها مدة أطول' }).click();
    await phone.page.getByText('دور عائلة أخرى').waitFor();
    await phone.page.getByLabel('ما هو؟').fill('قطعة زرقاء');
    await phone.page.getByRole('button', { name: 'إخبار المدرسة' }).click();
    await phone.page.getByText('شكرًا لإخبارنا').waitFor();
    expect((await listAnswers(world.at)).map(({ answer }) => answer.missing)).toEqual(['قطعة زرقاء']);

    await open(page, '/lend/messages');
    expect(await messages()).toHaveLength(2);
    await page.getByText('something is lost or broken').waitFor();
    for (const visit of [phone]) expect(visit.complaints).toEqual([]);
    expect(complaints).toEqual([]);
  }, 90_000);
});

describe('the rules of lending', () => {
  it('are set by keyboard, hold at the desk, and whoever coordinates decides otherwise by name', async () => {
    const { page, complaints } = await come({ expected: /40[09]/ });
    await signIn(page);
    await open(page, '/lend/rules');
    await expectAccessible(page);
    await page.getByLabel('Bags at once').selectOption('1');
    await page.getByRole('button', { name: 'Save these rules' }).press('Enter');
    await page.getByText('A family has up to 1 bag at once.').waitFor();
    await lendOut(world, { copy: 0, family: 1, lentOn: day(), dueOn: day() });
    const helper = await come({ expected: /40[09]/ });
    await signIn(helper.page, 'Helper');
    const address = `/lend?copy=${world.copies[1]!.tag}&family=${world.families[1]!.id}`;
    await open(helper.page, address);
    await helper.page.getByText('Whoever coordinates can decide otherwise.').waitFor();
    expect(await helper.page.getByRole('button', { name: 'Lend this copy' }).isDisabled()).toBe(true);
    await open(page, address);
    await page.getByText('A family has up to 1 bag at once, and this one has 1.').first().waitFor();
    await page.getByRole('button', { name: 'Lend this copy' }).click();
    await page.getByText('Nothing was lent yet.').waitFor();
    await page.getByLabel('Decided by (your name)').fill('Coordinator');
    await page.getByRole('button', { name: 'Lend this copy' }).click();
    await page.getByText('is with Family Dunlin until').waitFor();
    expect(await listOut(world.at)).toHaveLength(2);
    for (const visit of [helper]) expect(visit.complaints).toEqual([]);
    expect(complaints).toEqual([]);
  });
});

describe('the sign-in table', () => {
  it('lets families tick themselves in on a tablet in their language, and take a bag that may go with them', async () => {
    const chick = (await createFamily(world.at, {
      name: 'Familia Polluelo',
      language: 'es',
      underThree: true,
    }))!;
    const { page, complaints } = await come();
    await signIn(page, 'Helper');
    await open(page, '/lend/tables');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Set it up' }).click();
    await page.getByRole('heading', { name: 'Family evening', level: 1 }).waitFor();
    await page.getByRole('button', { name: 'Open it on a tablet' }).click();
    const link = await page.getByText('/in/').innerText();
    await page.getByText('open until').waitFor();
    await expectAccessible(page);
    const tablet = await come({ width: 820, height: 1100, expected: /40[0-9]|410/ });
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
    await page.getByRole('button', { name: 'Tick Family Auk in' }).click();
    await page.getByText('Here: 3 families of 4').waitFor();
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
