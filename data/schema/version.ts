import { integer } from 'drizzle-orm/pg-core';

/** Counts the changes of a row, so that a form knows whether it shows what is stored. */
export const version = () => integer().notNull().default(1);
