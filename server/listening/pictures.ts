/** A picture of a child's work as it is brought in, and for how long it is kept. */
import type { SchoolHandle } from '~/data/db';
import { daysAfter } from '~/core/lending/due';
import { calendarEntries, parted } from '~/data/queries/calendar';
import { readOutside, TooMuch } from '../outside';
import { today } from '../today';

export const MOST_PICTURE_BYTES = 8_000_000;
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
    const small = await readOutside('picture', new Uint8Array(await file.arrayBuffer()));
    if (!small) return { ok: false, why: 'picture.none' };
    return { ok: true, picture: { ...small, image: Buffer.from(small.image) } };
  } catch (error) {
    // Too much work is in no picture of a phone.
    if (error instanceof TooMuch) return { ok: false, why: 'picture.none' };
    throw error;
  }
}

/** The last day a picture of today is kept: the end of the term that is on, or of the next one. */
export async function pictureGoesOn(at: SchoolHandle): Promise<string> {
  const day = today(at);
  const { terms } = parted(await calendarEntries(at));
  const ends = terms.map(({ to }) => to).filter((to) => to >= day);
  return ends.sort()[0] ?? daysAfter(day, DAYS_WITHOUT_TERM);
}
