/** The door: passwords tried in every way, addresses that lead elsewhere, who may go where. */
import type { RouteConfigEntry } from '@react-router/dev/routes';
import { sql } from 'drizzle-orm';
import routes from '~/app/routes';

import { everything } from '../owner';
import { PASSWORD } from '../world';
import { many, type Field, type Row } from './field';
import { raw, Visitor } from './visitor';

const OPEN = /^\/(set-up|sign-in|sign-out|forgotten|new-password|p\/|own-game\.schema\.json)/;

const clean = (): Promise<unknown> => everything().execute(sql`truncate rate_limit`);

/** Wrong passwords at the same moment, under look-alike names, from many addresses of one network. */
export async function passwordsTried(field: Field, size: number): Promise<Row> {
  await field.begin();
  const lost: string[] = [];
  let tried = 0;
  let refused = 0;
  const [one, two] = field.servers.map(({ address }) => address) as [string, string];
  const attempt = async (address: string, name: string, from?: string): Promise<number> => {
    tried++;
    const { status } = await raw(address, {
      method: 'POST',
      path: '/sign-in',
      from,
      headers: { Origin: address, 'Content-Type': 'application/x-www-form-urlencoded' },
      body: new URLSearchParams({ name, password: 'wrong wrong wrong' }).toString(),
    });
    if (status === 429) refused++;
    return status;
  };
  /** How many of some tries were looked at at all: 401 means that a password was held against the hash. */
  const looked = (statuses: readonly number[]): number => statuses.filter((status) => status === 401).length;

  await clean();
  const atOnce = looked(await many(size, size, (i) => attempt(i % 2 ? one : two, 'Coordinator')));
  if (atOnce > 5) lost.push(`${atOnce} simultaneous tries were looked at`);

  await clean();
  const names = [
    'Coordinator',
    'COORDINATOR',
    'ＣＯＯＲＤＩＮＡＴＯＲ',
    ' coordinator ',
    'Coordinator\u200b',
    'coordi\u00adnator',
  ];
  const alike = looked(await many(Math.max(24, size / 4), 4, (i) => attempt(one, names[i % names.length]!)));
  if (alike > 5) lost.push(`${alike} tries under look-alike names were looked at`);

  await clean();
  const network = looked(
    await many(Math.max(24, size / 4), 4, (i) => attempt(one, 'Coordinator', `127.0.0.${2 + (i % 200)}`)),
  );
  if (network > 5) lost.push(`${network} tries from one network were looked at`);

  // Strangers from everywhere use up what there is; who has signed in in her browser before still comes in.
  await clean();
  const known = new Visitor(one);
  await known.signIn('Coordinator');
  await many(Math.max(60, size / 2), 6, (i) => attempt(one, 'Coordinator', `127.${1 + (i % 200)}.0.9`));
  const stranger = await attempt(one, 'Coordinator', '127.250.0.9');
  if (stranger !== 429) lost.push(`after many tries a stranger gets ${stranger}`);
  const again = await known.signIn('Coordinator', PASSWORD);
  if (again.status !== 302) lost.push(`the person herself was locked out: ${again.status}`);
  await clean();
  return { what: 'passwords tried', tried, refused, lost };
}

/** Addresses after signing in that lead elsewhere. */
export async function redirects(field: Field, size: number): Promise<Row> {
  await field.begin();
  const { address } = field.servers[0]!;
  const lost: string[] = [];
  const starts = [
    '//',
    '/.//',
    '/..//',
    '/%2e//',
    '/\\',
    '/.\\/',
    'http://',
    'https:/',
    '/\t/',
    '/./..//',
    '///',
    '\\\\',
    'javascript:',
    '/;@',
    '/?//',
    '/.%2f/',
  ];
  let tried = 0;
  for (let i = 0; i < size; i++) {
    const start = starts[i % starts.length]!;
    const next = `${start}elsewhere.invalid/x${i}`;
    const visitor = new Visitor(address);
    tried++;
    const answer = await visitor.post(`/sign-in?next=${encodeURIComponent(next)}`, {
      name: 'Helper',
      password: PASSWORD,
    });
    const to = answer.location ?? '/';
    if (new URL(to, address).origin !== address || /^\/[/\\]/.test(to))
      lost.push(`${JSON.stringify(next)} leads to ${to}`);
    const signedIn = await visitor.get(`/sign-in?next=${encodeURIComponent(next)}`);
    const there = signedIn.location ?? '/';
    if (new URL(there, address).origin !== address || /^\/[/\\]/.test(there))
      lost.push(`${JSON.stringify(next)} leads to ${there}`);
  }
  return { what: 'addresses that lead elsewhere after signing in', tried, lost };
}

