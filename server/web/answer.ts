/** Hands a request to the application and its answer back, and keeps every page to a time. */
import { setTimeout as pause } from 'node:timers/promises';
import { writeReadableStreamToWritable } from '@react-router/node';
import type { Request as Asked, Response as Reply } from 'express';
import { createRequestHandler, type AppLoadContext, type ServerBuild } from 'react-router';
import { log, withoutKeys } from '../log';
import { forOneRequest } from '../once';
import { readBody } from './body';
import { afterFamilies, forFamily } from './first';
import { sayTrouble } from './kind';

/** No page takes longer, whatever is the matter with the database. */
const LONGEST_MS = 9000;

type Handler = (asked: Asked, reply: Reply) => Promise<void>;

/** Answers requests with pages of the application. */
export function answerWith(build: ServerBuild): Handler {
  const application = createRequestHandler(build, 'production');
  return async (asked, reply) => {
    const url = addressOf(asked);
    if (!url) return sayTrouble(asked, reply, 400, 'unreadable');
    let body: Buffer | undefined;
    if (asked.method === 'POST') {
      const read = await readBody(asked);
      if (!read.ok) return sayTrouble(asked, reply, read.status, read.trouble);
      body = read.bytes;
    }
    const gone = new AbortController();
    reply.on('close', () => gone.abort());
    const context: AppLoadContext = {
      requestId: reply.locals.requestId as string,
      nonce: reply.locals.nonce as string,
      clientAddress: asked.ip ?? 'unknown',
    };
    const request = new Request(url, {
      method: asked.method,
      headers: headersOf(asked),
      signal: gone.signal,
      ...(body ? { body: new Uint8Array(body) } : {}),
    });
    const answer = await Promise.race([
      forOneRequest(() => {
        const work = (): Promise<Response> => application(request, context);
        return /^\/[pa]\//.test(url.pathname) ? forFamily(work) : afterFamilies().then(work);
      }),
      pause(LONGEST_MS, undefined, { signal: gone.signal, ref: false }).catch(() => undefined),
    ]);
    if (reply.destroyed || reply.writableEnded) return;
    if (!answer) {
      log.error(
        { requestId: context.requestId, method: asked.method, path: withoutKeys(asked.path) },
        'no answer in time',
      );
      return sayTrouble(asked, reply, 503, 'away');
    }
    // What the application could not know: why a page of its own failed.
    if (context.trouble) return sayTrouble(asked, reply, context.trouble.status, context.trouble.kind);
    await send(reply, answer);
  };
}

function addressOf(asked: Asked): URL | undefined {
  try {
    const url = new URL(asked.originalUrl, `${asked.protocol}://${asked.get('host') ?? 'localhost'}`);
    decodeURIComponent(url.pathname);
    return url.origin === 'null' || url.pathname.includes('%00') ? undefined : url;
  } catch {
    return undefined;
  }
}

function headersOf(asked: Asked): Headers {
  const headers = new Headers();
  for (const [name, value] of Object.entries(asked.headers))
    for (const one of Array.isArray(value) ? value : value === undefined ? [] : [value])
      headers.append(name, one);
  return headers;
}

async function send(reply: Reply, answer: Response): Promise<void> {
  reply.status(answer.status);
  for (const [name, value] of answer.headers) reply.append(name, value);
  if (answer.body) await writeReadableStreamToWritable(answer.body, reply);
  else reply.end();
}
