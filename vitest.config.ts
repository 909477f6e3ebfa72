import { defineConfig } from 'vitest/config';
import { LANES } from './scripts/lib/lanes.ts';

const shared = { resolve: { tsconfigPaths: true } };
/** Every processor takes part: nothing else waits while the tests run. */
const maxWorkers = '100%';

export default defineConfig({
  ...shared,
  test: {
    projects: [
      {
        ...shared,
        test: {
          name: 'unit',
          maxWorkers,
          // Pure functions share their modules: the shelf is read once by each worker, not once by each file.
          isolate: false,
          include: [
            'core/**/*.test.ts',
            'server/**/*.test.ts',
            'app/**/*.test.{ts,tsx}',
            'scripts/**/*.test.ts',
          ],
          testTimeout: 120_000,
        },
      },
      {
        ...shared,
        test: {
          name: 'database',
          include: ['data/**/*.test.ts', 'tests/database/**/*.test.ts'],
          setupFiles: ['tests/lane.ts'],
          // Each lane reads the application once, for all of its files.
          isolate: false,
          maxWorkers: LANES,
          testTimeout: 60_000,
          // Some begin a database server of their own.
          hookTimeout: 300_000,
        },
      },
      {
        ...shared,
        test: {
          name: 'probe',
          include: ['tests/probe/**/*.test.ts'],
          testTimeout: 240_000,
          hookTimeout: 300_000,
        },
      },
      {
        ...shared,
        test: {
          name: 'journeys',
          include: ['tests/journeys/**/*.test.ts'],
          setupFiles: ['tests/lane.ts'],
          // Each lane reads the application once, for all of its files.
          isolate: false,
          maxWorkers: LANES,
          testTimeout: 300_000,
          // A page under load takes longer than the second that polling is given otherwise.
          expect: { poll: { timeout: 30_000 } },
          hookTimeout: 300_000,
        },
      },
    ],
  },
});
