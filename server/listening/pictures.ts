/** A picture of a child's work as it is brought in: made small, turned upright, without the place it was taken at. */
import sharp from 'sharp';
import type { SchoolHandle } from '~/data/db';
import { daysAfter } from '~/core/lending/due';
import { calendarEntries, parted } from '~/data/queries/calendar';
import { today } from '../today';

export const MOST_PICTURE_BYTES = 8_000_000;
/** More points than this are not seen on a screen. */
const MOST_SIDE = 1280;
/** A picture has at most so many points: a small file can unfold to a very large one. */
const MOST_POINTS = 60_000_000;
/** Where the school has written down no term, a picture is kept for so long. */
const DAYS_WITHOUT_TERM = 120;

export type PictureReading =
  | { ok: true; picture?: { image: Buffer; width: number; height: number } }
  | { ok: false; why: 'picture.large' | 'picture.none' };

/** The picture in a form; none where none was chosen. What comes out holds its points and nothing else. */
export async function pictureIn(file: unknown): Promise<PictureReading> {
  if (!(file instanceof File) || file.size === 0) return { ok: true };
  if (file.size > MOST_PICTURE_BYTES) return { ok: false, why: 'picture.large' };
  try {
    const { data, info } = await sharp(Buffer.from(await file.arrayBuffer()), {
      failOn: 'error',
      limitInputPixels: MOST_POINTS,
      pages: 1,
    })
      // Upright as the camera says; the mark that says so goes with all others.
      .rotate()
      .resize({ width: MOST_SIDE, height: MOST_SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 78 })
      .toBuffer({ resolveWithObject: true });
    return { ok: true, picture: { image: data, width: info.width, height: info.height } };
  } catch {
    return { ok: false, why: 'picture.none' };
  }
}

/** The last day a picture of today is kept: the end of the term that is on, or of the next one. */
export async function pictureGoesOn(at: SchoolHandle): Promise<string> {
  const day = today(at);
  const { terms } = parted(await calendarEntries(at));
  const ends = terms.map(({ to }) => to).filter((to) => to >= day);
  return ends.sort()[0] ?? daysAfter(day, DAYS_WITHOUT_TERM);
}
