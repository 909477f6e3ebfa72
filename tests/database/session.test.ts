import { sql } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { closeDatabase } from '~/data/pools';
import { session } from '~/data/schema';
import { requireRole, signIn, signOut, whoIs } from '~/server/people/session';
import { everything } from '../owner';
import { emptyDatabase, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
afterAll(closeDatabase);

const from = (cookie = '', url = 'http://school.invalid/lend?copy=K7M4R') =>
  new Request(url, { headers: { Cookie: cookie } });
const cookieIn = (headers: Headers): string => headers.get('Set-Cookie')!.split(';')[0]!;
/** What a refusal throws: its status and where it leads. */
const refusal = (work: Promise<unknown>) =>
  work.then(
    () => undefined,
    (thrown: { status?: number; init?: { status: number }; headers?: Headers }) => ({
      status: thrown.status ?? thrown.init?.status,
      to: thrown.headers?.get?.('Location') ?? undefined,
    }),
  );

describe('a session', () => {
  it('tells who it is, until it is signed out', async () => {
    const cookie = cookieIn((await signIn(from(), world.people.helper.id))!);
    expect(await whoIs(from(cookie))).toMatchObject({ name: 'Helper', role: 'helper' });
    await signOut(from(cookie));
    expect(await whoIs(from(cookie))).toBeUndefined();
    expect(await everything().$count(session)).toBe(0);
  });

  it('is Secure behind HTTPS, and HttpOnly always', async () => {
    const plain = (await signIn(from(), world.people.helper.id))!.get('Set-Cookie')!;
    const secure = (await signIn(from('', 'https://school.invalid/'), world.people.helper.id))!.get(
      'Set-Cookie',
    )!;
    for (const cookie of [plain, secure]) expect(cookie).toMatch(/HttpOnly; .*SameSite=Lax/);
    expect([plain, secure].map((cookie) => cookie.includes('Secure'))).toEqual([false, true]);
  });

  it('is replaced by a new sign-in of the same browser: the old token is worth nothing', async () => {
    const old = cookieIn((await signIn(from(), world.people.helper.id))!);
    const next = cookieIn((await signIn(from(old), world.people.coordinator.id))!);
    expect(await whoIs(from(old))).toBeUndefined();
    expect(await whoIs(from(next))).toMatchObject({ role: 'coordinator' });
  });

  it('goes on while it is used, and ends when it is not', async () => {
    const cookie = cookieIn((await signIn(from(), world.people.helper.id))!);
    await everything().execute(sql`update session set expires_at = now() + interval '1 hour'`);
    await whoIs(from(cookie));
    const { rows } = await everything().execute<{ hours: number }>(
      sql`select extract(epoch from expires_at - now()) / 3600 as hours from session`,
    );
    expect(Number(rows[0]!.hours)).toBeGreaterThan(11);
    await everything().execute(sql`update session set expires_at = now() - interval '1 second'`);
    expect(await whoIs(from(cookie))).toBeUndefined();
  });

  it('ends for a person who is no longer active', async () => {
    const cookie = cookieIn((await signIn(from(), world.people.helper.id))!);
    await everything().execute(sql`update person set active = false where name = 'Helper'`);
    expect(await whoIs(from(cookie))).toBeUndefined();
  });

  it('keeps no token that could be stolen from the database', async () => {
    const cookie = cookieIn((await signIn(from(), world.people.helper.id))!);
    const [row] = await everything().select().from(session);
    expect(row!.tokenHash).toMatch(/^[0-9a-f]{64}$/);
    expect(decodeURIComponent(cookie)).not.toContain(row!.tokenHash);
    expect(await whoIs(from(`fern=${row!.tokenHash}`))).toBeUndefined();
    expect(await whoIs(from('fern=%%%'))).toBeUndefined();
  });
});

describe('a role', () => {
  it('is asked for: nobody goes to the door and comes back, another role is refused', async () => {
    expect(await refusal(requireRole(from(), 'coordinator'))).toEqual({
      status: 302,
      to: '/sign-in?next=%2Flend%3Fcopy%3DK7M4R',
    });
    const cookie = cookieIn((await signIn(from(), world.people.reader.id))!);
    expect(await refusal(requireRole(from(cookie), 'coordinator', 'helper'))).toMatchObject({ status: 403 });
    expect(await requireRole(from(cookie), 'coordinator', 'reader')).toMatchObject({ name: 'Reader' });
  });

  it('of a school that is not set up leads to setting it up', async () => {
    await emptyDatabase();
    expect(await refusal(requireRole(from(), 'coordinator'))).toEqual({ status: 302, to: '/set-up' });
  });
});
