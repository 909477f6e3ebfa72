/** The school's own picture for its labels, as it is brought in. */
export const MAX_MARK_BYTES = 200_000;

/** First bytes of the pictures that can be printed. */
const KINDS: readonly { type: string; starts: readonly number[] }[] = [
  { type: 'image/png', starts: [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a] },
  { type: 'image/jpeg', starts: [0xff, 0xd8, 0xff] },
];

export type MarkReading = { ok: true; data: string } | { ok: false; problem: string };

/** A picture as a data address, known by its first bytes and not by its name. */
export function readMark(bytes: Uint8Array): MarkReading {
  if (bytes.length === 0) return { ok: false, problem: 'Choose a picture first.' };
  if (bytes.length > MAX_MARK_BYTES)
    return {
      ok: false,
      problem: `This picture has ${Math.ceil(bytes.length / 1000)} kB; a label has room for ${MAX_MARK_BYTES / 1000}. Save it smaller and choose it again.`,
    };
  const kind = KINDS.find(({ starts }) => starts.every((byte, i) => bytes[i] === byte));
  if (!kind) return { ok: false, problem: 'This is no PNG and no JPEG picture.' };
  return { ok: true, data: `data:${kind.type};base64,${Buffer.from(bytes).toString('base64')}` };
}
