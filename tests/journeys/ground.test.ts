/** Several people at one thing, drafts, one's own sign-in, and what cannot be opened. */
import { readFileSync } from 'node:fs';
import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { daysAfter } from '~/core/lending/due';
import { newOwnGame } from '~/core/own/definition';

import { familyFields, findFamily, updateFamily } from '~/data/queries/families';
import { addOwnGame } from '~/data/queries/games';
import { listCopies } from '~/data/queries/copies';
import { findKit } from '~/data/queries/kits';
import { takeBack } from '~/data/queries/returns';
import { trySignIn } from '~/server/limits';
import { today } from '~/server/today';
import { everything } from '../owner';
import { lendOut, PASSWORD, answersOf } from '../world';
import {
  ADDRESS,
  expectAccessible,
  open,
  signIn,
  signInByHand,
  smallSchoolForEach,
  visitor,
  unfolded,
} from './browser';

const world = smallSchoolForEach();
const family = async () => (await findFamily(world.at, world.families[0]!.id))!;
const change = async (fields: Partial<ReturnType<typeof familyFields>>) => {
  const now = await family();
  return updateFamily(
    world.at,
    now.id,
    { ...familyFields(now), ...fields },
    now.version,
    world.people.helper.id,
  );
};

describe('two people at one family', () => {
  it('see field by field what the other one changed, and decide', async () => {
    const { page, complaints } = await visitor({ expected: /409/ });
    await signIn(page);
    await open(page, `/lend/families/${world.families[0]!.id}`);
    await page.getByLabel('How to reach them').fill('at the gate');
    await page.getByLabel('Allergens').fill('latex');
    await change({ reach: '555-0100', underThree: true });
    await page.getByRole('button', { name: 'Save this family' }).click();
    await page.getByText(/Helper changed this family at/).waitFor();
    const row = page.getByRole('row', { name: /How to reach them/ });
    expect(await row.getByRole('cell').allInnerTexts()).toEqual([
      'empty',
      '555-0100',
      'at the gate',
      'Mine stands. Take theirs',
    ]);
    await page.getByText('Helper also changed, and it stays: A child under three: yes.').waitFor();
    await expectAccessible(page);
    expect((await family()).reach).toBe('555-0100');
    await row.getByRole('button', { name: 'Take theirs: How to reach them' }).click();
    expect(await page.getByRole('textbox', { name: 'How to reach them' }).inputValue()).toBe('555-0100');
    await page.getByRole('button', { name: 'Save this family' }).click();
    await page.getByText('What changed is kept.').waitFor();
    expect(await family()).toMatchObject({ reach: '555-0100', underThree: true, allergens: 'latex' });
    await page.getByText('Who changed what').click();
    await page.getByText('Allergens: empty → latex').waitFor();
    await page.getByText('How to reach them: empty → 555-0100').waitFor();
    expect(complaints).toEqual([]);
  });

  it('keep both changes when they are of different fields, and are told so', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, `/lend/families/${world.families[0]!.id}`);
    await page.getByLabel('Allergens').fill('nuts');
    await change({ underThree: true });
    await page.getByRole('button', { name: 'Save this family' }).click();
    await page.getByText('Somebody else had changed meanwhile, and it stays: A child under three.').waitFor();
    expect(await family()).toMatchObject({ underThree: true, allergens: 'nuts' });
    expect(complaints).toEqual([]);
  });
});

