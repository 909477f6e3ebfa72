import { defineConfig } from 'vite';

/** The threads of the server, built for plain Node beside it. */
export default defineConfig({
  resolve: { tsconfigPaths: true },
  publicDir: false,
  build: {
    ssr: 'server/threads/worker.ts',
    outDir: 'build/threads',
    emptyOutDir: true,
    rollupOptions: { output: { entryFileNames: 'worker.js' } },
  },
});
