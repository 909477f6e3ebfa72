/** What lies on the scale that stands in for a real one. */
import { type SchoolHandle } from '../db';
import { scaleReading } from '../schema';
import { ours } from './ours';

export interface Reading {
  grams: number;
  /** The step in which it shows grams. */
  resolutionG: number;
  at: Date;
}

export async function readScale(at: SchoolHandle): Promise<Reading | undefined> {
  const [found] = await at.select().from(scaleReading).where(ours(at, scaleReading));
  return found && { grams: found.grams, resolutionG: found.resolutionG, at: found.at };
}

/** Lays so many grams on it: it shows them in its steps. */
export async function putOnScale(at: SchoolHandle, grams: number, resolutionG: number): Promise<void> {
  const shown = Math.round(grams / resolutionG) * resolutionG;
  const values = { grams: Number(shown.toFixed(3)), resolutionG, at: new Date() };
  await at
    .insert(scaleReading)
    .values(values)
    .onConflictDoUpdate({ target: scaleReading.schoolId, set: values });
}
