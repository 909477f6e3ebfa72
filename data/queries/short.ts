/** Copies that lack parts now. Only what was ever short is looked at again. */
import { sql } from 'drizzle-orm';
import { type SchoolHandle } from '../db';

/** What was ever short of a copy and a part, with the latest count of it. */
export const ever = (at: SchoolHandle, copyId?: string) => sql`
  (select distinct copy_id, material from part_count
   where school_id = ${at.schoolId} and (counted < expected or lacks <> '{}') ${copyId ? sql`and copy_id = ${copyId}` : sql``}) ever
  cross join lateral (
    select material, expected, counted, lacks from part_count p
    where p.school_id = ${at.schoolId} and p.copy_id = ever.copy_id and p.material = ever.material
    order by p.serial desc limit 1) last`;

/** Ids of copies that lack a part now, as a query to be part of another. */
export const shortCopies = (at: SchoolHandle) => sql`
  select distinct ever.copy_id from ${ever(at)} where last.counted < last.expected or last.lacks <> '{}'`;
