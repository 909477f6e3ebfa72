/** A page that needs neither the database nor a script: what went wrong, in the language of who asks. */
import type { Request, Response } from 'express';
import { languageFor, troubleWords, type Trouble } from '~/core/words/trouble';
import { aboutLanguage, SHIPPED_LANGUAGES, type Language } from '~/core/words/languages';

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!);

/** The language asked for in the address, else the one the browser asks for. */
export function languageOf(request: Pick<Request, 'url' | 'headers'>): Language {
  const asked = /[?&]lang=([\w-]{2,20})/.exec(request.url)?.[1];
  return asked && SHIPPED_LANGUAGES.includes(asked) ? asked : languageFor(request.headers['accept-language']);
}

/** Answers with a kind page, or with its sentence where no page is asked for. */
export function sayTrouble(request: Request, response: Response, status: number, trouble: Trouble): void {
  if (response.headersSent) {
    response.end();
    return;
  }
  const language = languageOf(request);
  const { title, text, again } = troubleWords(trouble, language);
  response.status(status).setHeader('Cache-Control', 'no-store');
  if (status === 503) response.setHeader('Retry-After', '15');
  // A body that nobody reads on must not hold the connection.
  if (!request.complete) response.setHeader('Connection', 'close');
  const page = request.accepts(['text', 'html']) === 'html' && !request.path.endsWith('.data');
  if (!page) {
    response.type('text/plain').send(`${title}. ${text}\n`);
    return;
  }
  const nonce = response.locals.nonce as string;
  response.type('text/html').send(`<!doctype html>
<html lang="${language}" dir="${aboutLanguage(language).direction}">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escaped(title)} · Fern Basket</title>
<style nonce="${nonce}">
body{margin:0;background:#FBF7EC;color:#22312A;font:1.15rem/1.5 system-ui,sans-serif}
main{max-width:36rem;margin:12vh auto 0;padding:0 1.4rem 4rem}
h1{font-family:Georgia,serif;font-weight:400;color:#1D4733;font-size:2rem;line-height:1.2}
a{display:inline-grid;place-items:center;min-height:48px;padding:0 1.4rem;background:#2F6B4A;color:#FBF7EC;font-weight:700;text-decoration:none;border-radius:4px 16px 5px 12px}
</style></head>
<body><main>
<svg width="72" height="56" viewBox="0 0 72 56" fill="none" stroke="#2F6B4A" stroke-width="2" aria-hidden="true"><path d="M6 52C8 24 26 8 62 6"/><path d="M20 34c-8-2-12-8-12-14 8 0 12 6 12 14ZM34 21c-5-6-5-12-2-18 6 5 7 12 2 18ZM30 26c8 2 14 0 18-6-7-3-14-1-18 6Z"/></svg>
<h1>${escaped(title)}</h1>
<p>${escaped(text)}</p>
${request.method === 'GET' && status === 503 ? `<p><a href="${escaped(request.originalUrl)}">${escaped(again)}</a></p>` : ''}
</main></body></html>
`);
}
