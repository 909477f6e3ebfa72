/** A picture made small: raster formats by their first bytes, upright, without the place it was taken at. */
import { fileTypeFromBuffer } from 'file-type';
import sharp from 'sharp';

/** More points than this are not seen on a screen. */
const MOST_SIDE = 1280;
/** A picture has at most so many points: a small file can unfold to a very large one. */
const MOST_POINTS = 60_000_000;
const SECONDS = 2;
/** Pictures made of points. What is drawn by rules (SVG) can ask for any amount of work. HEIC is read where it can be. */
const RASTER = new Set(['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/heic', 'image/heif']);

export interface SmallPicture {
  image: Uint8Array;
  width: number;
  height: number;
}

/** The picture made small; undefined for what is none, or none that can be read. What comes out holds its points and nothing else. */
export async function madeSmall(bytes: Buffer): Promise<SmallPicture | undefined> {
  const kind = await fileTypeFromBuffer(bytes).catch(() => undefined);
  if (!kind || !RASTER.has(kind.mime)) return undefined;
  try {
    const { data, info } = await sharp(bytes, { failOn: 'error', limitInputPixels: MOST_POINTS, pages: 1 })
      // Upright as the camera says; the mark that says so goes with all others.
      .rotate()
      .resize({ width: MOST_SIDE, height: MOST_SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 78 })
      .timeout({ seconds: SECONDS })
      .toBuffer({ resolveWithObject: true });
    return { image: new Uint8Array(data), width: info.width, height: info.height };
  } catch {
    return undefined;
  }
}
