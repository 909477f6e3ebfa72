/** What was forgotten after a backup was written is in it: in what was restored it is forgotten again. */
import type pg from 'pg';
import { atSchool } from '~/data/db';
import { closeDatabase } from '~/data/pools';
import { forgetFamily } from '~/data/queries/families';
import { asked } from './dump';

interface Forgotten {
  id: string;
  schoolId: string;
  districtId: string;
  timeZone: string;
}

/** Families that are forgotten in a database. */
const forgottenIn = (url: string): Promise<Forgotten[]> =>
  asked(url, async (client: pg.Client) => {
    const { rows } = await client.query<Forgotten>(`
      select f.id, f.school_id as "schoolId", s.district_id as "districtId", s.time_zone as "timeZone"
      from family f join school s on s.id = f.school_id where f.forgotten_at is not null`);
    return rows;
  });

/**
 * Forgets in the restored database, which the server's role reaches at `server`, whom the database in use has forgotten.
 * Answers how many were, and how many have a bag there and cannot be forgotten yet.
 */
export async function forgetAgain(
  inUse: string,
  restored: { owner: string; server: string },
): Promise<{ forgotten: number; withBag: number }> {
  const [gone, already] = await Promise.all([forgottenIn(inUse), forgottenIn(restored.owner)]);
  const there = new Set(already.map(({ id }) => id));
  const before = process.env.DATABASE_URL;
  await closeDatabase();
  process.env.DATABASE_URL = restored.server;
  try {
    let [forgotten, withBag] = [0, 0];
    for (const { id, ...school } of gone) {
      if (there.has(id)) continue;
      if (await forgetFamily(atSchool(school), id)) forgotten++;
      else withBag++;
    }
    return { forgotten, withBag };
  } finally {
    await closeDatabase();
    if (before === undefined) delete process.env.DATABASE_URL;
    else process.env.DATABASE_URL = before;
  }
}