describe('a draft', () => {
  it('says that it is one and what is newer, and goes when it is thrown away or saved', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    const path = `/lend/families/${world.families[0]!.id}`;
    await open(page, path);
    await page.getByLabel('Allergens').fill('latex');
    await change({ reach: '555-0100' });
    await open(page, path);
    await page.getByText('What stands here was typed before in this browser and was not saved.').waitFor();
    await page.getByText('somebody changed How to reach them to “555-0100”').waitFor();
    expect(await page.getByLabel('Allergens').inputValue()).toBe('latex');
    await page.getByRole('button', { name: 'Save this family' }).click();
    await page.getByText('What changed is kept.').waitFor();
    expect(await family()).toMatchObject({ allergens: 'latex', reach: '555-0100' });
    await open(page, path);
    expect(await page.getByText('A draft of yours').count()).toBe(0);
    await page.getByLabel('Allergens').fill('everything');
    await open(page, path);
    await page.getByRole('button', { name: 'Throw the draft away' }).click();
    expect(await page.getByLabel('Allergens').inputValue()).toBe('latex');
    await open(page, path);
    expect(await page.getByText('A draft of yours').count()).toBe(0);
    expect(complaints).toEqual([]);
  });

  it('that came too late is still there when the tab is closed before anything was decided', async () => {
    const { page, complaints } = await visitor({ expected: /409/ });
    await signIn(page);
    const path = `/lend/families/${world.families[0]!.id}`;
    await open(page, path);
    await page.getByLabel('How to reach them').fill('at the gate');
    await change({ reach: '555-0100' });
    await page.getByRole('button', { name: 'Save this family' }).click();
    await page.getByText(/Helper changed this family at/).waitFor();
    await open(page, path);
    await page.getByText('A draft of yours').waitFor();
    expect(await page.getByLabel('How to reach them').inputValue()).toBe('at the gate');
    expect((await family()).reach).toBe('555-0100');
    expect(complaints).toEqual([]);
  });

  it('of a kit stands beside what somebody else changed meanwhile', async () => {
    const { page, complaints } = await visitor({ expected: /409/ });
    await signIn(page);
    await open(page, `/fill/${world.kitId}?change=1`);
    await page.getByLabel('Name of the kit').fill('Mine');
    const other = await visitor();
    await signIn(other.page);
    await open(other.page, `/fill/${world.kitId}?change=1`);
    await other.page.getByLabel('Name of the kit').fill('Theirs');
    await other.page.getByRole('button', { name: 'Save the changes' }).click();
    await other.page.getByText('Copies built before stay as they were').waitFor();
    await page.getByRole('button', { name: 'Save the changes' }).click();
    await page.getByText(/changed this kit at/).waitFor();
    expect((await findKit(world.at, world.kitId))!.name).toBe('Theirs');
    // Mine stands: the second save is a decision.
    await page.getByRole('button', { name: 'Save the changes' }).click();
    await page.getByText('Copies built before stay as they were').waitFor();
    expect((await findKit(world.at, world.kitId))!.name).toBe('Mine');
    expect([...complaints, ...other.complaints]).toEqual([]);
  });

  it('is gone from the browser when its writer signs out', async () => {
    const { page } = await visitor();
    await signIn(page);
    await open(page, '/lend/families/new');
    await page.getByLabel('Family name').fill('Family Secret');
    const kept = () => page.evaluate(() => JSON.stringify({ ...localStorage }));
    expect(await kept()).toContain('Family Secret');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.waitForURL('**/sign-in');
    expect(await kept()).not.toContain('Secret');
  });

  it('is not shown to the next person in the same browser', async () => {
    const { page, context } = await visitor();
    await signIn(page);
    await open(page, '/lend/families/new');
    await page.getByLabel('Family name').fill('Family Secret');
    // The session runs out: nobody signs out.
    await context.clearCookies();
    await signIn(page, 'Helper');
    await open(page, '/lend');
    expect(await page.evaluate(() => JSON.stringify({ ...localStorage }))).not.toContain('Secret');
  });
});

