/** The web application around the pages: security headers, the guard against foreign origins, files, health. */
import { randomBytes, randomUUID } from 'node:crypto';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import compression from 'compression';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { databaseState } from '~/data/db';
import { log, withoutKeys } from '../log';
import { sayTrouble } from './kind';

const withNonce = (_: unknown, response: unknown): string =>
  `'nonce-${(response as Response).locals.nonce as string}'`;

const headers = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'none'"],
      scriptSrc: ["'self'", withNonce],
      workerSrc: ["'self'"],
      styleSrcElem: ["'self'", withNonce],
      // Positions of pop-ups are style attributes; an attribute cannot load or run anything.
      styleSrcAttr: ["'unsafe-inline'"],
      imgSrc: ["'self'", 'data:'],
      fontSrc: ["'self'"],
      mediaSrc: ["'self'"],
      connectSrc: ["'self'"],
      manifestSrc: ["'self'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  // Not "no-referrer": a form sent without JavaScript would then carry "Origin: null" and be refused below.
  referrerPolicy: { policy: 'same-origin' },
  strictTransportSecurity: { maxAge: 31_536_000 },
  xFrameOptions: { action: 'deny' },
});

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);
/** Whether a request asks for this server by its name: the host of PUBLIC_URL, or this machine as it calls itself. */
function isOurs(host: string | undefined): boolean {
  if (!host || !URL.canParse(`http://${host}`)) return false;
  const { hostname, host: asked } = new URL(`http://${host}`);
  const own = process.env.PUBLIC_URL;
  return LOOPBACK.has(hostname) || (own !== undefined && URL.canParse(own) && asked === new URL(own).host);
}

/** Whether the server is on its way out: it says that it is not ready, and finishes what it has begun. */
export interface State {
  stopping: boolean;
}

/** Everything but the pages, which `answer` gives. */
export function webApp(
  answer: (request: Request, response: Response) => Promise<void>,
  state: State,
): Express {
  const app = express();
  app.disable('x-powered-by');
  // Set TRUST_PROXY=1 when one HTTPS proxy stands in front: its X-Forwarded-* headers are then believed.
  if (process.env.TRUST_PROXY) app.set('trust proxy', Number(process.env.TRUST_PROXY));
  app.use((request, response, next) => {
    response.locals.requestId = randomUUID();
    response.locals.nonce = randomBytes(16).toString('base64');
    response.setHeader('X-Request-Id', response.locals.requestId as string);
    // A fluent reader may say a line aloud; nothing else asks for a microphone.
    const microphone = request.path.startsWith('/read/') ? '(self)' : '()';
    // A phone at the desk in the hall may read labels with its camera.
    const camera = request.path === '/lend/hall' ? '(self)' : '()';
    response.setHeader(
      'Permissions-Policy',
      `camera=${camera}, microphone=${microphone}, geolocation=(), payment=()`,
    );
    if (state.stopping) response.setHeader('Connection', 'close');
    next();
  });
  app.use(headers);
  app.use((request, response, next) => {
    if (['GET', 'HEAD', 'POST'].includes(request.method)) return next();
    response.setHeader('Allow', 'GET, HEAD, POST');
    sayTrouble(request, response, 405, 'method');
  });

  /** Live: the process answers, and how long its thread kept anybody waiting since it was last asked. Ready: its database does too, and it is not being stopped. */
  const delay = monitorEventLoopDelay({ resolution: 10 });
  delay.enable();
  app.get('/healthz/live', (_request, response) => {
    const longestWaitMs = Math.max(0, Math.round(delay.max / 1e6) - 10);
    delay.reset();
    response.set('Cache-Control', 'no-store').json({ live: true, longestWaitMs });
  });
  app.get(['/healthz', '/healthz/ready'], async (_request, response) => {
    const database = await databaseState();
    const ready = database === 'ready' && !state.stopping;
    response
      .status(ready ? 200 : 503)
      .set('Cache-Control', 'no-store')
      .json({ live: true, ready, database, ...(state.stopping ? { stopping: true } : {}) });
  });

  /** A name that this server does not go by is somebody else's: links are made of it. */
  app.use((request, response, next) => {
    if (isOurs(request.get('host'))) return next();
    log.warn({ requestId: response.locals.requestId, event: 'foreign host' }, 'refused a foreign host');
    sayTrouble(request, response, 421, 'foreign');
  });

  /** Whatever changes something must come from a page of this server. */
  app.use((request, response, next) => {
    if (request.method !== 'POST') return next();
    const origin = request.get('origin');
    if (origin === `${request.protocol}://${request.get('host')}`) return next();
    log.warn(
      { requestId: response.locals.requestId, origin, path: withoutKeys(request.path) },
      'refused a foreign origin',
    );
    sayTrouble(request, response, 403, 'foreign');
  });

  app.use(compression());
  // What lets the desk in the hall go on without network is looked for anew each time.
  app.get('/hall-worker.js', (_request, response, next) => {
    response.setHeader('Cache-Control', 'no-cache');
    next();
  });
  app.use('/assets', express.static('build/client/assets', { immutable: true, maxAge: '1y' }));
  app.use(express.static('build/client', { maxAge: '1h', index: false, redirect: false }));
  app.use(async (request, response) => {
    // Pages hold family records: no shared cache may keep them.
    response.setHeader('Cache-Control', 'private, no-store');
    await answer(request, response);
  });
  app.use((error: unknown, request: Request, response: Response, _next: NextFunction) => {
    const status = (error as { status?: number }).status ?? 500;
    if (status >= 500)
      log.error(
        { requestId: response.locals.requestId, path: withoutKeys(request.path), err: error },
        'request failed',
      );
    sayTrouble(request, response, status, status < 500 ? 'unreadable' : 'failed');
  });
  return app;
}
