import { eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { daysAfter } from '~/core/lending/due';
import { USUAL_LENDING } from '~/core/lending/rules';
import { createFamily, familyFields, updateFamily } from '~/data/queries/families';
import { askFor } from '~/data/queries/holds';
import { findLoan, lend } from '~/data/queries/lending';
import { pageOfMessages } from '~/data/queries/outbox';
import { saveLendingRules } from '~/data/queries/rules';
import { school } from '~/data/schema';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { lendOut, answersOf } from '../world';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
const day = (): string => todayAt(world.at);
const messages = async () => (await pageOfMessages(world.at, { first: 0, most: 50 })).messages;

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

    const { page, complaints } = await visitor();
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
    const phone = await visitor({ width: 360, height: 740 });
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
    expect((await answersOf(world.at)).map(({ answer }) => answer.missing)).toEqual(['قطعة زرقاء']);

    await open(page, '/lend/messages');
    expect(await messages()).toHaveLength(2);
    await page.getByText('something is lost or broken').waitFor();
    for (const visit of [phone]) expect(visit.complaints).toEqual([]);
    expect(complaints).toEqual([]);
  }, 90_000);
});
