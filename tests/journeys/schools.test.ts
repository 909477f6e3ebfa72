/** Two schools of one district: what one sees of the other, and a morning of somebody who coordinates both. */
import { ALL } from '~/core/lending/choices';
import { emptyPlan } from '~/core/evening/plan';
import { createEvening } from '~/data/queries/evenings';
import { openGathering } from '~/data/queries/gatherings';
import { createRound } from '~/data/queries/rounds';
import { today } from '~/server/today';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type SchoolHandle } from '~/data/db';
import { closeDatabase } from '~/data/pools';
import { addPicture } from '~/data/queries/pictures';
import { workPicture } from '~/data/schema';
import { loadDemoWhenEmpty, type Demo } from '~/data/demo/load';
import { listShortages } from '~/data/queries/counts';
import { listFamilies } from '~/data/queries/families';
import { addOwnGame, listOwnGames } from '~/data/queries/games';
import { listCopies } from '~/data/queries/copies';
import { findKit, listKits, listVariants } from '~/data/queries/kits';
import { listClosed, listOut } from '~/data/queries/lending';
import { listMakings } from '~/data/queries/making';
import { addPrintJob } from '~/data/queries/print';
import { findPersonByName } from '~/data/queries/people';
import { offers, shownByUs } from '~/data/queries/sharing';
import { newOwnGame } from '~/core/own/definition';
import { ownGameId } from '~/core/own/ids';
import { hashPassword } from '~/server/people/password';
import routes from '~/app/routes';
import { everything } from '../owner';
import { emptyDatabase, answersOf } from '../world';
import { ADDRESS, closeBrowser, expectAccessible, open, signIn, visitor } from './browser';

let demo: Demo;
beforeAll(async () => {
  await emptyDatabase();
  demo = (await loadDemoWhenEmpty(hashPassword))!;
});
afterAll(async () => {
  await closeBrowser();
  await closeDatabase();
});

interface Route {
  path?: string;
  index?: boolean;
  children?: Route[];
}
/** Every address pattern of the application, as forms are sent to it. */
const patterns = (list: readonly Route[], before = ''): string[] =>
  list.flatMap((route) => {
    const path = route.path === undefined ? before : `${before}/${route.path}`;
    return route.children ? patterns(route.children, path) : [`${path || '/'}${route.index ? '?index' : ''}`];
  });

/** Every row of the rows of a school, as text. */
async function rowsOf(schoolId: string): Promise<string[]> {
  const { rows: tables } = await everything().execute<{ name: string }>(
    sql`select table_name as name from information_schema.columns where column_name = 'school_id' and table_schema = 'public' order by 1`,
  );
  const found: string[] = [];
  for (const { name } of tables) {
    // Sessions come and go with whoever signs in; they hold nothing of a school.
    if (name === 'session') continue;
    const { rows } = await everything().execute<{ row: string }>(
      sql`select ${name} || t::text as row from ${sql.identifier(name)} t where school_id = ${schoolId} order by 1`,
    );
    found.push(...rows.map(({ row }) => row));
  }
  return found;
}

/** A picture of a child's work; its id. */
async function aPicture(at: SchoolHandle, answerId: string): Promise<string> {
  await addPicture(at, { answerId, image: Buffer.from('x'), width: 1, height: 1, goesOn: today(at) });
  return (await at.select({ id: workPicture.id }).from(workPicture))[0]!.id;
}

