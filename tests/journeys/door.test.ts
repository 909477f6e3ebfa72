import { newOwnGame } from '~/core/own/definition';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import type { RouteConfigEntry } from '@react-router/dev/routes';
import routes from '~/app/routes';
import { ROLES, type Role } from '~/core/people/role';
import { closeDatabase } from '~/data/pools';
import { whoseDoor } from '~/data/queries/schools';
import { school } from '~/data/schema';
import { everything } from '../owner';
import { addOwnGame } from '~/data/queries/games';
import { lend } from '~/data/queries/lending';
import { startMaking } from '~/data/queries/making';
import { emptyDatabase, PASSWORD, smallSchool, type SmallSchool } from '../world';
import { ADDRESS, closeBrowser, expectAccessible, signInByHand as signIn, visitor, open } from './browser';

beforeEach(emptyDatabase);
afterAll(async () => {
  await closeBrowser();
  await closeDatabase();
});

const all: readonly Role[] = ROLES;
const desk: readonly Role[] = ['coordinator', 'helper'];
const words: readonly Role[] = ['coordinator', 'reader'];
const one: readonly Role[] = ['coordinator'];
const PUBLIC = 'public';

/** Who may read and who may send, for every route file there is. A route that is not here fails the test. */
const ACCESS: Record<
  string,
  { read?: readonly Role[] | typeof PUBLIC; send?: readonly Role[] | typeof PUBLIC }
