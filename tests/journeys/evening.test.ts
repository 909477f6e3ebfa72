import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { SHIPPED } from '~/core/materials/school';
import { emptyPlan } from '~/core/evening/plan';
import { createFamily, listFamilies } from '~/data/queries/families';
import { createEvening, findEvening, listEvenings, saveEvening } from '~/data/queries/evenings';
import { doorOf, invitedTo, tapsAt } from '~/data/queries/gatherings';
import { pageOfMessages } from '~/data/queries/outbox';
import { solvedOf, tableGame } from '~/server/evenings';
import { today as todayAt } from '~/server/today';
import { countStock, reservedNow } from '~/data/queries/store';
import { expectAccessible, open, settled, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();

describe('an evening', () => {
  it('is planned, held fast where somebody says so, printed, and has a clock that needs no network', async () => {
    for (let i = 0; i < 12; i++)
      await createFamily(world.at, {
        name: `Family N${i}`,
        language: i % 3 === 0 ? 'es' : 'en',
        children: `Pip, ${i % 2 ? 'grade 1' : 'kindergarten'}`,
      });
    const { page, complaints } = await visitor({ expected: /40[09]/ });
    await signIn(page);
    await open(page, '/lend/evenings');
    await page.getByText('No evening is planned').waitFor();
    await page.getByRole('button', { name: 'Plan this evening' }).click();
    await page.getByText('write how').or(page.getByText('must not be empty')).first().waitFor();
    await page.getByLabel('Name of the evening').fill('Game night');
    await page.getByLabel('Start').fill('25:99');
    await page.getByRole('button', { name: 'Plan this evening' }).click();
    await page.getByText('write a time such as 17:30').first().waitFor();
    await page.getByLabel('Start').fill('17:30');
    await page.getByRole('button', { name: 'Plan this evening' }).click();
    await page.getByRole('heading', { name: 'Game night' }).waitFor();
    await page.getByText('Nothing to plan yet').waitFor();
    await expectAccessible(page);

    await page.getByRole('button', { name: 'Propose games for them' }).click();
    await page.getByText('Say who comes first').first().waitFor();
    await page.getByRole('button', { name: 'Make groups of them' }).click();
    await page.getByRole('cell', { name: 'Spanish', exact: true }).first().waitFor();
    await settled(page);
    await page.getByRole('button', { name: 'Propose games for them' }).click();
    await page.getByRole('heading', { name: 'Game night' }).waitFor();
    await page.getByText('Choose tables from a list').click();
    await page.getByRole('table', { name: 'Who sits where' }).waitFor();
    await page.getByText('No helper speaks').waitFor();
    await page.getByLabel('Helpers and their languages').fill('Tobin: English, Spanish\nEskil: Klingonish');
    await page.getByRole('button', { name: 'Keep these helpers' }).click();
    await page.getByText('“Klingonish” is no language that is known here.').first().waitFor();
    await page
      .getByLabel('Helpers and their languages')
      .fill('Tobin: English, Spanish\nEskil: English\nMaren: English');
    await page.getByRole('button', { name: 'Keep these helpers' }).click();
    await expect.poll(() => page.getByLabel('Host of Table 1').inputValue()).not.toBe('');
    await expectAccessible(page);
    const { id } = (await listEvenings(world.at))[0]!;
    const plan = async () => (await findEvening(world.at, id))!.plan;
    const groups = (await plan()).groups.map((one) => one.id);
    expect(groups.length).toBeGreaterThan(1);

    // Another game at a table, and fewer seats than anybody could sit on.
    await settled(page);
    await page.getByRole('button', { name: 'Change Table 2' }).click();
    await page.getByLabel('Game of Table 2').selectOption({ label: 'Peek and Say, one group to 5' });
    await page.getByRole('button', { name: 'Keep Table 2 so' }).click();
    await expect
      .poll(async () => (await plan()).tables.find((one) => one.id === 'Table 2')!.game!.gameId)
      .toBe('peek-and-say');
    await page.getByText('Peek and Say, one group to 5').first().waitFor();

    // Held where somebody says so; the rest is planned around it.
    const seat = page.getByLabel(`Table of ${groups[0]} in round 1`);
    const other = (await seat.inputValue()) === 'Table 1' ? 'Table 2' : 'Table 1';
    await settled(page);
    await seat.selectOption(other);
    await page.getByText('held', { exact: true }).first().waitFor();
    await expect.poll(() => seat.inputValue()).toBe(other);
    expect((await plan()).pins).toEqual([{ group: groups[0], table: other, round: 1 }]);
    await settled(page);
    await page.getByRole('button', { name: /^Let go of 1 thing/ }).click();
    await expect.poll(() => page.getByText('held', { exact: true }).count()).toBe(0);
    expect((await plan()).pins).toEqual([]);

    // The parts of the tables are set aside in the store, and counted back.
    await countStock(
      world.at,
      ['two-colour-counter', 'cube', 'die', 'chip'].map((material) => ({ material, counted: 500 })),
      null,
    );
    await settled(page);
    await page.getByRole('button', { name: 'Set aside in the store' }).click();
    await page.getByText('After the evening: count it back').click();
    const aside = (await findEvening(world.at, id))!.setAside!;
    const material = Object.keys(aside).find((one) => aside[one]! > 1)!;
    expect(await reservedNow(world.at)).toEqual(aside);
    await expectAccessible(page);
    const came = page.getByRole('textbox', {
      name: SHIPPED.of(material).plural,
      exact: true,
    });
    await came.fill('');
    await page.getByRole('button', { name: /^Put \d+ kinds? back$/ }).click();
    await page.getByText(`${aside[material]} were set aside`).first().waitFor();
    await came.fill(String(aside[material]! - 1));
    await page.getByRole('button', { name: /^Put \d+ kinds? back$/ }).click();
    await page.getByText('Counted back').waitFor();
    expect(await reservedNow(world.at)).toEqual({});
    expect((await findEvening(world.at, id))!.setAside).toBeNull();

    // Somebody else changes the plan meanwhile: an old page changes nothing.
    await settled(page);
    const now = (await findEvening(world.at, id))!;
    await saveEvening(world.at, id, now.version, { plan: now.plan, solved: now.solved });
    await page.getByRole('button', { name: 'Keep these times' }).click();
    await page.getByText('Somebody else has changed this evening meanwhile').first().waitFor();

    const folder = mkdtempSync(join(tmpdir(), 'evening-'));
    for (const [paper, says] of [
      ['signs.pdf', /1/],
      ['hosts.pdf', /Three things to say/],
      ['ways.pdf', /Bienvenidos/],
    ] as const) {
      const answer = await page.request.get(`/lend/evenings/${id}/${paper}`);
      expect([paper, answer.status(), answer.headers()['content-type']]).toEqual([
        paper,
        200,
        'application/pdf',
      ]);
      writeFileSync(join(folder, paper), await answer.body());
      expect(execFileSync('pdftotext', [join(folder, paper), '-'], { encoding: 'utf8' })).toMatch(says);
    }
    expect((await page.request.get(`/lend/evenings/${id}/secrets.pdf`)).status()).toBe(404);

    const wall = await visitor({ width: 1280, height: 720, expected: /ERR_INTERNET/ });
    await signIn(wall.page, 'Helper');
    await open(wall.page, `/lend/evenings/${id}/clock`);
    const time = wall.page.getByRole('timer');
    expect(await time.innerText()).toBe('12:00');
    await expectAccessible(wall.page);
    await wall.context.setOffline(true);
    await wall.page.keyboard.press(' ');
    await expect.poll(() => time.innerText()).not.toBe('12:00');
    await wall.page.keyboard.press('+');
    await expect.poll(() => time.innerText()).toMatch(/^12:[45]\d$/);
    await wall.page.keyboard.press(' ');
    await wall.page.keyboard.press('ArrowRight');
    await wall.page.getByText('Pasen a su siguiente mesa').waitFor();
    await wall.page.getByText('Please go to your next table.').waitFor();
    expect(await time.innerText()).toBe('3:00');
    // Opened anew it goes on where it was.
    await wall.context.setOffline(false);
    await wall.page.reload();
    await wall.page.getByText('Pasen a su siguiente mesa').waitFor();
    await open(page, `/lend/evenings/${id}`);
    await page.getByRole('button', { name: 'Delete this plan …' }).click();
    await page.getByRole('button', { name: 'Delete this plan for good' }).click();
    await page.getByText('No evening is planned').waitFor();
    expect([...complaints, ...wall.complaints]).toEqual([]);
  }, 90_000);

  it('is held: families are asked, sign in at the door, take bags, tap how it was, and are thanked', async () => {
    await createFamily(world.at, {
      name: 'Family Kelp',
      language: 'en',
      children: 'Pip, kindergarten',
      channel: 'message',
      reach: '555-0101',
    });
    const { page, complaints } = await visitor({ expected: /40[09]/ });
    await signIn(page);
    const plan = {
      ...emptyPlan({ rounds: 2, roundMinutes: 12, changeMinutes: 3 }),
      groups: [
        { id: 'A', size: 6, languages: ['en'], band: 'K' as const },
        { id: 'B', size: 6, languages: ['es'], band: 'K' as const },
      ],
      helpers: [{ id: 'Helper', languages: ['en'] }],
      tables: [
        { id: 'Table 1', seats: 12, game: tableGame('two-tone-spill 5-ordered')! },
        { id: 'Table 2', seats: 12, game: tableGame('peek-and-say five')! },
      ],
    };
    const id = await createEvening(world.at, {
      name: 'Game night',
      onDay: todayAt(world.at),
      startsAt: '17:30',
      plan,
      solved: (await solvedOf(plan, [])) ?? undefined,
      personId: world.people.coordinator.id,
    });
    await open(page, `/lend/evenings/${id}`);
    await page.getByRole('button', { name: 'Ask every family, each in its language' }).click();
    await page
      .getByText(/families are told|messages? waits? until/)
      .first()
      .waitFor();
    await expectAccessible(page);
    const invited = async () => invitedTo(world.at, id);
    const all = (await invited()).length;
    expect(all).toBeGreaterThanOrEqual(3);
    await settled(page);
    await page.getByRole('button', { name: 'Ask everybody who was not asked yet' }).click();
    await page.getByText('Nobody was left to be told now.').waitFor();
    expect((await invited()).length).toBe(all);

    // The family answers with one press.
    const { messages } = await pageOfMessages(world.at, { first: 0, most: 100 });
    const sent = messages.find(({ familyName }) => familyName === 'Family Kelp')!;
    expect(sent.text).toContain('Game night');
    const phone = await visitor({ width: 360, height: 780 });
    await phone.page.goto(`/a/${sent.linkKey}?lang=es`);
    await phone.page.getByText('Game night').waitFor();
    await expectAccessible(phone.page);
    await phone.page.getByRole('button', { name: 'Sí, vamos' }).click();
    await phone.page.getByText('Gracias. Los esperamos').waitFor();
    await open(page, `/lend/evenings/${id}`);
    await page.getByText('1 said yes').waitFor();

    // A group is dragged to another table by keyboard.
    const seatOfA = async () =>
      (await findEvening(world.at, id))!.solved!.rotation!.plan.find(
        ({ round, groups }) => round === 1 && groups.includes('A'),
      )!.table;
    const other = (await seatOfA()) === 'Table 1' ? 'Table 2' : 'Table 1';
    await page.getByRole('button', { name: 'Move A in round 1' }).focus();
    await page.keyboard.press('Enter');
    const onto = () =>
      page.evaluate(() =>
        (document.activeElement?.getAttribute('aria-labelledby') ?? '')
          .split(' ')
          .map((of) => document.getElementById(of))
          .map((one) => one?.getAttribute('aria-label') ?? one?.textContent)
          .join(' '),
      );
    for (let i = 0; i < 12 && !(await onto()).includes(`${other}, round 1`); i++)
      await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await expect.poll(seatOfA).toBe(other);
    expect((await findEvening(world.at, id))!.plan.pins).toContainEqual({
      group: 'A',
      round: 1,
      table: other,
    });
    await page.getByText('6, held').first().waitFor();
    await settled(page);
    await page.getByRole('button', { name: 'Turn the rounds by one' }).click();
    await expect.poll(async () => (await findEvening(world.at, id))!.plan.pins.length).toBe(4);
    await page.getByRole('button', { name: /^Let go of [4-9] things/ }).waitFor();
    await settled(page);
    await page.getByLabel('What your district asks').fill('At most 120 people in the hall.');
    await page.getByRole('button', { name: 'Keep these rules' }).click();
    await page.getByRole('heading', { name: 'Your district asks' }).waitFor();

    // The door: somebody new is entered with name and language only.
    await settled(page);
    await page.getByRole('button', { name: 'Set up the table at the door' }).click();
    await page.getByRole('button', { name: 'Open it on a tablet' }).click();
    const link = await page.getByText('/in/').innerText();
    const tablet = await visitor({ width: 820, height: 1100 });
    await tablet.page.goto(`${link}?lang=es`);
    await tablet.page.getByText('Es la primera vez que venimos').click();
    await expectAccessible(tablet.page);
    await tablet.page.getByLabel('¿Cómo se llama su familia?').fill('Familia Marisma');
    await tablet.page.getByRole('button', { name: 'Anótennos' }).click();
    await tablet.page.getByText('Ya están registrados').waitFor();
    // Entered twice it is asked who they are.
    await tablet.page.goto(`${link}?lang=es`);
    await tablet.page.getByText('Es la primera vez que venimos').click();
    await tablet.page.getByLabel('¿Cómo se llama su familia?').fill('Familia Marisma');
    await tablet.page.getByRole('button', { name: 'Anótennos' }).click();
    await tablet.page.getByRole('button', { name: 'Familia Marisma' }).waitFor();
    const marisma = (await listFamilies(world.at)).filter(({ name }) => name === 'Familia Marisma');
    expect(marisma).toMatchObject([{ language: 'es', children: '', reach: '' }]);

    // Leaving: two taps for a table; the other one is left out.
    await tablet.page.goto(`${link}?lang=es`);
    await tablet.page.getByRole('link', { name: 'Ya nos vamos' }).click();
    await tablet.page.getByLabel('El nombre de su familia o su tarjeta').fill('kelp');
    await tablet.page.getByRole('button', { name: 'Buscarnos' }).click();
    await tablet.page.getByRole('button', { name: 'Family Kelp' }).click();
    await tablet.page.getByText('Mesa 1: Vuelca y separa').waitFor();
    await expectAccessible(tablet.page);
    const table = tablet.page.getByRole('group', { name: 'Mesa 1: Vuelca y separa' });
    await table.getByLabel('difícil', { exact: false }).last().check();
    await table.getByLabel('Sí').check();
    await tablet.page.getByRole('button', { name: 'Avisar a la escuela' }).click();
    await tablet.page.getByText('Gracias. Vuelvan pronto.').waitFor();
    const door = (await doorOf(world.at, id))!;
    expect(await tapsAt(world.at, door.id)).toMatchObject([
      { tableName: 'Table 1', said: 'tooHard', again: true },
    ]);

    await open(page, `/lend/evenings/${id}`);
    await page.getByText('2 families came, 1 of them without being asked one by one.').waitFor();
    await page.getByRole('table', { name: 'What families said of the tables' }).waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Match bags to those who are there' }).click();
    await page.getByText('2 families who came to Game night').waitFor();
    await open(page, `/lend/evenings/${id}`);
    await page.getByRole('button', { name: 'Thank 2 families' }).click();
    // Who was written to today already is thanked on another day.
    await page.getByText('press once more on another day').waitFor();
    await settled(page);
    await page.getByRole('button', { name: 'Plan another evening like this one' }).click();
    await page.waitForURL((url) => !url.pathname.endsWith(id));
    const next = (await listEvenings(world.at)).find((one) => one.id !== id)!;
    expect((await findEvening(world.at, next.id))!.plan).toMatchObject({
      groups: plan.groups,
      tables: plan.tables,
      hallRules: 'At most 120 people in the hall.',
      pins: [],
    });
    const paper = await page.request.get(`/lend/evenings/${id}/signin.pdf`);
    expect([paper.status(), paper.headers()['content-type']]).toEqual([200, 'application/pdf']);
    expect([...complaints, ...phone.complaints, ...tablet.complaints]).toEqual([]);
  }, 300_000);
});
