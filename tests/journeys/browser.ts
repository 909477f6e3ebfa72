/** A real browser against the real server. A journey fails on any error in the browser's console. */
import { AxeBuilder } from '@axe-core/playwright';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright-core';
import { afterAll, beforeEach, expect } from 'vitest';
import { closeDatabase } from '~/data/pools';
import { chromiumPath, CHROMIUM_FLAGS } from '~/scripts/lib/browser';
import { PASSWORD, smallSchool, type SmallSchool } from '../world';

export const ADDRESS = process.env.FERN_ADDRESS ?? '';

export interface Visitor {
  page: Page;
  context: BrowserContext;
  /** What the console complained about since the visitor came. */
  complaints: string[];
}

let browser: Browser | undefined;

/** A new visitor with nothing in the browser. Refused requests (4xx) that a journey expects are named in `expected`. */
export async function visitor(
  options: { width?: number; height?: number; javaScript?: boolean; expected?: RegExp | undefined } = {},
): Promise<Visitor> {
  browser ??= await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_FLAGS });
  const context = await browser.newContext({
    viewport: { width: options.width ?? 1280, height: options.height ?? 800 },
    javaScriptEnabled: options.javaScript ?? true,
    baseURL: ADDRESS,
    acceptDownloads: true,
  });
  context.setDefaultTimeout(30_000);
  const page = await context.newPage();
  const complaints: string[] = [];
  page.on('console', (message) => {
    const text = `${message.text()} ${message.location().url}`;
    if (['error', 'warning'].includes(message.type()) && !options.expected?.test(text)) complaints.push(text);
  });
  // A page that is left while it is still asked for is given up by the router: nobody sees that.
  page.on('pageerror', (error) => error.name !== 'AbortError' && complaints.push(String(error)));
  return { page, context, complaints };
}

export async function closeBrowser(): Promise<void> {
  await browser?.close();
  browser = undefined;
}

/** A small school made anew before each test of a file; after the last the browser and the database are let go. */
export function smallSchoolForEach(): SmallSchool {
  const world = {} as SmallSchool;
  beforeEach(async () => {
    Object.assign(world, await smallSchool());
  });
  afterAll(async () => {
    await closeBrowser();
    await closeDatabase();
  });
  return world;
}

/** Opens a staff page and waits until it answers to the keyboard and the mouse. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.locator('html[data-ready]').waitFor();
}

/** Signs in by the form that a person fills in. */
export async function signInByHand(page: Page, name = 'Coordinator', password = PASSWORD): Promise<void> {
  await open(page, '/sign-in');
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL((url) => !url.pathname.startsWith('/sign-in'));
}

/** Signs in as the form does, without waiting for its pages. */
export async function signIn(page: Page, name = 'Coordinator', password = PASSWORD): Promise<void> {
  const answer = await page.request.post('/sign-in', {
    form: { name, password },
    headers: { Origin: ADDRESS },
    maxRedirects: 0,
  });
  expect(answer.status()).toBe(302);
}

/** The page as it stands has no serious accessibility fault. */
export async function expectAccessible(page: Page): Promise<void> {
  // A colour on its way to another one is neither.
  await page.evaluate(() =>
    Promise.allSettled(
      document
        .getAnimations()
        .filter((one) => one instanceof CSSTransition)
        .map((one) => one.finished),
    ),
  );
  // What stands on a button is part of what it is called: who speaks to the page says what is read.
  const rules = { 'label-content-name-mismatch': { enabled: true } };
  const { violations } = await new AxeBuilder({ page }).options({ rules }).analyze();
  const serious = violations
    .filter((violation) => ['serious', 'critical'].includes(violation.impact ?? ''))
    // A whole card that is one link is called by its heading.
    .map((one) => ({
      ...one,
      nodes: one.nodes.filter(({ html }) => !(one.id in rules && html.includes('aria-labelledby'))),
    }))
    .filter(({ nodes }) => nodes.length > 0);
  expect(
    serious.map(
      (violation) =>
        `${page.url()} ${violation.id}: ${violation.nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`,
    ),
  ).toEqual([]);
}

/** A family page needs no script: of scripts it has one alone, which reads aloud where the phone can. */
export async function expectPlainPage(page: Page): Promise<void> {
  const scripts = (await page.content()).match(/<script[^>]*>/g) ?? [];
  expect(scripts).toEqual(['<script src="/say-aloud.js" defer="">']);
}

/** Comes to the scan line by its key. */
export async function toScanLine(page: Page): Promise<void> {
  const line = page.getByRole('combobox', { name: 'Scan or type' });
  await line.waitFor();
  // A page that has just come to the screen may take a moment to listen to its keys.
  await expect
    .poll(async () => {
      await page.keyboard.press('F2');
      return line.evaluate((input) => input === document.activeElement);
    })
    .toBe(true);
}

/** Nothing that was sent is under way any more: a button that waits for its answer takes no press. */
export async function settled(page: Page): Promise<void> {
  await expect.poll(() => page.locator('[data-under-way], [role=progressbar]').count()).toBe(0);
}

/** Scans or types on the scan line, as a barcode reader does: text, then Enter. */
export async function scan(page: Page, text: string): Promise<void> {
  await toScanLine(page);
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

/** Opens what is folded away on a family page: it works without scripts too. */
export const unfolded = (page: Page): Promise<void> =>
  page.locator('details').evaluateAll((all: HTMLDetailsElement[]) => all.forEach((one) => (one.open = true)));