> = {
  'routes/home.tsx': { read: all },
  'routes/today/today.tsx': { read: all },
  'routes/people/set-up.tsx': { read: PUBLIC, send: PUBLIC },
  'routes/people/sign-in.tsx': { read: PUBLIC, send: PUBLIC },
  'routes/sent-before.ts': { read: PUBLIC, send: PUBLIC },
  'routes/people/confirm.tsx': { read: all, send: all },
  'routes/people/sign-out.ts': { read: PUBLIC, send: PUBLIC },
  'routes/people/forgotten.tsx': { read: PUBLIC, send: PUBLIC },
  'routes/people/new-password.tsx': { read: PUBLIC, send: PUBLIC },
  'routes/people/me.tsx': { read: all, send: all },
  'routes/people/school.tsx': { read: one, send: one },
  'routes/people/schools.tsx': { read: all, send: all },
  // For coordinators of the district only: the first coordinator of an installation is one.
  'routes/district/overview.tsx': { read: one, send: one },
  'routes/district/shared.tsx': { read: one, send: one },
  'routes/district/move.tsx': { read: one, send: one },
  'routes/choose/shelf.tsx': { read: one },
  'routes/choose/bench.tsx': { read: one, send: one },
  'routes/choose/deck.tsx': { read: desk },
  'routes/choose/compare.tsx': { read: one },
  'routes/choose/own-new.tsx': { read: one, send: one },
  'routes/choose/own-import.tsx': { read: one, send: one },
  'routes/choose/own-edit.tsx': { read: one, send: one },
  'routes/choose/own-json.ts': { read: one },
  'routes/choose/own-schema.ts': { read: PUBLIC },
  'routes/fill/kits.tsx': { read: desk },
  'routes/fill/new.tsx': { read: one, send: one },
  'routes/fill/kit.tsx': { read: desk, send: one },
  'routes/fill/afternoon.tsx': { read: desk },
  'routes/fill/store.tsx': { read: desk },
  'routes/fill/store-count.tsx': { read: desk, send: desk },
  'routes/fill/store-import.tsx': { read: one, send: one },
  'routes/fill/store-item.tsx': { read: desk, send: desk },
  'routes/fill/store-add.tsx': { read: one, send: one },
  'routes/fill/store-about.tsx': { read: one, send: one },
  'routes/fill/store-csv.ts': { read: desk },
  'routes/fill/store-weigh.tsx': { read: desk, send: desk },
  'routes/fill/scale.tsx': { read: desk, send: desk },
  'routes/fill/scale-reading.ts': { read: desk },
  'routes/fill/runs.tsx': { read: desk },
  'routes/fill/run-new.tsx': { read: desk, send: desk },
  'routes/fill/run.tsx': { read: desk, send: one },
  'routes/fill/run-make.tsx': { read: desk, send: desk },
  'routes/fill/run-afternoon.tsx': { read: desk },
  'routes/word/games.tsx': { read: words },
  'routes/word/line.tsx': { read: words, send: words },
  'routes/word/proofs.tsx': { read: words, send: words },
  'routes/word/proof.tsx': { read: words },
  'routes/word/proof-pdf.ts': { read: words },
  'routes/word/out-and-in.tsx': { read: one, send: one },
  'routes/word/lines-file.ts': { read: one },
  'routes/word/readers.tsx': { read: one, send: one },
  'routes/read/reader.tsx': { read: PUBLIC, send: PUBLIC },
  'routes/read/voice.ts': { read: PUBLIC },
  'routes/play/voice.ts': { read: PUBLIC },
  'routes/word/voice.ts': { read: words, send: one },
  'routes/word/desk.tsx': { read: words, send: words },
  'routes/print/pack.tsx': { read: desk, send: desk },
  'routes/print/prices.tsx': { read: one, send: one },
  'routes/print/job.tsx': { read: desk, send: desk },
  'routes/print/job-pdf.ts': { read: desk },
  'routes/print/job-progress.ts': { read: desk },
  'routes/print/page-svg.tsx': { read: desk },
  'routes/print/calibration-pdf.ts': { read: desk },
  'routes/lend/calendar.tsx': { read: one, send: one },
  'routes/lend/calendar-ics.ts': { read: one },
  'routes/lend/desk.tsx': { read: desk, send: desk },
  'routes/lend/rules.tsx': { read: one, send: one },
  'routes/lend/waiting.tsx': { read: one, send: one },
  'routes/lend/messages.tsx': { read: one, send: one },
  'routes/lend/strips-pdf.ts': { read: desk },
  'routes/lend/cards-pdf.ts': { read: one },
  'routes/lend/tables.tsx': { read: desk, send: desk },
  'routes/lend/table-pdf.ts': { read: desk },
  'routes/lend/hall.tsx': { read: desk, send: desk },
  'routes/lend/hall-act.ts': { read: desk, send: desk },
  'routes/lend/rounds.tsx': { read: desk, send: one },
  'routes/lend/round.tsx': { read: desk, send: desk },
  'routes/lend/round-solve.ts': { read: one },
  'routes/lend/round-pdf.ts': { read: desk },
  'routes/lend/families.tsx': { read: one },
  'routes/lend/family-new.tsx': { read: one, send: one },
  'routes/lend/families-import.tsx': { read: one, send: one },
  'routes/lend/families-csv.ts': { read: one },
  'routes/lend/family.tsx': { read: one, send: one },
  'routes/take-back/out.tsx': { read: desk, send: desk },
  'routes/take-back/tasks.tsx': { read: desk, send: desk },
  'routes/take-back/verdict.ts': { read: desk },
  'routes/take-back/check.tsx': { read: desk, send: desk },
  'routes/people/staff-list.tsx': { read: one, send: one },
  'routes/listen/answers.tsx': { read: one, send: one },
  'routes/listen/slips.tsx': { read: one, send: one },
  'routes/listen/slip-bag.ts': { read: one },
  'routes/listen/texts.tsx': { read: one, send: one },
  'routes/listen/calls.tsx': { read: desk },
  'routes/listen/call.tsx': { read: desk, send: desk },
  'routes/listen/games.tsx': { read: one },
  'routes/listen/family.tsx': { read: one },
  'routes/listen/picture.ts': { read: one },
  'routes/look-back/wear.tsx': { read: one },
  'routes/look-back/copies.tsx': { read: one },
  'routes/look-back/play.tsx': { read: one },
  'routes/look-back/table-csv.ts': { read: one },
  'routes/look-back/report-pdf.ts': { read: one },
  'routes/lend/keeping.tsx': { read: one, send: one },
  'routes/lend/evenings.tsx': { read: desk, send: one },
  'routes/lend/rehearse.tsx': { read: desk },
  'routes/lend/looking.tsx': { read: desk },
  'routes/lend/rehearsing.tsx': { read: desk, send: desk },
  'routes/lend/evening.tsx': { read: one, send: one },
  'routes/lend/evening-clock.tsx': { read: desk },
  'routes/lend/evening-pdf.ts': { read: desk },
  'routes/lend/known-txt.ts': { read: one },
  'routes/look-back/overview.tsx': { read: one, send: one },
  'routes/look-back/copy.tsx': { read: desk, send: ['coordinator'] },
  'routes/not-found.tsx': { read: all, send: all },
  'routes/scan.ts': { read: desk },
  'routes/play/game.tsx': { read: PUBLIC },
  'routes/play/answer.tsx': { read: PUBLIC, send: PUBLIC },
  'routes/play/next.tsx': { read: PUBLIC, send: PUBLIC },
  'routes/play/table.tsx': { read: PUBLIC, send: PUBLIC },
  'routes/play/reply.tsx': { read: PUBLIC, send: PUBLIC },
};

