/** The kitchen scale. What any scale can do, and the stand-in that is played on a page of its own. */
import type { SchoolHandle } from '~/data/db';
import { readScale, type Reading } from '~/data/queries/scale';

export interface Scale {
  /** What lies on it, or undefined where there is no reading. */
  read(at: SchoolHandle): Promise<Reading | undefined>;
}

/** The scale of this installation: a real one is put in here. */
export const scale: Scale = { read: readScale };
