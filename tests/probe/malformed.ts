/** Requests that no browser of ours would send, on every route and with every method: none may be the server's fault. */
import { setTimeout as pause } from 'node:timers/promises';
import type { RouteConfigEntry } from '@react-router/dev/routes';
import routes from '~/app/routes';
import { seeded, type Random } from '~/core/chance/random';
import { newOwnGame } from '~/core/own/definition';
import { ownGameId } from '~/core/own/ids';
import { addOwnGame } from '~/data/queries/games';
import { listVariants } from '~/data/queries/kits';
import { listPeople } from '~/data/queries/people';
import { lendOut } from '../world';
import { many, type Field, type Row } from './field';
import { BUSY_TRIES, raw } from './visitor';

/** Every address there is, with names in place of what stands in it. */
export function paths(entries: readonly RouteConfigEntry[], base = ''): string[] {
  return entries.flatMap((entry) => {
    const path = [base, entry.path].filter(Boolean).join('/');
    return entry.children ? paths(entry.children, path) : [`/${path}${entry.index ? '' : ''}`];
  });
}

const METHODS = [
  'GET',
  'GET',
  'HEAD',
  'POST',
  'POST',
  'POST',
  'POST',
  'POST',
  'PUT',
  'DELETE',
  'PATCH',
  'OPTIONS',
  'TRACE',
  'PROPFIND',
  'LOCK',
];
const FIELDS = [
  'name',
  'password',
  'again',
  'old',
  'language',
  'reach',
  'underThree',
  'allergens',
  'version',
  'intent',
  'copies',
  'formKey',
  'run',
  'players',
  'ageBand',
  'paper',
  'assurance',
  'variantIds',
  'definition',
  'params',
  'variant',
  'material',
  'had',
  'opened',
  'copy',
  'family',
  'dueOn',
  'loan',
  'was',
  'slip',
  'words',
  'answer',
  'children',
  'minutes',
  'level',
  'childDid',
  'missing',
  'person',
  'session',
  'role',
  'schoolName',
  'personName',
  'languages',
  'text',
  'file',
  'picture',
  'two-colour-counter',
  'greyCents',
  'right goal',
  'note goal',
  'had goal',
];
const INTENTS = [
  'save',
  'build',
  'undoBuild',
  'archive',
  'undo',
  'mend',
  'forget',
  'draw',
  'stop',
  'printed',
  'mark',
  'noMark',
  'slip',
  'unread',
  'end',
  'endOthers',
  'link',
  'due',
  'import',
  '\u0000',
  'x',
];
const NASTY = [
  '',
  ' ',
  '0',
  '-1',
  '1e999',
  '-1e999',
  'Infinity',
  'NaN',
  '1e3',
  '0x10',
  '99999999999999999999',
  '1.5',
  '\u0000',
  'a\u0000b',
  '\ud800',
  '\udfff',
  '\u202e',
  '\u200b',
  '💥'.repeat(40),
  'x'.repeat(5000),
  "'; drop table loan; --",
  '{}',
  '[]',
  'null',
  '{"a":1e999}',
  '"\\ud800"',
  '{"__proto__":{"x":1}}',
  '['.repeat(3000),
  '{"a":'.repeat(400),
  '<b>x</b>',
  '{goal',
  '{goal, plural, one {x}}',
  '../../etc/passwd',
  '%00',
  '%',
  '2026-02-30',
  '9999-99-99',
  '0000-01-01',
  '2026-11-26T00:00',
  '00000000-0000-0000-0000-000000000000',
  'K7M4W 999999',
  'true',
  'on',
  'constructor',
  'toString',
  '__proto__',
  'hasOwnProperty',
];

const pickOf = <T>(list: readonly T[], random: Random): T => list[random.whole(0, list.length - 1)]!;

