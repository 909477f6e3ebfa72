/** Files that ask for work without end, in every format and at every place that takes one; others are answered meanwhile. */
import { deflateSync } from 'node:zlib';
import { setTimeout as pause } from 'node:timers/promises';
import { seeded, type Random } from '~/core/chance/random';
import { randomTag } from '~/core/kits/tag';
import { today } from '~/server/today';
import { lendOut } from '../world';
import { LONGEST_LAG_MS } from './bodies';
import { many, type Field, type Row } from './field';
import { raw } from './visitor';

const calendar = (...lines: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const event = (uid: number, ...lines: string[]): string[] => [
  'BEGIN:VEVENT',
  `UID:${uid}`,
  'SUMMARY:x',
  'DTSTART;VALUE=DATE:20260901',
  ...lines,
  'END:VEVENT',
];
const times = <T>(n: number, make: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => make(i));

const CALENDARS: ((random: Random) => string)[] = [
  () => calendar(...event(1, 'RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30')),
  () => calendar(...event(1, 'RRULE:FREQ=YEARLY;BYMONTH=2,4;BYMONTHDAY=31,-31')),
  () => calendar(...event(1, 'RRULE:FREQ=YEARLY;BYWEEKNO=53;BYDAY=MO;BYMONTH=6')),
  () => calendar(...event(1, 'RRULE:FREQ=YEARLY;BYYEARDAY=366;BYMONTH=3')),
  () => calendar(...event(1, 'RRULE:FREQ=MONTHLY;BYDAY=MO;BYSETPOS=366')),
  () => calendar(...event(1, 'RRULE:FREQ=SECONDLY')),
  () => calendar(...event(1, 'RRULE:FREQ=DAILY;BYHOUR=1,2,3;BYMINUTE=1,2,3;BYSECOND=1,2,3')),
  () =>
    calendar(
      'BEGIN:VTIMEZONE',
      'TZID:X',
      'BEGIN:STANDARD',
      'DTSTART:19000101T000000',
      'TZOFFSETFROM:+0000',
      'TZOFFSETTO:+0100',
      'RRULE:FREQ=SECONDLY',
      'END:STANDARD',
      'END:VTIMEZONE',
      ...event(1).map((line) =>
        line.replace('DTSTART;VALUE=DATE:20260901', 'DTSTART;TZID=X:20260901T080000'),
      ),
    ),
  () => calendar(...times(2000, (i) => event(i, 'RRULE:FREQ=DAILY')).flat()),
  () =>
    calendar(
      ...times(60, (i) =>
        event(
          i,
          'RRULE:FREQ=DAILY',
          ...times(1900, (k) => `EXDATE;VALUE=DATE:2026${String(k).padStart(4, '0')}`),
        ),
      ).flat(),
    ),
  () => calendar(...event(1, `RDATE;VALUE=DATE:${times(55_000, () => '20260902').join(',')}`)),
  () => calendar(...event(1, `SUMMARY:${'x'.repeat(900_000)}`)),
  () => `BEGIN:VCALENDAR\r\n${'BEGIN:VEVENT\r\n'.repeat(60_000)}`,
  (random) => calendar(...event(1, `RRULE:FREQ=DAILY;INTERVAL=${random.whole(-5, 0)}`)),
  (random) =>
    calendar(...event(1, `RRULE:FREQ=YEARLY;BYDAY=${random.whole(10, 53)}MO;BYMONTH=${random.whole(1, 12)}`)),
];
const LISTS: ((random: Random) => string)[] = [
  () => `name,language\r\n${'\t'.repeat(900_000)}x,English`,
  () => `name,language\r\n"${'\r\n'.repeat(400_000)}`,
  () => `${times(450_000, (i) => `c${i % 10}`).join(',')}\r\n1`,
  () => `name,language,material,onHand\r\n${'a,'.repeat(450_000)}`,
  () => `name,language,material,onHand${'\r\n'.repeat(900_000)}`,
  () => `name,language,material,onHand\r\n${'"'.repeat(900_001)}`,
  () => `name,language,material,onHand\r\n${`="x",'''''=1,${'|'.repeat(40)}\r\n`.repeat(17_000)}`,
  () => `name,language\r\n${times(2000, () => `${'\u0301'.repeat(400)},English`).join('\r\n')}`,
  (random) =>
    `name,language\r\n${times(1900, () => `${'\u200d'.repeat(random.whole(1, 400))},en`).join('\r\n')}`,
];
const xliff = (inside: string): string =>
  `<?xml version="1.0"?><xliff xmlns="urn:oasis:names:tc:xliff:document:2.0" version="2.0" srcLang="en" trgLang="es"><file id="family">${inside}</file></xliff>`;
const LINES: ((random: Random) => string)[] = [
  () =>
    xliff(
      times(
        17_000,
        (i) => `<unit id="u${i}"><segment id="other"><source>x</source><target>y</target></segment></unit>`,
      ).join(''),
    ),
  () => xliff('<group>'.repeat(200_000)),
  () => xliff(`${'<group>'.repeat(90_000)}${'</group>'.repeat(90_000)}`),
  () => `<a ${times(100_000, (i) => `b${i}="1"`).join(' ')}/>`,
  () => `<!-- ${'-'.repeat(2_000_000)}`,
  () => `<a>${'&#x26;'.repeat(300_000)}</a>`,
  () => `<![CDATA[${']'.repeat(2_000_000)}`,
  () => `<${'a'.repeat(2_000_000)}>`,
];
const GAMES: ((random: Random) => string)[] = [
  () => '['.repeat(190_000),
  () => `{"a":"${'\\u0000'.repeat(30_000)}"}`,
  () => `[${'1,'.repeat(90_000)}1]`,
  () => `{"format":"fern-basket own game","version":1,"goal":{"en":"${'{a, plural, other {'.repeat(9000)}"}}`,
];

function chunk(type: string, data: Buffer): Buffer {
  const length = Buffer.alloc(4);
  length.writeUInt32BE(data.length);
  // Readers that check the sum refuse it at once, and those that do not read on.
  return Buffer.concat([length, Buffer.from(type, 'latin1'), data, Buffer.alloc(4)]);
}
const png = (side: number, data: Buffer): Buffer => {
  const header = Buffer.alloc(13);
  header.writeUInt32BE(side, 0);
  header.writeUInt32BE(side, 4);
  header.set([8, 2, 0, 0, 0], 8);
  const signature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([
    signature,
    chunk('IHDR', header),
    chunk('IDAT', data),
    chunk('IEND', Buffer.alloc(0)),
  ]);
};
const PICTURES: ((random: Random) => Buffer)[] = [
  () =>
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="7700" height="7700"><filter id="f">${'<feTurbulence baseFrequency="1" numOctaves="10"/>'.repeat(3)}</filter><rect width="7700" height="7700" filter="url(#f)"/></svg>`,
    ),
  () => png(7700, deflateSync(Buffer.alloc(40_000_000))),
  () => png(60_000, deflateSync(Buffer.alloc(1_000_000))),
  () => Buffer.from('GIF89a\xff\xff\xff\xff', 'latin1'),
  () => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(7_000_000, 0xff)]),
  () => Buffer.from(`%PDF-1.7\n${'1 0 obj<</Kids[1 0 R]>>endobj\n'.repeat(9000)}`),
  () => Buffer.from(`RIFF\xff\xff\xff\x7fWEBPVP8X${'\xff'.repeat(90_000)}`, 'latin1'),
  (random) =>
    Buffer.concat([
      Buffer.from('\0\0\0\x1cftypavif\0\0\0\0avifmif1miaf', 'latin1'),
      Buffer.from(times(50_000, () => random.whole(0, 255))),
    ]),
  (random) =>
    Buffer.concat([
      Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
      Buffer.from(times(100_000, () => random.whole(0, 255))),
    ]),
];

const BOUNDARY = 'hostile';
function multipart(fields: Record<string, string>, name: string, content: Buffer | string): Buffer {
  const parts = Object.entries(fields).map(
    ([key, value]) => `--${BOUNDARY}\r\nContent-Disposition: form-data; name="${key}"\r\n\r\n${value}\r\n`,
  );
  return Buffer.concat([
    Buffer.from(parts.join('')),
    Buffer.from(
      `--${BOUNDARY}\r\nContent-Disposition: form-data; name="${name}"; filename="a"\r\nContent-Type: application/octet-stream\r\n\r\n`,
    ),
    Buffer.isBuffer(content) ? content : Buffer.from(content),
    Buffer.from(`\r\n--${BOUNDARY}--\r\n`),
  ]);
}

/** So many are sent by `npm run probe`. */
const PROBED = 200;

export async function hostileFiles(field: Field, size: number): Promise<Row> {
  const world = await field.begin();
  const visitor = await field.visitor('Coordinator');
  const random = seeded(size);
  const [copy] = world.copies;
  const loan = await lendOut(world, { lentOn: today(world.at), dueOn: today(world.at) });
  const answer = `/p/${copy!.linkKey}/answer`;
  // A family's phone, which has opened the page before.
  const phone = field.stranger();
  await phone.get(answer);
  const places: { path: string; body: () => Buffer; signedIn: boolean }[] = [
    ...CALENDARS.map((make) => ({
      path: '/lend/calendar',
      signedIn: true,
      body: () => multipart({ intent: 'read' }, 'file', make(random)),
    })),
    ...['/lend/families/import', '/fill/store/import', '/word/out-and-in'].flatMap((path) =>
      LISTS.map((make) => ({ path, signedIn: true, body: () => multipart({}, 'file', make(random)) })),
    ),
    ...LINES.map((make) => ({
      path: '/word/out-and-in',
      signedIn: true,
      body: () => multipart({}, 'file', make(random)),
    })),
    ...GAMES.map((make) => ({
      path: '/choose/own/import',
      signedIn: true,
      body: () => multipart({}, 'file', make(random)),
    })),
    ...PICTURES.flatMap((make) => [
      {
        path: answer,
        signedIn: false,
        body: () => multipart({ loan, anythingElse: randomTag(random) }, 'picture', make(random)),
      },
      { path: '/print', signedIn: true, body: () => multipart({ intent: 'mark' }, 'picture', make(random)) },
    ]),
    // A field whose name is longer than any.
    { path: answer, signedIn: false, body: () => multipart({}, 'x'.repeat(7_800_000), 'x') },
    {
      path: `/p/${'x'.repeat(22)}/answer`,
      signedIn: false,
      body: () => multipart({}, 'picture', Buffer.alloc(8_000_000)),
    },
  ];
  const lost: string[] = [];
  let refused = 0;
  let slowest = 0;
  let longest = 0;
  let going = true;
  const watch = (async () => {
    while (going) {
      const from = performance.now();
      const live = await fetch(`${visitor.address}/healthz/live`)
        .then((said) => said.json() as Promise<{ longestWaitMs: number }>)
        .catch(() => undefined);
      slowest = Math.max(slowest, performance.now() - from);
      if (live) longest = Math.max(longest, live.longestWaitMs);
      else lost.push('the server does not say that it lives');
      await pause(20);
    }
  })();
  await many(size, 3, async (i) => {
    const { path, body, signedIn } = places[i % places.length]!;
    const { status, text } = await raw(visitor.address, {
      method: 'POST',
      path,
      headers: {
        Origin: visitor.address,
        'Content-Type': `multipart/form-data; boundary=${BOUNDARY}`,
        Cookie: (signedIn ? visitor : phone).cookie,
      },
      body: body(),
    });
    // 200: it was read after all, and is shown. A connection that is cut while more is being sent is a refusal too.
    if (status >= 500 && !(status === 503 && text))
      lost.push(`${path} (${i}): ${status} ${text.slice(0, 80)}`);
    else if (status !== 200) refused++;
  });
  going = false;
  await watch;
  // Whoever asks afterwards is answered as before, and the server is the same one.
  const after = await visitor.get('/lend/calendar');
  if (after.status !== 200) lost.push(`the calendar afterwards: ${after.status}`);
  // On a machine that does other things as well, its thread waits for them too: it is judged by the probe alone.
  if (size >= PROBED && longest > LONGEST_LAG_MS) lost.push(`the server's own thread waited ${longest} ms`);
  return {
    what: 'files that ask for work without end',
    tried: size,
    refused,
    lost,
    note: `the server's thread waited ${Math.round(longest)} ms at most, somebody who asked ${Math.round(slowest)} ms`,
  };
}
