/** Building and serving the web application. */
import { type ChildProcess, spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { HALL_CACHE } from '../../app/desk/hallCache.ts';
import { writeNotices } from './notices.ts';
import { Trouble } from './say.ts';
import { run } from './system.ts';
import { generateSW, type GenerateSWOptions } from 'workbox-build';
import { serverUrl } from './url.ts';
import { waiting } from './waiting.ts';

const SOURCES = [
  'core',
  'data',
  'server',
  'app',
  'public',
  'scripts/lib/web.ts',
  'scripts/lib/notices.ts',
  'package-lock.json',
  'vite.config.ts',
  'vite.threads.config.ts',
  'react-router.config.ts',
  'tsconfig.json',
];

function fingerprint(): string {
  const hash = createHash('sha256');
  const add = (path: string): void => {
    if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) add(join(path, name));
    else if (!path.includes('.test.')) hash.update(path).update(readFileSync(path));
  };
  SOURCES.forEach(add);
  return hash.digest('hex');
}

const WRITE_SHELF = `
import { writeFileSync } from 'node:fs';
import { shelf } from './build/threads/worker.js';
writeFileSync('build/threads/shelf.json', JSON.stringify(shelf()));
`;

/**
 * What lets the desk in the hall go on without network: its page and what the page is made of are kept by the page itself,
 * and answered from there when the network does not.
 */
const HALL_WORKER: GenerateSWOptions = {
  swDest: 'build/client/hall-worker.js',
  globDirectory: 'build/client',
  globPatterns: [],
  inlineWorkboxRuntime: true,
  sourcemap: false,
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      urlPattern: ({ request, url }) => request.mode === 'navigate' && url.pathname === '/lend/hall',
      handler: 'NetworkFirst',
      // The way to the sign-in page is no page to keep.
      options: {
        cacheName: HALL_CACHE,
        networkTimeoutSeconds: 4,
        cacheableResponse: { statuses: [200] },
        // Not longer than a session that nobody uses.
        expiration: { maxAgeSeconds: 12 * 3600 },
      },
    },
    {
      urlPattern: ({ url }) => url.pathname.startsWith('/assets/'),
      handler: 'CacheFirst',
      options: { cacheName: HALL_CACHE, cacheableResponse: { statuses: [200] } },
    },
  ],
};

/** Builds when the sources have changed since the last build. */
export async function ensureBuild(): Promise<void> {
  const stamp = join('build', '.sources');
  const now = fingerprint();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  const env = { ...process.env, NODE_ENV: 'production' };
  await run(process.execPath, ['node_modules/@react-router/dev/bin.js', 'build'], { env });
  await generateSW(HALL_WORKER);
  const threads = ['node_modules/vite/bin/vite.js', 'build', '--config', 'vite.threads.config.ts'];
  await run(process.execPath, threads, { env });
  // What the shelf says of its games follows from the code alone: it is reckoned here and never again.
  await run(process.execPath, ['--input-type=module', '--eval', WRITE_SHELF], { env });
  await writeNotices('build/client/third-party-licences.txt');
  mkdirSync('build', { recursive: true });
  writeFileSync(stamp, now);
}

const isFree = (port: number): Promise<boolean> =>
  new Promise((done) => {
    const probe = createServer();
    probe.on('error', () => done(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });

/** `first`, or the next port after it that nobody listens on. */
export async function freePortFrom(first: number): Promise<number> {
  for (let port = first; port < first + 200; port++) if (await isFree(port)) return port;
  throw new Trouble(
    `No free port between ${first} and ${first + 199}.`,
    'close a program that uses one of them.',
  );
}

export interface WebServer {
  address: string;
  pid: number;
  stop(): Promise<void>;
  /** Settles when the server ends by itself. */
  ended: Promise<number>;
}

/** Serves the built application on loopback and answers when it is ready. */
export async function serve(options: {
  port: number;
  /** The database, as the account that owns its tables comes to it. */
  databaseUrl: string;
  quiet?: boolean;
  env?: Record<string, string>;
}): Promise<WebServer> {
  const address = `http://127.0.0.1:${options.port}`;
  let log = '';
  const child: ChildProcess = spawn(process.execPath, ['build/server/index.js'], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: serverUrl(options.databaseUrl),
      // Who owns the tables, and who may read all of them, is no business of the server.
      DATABASE_OWNER_URL: undefined,
      BACKUP_URL: undefined,
      PORT: String(options.port),
      HOST: '127.0.0.1',
      ...options.env,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  for (const stream of [child.stdout, child.stderr]) {
    stream?.on('data', (data: Buffer) => {
      log = (log + data.toString()).slice(-8000);
      if (!options.quiet) process.stderr.write(data);
    });
  }
  const ended = new Promise<number>((done) => child.on('exit', (code) => done(code ?? 1)));
  const stop = async (): Promise<void> => {
    if (child.exitCode === null) child.kill('SIGTERM');
    await ended;
  };
  const awaited = waiting('the web server', child);
  while (child.exitCode === null && awaited.goOn()) {
    const ready = await fetch(`${address}/healthz`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (ready) return { address, pid: child.pid!, stop, ended };
    await new Promise((done) => setTimeout(done, 100));
  }
  const code = child.exitCode;
  await stop();
  throw new Trouble(
    `The web server did not start: ${code === null ? awaited.why() : `it ended with code ${code}`}.\n${log}`,
    'read the lines above.',
  );
}