function formOf(random: Random, real: readonly string[]): URLSearchParams {
  const form = new URLSearchParams();
  const fields = random.whole(0, 9);
  for (let i = 0; i < fields; i++) {
    const name = random.chance(0.9) ? pickOf(FIELDS, random) : pickOf(NASTY, random);
    form.append(
      name,
      name === 'intent' && random.chance(0.8)
        ? pickOf(INTENTS, random)
        : random.chance(0.25)
          ? pickOf(real, random)
          : pickOf(NASTY, random),
    );
  }
  if (random.chance(0.15)) {
    const definition: Record<string, unknown> = {
      ...newOwnGame(),
      name: { en: pickOf(NASTY, random), es: 'x' },
    };
    definition[pickOf(Object.keys(definition), random)] = pickOf<unknown>(
      [
        null,
        1e300,
        [],
        {},
        'x',
        [[[[[]]]]],
        { kind: 'draw', count: 3, from: 0, to: 20, copies: 8 },
        Array(50).fill(7),
      ],
      random,
    );
    form.set('definition', JSON.stringify(definition));
  }
  return form;
}

function bodyOf(random: Random, real: readonly string[]): { type: string; body: Buffer | string } {
  const form = formOf(random, real);
  const kind = random.whole(0, 13);
  const boundary = 'fern';
  const parts = (end: string): string =>
    [...form]
      .map(
        ([name, value]) =>
          `--${boundary}\r\nContent-Disposition: form-data; name="${name.replace(/["\r\n]/g, '')}"\r\n\r\n${value}\r\n`,
      )
      .join('') + end;
  switch (kind) {
    case 0:
      return { type: 'text/plain', body: form.toString() };
    case 1:
      return { type: 'application/json', body: pickOf(NASTY, random) };
    case 2:
      return { type: 'multipart/form-data', body: parts(`--${boundary}--`) };
    case 3:
      return { type: `multipart/form-data; boundary=${boundary}`, body: parts('') };
    case 4:
      return { type: `multipart/form-data; boundary=${boundary}`, body: parts(`--${boundary}--`) };
    case 5:
      return {
        type: `multipart/form-data; boundary=${boundary}`,
        body: Buffer.concat([
          Buffer.from(
            `--${boundary}\r\nContent-Disposition: form-data; name="${pickOf(['file', 'picture'], random)}"; filename="x"\r\nContent-Type: image/png\r\n\r\n`,
          ),
          Buffer.from(Array.from({ length: random.whole(0, 400) }, () => random.whole(0, 255))),
          Buffer.from(`\r\n--${boundary}--\r\n`),
        ]),
      };
    case 6:
      return {
        type: 'application/x-www-form-urlencoded',
        body: Buffer.from(Array.from({ length: 200 }, () => random.whole(0, 255))),
      };
    case 7:
      return { type: 'application/x-www-form-urlencoded', body: 'a=%zz&b=%00&%ff=%c3%28&=&&&' };
    case 8:
      return { type: '', body: form.toString() };
    default:
      return { type: 'application/x-www-form-urlencoded;charset=UTF-8', body: form.toString() };
  }
}

/** Asks; who is told that the server is busy, and to come again, comes again, as a browser's person would. */
async function rawOrAgain(one: { address: string } & Parameters<typeof raw>[1]): ReturnType<typeof raw> {
  for (let times = 1; ; times++) {
    const answer = await raw(one.address, one);
    if (!answer.comeAgain || times === BUSY_TRIES) return answer;
    await pause(500);
  }
}

