import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { AnyMaterialId } from '~/core/materials/catalogue';
import { SHIPPED } from '~/core/materials/school';
import { createFamily } from '~/data/queries/families';
import { findEvening, listEvenings, saveEvening } from '~/data/queries/evenings';
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
      name: SHIPPED.of(material as AnyMaterialId).plural,
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
});
