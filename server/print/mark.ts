/** The school's own picture for its labels, as it is brought in. */
import sharp from 'sharp';

export const MAX_MARK_BYTES = 200_000;

/** First bytes of the pictures that can be printed. */
const KINDS: readonly { type: string; starts: readonly number[] }[] = [
  { type: 'image/png', starts: [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a] },
  { type: 'image/jpeg', starts: [0xff, 0xd8, 0xff] },
];

export type MarkReading = { ok: true; data: string } | { ok: false; problem: string };

/** On a label it is a few centimetres wide: more points than this are not seen. */
const MOST_SIDE = 1200;
/** A picture has at most so many points: a small file can unfold to a very large one. */
const MOST_POINTS = 16_000_000;

/**
 * A picture as a data address, known by its first bytes and not by its name. It is read to its end, and what is kept
 * is written anew: a damaged picture is refused here and not by the printer, and what a camera noted in it is gone.
 */
export async function readMark(bytes: Uint8Array): Promise<MarkReading> {
  if (bytes.length === 0) return { ok: false, problem: 'Choose a picture first.' };
  if (bytes.length > MAX_MARK_BYTES)
    return {
      ok: false,
      problem: `This picture has ${Math.ceil(bytes.length / 1000)} kB; a label has room for ${MAX_MARK_BYTES / 1000}. Save it smaller and choose it again.`,
    };
  const kind = KINDS.find(({ starts }) => starts.every((byte, i) => bytes[i] === byte));
  if (!kind) return { ok: false, problem: 'This is no PNG and no JPEG picture.' };
  const damaged: MarkReading = {
    ok: false,
    problem:
      'This picture is damaged or unusually large. Open it in a picture program, save it anew and choose it again.',
  };
  try {
    const picture = sharp(bytes, { failOn: 'warning', limitInputPixels: MOST_POINTS })
      .autoOrient()
      .resize({ width: MOST_SIDE, height: MOST_SIDE, fit: 'inside', withoutEnlargement: true });
    const written =
      kind.type === 'image/png'
        ? picture.toColourspace('srgb').png()
        : picture.toColourspace('srgb').jpeg({ quality: 90 });
    const data = await written.toBuffer();
    return { ok: true, data: `data:${kind.type};base64,${data.toString('base64')}` };
  } catch {
    return damaged;
  }
}
