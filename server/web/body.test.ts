import { Readable } from 'node:stream';
import type { IncomingMessage } from 'node:http';
import { describe, expect, it } from 'vitest';
import { bringsMuch, readBody } from './body';

const ROOM = { form: 1000, files: 50_000 };
const sent = (type: string, body: Buffer | string, headers: Record<string, string> = {}): IncomingMessage =>
  Object.assign(Readable.from([Buffer.from(body)]), {
    headers: { 'content-type': type, ...headers },
  }) as unknown as IncomingMessage;
const multipart = 'multipart/form-data; boundary=b';
const part = (name: string, content: string): string =>
  `--b\r\nContent-Disposition: form-data; name="${name}"\r\n\r\n${content}\r\n`;
const status = async (type: string, body: string): Promise<number> => {
  const read = await readBody(sent(type, body), ROOM);
  return read.ok ? 200 : read.status;
};

describe('a body', () => {
  it('of a form is taken where it is one', async () => {
    expect(await status('application/x-www-form-urlencoded', 'a=1&b=2')).toBe(200);
    expect(await status(multipart, `${part('a', '1')}${part('b', '')}--b--\r\n`)).toBe(200);
    expect(await status('application/json', '{}')).toBe(415);
  });
  it('is refused where it is larger than there is room for', async () => {
    expect(await status('application/x-www-form-urlencoded', 'a'.repeat(2000))).toBe(413);
    expect(await status(multipart, `${part('a', 'x'.repeat(60_000))}--b--\r\n`)).toBe(413);
    const declared = sent(multipart, '', { 'content-length': '70000' });
    expect(await readBody(declared, ROOM)).toMatchObject({ ok: false, status: 413 });
  });
  it.each([
    ['without an end', part('a', '1')],
    ['that does not begin with a part', `hello${part('a', '1')}--b--\r\n`],
    [
      'with a header without end',
      `--b\r\nContent-Disposition: form-data; name="${'x'.repeat(9000)}"\r\n\r\n1\r\n--b--`,
    ],
    ['with a part that is no field', '--b\r\nX-Other: 1\r\n\r\n1\r\n--b--\r\n'],
  ])('%s is not taken apart', async (_, body) => {
    expect(await status(multipart, body)).toBe(400);
  });
  it('of thousands of parts is too much', async () => {
    const many = `${'--b\r\nContent-Disposition: form-data; name="a"\r\n\r\n\r\n'.repeat(6000)}--b--\r\n`;
    expect(await readBody(sent(multipart, many), { form: 0, files: 1_000_000 })).toMatchObject({
      status: 413,
    });
  });
  it('says by its length whether it brings more than words', () => {
    expect(bringsMuch(sent(multipart, '', { 'content-length': '9000' }))).toBe(false);
    expect(bringsMuch(sent(multipart, '', { 'content-length': '900000' }))).toBe(true);
    expect(bringsMuch(sent(multipart, ''))).toBe(true);
    expect(bringsMuch(sent('application/x-www-form-urlencoded', ''))).toBe(false);
  });
});
