import { sql } from 'drizzle-orm';
import { check, type AnyPgColumn } from 'drizzle-orm/pg-core';

/** What must be true of a column that holds one of a few words: the database refuses any other. */
export const oneOf = (name: string, column: AnyPgColumn, words: readonly string[]) =>
  check(name, sql`${column} in (${sql.raw(words.map((word) => `'${word}'`).join(', '))})`);
