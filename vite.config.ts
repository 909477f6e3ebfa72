import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [reactRouter()],
  resolve: { tsconfigPaths: true },
  // Its CommonJS build has no default export for Node's own modules.
  ssr: { noExternal: ['styled-components'] },
  build: { assetsInlineLimit: 0 },
});
