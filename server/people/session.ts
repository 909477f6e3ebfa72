/**
 * Who is signed in. The cookie holds a random token; the database holds its hash, so that neither a copy of the
 * database nor a second server process is a way in or out.
 */
import { createHash, randomBytes } from 'node:crypto';
import { createCookie, redirect } from 'react-router';
import { atSchool, type SchoolHandle } from '~/data/db';
import { onlyReads } from '~/data/trouble';
import { boundTo, whoseDoor } from '~/data/queries/schools';
import {
  createSession,
  isKnownBrowser,
  rememberBrowser,
  deleteSession,
  extendSession,
  findSession,
  proveSession,
  type SignedIn,
} from '~/data/queries/sessions';
import type { Role } from '~/core/people/role';
import { passwordHashOf } from '~/data/queries/people';
import { ownPasswordRight, tryOwnPassword } from '../limits';
import { once } from '../once';
import { notAllowed } from '../refusals';
import { browserWords } from './browser';
import { passwordFits } from './password';
import { noteSecurity } from './security';

const HOURS = 12;
const LIFETIME_MS = HOURS * 3_600_000;
/** When a session was used last is known to so many milliseconds. */
const USED_MS = 600_000;

/** Where everybody changes their own password. */
const OWN_PAGE = '/me';

/** Over HTTPS a cookie says in its name that it is of this host alone: no other one can set it. */
const named = (name: string) => {
  const about = { httpOnly: true, sameSite: 'lax', path: '/' } as const;
  const [plain, hosts] = [createCookie(name, about), createCookie(`__Host-${name}`, about)];
  return (request: Request) => (isHttps(request) ? hosts : plain);
};
const isHttps = (request: Request): boolean => new URL(request.url).protocol === 'https:';
const cookie = named('fern');
/** A browser that signed somebody in is known for half a year: strangers' tries do not lock it out. */
const KNOWN_DAYS = 180;
const known = named('fern-known');
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
async function tokenOf(request: Request): Promise<string | undefined> {
  const value: unknown = await cookie(request).parse(request.headers.get('Cookie'));
  return typeof value === 'string' ? value : undefined;
}

/** Starts a session; answers the headers that carry its cookie, or undefined for somebody who is of no school any more. */
export async function signIn(request: Request, personId: string): Promise<Headers | undefined> {
  const old = await tokenOf(request);
  if (old) await deleteSession(hashOf(old));
  const token = randomBytes(32).toString('base64url');
  const begun = await createSession({
    tokenHash: hashOf(token),
    personId,
    expiresAt: new Date(Date.now() + LIFETIME_MS),
    browser: browserWords(request.headers.get('User-Agent')),
  });
  if (!begun) return undefined;
  const secure = isHttps(request);
  const headers = new Headers({ 'Set-Cookie': await cookie(request).serialize(token, { secure }) });
  const mark = randomBytes(32).toString('base64url');
  const maxAge = KNOWN_DAYS * 86_400;
  await rememberBrowser({
    tokenHash: hashOf(mark),
    personId,
    expiresAt: new Date(Date.now() + maxAge * 1000),
  });
  headers.append('Set-Cookie', await known(request).serialize(mark, { secure, maxAge }));
  return headers;
}

/** Whether this person has signed in in this browser before. */
export async function knowsBrowser(request: Request, personId: string): Promise<boolean> {
  const mark: unknown = await known(request).parse(request.headers.get('Cookie'));
  return typeof mark === 'string' && isKnownBrowser(hashOf(mark), personId);
}

/** The hash of the session that asks. */
export async function sessionHash(request: Request): Promise<string> {
  const token = await tokenOf(request);
  return token ? hashOf(token) : '';
}

/** Ends the session on the server and in the browser. */
export async function signOut(request: Request): Promise<Headers> {
  const token = await tokenOf(request);
  if (token) await deleteSession(hashOf(token));
  return new Headers({
    'Set-Cookie': await cookie(request).serialize('', { secure: isHttps(request), maxAge: 0 }),
    // Pages are nobody else's business. Drafts go before: the page that signs out throws them away, and keeps what was
    // scanned and could not be sent yet.
    'Clear-Site-Data': '"cache"',
  });
}

/** Somebody signed in, with the way to the rows of the school that is open to them. */
export type Signed = SignedIn & { at: SchoolHandle };

