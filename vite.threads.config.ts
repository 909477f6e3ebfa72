import { defineConfig } from 'vite';

/** The threads of the server and the process that reads what comes from outside, built for plain Node beside it. */
export default defineConfig({
  resolve: { tsconfigPaths: true },
  publicDir: false,
  build: {
    ssr: true,
    outDir: 'build/threads',
    emptyOutDir: true,
    rollupOptions: {
      input: { worker: 'server/threads/worker.ts', reader: 'server/outside/reader.ts' },
      output: { entryFileNames: '[name].js' },
    },
  },
});
