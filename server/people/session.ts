/**
 * Who is signed in. The cookie holds a random token; the database holds its hash, so that neither a copy of the
 * database nor a second server process is a way in or out.
 */
import { createHash, randomBytes } from 'node:crypto';
import { createCookie, redirect } from 'react-router';
import {
  createSession,
  deleteSession,
  extendSession,
  findSchool,
  findSession,
  type Person,
} from '~/data/queries/people';
import type { Role } from '~/core/people/role';
import { notAllowed } from '../refusals';

const HOURS = 12;
const LIFETIME_MS = HOURS * 3_600_000;

const cookie = createCookie('fern', { httpOnly: true, sameSite: 'lax', path: '/' });
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const isHttps = (request: Request): boolean => new URL(request.url).protocol === 'https:';

async function tokenOf(request: Request): Promise<string | undefined> {
  const value: unknown = await cookie.parse(request.headers.get('Cookie'));
  return typeof value === 'string' ? value : undefined;
}

/** Starts a session; answers the headers that carry its cookie. */
export async function signIn(request: Request, personId: string): Promise<Headers> {
  const old = await tokenOf(request);
  if (old) await deleteSession(hashOf(old));
  const token = randomBytes(32).toString('base64url');
  await createSession({ tokenHash: hashOf(token), personId, expiresAt: new Date(Date.now() + LIFETIME_MS) });
  return new Headers({ 'Set-Cookie': await cookie.serialize(token, { secure: isHttps(request) }) });
}

/** Ends the session on the server and in the browser. */
export async function signOut(request: Request): Promise<Headers> {
  const token = await tokenOf(request);
  if (token) await deleteSession(hashOf(token));
  return new Headers({ 'Set-Cookie': await cookie.serialize('', { secure: isHttps(request), maxAge: 0 }) });
}

/** The person signed in, or undefined. A session that is used goes on. */
export async function whoIs(request: Request): Promise<Person | undefined> {
  const token = await tokenOf(request);
  if (!token) return undefined;
  const tokenHash = hashOf(token);
  const found = await findSession(tokenHash);
  if (!found) return undefined;
  const { expiresAt, ...person } = found;
  if (expiresAt.getTime() - Date.now() < LIFETIME_MS / 2)
    await extendSession(tokenHash, new Date(Date.now() + LIFETIME_MS));
  return person;
}

/**
 * The person signed in, who must have one of these roles. Throws a redirect to sign-in (or to the set-up of a
 * new school) for nobody, and a 403 for another role.
 */
export async function requireRole(request: Request, ...roles: Role[]): Promise<Person> {
  const person = await whoIs(request);
  if (!person) {
    if (!(await findSchool())) throw redirect('/set-up');
    const { pathname, search } = new URL(request.url);
    const back =
      request.method === 'GET' && !pathname.endsWith('.data')
        ? `?next=${encodeURIComponent(pathname + search)}`
        : '';
    throw redirect(`/sign-in${back}`);
  }
  if (!roles.includes(person.role)) throw notAllowed();
  return person;
}