/** Every route by every role and method: whoever may not, gets neither a page nor a change. */
export async function rolesEverywhere(field: Field): Promise<Row> {
  const world = await field.begin();
  const { address } = field.servers[0]!;
  const leaves = (entries: readonly RouteConfigEntry[], base = ''): string[] =>
    entries.flatMap((entry) => {
      const path = [base, entry.path].filter(Boolean).join('/');
      return entry.children ? leaves(entry.children, path) : [`/${path}`];
    });
  const lost: string[] = [];
  let tried = 0;
  let refused = 0;
  const nobody = new Visitor(address);
  const reader = await field.visitor('Reader');
  const count = async () =>
    (
      await everything().execute<{ n: string }>(
        sql`select (select count(*) from family) || ' ' || (select count(*) from loan) || ' ' || (select count(*) from copy) || ' ' || (select count(*) from person where active) || ' ' || (select count(*) from change) as n`,
      )
    ).rows[0]!.n;
  const before = await count();
  for (const route of leaves(routes)) {
    const path = route
      .replace(':gameId', 'two-tone-spill')
      .replace(':kitId', world.kitId)
      .replace(':familyId', world.families[0]!.id)
      .replace(':copyId', world.copies[0]!.id)
      .replace(':linkKey', world.copies[0]!.linkKey)
      .replace(/:\w+/, crypto.randomUUID())
      .replace('*', 'no/such');
    if (OPEN.test(path)) continue;
    for (const method of ['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'PATCH'])
      for (const [who, cookie] of [
        ['nobody', nobody.cookie],
        ['a reader', reader.cookie],
      ] as const) {
        tried++;
        const { status } = await raw(address, {
          method,
          path,
          headers: { Cookie: cookie, Origin: address, 'Content-Type': 'application/x-www-form-urlencoded' },
          body: method === 'POST' ? 'name=Intruder&language=en&reach=&allergens=&intent=end' : undefined,
        });
        const mayRead = who === 'a reader' && /^\/(word|me|schools|no|today)\b|^\/$/.test(path);
        if ([302, 403, 405, 404, 400, 410, 429].includes(status)) refused++;
        else if (!(mayRead && status === 200)) lost.push(`${who} ${method} ${path}: ${status}`);
      }
  }
  const after = await count();
  if (after !== before) lost.push(`something was changed: ${before} became ${after}`);
  return { what: 'roles × routes × methods', tried, refused, lost };
}

/** Passwords that were forgotten, and sessions that are ended. */
export async function passwordLinks(field: Field, size: number): Promise<Row> {
  const lost: string[] = [];
  let refused = 0;
  let tried = 0;
  for (let i = 0; i < size; i++) {
    const world = await field.begin();
    const coordinator = await field.visitor('Coordinator');
    const helper = await field.visitor('Helper', 1);
    // Two browsers ask in the name of the same person; the coordinator hears the number of one of them.
    const [asker, thief] = [new Visitor(helper.address), new Visitor(helper.address)];
    const numbers: string[] = [];
    for (const one of [asker, thief]) {
      await one.post('/forgotten', { name: 'Helper' });
      numbers.push(
        /(\d{3}) (\d{3})/
          .exec((await one.get('/forgotten')).text)
          ?.slice(1)
          .join('') ?? '',
      );
    }
    const say = (number: string) =>
      coordinator.post('/people', { intent: 'password', person: world.people.helper.id, number });
    if ((await say('100000')).status !== 409) lost.push('a number that nobody has was taken');
    const given = await say(numbers[0]!);
    if (given.text.includes('/new-password/')) lost.push('the coordinator is shown the way to set it');
    const path = (await asker.get('/forgotten')).location ?? '/none';
    if ((await thief.get('/forgotten')).status !== 200) lost.push('another browser may set it too');
    if ((await say(numbers[0]!)).status !== 409) lost.push('a number was taken twice');
    refused += 4;
    tried += 4;
    const set = { password: `another long password ${i}`, again: `another long password ${i}` };
    tried += 6;
    const uses = await Promise.all(
      field.servers.flatMap(({ address }) => [0, 1, 2].map(() => new Visitor(address).post(path, set))),
    );
    const good = uses.filter(({ status }) => status === 302).length;
    refused += uses.length - good;
    if (good !== 1) lost.push(`one link set a password ${good} times`);
    if ((await helper.get('/lend')).status === 200) lost.push('an old session outlived the new password');
    if ((await new Visitor(helper.address).signIn('Helper', PASSWORD)).status === 302)
      lost.push('the old password still opens');
    const anew = new Visitor(helper.address);
    if ((await anew.signIn('Helper', set.password)).status !== 302)
      lost.push('the new password does not open');
    const elsewhere = new Visitor(helper.address);
    await elsewhere.signIn('Helper', set.password);
    await anew.post('/me', { intent: 'endOthers' });
    if ((await elsewhere.get('/lend')).status !== 302) lost.push('a session that was ended goes on');
    if ((await anew.get('/lend')).status !== 200) lost.push('one’s own session was ended too');
  }
  return { what: 'new passwords and sessions that are ended', tried, refused, lost };
}
