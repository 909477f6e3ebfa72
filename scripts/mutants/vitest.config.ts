/** The tests that are run against mutants: those of the core, or those of the database where one is given. */
import { defineConfig } from 'vitest/config';

const database = process.env.FERN_DATABASES !== undefined;

export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: {
    include: database ? ['tests/database/**/*.test.ts'] : ['core/**/*.test.ts', 'server/**/*.test.ts'],
    // What begins a database server of its own cannot do so from a copy of the sources.
    exclude: ['tests/database/backup.test.ts'],
    ...(database ? { setupFiles: ['tests/lane.ts'], isolate: false } : {}),
    testTimeout: 120_000,
    hookTimeout: 300_000,
  },
});
