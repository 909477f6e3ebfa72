import { defineConfig } from 'vitest/config';
export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: { include: ['core/**/*.test.ts', 'server/**/*.test.ts'], testTimeout: 120_000 },
});