describe('a school of the district', () => {
  it('shows nothing of itself to another one, at any address, and takes nothing from there', async () => {
    const { at } = demo;
    const maren = (await findPersonByName('Maren'))!.id;
    const [families, copies, kits, out, closed, games, answers, variants] = await Promise.all([
      listFamilies(at),
      listCopies(at),
      listKits(at),
      listOut(at),
      listClosed(at, 20),
      listOwnGames(at),
      answersOf(at),
      listVariants(at),
    ]);
    const job = await addPrintJob(at, { query: '', title: 'A secret pack', createdBy: maren, task: {} });
    const ids: Record<string, string[]> = {
      ':familyId': families.slice(0, 2).map(({ id }) => id),
      ':copyId': copies.slice(0, 2).map(({ id }) => id),
      ':kitId': kits.map(({ id }) => id),
      ':loanId': [out[0]!.id, closed[0]!.id],
      ':runId': (await listMakings(at)).map(({ id }) => id),
      ':ownId': games.map(({ id }) => id),
      ':gameId': games.map(({ id }) => ownGameId(id)),
      ':jobId': [job],
      ':roundId': [
        await createRound(at, { name: 'A secret hand-out', onDay: today(at), choices: ALL, personId: maren }),
      ],
      ':tableId': [
        (await openGathering(at, {
          name: 'A secret evening',
          onDay: today(at),
          keyHash: 'x'.repeat(64),
          expiresAt: new Date(),
          personId: maren,
        }))!,
      ],
      ':eveningId': [
        await createEvening(at, {
          name: 'A secret game night',
          onDay: today(at),
          startsAt: '17:30',
          plan: emptyPlan({ rounds: 2, roundMinutes: 10, changeMinutes: 2 }),
          personId: maren,
        }),
      ],
      ':pictureId': [await aPicture(at, answers[0]!.answer.id)],
      ':key': ['x'.repeat(32)],
      // A label is read by whoever holds the basket.
      ':linkKey': [],
    };
    const paths = patterns(routes as Route[]).flatMap((pattern) => {
      const name = Object.keys(ids).find((one) => pattern.includes(one));
      return name ? ids[name]!.map((id) => pattern.replace(name, id)) : [pattern.replace('*', 'nowhere')];
    });
    expect(paths.length).toBeGreaterThan(45);
    const asked = paths
      .map((path) => path.replace('?index', ''))
      .flatMap((path) => [
        path,
        ...(path === '/lend'
          ? [`/lend?copy=${copies[0]!.tag}&family=${families[0]!.id}&lent=${out[0]!.id}`]
          : []),
        ...(path === '/print' ? [`/print?copy=${copies[0]!.id}`, `/print?run=${copies[0]!.buildRunId}`] : []),
        ...(path === '/print/page.svg' ? [`/print/page.svg?page=1&copy=${copies[0]!.id}`] : []),
        ...(path === '/look-back/:table'
          ? ['/look-back/reached-language.csv', '/look-back/wear-kits.csv']
          : []),
        ...(path === '/scan' ? ['/scan?q=arroyo', `/scan?q=${copies[0]!.linkKey}`] : []),
        ...(path === '/choose/compare'
          ? [`/choose/compare?a=variant:${variants[0]!.id}&b=variant:${variants[1]!.id}`]
          : []),
        ...(path === '/choose/:gameId' ? [`/choose/${variants[0]!.gameId}?variant=${variants[0]!.id}`] : []),
      ]);
    const secrets = [
      ...families.map(({ name }) => name),
      ...copies.flatMap(({ tag, linkKey }) => [tag, linkKey]),
      ...answers.map(({ answer }) => answer.childDid).filter(Boolean),
      ...answers.flatMap(({ games: each }) => each.map(({ childSaid }) => childSaid)).filter(Boolean),
      ...games.map(({ definition }) => definition.name.en),
      'A secret pack',
      'A secret hand-out',
      'A secret evening',
      'Ilaria',
    ];
    const { page } = await visitor();
    await signIn(page, 'Soren', 'lamp-and-ladder');
    const before = await rowsOf(at.schoolId);
    for (const path of asked) {
      const answer = await page.request.get(path, { maxRedirects: 0 });
      const text = (await answer.body()).toString('latin1');
      // What was asked is said again in the answer; nothing else may be there.
      const told = secrets.filter((secret) => text.includes(secret) && !path.includes(secret));
      expect([path, told]).toEqual([path, []]);
      if (Object.values(ids).some((list) => list.some((id) => path.split('?')[0]!.includes(id))))
        expect([path, answer.status()]).toEqual([path, 404]);
    }
    const [offer] = await offers(demo.sister);
    const [shown] = await shownByUs(at);
    const short = await listShortages(at);
    const kit = (await findKit(at, kits[0]!.id))!;
    const fields = {
      copy: short[0]?.copyId ?? copies[0]!.id,
      family: families[0]!.id,
      loan: out[0]!.id,
      person: maren,
      variant: variants[0]!.id,
      variantIds: kit.variants[0]!.id,
      run: copies[0]!.buildRunId,
      batch: copies[0]!.buildRunId,
      step: 'check',
      from: copies[0]!.id,
      into: copies[1]!.id,
      what: 'clean',
      answer: answers[0]!.answer.id,
      shared: shown!.id,
      school: at.schoolId,
      dueOn: '2027-01-04',
      name: 'Taken over',
      ageBand: 'g1',
      players: '3',
      paper: 'a4',
      assurance: 'usual',
      version: '1',
      copies: '1',
      formKey: crypto.randomUUID(),
      definition: JSON.stringify(games[0]!.definition),
      language: 'es',
      role: 'coordinator',
      ':pencil': '0',
    };
    const intents = [
      '',
      'undo',
      'archive',
      'build',
      'undoBuild',
      'stopFollowing',
      'forget',
      'due',
      'slip',
      'read',
      'unread',
      'draw',
      'stop',
      'mark',
      'noMark',
      'link',
      'end',
      'admit',
      'open',
      'make',
      'appoint',
      'dismiss',
      'give',
      'hide',
    ];
    let sent = 0;
    for (const path of paths.filter(
      (one) => !/sign-out|sign-in|set-up|forgotten|new-password|\.(json|pdf|svg|csv)/.test(one),
    ))
      for (const intent of intents) {
        // As the pages send it themselves: the action alone, and nothing drawn.
        const [where, query] = path.split('?');
        const answer = await page.request.post(
          `${where === '/' ? '/_root' : where}.data${query ? '?index' : ''}`,
          {
            form: intent ? { ...fields, intent } : fields,
            headers: { Origin: ADDRESS },
            maxRedirects: 0,
          },
        );
        if (answer.status() !== 405) sent++;
      }
    expect(sent).toBeGreaterThan(500);
    expect(offer).toBeDefined();
    expect(await rowsOf(at.schoolId)).toEqual(before);
  }, 300_000);

  it('is gone into, made, given to and filled by whoever coordinates the district', async () => {
    const { at, sister } = demo;
    const { page, context, complaints } = await visitor({ expected: /409|400/ });
    await signIn(page, 'Runa', 'tide-and-timber');
    await open(page, '/district');
    await page.getByRole('heading', { name: 'Schools of the ferry towns' }).waitFor();
    await expectAccessible(page);
    // A school of a name that is there is not made; another one is.
    await page.getByLabel('Name of the school').fill('Lantern Hill Elementary');
    await page.getByRole('button', { name: 'Make this school' }).click();
    await page.getByText('There is a school of this name in your district.').waitFor();
    await page.getByLabel('Name of the school').fill('Skua Point Elementary');
    const zone = page.getByRole('combobox', { name: 'Time zone' });
    await zone.click();
    await zone.press('Control+a');
    await page.keyboard.type('halif');
    await page.getByRole('option', { name: 'America/Halifax' }).waitFor();
    await zone.press('ArrowDown');
    await zone.press('Enter');
    await expect.poll(() => zone.inputValue()).toBe('America/Halifax');
    await page.getByRole('button', { name: 'Make this school' }).click();
    await page.getByText('Skua Point Elementary is there.').waitFor();
    // What this school shows is given to the new one.
    await page.getByRole('link', { name: 'What schools share' }).first().click();
    await page.getByRole('heading', { name: 'What schools share' }).waitFor();
    await expectAccessible(page);
    await page.getByLabel('Give First splits to').selectOption({ label: 'Skua Point Elementary' });
    await page
      .getByRole('row', { name: /First splits/ })
      .getByRole('button', { name: 'Let it follow First splits' })
      .click();
    await page.getByText('Skua Point Elementary has it now.').waitFor();
    const [ferry] = await listOwnGames(at);
    await page.getByLabel('Share one more').selectOption({ label: 'Game of our own: Ferry Load' });
    await page.getByRole('button', { name: 'Share it with the district' }).click();
    await page.getByText('The other schools can take it now.').waitFor();
    expect((await shownByUs(at)).map(({ thingId }) => thingId)).toContain(ferry!.id);
    // Two baskets go up the hill.
    await open(page, '/district/move');
    await expectAccessible(page);
    const going = (await listCopies(at)).filter((copy) => !copy.loan && copy.readyAt).slice(0, 2);
    await page.getByLabel('They go to').selectOption({ label: 'Lantern Hill Elementary' });
    await page.getByRole('button', { name: 'Move the ticked copies' }).click();
    await page.getByText('Tick the copies that go there.').waitFor();
    for (const copy of going)
      await page
        .getByRole('checkbox', { name: new RegExp(copy.tag.slice(0, 4)) })
        .evaluate((box: HTMLInputElement) => box.click());
    await page.getByLabel('They go to').selectOption({ label: 'Lantern Hill Elementary' });
    await page.getByRole('button', { name: 'Move the ticked copies' }).click();
    await page.getByText('belong to Lantern Hill Elementary now').waitFor();
    const there = (await listCopies(sister)).map(({ tag }) => tag);
    for (const { tag } of going) expect(there).toContain(tag);
    // In another tab the school up the hill is opened: the page that was left says so and does nothing.
    await open(page, '/lend/families/new');
    await page.getByLabel('Family name').fill('Family Halfway');
    const other = await context.newPage();
    await open(other, '/schools');
    await expectAccessible(other);
    await other.getByRole('button', { name: 'Open this school: Lantern Hill Elementary' }).click();
    await other.waitForURL('**/today');
    await open(other, '/lend/families');
    await other.getByText('Family Larkspur').waitFor();
    expect(await other.getByText('Family Brackwater').count()).toBe(0);
    await page.getByText('This page is of Kittiwake Bay Elementary').waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Open Kittiwake Bay Elementary again' }).click();
    await page.waitForURL('**/today');
    await open(page, '/lend/families/new');
    expect(await page.getByLabel('Family name').inputValue()).toBe('Family Halfway');
    await page.getByRole('button', { name: 'Add this family' }).click();
    await page.waitForURL('**/lend/families?added=**');
    expect((await listFamilies(at)).map(({ name }) => name)).toContain('Family Halfway');
    expect((await listFamilies(sister)).map(({ name }) => name)).not.toContain('Family Halfway');
    expect(complaints).toEqual([]);
  }, 300_000);

  it('takes what another one shows, and sees where a basket of another one belongs', async () => {
    const { at, sister } = demo;
    const { page, complaints } = await visitor({ expected: /403|404/ });
    const id = await addOwnGame(
      at,
      { ...newOwnGame(), name: { en: 'Lamp path', es: 'Senda' } },
      (await findPersonByName('Maren'))!.id,
    );
    expect(id).toBeDefined();
    await signIn(page, 'Soren', 'lamp-and-ladder');
    expect((await page.request.get('/district')).status()).toBe(403);
    await open(page, '/district/shared');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Follow Rainy afternoon' }).click();
    await page.getByText('It is in Lantern Hill Elementary now.').waitFor();
    await page.getByRole('link', { name: 'Rainy afternoon' }).click();
    await page.getByText('This kit is changed there').waitFor();
    expect(await page.getByRole('link', { name: 'Change this kit' }).count()).toBe(0);
    await page.getByRole('button', { name: 'Stop following' }).click();
    await page.getByRole('link', { name: 'Change this kit' }).waitFor();
    const [copy] = await listCopies(at);
    const scanned = (await (await page.request.get(`/scan?q=${copy!.tag}`)).json()) as { problem: string };
    expect(scanned.problem).toContain('belongs to Kittiwake Bay Elementary');
    expect((await listKits(sister)).map(({ name }) => name)).toContain(
      'Rainy afternoon (Kittiwake Bay Elementary)',
    );
    expect(complaints).toEqual([]);
  });
});
