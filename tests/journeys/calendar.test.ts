import { describe, expect, it } from 'vitest';
import { addEntries, calendarEntries, calendarRules } from '~/data/queries/calendar';
import { findLoan } from '~/data/queries/lending';
import { daysAfter } from '~/core/lending/due';
import { today } from '~/server/today';
import { lendOut } from '../world';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor, settled } from './browser';

const world = smallSchoolForEach();

/** A date as a calendar file has it. */
const plain = (day: string): string => day.replaceAll('-', '');

describe('the calendar', () => {
  it('is set up from a calendar file, decides when a bag is due, and moves what a closure touches', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    const day = today(world.at);
    // Out already, due in the middle of the break that nobody knew of.
    const loanId = await lendOut(world, { lentOn: day, dueOn: daysAfter(day, 14) });
    await open(page, '/lend');
    await page.getByRole('link', { name: 'Calendar' }).click();
    await page.getByRole('heading', { name: 'The school’s calendar' }).waitFor();
    await expectAccessible(page);

    // What cannot be is refused in a sentence, and nothing is lost.
    await page.getByRole('textbox', { name: 'What it is called' }).fill('Staff day');
    await page.getByRole('textbox', { name: 'First day' }).fill(daysAfter(day, 3));
    await page.getByRole('textbox', { name: 'Last day' }).fill(daysAfter(day, 2));
    await page.getByRole('button', { name: 'Add it' }).click();
    await page.getByText('The last day lies before the first one.').first().waitFor();
    expect(await page.getByRole('textbox', { name: 'What it is called' }).inputValue()).toBe('Staff day');
    await page.getByLabel('Or from a calendar file (.ics)').setInputFiles({
      name: 'year.ics',
      mimeType: 'text/calendar',
      buffer: Buffer.from('hello'),
    });
    await page.getByRole('button', { name: 'Show what is in it' }).click();
    await page.getByText('This is not a calendar file').waitFor();

    const file = [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:-//a school//EN',
      'BEGIN:VEVENT',
      'UID:break@school',
      'DTSTAMP:20260801T000000Z',
      'SUMMARY:Winter break',
      `DTSTART;VALUE=DATE:${plain(daysAfter(day, 10))}`,
      `DTEND;VALUE=DATE:${plain(daysAfter(day, 21))}`,
      'END:VEVENT',
      'BEGIN:VEVENT',
      'UID:concert@school',
      'DTSTAMP:20260801T000000Z',
      'SUMMARY:Concert',
      `DTSTART:${plain(daysAfter(day, 5))}T170000Z`,
      `DTEND:${plain(daysAfter(day, 5))}T180000Z`,
      'END:VEVENT',
      'END:VCALENDAR',
      '',
    ].join('\r\n');
    await page.getByLabel('Or from a calendar file (.ics)').setInputFiles({
      name: 'year.ics',
      mimeType: 'text/calendar',
      buffer: Buffer.from(file),
    });
    await page.getByRole('button', { name: 'Show what is in it' }).click();
    await page.getByText('2 events in the file.').waitFor();
    // A concert is no day off.
    expect(await page.getByRole('checkbox', { name: 'Concert' }).isChecked()).toBe(false);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Add the ticked days' }).click();
    await page.getByText('Due days know of it.').waitFor();
    expect(await calendarEntries(world.at)).toMatchObject([
      { name: 'Winter break', from: daysAfter(day, 10), to: daysAfter(day, 20), uid: 'break@school' },
    ]);

    // The loan that is touched is moved when told, and back.
    await page.getByText('1 loan is due on a day without school').waitFor();
    await page.getByText('the first school day after Winter break').waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Move the ticked ones' }).click();
    await page.getByText('1 loan was moved.').waitFor();
    expect((await findLoan(world.at, loanId))?.dueOn).toBe(daysAfter(day, 21));
    await page.getByRole('button', { name: 'Move them back' }).click();
    await page.getByText('1 loan is due as before.').waitFor();
    await settled(page);
    expect((await findLoan(world.at, loanId))?.dueOn).toBe(daysAfter(day, 14));

    // Bags come home before the break from now on; a day without school is no day on which they come back.
    await page.getByLabel('Over a long break bags come home').selectOption({ label: 'before the break' });
    await page.getByRole('checkbox', { name: 'Sunday' }).press('Space');
    await page.getByLabel('Bags come back on').selectOption({ label: 'Sunday' });
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByText('There is no school on a Sunday.').first().waitFor();
    await settled(page);
    await page.getByLabel('Bags come back on').selectOption({ label: 'any school day' });
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByText('Due days are proposed so from now on.').waitFor();
    expect(await calendarRules(world.at)).toMatchObject({ weekdays: [1, 2, 3, 4, 5, 6], breaks: 'before' });
    await open(page, `/lend?copy=${world.copies[1]!.tag}&family=${world.families[1]!.id}`);
    await page
      .getByText(/school day before Winter break/)
      .first()
      .waitFor();
    const due = await page.getByRole('textbox', { name: 'Due back on' }).inputValue();
    expect(due < daysAfter(day, 10) && due > daysAfter(day, 6)).toBe(true);

    // Out as a file, what was typed too, and in again there is nothing new: a term stays a term.
    await open(page, '/lend/calendar');
    await page.getByLabel('Add', { exact: true }).selectOption({ label: 'a term' });
    await page.getByRole('textbox', { name: 'What it is called' }).fill('Herring term');
    await page.getByRole('textbox', { name: 'First day' }).fill(daysAfter(day, -30));
    await page.getByRole('textbox', { name: 'Last day' }).fill(daysAfter(day, 60));
    await page.getByRole('button', { name: 'Add it' }).click();
    await page.getByRole('heading', { name: 'Herring term' }).waitFor();
    const out = await page.request.get('/lend/calendar.ics');
    expect(out.headers()['content-type']).toContain('text/calendar');
    await open(page, '/lend/calendar');
    await page.getByLabel('Or from a calendar file (.ics)').setInputFiles({
      name: 'year.ics',
      mimeType: 'text/calendar',
      buffer: await out.body(),
    });
    await page.getByRole('button', { name: 'Show what is in it' }).click();
    await page.getByText('Winter break: there already').waitFor();
    await page.getByText('Herring term: there already').waitFor();
    await page.getByRole('button', { name: 'Remove Herring term' }).click();
    await page.getByRole('button', { name: 'Remove Herring term' }).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Remove Winter break' }).press('Enter');
    await page.getByText('It counts as before.').waitFor();
    await expect.poll(() => calendarEntries(world.at)).toEqual([]);
    expect(complaints).toEqual([]);
  });

  it('shows a term week by week', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    const day = today(world.at);
    await addEntries(
      world.at,
      [{ kind: 'term', name: 'Herring term', from: daysAfter(day, -20), to: daysAfter(day, 40) }],
      world.people.coordinator.id,
    );
    await lendOut(world, { lentOn: day, dueOn: daysAfter(day, 7) });
    await open(page, '/lend/calendar');
    await page.getByRole('heading', { name: 'Herring term' }).waitFor();
    await page.getByRole('cell', { name: /1 bag out/ }).waitFor();
    await page.getByRole('cell', { name: /1 bag due/ }).waitFor();
    await expectAccessible(page);
    expect(complaints).toEqual([]);
  });
});