interface Leaf {
  file: string;
  path: string;
  index: boolean;
}

function leaves(entries: readonly RouteConfigEntry[], base = ''): Leaf[] {
  return entries.flatMap((entry) => {
    const path = [base, entry.path].filter(Boolean).join('/');
    return entry.children
      ? leaves(entry.children, path)
      : [{ file: entry.file, path: `/${path}`, index: entry.index ?? false }];
  });
}

async function cookieOf(name: string): Promise<string> {
  const answer = await fetch(`${ADDRESS}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    headers: { Origin: ADDRESS },
    body: new URLSearchParams({ name, password: PASSWORD }),
  });
  expect(answer.status).toBe(302);
  return answer.headers.get('set-cookie')!.split(';')[0]!;
}

const send = (path: string, cookie = '', headers: Record<string, string> = {}) =>
  fetch(ADDRESS + path, {
    method: 'POST',
    redirect: 'manual',
    headers: { Origin: ADDRESS, Cookie: cookie, ...headers },
    body: new URLSearchParams({ nothing: '1' }),
  });

describe('who may go where', () => {
  it('holds for every route, for each role and for nobody', async () => {
    const world: SmallSchool = await smallSchool();
    const loan = await lend(world.at, {
      copyId: world.copies[0]!.id,
      familyId: world.families[0]!.id,
      lentOn: '2026-11-01',
      dueOn: '2026-11-22',
      personId: null,
    });
    const ownId = (await addOwnGame(
      world.at,
      { ...newOwnGame(), name: { en: 'Ferry Load', es: 'Carga' }, goal: { en: 'Load.', es: 'Suban.' } },
      world.people.coordinator.id,
    ))!;
    const run = await startMaking(world.at, {
      batches: [],
      helpers: 1,
      laminators: 1,
      cutters: 1,
      startedOn: '2026-11-01',
      startedBy: null,
      newTag: () => '',
      newLinkKey: () => '',
    });
    const fill = (path: string): string =>
      path
        .replace(':gameId', 'two-tone-spill')
        .replace(':kitId', world.kitId)
        .replace(':ownId', ownId)
        .replace(':material', 'cube')
        .replace(':runId', 'makingId' in run ? run.makingId : '')
        .replace(':familyId', world.families[0]!.id)
        .replace(':loanId', loan.ok ? loan.loanId : '')
        .replace(':copyId', world.copies[0]!.id)
        .replace(':table', 'wear.csv')
        .replace(':linkKey', world.copies[0]!.linkKey)
        .replace('*', 'no/such/page');
    const cookies: Record<string, string> = { nobody: '' };
    for (const role of ROLES) cookies[role] = await cookieOf(role);
    const list = leaves(routes);
    expect(list.map((leaf) => leaf.file).sort()).toEqual(Object.keys(ACCESS).sort());

    for (const { file, path, index } of list) {
      const access = ACCESS[file]!;
      const address = fill(path);
      const id = file.replace(/\.tsx?$/, '');
      for (const [who, cookie] of Object.entries(cookies)) {
        const may = (allowed: readonly Role[] | typeof PUBLIC | undefined): boolean =>
          allowed === PUBLIC || Boolean(allowed?.includes(who as Role));
        const told = `${who} at ${address}`;
        // The page, and its loader by itself: a loader that leans on its layout's check would show here.
        const page = await fetch(ADDRESS + address, { redirect: 'manual', headers: { Cookie: cookie } });
        const part = await fetch(
          `${ADDRESS}${address === '/' ? '/_root' : address}.data?_routes=${encodeURIComponent(id)}`,
          { redirect: 'manual', headers: { Cookie: cookie } },
        );
        const toDoor = page.headers.get('location')?.startsWith('/sign-in') ?? false;
        if (may(access.read))
          expect([told, page.status === 403, toDoor && who !== 'nobody']).toEqual([told, false, false]);
        else if (who === 'nobody') {
          expect([told, page.status, toDoor]).toEqual([told, 302, true]);
          expect([told, part.status === 200 && !(await part.text()).includes('/sign-in')]).toEqual([
            told,
            false,
          ]);
        } else {
          expect([told, page.status]).toEqual([told, 403]);
          expect([told, part.status]).toEqual([told, 403]);
        }
        if (!access.send || file.includes('sign-out')) continue;
        const sent = await send(address + (index ? '?index' : ''), cookie);
        const sentToDoor = sent.headers.get('location')?.startsWith('/sign-in') ?? false;
        if (may(access.send))
          expect([`send ${told}`, sent.status === 403, sentToDoor]).toEqual([`send ${told}`, false, false]);
        else if (who === 'nobody')
          expect([`send ${told}`, sent.status, sentToDoor]).toEqual([`send ${told}`, 302, true]);
        else expect([`send ${told}`, sent.status]).toEqual([`send ${told}`, 403]);
      }
    }
  });

  it('refuses what comes from another origin, or from none', async () => {
    const world = await smallSchool();
    const cookie = await cookieOf('coordinator');
    for (const headers of [{ Origin: 'http://elsewhere.invalid' }, { Origin: 'null' }]) {
      const answer = await send(`/fill/${world.kitId}`, cookie, headers);
      expect([answer.status, await answer.text()]).toEqual([
        403,
        expect.stringContaining('nothing was changed'),
      ]);
    }
    const answer = await fetch(`${ADDRESS}/lend`, {
      method: 'POST',
      headers: { Cookie: cookie },
      body: 'x=1',
    });
    expect(answer.status).toBe(403);
  });

  it('sends the headers that keep a browser safe', async () => {
    await smallSchool();
    const answer = await fetch(`${ADDRESS}/sign-in`);
    const policy = answer.headers.get('content-security-policy')!;
    const nonce = /'nonce-([^']+)'/.exec(policy)![1]!;
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toContain("script-src 'self' 'unsafe");
    const html = await answer.text();
    for (const [tag] of html.matchAll(/<(script|style)\b[^>]*>/g)) expect(tag).toContain(`nonce="${nonce}"`);
    expect(html.indexOf('<style')).toBeLessThan(html.indexOf('</head>'));
    expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
    expect(answer.headers.get('x-frame-options')).toBe('DENY');
    expect(answer.headers.get('referrer-policy')).toBe('same-origin');
    expect(answer.headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/);
    expect(answer.headers.get('cache-control')).toContain('no-store');
    expect(answer.headers.get('x-powered-by')).toBeNull();
  });

  it('keeps its cookie from scripts, and ends a session on the server', async () => {
    await smallSchool();
    const answer = await fetch(`${ADDRESS}/sign-in`, {
      method: 'POST',
      redirect: 'manual',
      headers: { Origin: ADDRESS },
      body: new URLSearchParams({ name: 'Helper', password: PASSWORD }),
    });
    expect(answer.headers.get('set-cookie')).toMatch(/HttpOnly; SameSite=Lax/);
    const cookie = answer.headers.get('set-cookie')!.split(';')[0]!;
    expect((await fetch(`${ADDRESS}/lend`, { redirect: 'manual', headers: { Cookie: cookie } })).status).toBe(
      200,
    );
    await send('/sign-out', cookie);
    expect((await fetch(`${ADDRESS}/lend`, { redirect: 'manual', headers: { Cookie: cookie } })).status).toBe(
      302,
    );
  });

  it('follows no address of elsewhere after signing in', async () => {
    await smallSchool();
    for (const next of [
      '//elsewhere.invalid/x',
      'http://elsewhere.invalid',
      '/\\elsewhere.invalid',
      '/.//elsewhere.invalid/x',
    ]) {
      const answer = await fetch(`${ADDRESS}/sign-in?next=${encodeURIComponent(next)}`, {
        method: 'POST',
        redirect: 'manual',
        headers: { Origin: ADDRESS },
        body: new URLSearchParams({ name: 'Helper', password: PASSWORD }),
      });
      expect(new URL(answer.headers.get('location')!, ADDRESS).origin).toBe(ADDRESS);
    }
  });
});

describe('the door', () => {
  it('sets up a school, once', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await open(page, '/');
    await page.getByRole('heading', { name: 'Set up your school' }).waitFor();
    await expectAccessible(page);
    await page.getByLabel('Name of the school').fill('Skua Point School');
    await page.getByLabel('Your name').fill('Ines');
    await page.getByLabel('Password', { exact: true }).fill('short');
    await page.getByLabel('The password again').fill('other');
    await page.getByRole('button', { name: 'Set up the school' }).click();
    await page.getByText('at least 12 characters, please').waitFor();
    await page.getByText('The two passwords are not the same.').waitFor();
    expect(await page.getByLabel('Name of the school').inputValue()).toBe('Skua Point School');
    expect(await whoseDoor()).toBeUndefined();
    await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
    await page.getByLabel('The password again').fill(PASSWORD);
    await page.getByText('A4').click();
    await page.getByRole('button', { name: 'Set up the school' }).click();
    // A school that has nothing yet is told with what it begins.
    await page.getByRole('heading', { name: 'Choose games for a first kit' }).waitFor();
    await page.getByRole('heading', { name: 'Write down your families' }).waitFor();
    await expectAccessible(page);
    const [made] = await everything().select().from(school);
    expect(made).toMatchObject({
      name: 'Skua Point School',
      paper: 'a4',
      languages: ['en', 'es'],
    });
    await open(page, '/set-up');
    await page.waitForURL('**/today');
    await page.getByRole('link', { name: /^Choose games/ }).click();
    await page.getByRole('heading', { name: 'Choose a game' }).waitFor();
    // Designed empty states on the way.
    for (const [path, title] of [
      ['/fill', 'No kit yet'],
      ['/lend', 'Every copy is out'],
      ['/take-back', 'No copy is out'],
      ['/listen', 'Nobody has answered yet'],
      ['/look-back', 'Nothing to mend'],
      ['/lend/families', 'No family yet'],
      ['/print', 'Every pack is printed'],
    ] as const) {
      await open(page, path);
      await page.getByRole('heading', { name: title }).waitFor();
      await expectAccessible(page);
    }
    expect(complaints).toEqual([]);
  });

  it('lets nobody in with a wrong password, and says when to wait', async () => {
    await smallSchool();
    const { page, complaints } = await visitor({ expected: /40[01]|429/ });
    await open(page, '/lend?copy=K7M4R');
    await page.waitForURL('**/sign-in?next=**');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByText('Name must not be empty.').waitFor();
    for (let attempt = 0; attempt < 5; attempt++) {
      await page.getByLabel('Name').fill('Helper');
      await page.getByLabel('Password').fill(`wrong ${attempt}`);
      const answered = page.waitForResponse((response) => response.request().method() === 'POST');
      await page.getByRole('button', { name: 'Sign in' }).click();
      await answered;
    }
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByText('Too many tries').waitFor();
    expect(complaints).toEqual([]);
  });

  it('shows designed pages for what is not there, not allowed, or broken', async () => {
    await smallSchool();
    const { page, complaints } = await visitor({ expected: /40[34]/ });
    await signIn(page, 'Reader');
    await page.waitForURL('**/today');
    await open(page, '/choose/two-tone-spill');
    await page.getByRole('heading', { name: 'This is not open to you' }).waitFor();
    await expectAccessible(page);
    await open(page, '/word/no-such-game');
    await page.getByRole('heading', { name: 'This game is not here' }).waitFor();
    await open(page, '/no/such/page');
    await page.getByRole('heading', { name: 'This page is not here' }).waitFor();
    expect(await page.content()).not.toMatch(/at .*\.(ts|js):\d+/);
    expect(complaints).toEqual([]);
  });

  it('lets the coordinator add people and end their access', async () => {
    await smallSchool();
    const { page, complaints } = await visitor({ expected: /400|409/ });
    await signIn(page);
    await page.getByRole('link', { name: 'Coordinator' }).click();
    await page.getByLabel('Name', { exact: true }).fill('Helper');
    await page.getByLabel('Password', { exact: true }).fill('short');
    await page.getByRole('button', { name: 'Add this person' }).click();
    await page.getByText('at least 12 characters, please').waitFor();
    await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
    await page.getByRole('button', { name: 'Add this person' }).click();
    await page.getByText('Somebody called “Helper” is here already.').waitFor();
    await page.getByLabel('Name', { exact: true }).fill('Ruut');
    await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
    await page.getByRole('button', { name: 'Add this person' }).click();
    await page.getByText('Ruut can sign in now.').waitFor();
    await expectAccessible(page);
    const ruut = await visitor({ expected: /400/ });
    await signIn(ruut.page, 'Ruut');
    // The password was chosen by somebody else: nothing opens before it is Ruut's own.
    await ruut.page.getByText('The one you signed in with was chosen by somebody else.').waitFor();
    await ruut.page.goto('/lend');
    await ruut.page.waitForURL('**/me?first=1');
    const own = 'ropes and gulls at noon';
    const retype = async (word: string): Promise<void> => {
      await ruut.page.getByLabel('Password now').fill(PASSWORD);
      await ruut.page.getByLabel('New password', { exact: true }).fill(word);
      await ruut.page.getByLabel('The new password again').fill(word);
      await ruut.page.getByRole('button', { name: 'Change the password' }).click();
    };
    await retype(PASSWORD);
    await ruut.page.getByText('This is the password you have now.').waitFor();
    await retype('password1234');
    await ruut.page.getByText('on the lists that are tried first').waitFor();
    await expectAccessible(ruut.page);
    await ruut.page.getByLabel('Show what is typed').first().check();
    await retype(own);
    await ruut.page.getByText('Your new password holds from now on.').waitFor();
    await ruut.page.goto('/today');
    await ruut.page.getByRole('heading', { name: /what there is to do, Ruut/ }).waitFor();
    await page.getByRole('button', { name: 'End this access: Ruut' }).click();
    await page.getByText('They can no longer sign in.').waitFor();
    await ruut.page.goto('/lend');
    await ruut.page.waitForURL('**/sign-in**');
    // A name that is free again can be used by the next one.
    await page.getByLabel('Name', { exact: true }).fill('ruut');
    await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
    await page.getByRole('button', { name: 'Add this person' }).click();
    await page.getByText('ruut can sign in now.').waitFor();
    await page.getByRole('button', { name: 'End this access: Coordinator' }).click();
    await page.getByText('A school needs a coordinator').waitFor();
    expect([...complaints, ...ruut.complaints]).toEqual([]);
  });

  it('lets a fluent reader check words and nothing else', async () => {
    await smallSchool();
    const { page, complaints } = await visitor();
    await signIn(page, 'Reader');
    await open(page, '/word');
    await page.getByRole('link', { name: 'Two-Tone Spill' }).first().click();
    const line = page.getByRole('listitem').filter({ hasText: 'Separen las fichas por color' });
    await line.getByText('It is right').click();
    await page.getByRole('button', { name: 'Save what was checked' }).first().click();
    await page.getByText('1 line was noted.').waitFor();
    await expectAccessible(page);
    expect(await page.getByRole('navigation', { name: 'Stations' }).getByRole('link').count()).toBe(1);
    expect(complaints).toEqual([]);
  });
});
