import { describe, expect, it } from 'vitest';
import { daysAfter } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { listCopies } from '~/data/queries/copies';
import { listHolds } from '~/data/queries/holds';
import { findKit, saveKit } from '~/data/queries/kits';
import { findLoan, lend, listOut } from '~/data/queries/lending';
import { today as todayAt } from '~/server/today';
import { lendOut, printedCopies } from '../world';
import { ADDRESS, expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
const day = (): string => todayAt(world.at);

describe('a hold', () => {
  it('is made on a phone without a word about the family, and filled by a return', async () => {
    // All three are out; the family that has the first asks for another kit of the same name only when it is not theirs.
    const [first] = world.copies;
    const loanId = await lendOut(world, {
      copy: 0,
      family: 1,
      lentOn: day(),
      dueOn: daysAfter(day(), 5),
    });
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
    const phone = await visitor({ width: 360, height: 740, expected: /401/ });
    await phone.page.goto(`/p/${first!.linkKey}`);
    await phone.page.getByRole('link', { name: 'And next?' }).click();
    // Who holds the bag reads nothing of the family: it takes the number that the school gave with it.
    await phone.page.getByText('type the number that the school gave you').waitFor();
    expect(await phone.page.content()).not.toMatch(/Small hands|Dunlin/);
    await expectAccessible(phone.page);
    const { code } = (await findLoan(world.at, loanId))!;
    expect(code).toMatch(/^\d{5}$/);
    const type = async (number: string): Promise<void> => {
      await phone.page.getByLabel('The number').fill(number);
      await phone.page.getByRole('button', { name: 'Go on' }).click();
    };
    await type(code === '12345' ? '12346' : '12345');
    await phone.page.getByText('This is not the number of this bag.').waitFor();
    await type(` ${code.slice(0, 2)} ${code.slice(2)} `);
    await phone.page.getByText('Small hands').waitFor();
    // It opens one browser and no other.
    const former = await visitor({ width: 360, height: 740 });
    const forms: Record<string, string>[] = [
      { intent: 'code', code },
      { intent: 'wish', kit: second },
    ];
    for (const form of forms) {
      const answer = await former.page.request.post(`/p/${first!.linkKey}/next`, {
        form,
        headers: { Origin: ADDRESS },
        maxRedirects: 0,
      });
      expect([form.intent, answer.status()]).toEqual([form.intent, 401]);
    }
    expect(await listHolds(world.at, day())).toEqual([]);
    await phone.page.getByText('Small hands').click();
    await expectAccessible(phone.page);
    await phone.page.getByRole('button', { name: 'We would like this one' }).click();
    await phone.page.getByText('Small hands: you are next.').waitFor();
    expect(await phone.page.content()).not.toMatch(/Dunlin|Auk/);
    expect(await listHolds(world.at, day())).toMatchObject([{ familyName: 'Family Dunlin', personId: null }]);

    const desk = await visitor();
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
  await printedCopies(world.at, id, 1, world.people.helper.id);
  return id;
}

describe('the rules of lending', () => {
  it('are set by keyboard, hold at the desk, and whoever coordinates decides otherwise by name', async () => {
    const { page, complaints } = await visitor({ expected: /40[09]/ });
    await signIn(page);
    await open(page, '/lend/rules');
    await expectAccessible(page);
    await page.getByLabel('Bags at once').selectOption('1');
    await page.getByRole('button', { name: 'Save these rules' }).press('Enter');
    await page.getByText('A family has up to 1 bag at once.').waitFor();
    await lendOut(world, { copy: 0, family: 1, lentOn: day(), dueOn: day() });
    const helper = await visitor({ expected: /40[09]/ });
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
