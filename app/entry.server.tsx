import { PassThrough } from 'node:stream';
import { renderToPipeableStream } from 'react-dom/server';
import { ServerRouter, type AppLoadContext, type EntryContext, type HandleErrorFunction } from 'react-router';
import { ServerStyleSheet } from 'styled-components';
import { log } from '~/server/log';
import { warmPrinting } from '~/server/print/warm';
import { NonceContext } from './nonce';

// Once, while the server starts and nobody waits for a page yet.
warmPrinting();

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
              { requestId: load.requestId, path: new URL(request.url).pathname, err: error },
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

/** Errors of loaders and actions become structured lines; a person never sees them. */
export const handleError: HandleErrorFunction = (error, { request, context }) => {
  if (request.signal.aborted) return;
  const { requestId } = context as unknown as AppLoadContext;
  log.error(
    { requestId, method: request.method, path: new URL(request.url).pathname, err: error },
    'request failed',
  );
};
