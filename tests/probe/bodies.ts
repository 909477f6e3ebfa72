/** Bodies with too much in them, and how long others wait meanwhile. */
import type { Field, Row } from './field';
import { raw } from './visitor';

/** Bodies beyond every limit: refused before they are read, while others are answered. */
export async function largeBodies(field: Field, size: number): Promise<Row> {
  await field.begin();
  const visitor = await field.visitor('Coordinator');
  const lost: string[] = [];
  const cases: [string, Record<string, string>, Buffer | string, number][] = [
    [
      '40,000 fields',
      { 'Content-Type': 'application/x-www-form-urlencoded' },
      Array.from({ length: 40_000 }, (_, i) => `f${i}=1`).join('&'),
      413,
    ],
    [
      '20,000 fields in small',
      { 'Content-Type': 'application/x-www-form-urlencoded' },
      'a&'.repeat(20_000),
      413,
    ],
    ['20 MB', { 'Content-Type': 'application/x-www-form-urlencoded' }, Buffer.alloc(20_000_000, 'a'), 413],
    [
      '3 MB without a length',
      { 'Content-Type': 'multipart/form-data; boundary=x', 'Transfer-Encoding': 'chunked' },
      Buffer.alloc(3_000_000, 'a'),
      413,
    ],
    [
      'a length of 200 MB',
      { 'Content-Type': 'application/x-www-form-urlencoded', 'Content-Length': '200000000' },
      'a=1',
      413,
    ],
    [
      'JSON 20,000 deep',
      { 'Content-Type': 'application/x-www-form-urlencoded' },
      `definition=${'%5B'.repeat(20_000)}`,
      400,
    ],
  ];
  let tried = 0;
  let refused = 0;
  let slowest = 0;
  for (let i = 0; i < size; i++)
    for (const [name, headers, body, wanted] of cases) {
      tried++;
      const watch = lagOf(visitor.address);
      const { status } = await raw(visitor.address, {
        method: 'POST',
        path: '/choose/own/new',
        headers: { Cookie: visitor.cookie, Origin: visitor.address, ...headers },
        body,
      });
      slowest = Math.max(slowest, await watch());
      // A connection that is cut while more is being sent is a refusal too.
      if (status === wanted || (status === 0 && wanted === 413)) refused++;
      else lost.push(`${name}: ${status} in place of ${wanted}`);
    }
  if (slowest > LONGEST_LAG_MS) lost.push(`others waited ${slowest} ms`);
  return {
    what: 'bodies with too much in them',
    tried,
    refused,
    lost,
    note: `others waited ${slowest} ms at most`,
  };
}

/**
 * So long may others wait while something heavy is asked. On a machine that does other things as well (`npm test`), as many
 * times longer as `PROBE_PATIENCE` says; `npm run probe` tries the real time.
 */
export const LONGEST_LAG_MS = 1000 * Number(process.env.PROBE_PATIENCE ?? 1);

/** Asks for the smallest page again and again; the function it gives ends it and answers the longest wait in ms. */
export function lagOf(address: string): () => Promise<number> {
  let going = true;
  let longest = 0;
  const watching = (async () => {
    while (going) {
      const from = performance.now();
      await fetch(`${address}/healthz/live`).catch(() => undefined);
      longest = Math.max(longest, performance.now() - from);
    }
  })();
  return async () => {
    going = false;
    await watching;
    return Math.round(longest);
  };
}
