/** A recording of a few seconds: taken in when it is one, and given out piece by piece as players ask for it. */
import { fileTypeFromBuffer } from 'file-type';
import parseRange from 'range-parser';
import { MOST_SECONDS } from '~/core/words/invitation';

const MOST_BYTES = 400_000;
/** What phones record. A film without pictures counts as sound. */
const KINDS: Readonly<Record<string, string>> = {
  'video/webm': 'audio/webm',
  'audio/webm': 'audio/webm',
  'audio/ogg': 'audio/ogg',
  'video/mp4': 'audio/mp4',
  'audio/mp4': 'audio/mp4',
  'audio/x-m4a': 'audio/mp4',
};

/** The recording in a form, or why it is none. */
export async function soundIn(
  file: unknown,
): Promise<{ ok: true; sound: Buffer; kind: string } | { ok: false; problem: string }> {
  const refuse = (problem: string) => ({ ok: false, problem }) as const;
  if (!(file instanceof File) || file.size === 0)
    return refuse('Nothing was recorded. Press once more and speak.');
  if (file.size > MOST_BYTES)
    return refuse(`This recording is too long. A line takes a few seconds, ${MOST_SECONDS} at most.`);
  const sound = Buffer.from(await file.arrayBuffer());
  const found = await fileTypeFromBuffer(sound).catch(() => undefined);
  const kind = found && KINDS[found.mime];
  return kind ? { ok: true, sound, kind } : refuse('This is not a recording that phones can play.');
}

/** A recording as players ask for it, whole or a part of it. */
export function soundResponse(request: Request, { sound, kind }: { sound: Buffer; kind: string }): Response {
  const headers = {
    'Content-Type': kind,
    'Accept-Ranges': 'bytes',
    'Cache-Control': 'private, max-age=3600',
    'X-Content-Type-Options': 'nosniff',
  };
  const asked = request.headers.get('Range');
  const ranges = asked ? parseRange(sound.length, asked) : undefined;
  if (ranges === -1)
    return new Response(null, {
      status: 416,
      headers: { ...headers, 'Content-Range': `bytes */${sound.length}` },
    });
  const range =
    Array.isArray(ranges) && ranges.type === 'bytes' && ranges.length === 1 ? ranges[0] : undefined;
  if (!range) return new Response(new Uint8Array(sound), { headers });
  return new Response(new Uint8Array(sound.subarray(range.start, range.end + 1)), {
    status: 206,
    headers: { ...headers, 'Content-Range': `bytes ${range.start}-${range.end}/${sound.length}` },
  });
}
