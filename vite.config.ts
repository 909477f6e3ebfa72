import { relative } from 'node:path';
import { reactRouter } from '@react-router/dev/vite';
import { defineConfig, type Plugin } from 'vite';

/** Fails the build when code of the server would reach a browser: a component used what only a loader may. */
const keepServerCodeHome: Plugin = {
  name: 'keep-server-code-home',
  applyToEnvironment: (environment) => environment.name === 'client',
  generateBundle(_, bundle) {
    for (const chunk of Object.values(bundle)) {
      if (chunk.type !== 'chunk') continue;
      const stray = Object.keys(chunk.modules).find((id) =>
        /^(data|server)\//.test(relative(process.cwd(), id)),
      );
      if (stray)
        this.error(`${relative(process.cwd(), stray)} would be sent to the browser in ${chunk.fileName}.`);
    }
  },
};

export default defineConfig(({ isSsrBuild }) => ({
  plugins: [reactRouter(), keepServerCodeHome],
  resolve: { tsconfigPaths: true },
  ssr: {
    noExternal: [
      // Its CommonJS build has no default export for Node's own modules.
      'styled-components',
      // Of these only a part is used: built in, they are read in a moment instead of file by file at every start.
      'react-aria-components',
      'react-aria',
      'react-stately',
      /^@react-(aria|stately|types)\//,
      /^@internationalized\//,
      'recharts',
      'lucide-react',
      'drizzle-orm',
      '@sinclair/typebox',
    ],
  },
  build: {
    assetsInlineLimit: 0,
    // The web server is built together with the pages: one program, and one pool of connections.
    ...(isSsrBuild ? { rollupOptions: { input: 'server/main.ts' } } : {}),
  },
}));
