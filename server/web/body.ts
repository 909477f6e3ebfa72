/** What is sent to the server, read whole and held against limits before anything looks into it. */
import type { IncomingMessage } from 'node:http';
import type { Room } from './gate';

/** Fields of one form; the words desk has some hundred, a long summer of unread answers some thousand. */
const MOST_FIELDS = 5000;
/** What stands above the content of a part: its name and the name of a file. */
const MOST_HEADER_BYTES = 2000;
/** A body of at most so many bytes is taken apart once to see whether it can be; of a larger one its parts are looked at. */
const TRIED_BYTES = 200_000;

export type Body =
  { ok: true; bytes: Buffer } | { ok: false; status: 400 | 413 | 415; trouble: 'tooLarge' | 'unreadable' };

const URLENCODED = /^application\/x-www-form-urlencoded\b/i;
const MULTIPART = /^multipart\/form-data\b[^\r\n]{0,80}?boundary=("[^"\r\n]{1,70}"|[^\s;"]{1,70})/i;

const boundaryOf = (request: Pick<IncomingMessage, 'headers'>): string | undefined =>
  MULTIPART.exec(request.headers['content-type'] ?? '')?.[1]?.replace(/"/g, '');

/** More than words need: whoever brings so much is asked for more before it is read. */
const LONG_BYTES = 200_000;
/** Whether a request says that it brings more than words, or does not say how much it brings. */
export const bringsMuch = (request: IncomingMessage): boolean =>
  boundaryOf(request) !== undefined &&
  Number(request.headers['content-length'] ?? Number.POSITIVE_INFINITY) > LONG_BYTES;

/** Reads the body of a form. Stops reading as soon as it is larger than there is room for. */
export async function readBody(request: IncomingMessage, room: Room): Promise<Body> {
  const type = request.headers['content-type'] ?? '';
  const boundary = boundaryOf(request);
  if (!URLENCODED.test(type) && !boundary) return { ok: false, status: 415, trouble: 'unreadable' };
  const most = boundary ? room.files : room.form;
  const tooLarge = { ok: false, status: 413, trouble: 'tooLarge' } as const;
  const unreadable = { ok: false, status: 400, trouble: 'unreadable' } as const;
  if (Number(request.headers['content-length'] ?? 0) > most) return tooLarge;
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of request as AsyncIterable<Buffer>) {
    size += chunk.length;
    if (size > most) return tooLarge;
    chunks.push(chunk);
  }
  const bytes = Buffer.concat(chunks);
  if (boundary) {
    const parts = partsIn(bytes, boundary);
    if (parts === undefined) return unreadable;
    if (parts > MOST_FIELDS) return tooLarge;
  } else if (countOf(bytes, '&') > MOST_FIELDS) return tooLarge;
  if (size > TRIED_BYTES) return { ok: true, bytes };
  // A form that cannot be taken apart is refused here, once for every page.
  const readable = await new Response(new Uint8Array(bytes), { headers: { 'Content-Type': type } })
    .formData()
    .then(
      () => true,
      () => false,
    );
  return readable ? { ok: true, bytes } : unreadable;
}

/** How many parts a body has; undefined where it is not made of parts with short headers, from its first byte to its last. */
function partsIn(bytes: Buffer, boundary: string): number | undefined {
  const first = `--${boundary}`;
  if (!bytes.subarray(0, first.length).equals(Buffer.from(first))) return undefined;
  let at = first.length;
  for (let parts = 0; parts <= MOST_FIELDS; parts++) {
    const next = bytes.toString('latin1', at, at + 2);
    if (next === '--') return parts;
    if (next !== '\r\n') return undefined;
    const header = bytes.subarray(at, at + MOST_HEADER_BYTES).indexOf('\r\n\r\n');
    if (header < 0) return undefined;
    if (!/^\r\ncontent-disposition: *form-data; *name="/i.test(bytes.toString('latin1', at, at + header)))
      return undefined;
    // An empty part ends where its header does.
    const end = bytes.indexOf(`\r\n${first}`, at + header + 2);
    if (end < 0) return undefined;
    at = end + 2 + first.length;
  }
  return MOST_FIELDS + 1;
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
