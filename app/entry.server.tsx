import { PassThrough } from 'node:stream';
import { renderToPipeableStream } from 'react-dom/server';
import { ServerRouter, type AppLoadContext, type EntryContext, type HandleErrorFunction } from 'react-router';
import { ServerStyleSheet } from 'styled-components';
import { databaseTrouble, sqlState } from '~/data/trouble';
import { log, withoutKeys } from '~/server/log';
import { afterFamilies } from '~/server/web/first';
import { NonceContext } from './nonce';

/** Renders a page whole, so that its styles stand in the head of the first HTML. */
export default async function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  context: EntryContext,
  load: AppLoadContext,
): Promise<Response> {
  const sheet = new ServerStyleSheet({ nonce: load.nonce });
  let responseStatus = status;
  // To draw a page takes a while in one piece.
  if (!/^\/[pa]\//.test(new URL(request.url).pathname)) await afterFamilies();
  try {
    const html = await new Promise<string>((resolve, reject) => {
      const { pipe } = renderToPipeableStream(
        sheet.collectStyles(
          <NonceContext value={load.nonce}>
            <ServerRouter context={context} url={request.url} nonce={load.nonce} />
          </NonceContext>,
        ),
        {
          nonce: load.nonce,
          onAllReady() {
            const body = new PassThrough();
            const chunks: Buffer[] = [];
            body.on('data', (chunk: Buffer) => chunks.push(chunk));
            body.on('end', () => resolve(Buffer.concat(chunks).toString('utf8')));
            pipe(body);
          },
          onShellError: reject,
          onError(error) {
            responseStatus = 500;
            log.error(
              { requestId: load.requestId, path: withoutKeys(new URL(request.url).pathname), err: error },
              'rendering failed',
            );
          },
        },
      );
    });
    headers.set('Content-Type', 'text/html; charset=utf-8');
    return new Response(html.replace('</head>', `${sheet.getStyleTags()}</head>`), {
      headers,
      status: responseStatus,
    });
  } finally {
    sheet.seal();
  }
}

const givenUp = (error: unknown): boolean =>
  error instanceof Error && (error.name === 'AbortError' || error.name === 'TimeoutError');

/** Errors of loaders and actions become structured lines; a person never sees them. */
export const handleError: HandleErrorFunction = (error, { request, context }) => {
  const load = context as unknown as AppLoadContext;
  // A database that is away is no fault of the page: the server says so.
  const database = databaseTrouble(error);
  if (database) load.trouble = { status: 503, kind: database === 'empty' ? 'empty' : 'away' };
  // A figure that was given up, because its time was over or its reader left, is no fault of the page either.
  else if (givenUp(error)) load.trouble = { status: 503, kind: 'busy' };
  // Characters that the database cannot keep, or a value that no field of it takes: what was sent is at fault.
  else if (sqlState(error)?.startsWith('22')) load.trouble = { status: 400, kind: 'unreadable' };
  if (request.signal.aborted) return;
  const { status } = (error ?? {}) as { status?: number };
  if (status !== undefined && status < 500) return;
  log.error(
    {
      requestId: load.requestId,
      method: request.method,
      path: withoutKeys(new URL(request.url).pathname),
      err: error,
    },
    'request failed',
  );
};
