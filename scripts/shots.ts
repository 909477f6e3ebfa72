/** `npm run shots`: one picture of each main view, from fresh demo data on a database of its own. */
import { mkdirSync } from 'node:fs';
import { chromium } from 'playwright-core';
import { chromiumPath, CHROMIUM_FLAGS, ensureBrowser } from './lib/browser.ts';
import { ensureDatabase, startCluster } from './lib/postgres.ts';
import { step } from './lib/say.ts';
import { useDatabase } from './lib/url.ts';
import { ensureBuild, freePortFrom, serve } from './lib/web.ts';

const FOLDER = 'docs/screenshots';
const only = process.argv[2];
mkdirSync(FOLDER, { recursive: true });
await step('browser', ensureBrowser);
const cluster = await step('database server', () => startCluster('test', { throwaway: true }));
const databaseUrl = await ensureDatabase(cluster, 'fern_shots', { fresh: true });
useDatabase(databaseUrl);
const { closeDatabase } = await import('~/data/pools.ts');
const { migrate } = await import('~/data/migrate.ts');
const { loadDemoWhenEmpty, DEMO_PEOPLE } = await import('~/data/demo/load.ts');
const { hashPassword } = await import('~/server/people/password.ts');
const { listCopies } = await import('~/data/queries/copies.ts');
const { copiesForRound } = await import('~/data/queries/rounds.ts');
const { listKits } = await import('~/data/queries/kits.ts');
const { listMakings } = await import('~/data/queries/making.ts');
const { listFamilies } = await import('~/data/queries/families.ts');
const { listEvenings } = await import('~/data/queries/evenings.ts');
await migrate();
const { at } = (await loadDemoWhenEmpty(hashPassword))!;
const copies = await listCopies(at);
// Bags that nobody waits for.
const [home] = (await copiesForRound(at)).filter(({ kitName }) => kitName === 'Market day');
const kits = await listKits(at);
const families = await listFamilies(at);
const [run] = await listMakings(at);
const [evening] = await listEvenings(at);
await closeDatabase();
await step('build', ensureBuild);
const web = await serve({ port: await freePortFrom(4800), databaseUrl, quiet: true });
const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_FLAGS });

try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const out = copies.find((copy) => copy.loan && copy.kitName === 'First splits')!;
  const free = copies.find((copy) => !copy.loan && copy.printedAt && copy.kitName === 'Market day')!;
  const shoot = async (
    name: string,
    path: string,
    options: { full?: boolean; before?: () => Promise<void> } = {},
  ): Promise<void> => {
    if (only && !name.includes(only)) return;
    await page.goto(`${web.address}${path}`);
    await page.waitForLoadState('networkidle');
    await options.before?.();
    // A page seen whole: the window grows, so that the scan line stays at its foot.
    const size = page.viewportSize()!;
    const height = options.full
      ? await page.evaluate(() => document.documentElement.scrollHeight)
      : size.height;
    await page.setViewportSize({ ...size, height });
    // Pictures that wait until they are looked at.
    await page.evaluate(async () => {
      for (const image of document.images) image.loading = 'eager';
      await Promise.all([...document.images].map((image) => image.decode().catch(() => undefined)));
    });
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
    await page.setViewportSize(size);
    console.log(`  ${name}`);
  };
  const signIn = async (name: string): Promise<void> => {
    await page.goto(`${web.address}/sign-in`);
    await page.getByLabel('Name').fill(name);
    await page.getByLabel('Password').fill(DEMO_PEOPLE.find((one) => one.name === name)!.password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.waitForURL('**/today');
  };
  await signIn('Maren');
  await shoot('today', '/today');
  await shoot('choose-shelf', '/choose');
  const reckoned = async (): Promise<void> => {
    // The heavy figures are there when nothing is under way any more.
    await page.waitForTimeout(600);
    await page.getByRole('progressbar').waitFor({ state: 'detached', timeout: 30_000 });
  };
  await shoot('choose-bench', '/choose/tide-pairs?preset=ten', { full: true, before: reckoned });
  await shoot('fill-run', `/fill/runs/${run!.id}`);
  await shoot('fill-kit', `/fill/${kits.find((kit) => kit.name === 'Partners of ten')!.id}`);
  await shoot('word-desk', '/word/two-tone-spill');
  await shoot('print-pack', '/print', { full: true });
  await shoot('lend-desk', `/lend?copy=${home!.tag}&family=${families[0]!.id}`, {
    before: async () => {
      await page.getByRole('combobox', { name: /Scan or type/ }).focus();
    },
  });
  await page.goto(`${web.address}/lend/rounds`);
  await page.locator('html[data-ready]').waitFor();
  await page.getByRole('button', { name: 'Match families and bags' }).click();
  await page.getByRole('heading', { name: 'Who gets what' }).waitFor();
  await shoot('lend-round', new URL(page.url()).pathname);
  await shoot('lend-hall', '/lend/hall', {
    before: async () => {
      await page.getByLabel('Scan a bag or a card').fill(free.tag);
      await page.keyboard.press('Enter');
      await page.locator('.word').waitFor();
    },
  });
  await shoot('take-back', `/take-back/${out.loan!.id}`);
  await shoot('listen', '/listen');
  const asked = families.find(({ name }) => name === 'Familia Ibarra Sol')!;
  await shoot('listen-next', `/listen/families/${asked.id}`);
  await shoot('look-back', '/look-back');
  await shoot('evening', `/lend/evenings/${evening!.id}`, {
    before: async () => {
      await page.getByRole('group', { name: 'Seats' }).evaluate((one) => one.scrollIntoView());
    },
  });
  await shoot('evening-clock', `/lend/evenings/${evening!.id}/clock`);
  await shoot('rehearse', '/lend/rehearse/bigger-pile?play=1&age=g1', {
    before: async () => {
      await page.locator('html[data-ready]').waitFor();
      await page.locator('main ul button').first().click();
    },
  });
  await page.setViewportSize({ width: 360, height: 760 });
  await shoot('family-page', `/p/${out.linkKey}`);
  await shoot('family-answer', `/p/${out.linkKey}/answer`, { full: true });
} finally {
  await browser.close();
  await web.stop();
  await cluster.stop();
}
