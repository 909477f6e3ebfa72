/** What is sent to the server, read whole and held against limits before anything looks into it. */
import type { IncomingMessage } from 'node:http';

/** The largest body of a form, and of one that brings a file; a list of 2,000 families has less than a megabyte. */
const MOST_BYTES = 1_000_000;
const MOST_FILE_BYTES = 1_300_000;
/** All lines in one language, which come in on one page only, have some two megabytes. */
const LINES = { path: /^\/word\/out-and-in(\.data)?(\?|$)/, bytes: 3_300_000 };
/** The answer of a family may bring a picture, as large as a phone makes it. */
const PICTURE = { path: /^\/p\/[\w-]{22}\/answer(\.data)?(\?|$)/, bytes: 8_400_000 };
/** Fields of one form; the words desk has some hundred, a long summer of unread answers some thousand. */
const MOST_FIELDS = 5000;

export type Body =
  { ok: true; bytes: Buffer } | { ok: false; status: 400 | 413 | 415; trouble: 'tooLarge' | 'unreadable' };

const URLENCODED = /^application\/x-www-form-urlencoded\b/i;
const MULTIPART = /^multipart\/form-data\b.*boundary=("[^"]{1,70}"|[^\s;"]{1,70})/i;

/** Reads the body of a form. Stops reading as soon as it is larger than any form of ours. */
export async function readBody(request: IncomingMessage): Promise<Body> {
  const type = request.headers['content-type'] ?? '';
  const boundary = MULTIPART.exec(type)?.[1]?.replace(/"/g, '');
  if (!URLENCODED.test(type) && !boundary) return { ok: false, status: 415, trouble: 'unreadable' };
  const mostInFile =
    [LINES, PICTURE].find(({ path }) => path.test(request.url ?? ''))?.bytes ?? MOST_FILE_BYTES;
  const most = boundary ? mostInFile : MOST_BYTES;
  const tooLarge = { ok: false, status: 413, trouble: 'tooLarge' } as const;
  if (Number(request.headers['content-length'] ?? 0) > most) return tooLarge;
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of request as AsyncIterable<Buffer>) {
    size += chunk.length;
    if (size > most) return tooLarge;
    chunks.push(chunk);
  }
  const bytes = Buffer.concat(chunks);
  if (countOf(bytes, boundary ? `--${boundary}` : '&') > MOST_FIELDS) return tooLarge;
  // A form that cannot be taken apart is refused here, once for every page.
  const readable = await new Response(new Uint8Array(bytes), { headers: { 'Content-Type': type } })
    .formData()
    .then(
      () => true,
      () => false,
    );
  return readable ? { ok: true, bytes } : { ok: false, status: 400, trouble: 'unreadable' };
}

function countOf(bytes: Buffer, sign: string): number {
  let found = 0;
  for (
    let at = bytes.indexOf(sign);
    at >= 0 && found <= MOST_FIELDS;
    at = bytes.indexOf(sign, at + sign.length)
  )
    found++;
  return found;
}