/** Malformed requests by every role; counts those that were refused, and names every answer of 500 or more. */
export async function malformedRequests(field: Field, size: number): Promise<Row> {
  const world = await field.begin();
  const loanId = await lendOut(world, { lentOn: '2026-11-01', dueOn: '2026-11-22' });
  const ownId = (await addOwnGame(
    field.world.at,
    { ...newOwnGame(), name: { en: 'Ferry Load', es: 'Carga' }, goal: { en: 'Load.', es: 'Suban.' } },
    world.people.coordinator.id,
  ))!;
  const roles = [
    await field.visitor('Coordinator'),
    await field.visitor('Helper', 1),
    await field.visitor('Reader'),
  ];
  const variants = (await listVariants(field.world.at)).map(({ id }) => id);
  const people = (await listPeople(field.world.at)).map(({ id }) => id).slice(0, 0);
  const real = [
    world.kitId,
    loanId,
    ownId,
    world.copies[0]!.id,
    world.families[0]!.id,
    world.copies[0]!.tag,
    ...variants,
    ...people,
    '2',
    '1',
    'es',
    'g1',
    'a4',
    '2026-12-20',
  ];
  const all = [...paths(routes), '/assets/x.js', '/leaf.svg', '/healthz', '/healthz/live'];
  const random = seeded(77);
  const lost: string[] = [];
  let refused = 0;
  const asked = Array.from({ length: size }, () => {
    const path = pickOf(all, random)
      .replace(':gameId', () =>
        pickOf(
          [
            'two-tone-spill',
            ownGameId(ownId),
            'own-x',
            'tide-pairs',
            encodeURIComponent(pickOf(['x', '%', '../..', '\u0000', 'constructor'], random)),
          ],
          random,
        ),
      )
      .replace(/:(kitId|ownId|familyId|loanId|copyId|jobId)/, () =>
        random.chance(0.7) ? pickOf(real, random) : encodeURIComponent(pickOf(['x', '%', '{}', 'ü'], random)),
      )
      .replace(':linkKey', () => (random.chance(0.6) ? world.copies[0]!.linkKey : 'x'))
      .replace(':key', 'x'.repeat(32))
      .replace('*', () => pickOf(['nothing', '%', '%2e%2e/x', '%c3%28', '//x', 'a'.repeat(3000)], random));
    const query = random.chance(0.4)
      ? `?${formOf(random, real).toString()}`
      : random.chance(0.1)
        ? '?%&%zz&=&index'
        : '';
    const data = random.chance(0.2) ? '.data' : '';
    const method = pickOf(METHODS, random);
    const visitor = random.chance(0.85) && !path.includes('sign-out') ? pickOf(roles, random) : undefined;
    const { type, body } = bodyOf(random, real);
    const headers: Record<string, string> = {
      ...(visitor
        ? { Cookie: visitor.cookie }
        : random.chance(0.3)
          ? { Cookie: pickOf(['fern=%%%', 'fern=e30=', 'fern', '=;=', 'fern="\\"'], random) }
          : {}),
      ...(random.chance(0.95) ? { Origin: (visitor ?? roles[0]!).address } : {}),
      ...(type ? { 'Content-Type': type } : {}),
      ...(random.chance(0.05) ? { Host: pickOf(['', 'a b', '[::1', 'x:99999', 'http://x'], random) } : {}),
      ...(random.chance(0.1) ? { Accept: 'text/html' } : {}),
      ...(random.chance(0.05) ? { 'Accept-Language': pickOf(['ar', 'zz', ';;;q=x', '*'], random) } : {}),
    };
    return {
      address: (visitor ?? roles[0]!).address,
      method,
      path: path + data + query,
      headers,
      body: ['POST', 'PUT', 'PATCH'].includes(method) ? body : undefined,
    };
  });
  await many(size, 16, async (i) => {
    const one = asked[i]!;
    const { status, text } = await rawOrAgain(one);
    if (status >= 400 && status < 500) refused++;
    if (status >= 500 || status < 0)
      lost.push(
        `${status} ${one.method} ${one.path.slice(0, 160)} ${one.headers['Content-Type'] ?? ''} ${String(one.body ?? '').slice(0, 200)} ${text.slice(0, 80)}`,
      );
    else if (status >= 400 && one.method !== 'HEAD' && text.length < 12)
      lost.push(`${status} without a sentence: ${one.method} ${one.path.slice(0, 120)}`);
  });
  for (const server of field.servers) {
    const { status } = await raw(server.address, { method: 'GET', path: '/healthz' });
    if (status !== 200) lost.push(`${server.address} is not ready afterwards`);
  }
  return { what: 'malformed requests on every route and method', tried: size, refused, lost };
}