/** The person signed in, or undefined. A session that is used goes on. */
export async function whoIs(request: Request): Promise<Signed | undefined> {
  const token = await tokenOf(request);
  return token ? once(`session ${token}`, () => signedIn(hashOf(token))) : undefined;
}

async function signedIn(tokenHash: string): Promise<Signed | undefined> {
  const found = await findSession(tokenHash);
  if (!found) return undefined;
  const { expiresAt, usedAt, ...person } = found;
  if (expiresAt.getTime() - Date.now() < LIFETIME_MS / 2 || Date.now() - usedAt.getTime() > USED_MS)
    await extendSession(tokenHash, new Date(Date.now() + LIFETIME_MS)).catch((error: unknown) => {
      // What only reads goes on while nothing can be written.
      if (!onlyReads(error)) throw error;
    });
  return { ...person, at: atSchool(boundTo(person.school)) };
}

/**
 * The person signed in and their school, in which they must have one of these roles. Throws a redirect to sign-in (or to the set-up of a
 * new school) for nobody, and a 403 for another role.
 */
export async function requireRole(request: Request, ...roles: Role[]): Promise<Signed> {
  const person = await whoIs(request);
  if (!person) {
    if ((await whoseDoor()) === undefined) throw redirect('/set-up');
    const { pathname, search } = new URL(request.url);
    const back =
      request.method === 'GET' && !pathname.endsWith('.data')
        ? `?next=${encodeURIComponent(pathname + search)}`
        : '';
    throw redirect(`/sign-in${back}`);
  }
  // A password that somebody else chose is changed before anything else is done.
  if (person.passwordGiven && new URL(request.url).pathname !== OWN_PAGE)
    throw redirect(`${OWN_PAGE}?first=1`);
  if (!roles.includes(person.role)) {
    await noteSecurity(person.at, 'notAllowed', person.id);
    throw notAllowed();
  }
  return person;
}

/** The page a request was sent from, to come back to. */
function backOf(request: Request): string {
  const { pathname, search, host } = new URL(request.url);
  if (request.method === 'GET') return pathname.replace(/\.data$/, '') + search;
  const from = request.headers.get('referer');
  const page = from && URL.canParse(from) ? new URL(from) : undefined;
  return page?.host === host ? page.pathname + page.search : pathname.replace(/\.data$/, '');
}

/** The same, where it is asked whether it is still this person: for what takes something from others, or out of the school. */
export async function requireProven(request: Request, ...roles: Role[]): Promise<Signed> {
  const person = await requireRole(request, ...roles);
  askAgain(request, person);
  return person;
}
/** Sends on to where the password is asked for, unless it was typed a moment ago. */
export function askAgain(request: Request, { proven }: Signed): void {
  if (!proven)
    throw redirect(
      `/confirm?next=${encodeURIComponent(backOf(request))}${request.method === 'POST' ? '&sent=1' : ''}`,
    );
}

/**
 * The same for a form into which something was typed: it asks for the password itself, so that nothing typed is lost. A
 * sentence for its field where it was not typed a moment ago and does not stand in the form.
 */
export async function faultOfAgain(
  request: Request,
  person: Signed,
  form: FormData,
): Promise<string | undefined> {
  if (person.proven) return undefined;
  const password = form.get('confirm');
  return typeof password === 'string' && password
    ? confirmPassword(request, person, password)
    : 'Your password was not asked for ten minutes. Type it here once more; nothing was changed yet.';
}

/** Takes the password of who is signed in once more; a sentence where it is not theirs. */
export async function confirmPassword(
  request: Request,
  { id, at }: Signed,
  password: string,
): Promise<string | undefined> {
  const wait = await tryOwnPassword(id);
  if (wait) return `Too many tries. Please wait ${wait === 1 ? 'a minute' : `${wait} minutes`}.`;
  if (!(await passwordFits(password, await passwordHashOf(id)))) {
    await noteSecurity(at, 'confirmFailed', id);
    return 'This is not your password. Look at the capital letters and try again.';
  }
  await ownPasswordRight(id);
  await proveSession(await sessionHash(request));
  return undefined;
}

/** The person signed in, who must coordinate the district of their school. Throws as `requireRole` does. */
export async function requireDistrict(request: Request): Promise<Signed> {
  const person = await requireRole(request, 'coordinator');
  if (!person.ofDistrict) {
    await noteSecurity(person.at, 'notAllowed', person.id);
    throw notAllowed();
  }
  return person;
}