describe('one’s own sign-in', () => {
  it('is looked after by keyboard alone: password changed, another browser signed out', async () => {
    const elsewhere = await visitor();
    await signIn(elsewhere.page, 'Helper');
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page, 'Helper');
    await open(page, '/me');
    const reach = async (name: string, role: 'textbox' | 'button'): Promise<void> => {
      for (let i = 0; i < 60; i++) {
        await page.keyboard.press('Tab');
        const here = await page.evaluate(() => {
          const at = document.activeElement as HTMLElement | null;
          const label = at instanceof HTMLInputElement ? at.labels?.[0]?.innerText : undefined;
          return label ?? at?.getAttribute('aria-label') ?? at?.innerText ?? '';
        });
        if (here.trim() === name) return;
      }
      throw new Error(`${role} ${name} was not reached by Tab`);
    };
    await reach('Password now', 'textbox');
    await page.keyboard.type('not my password');
    await reach('New password', 'textbox');
    await page.keyboard.type('a better password than before');
    await reach('The new password again', 'textbox');
    await page.keyboard.type('a better password than before');
    await page.keyboard.press('Enter');
    await page.getByText('This is not your password now.').waitFor();
    // The first marked place is ready to be typed in.
    await page.keyboard.press('Control+A');
    await page.keyboard.type(PASSWORD);
    await page.keyboard.press('Enter');
    await page.getByText('Your new password holds from now on.').waitFor();
    await expectAccessible(page);
    await elsewhere.page.goto('/lend');
    await elsewhere.page.waitForURL('**/sign-in**');
    await signIn(elsewhere.page, 'Helper', 'a better password than before');
    await open(page, '/me');
    await reach('End all but this one', 'button');
    await page.keyboard.press('Enter');
    await page.getByText('You are signed out there.').waitFor();
    await elsewhere.page.goto('/lend');
    await elsewhere.page.waitForURL('**/sign-in**');
    expect(complaints).toEqual([]);
  });

  it('is not shut by strangers who try passwords: her own browser still lets her in', async () => {
    const { page, complaints } = await visitor();
    await signInByHand(page, 'Helper');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.waitForURL('**/sign-in');
    for (let i = 0; i < 40; i++)
      await trySignIn({ name: 'Helper', who: world.people.helper.id, address: `203.0.${i}.7`, known: false });
    const stranger = await visitor({ expected: /429/ });
    await open(stranger.page, '/sign-in');
    await stranger.page.getByLabel('Name').fill('Helper');
    await stranger.page.getByLabel('Password').fill(PASSWORD);
    await stranger.page.getByRole('button', { name: 'Sign in' }).click();
    await stranger.page.getByText('Too many tries.').waitFor();
    await signInByHand(page, 'Helper');
    await page.getByRole('heading', { name: /what there is to do, Helper/ }).waitFor();
    expect([...complaints, ...stranger.complaints]).toEqual([]);
  });

  it('is set anew in the browser that asked for it, once a coordinator has heard its number', async () => {
    const { page, complaints } = await visitor({ expected: /400|404/ });
    await open(page, '/sign-in');
    await page.getByRole('link', { name: 'Password forgotten?' }).click();
    await page.getByRole('button', { name: 'Ask for a new password' }).click();
    await page.getByText('Type the name with which you sign in.').waitFor();
    await page.getByLabel('Your name, as you sign in').fill('Helper');
    await page.keyboard.press('Enter');
    await page.getByText('Tell a coordinator of your school this number').waitFor();
    await expectAccessible(page);
    const number = /\d{3} \d{3}/.exec(await page.locator('main').innerText())![0];
    // A name that nobody has looks the same.
    const stranger = await visitor();
    await open(stranger.page, '/forgotten');
    await stranger.page.getByLabel('Your name, as you sign in').fill('Nobody of that name');
    await stranger.page.keyboard.press('Enter');
    await stranger.page.getByText('Tell a coordinator of your school this number').waitFor();

    const coordinator = await visitor({ expected: /409/ });
    await signIn(coordinator.page);
    await open(coordinator.page, '/people');
    const forgotten = coordinator.page.getByRole('region', { name: 'Somebody forgot the password' });
    await forgotten.getByLabel('Who').selectOption('Helper');
    const read = forgotten.getByLabel('The number they read');
    await read.fill('100 000');
    await read.press('Enter');
    await coordinator.page.getByText('Nobody asked under this number').waitFor();
    await expectAccessible(coordinator.page);
    await read.fill(number);
    await read.press('Enter');
    await coordinator.page.getByText('Helper can go on now').waitFor();

    await stranger.page.getByRole('link', { name: 'Go on' }).click();
    await stranger.page.getByText('Tell a coordinator of your school this number').waitFor();
    await page.getByRole('link', { name: 'Go on' }).click();
    const link = page.url();
    await page.getByText('For Helper. This link works once.').waitFor();
    await page.getByLabel('New password').fill('too short');
    await page.getByLabel('The password again').fill('something else');
    await page.getByRole('button', { name: 'Set this password and sign in' }).click();
    await page.getByText('The two passwords are not the same.').waitFor();
    await expectAccessible(page);
    await page.getByLabel('New password').fill('twelve ferns in a row');
    await page.getByLabel('The password again').fill('twelve ferns in a row');
    await page.getByRole('button', { name: 'Set this password and sign in' }).click();
    await page.getByRole('heading', { name: /what there is to do, Helper/ }).waitFor();
    await page.goto(link);
    await page.getByText('It was used already, or it is too old.').waitFor();
    expect([...complaints, ...coordinator.complaints, ...stranger.complaints]).toEqual([]);
  });
});

