import { eq, type SQL } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import type { OneSchool } from '../db';

/** The rows of the school of a handle: said in every query, before PostgreSQL says it again. */
export const ours = (at: OneSchool, table: { schoolId: AnyPgColumn }): SQL => eq(table.schoolId, at.schoolId);
