/**
 * A form that is sent twice is done once: pressed twice, sent again by a browser whose connection broke, or by somebody
 * who went back. It carries a key (`FORM_KEY`); with its page, its sender and its content that makes a digest, which one
 * of all servers takes before anything is done.
 */
import { createHash } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { LRUCache } from 'lru-cache';
import { FORM_KEY } from '~/core/check/form-key';
import { formState, forgetForm, markDone, takeForm } from '~/data/queries/sent';

/** An answer as it can be given again. */
interface Kept {
  status: number;
  headers: [string, string][];
  body: Uint8Array<ArrayBuffer>;
}

/** Who sends again in the next moment is answered as the first time; later, or by another server, the page is shown. */
const KEPT_MS = 60_000;
const KEPT_BYTES = 8_000_000;
const LONGEST_KEPT = 100_000;
const answers = new LRUCache<string, Kept>({
  maxSize: KEPT_BYTES,
  sizeCalculation: ({ body }) => body.length + 1000,
  ttl: KEPT_MS,
});

/** So long is waited for the one that was first; it may be at another server. */
const LOOK_MS = 100;
const LONGEST_LOOK_MS = 7000;

/** The digest of what was sent; undefined where it carries no key. */
export function digestOf(request: Request, body: Buffer): string | undefined {
  if (!body.includes(FORM_KEY)) return undefined;
  const type = request.headers.get('content-type') ?? '';
  // Each sending of a file has another boundary.
  const boundary = /boundary="?([^";\s]{1,70})/i.exec(type)?.[1];
  const content = boundary ? body.toString('latin1').replaceAll(boundary, '') : body;
  const { pathname, search } = new URL(request.url);
  return createHash('sha256')
    .update(`${pathname}${search}\n${request.headers.get('cookie') ?? ''}\n`)
    .update(content)
    .digest('base64url');
}

/** Where the sender stands: the page that a form was on, else the address it was sent to. */
export function pageOf(request: Request): string {
  const url = new URL(request.url);
  const from = request.headers.get('referer');
  if (from && URL.canParse(from)) {
    const page = new URL(from);
    if (page.host === url.host) return page.pathname + page.search;
  }
  url.searchParams.delete('index');
  return url.pathname.replace(/\.data$/, '') + url.search;
}

export type Sent = { answer: Response } | { again: string } | 'unknown';

/**
 * Does `work` for what was sent, unless it was done before: then answers as before, or with the page to look at again;
 * `unknown` where it was begun and nobody can say how it ended. What was refused may be sent again.
 */
export async function doneOnce(
  request: Request,
  body: Buffer,
  work: () => Promise<Response>,
  failed: () => boolean,
): Promise<Sent> {
  const digest = digestOf(request, body);
  if (!digest) return { answer: await work() };
  for (const from = Date.now(); ; await pause(LOOK_MS)) {
    if (await takeForm(digest)) break;
    const state = await formState(digest);
    if (state === 'done') {
      const kept = answers.get(digest);
      return kept
        ? { answer: new Response(kept.body, { status: kept.status, headers: kept.headers }) }
        : { again: pageOf(request) };
    }
    if (state === 'lost' || Date.now() - from > LONGEST_LOOK_MS) return 'unknown';
  }
  const answer = await work();
  // Where the server itself failed, something may have been done.
  if (answer.status >= 500 || failed()) return { answer };
  if (answer.status >= 400) {
    await forgetForm(digest);
    return { answer };
  }
  const kept = await keepable(answer);
  if (kept.body.length <= LONGEST_KEPT) answers.set(digest, kept);
  await markDone(digest);
  return { answer: new Response(kept.body, { status: kept.status, headers: kept.headers }) };
}

const keepable = async (answer: Response): Promise<Kept> => ({
  status: answer.status,
  headers: [...answer.headers],
  body: new Uint8Array(await answer.arrayBuffer()),
});