describe('what cannot be opened', () => {
  it('stands on the shelf as such, and a strange name as it was written', async () => {
    const named = (en: string) => ({
      ...newOwnGame(),
      name: { en, es: en },
      goal: { en: 'Load.', es: 'Suban.' },
    });
    await addOwnGame(world.at, named('Race to {goal} <b>now</b>'), world.people.coordinator.id);
    const shut = (await addOwnGame(world.at, named('Old Ferry'), world.people.coordinator.id))!;
    await everything().execute(
      sql`update own_game set definition = definition - 'players' where id = ${shut}`,
    );
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/choose');
    await page.getByRole('link', { name: 'Race to {goal} <b>now</b>' }).waitFor();
    await page.getByText('Old Ferry: This game cannot be opened').waitFor();
    await page.getByRole('link', { name: 'Old Ferry' }).click();
    await page.getByText('The rules that were kept under this name cannot be read.').waitFor();
    await page.getByRole('button', { name: 'Put this game away' }).click();
    await page.getByRole('heading', { name: 'Choose a game' }).waitFor();
    expect(await page.getByText('cannot be opened').count()).toBe(0);
    await page.getByRole('link', { name: 'Race to {goal} <b>now</b>' }).click();
    await page.getByRole('heading', { name: 'Race to {goal} <b>now</b>' }).waitFor();
    expect(complaints).toEqual([]);
  });
});

describe('the phone of a family that had the basket before', () => {
  it('does not answer for the next one, unless it says that it has the basket now', async () => {
    const path = `/p/${world.copies[0]!.linkKey}`;
    const loan = await lendOut(world, { lentOn: daysAfter(today(world.at), -20), dueOn: today(world.at) });
    const phone = await visitor({ width: 360, expected: /403/ });
    await phone.page.goto(`${path}?lang=en`);
    await phone.page.getByRole('link', { name: 'How did it go?' }).click();
    await unfolded(phone.page);
    await phone.page.getByLabel('Anything else?').fill('ours');
    await takeBack(world.at, {
      loanId: loan,
      returnedOn: daysAfter(today(world.at), -15),
      counts: [],
      personId: null,
    });
    const next = await lendOut(world, {
      family: 1,
      lentOn: today(world.at),
      dueOn: daysAfter(today(world.at), 9),
    });
    await phone.page.getByRole('button', { name: 'Send the answer' }).click();
    await phone.page.getByText('This basket is at school now').waitFor();
    expect(await phone.page.getByLabel('Anything else?').inputValue()).toBe('ours');
    await phone.page.goto(`${path}?lang=en`);
    await phone.page.getByText('Now another family has it').waitFor();
    await expectAccessible(phone.page);
    await phone.page.getByRole('link', { name: 'We have this basket now' }).click();
    await phone.page.getByRole('link', { name: 'How did it go?' }).click();
    await unfolded(phone.page);
    await phone.page.getByLabel('Anything else?').fill('theirs');
    await phone.page.getByRole('button', { name: 'Send the answer' }).click();
    await phone.page.getByText('Your answer has reached the school.').waitFor();
    expect((await answersOf(world.at)).map(({ answer }) => [answer.loanId, answer.anythingElse])).toEqual([
      [next, 'theirs'],
    ]);
  });
});

describe('one press too many', () => {
  it('builds once, and an old page builds nothing by itself', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, `/fill/${world.kitId}`);
    const there = (await listCopies(world.at)).length;
    const key = await page.locator('input[name="formKey"]').inputValue();
    await page.getByRole('button', { name: 'Build and tag these copies' }).click();
    await page.getByText('4 copies have a tag now').waitFor();
    const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
    const again = await fetch(`${ADDRESS}/fill/${world.kitId}`, {
      method: 'POST',
      redirect: 'manual',
      headers: { Origin: ADDRESS, Cookie: cookie },
      body: new URLSearchParams({ intent: 'build', copies: '4', formKey: key }),
    });
    expect(again.status).toBe(302);
    expect((await listCopies(world.at)).length - there).toBe(4);
    expect(complaints).toEqual([]);
  });
});

it('says whose work it brings along, and under which licences', async () => {
  const answer = await fetch(`${ADDRESS}/third-party-licences.txt`);
  expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'text/plain; charset=utf-8']);
  const text = await answer.text();
  const { dependencies } = JSON.parse(readFileSync('package.json', 'utf8')) as {
    dependencies: Record<string, string>;
  };
  // What is only built or run with, and has no licence file beside it, stands under its package's name all the same.
  const named = (name: string): boolean => text.includes(`${name}@`);
  expect(Object.keys(dependencies).filter((name) => !named(name))).toEqual([]);
  for (const licence of ['SIL OPEN FONT LICENSE', 'Permission is hereby granted', 'Apache License'])
    expect([licence, text.toUpperCase().includes(licence.toUpperCase())]).toEqual([licence, true]);
});
