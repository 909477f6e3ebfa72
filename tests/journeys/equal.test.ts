/** The same number on two pages is the same number: a table of who must equal whom, walked through the demo. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadDemoWhenEmpty, type Demo } from '~/data/demo/load';
import { hashPassword } from '~/server/people/password';
import { findKit, listKits } from '~/data/queries/kits';
import { listCopies } from '~/data/queries/copies';
import { emptyDatabase } from '../world';
import { closeDatabase } from '~/data/pools';
import { closeBrowser, signIn, visitor } from './browser';

let demo: Demo;
let page: Page;
beforeAll(async () => {
  await emptyDatabase();
  demo = (await loadDemoWhenEmpty(hashPassword))!;
  ({ page } = await visitor());
  await signIn(page, 'Maren', 'fern-and-twine');
}, 240_000);
afterAll(async () => {
  await closeBrowser();
  await closeDatabase();
});

/** What a page says, as one line. */
async function said(path: string): Promise<string> {
  const answer = await page.request.get(path);
  expect([path, answer.status()]).toEqual([path, 200]);
  return (await answer.text())
    .replace(/<(script|style)\b[^]*?<\/\1>/g, '')
    .replace(/<[^>]+>/g, ' ')
    .replaceAll('&#x27;', "'")
    .replaceAll('&amp;', '&')
    .replace(/\s+/g, ' ');
}
/** The number that stands there. Throws where there is none. */
function found(text: string, pattern: RegExp): number {
  const match = pattern.exec(text);
  if (!match) throw new Error(`Nothing like ${pattern} in: ${text.slice(0, 3000)}`);
  return Number(match[1]!.replace(/[$,]/g, ''));
}
const all = (text: string, pattern: RegExp): number[] =>
  [...text.matchAll(pattern)].map((match) => Number(match[1]!.replace(/[$,]/g, '')));
const sum = (numbers: readonly number[]): number => numbers.reduce((total, one) => total + one, 0);
const cents = (dollars: number): number => Math.round(dollars * 100);

describe('the same number on two pages', () => {
  it('is on Today, on the leaves, and on the page it leads to', async () => {
    const today = await said('/today');
    const leaf = (name: string, what: string): number =>
      found(today, new RegExp(` ${name} (\\d+) (?:${what})`));
    const packs = found(today, / Print (\d+) packs? The bags? cannot go out/);
    expect(leaf('Print', 'packs? to print')).toBe(packs);
    const print = await said('/print');
    expect(found(print, / Draw (\d+) packs as PDF/)).toBe(packs);
    const lines = found(today, / Check (\d+) lines? in/);
    const held = all(today, / Let (\d+) messages? go /g);
    expect(leaf('Word', 'lines? (?:or|and) messages?')).toBe(lines + sum(held));
    expect(leaf('Fill', 'build runs?')).toBe(all(today, / Go on making (\d+) bags? /g).length);
    const toTakeBack = [
      ...all(today, / Count (\d+) bags? that came home/g),
      ...all(today, / Take back (\d+) bags? today/g),
      ...all(today, / Mend (\d+) bags? /g),
      ...all(today, / Ask after (\d+) bags? /g),
    ];
    expect(leaf('Take back', 'bags? to take back')).toBe(sum(toTakeBack));
    expect(leaf('Listen', 'answers?')).toBe(
      sum([...all(today, / Read (\d+) new answers?/g), ...all(today, / Say what (\d+) texts?/g)]),
    );
  });

  it('is what a copy costs, on its kit and where its pack is printed', async () => {
    const kits = await listKits(demo.at);
    let compared = 0;
    for (const { id, name } of kits) {
      const finished = (await findKit(demo.at, id))!.finish;
      const kit = await said(`/fill/${id}?cost=1`);
      const row = (what: string): number => found(kit, new RegExp(` ${what} (\\$[\\d,.]+) `));
      const parts = row('Parts');
      expect([name, found(kit, / Parts for one copy (\$[\d,.]+) /)]).toEqual([name, parts]);
      const wiping = / Marker and cloth (\$[\d,.]+) /.test(kit) ? row('Marker and cloth') : 0;
      expect([name, cents(row('One copy'))]).toEqual([
        name,
        cents(parts) + cents(row('Paper')) + cents(wiping) + cents(row('Work')),
      ]);
      const [copy] = await listCopies(demo.at, { kitId: id }, 1);
      if (!copy) continue;
      const print = await said(`/print?copy=${copy.id}&finish=${finished}`);
      const finish = found(print, / Cost, (?:durable|plain) (\$[\d,.]+) /);
      expect([name, finish]).toEqual([name, row('Paper')]);
      const [, durable, plain] = / if it goes out 10 times (\$[\d,.]+) durable, (\$[\d,.]+) plain/.exec(
        print,
      )!;
      const loan = / Cost, durable /.test(print) ? durable! : plain!;
      expect([name, row('One loan') >= Number(loan.replace('$', ''))]).toEqual([name, true]);
      compared++;
    }
    expect(compared).toBeGreaterThan(5);
  });

  it('is one copy of several that are printed together, times their number', async () => {
    const print = await said('/print');
    const copies = found(print, / Pages [\d,]+ for (\d+) copies/);
    expect(found(print, / Pages ([\d,]+) for \d+ copies/)).toBe(
      copies * found(print, / for \d+ copies (\d+) pages for one copy/),
    );
  });

  it('is when a build run is done, on its page and in its plan', async () => {
    const runs = await page.request.get('/fill/runs');
    const [, run] = /href="(\/fill\/runs\/[0-9a-f-]{36})"/.exec(await runs.text())!;
    const one = await said(run!);
    const [, told] = / done after (\d+:\d\d) /.exec(one)!;
    const plan = await said(`${run}/afternoon`);
    expect(plan).toContain(told!);
    expect(plan).toMatch(new RegExp(`Done after ${told}|done after ${told}|${told} `));
  });

  it('adds up in each row of how hard games are', async () => {
    const games = await said('/listen/games');
    const rows = [
      ...games.matchAll(
        / (\d\.\d) ([+−-]\d\.\d) (\d\.\d) (?:pre-K|kindergarten|grade|above|below|before|after)/g,
      ),
    ];
    expect(rows.length).toBeGreaterThanOrEqual(3);
    for (const [row, reckoned, moved, now] of rows)
      expect([row, (Number(reckoned) + Number(moved!.replace('−', '-'))).toFixed(1)]).toEqual([row, now]);
  });

  it('is how many words were just right, kit by kit and grade by grade', async () => {
    const play = await said('/look-back/play');
    const [, right, of] = / (\d+) of (\d+) words on a game were “just right”/.exec(play)!;
    const kits = [...play.matchAll(/ (\d+) of (\d+) \(\d+ to \d+ in 100\)/g)];
    expect([sum(kits.map((one) => Number(one[1]))), sum(kits.map((one) => Number(one[2])))]).toEqual([
      Number(right),
      Number(of),
    ]);
  });

  it('is how many loans there were, who is reached and kit by kit', async () => {
    const reached = await said('/look-back');
    const play = await said('/look-back/play');
    const loans = found(reached, / (\d+) loans? /);
    const table = play.slice(play.indexOf(' Kit Loans Told of '), play.indexOf(' As a table'));
    const rows = [...table.matchAll(/ (\d+) (\d+) (?:\d+\.\d|–) (?:[\d.]+ \(|–)/g)];
    expect(rows.length).toBeGreaterThan(5);
    expect(sum(rows.map((one) => Number(one[1])))).toBe(loans);
  });
});
