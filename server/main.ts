/** The web server: security headers, the guard against foreign origins, static files, and the application. */
import { randomBytes, randomUUID } from 'node:crypto';
import { createRequestHandler } from '@react-router/express';
import compression from 'compression';
import express, { type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import type { ServerBuild } from 'react-router';
import { log } from './log.ts';

const port = Number(process.env.PORT ?? 4600);
const host = process.env.HOST ?? '127.0.0.1';
const build = (await import('../build/server/index.js' as string)) as ServerBuild;

const app = express();
app.disable('x-powered-by');
// Set TRUST_PROXY=1 when one HTTPS proxy stands in front: its X-Forwarded-* headers are then believed.
if (process.env.TRUST_PROXY) app.set('trust proxy', Number(process.env.TRUST_PROXY));

app.use((request, response, next) => {
  response.locals.requestId = randomUUID();
  response.locals.nonce = randomBytes(16).toString('base64');
  response.setHeader('X-Request-Id', response.locals.requestId as string);
  next();
});

const withNonce = (_: unknown, response: unknown): string =>
  `'nonce-${(response as Response).locals.nonce as string}'`;
app.use(
  helmet({
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
  }),
);
app.use((_request, response, next) => {
  response.setHeader('Permissions-Policy', 'camera=(), microphone=(), geolocation=(), payment=()');
  next();
});

/** Whatever changes something must come from a page of this server. */
app.use((request: Request, response: Response, next: NextFunction) => {
  if (request.method === 'GET' || request.method === 'HEAD') return next();
  const origin = request.get('origin');
  const own = `${request.protocol}://${request.get('host')}`;
  if (origin === own) return next();
  log.warn(
    { requestId: response.locals.requestId, origin, own, path: request.path },
    'refused a foreign origin',
  );
  response
    .status(403)
    .type('text/plain')
    .send(
      'This request did not come from a page of this school, so nothing was changed. Open the page anew and try again.',
    );
});

app.use(compression());
app.use('/assets', express.static('build/client/assets', { immutable: true, maxAge: '1y' }));
app.use(express.static('build/client', { maxAge: '1h', index: false }));
app.use((_request, response, next) => {
  // Pages hold family records: no shared cache may keep them.
  response.setHeader('Cache-Control', 'private, no-store');
  next();
});
app.use(
  createRequestHandler({
    build,
    mode: 'production',
    getLoadContext: (request, response) => ({
      requestId: response.locals.requestId as string,
      nonce: response.locals.nonce as string,
      clientAddress: request.ip ?? 'unknown',
    }),
  }),
);
app.use((error: unknown, request: Request, response: Response, _next: NextFunction) => {
  const status = (error as { status?: number }).status ?? 500;
  log.error({ requestId: response.locals.requestId, path: request.path, err: error }, 'request failed');
  if (response.headersSent) return response.end();
  response
    .status(status)
    .type('text/plain')
    .send(
      status < 500
        ? 'This request could not be read.'
        : `Something went wrong here. Nothing was lost. If it happens again, tell us this number: ${response.locals.requestId}`,
    );
});

const server = app.listen(port, host, (error?: Error) => {
  if (error) {
    log.fatal({ err: error }, 'cannot listen');
    process.exit(1);
  }
  log.info({ host, port }, 'listening');
});
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
}
