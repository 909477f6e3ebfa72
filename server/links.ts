/** The addresses of family pages. */
import { randomBytes } from 'node:crypto';

/** 128 random bits: nobody finds a family page by trying. */
export const newLinkKey = (): string => randomBytes(16).toString('base64url');

/** This server as others reach it: PUBLIC_URL where it is named, else the address in use now. */
const baseOf = (request: Request): string =>
  (process.env.PUBLIC_URL ?? new URL(request.url).origin).replace(/\/$/, '');

/** The address a phone opens. */
export function familyLink(request: Request, linkKey: string): string {
  return `${baseOf(request)}/p/${linkKey}`;
}

/** Whether a phone cannot open this address because it names this machine only. */
export const isLoopback = (link: string): boolean =>
  ['127.0.0.1', 'localhost', '[::1]'].includes(new URL(link).hostname);

/** A path of this server, or the first page for everything else: no address leads from here to another place. */
export function ownPath(next: string | null): string {
  if (!next || !/^\/(?![/\\])/.test(next) || /\p{Cc}|\\/u.test(next)) return '/';
  const url = new URL(next, 'http://here.invalid');
  const path = url.pathname + url.search;
  // "/.//elsewhere" is a path only until its dots are resolved.
  return url.origin === 'http://here.invalid' && /^\/(?![/\\])/.test(path) ? path : '/';
}

/** The address at which a person who has forgotten the password asks for another one. */
export const forgottenAt = (request: Request): string => `${baseOf(request)}/forgotten`;

/** 192 random bits: the link alone lets somebody read and say how a line should be worded. */
export const newReaderKey = (): string => randomBytes(24).toString('base64url');
/** The address at which a fluent reader reads. */
export const readerLinkOf = (request: Request, key: string): string => `${baseOf(request)}/read/${key}`;

/** The address at which a family answers a message; where nobody asks for a page, as the server is named. */
export const messageLink = (linkKey: string): string =>
  `${(process.env.PUBLIC_URL ?? `http://${process.env.HOST ?? '127.0.0.1'}:${process.env.PORT ?? 4600}`).replace(/\/$/, '')}/a/${linkKey}`;

/** The address of a table at which families tick themselves in. */
export const tableLinkOf = (request: Request, key: string): string => `${baseOf(request)}/in/${key}`;
