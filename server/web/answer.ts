/** Hands a request to the application and its answer back, and keeps every page to a time. */
import { setTimeout as pause } from 'node:timers/promises';
import { writeReadableStreamToWritable } from '@react-router/node';
import type { Request as Asked, Response as Reply } from 'express';
import { createRequestHandler, type AppLoadContext, type ServerBuild } from 'react-router';
import { log, withoutKeys } from '../log';
import { forOneRequest } from '../once';
import { forRequest, patient, type Asking } from '~/data/pools';
import { databaseTrouble } from '~/data/trouble';
import { changedAt } from '../day';
import { admitted, isFamily, laneOf } from './admission';
import { bringsMuch, readBody } from './body';
import { afterFamilies, forFamily } from './first';
import { roomFor } from './gate';
import { sayTrouble } from './kind';
import { doneOnce } from './sent';

/** No page takes longer, whatever is the matter with the database. */
const LONGEST_MS = patient(9000);
/** A paper is drawn beside the pages, and waited for longer. */
const LONGEST_PAPER_MS = 58_000;

type Handler = (asked: Asked, reply: Reply) => Promise<void>;

/** Answers requests with pages of the application. */
export function answerWith(build: ServerBuild): Handler {
  const application = createRequestHandler(build, 'production');
  return async (asked, reply) => {
    const url = addressOf(asked);
    if (!url) return sayTrouble(asked, reply, 400, 'unreadable');
    const gone = new AbortController();
    reply.on('close', () => gone.abort());
    const context: AppLoadContext = {
      requestId: reply.locals.requestId as string,
      nonce: reply.locals.nonce as string,
      clientAddress: asked.ip ?? 'unknown',
    };
    const about = { method: asked.method, headers: headersOf(asked), signal: gone.signal };
    const lane = laneOf(asked.method, url.pathname);
    const forFamilies = isFamily(url.pathname);
    const asking: Asking = {
      lane: forFamilies ? 'family' : 'staff',
      reads: asked.method !== 'POST',
      stamps: new Map(),
      told: new Map(),
      mayLag: asked.method !== 'POST' && mayLag(url.pathname) && !hasWritten(asked),
      schools: new Set(),
      queries: 0,
    };
    const answered = await admitted(lane, gone.signal, () =>
      forOneRequest(() => forRequest(asking, () => worked(new Request(url, about)))).catch(
        (error: unknown) => {
          // Before a page was asked for at all.
          const trouble = databaseTrouble(error);
          if (!trouble) throw error;
          sayTrouble(asked, reply, 503, trouble === 'empty' ? 'empty' : 'away');
        },
      ),
    );
    if (answered === 'full') return sayTrouble(asked, reply, 503, 'busy');

    /** Reads what was sent and hands it to the application. */
    async function worked(request: Request): Promise<void> {
      let body: Buffer | undefined;
      if (asked.method === 'POST') {
        // Who asks is looked at before what they bring.
        const room = await roomFor(request, bringsMuch(asked));
        const read = await readBody(asked, room);
        if (!read.ok) return sayTrouble(asked, reply, read.status, read.trouble);
        body = read.bytes;
      }
      const whole = body ? new Request(url!, { ...about, body: new Uint8Array(body) }) : request;
      const work = async (): Promise<Response | 'unknown'> => {
        if (!body) return application(whole, context);
        const sent = await doneOnce(
          whole,
          body,
          () => application(whole, context),
          () => Boolean(context.trouble),
        );
        if (sent === 'unknown') return sent;
        return 'answer' in sent ? sent.answer : shownAgain(sent.again);
      };
      /** Sends on to a page, in the way in which the asking page understands it. */
      const shownAgain = (page: string): Promise<Response> => {
        const form = new URLSearchParams({ page });
        return application(
          new Request(new URL(url!.pathname.endsWith('.data') ? '/sent-before.data' : '/sent-before', url), {
            method: 'POST',
            headers: { Origin: url!.origin, 'Content-Type': 'application/x-www-form-urlencoded' },
            body: form,
          }),
          context,
        );
      };
      const answer = await Promise.race([
        forFamilies ? forFamily(work) : afterFamilies().then(work),
        pause(url!.pathname.endsWith('.pdf') ? LONGEST_PAPER_MS : LONGEST_MS, undefined, {
          signal: gone.signal,
          ref: false,
        }).catch(() => undefined),
      ]);
      // Whoever is sent on to another page sees there what was changed.
      if (asked.method === 'POST') for (const schoolId of asking.schools) changedAt(schoolId);
      if (reply.destroyed || reply.writableEnded) return;
      if (asked.method === 'POST' && process.env.DATABASE_READ_URL) tellWritten(asked, reply);
      if (process.env.TELL_QUERIES) reply.setHeader('X-Queries', String(asking.queries));
      if (!answer) {
        log.error(
          { requestId: context.requestId, method: asked.method, path: withoutKeys(asked.path) },
          'no answer in time',
        );
        return sayTrouble(asked, reply, 503, 'busy');
      }
      if (answer === 'unknown') return sayTrouble(asked, reply, 409, 'twice');
      // What the application could not know: why a page of its own failed.
      if (context.trouble) return sayTrouble(asked, reply, context.trouble.status, context.trouble.kind);
      await send(reply, answer);
    }
  };
}

/** Pages that may be some seconds old. */
const mayLag = (pathname: string): boolean => /^\/(p\/|look-back|district(\.|$|\?))/.test(pathname);

/** Whoever changed something sees it: their browser reads what is newest for a while. */
const WRITTEN = 'fern-written';
const WRITTEN_SECONDS = 15;
const hasWritten = (asked: Asked): boolean =>
  new RegExp(`(^|; *)${WRITTEN}=`).test(asked.headers.cookie ?? '');
const tellWritten = (asked: Asked, reply: Reply): void =>
  void reply.cookie(WRITTEN, '1', {
    maxAge: WRITTEN_SECONDS * 1000,
    httpOnly: true,
    sameSite: 'lax',
    secure: asked.secure,
  });

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
  // What a page says of itself goes before what is said of all pages.
  for (const [name, value] of answer.headers)
    if (name === 'set-cookie') reply.append(name, value);
    else reply.setHeader(name, value);
  if (answer.body) await writeReadableStreamToWritable(answer.body, reply);
  else reply.end();
}
